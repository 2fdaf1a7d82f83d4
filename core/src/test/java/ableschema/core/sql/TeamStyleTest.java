package ableschema.core.sql;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ableschema.core.ddl.SqlReader;
import ableschema.core.document.Document;
import ableschema.core.mapping.NameStyle;
import ableschema.core.mapping.NamingRules;
import ableschema.core.reverse.Reverse;
import ableschema.core.rows.DesignScript;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.store.DocumentFile;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Scripts as a team wants them out: where they act, who gets rights, and in which letter case. */
class TeamStyleTest {

    private static final String SQL =
            """
            create table pier (pier_id integer primary key, label varchar(40) default 'N''Orth; X' check (label <> 'NOT NULL'));
            create table berth (berth_id integer primary key, pier_id integer not null references pier, kind varchar(5));
            comment on table berth is 'WHERE a boat LIES';
            create view deep as select * from berth;
            """;

    private static Document document() {
        return Reverse.of(SqlReader.read(SQL, Dialects.POSTGRESQL), "x").document();
    }

    private static String script(String dialect, Map<String, String> choices) {
        Dialect chosen = Dialects.named(dialect).orElseThrow().choosing(choices);
        return DesignScript.definitions(document().mapping(), chosen).text();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            postgresql | CREATE SCHEMA IF NOT EXISTS harbour;  | SET search_path TO harbour   | ON ALL TABLES IN SCHEMA harbour TO keeper;
            mysql      | CREATE SCHEMA IF NOT EXISTS harbour   | USE harbour;                 | ON harbour.* TO keeper;
            sqlserver  | CREATE SCHEMA [harbour]               | CREATE TABLE harbour.pier    | ON SCHEMA::harbour TO keeper;
            h2         | CREATE SCHEMA IF NOT EXISTS harbour;  | SET SCHEMA harbour;          | ON SCHEMA harbour TO keeper;
            oracle     | and not in harbour                    | CREATE TABLE pier            | ON pier TO keeper;
            sqlite     | and not in harbour                    | CREATE TABLE pier            | CREATE TABLE berth
            """)
    void the_script_makes_its_schema_acts_in_it_and_gives_rights(
            String dialect, String made, String acts, String rights) {
        assertThat(script(dialect, Map.of("script.schema", "harbour", "script.user", "keeper")))
                .containsSubsequence(made, acts, rights)
                .doesNotContainIgnoringCase("identified by");
    }

    @ParameterizedTest
    @ValueSource(strings = {"postgresql", "mysql", "mariadb", "sqlite", "sqlserver", "oracle", "h2", "standard"})
    void words_of_the_language_and_types_in_another_letter_case_mean_the_same(String dialect) {
        String usual = script(dialect, Map.of());
        String small = script(dialect, Map.of("script.letters", "small"));
        String capital = script(dialect, Map.of("script.letters", "capital"));
        var chosen = Dialects.named(dialect).orElseThrow();

        for (String cased : List.of(small, capital)) {
            assertThat(cased)
                    .isNotEqualTo(usual)
                    .isEqualToIgnoringCase(usual)
                    .contains("N''Orth; X", "'NOT NULL'", "WHERE a boat LIES");
            assertThat(SqlReader.read(cased, chosen).schema())
                    .isEqualTo(SqlReader.read(usual, chosen).schema());
        }
        assertThat(small).contains("create table").doesNotContain("CREATE TABLE", "CONSTRAINT");
        assertThat(capital.replaceAll("'[^']*'", ""))
                .contains("CREATE TABLE pier", "CONSTRAINT")
                .doesNotContain("varchar");
    }

    @Test
    void a_name_that_is_none_is_refused() {
        assertThatThrownBy(() -> Dialects.requireChoice("script.schema", "a\nb"))
                .hasMessageContaining("is no name");
        Dialects.requireChoice("script.schema", "Alder \"Valley\"");
        assertThat(script("postgresql", Map.of("script.schema", "Alder \"Valley\"")))
                .contains("CREATE SCHEMA IF NOT EXISTS \"Alder \"\"Valley\"\"\";");
    }

    @Test
    void a_prefix_stands_before_tables_and_nowhere_else() {
        NamingRules rules = document().rules().naming().withPrefix("t_");
        Document prefixed = document().with(document().rules().withNaming(rules));

        assertThat(prefixed.mapping().schema().tables())
                .extracting(table -> table.name())
                .containsExactly("t_pier", "t_berth");
        assertThat(prefixed.mapping().schema().tables().get(1).column("pier_id"))
                .isPresent();
        assertThat(rules.withStyle(NameStyle.CAMEL).withPrefix("tbl").prefix()).isEqualTo("tbl");
        assertThatThrownBy(() -> rules.withPrefix("a b")).hasMessageContaining("letters, digits and underscores");
    }

    @Test
    void a_prefix_that_most_tables_have_becomes_a_house_rule_and_names_follow_it() {
        var reversed = Reverse.of(
                SqlReader.read(
                        """
                        create table tblPier (id int); create table tblBerth (id int); create table tblBoat (id int);
                        create table tblOwner (id int); create table tblFee (id int); create table log (id int);
                        """,
                        Dialects.SQL_SERVER),
                "x");

        assertThat(reversed.differences()).isEmpty();
        assertThat(reversed.document().rules().naming().prefix()).isEqualTo("tbl");
        assertThat(reversed.document().design().entities())
                .extracting(each -> each.name())
                .contains("Pier", "Log");
    }

    @Test
    void names_of_capitals_become_the_style_of_the_house_so_that_few_are_held_fast() {
        var reversed = Reverse.of(
                SqlReader.read(
                        """
                        CREATE TABLE [Pier] ([PierID] int NOT NULL PRIMARY KEY, [OpenedOn] date, [LengthInMetres] int);
                        CREATE TABLE [BoatOwner] ([BoatOwnerID] int NOT NULL PRIMARY KEY, [FullName] varchar(40), [old_code] int);
                        """,
                        Dialects.SQL_SERVER),
                "x");

        assertThat(reversed.differences()).isEmpty();
        assertThat(reversed.document().rules().naming().style()).isEqualTo(NameStyle.PASCAL);
        assertThat(reversed.document().design().entities().stream()
                        .flatMap(entity -> entity.body().attributes().stream())
                        .map(each -> each.pins().name())
                        .filter(name -> !name.isEmpty()))
                .containsExactlyInAnyOrder("PierID", "BoatOwnerID", "old_code");
        assertThat(DocumentFile.parse(DocumentFile.print(reversed.document()))
                        .rules()
                        .naming()
                        .style())
                .isEqualTo(NameStyle.PASCAL);
    }
}
