package ableschema.engine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ableschema.core.carried.Carried;
import ableschema.core.ddl.SqlRead;
import ableschema.core.ddl.SqlReader;
import ableschema.core.document.Document;
import ableschema.core.reverse.Reverse;
import ableschema.core.rows.DesignScript;
import ableschema.core.sql.dialect.Dialect;
import ableschema.engine.catalog.Catalog;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Views, routines and triggers that are carried along work in the database that is written, and are found there again. */
class CarriedOnRealEnginesTest {

    private static Document design(RealEngine engine) throws Exception {
        String sql = Files.readString(
                Path.of("../core/src/test/resources/carried", engine.dialect().name() + ".sql"));
        return Reverse.of(SqlReader.read(sql, engine.dialect()), "harbour").document();
    }

    private static void write(Document design, RealEngine engine, Connection connection) throws SQLException {
        ScriptRun run = ScriptRun.of(
                DesignScript.definitions(
                        design.mapping(),
                        engine.dialect().choosing(design.rules().choices())),
                connection);
        assertThat(run.refusal()).isEmpty();
    }

    private static int count(Connection connection, String from) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery("SELECT count(*) FROM " + from)) {
            rows.next();
            return rows.getInt(1);
        }
    }

    private static void fill(Connection connection) throws SQLException {
        try (Statement statement = connection.createStatement()) {
            statement.execute("INSERT INTO pier VALUES (1, 'north')");
            statement.execute("INSERT INTO berth VALUES (1, 1, 4)");
            statement.execute("INSERT INTO berth VALUES (2, 1, 9)");
        }
    }

    @ParameterizedTest
    @EnumSource(RealEngine.class)
    void what_is_carried_along_works_where_it_is_written(RealEngine engine) throws Exception {
        try (Connection connection = engine.open()) {
            write(design(engine), engine, connection);
            fill(connection);

            assertThat(count(connection, "wide_berth")).isEqualTo(2);
            assertThat(count(connection, "deep_berth")).isEqualTo(1);
            if (engine != RealEngine.H2) { // whose triggers are classes
                assertThat(count(connection, "depth_log")).isEqualTo(2);
            }
        }
    }

    @ParameterizedTest
    @EnumSource(RealEngine.class)
    void the_live_database_is_read_with_it_and_written_to_another(RealEngine engine) throws Exception {
        try (Connection one = engine.open();
                Connection other = engine.open()) {
            write(design(engine), engine, one);
            SqlRead read = Catalog.read(one);
            write(Reverse.of(read, "again").document(), engine, other);
            fill(other);

            assertThat(read.skipped()).isEmpty();
            assertThat(read.schema().carried())
                    .extracting(Carried::label)
                    .containsExactlyInAnyOrderElementsOf(labels(engine));
            assertThat(count(other, "deep_berth")).isEqualTo(1);
            assertThat(Catalog.read(other).schema().carried())
                    .isEqualTo(read.schema().carried());
        }
    }

    private static List<String> labels(RealEngine engine) {
        return Map.of(
                        RealEngine.POSTGRESQL,
                        List.of(
                                "sequence ticket_no",
                                "routine tidy(t text)",
                                "routine log_depth()",
                                "routine deepest(integer)",
                                "view wide_berth",
                                "view deep_berth",
                                "view deepest_berth",
                                "trigger depth_is_logged on berth",
                                "description wide_berth"),
                        RealEngine.MARIADB,
                        List.of(
                                "routine in_feet(`metres` int(11))",
                                "routine clear_log(IN `before_entry` int(11))",
                                "view wide_berth",
                                "view deep_berth",
                                "trigger depth_is_logged on berth"),
                        RealEngine.SQLITE,
                        List.of("view wide_berth", "view deep_berth", "trigger depth_is_logged on berth"),
                        RealEngine.H2,
                        List.of("sequence ticket_no", "routine in_feet", "view wide_berth", "view deep_berth"))
                .get(engine);
    }

    @ParameterizedTest
    @EnumSource(RealEngine.class)
    void it_can_be_written_again_where_it_is(RealEngine engine) throws Exception {
        for (String existing : List.of("replace", "skip")) {
            Document design = design(engine);
            Document again = design.with(design.rules().withChoice("script.existing", existing));
            try (Connection connection = engine.open()) {
                write(again, engine, connection);
                write(again, engine, connection);
                fill(connection);

                assertThat(count(connection, "deep_berth")).isEqualTo(1);
            }
        }
    }

    private static Document kept(Dialect dialect) throws IOException {
        String dump = Files.readString(Path.of("../core/src/test/resources/dumps", dialect.name() + "-kept.sql"));
        return Reverse.of(SqlReader.read(dump, dialect), "kept").document();
    }

    @Test
    void what_is_said_of_tables_holds_where_it_is_written_and_is_found_there() throws Exception {
        Document design = kept(RealEngine.POSTGRESQL.dialect());
        try (Connection one = RealEngine.POSTGRESQL.open();
                Connection other = RealEngine.POSTGRESQL.open()) {
            write(design, RealEngine.POSTGRESQL, one);
            List<Carried> found = Catalog.read(one).schema().carried();
            write(Reverse.of(Catalog.read(one), "again").document(), RealEngine.POSTGRESQL, other);

            assertThat(found)
                    .extracting(Carried::label)
                    .containsExactlyInAnyOrderElementsOf(design.mapping().schema().carried().stream()
                            .map(Carried::label)
                            .toList());
            assertThat(Catalog.read(other).schema().carried()).isEqualTo(found);
            try (Statement statement = other.createStatement()) {
                statement.execute("INSERT INTO nucleus (hive_id, label, strain) VALUES (1, 'N1', 'dark')");
                statement.execute("INSERT INTO harvest VALUES (2019, 2, 1), (2019, 9, 1), (2026, 1, 1)");
                statement.execute("INSERT INTO hive (hive_id, label) VALUES (2, 'H2')");
                statement.execute("INSERT INTO visit (note) VALUES ('first'), ('second')");
                statement.execute("INSERT INTO call DEFAULT VALUES");
                assertThatThrownBy(() -> statement.execute("INSERT INTO hive (hive_id, label) VALUES (3, 'H2')"))
                        .hasMessageContaining("hive_label"); // as empty places are alike
            }
            assertThat(count(other, "hive")).isEqualTo(2);
            assertThat(count(other, "harvest_old_rest")).isEqualTo(1);
            assertThat(count(other, "harvest_new")).isEqualTo(1);
            assertThat(count(
                            other,
                            "(SELECT no FROM visit UNION SELECT no FROM call) one WHERE no IN (1000, 1010, 1020)"))
                    .as("both draw from one sequence")
                    .isEqualTo(3);
        }
    }

    @Test
    void a_column_that_is_shown_only_where_it_is_named_stays_so() throws Exception {
        String sql =
                """
                CREATE TABLE hive (no int PRIMARY KEY, label varchar(9) DEFAULT 'x' INVISIBLE,
                  seen timestamp NOT NULL DEFAULT current_timestamp() ON UPDATE current_timestamp() INVISIBLE,
                  INDEX labels (label) IGNORED);
                """;
        Document design = Reverse.of(SqlReader.read(sql, RealEngine.MARIADB.dialect()), "hidden")
                .document();
        try (Connection one = RealEngine.MARIADB.open();
                Connection other = RealEngine.MARIADB.open()) {
            write(design, RealEngine.MARIADB, one);
            Document found = Reverse.of(Catalog.read(one), "again").document();
            write(found, RealEngine.MARIADB, other);
            try (Statement statement = other.createStatement()) {
                statement.execute("INSERT INTO hive VALUES (7)");
                var shown = statement.executeQuery("SELECT * FROM hive");
                assertThat(shown.getMetaData().getColumnCount()).isEqualTo(1);
            }
            assertThat(found.mapping().schema()).isEqualTo(design.mapping().schema());
        }
    }

    @ParameterizedTest
    @EnumSource(
            value = RealEngine.class,
            names = {"POSTGRESQL", "MARIADB"})
    void what_is_said_of_tables_can_be_said_again(RealEngine engine) throws Exception {
        for (String existing : List.of("replace", "skip")) {
            Document design = kept(engine.dialect());
            Document again = design.with(design.rules().withChoice("script.existing", existing));
            try (Connection connection = engine.open()) {
                write(again, engine, connection);
                write(again, engine, connection);

                assertThat(count(connection, "harvest")).isZero();
            }
        }
    }
}
