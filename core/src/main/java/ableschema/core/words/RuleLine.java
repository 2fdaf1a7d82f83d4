package ableschema.core.words;

import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.design.IdSource;
import ableschema.core.design.Index;
import ableschema.core.design.Relationship;
import ableschema.core.document.Edit;
import ableschema.core.edit.Edits;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Understands one typed line; the whole grammar stands in docs/words.md:
 *
 * <pre>
 * Each hive stands in exactly one apiary; each apiary shelters any number of hives.
 * Each hive has code (key), colour, installed on: date.
 * Each hive is identified by its apiary and stand no.
 * An apiary is a place: A spot where hives stand.
 * hive code, visited on -> keeper no
 * </pre>
 */
public final class RuleLine {

    private static final Pattern HAS = Pattern.compile("each (.+?) has (?=\\S)", Pattern.CASE_INSENSITIVE);

    private final Design design;
    private final Optional<Id> chosen;
    private final IdSource ids;

    /** @param chosen the entity that a dependency is about, which does not name it */
    public RuleLine(Design design, Optional<Id> chosen, IdSource ids) {
        this.design = design;
        this.chosen = chosen;
        this.ids = ids;
    }

    /** Reads a line; never throws, as what is wrong with it is in the answer. */
    public Understanding read(String text) {
        return attempt(text, () -> sentence(text, Optional.empty()));
    }

    /** Reads a line in place of a sentence that is said of the design now; the thing it says stays the same thing. */
    public Understanding readInstead(Sentence said, String text) {
        return attempt(text, () -> switch (said.part()) {
            case ATTRIBUTES, PAIRINGS, RELATIONSHIPS -> sentence(text, Optional.of(said.about()));
            case DOMAINS, VOLUMES, ANSWERS, COMPUTED -> sentence(text, Optional.empty());
            case ENTITIES, KINDS, KEYS, CHECKS, DEPENDENCIES, INDEXES, COMMENTS ->
                new Rewording(design, said, text).of(some -> new RuleLine(some, Optional.of(said.about()), ids)
                        .sentence(text, Optional.empty()));
        });
    }

    /**
     * Reads a list of attributes for one entity or many-to-many relationship, as it is typed on its card: {@code colour:
     * text 20 (optional)}.
     */
    public Understanding readAttributes(Id owner, String list) {
        return attempt(list, () -> new AttributeSentence(design, ids).readInto(owner, list, 0));
    }

    /** Reads a rule over one or several columns of one owner, as it is typed in its list: {@code departed after arrived}. */
    public Understanding readCheck(Id owner, String rule) {
        return attempt(rule, () -> {
            Edit edit =
                    new Edits(design, ids).addCheck(owner, new CheckText(design, owner).read(rule, 0, rule.length()));
            return new Understanding.Understood(edit, edit.name(), Optional.of(owner));
        });
    }

    /** Reads the columns of an index of one owner, as they are typed in its list: {@code done at falling, hive stand no}. */
    public Understanding readIndex(Id owner, String columns) {
        return attempt(columns, () -> {
            IndexText.Read read = new IndexText(design, owner).read(columns, 0, columns.length());
            Edit edit = new Edits(design, ids).addIndex(owner, read.index(Index.Purpose.SEARCHED));
            return new Understanding.Understood(edit, edit.name(), Optional.of(owner));
        });
    }

    private static Understanding attempt(String text, Supplier<Understanding> reading) {
        if (text.isBlank()) {
            return new Understanding.Nothing();
        }
        try {
            return reading.get();
        } catch (Misunderstanding e) {
            return e.toUnderstanding();
        }
    }

    /** sentence = attributes | relationship | dependency | statement */
    private Understanding sentence(String text, Optional<Id> about) {
        int start = text.length() - text.stripLeading().length();
        String masked = Quoted.masked(text);
        Optional<Understanding> stated = new FactSentence(design, ids).read(text, masked);
        if (stated.isPresent()) {
            return stated.get();
        }
        if (masked.contains("->")) {
            return new DependencyLine(design, chosen, ids).read(text);
        }
        if (text.regionMatches(true, start, "each ", 0, 5)) {
            Matcher has = HAS.matcher(masked).region(start, text.length());
            boolean attributes = has.lookingAt()
                    && Quantity.find(masked, has.end())
                            .filter(q -> q.start() == has.end())
                            .isEmpty();
            return attributes ? attributes(text, has, about) : relationship(text, start, about);
        }
        int end = text.indexOf(' ', start);
        throw new Misunderstanding(
                start,
                end < 0 ? text.length() : end,
                "a rule begins with 'Each', as in: "
                        + ofKnown(text)
                                .map(noun -> "Each " + noun + " has …, or: Each " + noun + " belongs to exactly one …")
                                .orElse(
                                        design.entities().isEmpty()
                                                ? "Each hive stands in exactly one apiary."
                                                : "Each … has …, or: Each … belongs to exactly one …"));
    }

    /** The first noun of a sentence that names an entity. */
    private Optional<String> ofKnown(String text) {
        Nouns nouns = Nouns.of(design);
        for (int at = 0; at >= 0 && at < text.length(); at = text.indexOf(' ', at + 1)) {
            String rest = text.substring(at).strip();
            int length = nouns.leadingLength(rest);
            if (length > 0) {
                return nouns.entity(rest.substring(0, length)).map(nouns::one);
            }
        }
        return Optional.empty();
    }

    private Understanding attributes(String text, Matcher has, Optional<Id> about) {
        var sentence = new AttributeSentence(design, ids);
        return about.map(owner -> sentence.readInstead(owner, text, has.end()))
                .orElseGet(() -> sentence.read(text, has.start(1), has.end(1), has.end()));
    }

    private Understanding relationship(String text, int start, Optional<Id> about) {
        Optional<Relationship> relationship =
                about.flatMap(design::relationship).map(RelationshipOptions::without);
        return new RelationshipSentence(design, relationship, ids).read(text, start);
    }
}
