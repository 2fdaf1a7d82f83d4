package ableschema.core.design;

import static java.util.Objects.requireNonNull;

import ableschema.core.expression.Expression;
import ableschema.core.expression.Filling;
import ableschema.core.types.DataType;
import ableschema.core.types.DataTypes;
import java.util.Collections;
import java.util.EnumSet;
import java.util.Set;

/**
 * One thing that is known of each instance of an entity, such as a hive's colour.
 *
 * @param type     what it holds; a {@link DataType.InDomain} names one of the design's domains by its id
 * @param optional whether it may be left empty
 * @param filling  what is taken where nothing is given
 * @param comment  what people should know of it; empty for nothing
 * @param marks    what is said of its values beside their type
 * @param pattern  how codes are formed, such as {@code H-0000}; empty for nothing
 */
public record Attribute(
        Id id,
        String name,
        DataType type,
        boolean optional,
        Filling<ColumnRef> filling,
        String comment,
        Set<Mark> marks,
        String pattern,
        Pins pins) {

    public Attribute {
        requireNonNull(id, "id");
        requireNonNull(name, "name");
        requireNonNull(type, "type");
        requireNonNull(filling, "filling");
        marks = marks.isEmpty() ? Set.of() : Collections.unmodifiableSet(EnumSet.copyOf(marks));
    }

    /** A mandatory attribute of which nothing else has been said. */
    public static Attribute named(Id id, String name) {
        return new Attribute(id, name, DataTypes.UNDECIDED, false, Filling.nothing(), "", Set.of(), "", Pins.NONE);
    }

    public ColumnRef ref() {
        return new ColumnRef.Own(id);
    }

    /** What is taken where nothing is given; no expression where there is no default. */
    public Expression<ColumnRef> defaultValue() {
        return filling.defaultValue();
    }

    public Attribute withName(String name) {
        return new Attribute(id, name, type, optional, filling, comment, marks, pattern, pins);
    }

    public Attribute withType(DataType type) {
        return new Attribute(id, name, type, optional, filling, comment, marks, pattern, pins);
    }

    public Attribute withOptional(boolean optional) {
        return new Attribute(id, name, type, optional, filling, comment, marks, pattern, pins);
    }

    public Attribute withFilling(Filling<ColumnRef> filling) {
        return new Attribute(id, name, type, optional, filling, comment, marks, pattern, pins);
    }

    public Attribute withDefault(Expression<ColumnRef> defaultValue) {
        return withFilling(Filling.byDefault(defaultValue));
    }

    public Attribute withComment(String comment) {
        return new Attribute(id, name, type, optional, filling, comment, marks, pattern, pins);
    }

    public Attribute withMarks(Set<Mark> marks) {
        return new Attribute(id, name, type, optional, filling, comment, marks, pattern, pins);
    }

    public Attribute withPattern(String pattern) {
        return new Attribute(id, name, type, optional, filling, comment, marks, pattern, pins);
    }

    public boolean is(Mark mark) {
        return marks.contains(mark);
    }

    public Attribute withPins(Pins pins) {
        return new Attribute(id, name, type, optional, filling, comment, marks, pattern, pins);
    }
}
