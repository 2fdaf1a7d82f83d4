package ableschema.core.design;

import ableschema.core.design.Pins.Role;
import ableschema.core.types.ReferenceAction;
import java.util.List;
import java.util.Optional;

/**
 * How the rows at the other end of a relationship refer to those at this end.
 *
 * @param targetKey the unique rule whose columns are referred to; empty for the primary key
 * @param columns   what differs from the derived, foreign key column by column
 * @param pins      names: of the foreign key itself, of its unique constraint, of its index
 */
public record Reference(
        ReferenceAction onDelete,
        ReferenceAction onUpdate,
        Optional<Id> targetKey,
        List<ReferenceColumn> columns,
        Pins pins) {

    /** A reference of which nothing has been said. */
    public static final Reference USUAL =
            new Reference(ReferenceAction.NO_ACTION, ReferenceAction.NO_ACTION, Optional.empty(), List.of(), Pins.NONE);

    public Reference {
        columns = List.copyOf(columns);
    }

    /** What has been said of the column that refers to this one. */
    public Optional<ReferenceColumn> column(ColumnRef target) {
        return columns.stream().filter(c -> c.target().equals(target)).findFirst();
    }

    public Reference withActions(ReferenceAction onDelete, ReferenceAction onUpdate) {
        return new Reference(onDelete, onUpdate, targetKey, columns, pins);
    }

    /** Returns this reference without an action that would empty its columns. */
    public Reference emptyingNone() {
        return withActions(emptyingNone(onDelete), emptyingNone(onUpdate));
    }

    private static ReferenceAction emptyingNone(ReferenceAction action) {
        return action == ReferenceAction.SET_NULL ? ReferenceAction.NO_ACTION : action;
    }

    public Reference withTargetKey(Optional<Id> unique) {
        return new Reference(onDelete, onUpdate, unique, columns, pins);
    }

    /** Returns this reference with what is said of one column in place of what was said of it before. */
    public Reference with(ReferenceColumn column) {
        return withColumns(
                column(column.target()).isPresent()
                        ? Lists.replace(columns, ReferenceColumn::target, column)
                        : Lists.plus(columns, column));
    }

    public Reference withColumns(List<ReferenceColumn> columns) {
        return new Reference(onDelete, onUpdate, targetKey, columns, pins);
    }

    public Reference withPins(Pins pins) {
        return new Reference(onDelete, onUpdate, targetKey, columns, pins);
    }

    public Reference withName(Role role, String name) {
        return withPins(pins.withName(role, name));
    }
}
