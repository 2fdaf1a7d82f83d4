package ableschema.core.schema;

import ableschema.core.design.ColumnRef;
import ableschema.core.design.Expression;
import ableschema.core.design.Id;
import ableschema.core.types.DataType;
import java.util.Optional;

/**
 * One column of a table.
 *
 * @param label  what the design calls it, for people
 * @param ref    its address in the design
 * @param origin the attribute or relationship that it comes from
 */
public record Column(
        String name,
        String label,
        DataType type,
        boolean nullable,
        Expression defaultValue,
        String comment,
        ColumnRef ref,
        Id origin) {

    public Column withComment(String comment) {
        return new Column(name, label, type, nullable, defaultValue, comment, ref, origin);
    }

    public boolean isUndecided() {
        return type instanceof DataType.Undecided;
    }

    /** The numbering, where the database hands out the values. */
    public Optional<DataType.Counted> identity() {
        return type instanceof DataType.Counted counted ? Optional.of(counted) : Optional.empty();
    }
}
