package ableschema.core.words;

import static java.util.stream.Collectors.joining;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.KeyPart;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Reads names of attributes, and of the entities that are referred to, as the parts that they are of one owner. Where
 * several references lead to one entity, the verb says which: {@code keeper "is mentored by"}.
 */
public final class PartNames {

    private final Design design;
    private final Id owner;
    private final Set<Id> leftOut;

    /** @param owner the entity or many-to-many relationship whose parts are named */
    public PartNames(Design design, Id owner) {
        this(design, owner, Set.of());
    }

    /** @param leftOut relationships through which nothing is named */
    PartNames(Design design, Id owner, Set<Id> leftOut) {
        this.design = design;
        this.owner = owner;
        this.leftOut = leftOut;
    }

    /** Reads {@code hive + done at} or {@code hive, done at}; an {@link IllegalArgumentException} names what is unknown. */
    public List<KeyPart> read(String text) {
        var parts = new ArrayList<KeyPart>();
        for (String name : text.split("[+,]", -1)) {
            KeyPart part = part(name.strip()).orElseThrow(() -> new IllegalArgumentException(problem(name.strip())));
            if (!parts.contains(part)) {
                parts.add(part);
            }
        }
        return parts;
    }

    /** Reads {@code names = NAME { "," NAME } [ "and" NAME ]} between two places of a line. */
    List<KeyPart> read(String text, int start, int end) {
        String masked = Quoted.masked(text);
        var parts = new ArrayList<KeyPart>();
        int at = start;
        while (at <= end) {
            int comma = masked.indexOf(',', at);
            int and = masked.indexOf(" and ", at);
            int stop = Math.min(comma < 0 ? end : comma, and < 0 ? end : and);
            stop = Math.min(stop, end);
            parts.add(part(text, at, stop));
            at = stop + (stop == and && stop != end ? " and ".length() : 1);
        }
        return parts;
    }

    private KeyPart part(String text, int start, int end) {
        String name = text.substring(start, Math.max(start, end)).strip();
        if (name.isEmpty()) {
            throw new Misunderstanding(start, Math.min(text.length(), start + 1), "expected the name of an attribute");
        }
        return part(name).orElseThrow(() -> {
            int at = text.indexOf(name, start);
            return new Misunderstanding(at, at + name.length(), problem(name));
        });
    }

    /** What to say of a name that names nothing here. */
    String problem(String name) {
        String called = design.entity(owner).map(Entity::name).orElse("this relationship");
        return name.isEmpty() ? "expected the name of an attribute" : "'" + name + "' is no attribute of " + called;
    }

    /** The attribute of this name, or the reference to the entity or role of this name. */
    Optional<KeyPart> part(String token) {
        String name = Quoted.plain(token);
        return design.body(owner)
                .orElse(Body.EMPTY)
                .attribute(name)
                .<KeyPart>map(Attribute::ref)
                .or(() -> ends().filter(end -> names(end).anyMatch(each -> each.equalsIgnoreCase(name)))
                        .findFirst()
                        .map(KeyPart.WholeReference::new))
                .or(() -> ends().filter(end -> withVerb(end).equalsIgnoreCase(token.strip()))
                        .findFirst()
                        .map(KeyPart.WholeReference::new));
    }

    private Stream<EndRef> ends() {
        return design.referencesOf(owner).stream().filter(end -> !leftOut.contains(end.relationship()));
    }

    private Stream<String> names(EndRef end) {
        return Stream.of(end(end).role(), design.at(end(end)).name()).filter(name -> !name.isEmpty());
    }

    private End end(EndRef end) {
        return design.relationship(end.relationship()).orElseThrow().end(end.side()); // referencesOf gives known ones
    }

    private String withVerb(EndRef end) {
        End holder = design.relationship(end.relationship())
                .orElseThrow() // referencesOf gives known ones
                .end(end.side().other());
        return Nouns.listed(Nouns.inSentence(design.at(end(end)).name())) + " " + Quoted.of(holder.verb());
    }

    /** What a part is called so that reading gives just this part again; empty where there are no such words. */
    Optional<String> called(KeyPart part) {
        Stream<String> candidates = Stream.empty();
        if (part instanceof ColumnRef.Own own) {
            candidates = design.attribute(own.id()).map(Attribute::name).stream();
        } else if (part instanceof KeyPart.WholeReference whole && ends().anyMatch(whole.end()::equals)) {
            candidates = Stream.concat(names(whole.end()).map(Nouns::inSentence), Stream.of(withVerb(whole.end())));
        }
        return candidates
                .flatMap(name -> name.endsWith("\"") ? Stream.of(name) : Stream.of(Nouns.listed(name)))
                .filter(name -> part(name).filter(part::equals).isPresent())
                .findFirst();
    }

    /** All parts, listed as a sentence does; empty where one of them has no words. */
    Optional<String> listed(List<KeyPart> parts) {
        List<String> names = parts.stream().flatMap(p -> called(p).stream()).toList();
        return names.size() == parts.size() && !parts.isEmpty()
                ? Optional.of(Sentences.listed(names))
                : Optional.empty();
    }

    /** All parts with commas between; empty where one of them has no words. */
    Optional<String> withCommas(List<KeyPart> parts) {
        return listed(parts)
                .map(said -> parts.stream().flatMap(p -> called(p).stream()).collect(joining(", ")));
    }
}
