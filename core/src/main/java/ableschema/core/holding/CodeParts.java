package ableschema.core.holding;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.document.Edit;
import ableschema.core.edit.ChangeBody;
import ableschema.core.expression.Expression;
import ableschema.core.expression.Filling;
import ableschema.core.types.DataType;
import ableschema.core.types.ReadableCode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The parts of a readable code as attributes of their own, such as the year of {@code AV-2027-001}. The database computes them from the
 * code, so that nothing is kept twice and they can be searched and sorted by.
 */
public final class CodeParts {

    private final Id owner;
    private final Body body;
    private final Attribute code;
    private final List<ReadableCode.Part> parts;

    private CodeParts(Id owner, Body body, Attribute code, List<ReadableCode.Part> parts) {
        this.owner = owner;
        this.body = body;
        this.code = code;
        this.parts = parts;
    }

    /** Empty where the attribute has no pattern, or its parts are attributes already. */
    public static Optional<CodeParts> of(Design design, Attribute code) {
        Optional<Id> owner = design.ownerOf(code.id());
        Optional<Body> body = owner.flatMap(design::body);
        List<ReadableCode.Part> parts =
                ReadableCode.of(code.pattern()).map(ReadableCode::parts).orElse(List.of()).stream()
                        .filter(part -> body.flatMap(each -> each.attribute(name(code, part)))
                                .isEmpty())
                        .toList();
        return body.isEmpty() || parts.isEmpty() || code.filling().isComputed()
                ? Optional.empty()
                : Optional.of(new CodeParts(owner.get(), body.get(), code, parts));
    }

    private static String name(Attribute code, ReadableCode.Part part) {
        return code.name() + " " + part.name();
    }

    /** What the new attributes are called. */
    public List<String> names() {
        return parts.stream().map(part -> name(code, part)).toList();
    }

    /** Puts them behind the code. */
    public Edit edit(IdSource ids) {
        var attributes = new ArrayList<>(body.attributes());
        int place = attributes.indexOf(code) + 1;
        for (ReadableCode.Part part : parts) {
            attributes.add(
                    place++,
                    Attribute.named(ids.next(IdKind.ATTRIBUTE), name(code, part))
                            .withType(new DataType.Text(part.length()))
                            .withOptional(code.optional())
                            .withFilling(Filling.computed(cut(part))));
        }
        return new ChangeBody(owner, body.withAttributes(attributes), "take " + code.name() + " apart");
    }

    private Expression<ColumnRef> cut(ReadableCode.Part part) {
        return Expression.of(
                new Expression.Text<>("substring("),
                new Expression.Column<>(code.ref()),
                new Expression.Text<>(" from " + part.start() + " for " + part.length() + ")"));
    }
}
