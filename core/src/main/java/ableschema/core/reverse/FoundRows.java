package ableschema.core.reverse;

import ableschema.core.ddl.ReadRows;
import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.Row;
import ableschema.core.schema.Column;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import ableschema.core.types.DataType;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Puts rows that were read into a design as sample rows; what they refer to is found by its key. */
final class FoundRows {

    private final Found found;
    private final ColumnRefs refs;
    private final Map<TableName, List<Map<String, String>>> rows = new HashMap<>();

    /** By table and key columns, the rows by what they hold in those. */
    private final Map<String, Map<List<String>, Id>> keys = new HashMap<>();

    FoundRows(Found found, List<ReadRows> read) {
        this.found = found;
        this.refs = new ColumnRefs(found);
        read.forEach(
                each -> found.schema().table(each.table()).ifPresent(table -> rows.put(each.table(), each.rows())));
    }

    /** The same design with the rows. */
    Design in(Design design) {
        Design filled = design;
        for (Map.Entry<TableName, List<Map<String, String>>> each : rows.entrySet()) {
            Table table = found.table(each.getKey());
            var sample = new ArrayList<Row>();
            for (int i = 0; i < each.getValue().size(); i++) {
                sample.add(row(table, i, each.getValue().get(i)));
            }
            Id owner = found.owner(table);
            Design before = filled;
            filled = before.body(owner)
                    .map(body -> before.withBody(owner, widened(body.withRows(sample))))
                    .orElse(before);
        }
        return filled;
    }

    /** A number in the rows may be larger than its type says where all whole numbers are of one type. */
    private static Body widened(Body body) {
        Body wide = body;
        for (Attribute attribute : body.attributes()) {
            boolean beyond = attribute.type().equals(new DataType.Whole(0))
                    && body.rows().stream()
                            .flatMap(row -> row.value(attribute.id()).stream())
                            .anyMatch(FoundRows::isBeyond);
            wide = beyond ? wide.replacing(attribute.withType(new DataType.Whole(DataType.Whole.LARGEST))) : wide;
        }
        return wide;
    }

    private static boolean isBeyond(String value) {
        return value.matches("-?[0-9]{10,18}") && Math.abs(Long.parseLong(value)) > Integer.MAX_VALUE;
    }

    private static Id id(Table table, int place) {
        return Id.derived(IdKind.ROW, table.qualified() + "#" + place);
    }

    private Row row(Table table, int place, Map<String, String> values) {
        Row row = Row.empty(id(table, place));
        for (Column column : table.columns()) {
            ColumnRef ref = refs.of(table, column.name());
            String given = values.getOrDefault(column.name(), "");
            boolean bytes =
                    column.type() instanceof DataType.Bytes && given.startsWith("\\x"); // as PostgreSQL has them
            String value = bytes ? given.substring(2) : given;
            if (ref instanceof ColumnRef.Own own && !column.filling().isComputed()) {
                row = row.with(own.id(), value);
            }
        }
        for (ForeignKey key : found.references(table)) {
            row = row.with(refs.end(table, key), reference(key, values));
        }
        return row;
    }

    private Optional<Row.Reference> reference(ForeignKey key, Map<String, String> values) {
        List<String> given = found.ordered(key).stream()
                .map(name -> values.getOrDefault(name, ""))
                .toList();
        if (given.contains("")) {
            return Optional.empty();
        }
        Id row = keyed(found.table(key.target()), found.targetKey(key).orElse(List.of()))
                .get(given);
        return Optional.of(row == null ? new Row.RawKey(given) : new Row.ToRow(row));
    }

    private Map<List<String>, Id> keyed(Table table, List<String> columns) {
        return keys.computeIfAbsent(table.qualified() + columns.toString(), any -> {
            var byKey = new HashMap<List<String>, Id>();
            List<Map<String, String>> all = rows.getOrDefault(table.qualified(), List.of());
            for (int i = 0; i < all.size(); i++) {
                Map<String, String> row = all.get(i);
                byKey.putIfAbsent(
                        columns.stream().map(name -> row.getOrDefault(name, "")).toList(), id(table, i));
            }
            return byKey;
        });
    }
}
