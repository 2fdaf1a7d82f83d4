package ableschema.engine;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.sql.Line;
import ableschema.core.sql.Script;
import ableschema.core.sql.Statement;
import java.sql.Connection;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class ScriptRunTest {

    private static Script script(RealEngine engine, String... statements) {
        List<Statement> all = Arrays.stream(statements)
                .map(text -> new Statement(
                        text.startsWith("--") ? Statement.Kind.COMMENT : Statement.Kind.TABLE,
                        List.of(),
                        List.of(new Line(text, List.of())),
                        text.endsWith(";") ? ";" : ""))
                .toList();
        return new Script(engine.dialect(), all, List.of());
    }

    @ParameterizedTest
    @EnumSource
    void it_stops_at_the_first_refusal_and_says_the_engines_reason(RealEngine engine) throws Exception {
        Script script = script(
                engine,
                "CREATE TABLE hive (code varchar(6) NOT NULL);",
                "-- a comment is not put to the engine",
                "INSERT INTO hive (code) VALUES (NULL);",
                "CREATE TABLE queen (ring varchar(8));");
        try (Connection connection = engine.open()) {
            ScriptRun run = ScriptRun.of(script, connection);

            assertThat(run.accepted()).isEqualTo(1);
            ScriptRun.Refusal refusal = run.refusal().orElseThrow();
            assertThat(refusal.statement().text()).startsWith("INSERT INTO hive");
            assertThat(refusal.reason()).containsIgnoringCase("null");
        }
    }

    @ParameterizedTest
    @EnumSource
    void braces_and_question_marks_are_no_syntax_of_jdbc(RealEngine engine) throws Exception {
        Script script =
                script(engine, "CREATE TABLE hive (code varchar(20));", "INSERT INTO hive (code) VALUES ('{d ?} ??');");
        try (Connection connection = engine.open()) {
            assertThat(ScriptRun.of(script, connection).refusal()).isEmpty();
        }
    }

    @Test
    void a_built_in_database_is_empty_each_time() throws Exception {
        for (BuiltInEngine engine : BuiltInEngine.ALL) {
            for (int i = 0; i < 2; i++) {
                try (Connection connection = engine.open();
                        var statement = connection.createStatement()) {
                    statement.execute("CREATE TABLE hive (code varchar(6))");
                }
            }
            assertThat(engine.dialect().name()).isEqualTo(engine.name().toLowerCase(Locale.ROOT));
        }
    }
}
