package ableschema.core.holding;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.EndRef;
import ableschema.core.design.ForeignColumn;
import ableschema.core.design.KeyPart;
import ableschema.core.mapping.Readdressing;
import java.util.List;

/** Puts a reference in the place of an attribute, or an attribute in that of a reference, in keys, rules and indexes. */
final class Exchange {

    private Exchange() {}

    /**
     * The body without the attribute; its rows still hold what they held, so that who asks can make references of it.
     *
     * @param target the one column of the key referred to
     */
    static Body referenceFor(Body body, Attribute attribute, EndRef end, ColumnRef target) {
        var reference = new KeyPart.WholeReference(end);
        var column = new ForeignColumn(end, target);
        Body with = new Readdressing(
                        part -> List.of(part.equals(attribute.ref()) ? reference : part),
                        each -> each.equals(attribute.ref()) ? column : each)
                .of(body);
        return with.withAttributes(with.attributes().stream()
                .filter(each -> !each.id().equals(attribute.id()))
                .toList());
    }

    /** The body with the attribute, without the reference, whose values stand in the rows still. */
    static Body attributeFor(Body body, EndRef end, Attribute attribute) {
        Body with = new Readdressing(
                        part -> List.of(part.through().filter(end::equals).isPresent() ? attribute.ref() : part),
                        each -> each.through().filter(end::equals).isPresent() ? attribute.ref() : each)
                .of(body);
        return with.with(attribute);
    }
}
