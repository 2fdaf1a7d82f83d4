package ableschema.core.design;

import ableschema.core.expression.Expression;
import java.util.Optional;

/**
 * What a designer has said of one foreign key column beyond what follows from its relationship.
 *
 * @param target       the column of the key referred to
 * @param defaultValue what is taken where nothing is given
 * @param sameAs       another column of the same table that this is; it then has all else from that one
 * @param comment      empty for nothing
 */
public record ReferenceColumn(
        ColumnRef target, Expression<ColumnRef> defaultValue, Optional<ColumnRef> sameAs, String comment, Pins pins) {

    /** A column of which nothing has been said. */
    public static ReferenceColumn to(ColumnRef target) {
        return new ReferenceColumn(target, Expression.none(), Optional.empty(), "", Pins.NONE);
    }

    public ReferenceColumn withName(String name) {
        return withPins(pins.withName(name));
    }

    public ReferenceColumn withPins(Pins pins) {
        return new ReferenceColumn(target, defaultValue, sameAs, comment, pins);
    }

    public ReferenceColumn withComment(String comment) {
        return new ReferenceColumn(target, defaultValue, sameAs, comment, pins);
    }

    public ReferenceColumn withDefault(Expression<ColumnRef> defaultValue) {
        return new ReferenceColumn(target, defaultValue, sameAs, comment, pins);
    }

    public ReferenceColumn withSameAs(ColumnRef column) {
        return new ReferenceColumn(target, defaultValue, Optional.of(column), comment, pins);
    }
}
