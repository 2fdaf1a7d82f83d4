package ableschema.core.design;

import static java.util.Objects.requireNonNull;

import ableschema.core.types.DataType;
import ableschema.core.types.DataTypes;

/**
 * One thing that is known of each instance of an entity, such as a hive's colour.
 *
 * @param optional     whether it may be left empty
 * @param defaultValue what is taken where nothing is given; {@link Expression#NONE} for none
 * @param comment      what people should know of it; empty for nothing
 */
public record Attribute(
        Id id, String name, DataType type, boolean optional, Expression defaultValue, String comment, Pins pins) {

    public Attribute {
        requireNonNull(id, "id");
        requireNonNull(name, "name");
        requireNonNull(type, "type");
    }

    /** A mandatory attribute of which nothing else has been said. */
    public static Attribute named(Id id, String name) {
        return new Attribute(id, name, DataTypes.UNDECIDED, false, Expression.NONE, "", Pins.NONE);
    }

    public ColumnRef ref() {
        return new ColumnRef.Own(id);
    }

    public Attribute withName(String name) {
        return new Attribute(id, name, type, optional, defaultValue, comment, pins);
    }

    public Attribute withType(DataType type) {
        return new Attribute(id, name, type, optional, defaultValue, comment, pins);
    }

    public Attribute withOptional(boolean optional) {
        return new Attribute(id, name, type, optional, defaultValue, comment, pins);
    }

    public Attribute withDefault(Expression defaultValue) {
        return new Attribute(id, name, type, optional, defaultValue, comment, pins);
    }

    public Attribute withComment(String comment) {
        return new Attribute(id, name, type, optional, defaultValue, comment, pins);
    }

    public Attribute withPins(Pins pins) {
        return new Attribute(id, name, type, optional, defaultValue, comment, pins);
    }
}
