package ableschema.core.words;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.Entity;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Plural;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import java.util.List;
import java.util.Locale;

/** Says a design in plain sentences. */
public final class Sentences {

    private final Design design;

    public Sentences(Design design) {
        this.design = design;
    }

    /** Both readings of a relationship: "Each hive stands in exactly one apiary; each apiary shelters any number of hives." */
    public String of(Relationship relationship) {
        return "Each " + reading(relationship, Side.FIRST) + "; each " + reading(relationship, Side.SECOND) + ".";
    }

    /** One reading, from the entity at an end: "hive stands in exactly one apiary". */
    public String reading(Relationship relationship, Side from) {
        End subject = relationship.end(from);
        End object = relationship.end(from.other());
        return name(subject) + " " + verb(subject) + " " + quantity(object) + " " + noun(object);
    }

    /** How many, as it stands before the noun: "any number of". */
    public String quantity(End end) {
        return Quantity.said(end.cardinality());
    }

    /** The entity at an end as the object of a sentence, in the number that its cardinality asks for. */
    public String noun(End end) {
        String name = name(end);
        return end.cardinality().isMany() ? Plural.of(name) : name;
    }

    private static String verb(End end) {
        return end.verb().isEmpty() ? "is related to" : end.verb();
    }

    private String name(End end) {
        return Nouns.inSentence(design.at(end).name());
    }

    /** What tells one instance from another: "Each hive is told by its apiary and stand no."; empty without a key. */
    public String key(Entity entity) {
        List<String> parts = entity.body().key().stream().map(this::called).toList();
        return parts.isEmpty()
                ? ""
                : "Each " + Nouns.inSentence(entity.name()) + " is told by its " + listed(parts) + ".";
    }

    /** The attributes: "Each hive has colour, installed on."; empty without attributes. */
    public String attributes(Entity entity) {
        Body body = entity.body();
        List<String> names = body.attributes().stream().map(a -> said(body, a)).toList();
        return names.isEmpty()
                ? ""
                : "Each " + Nouns.inSentence(entity.name()) + " has " + String.join(", ", names) + ".";
    }

    private static String said(Body body, Attribute attribute) {
        boolean alone = body.key().equals(List.of(attribute.ref()));
        String flag = alone ? " (key)" : attribute.optional() ? " (optional)" : "";
        return attribute.name() + flag;
    }

    /** What a part of a key is called. */
    public String called(KeyPart part) {
        if (part instanceof ColumnRef.Own own) {
            return design.attribute(own.id()).map(Attribute::name).orElse("?");
        }
        return part.through()
                .flatMap(end -> design.relationship(end.relationship()).map(r -> r.end(end.side())))
                .map(end -> end.role().isEmpty() ? name(end) : end.role().toLowerCase(Locale.ROOT))
                .orElse("?");
    }

    /** Joins words as a sentence does: "a, b and c". */
    public static String listed(List<String> words) {
        int last = words.size() - 1;
        return last <= 0
                ? String.join("", words)
                : String.join(", ", words.subList(0, last)) + " and " + words.get(last);
    }
}
