package ableschema.engine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ableschema.core.ddl.SqlReader;
import ableschema.core.document.Document;
import ableschema.core.reverse.Reverse;
import ableschema.core.rows.DesignScript;
import ableschema.core.sql.Line;
import ableschema.core.sql.Script;
import ableschema.core.sql.Statement;
import ableschema.core.sql.dialect.Ability;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.store.DocumentFile;
import java.nio.file.Path;
import java.sql.Connection;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CancellationException;
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
            assertThat(run.outcomes())
                    .extracting(ScriptRun.Outcome::fate)
                    .as("without BEGIN each statement stands for itself")
                    .containsExactly(ScriptRun.Fate.ACCEPTED, ScriptRun.Fate.REFUSED, ScriptRun.Fate.NOT_RUN);
            ScriptRun.Refusal refusal = run.refusal().orElseThrow();
            assertThat(refusal.statement().text()).startsWith("INSERT INTO hive");
            assertThat(refusal.reason()).containsIgnoringCase("null");
        }
    }

    @Test
    void it_tells_how_far_it_is_and_when_stopped_leaves_nothing_of_its_transaction() throws Exception {
        Document demo = DocumentFile.read(Path.of("../demo/alder-valley.able.json"));
        Script script = DesignScript.definitions(demo.mapping(), Dialects.SQLITE);
        var told = new ArrayList<Integer>();
        try (Connection connection = RealEngine.SQLITE.open()) {
            assertThatThrownBy(() -> ScriptRun.of(script, connection, done -> {
                        told.add(done);
                        if (done == 3) {
                            Thread.currentThread().interrupt();
                        }
                    }))
                    .isInstanceOf(CancellationException.class)
                    .hasMessage("stopped after 3 statements");
            assertThat(Thread.interrupted()).isTrue();
            assertThat(told).containsExactly(1, 2, 3);
            assertThat(ScriptRun.of(script, connection).refusal())
                    .as("it can be run anew")
                    .isEmpty();
        }
    }

    /** The script of a design with one statement more, which no database takes. */
    private static Script withFaulty(RealEngine engine) throws Exception {
        Document demo = DocumentFile.read(Path.of("../demo/alder-valley.able.json"));
        Script script = DesignScript.definitions(demo.mapping(), engine.dialect());
        var statements = new ArrayList<>(script.statements());
        int last = statements.size() - 1;
        boolean closed = statements.get(last).kind() == Statement.Kind.COMMIT;
        statements.add(
                closed ? last : last + 1,
                new Statement(
                        Statement.Kind.TABLE, List.of(), List.of(new Line("CREATE TABLE hive ();;", List.of())), ";"));
        return new Script(script.dialect(), statements, List.of());
    }

    @ParameterizedTest
    @EnumSource
    void a_refusal_leaves_nothing_behind_where_definitions_can_be_taken_back(RealEngine engine) throws Exception {
        boolean together = engine.dialect().can(Ability.TRANSACTIONAL_DEFINITIONS);
        try (Connection connection = engine.open()) {
            ScriptRun run = ScriptRun.of(withFaulty(engine), connection);

            assertThat(run.refusal()).isPresent();
            assertThat(connection.getAutoCommit()).isTrue();
            long kept = run.outcomes().stream()
                    .filter(each ->
                            each.statement().kind() == Statement.Kind.TABLE && each.fate() == ScriptRun.Fate.ACCEPTED)
                    .count();
            assertThat(kept).isEqualTo(together ? 0 : 11);
            // what can be made again was not there
            ScriptRun again = ScriptRun.of(
                    DesignScript.definitions(
                            DocumentFile.read(Path.of("../demo/alder-valley.able.json"))
                                    .mapping(),
                            engine.dialect()),
                    connection);
            assertThat(again.refusal().isEmpty()).isEqualTo(together);
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

    @Test
    void what_an_engine_says_again_of_the_statement_is_cut_to_the_place_that_it_means() throws Exception {
        Document design = Reverse.of(
                        SqlReader.read(
                                "create table mole (id int primary key, note varchar(40), shape geometry(nonsense))",
                                Dialects.H2),
                        "harbour")
                .document();
        try (Connection connection = BuiltInEngine.H2.open()) {
            assertThat(ScriptRun.of(DesignScript.definitions(design.mapping(), Dialects.H2), connection)
                            .refusal()
                            .orElseThrow()
                            .reason())
                    .startsWith("Syntax error in SQL statement \"…")
                    .contains("geometry([*]nonsense)")
                    .endsWith("expected \"GEOMETRY\"")
                    .hasSizeLessThan(150);
        }
    }
}
