package ableschema.engine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ableschema.core.ddl.SqlReader;
import ableschema.core.document.Document;
import ableschema.core.reverse.Reverse;
import ableschema.core.rows.DesignScript;
import ableschema.core.schema.Schema;
import ableschema.core.sql.Script;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.store.DocumentFile;
import ableschema.engine.catalog.Catalog;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.Statement;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** However a house wants its scripts, the database has the same of them; and they can be run again where that was wanted. */
class ScriptStylesTest {

    private static Document worked() throws Exception {
        return DocumentFile.read(Path.of("../demo/alder-valley.able.json"));
    }

    /** Two that refer to each other, so that no order drops them one by one. */
    private static Document circle() {
        return Said.read("Each club has no: whole (key).\nEach member has no: whole (key).\n"
                + "Each club is led by at most one member; each member leads any number of clubs.\n"
                + "Each member belongs to exactly one club; each club consists of any number of members.");
    }

    static Stream<Arguments> styles() {
        return Stream.of(RealEngine.values()).flatMap(engine -> Stream.of(
                        Map.of("script.keys", "beside"),
                        Map.of("script.references", "after"),
                        Map.of("script.names", "quoted"),
                        Map.of("script.letters", "small"),
                        Map.of("script.letters", "capital"),
                        Map.of("script.keys", "beside", "script.references", "after", "script.names", "quoted"))
                .map(style -> Arguments.of(engine, style)));
    }

    @ParameterizedTest
    @MethodSource("styles")
    void the_database_is_the_same_in_each_style(RealEngine engine, Map<String, String> style) throws Exception {
        assertThat(had(engine, engine.dialect().choosing(style)).differences(had(engine, engine.dialect())))
                .isEmpty();
    }

    private static Schema had(RealEngine engine, Dialect dialect) throws Exception {
        Script script = DesignScript.withRows(worked().mapping(), dialect);
        try (Connection connection = engine.open()) {
            assertThat(ScriptRun.of(script, connection).refusal()).isEmpty();
            return Catalog.read(connection).schema();
        }
    }

    @ParameterizedTest
    @EnumSource(names = {"POSTGRESQL", "MARIADB", "H2"})
    void a_schema_is_made_and_its_user_may_work_there_and_nowhere_else(RealEngine engine) throws Exception {
        for (String existing : List.of("stop", "replace", "skip")) {
            boolean users = engine != RealEngine.MARIADB; // which runs without users in tests
            Dialect chosen = engine.dialect()
                    .choosing(Map.of(
                            "script.schema",
                            "Able yard",
                            "script.user",
                            users ? "able_keeper" : "",
                            "script.existing",
                            existing));
            Script script = DesignScript.withRows(worked().mapping(), chosen);
            try (Connection connection = engine.open();
                    Statement statement = connection.createStatement()) {
                user(engine, "CREATE", statement);
                assertThat(ScriptRun.of(script, connection).refusal()).isEmpty();
                String hive = engine.dialect().quoted("Able yard") + ".hive";
                boolean switches = engine == RealEngine.POSTGRESQL;
                if (switches) {
                    statement.execute("CREATE TABLE public.mine (x int)");
                    statement.execute("SET ROLE able_keeper");
                    assertThat(statement.executeUpdate("UPDATE " + hive + " SET colour = colour"))
                            .isPositive();
                    assertThatThrownBy(() -> statement.executeQuery("SELECT * FROM public.mine"))
                            .hasMessageContaining("permission denied");
                    statement.execute("RESET ROLE");
                }
                try (ResultSet counted = statement.executeQuery("SELECT count(*) FROM " + hive)) {
                    counted.next();
                    assertThat(counted.getInt(1)).isEqualTo(16);
                }
                statement.execute("DROP SCHEMA " + engine.dialect().quoted("Able yard")
                        + (engine == RealEngine.MARIADB ? "" : " CASCADE"));
                user(engine, "DROP", statement);
            }
        }
    }

    private static void user(RealEngine engine, String does, Statement statement) throws Exception {
        if (engine != RealEngine.MARIADB) {
            boolean made = does.equals("CREATE") && engine == RealEngine.H2;
            statement.execute(does + (engine == RealEngine.H2 ? " USER" : " ROLE") + " able_keeper"
                    + (made ? " PASSWORD 'of the test'" : ""));
        }
    }

    @ParameterizedTest
    @EnumSource
    void what_replaces_can_be_run_again_and_what_stops_cannot(RealEngine engine) throws Exception {
        for (Document document : List.of(worked(), circle())) {
            Dialect replacing = engine.dialect().choosing(Map.of("script.existing", "replace"));
            Script script = DesignScript.withRows(document.mapping(), replacing);
            try (Connection connection = engine.open()) {
                assertThat(ScriptRun.of(script, connection).refusal()).isEmpty();
                Schema once = Catalog.read(connection).schema();
                assertThat(ScriptRun.of(script, connection).refusal()).isEmpty();
                assertThat(Catalog.read(connection).schema().differences(once)).isEmpty();
                assertThat(script.text()).contains("dropped with all their rows");
                assertThat(ScriptRun.of(DesignScript.withRows(document.mapping(), engine.dialect()), connection)
                                .refusal())
                        .isPresent();
            }
        }
    }

    @ParameterizedTest
    @EnumSource
    void what_skips_leaves_tables_and_rows_as_they_are(RealEngine engine) throws Exception {
        Dialect skipping = engine.dialect().choosing(Map.of("script.existing", "skip"));
        try (Connection connection = engine.open();
                Statement statement = connection.createStatement()) {
            assertThat(ScriptRun.of(DesignScript.withRows(worked().mapping(), skipping), connection)
                            .refusal())
                    .isEmpty();
            assertThat(ScriptRun.of(DesignScript.definitions(worked().mapping(), skipping), connection)
                            .refusal())
                    .isEmpty();
            try (ResultSet counted = statement.executeQuery("SELECT count(*) FROM hive")) {
                counted.next();
                assertThat(counted.getInt(1)).isEqualTo(16);
            }
        }
    }

    @ParameterizedTest
    @EnumSource(names = {"POSTGRESQL", "H2"})
    void a_named_type_that_is_there_is_passed_over_too(RealEngine engine) throws Exception {
        Document design = Reverse.of(
                        SqlReader.read(
                                "CREATE DOMAIN grams AS integer CHECK (VALUE >= 0);"
                                        + " CREATE TABLE jar (no integer PRIMARY KEY, weight grams);",
                                engine.dialect()),
                        "jars")
                .document();
        Dialect skipping = engine.dialect().choosing(Map.of("script.existing", "skip"));
        try (Connection connection = engine.open()) {
            for (int i = 0; i < 2; i++) {
                assertThat(ScriptRun.of(DesignScript.definitions(design.mapping(), skipping), connection)
                                .refusal())
                        .isEmpty();
            }
            assertThat(Catalog.read(connection).schema().domains()).hasSize(1);
        }
    }
}
