package ableschema.core.schema;

import ableschema.core.types.ReferenceAction;
import java.util.List;

/**
 * Columns that must match a row of another table, or be empty.
 *
 * @param target        the table referred to
 * @param targetColumns its key columns, in the order of {@code columns}
 * @param wholeOrEmpty  whether a row may leave it empty, but then in all columns that may be empty
 */
public record ForeignKey(
        String name,
        List<String> columns,
        TableName target,
        List<String> targetColumns,
        ReferenceAction onDelete,
        ReferenceAction onUpdate,
        boolean wholeOrEmpty) {

    public ForeignKey {
        columns = List.copyOf(columns);
        targetColumns = List.copyOf(targetColumns);
    }
}
