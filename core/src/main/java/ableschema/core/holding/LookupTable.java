package ableschema.core.holding;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Cardinality;
import ableschema.core.design.Condition;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.FreeName;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.ReferenceColumn;
import ableschema.core.design.Relationship;
import ableschema.core.design.Row;
import ableschema.core.document.Edit;
import ableschema.core.edit.AddEntity;
import ableschema.core.edit.ChangeBody;
import ableschema.core.edit.Compound;
import ableschema.core.edit.PutRelationship;
import ableschema.core.types.DataType;
import ableschema.core.words.Nouns;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Makes a table of the values of an attribute, which the entity then refers to; the rows keep what they said. */
final class LookupTable {

    private final Design design;
    private final Attribute attribute;
    private final List<String> values;
    private final Entity owner;

    LookupTable(Design design, Attribute attribute, List<String> values) {
        this.design = design;
        this.attribute = attribute;
        this.values = values;
        this.owner =
                design.ownerOf(attribute.id()).flatMap(design::entity).orElseThrow(); // pairings are refused before
    }

    /** In the order: the table and its rows, what relates it, and the entity without the attribute. */
    Edit made(IdSource ids) {
        String title = "give the values of " + attribute.name() + " a table of their own";
        Attribute key = key(ids);
        List<Attribute> attributes = new ArrayList<>(List.of(key));
        if (key.type().isNumeric()) {
            attributes.add(Attribute.named(ids.next(IdKind.ATTRIBUTE), "meaning")
                    .withType(new DataType.Text(80))
                    .withOptional(true));
        }
        Map<String, Row> rows = new HashMap<>();
        List<Row> inOrder = new ArrayList<>();
        for (String value : values) {
            Row row = Row.empty(ids.next(IdKind.ROW)).with(key.id(), value);
            rows.put(value, row);
            inOrder.add(row);
        }
        Entity table = Entity.named(ids.next(IdKind.ENTITY), name())
                .withDefinition(attribute.comment())
                .withBody(Body.EMPTY
                        .withAttributes(attributes)
                        .withKey(List.of(key.ref()))
                        .withRows(inOrder));
        Relationship relationship = relationship(table.id(), key, ids);
        return new Compound(
                title,
                List.of(
                        new AddEntity(table, Optional.empty()),
                        new PutRelationship(relationship, title),
                        new ChangeBody(owner.id(), referring(relationship, key, rows), title)));
    }

    private Attribute key(IdSource ids) {
        DataType type = design.typeOf(attribute);
        boolean number = type instanceof DataType.Whole;
        return Attribute.named(ids.next(IdKind.ATTRIBUTE), number ? "code" : "name")
                .withType(number ? type : new DataType.Text(length(type)));
    }

    private int length(DataType type) {
        int longest = values.stream()
                .mapToInt(value -> value.codePointCount(0, value.length()))
                .max()
                .orElse(0);
        int asked = type instanceof DataType.Text text ? text.max() : 0;
        return Math.max(asked, Math.max(longest, 20)); // a value that is not known yet may be longer
    }

    /** Called like the attribute; where another entity has that name, of which thing it is, too. */
    private String name() {
        String name = Nouns.asName(attribute.name());
        if (design.entity(name).isPresent()) {
            name = Nouns.asName(Nouns.inSentence(owner.name()) + " " + attribute.name());
        }
        return FreeName.of(name, each -> design.entity(each).isPresent());
    }

    private Relationship relationship(Id table, Attribute key, IdSource ids) {
        ReferenceColumn column = ReferenceColumn.to(key.ref())
                .withDefault(attribute.defaultValue())
                .withComment(attribute.comment())
                .withPins(attribute.pins());
        End values = new End(
                table,
                "is that of",
                attribute.optional() && !owner.body().key().contains(attribute.ref())
                        ? Cardinality.AT_MOST_ONE
                        : Cardinality.EXACTLY_ONE,
                "");
        if (!column.equals(ReferenceColumn.to(key.ref()))) {
            values = values.with(values.reference().with(column));
        }
        boolean alone = owner.body().isUnique(attribute) || owner.body().key().equals(List.of(attribute.ref()));
        return Relationship.referring(
                ids.next(IdKind.RELATIONSHIP),
                new End(owner.id(), "has", alone ? Cardinality.AT_MOST_ONE : Cardinality.ANY_NUMBER, ""),
                values);
    }

    private Body referring(Relationship relationship, Attribute key, Map<String, Row> rows) {
        EndRef end = relationship.referred();
        Body before = owner.body()
                .withChecks(owner.body().checks().stream()
                        .filter(check -> Condition.read(check.expression())
                                .filter(rule -> rule.column().equals(attribute.ref()))
                                .isEmpty())
                        .toList());
        return Exchange.referenceFor(before, attribute, end, key.ref())
                .withRows(before.rows().stream()
                        .map(row -> referring(row, end, rows))
                        .toList());
    }

    private Row referring(Row row, EndRef end, Map<String, Row> rows) {
        Optional<Row.Reference> to = row.value(attribute.id())
                .map(value ->
                        rows.containsKey(value) ? Row.Reference.to(rows.get(value)) : new Row.RawKey(List.of(value)));
        return row.with(attribute.id(), "").with(end, to);
    }
}
