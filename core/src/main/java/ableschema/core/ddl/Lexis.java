package ableschema.core.ddl;

import ableschema.core.sql.dialect.Dialect;

/**
 * How a database cuts its SQL text into tokens, where databases differ.
 *
 * @param backslash    whether a backslash escapes the next character of a text
 * @param doubleQuoted whether what stands between double quotes is a text, and no name
 * @param brackets     whether a name may stand between brackets
 * @param hash         whether a hash begins a comment
 * @param nested       whether comments stand in comments
 * @param client       whose client commands may stand between the statements
 */
record Lexis(boolean backslash, boolean doubleQuoted, boolean brackets, boolean hash, boolean nested, Client client) {

    /** The client programs that have commands of their own in a script. */
    enum Client {
        NONE,
        /** Lines that begin with a backslash, and rows behind COPY. */
        BACKSLASH,
        /** DELIMITER. */
        DELIMITER,
        /** Lines that begin with a point. */
        POINT,
        /** GO on a line of its own. */
        GO,
        /** A slash on a line of its own, and lines that begin with a word such as PROMPT. */
        SLASH
    }

    private static final Lexis STANDARD = new Lexis(false, false, false, false, true, Client.NONE);

    /** How a dialect does it. */
    static Lexis of(Dialect dialect) {
        return switch (dialect.name()) {
            case "mysql", "mariadb" -> new Lexis(true, true, false, true, false, Client.DELIMITER);
            case "sqlserver" -> new Lexis(false, false, true, false, true, Client.GO);
            case "sqlite" -> new Lexis(false, false, true, false, false, Client.POINT);
            case "oracle" -> new Lexis(false, false, false, false, false, Client.SLASH);
            case "postgresql" -> new Lexis(false, false, false, false, true, Client.BACKSLASH);
            default -> STANDARD;
        };
    }
}
