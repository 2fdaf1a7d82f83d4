package ableschema.core.design;

import ableschema.core.types.DataType;
import ableschema.core.types.DataType.Simple;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Lets go of types that are held fast as a database had them, where something is given another type: that of the column, and those
 * of columns that refer to it.
 */
final class ReleasedTypes {

    /** How a database writes a type; options are called so in each dialect. */
    private static final Set<String> OF_ANY = Set.of("type", "untyped", "srid", "default");

    private static final Set<String> OF_TEXTS = Set.of("collation", "key_length");

    private final Map<Id, DataType> retyped = new HashMap<>();

    /** The domain without the type that it was found to be made of, where it is made of another now. */
    static Domain of(Optional<Domain> before, Domain after) {
        return before.filter(old -> !old.base().equals(after.base())).isPresent()
                ? after.withPins(released(after.pins(), after.base()))
                : after;
    }

    /** The body with the types let go of what has another one than before. */
    Body of(Optional<Body> before, Body after) {
        Body released = after;
        boolean same = before.isEmpty() || before.get().attributes() == after.attributes();
        for (Attribute attribute : same ? List.<Attribute>of() : after.attributes()) {
            DataType type = attribute.type();
            boolean changed = before.flatMap(body -> body.attribute(attribute.id()))
                    .filter(known -> !known.type().equals(type))
                    .isPresent();
            if (changed) {
                retyped.put(attribute.id(), type);
                released = released.withAttributes(Lists.replace(
                        released.attributes(), Attribute::id, attribute.withPins(released(attribute.pins(), type))));
            }
        }
        return released;
    }

    /** The relationships with the types let go of the columns that refer to what has another type. */
    List<Relationship> referring(List<Relationship> all) {
        return retyped.isEmpty() ? all : all.stream().map(this::referring).toList();
    }

    private Relationship referring(Relationship relationship) {
        Relationship released = relationship;
        for (Side side : Side.values()) {
            End end = released.end(side);
            List<ReferenceColumn> columns =
                    end.reference().columns().stream().map(this::referring).toList();
            if (!columns.equals(end.reference().columns())) {
                released = released.with(side, end.with(end.reference().withColumns(columns)));
            }
        }
        return released;
    }

    private ReferenceColumn referring(ReferenceColumn column) {
        return column.target()
                .attribute()
                .map(retyped::get)
                .map(type -> column.withPins(released(column.pins(), type)))
                .orElse(column);
    }

    private static Pins released(Pins pins, DataType type) {
        boolean text =
                type instanceof DataType.Text || type instanceof DataType.OneOf || type instanceof DataType.InDomain;
        boolean moment = type == Simple.MOMENT || type == Simple.MOMENT_ANYWHERE;
        Pins released = pins;
        for (String option : pins.options().keySet()) {
            String name = option.substring(option.indexOf('.') + 1);
            boolean unfit = OF_ANY.contains(name)
                    || OF_TEXTS.contains(name) && !text
                    || name.equals("on_update") && !moment
                    || name.equals("rowguidcol") && type != Simple.UUID;
            released = unfit ? released.withOption(option, "") : released;
        }
        return released;
    }
}
