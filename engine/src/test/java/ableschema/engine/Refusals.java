package ableschema.engine;

import java.sql.SQLException;
import java.util.List;

/** What engines say of a row that they refuse. */
final class Refusals {

    /** SQLite's code for a constraint that does not hold. */
    private static final int SQLITE_CONSTRAINT = 19;

    private static final int SQLITE_ERROR = 1;
    private static final int SQLITE_MISMATCH = 20;

    private Refusals() {}

    /**
     * Whether a row was refused because of a rule or a type (classes 22 and 23 of SQLSTATE), and not because the statement was
     * wrong. PostgreSQL and H2 count an assignment to a computed column, and a value of another type, as wrong statements; MariaDB
     * has codes of its own for a check, a computed column, and a column that must be given.
     */
    static boolean isOfRule(SQLException e) {
        String state = e.getSQLState();
        if (state == null || e.getClass().getName().contains("SQLite")) {
            return e.getErrorCode() == SQLITE_CONSTRAINT
                    || e.getErrorCode() == SQLITE_MISMATCH
                    || e.getErrorCode() == SQLITE_ERROR && e.getMessage().contains("generated column");
        }
        boolean computed = state.equals("428C9") || state.equals("90154");
        boolean ofMariaDb = List.of(4025, 1906, 1364).contains(e.getErrorCode());
        return state.startsWith("22") || state.startsWith("23") || state.startsWith("01") || computed || ofMariaDb;
    }

    /** Whether the engine's message holds the name of a rule of this kind. */
    static boolean namesRules(RealEngine engine, String rule) {
        return switch (engine) {
            case POSTGRESQL -> true;
            case MARIADB, H2 -> !rule.endsWith("_key");
            case SQLITE -> rule.endsWith("_check");
        };
    }
}
