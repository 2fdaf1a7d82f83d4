package ableschema.engine;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.ddl.SqlRead;
import ableschema.core.ddl.SqlReader;
import ableschema.engine.catalog.Catalog;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A script of any statements is read as the engine has it that has carried them out. */
class ReadingAgainstEngineTest {

    private static final int STATEMENTS = 25;

    /** What an engine has taken of a script, and in what that is read otherwise than the engine has it. */
    record Outcome(String script, List<String> differences, List<String> leftOut) {}

    static Outcome outcome(RealEngine engine, long seed, int statements) throws SQLException {
        var script = new RandomScript(seed, engine);
        var taken = new StringBuilder();
        try (Connection connection = engine.open();
                Statement statement = connection.createStatement()) {
            for (int i = 0; i < statements; i++) {
                RandomScript.Step step = script.next();
                if (isTaken(statement, step.sql())) {
                    step.done().run();
                    taken.append(step.sql()).append(";\n");
                }
            }
            SqlRead read = SqlReader.read(taken.toString(), engine.dialect());
            return new Outcome(
                    taken.toString(),
                    SameSchema.differences(read.schema(), Catalog.read(connection).schema()),
                    read.skipped().stream().map(Object::toString).toList());
        }
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
        for (long seed = 1; seed <= (engine.isServer() ? 10 : 60); seed++) {
            Outcome outcome = outcome(engine, seed, STATEMENTS);
            assertThat(outcome.differences()).as("seed %d: %s", seed, outcome.script()).isEmpty();
        }
    }
}
