package ableschema.core.reverse;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.ddl.SqlRead;
import ableschema.core.ddl.SqlReader;
import ableschema.core.design.Relationship;
import ableschema.core.rows.DesignScript;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.store.DocumentFile;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Foreign keys may lead to what only an index keeps unique; tables that pair two others may be described. */
class AlternateKeysTest {

    private static SqlRead read(String dialect, String sql) {
        return SqlReader.read(sql, Dialects.named(dialect).orElseThrow());
    }

    @ParameterizedTest
    @ValueSource(strings = {"sqlite", "postgresql"})
    void a_foreign_key_to_a_unique_index_is_a_relationship(String dialect) {
        SqlRead read = read(
                dialect,
                """
                CREATE TABLE harbour (code varchar(9) NOT NULL, region int NOT NULL, name varchar(40));
                CREATE UNIQUE INDEX harbour_code ON harbour (code);
                CREATE UNIQUE INDEX harbour_place ON harbour (region, name);
                CREATE INDEX harbour_region ON harbour (region);
                CREATE TABLE ship (id int NOT NULL PRIMARY KEY, home varchar(9) NOT NULL, at varchar(9),
                  FOREIGN KEY (home) REFERENCES harbour (code) ON DELETE CASCADE,
                  FOREIGN KEY (at) REFERENCES harbour (code));
                """);
        Reversed design = Reverse.of(read, "ships");
        Table harbour = design.document().mapping().schema().tables().get(0);

        assertThat(design.document().design().relationships()).hasSize(2);
        assertThat(harbour.uniques()).singleElement().satisfies(unique -> {
            assertThat(unique.name()).isEqualTo("harbour_code");
            assertThat(unique.columns()).containsExactly("code");
        });
        assertThat(harbour.indexes()).extracting(Table.TableIndex::name).contains("harbour_place", "harbour_region");
        // that the index has become a constraint is said
        assertThat(design.differences()).hasSize(2).allSatisfy(each -> assertThat(each.toString())
                .contains("harbour")
                .contains("code"));

        Dialect dialectOf = Dialects.named(dialect).orElseThrow();
        SqlRead again = SqlReader.read(
                DesignScript.definitions(design.document().mapping(), dialectOf).text(), dialectOf);
        assertThat(again.schema().tables().get(1).foreignKeys()).hasSize(2);
    }

    @Test
    void an_index_over_some_rows_or_over_a_part_is_no_key() {
        Reversed design = Reverse.of(
                read(
                        "sqlite",
                        """
                        CREATE TABLE harbour (code text, region int);
                        CREATE UNIQUE INDEX some ON harbour (code) WHERE region > 0;
                        CREATE UNIQUE INDEX small ON harbour (lower(code));
                        CREATE TABLE ship (id int PRIMARY KEY, home text REFERENCES harbour (code));
                        """),
                "ships");

        assertThat(design.document().design().relationships()).isEmpty();
        assertThat(design.differences()).hasSize(1);
    }

    @ParameterizedTest
    @ValueSource(strings = {"postgresql", "mariadb"})
    void what_is_said_of_a_table_that_pairs_two_others_is_kept(String dialect) throws Exception {
        String comment = dialect.equals("mariadb") ? " COMMENT='Who may moor where'" : "";
        SqlRead read = read(
                dialect,
                "CREATE TABLE pier (id int PRIMARY KEY);\nCREATE TABLE ship (id int PRIMARY KEY);\n"
                        + "CREATE TABLE mooring (pier int, ship int, FOREIGN KEY (ship) REFERENCES ship (id),"
                        + " FOREIGN KEY (pier) REFERENCES pier (id), PRIMARY KEY (pier, ship))" + comment + ";\n"
                        + (comment.isEmpty() ? "COMMENT ON TABLE mooring IS 'Who may moor where';" : ""));
        Reversed design = Reverse.of(read, "moorings");
        var opened = DocumentFile.parse(DocumentFile.print(design.document()));

        assertThat(opened.design().relationships()).anyMatch(Relationship::isManyToMany);
        Table mooring = opened.mapping().schema().tables().get(2);
        assertThat(mooring.comment()).isEqualTo("Who may moor where");
        assertThat(mooring.options()).doesNotContainKey("standard.comment");
        assertThat(DesignScript.definitions(
                                opened.mapping(), Dialects.named(dialect).orElseThrow())
                        .text())
                .contains("Who may moor where");
    }
}
