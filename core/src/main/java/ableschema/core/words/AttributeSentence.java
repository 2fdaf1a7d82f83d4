package ableschema.core.words;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.DataType;
import ableschema.core.design.DataTypes;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Lists;
import ableschema.core.design.Pins;
import ableschema.core.design.Relationship;
import ableschema.core.design.Unique;
import ableschema.core.edit.AddEntity;
import ableschema.core.edit.ChangeBody;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads {@code Each hive has code (key), [colour], installed on: date (unique).} */
final class AttributeSentence {

    /**
     * item = NAME [ ":" type ] [ "(" flag { "," flag } ")" ] , where [NAME] in square brackets is optional, and a name
     * between double quotes may hold any character
     */
    private static final Pattern ITEM =
            Pattern.compile("\\s*(?<bracket>\\[)?(?:\"(?<quoted>[^\"]+)\"|(?<name>[^,:()\\[\\];.\"]+))]?"
                    + "(?:\\s*:\\s*(?<type>decimal\\s+\\d+\\s*,\\s*\\d+|[^,();.]+))?]?"
                    + "(?:\\s*\\((?<flags>[^)]*)\\))?\\s*");

    private final Design design;
    private final IdSource ids;

    AttributeSentence(Design design, IdSource ids) {
        this.design = design;
        this.ids = ids;
    }

    Understanding read(String text, int nounStart, int nounEnd, int listStart) {
        String noun = text.substring(nounStart, nounEnd).strip();
        return Nouns.entity(design, noun)
                .map(known -> readInto(known.id(), known.name(), known.body(), text, listStart))
                .or(() -> pairing(noun).map(known -> readInto(known.id(), known.noun(), known.body(), text, listStart)))
                .orElseGet(() -> readNew(noun, text, listStart));
    }

    /** The many-to-many relationship one pairing of which is called so. */
    private Optional<Relationship> pairing(String noun) {
        return design.relationships().stream()
                .filter(r -> r.isManyToMany() && Nouns.means(noun, r.noun()))
                .findFirst();
    }

    private Understanding readNew(String noun, String text, int listStart) {
        var names = new ArrayList<String>();
        Entity entity = Entity.named(ids.next(IdKind.ENTITY), Nouns.asName(noun));
        Body body = withItems(entity.body(), text, listStart, names);
        return new Understanding.Understood(
                new AddEntity(entity.withBody(body), Optional.empty()),
                "new entity " + noun + ", which gets " + Sentences.listed(names),
                Optional.of(entity.id()));
    }

    /** Reads a list of attributes for an owner that is known. */
    Understanding readInto(Id owner, String called, Body before, String text, int listStart) {
        var names = new ArrayList<String>();
        Body body = withItems(before, text, listStart, names);
        return new Understanding.Understood(
                new ChangeBody(owner, body, "give " + called + " " + Sentences.listed(names)),
                called + " gets " + Sentences.listed(names),
                Optional.of(owner));
    }

    private Body withItems(Body start, String text, int listStart, List<String> names) {
        Body body = start;
        var keys = new ArrayList<KeyPart>();
        Matcher item = ITEM.matcher(text);
        int at = listStart;
        while (at < text.length()) {
            item.region(at, text.length());
            if (!item.lookingAt() || name(item).isBlank()) {
                throw new Misunderstanding(at, Math.min(text.length(), at + 1), "expected the name of an attribute");
            }
            body = withItem(body, item, keys);
            names.add(name(item));
            at = separatorBehind(text, item.end());
        }
        return keys.isEmpty() ? body : body.withKey(keys);
    }

    private static String name(Matcher item) {
        String quoted = item.group("quoted");
        return quoted != null ? quoted : item.group("name").strip();
    }

    private static int separatorBehind(String text, int end) {
        String rest = text.substring(end);
        if (rest.isEmpty() || rest.strip().equals(".")) {
            return text.length();
        }
        if (rest.charAt(0) == ',') {
            return end + 1;
        }
        throw new Misunderstanding(end, end + 1, "expected a comma or the end of the sentence");
    }

    private Body withItem(Body body, Matcher item, List<KeyPart> keys) {
        String name = name(item);
        Attribute before = body.attribute(name).orElseGet(() -> Attribute.named(ids.next(IdKind.ATTRIBUTE), name));
        Attribute attribute = item.group("type") == null ? before : before.withType(type(item));
        boolean unique = false;
        if (item.group("bracket") != null) {
            attribute = attribute.withOptional(true);
        }
        if (item.group("flags") != null) {
            for (String flag : item.group("flags").strip().split("\\s*,\\s*")) {
                switch (flag) {
                    case "key" -> keys.add(attribute.ref());
                    case "optional" -> attribute = attribute.withOptional(true);
                    case "unique" -> unique = true;
                    default ->
                        throw new Misunderstanding(
                                item.start("flags"),
                                item.end("flags"),
                                "expected key, optional or unique, not '" + flag + "'");
                }
            }
        }
        Body with = body.attribute(attribute.id()).isPresent() ? body.replacing(attribute) : body.with(attribute);
        return unique && !with.isUnique(attribute)
                ? with.withUniques(Lists.plus(
                        with.uniques(), new Unique(ids.next(IdKind.UNIQUE), List.of(attribute.ref()), Pins.NONE)))
                : with;
    }

    private static DataType type(Matcher item) {
        try {
            return DataTypes.parse(item.group("type"));
        } catch (IllegalArgumentException e) {
            throw new Misunderstanding(item.start("type"), item.end("type"), String.valueOf(e.getMessage()));
        }
    }
}
