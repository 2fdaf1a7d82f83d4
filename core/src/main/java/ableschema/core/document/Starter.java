package ableschema.core.document;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Design;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import java.util.List;

/**
 * A set of attributes that new entities of this house often begin with, such as made on and changed on. They are no attributes of
 * the design, and have nothing to do with those that they were taken from.
 */
public record Starter(String name, List<Attribute> attributes) {
    public Starter {
        attributes = List.copyOf(attributes);
    }

    /** Keeps what is said of attributes by itself: the type that a domain holds, and nothing that is computed from others. */
    public static Starter of(String name, List<Attribute> attributes, Design design, IdSource ids) {
        return new Starter(
                name,
                attributes.stream()
                        .map(each -> copied(each, ids).withType(design.typeOf(each)))
                        .toList());
    }

    /** Attributes of their own for a body, but for those whose names it has already. */
    public List<Attribute> attributesFor(Body body, IdSource ids) {
        return attributes.stream()
                .filter(each -> body.attribute(each.name()).isEmpty())
                .map(each -> copied(each, ids))
                .toList();
    }

    private static Attribute copied(Attribute model, IdSource ids) {
        return Attribute.named(ids.next(IdKind.ATTRIBUTE), model.name())
                .withType(model.type())
                .withOptional(model.optional())
                .withDefault(model.defaultValue())
                .withComment(model.comment())
                .withMarks(model.marks())
                .withPattern(model.pattern());
    }
}
