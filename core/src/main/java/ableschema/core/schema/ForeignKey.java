package ableschema.core.schema;

import ableschema.core.design.EndRef;
import ableschema.core.design.ReferenceAction;
import java.util.List;

/**
 * Columns that must match a row of another table, or be empty.
 *
 * @param target        the name of the table referred to
 * @param targetColumns its key columns, in the order of {@code columns}
 * @param origin        the end of the relationship that is referred to
 */
public record ForeignKey(
        String name,
        List<String> columns,
        String target,
        List<String> targetColumns,
        ReferenceAction onDelete,
        ReferenceAction onUpdate,
        EndRef origin) {

    public ForeignKey {
        columns = List.copyOf(columns);
        targetColumns = List.copyOf(targetColumns);
    }
}
