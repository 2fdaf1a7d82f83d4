package ableschema.core.design;

import static java.util.Objects.requireNonNull;

import ableschema.core.expression.Expression;
import ableschema.core.expression.Filling;
import ableschema.core.types.DataType;
import ableschema.core.types.DataTypes;

/**
 * One thing that is known of each instance of an entity, such as a hive's colour.
 *
 * @param type     what it holds; a {@link DataType.InDomain} names one of the design's domains by its id
 * @param optional whether it may be left empty
 * @param filling  what is taken where nothing is given
 * @param comment  what people should know of it; empty for nothing
 */
public record Attribute(
        Id id, String name, DataType type, boolean optional, Filling<ColumnRef> filling, String comment, Pins pins) {

    public Attribute {
        requireNonNull(id, "id");
        requireNonNull(name, "name");
        requireNonNull(type, "type");
        requireNonNull(filling, "filling");
    }

    /** A mandatory attribute of which nothing else has been said. */
    public static Attribute named(Id id, String name) {
        return new Attribute(id, name, DataTypes.UNDECIDED, false, Filling.nothing(), "", Pins.NONE);
    }

    public ColumnRef ref() {
        return new ColumnRef.Own(id);
    }

    /** What is taken where nothing is given; no expression where there is no default. */
    public Expression<ColumnRef> defaultValue() {
        return filling.defaultValue();
    }

    public Attribute withName(String name) {
        return new Attribute(id, name, type, optional, filling, comment, pins);
    }

    public Attribute withType(DataType type) {
        return new Attribute(id, name, type, optional, filling, comment, pins);
    }

    public Attribute withOptional(boolean optional) {
        return new Attribute(id, name, type, optional, filling, comment, pins);
    }

    public Attribute withFilling(Filling<ColumnRef> filling) {
        return new Attribute(id, name, type, optional, filling, comment, pins);
    }

    public Attribute withDefault(Expression<ColumnRef> defaultValue) {
        return withFilling(Filling.byDefault(defaultValue));
    }

    public Attribute withComment(String comment) {
        return new Attribute(id, name, type, optional, filling, comment, pins);
    }

    public Attribute withPins(Pins pins) {
        return new Attribute(id, name, type, optional, filling, comment, pins);
    }
}
