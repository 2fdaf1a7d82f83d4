package ableschema.core.reverse;

import ableschema.core.design.ColumnRef;
import ableschema.core.design.EndRef;
import ableschema.core.design.ForeignColumn;
import ableschema.core.design.Side;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The addresses of all columns: attributes of their own, or columns that a reference brings along. */
final class ColumnRefs {

    private final Found found;
    private final Map<TableName, Map<String, ColumnRef>> known = new HashMap<>();
    private final Set<List<Object>> underWay = new HashSet<>();

    ColumnRefs(Found found) {
        this.found = found;
    }

    /** The address of a column of a table. */
    ColumnRef of(Table table, String column) {
        Map<String, ColumnRef> refs = known.computeIfAbsent(table.qualified(), none -> new HashMap<>());
        ColumnRef ref = refs.get(column);
        if (ref == null) {
            List<Object> place = List.of(table.qualified(), column);
            underWay.add(place);
            ref = brought(table, column)
                    .or(() ->
                            table.column(column).map(own -> (ColumnRef) new ColumnRef.Own(Found.attribute(table, own))))
                    .orElseGet(ColumnRef.Keyless::new);
            underWay.remove(place);
            refs.put(column, ref);
        }
        return ref;
    }

    /**
     * The column as the first reference brings it that has it. One column at a time is followed, so that a table may refer to itself
     * by a key of which a part is brought by another reference; a reference that leads back to the same column does not bring it.
     */
    private Optional<ColumnRef> brought(Table table, String column) {
        if (found.isApart(table) || !isBrought(table, column)) {
            return Optional.empty();
        }
        for (ForeignKey key : found.references(table)) {
            if (key.columns().contains(column) && !staysOwn(table, column, key)) {
                String target = found.targetKey(key)
                        .orElse(List.of())
                        .get(found.ordered(key).indexOf(column));
                if (!underWay.contains(List.of(key.target(), target))) {
                    return Optional.of(column(table, key, target));
                }
            }
        }
        return Optional.empty();
    }

    /** What a reference that may be empty has of a column that may not, and one to the table itself of a part of its key. */
    private static boolean staysOwn(Table table, String column, ForeignKey key) {
        boolean optional = key.columns().stream().anyMatch(each -> !isMandatory(table, each));
        return optional && isMandatory(table, column)
                || key.target().equals(table.qualified()) && isOfKey(table, column);
    }

    private static boolean isOfKey(Table table, String column) {
        return table.primaryKey()
                .filter(primary -> primary.columns().contains(column))
                .isPresent();
    }

    private static boolean isMandatory(Table table, String column) {
        return table.column(column).filter(each -> !each.nullable()).isPresent();
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
