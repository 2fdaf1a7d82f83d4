package ableschema.core.reverse;

import ableschema.core.design.ColumnRef;
import ableschema.core.design.EndRef;
import ableschema.core.design.ForeignColumn;
import ableschema.core.design.Side;
import ableschema.core.schema.Column;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** The addresses of all columns: attributes of their own, or columns that a reference brings along. */
final class ColumnRefs {

    private final Found found;
    private final Map<TableName, Map<String, ColumnRef>> known = new HashMap<>();
    private final Set<TableName> underWay = new HashSet<>();

    ColumnRefs(Found found) {
        this.found = found;
    }

    /** The address of a column of a table. */
    ColumnRef of(Table table, String column) {
        return of(table).getOrDefault(column, new ColumnRef.Keyless());
    }

    /** The addresses of a table's columns by their names. */
    Map<String, ColumnRef> of(Table table) {
        Map<String, ColumnRef> refs = known.get(table.qualified());
        if (refs != null) {
            return refs;
        }
        refs = new LinkedHashMap<>();
        boolean circle = !underWay.add(table.qualified());
        for (Column column : table.columns()) {
            refs.put(column.name(), new ColumnRef.Own(Found.attribute(table, column)));
        }
        if (!circle) {
            for (ForeignKey key : found.references(table)) {
                addReference(table, key, refs);
            }
            known.put(table.qualified(), refs);
            underWay.remove(table.qualified());
        }
        return refs;
    }

    private void addReference(Table table, ForeignKey key, Map<String, ColumnRef> refs) {
        List<String> columns = found.ordered(key);
        List<String> targets = found.targetKey(key).orElse(List.of());
        for (int i = 0; i < columns.size(); i++) {
            String name = columns.get(i);
            boolean own = refs.get(name) instanceof ColumnRef.Own;
            if (own && isBrought(table, name)) {
                refs.put(name, column(table, key, targets.get(i)));
            }
        }
    }

    /** Whether a column can be had from a reference: one that is filled by the database stays an attribute. */
    private static boolean isBrought(Table table, String name) {
        return table.column(name)
                .filter(column ->
                        column.identity().isEmpty() && !column.filling().isComputed())
                .isPresent();
    }

    /** The column that a reference brings for one of the columns that it refers to. */
    ColumnRef column(Table table, ForeignKey key, String target) {
        return new ForeignColumn(end(table, key), of(found.table(key.target()), target));
    }

    /** The end of the relationship that a foreign key refers to. */
    EndRef end(Table table, ForeignKey key) {
        if (!found.isManyToMany(table)) {
            return new EndRef(Found.relationship(table, key), Side.FIRST);
        }
        List<ForeignKey> pair = found.inOrder(
                found.references(table), table.primaryKey().orElseThrow().columns()); // a junction has one
        return new EndRef(found.owner(table), pair.get(0) == key ? Side.FIRST : Side.SECOND);
    }
}
