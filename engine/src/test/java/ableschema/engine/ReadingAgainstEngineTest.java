package ableschema.engine;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.ddl.SqlRead;
import ableschema.core.ddl.SqlReader;
import ableschema.core.reverse.Reverse;
import ableschema.core.reverse.Reversed;
import ableschema.core.rows.DesignScript;
import ableschema.core.schema.Schema;
import ableschema.core.types.DataType;
import ableschema.engine.catalog.Catalog;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A script of any statements is read as the engine has it that has carried them out. */
class ReadingAgainstEngineTest {

    private static final int STATEMENTS = 25;

    private static final Pattern BOTH = Pattern.compile("(?s).*? is (.*) in the first and (.*) in the second");

    /** What an engine has taken of a script, and in what that is read otherwise than the engine has it. */
    record Outcome(String script, List<String> differences, List<String> leftOut, List<String> again) {}

    /** A script of what an engine takes of so many statements. */
    private static List<String> script(RealEngine engine, long seed, int statements) throws SQLException {
        var script = new RandomScript(seed, engine);
        var taken = new ArrayList<String>();
        try (Connection connection = engine.open();
                Statement statement = connection.createStatement()) {
            for (int i = 0; i < statements; i++) {
                RandomScript.Step step = script.next();
                if (isTaken(statement, step.sql())) {
                    step.done().run();
                    taken.add(step.sql());
                }
            }
        }
        return taken;
    }

    static Outcome outcome(RealEngine engine, long seed, int statements) throws SQLException {
        var taken = new ArrayList<String>();
        try (Connection connection = engine.open();
                Statement statement = connection.createStatement()) {
            for (String sql : script(engine, seed, statements)) {
                if (isTaken(statement, sql)) { // one that was refused may have left something behind
                    taken.add(sql);
                }
            }
            String script = String.join(";\n", taken) + ";\n";
            SqlRead read = SqlReader.read(script, engine.dialect());
            SqlRead live = Catalog.read(connection);
            return new Outcome(
                    script,
                    differences(read.schema(), live.schema()),
                    read.skipped().stream().map(Object::toString).toList(),
                    again(engine, live));
        }
    }

    /** In what the database that the design of one writes differs from it. */
    private static List<String> again(RealEngine engine, SqlRead live) throws SQLException {
        try (Connection other = engine.open()) {
            Reversed design = Reverse.of(live, "live");
            if (!design.differences().isEmpty()) {
                return List.of(); // what no design holds is told
            }
            ScriptRun run =
                    ScriptRun.of(DesignScript.definitions(design.document().mapping(), engine.dialect()), other);
            return run.refusal().isPresent()
                    ? List.of(run.refusal().get().reason())
                    : differences(live.schema(), Catalog.read(other).schema());
        }
    }

    private static List<String> differences(Schema one, Schema other) {
        return SameSchema.differences(one, other).stream()
                .filter(ReadingAgainstEngineTest::isReal)
                .toList();
    }

    /** To restrict is to take no action, but for when it is looked at; some engines tell the one for the other. */
    private static boolean isReal(String difference) {
        Matcher both = BOTH.matcher(difference.replace("RESTRICT", "NO ACTION"));
        return !both.matches() || !both.group(1).equals(both.group(2));
    }

    private static boolean isTaken(Statement statement, String sql) {
        try {
            statement.execute(sql);
            return true;
        } catch (SQLException e) {
            return false; // as a statement of chance may be wrong
        }
    }

    @ParameterizedTest
    @EnumSource(RealEngine.class)
    void a_script_is_read_as_the_engine_has_it(RealEngine engine) throws SQLException {
        for (long seed = 1; seed <= (engine.isServer() ? 12 : 60); seed++) {
            Outcome outcome = outcome(engine, seed, STATEMENTS);
            assertThat(outcome.differences())
                    .as("seed %d: %s", seed, outcome.script())
                    .isEmpty();
            assertThat(outcome.again())
                    .as("written again, seed %d: %s", seed, outcome.script())
                    .isEmpty();
        }
    }

    /** The catalogue tells of such a check under the name that its column had at first. */
    @Test
    void a_check_stays_with_a_column_that_was_renamed() throws SQLException {
        try (Connection connection = RealEngine.MARIADB.open();
                Statement statement = connection.createStatement()) {
            statement.execute("CREATE TABLE hive (a int CHECK (a > 1), b json, c int CHECK (c > b))");
            statement.execute("ALTER TABLE hive RENAME COLUMN a TO depth, RENAME COLUMN b TO told");

            Schema schema = Catalog.read(connection).schema();

            assertThat(schema.tables().get(0).checks())
                    .extracting(check -> check.expression().toString())
                    .containsExactlyInAnyOrder("{depth} > 1", "{c} > {told}");
            assertThat(schema.tables().get(0).columns().get(1).type()).isEqualTo(DataType.Simple.JSON);
        }
    }
}
