package ableschema.core.sql.dialect;

import ableschema.core.carried.Carried;
import java.util.Set;

/**
 * How a dialect makes what stands beside tables.
 *
 * @param apart what sets a statement apart in which semicolons stand
 * @param anew  what stands behind CREATE to replace what is there
 * @param kinds of which things it can stand
 */
public record Making(Apart apart, String anew, Set<Carried.Kind> kinds) {

    static final Making USUAL = new Making(Apart.NOTHING, "OR REPLACE", Set.of());

    /** What client programs need to know where a statement ends. */
    public enum Apart {
        /** Nothing: they know. */
        NOTHING,
        /** Another mark at the end, which is said before. */
        DELIMITER,
        /** GO on lines before and behind. */
        GO,
        /** A slash on the line behind. */
        SLASH
    }
}
