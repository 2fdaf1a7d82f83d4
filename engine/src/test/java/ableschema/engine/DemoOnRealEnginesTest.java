package ableschema.engine;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.document.Document;
import ableschema.core.mapping.Mapping;
import ableschema.core.rows.DesignScript;
import ableschema.core.schema.Schema;
import ableschema.core.store.DocumentFile;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class DemoOnRealEnginesTest {

    private static final Path DEMO = Path.of("../demo/alder-valley.able.json");

    private static Connection built(RealEngine engine) throws Exception {
        Document document = DocumentFile.read(DEMO);
        Schema schema = document.mapping().schema();
        var script = DesignScript.withRowsAsEntered(document.mapping(), engine.dialect());
        assertThat(script.text()).doesNotContain("left out");
        Connection connection = engine.open();
        ScriptRun run = ScriptRun.of(script, connection);
        assertThat(run.refusal()).as(script.text()).isEmpty();
        return connection;
    }

    @ParameterizedTest
    @EnumSource
    void every_statement_is_accepted_and_every_sample_row_arrives(RealEngine engine) throws Exception {
        Document document = DocumentFile.read(DEMO);
        Mapping mapping = document.mapping();
        try (Connection connection = built(engine)) {
            for (var table : mapping.schema().tables()) {
                int rows = document.design()
                        .body(mapping.trace().owner(table))
                        .orElseThrow()
                        .rows()
                        .size();
                assertThat(rows).as(table.name()).isGreaterThanOrEqualTo(10);
                assertThat(count(connection, "SELECT count(*) FROM " + table.name()))
                        .as(table.name())
                        .isEqualTo(rows);
            }
        }
    }

    @ParameterizedTest
    @EnumSource
    void references_lead_to_the_rows_that_were_meant(RealEngine engine) throws Exception {
        try (Connection connection = built(engine)) {
            assertThat(count(
                            connection,
                            "SELECT count(*) FROM keeper pupil JOIN keeper mentor"
                                    + " ON pupil.mentor_no = mentor.keeper_no WHERE mentor.known_as = 'I. Sallow'"))
                    .isEqualTo(4);
            assertThat(count(
                            connection,
                            "SELECT count(*) FROM application JOIN inspection ON inspection.id ="
                                    + " application.inspection_id JOIN hive ON hive.apiary_code ="
                                    + " inspection.hive_apiary_code AND hive.stand_no = inspection.hive_stand_no"))
                    .isEqualTo(12);
        }
    }

    @ParameterizedTest
    @EnumSource
    void a_bad_row_of_each_kind_is_refused(RealEngine engine) throws Exception {
        try (Connection connection = built(engine)) {
            refused(connection, "INSERT INTO apiary (code, name) VALUES ('AV-01', 'another name')");
            refused(connection, "INSERT INTO apiary (code, name) VALUES ('AV-90', 'Mill bank')");
            refused(
                    connection,
                    "INSERT INTO hive (apiary_code, stand_no, type, set_up_on)"
                            + " VALUES ('AV-99', 1, 'warre', '2020-01-01')");
            refused(connection, "INSERT INTO apiary (code, name, altitude_m) VALUES ('AV-91', 'Too high', 3001)");
            refused(connection, "INSERT INTO apiary (code) VALUES ('AV-92')");
            refused(
                    connection,
                    "INSERT INTO hive (apiary_code, stand_no, type, set_up_on, queen_ring)"
                            + " VALUES ('AV-01', 90, 'warre', '2020-01-01', 'Q22-100')");
        }
    }

    @ParameterizedTest
    @EnumSource
    void numbering_goes_on_behind_the_sample_rows(RealEngine engine) throws Exception {
        try (Connection connection = built(engine);
                Statement statement = connection.createStatement()) {
            int last = count(connection, "SELECT max(keeper_no) FROM keeper");
            statement.execute("INSERT INTO keeper (known_as, first_season) VALUES ('N. Newcomer', 2027)");
            assertThat(count(connection, "SELECT keeper_no FROM keeper WHERE known_as = 'N. Newcomer'"))
                    .isEqualTo(last + 1);
        }
    }

    @Test
    void a_default_is_filled_in_by_each_engine() throws Exception {
        for (RealEngine engine : RealEngine.values()) {
            try (Connection connection = built(engine);
                    Statement statement = connection.createStatement()) {
                statement.execute(
                        "INSERT INTO inspection (hive_apiary_code, hive_stand_no, keeper_no, done_at, strength)"
                                + " SELECT apiary_code, stand_no, 101, '2028-01-01 10:00:00', 5 FROM hive"
                                + " WHERE set_up_on = (SELECT min(set_up_on) FROM hive)");
                try (ResultSet made =
                        statement.executeQuery("SELECT id FROM inspection WHERE done_at = '2028-01-01 10:00:00'")) {
                    assertThat(made.next()).as(engine.name()).isTrue();
                    assertThat(made.getString(1))
                            .as(engine.name())
                            .matches("[0-9a-fA-F]{8}(-[0-9a-fA-F]{4}){3}-[0-9a-fA-F]{12}");
                }
            }
        }
    }

    private static void refused(Connection connection, String insert) {
        try (Statement statement = connection.createStatement()) {
            statement.execute(insert);
        } catch (SQLException e) {
            return;
        }
        throw new AssertionError("accepted although it breaks a rule: " + insert);
    }

    private static int count(Connection connection, String query) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet result = statement.executeQuery(query)) {
            result.next();
            return result.getInt(1);
        }
    }
}
