package ableschema.core.rows;

import ableschema.core.design.Body;
import ableschema.core.design.Design;
import ableschema.core.design.EndRef;
import ableschema.core.design.Id;
import ableschema.core.design.Row;
import ableschema.core.finding.Finding;
import ableschema.core.mapping.Mapping;
import ableschema.core.mapping.TableTrace;
import ableschema.core.schema.Table;
import ableschema.core.sql.RowData;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The sample rows of a design as a script inserts them, each with what is wrong with it. */
public final class ScriptRows {

    private ScriptRows() {}

    /** All rows as they were entered, table by table; rows are judged with what the database fills in. */
    public static List<RowData> of(Mapping mapping) {
        return of(mapping, mapping.physical());
    }

    /** All rows with stand-ins for what is personal or secret. */
    public static List<RowData> withStandIns(Mapping mapping) {
        return of(mapping, StandIns.in(mapping.physical()));
    }

    private static List<RowData> of(Mapping mapping, Design entered) {
        Design design = FilledRows.of(entered);
        Map<Id, String> faults = new HashMap<>();
        for (Finding finding : RowJudge.judge(design)) {
            finding.place().row().ifPresent(row -> faults.putIfAbsent(row, finding.text()));
        }
        var values = new RowValues(design);
        var rows = new ArrayList<RowData>();
        for (Table table : mapping.schema().tables()) {
            TableTrace trace = mapping.trace().of(table);
            for (Row row : design.body(trace.owner()).orElse(Body.EMPTY).rows()) {
                rows.add(data(table, trace, row, values, Optional.ofNullable(faults.get(row.id()))));
            }
        }
        return rows;
    }

    private static RowData data(Table table, TableTrace trace, Row row, RowValues values, Optional<String> fault) {
        var texts = new LinkedHashMap<String, String>();
        trace.columns()
                .forEach((name, column) -> values.value(row, column.ref()).ifPresent(value -> texts.put(name, value)));
        var parents = new HashMap<String, String>();
        for (Map.Entry<String, EndRef> each : trace.references().entrySet()) {
            values.parent(row, each.getValue())
                    .ifPresent(parent -> parents.put(each.getKey(), parent.id().toString()));
        }
        return new RowData(table.qualified(), row.id().toString(), texts, parents, fault);
    }
}
