package ableschema.core.words;

import ableschema.core.design.Body;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.EntityKind;
import ableschema.core.design.Id;
import ableschema.core.design.IdSource;
import ableschema.core.edit.Edits;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Understands one typed line:
 *
 * <pre>
 * Each hive stands in exactly one apiary; each apiary shelters any number of hives.
 * Each hive has code (key), colour, installed on: date.
 * An apiary is a place.
 * hive code, visited on -> keeper no
 * </pre>
 */
public final class RuleLine {

    private static final Pattern KIND =
            Pattern.compile("(?:an? |the )?(.+?) is an? ([\\p{L} ]+?)\\.?", Pattern.CASE_INSENSITIVE);
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
        if (text.isBlank()) {
            return new Understanding.Nothing();
        }
        try {
            return sentence(text);
        } catch (Misunderstanding e) {
            return e.toUnderstanding();
        }
    }

    /**
     * Reads a list of attributes for one entity or many-to-many relationship, as it is typed on its card: {@code colour:
     * text 20 (optional)}.
     */
    public Understanding readAttributes(Id owner, String list) {
        if (list.isBlank()) {
            return new Understanding.Nothing();
        }
        try {
            return new AttributeSentence(design, ids)
                    .readInto(owner, design.nameOf(owner), design.body(owner).orElse(Body.EMPTY), list, 0);
        } catch (Misunderstanding e) {
            return e.toUnderstanding();
        }
    }

    /** sentence = attributes | relationship | dependency | kind */
    private Understanding sentence(String text) {
        int start = text.length() - text.stripLeading().length();
        if (text.contains("->")) {
            return new DependencyLine(design, chosen, ids).read(text);
        }
        if (text.regionMatches(true, start, "each ", 0, 5)) {
            Matcher has = HAS.matcher(text).region(start, text.length());
            boolean attributes = has.lookingAt()
                    && Quantity.find(text, has.end())
                            .filter(q -> q.start() == has.end())
                            .isEmpty();
            return attributes
                    ? new AttributeSentence(design, ids).read(text, has.start(1), has.end(1), has.end())
                    : new RelationshipSentence(design, ids).read(text, start);
        }
        Matcher kind = KIND.matcher(text.strip());
        if (kind.matches()) {
            return kind(text, kind.group(1), kind.group(2));
        }
        int end = text.indexOf(' ', start);
        throw new Misunderstanding(
                start,
                end < 0 ? text.length() : end,
                "a rule begins with 'Each', as in: Each hive stands in exactly one apiary.");
    }

    private Understanding kind(String text, String noun, String kind) {
        Entity entity = Nouns.entity(design, noun).orElseThrow(() -> {
            int at = text.indexOf(noun);
            return new Misunderstanding(at, at + noun.length(), "there is no entity called " + noun + " yet");
        });
        return new Understanding.Understood(
                new Edits(design, ids)
                        .setKind(entity, new EntityKind(kind.strip().toLowerCase(Locale.ROOT))),
                entity.name() + " is a " + kind,
                Optional.of(entity.id()));
    }
}
