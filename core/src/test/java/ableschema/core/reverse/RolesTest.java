package ableschema.core.reverse;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.ddl.SqlReader;
import ableschema.core.design.Relationship;
import ableschema.core.sql.dialect.Dialects;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a foreign key is called says what its target is to the row that refers. */
class RolesTest {

    private static final String TWO = "create table person (person_id int primary key);"
            + " create table boat (id int primary key, %s int references person (person_id))";
    private static final String ONE = "create table host (hostid int primary key, %s int references host (hostid))";

    private static String verbs(String sql) {
        Relationship only = Reverse.of(SqlReader.read(sql, Dialects.POSTGRESQL), "roles")
                .document()
                .design()
                .relationships()
                .get(0);
        return only.first().verb() + " / " + only.second().verb() + " / "
                + only.first().role();
    }

    @ParameterizedTest
    @CsvSource({
        "person_id, has / belongs to / ''",
        "person, has / belongs to / ''",
        "owner_id, is owner of / has owner / owner",
        "owner, is owner of / has owner / owner",
        "owner_person_id, is owner of / has owner / owner",
        "approved_by, has approved / is approved by / approved by"
    })
    void a_column_that_refers_to_another_table(String column, String said) {
        assertThat(verbs(TWO.formatted(column))).isEqualTo(said.replace("''", ""));
    }

    @ParameterizedTest
    @CsvSource({
        "templateid, is template of / has template / template",
        "proxy_hostid, is proxy of / has proxy / proxy",
        "parent, is parent of / has parent / parent",
        "host, is other host of / has other host / other host",
        "id, is id of / has id / id"
    })
    void a_column_that_refers_to_its_own_table(String column, String said) {
        assertThat(verbs(ONE.formatted(column))).isEqualTo(said);
    }

    @ParameterizedTest
    @CsvSource({"person_id, consists of / is part of / ''", "owner_id, is owner of / has owner / owner"})
    void a_column_that_is_part_of_the_key(String column, String said) {
        String sql = "create table person (person_id int primary key); create table visit (day date, " + column
                + " int references person, primary key (day, " + column + "))";
        assertThat(verbs(sql)).isEqualTo(said.replace("''", ""));
    }
}
