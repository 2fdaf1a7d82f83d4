package ableschema.core.words;

import ableschema.core.design.EntityKind;
import ableschema.core.words.SaidAttributes.Meant;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Tells what "X is a Y" means: a kind of another entity, the type of an attribute, a role, or what sort of thing it is. */
final class KindPhrasings {

    private static final Pattern KIND = Pattern.compile(
            "(?i)(an? |the |each |every )?(\\p{L}+(?: \\p{L}+){0,2}?(?: of (?:an?|the|each|every) \\p{L}+(?: \\p{L}+)?)?) is an? (?!(?:entity|kind|type|sort|subtype)\\b)(\\p{L}+(?: (?!of |too\\b|also\\b)\\p{L}+)?)\\.?");

    private static final Map<String, String> TYPES = Map.of(
            "year", "year",
            "date", "date",
            "moment", "moment",
            "whole number", "whole",
            "integer", "whole",
            "text", "text",
            "string", "text",
            "boolean", "yes/no",
            "running number", "counted",
            "consecutive number", "counted");

    /** What an attribute may be, and no entity is. */
    private static final Pattern VALUE = Pattern.compile(
            "(?i)(?:.* )?(?:year|date|day|moment|time|numbers?|integer|decimal|text|string|boolean|code|amount|sum|percentage|value)");

    private static final Pattern OF_ANOTHER = Pattern.compile("(?i)(.+) of (?:an?|the|each|every) (.+)");

    private final SaidNouns said;
    private final SaidAttributes attributes;

    KindPhrasings(SaidNouns said, SaidAttributes attributes) {
        this.said = said;
        this.attributes = attributes;
    }

    /** What such a sentence makes an entity, in the singular and small letters; empty where it makes none. */
    Optional<String> subject(String masked) {
        Matcher kind = KIND.matcher(masked);
        boolean made = kind.matches()
                && kind.group(1) != null
                && !VALUE.matcher(kind.group(3)).matches()
                && !OF_ANOTHER.matcher(kind.group(2)).matches();
        return made ? Optional.of(said.one(kind.group(2)).toLowerCase(Locale.ROOT)) : Optional.empty();
    }

    /**
     * "A manager is an employee" makes one a kind of the other, where "a manager is a person" says what sort of thing one is.
     *
     * @param masked the sentence with its quotes blotted out
     */
    Optional<Phrasing> of(String masked, String sentence) {
        Matcher kind = KIND.matcher(masked);
        if (!kind.matches()) {
            return Optional.empty();
        }
        String noun = kind.group(2);
        String general = kind.group(3);
        Optional<Phrasing> type = ofAttribute(noun, general);
        if (type.isPresent()) {
            return type;
        }
        boolean known = said.isEntity(general);
        if (!known && "counted".equals(TYPES.get(general.toLowerCase(Locale.ROOT)))) {
            return attributes.whose(noun);
        }
        boolean sort = EntityKind.USUAL.contains(new EntityKind(general.toLowerCase(Locale.ROOT)));
        Matcher of = OF_ANOTHER.matcher(noun);
        if (of.matches()) {
            return known || !sort ? Optional.of(kindOfItsPart(of.group(1), of.group(2), general)) : Optional.empty();
        }
        if (!known && (sort || kind.group(1) == null) || said.one(noun).equals(said.one(general))) {
            return Optional.empty();
        }
        String one = said.one(noun);
        var special = Phrasing.ReadAs.of("Each " + one + " is a kind of " + said.one(general) + ".");
        return Optional.of(
                known
                        ? special
                        : new Phrasing.Either(List.of(
                                special,
                                Phrasing.ReadAs.of(Character.toUpperCase(one.charAt(0))
                                        + one.substring(1)
                                        + sentence.substring(kind.end(2)).replaceFirst("\\.*$", ".")))));
    }

    /** "Vintage is a year" says the type of an attribute; that it is one of another entity would change what it is. */
    private Optional<Phrasing> ofAttribute(String noun, String general) {
        Optional<Meant> attribute = said.isEntity(noun) ? Optional.empty() : attributes.meant(noun);
        String type = TYPES.get(general.toLowerCase(Locale.ROOT));
        return attribute
                .filter(meant -> type != null || said.ownerOf(List.of(noun)).isPresent())
                .map(meant -> type == null
                        ? new Phrasing.Refused("is it an attribute, or one of another entity? Say for example: Each "
                                + meant.owner() + " has exactly one " + general + " (second as " + noun + ")")
                        : Phrasing.ReadAs.of(
                                "Each " + meant.owner() + " has " + meant.attribute() + ": " + type + "."));
    }

    /** "The guide of a tour is an employee": an employee in this role, or another kind of them. */
    private Phrasing kindOfItsPart(String part, String whole, String general) {
        return said.isEntity(part)
                ? Phrasing.ReadAs.of("Each " + said.one(part) + " is a kind of " + said.one(general) + ".")
                : Phrasing.ReadAs.of("Each " + said.one(whole) + " has exactly one " + said.one(general)
                        + " (second as " + said.one(part) + ").");
    }

    /** What is said of a thing whose name ends in that of another: a kind of it, or a thing of its own. */
    Phrasing withKind(String one, String general, Phrasing.ReadAs of) {
        String kind = "Each " + one + " is a kind of " + said.one(general) + ".";
        return new Phrasing.Either(List.of(
                new Phrasing.ReadAs(
                        Stream.concat(Stream.of(kind), of.sentences().stream()).toList()),
                of));
    }
}
