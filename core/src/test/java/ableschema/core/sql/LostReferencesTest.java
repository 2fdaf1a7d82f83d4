package ableschema.core.sql;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.ddl.SqlReader;
import ableschema.core.document.Document;
import ableschema.core.reverse.Reverse;
import ableschema.core.rows.DesignScript;
import ableschema.core.sql.dialect.Dialects;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LostReferencesTest {

    private static final String SCHEMAS = "create schema audit; create table boat (id int primary key);"
            + " create table audit.log (id int primary key, boat int references boat);"
            + " create table audit.note (id int primary key, log int references audit.log)";

    @ParameterizedTest
    @CsvSource({"mysql, 1", "mariadb, 1", "h2, 1", "postgresql, 2", "sqlserver, 2"})
    void what_stands_in_a_schema_refers_to_the_usual_one_where_that_can_be_said(String dialect, int references) {
        String script = script("postgresql", SCHEMAS, dialect);
        assertThat(script.split("REFERENCES ", -1)).hasSize(references + 1);
        assertThat(script.contains("audit.log.log_boat_fkey: it is left out; give the schema"))
                .isEqualTo(references == 1);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            mysql      | MyISAM | InnoDB | trip.trip_boat_fkey: the database refuses it, as boat is kept by MyISAM
            mariadb    | MyISAM | InnoDB | the database refuses it, as boat is kept by MyISAM
            mysql      | InnoDB | InnoDB | ''
            postgresql | MyISAM | InnoDB | ''
            """)
    void that_a_table_is_kept_without_foreign_keys_is_told(String dialect, String boats, String trips, String told) {
        String sql = "create table boat (id int primary key) engine=" + boats
                + "; create table trip (id int primary key, boat int, constraint trip_boat_fkey foreign key (boat) references boat (id)) engine="
                + trips;
        assertThat(script("mysql", sql, dialect)).contains(told).contains("REFERENCES boat");
    }

    private static String script(String from, String sql, String dialect) {
        Document document = Reverse.of(SqlReader.read(sql, Dialects.named(from).orElseThrow()), "found")
                .document();
        return DesignScript.definitions(
                        document.mapping(), Dialects.named(dialect).orElseThrow())
                .text();
    }
}
