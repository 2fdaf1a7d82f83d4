package ableschema.core.review;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.edit.Edits;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Remedy;
import ableschema.core.types.DataType;
import ableschema.core.types.TypedValue;
import java.util.Optional;
import java.util.stream.Stream;

/** The remedies that give an attribute another type. */
final class Retyping {

    private Retyping() {}

    /** Makes the attribute of a type that its values are known to fit. */
    static Remedy to(DataType type, Id attribute) {
        return Remedy.of("make it " + type, making(type, attribute));
    }

    static Remedy.Making making(DataType type, Id attribute) {
        return (design, ids, given) -> new Edits(design, ids)
                .changeAttribute(design.attribute(attribute).orElseThrow().withType(type));
    }

    /**
     * Offers another type where neither a row, a default, a rule, an index nor a computation stands against it.
     *
     * @param called what is offered to be of that type, in the words of a button
     */
    static Finding offered(Finding finding, Design design, Attribute attribute, DataType type, String called) {
        return suits(design, attribute, type)
                ? finding.mendedBy(
                        Remedy.of("make " + called + " " + design.inWords(type), making(type, attribute.id())))
                : finding;
    }

    private static boolean suits(Design design, Attribute attribute, DataType type) {
        Attribute retyped = attribute.withType(type);
        Optional<Id> owner = design.ownerOf(attribute.id());
        Body body = owner.flatMap(design::body).orElse(Body.EMPTY);
        DataType plain = design.typeOf(retyped);
        Stream<String> values = body.rows().stream().flatMap(row -> row.value(attribute.id()).stream());
        Stream<String> byDefault = attribute.defaultValue().literal().stream();
        return Stream.concat(values, byDefault)
                        .allMatch(value -> TypedValue.of(plain, value).fits())
                && owner.filter(id -> MisfitFinder.fits(design, id, body.replacing(retyped)))
                        .isPresent();
    }
}
