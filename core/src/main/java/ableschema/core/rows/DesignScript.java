package ableschema.core.rows;

import ableschema.core.mapping.Mapping;
import ableschema.core.sql.Script;
import ableschema.core.sql.ScriptWriter;
import ableschema.core.sql.dialect.Dialect;
import java.util.List;

/** The script of a design, with what its tables could not hold said in it. */
public final class DesignScript {

    private DesignScript() {}

    /** The definitions; an {@link IllegalArgumentException} says what is not decided. */
    public static Script definitions(Mapping mapping, Dialect dialect) {
        return ScriptWriter.withRows(mapping.schema(), mapping.remarks(), List.of(), dialect);
    }

    /** The definitions, then the sample rows that the database takes; the others stand as comments. */
    public static Script withRows(Mapping mapping, Dialect dialect) {
        return ScriptWriter.withRows(mapping.schema(), mapping.remarks(), ScriptRows.of(mapping), dialect);
    }
}
