package ableschema.engine;

import ableschema.core.sql.Script;
import ableschema.core.sql.Statement;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;
import java.util.Optional;

/**
 * What a database said of a script.
 *
 * @param accepted how many statements it carried out
 * @param refusal  the statement at which it stopped; empty if it took them all
 */
public record ScriptRun(int accepted, Optional<Refusal> refusal) {

    /** A statement that a database did not take, with its own reason. */
    public record Refusal(Statement statement, String reason) {}

    /** Runs the statements in their order until one is refused; the connection stays the caller's. */
    public static ScriptRun of(Script script, Connection connection) throws SQLException {
        List<Statement> statements = script.executable().toList();
        int accepted = 0;
        for (Statement each : statements) {
            try (var statement = connection.createStatement()) {
                // JDBC would take {…} for an escape of its own, and a question mark for a parameter
                statement.setEscapeProcessing(false);
                statement.execute(each.executable());
                accepted++;
            } catch (SQLException e) {
                return new ScriptRun(accepted, Optional.of(new Refusal(each, String.valueOf(e.getMessage()))));
            }
        }
        return new ScriptRun(accepted, Optional.empty());
    }
}
