package ableschema.core.rows;

import static java.util.stream.Collectors.joining;
import static java.util.stream.Collectors.toSet;

import ableschema.core.design.Attribute;
import ableschema.core.design.Id;
import ableschema.core.mapping.Mapping;
import ableschema.core.schema.Decided;
import ableschema.core.schema.Part;
import ableschema.core.schema.Remark;
import ableschema.core.sql.RowData;
import ableschema.core.sql.Script;
import ableschema.core.sql.ScriptWriter;
import ableschema.core.sql.dialect.Dialect;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** The script of a design, with what its tables could not hold said in it. */
public final class DesignScript {

    private DesignScript() {}

    /** The definitions of all that is decided; what is not is said at its place. */
    public static Script definitions(Mapping mapping, Dialect dialect) {
        return script(mapping, List.of(), List.of(), dialect);
    }

    /**
     * The definitions, then the sample rows that the database takes; the others stand as comments. Stand-ins take the place of what is
     * personal or secret, and the script says of which columns.
     */
    public static Script withRows(Mapping mapping, Dialect dialect) {
        return script(mapping, ScriptRows.withStandIns(mapping), standIns(mapping), dialect);
    }

    /** The same with what is personal or secret as it was entered. */
    public static Script withRowsAsEntered(Mapping mapping, Dialect dialect) {
        return script(mapping, ScriptRows.of(mapping), List.of(), dialect);
    }

    private static List<Remark> standIns(Mapping mapping) {
        Set<Id> hidden =
                StandIns.hidden(mapping.physical()).stream().map(Attribute::id).collect(toSet());
        String columns = mapping.schema().tables().stream()
                .filter(table -> mapping.physical()
                        .body(mapping.trace().owner(table))
                        .filter(body -> !body.rows().isEmpty())
                        .isPresent())
                .flatMap(table -> table.columns().stream()
                        .filter(column -> mapping.trace()
                                .ref(table, column)
                                .attribute()
                                .filter(hidden::contains)
                                .isPresent())
                        .map(column -> table.name() + "." + column.name()))
                .collect(joining(", "));
        return columns.isEmpty()
                ? List.of()
                : List.of(new Remark(
                        Part.WHOLE, "in the rows, stand-ins take the place of what is personal or secret: " + columns));
    }

    private static Script script(Mapping mapping, List<RowData> rows, List<Remark> said, Dialect dialect) {
        Decided decided = Decided.of(mapping.schema());
        var remarks = new ArrayList<>(mapping.remarks());
        remarks.addAll(said);
        remarks.addAll(decided.leftOut());
        return ScriptWriter.withRows(decided, remarks, rows, dialect);
    }
}
