package ableschema.core.design;

import java.util.Optional;

/**
 * The address of a foreign key column: a column of the key referred to, as seen from the table that refers.
 *
 * @param end    the end of the relationship that is referred to
 * @param target the column of its key
 */
public record ForeignColumn(EndRef end, ColumnRef target) implements ColumnRef {
    @Override
    public Optional<Id> attribute() {
        return target.attribute();
    }

    @Override
    public Optional<EndRef> through() {
        return Optional.of(end);
    }

    @Override
    public String toString() {
        return end + "/" + target;
    }
}
