package ableschema.core.rows;

import ableschema.core.mapping.Mapping;
import ableschema.core.schema.Decided;
import ableschema.core.sql.RowData;
import ableschema.core.sql.Script;
import ableschema.core.sql.ScriptWriter;
import ableschema.core.sql.dialect.Dialect;
import java.util.ArrayList;
import java.util.List;

/** The script of a design, with what its tables could not hold said in it. */
public final class DesignScript {

    private DesignScript() {}

    /** The definitions of all that is decided; what is not is said at its place. */
    public static Script definitions(Mapping mapping, Dialect dialect) {
        return script(mapping, List.of(), dialect);
    }

    /** The definitions, then the sample rows that the database takes; the others stand as comments. */
    public static Script withRows(Mapping mapping, Dialect dialect) {
        return script(mapping, ScriptRows.of(mapping), dialect);
    }

    private static Script script(Mapping mapping, List<RowData> rows, Dialect dialect) {
        Decided decided = Decided.of(mapping.schema());
        var remarks = new ArrayList<>(mapping.remarks());
        remarks.addAll(decided.leftOut());
        return ScriptWriter.withRows(decided.schema(), remarks, rows, dialect);
    }
}
