package ableschema.core.words;

import ableschema.core.design.Attribute;
import ableschema.core.design.Cardinality;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.Entity;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import ableschema.core.design.SubtypeLayout;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;

/** Says a design in plain sentences. */
public final class Sentences {

    private static final Pattern VERB = Pattern.compile("[\\p{L}\\p{N}'’-]+(?: [\\p{L}\\p{N}'’-]+)*");

    /** What would be taken for another sentence, or for a slip of the words for how many. */
    private static final Pattern MISLEADING = Pattern.compile(
            "\\beach\\b|^(?:can|may|must|should|will|might|needs to) |\\b(?:fewer|more|less|than|least|most|several|multiple|few)\\b"
                    + "|^has | has\\b|^is (?:identified|told) by|^is an? kind of|\\bat \\S{3,6}$|\\b[ex]x?\\S*c\\S*t\\S*$|^"
                    + RelationshipSentence.UNSAID_VERB + "$",
            Pattern.CASE_INSENSITIVE);

    private final Design design;
    private final Nouns nouns;

    public Sentences(Design design) {
        this.design = design;
        this.nouns = Nouns.of(design);
    }

    /** Both readings of a relationship: "Each hive stands in exactly one apiary; each apiary shelters any number of hives." */
    public String of(Relationship relationship) {
        return relationship.isSubtype()
                ? kindOf(relationship)
                : "Each " + reading(relationship, Side.FIRST) + "; each " + reading(relationship, Side.SECOND) + ".";
    }

    private String kindOf(Relationship relationship) {
        String said = "Each " + name(relationship.second()) + " is a kind of " + name(relationship.first());
        return said + (relationship.subtype() == SubtypeLayout.ONE_TABLE ? " (in one table)." : ".");
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
        boolean many = end.cardinality().isMany() && !end.cardinality().equals(Cardinality.AT_LEAST_ONE);
        return many ? nouns.many(design.at(end)) : name(end);
    }

    private String verb(End subject) {
        String verb = subject.verb();
        if (verb.isEmpty()) {
            return RelationshipSentence.UNSAID_VERB;
        }
        String name = name(subject);
        boolean noLongerName = nouns.leadingLength(name + " " + verb) == name.length();
        return VERB.matcher(verb).matches()
                        && !MISLEADING.matcher(verb).find()
                        && !RelationshipSentence.NO_VERB.matcher(verb).matches()
                        && Quantity.find(verb, 0).isEmpty()
                        && noLongerName
                        && LongerNoun.ofOne(" " + verb) == 0
                ? verb
                : Quoted.of(verb);
    }

    private String name(End end) {
        return nouns.one(design.at(end));
    }

    /** What tells one instance from another: "Each hive is identified by its apiary and stand no."; empty without a key. */
    public String key(Entity entity) {
        List<KeyPart> key = entity.body().key();
        return key.isEmpty()
                ? ""
                : "Each " + nouns.one(entity) + " is identified by its "
                        + new PartNames(design, entity.id())
                                .listed(key)
                                .orElseGet(() ->
                                        listed(key.stream().map(this::called).toList()))
                        + ".";
    }

    /** What a part of a key is called. */
    public String called(KeyPart part) {
        if (part instanceof ColumnRef.Own own) {
            return design.attribute(own.id()).map(Attribute::name).orElse("?");
        }
        return part.through()
                .flatMap(end -> design.relationship(end.relationship()).map(r -> r.end(end.side())))
                .map(end -> end.role().isEmpty()
                        ? Nouns.inSentence(design.at(end).name())
                        : end.role().toLowerCase(Locale.ROOT))
                .orElse("?");
    }

    /** A noun with its article: "an apiary", "a hive". */
    public static String article(String noun) {
        boolean vowel = !noun.isEmpty() && "aeiou".indexOf(Character.toLowerCase(noun.charAt(0))) >= 0;
        return (vowel ? "an " : "a ") + noun;
    }

    /** Joins words as a sentence does: "a, b and c". */
    public static String listed(List<String> words) {
        int last = words.size() - 1;
        return last <= 0
                ? String.join("", words)
                : String.join(", ", words.subList(0, last)) + " and " + words.get(last);
    }
}
