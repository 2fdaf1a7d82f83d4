package ableschema.core.schema;

/**
 * The address of one part of a schema: lines of a script, remarks and traces speak of parts.
 *
 * @param table the table that it belongs to; for a domain its own name
 * @param name  the name within the table; empty for the table itself
 */
public record Part(TableName table, Kind kind, String name) {

    /** The schema as a whole. */
    public static final Part WHOLE = new Part(TableName.of(""), Kind.TABLE, "");

    /** What a part is. */
    public enum Kind {
        TABLE,
        COLUMN,
        PRIMARY_KEY,
        FOREIGN_KEY,
        UNIQUE,
        CHECK,
        INDEX,
        ROW,
        DOMAIN
    }

    @Override
    public String toString() {
        return name.isEmpty() ? table.toString() : table + "." + name;
    }
}
