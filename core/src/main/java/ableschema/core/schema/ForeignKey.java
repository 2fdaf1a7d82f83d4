package ableschema.core.schema;

import ableschema.core.types.ReferenceAction;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * Columns that must match a row of another table, or be empty.
 *
 * @param target        the table referred to
 * @param targetColumns its key columns, in the order of {@code columns}
 * @param wholeOrEmpty  whether a row may leave it empty, but then in all columns that may be empty
 * @param deferred      whether it is checked at the end of a transaction, though nothing in the tables asks for that
 * @param options       what single dialects say of it
 */
public record ForeignKey(
        String name,
        List<String> columns,
        TableName target,
        List<String> targetColumns,
        ReferenceAction onDelete,
        ReferenceAction onUpdate,
        boolean wholeOrEmpty,
        boolean deferred,
        Map<String, String> options) {

    public ForeignKey {
        columns = List.copyOf(columns);
        targetColumns = List.copyOf(targetColumns);
        options = Map.copyOf(options);
    }

    /** One that is checked at once. */
    public ForeignKey(
            String name,
            List<String> columns,
            TableName target,
            List<String> targetColumns,
            ReferenceAction onDelete,
            ReferenceAction onUpdate,
            boolean wholeOrEmpty) {
        this(name, columns, target, targetColumns, onDelete, onUpdate, wholeOrEmpty, false, Map.of());
    }

    public ForeignKey withDeferred(boolean deferred) {
        return new ForeignKey(
                name, columns, target, targetColumns, onDelete, onUpdate, wholeOrEmpty, deferred, options);
    }

    public ForeignKey withOptions(Map<String, String> options) {
        return new ForeignKey(
                name, columns, target, targetColumns, onDelete, onUpdate, wholeOrEmpty, deferred, options);
    }

    public ForeignKey acting(ReferenceAction onDelete, ReferenceAction onUpdate) {
        return new ForeignKey(
                name, columns, target, targetColumns, onDelete, onUpdate, wholeOrEmpty, deferred, options);
    }

    public ForeignKey named(String name) {
        return new ForeignKey(
                name, columns, target, targetColumns, onDelete, onUpdate, wholeOrEmpty, deferred, options);
    }

    /** The same reference with other columns, in the order of those that it refers to. */
    public ForeignKey over(List<String> columns) {
        return new ForeignKey(
                name, columns, target, targetColumns, onDelete, onUpdate, wholeOrEmpty, deferred, options);
    }

    public ForeignKey to(TableName target, List<String> targetColumns) {
        return new ForeignKey(
                name, columns, target, targetColumns, onDelete, onUpdate, wholeOrEmpty, deferred, options);
    }

    public ForeignKey withWholeOrEmpty(boolean wholeOrEmpty) {
        return new ForeignKey(
                name, columns, target, targetColumns, onDelete, onUpdate, wholeOrEmpty, deferred, options);
    }

    public ForeignKey withOnDelete(ReferenceAction onDelete) {
        return new ForeignKey(
                name, columns, target, targetColumns, onDelete, onUpdate, wholeOrEmpty, deferred, options);
    }

    public ForeignKey withOnUpdate(ReferenceAction onUpdate) {
        return new ForeignKey(
                name, columns, target, targetColumns, onDelete, onUpdate, wholeOrEmpty, deferred, options);
    }

    /** The columns that it joins, pair by pair, as in {@code hive.apiary_code = apiary.code}; {@code table} is its own. */
    public List<String> pairs(String table) {
        return IntStream.range(0, columns.size())
                .mapToObj(i -> table + "." + columns.get(i) + " = " + target.name() + "." + targetColumns.get(i))
                .toList();
    }
}
