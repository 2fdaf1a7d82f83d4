package ableschema.core.edit;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Cardinality;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Relationship;
import ableschema.core.design.Row;
import ableschema.core.design.Side;
import ableschema.core.document.Edit;
import ableschema.core.types.DataType;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Makes an entity of its own of attributes that repeat one fact, with a row for each value there is, numbered by its place. */
public final class SplitRepeated {

    private static final String PLACE = "place";

    private SplitRepeated() {}

    /**
     * @param from     the entity; it has a key
     * @param repeated its attributes, in the order of their places
     * @param fact     what the one attribute in their place is called
     * @param name     what the new entity is called
     */
    public static Edit of(Design design, Entity from, List<Id> repeated, String fact, String name, IdSource ids) {
        List<Attribute> attributes = repeated.stream()
                .map(id -> from.body().attribute(id).orElseThrow()) // they are its attributes
                .toList();
        Id child = ids.next(IdKind.ENTITY);
        var relationship = Relationship.between(
                ids.next(IdKind.RELATIONSHIP),
                new End(from.id(), "has", Cardinality.EXACTLY_ONE, ""),
                new End(child, "belongs to", Cardinality.ANY_NUMBER, ""));
        EndRef parent = relationship.ref(Side.FIRST);
        Attribute value = attributes
                .get(0)
                .withName(fact)
                .withOptional(false)
                .withPins(attributes.get(0).pins().forCopy());
        value = new Attribute(
                ids.next(IdKind.ATTRIBUTE),
                value.name(),
                value.type(),
                false,
                value.filling(),
                value.comment(),
                value.marks(),
                value.pattern(),
                value.pins());
        Attribute place = Attribute.named(ids.next(IdKind.ATTRIBUTE), fact.equals(PLACE) ? "no" : PLACE)
                .withType(new DataType.Whole(99));
        Body body = Body.EMPTY
                .withAttributes(List.of(place, value))
                .withKey(List.of(new KeyPart.WholeReference(parent), place.ref()))
                .withRows(rows(from, attributes, parent, place.id(), value.id(), ids));
        String title = "give " + fact + " of " + from.name() + " a table of its own";
        Body rest = from.body();
        for (Id each : repeated) {
            rest = rest.without(each);
        }
        return new Compound(
                title,
                List.of(
                        new AddEntity(Entity.named(child, name).withBody(body), Optional.empty()),
                        new PutRelationship(relationship, title),
                        new ChangeBody(from.id(), rest, title)));
    }

    private static List<Row> rows(
            Entity from, List<Attribute> attributes, EndRef parent, Id place, Id value, IdSource ids) {
        var rows = new ArrayList<Row>();
        for (Row row : from.body().rows()) {
            for (int i = 0; i < attributes.size(); i++) {
                Optional<String> given = row.value(attributes.get(i).id());
                if (given.isPresent()) {
                    rows.add(Row.empty(ids.next(IdKind.ROW))
                            .with(parent, Optional.of(Row.Reference.to(row)))
                            .with(place, String.valueOf(i + 1))
                            .with(value, given.get()));
                }
            }
        }
        return rows;
    }
}
