package ableschema.engine;

import ableschema.core.sql.Script;
import ableschema.core.sql.Statement;
import ableschema.core.sql.Statement.Kind;
import ableschema.core.sql.dialect.Ability;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.IntConsumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What a database said of a script, statement by statement. A run is one transaction where the database can take definitions
 * back: then a refusal leaves nothing behind.
 */
public record ScriptRun(List<Outcome> outcomes) {

    /** What H2 says of a statement with a mark where it did not understand it. */
    private static final Pattern MARKED = Pattern.compile("(?s)([^\"]*\").*?(.{0,30})\\[\\*](.{0,20}).*?(\"; .*|\")");

    public ScriptRun {
        outcomes = List.copyOf(outcomes);
    }

    /** What became of one statement. */
    public record Outcome(Statement statement, Fate fate, Optional<Refusal> refusal) {}

    /** How a statement ended. */
    public enum Fate {
        ACCEPTED,
        REFUSED,
        /** It had been accepted, and was undone with the rest of its transaction. */
        TAKEN_BACK,
        /** A statement before it was refused. */
        NOT_RUN
    }

    /**
     * A statement that a database did not take.
     *
     * @param reason   the database's own words
     * @param sqlState its five letters and digits; empty where the driver gives none
     */
    public record Refusal(Statement statement, String reason, String sqlState) {}

    /** How many statements stay carried out. */
    public int accepted() {
        return (int)
                outcomes.stream().filter(each -> each.fate() == Fate.ACCEPTED).count();
    }

    /** The statement at which it stopped; empty if the database took them all. */
    public Optional<Refusal> refusal() {
        return outcomes.stream().flatMap(each -> each.refusal().stream()).findFirst();
    }

    /** Runs the statements in their order until one is refused; the connection stays the caller's, out of any transaction. */
    public static ScriptRun of(Script script, Connection connection) throws SQLException {
        return of(script, connection, done -> {});
    }

    /**
     * @param progress told how many statements have been run or passed over
     * @throws CancellationException when the thread is interrupted between two statements; what a transaction holds is undone
     */
    public static ScriptRun of(Script script, Connection connection, IntConsumer progress) throws SQLException {
        boolean together = script.dialect().can(Ability.TRANSACTIONAL_DEFINITIONS);
        var outcomes = new ArrayList<Outcome>();
        boolean refused = false;
        try {
            for (Statement each : script.executable().toList()) {
                if (Thread.currentThread().isInterrupted()) {
                    if (!connection.getAutoCommit()) {
                        connection.rollback();
                    }
                    throw new CancellationException("stopped after " + outcomes.size() + " statements");
                }
                Outcome outcome =
                        refused ? new Outcome(each, Fate.NOT_RUN, Optional.empty()) : outcome(each, connection);
                refused |= outcome.fate() == Fate.REFUSED;
                outcomes.add(outcome);
                progress.accept(outcomes.size());
            }
            if (refused && !connection.getAutoCommit()) {
                connection.rollback();
            }
        } finally {
            connection.setAutoCommit(true);
        }
        return new ScriptRun(refused && together ? takenBack(outcomes) : outcomes);
    }

    private static List<Outcome> takenBack(List<Outcome> outcomes) {
        boolean within = false;
        var all = new ArrayList<Outcome>();
        for (Outcome each : outcomes) {
            within |= each.statement().kind() == Kind.BEGIN;
            boolean undone = within && each.fate() == Fate.ACCEPTED;
            all.add(undone ? new Outcome(each.statement(), Fate.TAKEN_BACK, Optional.empty()) : each);
        }
        return all;
    }

    /** Transactions are begun and ended through the connection, so that it knows of them. */
    private static Outcome outcome(Statement each, Connection connection) {
        try {
            switch (each.kind()) {
                case BEGIN -> connection.setAutoCommit(false);
                case COMMIT -> {
                    if (!connection.getAutoCommit()) {
                        connection.commit();
                        connection.setAutoCommit(true);
                    }
                }
                default -> execute(each, connection);
            }
            return new Outcome(each, Fate.ACCEPTED, Optional.empty());
        } catch (SQLException e) {
            String state = e.getSQLState() == null ? "" : e.getSQLState();
            return new Outcome(
                    each, Fate.REFUSED, Optional.of(new Refusal(each, reason(String.valueOf(e.getMessage())), state)));
        }
    }

    /** Without the whole statement, which H2 says once or twice again: a few words before the place that it marks are enough. */
    private static String reason(String message) {
        int again = message.indexOf("; SQL statement:");
        String own = again < 0 ? message : message.substring(0, again);
        Matcher quoted = MARKED.matcher(own.replaceAll("\\\\000a\\s*", " "));
        return quoted.matches()
                ? quoted.group(1) + "…" + quoted.group(2) + "[*]" + quoted.group(3) + "…" + quoted.group(4)
                : own;
    }

    private static void execute(Statement each, Connection connection) throws SQLException {
        try (var statement = connection.createStatement()) {
            // JDBC would take {…} for an escape of its own, and a question mark for a parameter
            statement.setEscapeProcessing(false);
            statement.execute(each.executable());
        }
    }
}
