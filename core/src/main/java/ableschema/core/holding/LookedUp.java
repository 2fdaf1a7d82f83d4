package ableschema.core.holding;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.ReferenceColumn;
import ableschema.core.design.Relationship;
import ableschema.core.design.Row;
import ableschema.core.design.Side;
import ableschema.core.document.Edit;
import ableschema.core.edit.ChangeBody;
import ableschema.core.edit.Compound;
import ableschema.core.edit.Remove;
import ableschema.core.types.DataType;
import ableschema.core.words.Nouns;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A table that is there for the values of one column alone, which can stand in the type of that column instead. */
public final class LookedUp {

    private final Design design;
    private final Relationship relationship;
    private final Side side;
    private final Entity table;
    private final Attribute key;

    private LookedUp(Design design, Relationship relationship, Side side, Entity table, Attribute key) {
        this.design = design;
        this.relationship = relationship;
        this.side = side;
        this.table = table;
        this.key = key;
    }

    /** Empty where the table says more than one word of each value, refers to others, or is referred to by a pairing. */
    public static Optional<LookedUp> of(Design design, Relationship relationship) {
        Optional<Side> side = relationship.referencedSide();
        if (side.isEmpty() || relationship.isManyToMany() || relationship.isSubtype()) {
            return Optional.empty();
        }
        End end = relationship.end(side.get());
        Entity table = design.at(end);
        Body body = table.body();
        boolean plain = body.attributes().size() == 1
                && body.key().equals(List.of(body.attributes().get(0).ref()))
                && design.typeOf(body.attributes().get(0)) instanceof DataType.Text
                && design.referencesOf(table.id()).isEmpty()
                && end.reference().targetKey().isEmpty();
        boolean many = body.rows().isEmpty() || body.rows().size() > ListedValues.MOST;
        return plain && !many
                ? Optional.of(new LookedUp(
                        design,
                        relationship,
                        side.get(),
                        table,
                        body.attributes().get(0)))
                : Optional.empty();
    }

    /** What the attribute in its place would be called. */
    public String name() {
        End end = relationship.end(side);
        return end.role().isEmpty() ? Nouns.inSentence(table.name()) : end.role();
    }

    /** The list of its values as an attribute in place of the reference; the table goes where nothing else refers to it. */
    public Edit asList(IdSource ids) {
        Id holder = relationship.end(side.other()).entity();
        EndRef end = relationship.ref(side);
        Body before = design.body(holder).orElseThrow(); // a relationship is between entities of the design
        Attribute made = attribute(before, ids);
        String title = "make " + made.name() + " one of a list";
        Map<Id, String> values = new HashMap<>();
        table.body().rows().forEach(row -> row.value(key.id()).ifPresent(value -> values.put(row.id(), value)));
        Body changed = Exchange.attributeFor(before, end, made)
                .withRows(before.rows().stream()
                        .map(row -> row.with(made.id(), value(row, end, values)).with(end, Optional.empty()))
                        .toList());
        boolean alone = design.relationshipsOf(table.id()).count() == 1;
        List<Id> gone = new ArrayList<>(List.of(relationship.id()));
        if (alone) {
            gone.add(table.id());
        }
        return new Compound(title, List.of(new ChangeBody(holder, changed, title), new Remove(gone, title)));
    }

    private Attribute attribute(Body beside, IdSource ids) {
        End end = relationship.end(side);
        ReferenceColumn column = end.reference().column(key.ref()).orElse(ReferenceColumn.to(key.ref()));
        String name = name();
        String free = beside.attribute(name).isPresent() ? name + " of list" : name;
        return Attribute.named(ids.next(IdKind.ATTRIBUTE), free)
                .withType(new DataType.OneOf(table.body().rows().stream()
                        .flatMap(row -> row.value(key.id()).stream())
                        .distinct()
                        .toList()))
                .withOptional(!end.cardinality().isMandatory())
                .withDefault(column.defaultValue())
                .withComment(column.comment().isEmpty() ? table.definition() : column.comment())
                .withPins(column.pins());
    }

    private static String value(Row row, EndRef end, Map<Id, String> values) {
        Row.Reference reference = row.reference(end).orElse(null);
        if (reference instanceof Row.RawKey raw) {
            return String.join(" ", raw.values());
        }
        return reference instanceof Row.ToRow to ? values.getOrDefault(to.row(), "") : "";
    }
}
