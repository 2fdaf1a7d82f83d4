package ableschema.core.ddl;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.carried.Carried;
import ableschema.core.document.Document;
import ableschema.core.reverse.Reverse;
import ableschema.core.rows.DesignScript;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.store.DocumentFile;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is said of tables, and has no place in a design, follows what the script does to them. */
class SettingsTest {

    private static SqlRead read(String sql) {
        return SqlReader.read(sql, Dialects.named("postgresql").orElseThrow());
    }

    @Test
    void settings_follow_their_tables_columns_and_indexes() {
        SqlRead read = read(
                """
                CREATE TABLE pier (id int PRIMARY KEY, label text, depth int);
                CREATE TABLE jetty (width int) INHERITS (pier);
                ALTER TABLE pier ALTER COLUMN label SET STATISTICS 100;
                ALTER TABLE pier ALTER label SET STATISTICS 200;
                ALTER TABLE pier ALTER depth SET STORAGE PLAIN;
                CREATE INDEX by_label ON pier (label);
                COMMENT ON INDEX by_label IS 'it''s quick';
                ALTER TABLE pier CLUSTER ON pier_pkey;
                ALTER TABLE pier SET UNLOGGED;
                ALTER TABLE pier SET LOGGED;
                ALTER INDEX by_label RENAME TO by_title;
                ALTER TABLE pier RENAME label TO title;
                ALTER TABLE pier DROP COLUMN depth;
                ALTER TABLE pier RENAME TO mole;
                """);

        assertThat(read.schema().carried())
                .extracting(Carried::sql)
                .containsExactly(
                        "ALTER TABLE mole ALTER COLUMN title SET STATISTICS 200",
                        "COMMENT ON INDEX by_title IS 'it''s quick'",
                        "ALTER TABLE mole CLUSTER ON pier_pkey",
                        "ALTER TABLE jetty INHERIT mole");
        assertThat(read.skipped()).isEmpty();
    }

    @Test
    void what_is_said_of_something_that_is_dropped_goes_with_it() {
        SqlRead read = read(
                """
                CREATE TABLE pier (id int PRIMARY KEY);
                CREATE TABLE jetty (width int) INHERITS (pier);
                CREATE TABLE mole (width int) INHERITS (pier);
                CREATE INDEX by_width ON mole (width);
                COMMENT ON INDEX by_width IS 'wide ones';
                DROP INDEX by_width;
                ALTER TABLE mole NO INHERIT pier;
                ALTER TABLE jetty REPLICA IDENTITY FULL;
                DROP TABLE jetty;
                """);

        assertThat(read.schema().carried()).isEmpty();
    }

    @Test
    void functions_in_what_parts_a_table_are_written_as_the_engine_has_them() {
        SqlRead read = SqlReader.read(
                "CREATE TABLE log (at timestamp NOT NULL) PARTITION BY RANGE (UNIX_TIMESTAMP(at)) "
                        + "(partition P1 values less than (10), PARTITION rest VALUES LESS THAN MAXVALUE);",
                Dialects.named("mariadb").orElseThrow());

        assertThat(read.schema().tables().get(0).options())
                .containsEntry(
                        "mariadb.partition",
                        "RANGE (unix_timestamp(at)) (PARTITION P1 VALUES LESS THAN (10), PARTITION rest VALUES LESS THAN MAXVALUE)");
    }

    @Test
    void parts_of_parts_are_parts_of_the_whole_in_whatever_order_they_are_attached() {
        SqlRead read = read(
                """
                CREATE TABLE log (at date, kind int) PARTITION BY RANGE (at);
                CREATE TABLE log_1 (at date, kind int) PARTITION BY LIST (kind);
                CREATE TABLE log_1_a (at date, kind int);
                CREATE TABLE log_1_b (at date, kind int);
                ALTER TABLE ONLY log_1 ATTACH PARTITION log_1_a FOR VALUES IN (1);
                ALTER TABLE ONLY log ATTACH PARTITION log_1 FOR VALUES FROM ('2020-01-01') TO ('2021-01-01');
                ALTER TABLE ONLY log_1 ATTACH PARTITION log_1_b DEFAULT;
                CREATE INDEX by_kind ON log_1_a (kind);
                """);

        assertThat(read.schema().tables()).extracting(Table::name).containsExactly("log");
        assertThat(read.schema().carried())
                .extracting(Carried::sql)
                .containsExactly(
                        "CREATE TABLE log_1 PARTITION OF log FOR VALUES FROM ('2020-01-01') TO ('2021-01-01')"
                                + " PARTITION BY LIST (kind)",
                        "CREATE TABLE log_1_a PARTITION OF log_1 FOR VALUES IN (1)",
                        "CREATE TABLE log_1_b PARTITION OF log_1 DEFAULT");
        assertThat(read.skipped())
                .extracting(Skipped::reason)
                .containsExactly("log_1_a is a part of log, which is read as one");
    }

    @Test
    void nothing_is_a_part_of_itself_nor_inherits_from_itself() {
        SqlRead read = read(
                """
                CREATE TABLE log (at date) PARTITION BY RANGE (at);
                CREATE TABLE log_1 PARTITION OF log DEFAULT PARTITION BY RANGE (at);
                ALTER TABLE log ATTACH PARTITION log DEFAULT;
                ALTER TABLE log_1 ATTACH PARTITION log DEFAULT;
                ALTER TABLE log INHERIT log;
                """);

        assertThat(read.schema().tables()).extracting(Table::name).containsExactly("log");
        assertThat(read.skipped())
                .extracting(Skipped::reason)
                .containsExactly(
                        "log cannot be a part of itself",
                        "log cannot be a part of itself",
                        "log cannot inherit from itself");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "DROP FUNCTION f(int)              | f(text)",
                "DROP FUNCTION f(integer)          | f(text)",
                "DROP FUNCTION IF EXISTS f(t TEXT) | f(a int)",
                "DROP FUNCTION f(date)             | f(a int),f(text)",
                "DROP FUNCTION f                   | ''"
            })
    void of_routines_that_are_called_the_same_the_one_with_these_values_is_dropped(String drop, String left) {
        SqlRead read = read(
                """
                CREATE FUNCTION f(a int, OUT b text) LANGUAGE sql AS 'select $1';
                CREATE FUNCTION f(text) RETURNS text LANGUAGE sql AS 'select $1';
                """
                        + drop + ";");

        assertThat(read.schema().carried().stream().map(each -> each.name().replace(", OUT b text", "")))
                .containsExactlyInAnyOrder(left.isEmpty() ? new String[0] : left.split(","));
    }

    @Test
    void where_empty_values_are_alike_the_second_row_that_is_empty_is_left_out_of_the_script() {
        SqlRead read = SqlReader.read(
                """
                CREATE TABLE pier (id int PRIMARY KEY, label text, UNIQUE NULLS NOT DISTINCT (label));
                CREATE TABLE mole (id int PRIMARY KEY, label text, UNIQUE (label));
                INSERT INTO pier VALUES (1, NULL), (2, NULL);
                INSERT INTO mole VALUES (1, NULL), (2, NULL);
                """,
                Dialects.named("postgresql").orElseThrow(),
                10);

        String script = DesignScript.withRows(
                        Reverse.of(read, "harbour").document().mapping(), read.dialect())
                .text();

        assertThat(script.lines().filter(line -> line.startsWith("-- ") && line.contains("is the same to PostgreSQL")))
                .singleElement()
                .asString()
                .contains("pier");
    }

    @Test
    void what_stands_in_square_brackets_is_one_part_and_a_value_of_a_list_may_be_called_otherwise() {
        SqlRead read = read(
                """
                CREATE SCHEMA shop;
                CREATE TYPE shop.mood AS ENUM ('glad', 'sad');
                CREATE TABLE shop.visit (id int, tags text[] NOT NULL DEFAULT ARRAY['a','b'], m shop.mood DEFAULT 'glad',
                  moods shop.mood[], stay interval DEFAULT interval '1 day', sign "char");
                ALTER TYPE shop.mood RENAME VALUE 'glad' TO 'merry';
                CREATE MATERIALIZED VIEW shop.visits AS SELECT count(*) AS n FROM shop.visit;
                CREATE UNIQUE INDEX CONCURRENTLY once ON shop.visits (n);
                """);

        String script = DesignScript.definitions(
                        Reverse.of(read, "harbour").document().mapping(), read.dialect())
                .text();

        assertThat(read.skipped()).isEmpty();
        assertThat(read.schema().carried())
                .extracting(Carried::label)
                .containsExactly("view shop.visits", "index once on shop.visits");
        assertThat(script.replaceAll(" +", " "))
                .contains(
                        "tags text[] DEFAULT (array['a', 'b']) NOT NULL",
                        "CREATE UNIQUE INDEX once ON shop.visits (n);", // which a transaction takes
                        "m shop.mood DEFAULT 'merry'",
                        "moods shop.mood[]",
                        "stay interval DEFAULT '1 day'::interval",
                        "sign \"char\"");
    }

    @Test
    void an_index_over_no_column_at_all_is_found_again_in_the_file() {
        SqlRead read =
                read("CREATE TABLE t (id int, active boolean); CREATE UNIQUE INDEX one ON t ((true)) WHERE active;");
        Document design = Reverse.of(read, "one row").document();

        Document opened = DocumentFile.parse(DocumentFile.print(design));

        assertThat(opened.design()).isEqualTo(design.design());
        assertThat(DesignScript.definitions(opened.mapping(), read.dialect()).text())
                .contains("CREATE UNIQUE INDEX one ON t ((TRUE)) WHERE active;");
    }

    @Test
    void a_column_that_draws_no_more_numbers_itself_where_that_is_said() {
        SqlRead read = read(
                """
                CREATE SEQUENCE visits;
                CREATE TABLE visit (no bigint PRIMARY KEY DEFAULT nextval('visits'), other serial);
                ALTER TABLE visit ALTER no DROP DEFAULT, ALTER no ADD GENERATED ALWAYS AS IDENTITY;
                ALTER TABLE visit ALTER other DROP DEFAULT;
                DROP SEQUENCE visits;
                """);

        assertThat(DesignScript.definitions(
                                Reverse.of(read, "harbour").document().mapping(), read.dialect())
                        .text()
                        .replaceAll(" +", " "))
                .contains("no bigint GENERATED ALWAYS AS IDENTITY NOT NULL", "other integer NOT NULL");
        assertThat(read.schema().carried()).isEmpty();
    }
}
