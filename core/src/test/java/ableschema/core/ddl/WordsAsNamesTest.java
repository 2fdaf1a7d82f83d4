package ableschema.core.ddl;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.schema.Column;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.Dialects;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Words that say something somewhere in SQL are names of columns and tables where they stand as names. */
class WordsAsNamesTest {

    /** No engine reserves them all; those that one reserves are read all the same, as other engines do not. */
    private static final List<String> WORDS = List.of(
            "key",
            "index",
            "comment",
            "type",
            "name",
            "value",
            "period",
            "fulltext",
            "spatial",
            "exclude",
            "engine",
            "options",
            "inherits",
            "temporary",
            "algorithm",
            "visible",
            "invisible",
            "sequence",
            "domain",
            "view",
            "trigger",
            "action",
            "data",
            "date",
            "time",
            "timestamp",
            "text",
            "year",
            "level",
            "role",
            "user",
            "position",
            "row",
            "rows",
            "first",
            "after",
            "cluster",
            "clustered",
            "enforced",
            "stored",
            "virtual",
            "generated",
            "always",
            "identity",
            "storage",
            "statistics",
            "compression",
            "partition",
            "partitions",
            "like",
            "include",
            "including",
            "source",
            "start",
            "increment",
            "cache",
            "cycle",
            "owner",
            "schema",
            "language",
            "function",
            "hash",
            "range",
            "list",
            "match",
            "full",
            "simple",
            "persistent",
            "sparse",
            "masked",
            "zone",
            "interval",
            "precision",
            "varying",
            "unsigned",
            "zerofill",
            "binary",
            "national",
            "collation",
            "charset",
            "attribute",
            "without",
            "system",
            "versioning",
            "enable",
            "disable",
            "validate",
            "lob",
            "tablespace",
            "pctfree",
            "logging");

    private static SqlRead read(String dialect, String sql) {
        return SqlReader.read(sql, Dialects.named(dialect).orElseThrow());
    }

    private static List<String> columns(SqlRead read) {
        return read.schema().tables().stream()
                .flatMap(table -> table.columns().stream())
                .map(Column::name)
                .toList();
    }

    @ParameterizedTest
    @ValueSource(strings = {"postgresql", "mysql", "mariadb", "sqlite", "h2", "sqlserver", "oracle"})
    void a_column_may_be_called_by_any_word_between_quotes(String dialect) {
        String quote = dialect.startsWith("m") ? "`" : "\"";
        var otherwise = new ArrayList<String>();
        for (String word : WORDS) {
            for (String type : List.of("varchar(20) NOT NULL", "int DEFAULT 3", "numeric(6,2)", "timestamp")) {
                String quoted = quote + word + quote;
                SqlRead read = read(
                        dialect,
                        "CREATE TABLE pier (id int PRIMARY KEY, " + quoted + " " + type
                                + ", tail int UNIQUE, CHECK (tail > 1));\n" + "CREATE INDEX by_word ON pier (" + quoted
                                + ");");
                if (!columns(read).equals(List.of("id", word, "tail"))
                        || read.schema().tables().get(0).indexes().size() != 1
                        || !read.skipped().isEmpty()) {
                    otherwise.add(word + " " + type + ": " + columns(read) + " " + read.skipped());
                }
            }
        }
        assertThat(otherwise).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"postgresql", "mysql", "mariadb", "sqlite", "h2", "sqlserver"})
    void a_column_may_be_called_by_a_word_that_is_not_quoted(String dialect) {
        var otherwise = new ArrayList<String>();
        for (String word : WORDS) {
            if (word.equals("like")) {
                continue; // behind it stands a table that is copied
            }
            for (String type : List.of("varchar(20) NOT NULL", "int DEFAULT 3", "numeric(6,2)")) {
                SqlRead read = read(
                        dialect, "CREATE TABLE pier (id int, " + word + " " + type + ", tail int, PRIMARY KEY (id));");
                if (!columns(read).equals(List.of("id", word, "tail"))
                        || !read.skipped().isEmpty()) {
                    otherwise.add(word + " " + type + ": " + columns(read) + " " + read.skipped());
                }
            }
        }
        assertThat(otherwise).isEmpty();
    }

    /** With "column" said, as it must be in front of a word that begins something else. */
    @ParameterizedTest
    @ValueSource(strings = {"postgresql", "mysql", "mariadb", "sqlite", "h2"})
    void a_column_of_any_name_is_added_changed_renamed_and_dropped(String dialect) {
        String quote = dialect.startsWith("m") ? "`" : "\"";
        String changed =
                dialect.startsWith("m") ? "MODIFY COLUMN %s varchar(30) NOT NULL" : "ALTER COLUMN %s SET NOT NULL";
        var otherwise = new ArrayList<String>();
        for (String word : WORDS) {
            for (String name : List.of(word, quote + word + quote)) {
                SqlRead read = read(
                        dialect,
                        "CREATE TABLE pier (id int PRIMARY KEY, other int);\n"
                                + "ALTER TABLE pier ADD COLUMN " + name + " varchar(20);\n"
                                + "ALTER TABLE pier " + changed.formatted(name) + ";\n"
                                + "ALTER TABLE pier RENAME COLUMN " + name + " TO last;\n"
                                + "ALTER TABLE pier RENAME COLUMN other TO " + name + ";\n"
                                + "ALTER TABLE pier DROP COLUMN " + name + ";");
                List<Column> all = read.schema().tables().get(0).columns();
                if (!columns(read).equals(List.of("id", "last"))
                        || all.get(1).nullable()
                        || !read.skipped().isEmpty()) {
                    otherwise.add(name + ": " + all + " " + read.skipped());
                }
            }
        }
        assertThat(otherwise).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"postgresql", "mysql", "mariadb", "sqlite", "h2", "sqlserver"})
    void a_table_may_be_called_by_any_word(String dialect) {
        String quote = dialect.startsWith("m") ? "`" : "\"";
        var otherwise = new ArrayList<String>();
        for (String word : WORDS) {
            String quoted = quote + word + quote;
            SqlRead read = read(
                    dialect,
                    "CREATE TABLE " + quoted + " (id int PRIMARY KEY);\n"
                            + "ALTER TABLE " + quoted + " ADD other int;\n"
                            + "CREATE TABLE ship (no int, FOREIGN KEY (no) REFERENCES " + quoted + " (id));");
            boolean same = columns(read).equals(List.of("id", "other", "no"))
                    && read.schema().tables().get(0).name().equals(word)
                    && read.schema().tables().get(1).foreignKeys().size() == 1;
            if (!same || !read.skipped().isEmpty()) {
                otherwise.add(word + ": " + columns(read) + " " + read.skipped());
            }
        }
        assertThat(otherwise).isEmpty();
    }

    @Test
    void an_index_over_the_beginning_of_a_text_or_over_an_expression_is_no_column() {
        Table table = read(
                        "mysql",
                        "CREATE TABLE berth (id int, name text, KEY by_name (name(10)), KEY ((id + 1)), INDEX (id), KEY by_id USING BTREE (id));")
                .schema()
                .tables()
                .get(0);

        assertThat(table.columns()).hasSize(2);
        assertThat(table.indexes()).hasSize(4);
    }
}
