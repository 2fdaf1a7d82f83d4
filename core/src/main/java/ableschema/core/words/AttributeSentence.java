package ableschema.core.words;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Check;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Unique;
import ableschema.core.edit.AddEntity;
import ableschema.core.edit.ChangeBody;
import ableschema.core.types.DataType;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Reads {@code Each hive has code (key), [colour], installed on: date (unique).} */
final class AttributeSentence {

    /**
     * item = NAME [ ":" type ] [ "(" flags ")" ] , where [NAME] in square brackets is optional, and a name between
     * double quotes may hold any character
     */
    private static final Pattern ITEM =
            Pattern.compile("\\s*(?<bracket>\\[)?(?<name>\"(?:[^\"]|\"\")*\"|[^,:()\\[\\];.\"]+)]?"
                    + "(?:\\s*:\\s*(?<type>domain\\s+\"(?:[^\"]|\"\")*\"|decimal\\s+\\d+\\s*,\\s*\\d+"
                    + "|list\\s*\\((?:\"(?:[^\"]|\"\")*\"|[^()\"])*\\)|[^,();.]+))?]?"
                    + "(?:\\s*\\((?<flags>(?:\"(?:[^\"]|\"\")*\"|[^)\"])*)\\))?\\s*");

    private final Design design;
    private final IdSource ids;

    AttributeSentence(Design design, IdSource ids) {
        this.design = design;
        this.ids = ids;
    }

    Understanding read(String text, int nounStart, int nounEnd, int listStart) {
        String noun = text.substring(nounStart, nounEnd).strip();
        return new Owners(design, Nouns.of(design))
                .owner(noun)
                .map(owner -> readInto(owner, text, listStart))
                .orElseGet(() -> readNew(noun, text, listStart));
    }

    private Understanding readNew(String noun, String text, int listStart) {
        var names = new ArrayList<String>();
        Entity entity = Entity.named(ids.next(IdKind.ENTITY), Nouns.of(design).newName(noun, text));
        Body body = withItems(entity.body(), text, listStart, names);
        return new Understanding.Understood(
                new AddEntity(entity.withBody(body), Optional.empty()),
                "new entity " + entity.name() + ", which gets " + Sentences.listed(names),
                Optional.of(entity.id()));
    }

    /** Reads a list of attributes for an owner that is known. */
    Understanding readInto(Id owner, String text, int listStart) {
        String called = design.nameOf(owner);
        var names = new ArrayList<String>();
        Body body = withItems(design.body(owner).orElse(Body.EMPTY), text, listStart, names);
        return new Understanding.Understood(
                new ChangeBody(owner, body, "give " + called + " " + Sentences.listed(names)),
                called + " gets " + Sentences.listed(names),
                Optional.of(owner));
    }

    /**
     * Reads the list as all that is said of an owner's attributes: what it leaves out goes, be it an attribute, a type or a
     * rule, its order counts, and where one name alone is exchanged for another it is a rename.
     */
    Understanding readInstead(Id owner, String text, int listStart) {
        Body before = design.body(owner).orElse(Body.EMPTY);
        var names = new ArrayList<String>();
        withItems(before, text, listStart, names);
        Body renamed = renamed(before, names);
        var words = new AttributeWords(design, renamed);
        Body body = keepingRules(renamed, withItems(words.withoutWhatIsSaid(), text, listStart, new ArrayList<>()));
        for (Attribute attribute : renamed.attributes()) {
            if (words.says(attribute) && names.stream().noneMatch(attribute.name()::equalsIgnoreCase)) {
                body = body.without(attribute.id());
            }
        }
        Body all = body;
        body = body.withAttributes(
                Stream.concat(names.stream().flatMap(name -> all.attribute(name).stream()), all.attributes().stream())
                        .distinct()
                        .toList());
        String called = design.nameOf(owner);
        return new Understanding.Understood(
                new ChangeBody(owner, body, "say anew what " + called + " has"),
                called + " has " + Sentences.listed(names),
                Optional.of(owner));
    }

    /** Rules that are said again are the same rules, in their order. */
    private static Body keepingRules(Body before, Body after) {
        return after.withUniques(keeping(before.uniques(), after.uniques(), Unique::parts))
                .withChecks(keeping(before.checks(), after.checks(), Check::expression));
    }

    private static <T> List<T> keeping(List<T> before, List<T> after, Function<T, Object> meaning) {
        var rest = new ArrayList<>(after);
        var kept = new ArrayList<T>();
        for (T each : before) {
            rest.stream()
                    .filter(same -> meaning.apply(same).equals(meaning.apply(each)))
                    .findFirst()
                    .ifPresent(same -> {
                        rest.remove(same);
                        kept.add(each);
                    });
        }
        kept.addAll(rest);
        return kept;
    }

    private static Body renamed(Body before, List<String> names) {
        List<Attribute> gone = before.attributes().stream()
                .filter(a -> names.stream().noneMatch(a.name()::equalsIgnoreCase))
                .toList();
        List<String> added =
                names.stream().filter(name -> before.attribute(name).isEmpty()).toList();
        return gone.size() == 1 && added.size() == 1
                ? before.replacing(gone.get(0).withName(added.get(0)))
                : before;
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
            requireNew(names, item);
            body = withItem(body, item, keys);
            names.add(name(item));
            at = separatorBehind(text, item.end());
        }
        return keys.isEmpty() ? body : body.withKey(keys);
    }

    /** Two names that differ in letter case alone are one to a database, and are never merged in silence. */
    private static void requireNew(List<String> names, Matcher item) {
        String name = name(item);
        names.stream().filter(name::equalsIgnoreCase).findFirst().ifPresent(known -> {
            throw new Misunderstanding(
                    item.start("name"),
                    item.end("name"),
                    known.equals(name)
                            ? name + " stands here twice"
                            : known + " and " + name + " are one name to a database; call one of them otherwise");
        });
    }

    private static String name(Matcher item) {
        return Quoted.plain(item.group("name"));
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
        if (item.group("bracket") != null) {
            attribute = attribute.withOptional(true);
        }
        if (item.group("flags") == null) {
            return with(body, attribute);
        }
        var flags = new AttributeFlags(attribute, design.typeOf(attribute), item.group("flags"), item.start("flags"));
        if (flags.isKey()) {
            keys.add(attribute.ref());
        }
        return flags.rulesFor(with(body, flags.attribute()), ids);
    }

    private static Body with(Body body, Attribute attribute) {
        return body.attribute(attribute.id()).isPresent() ? body.replacing(attribute) : body.with(attribute);
    }

    private DataType type(Matcher item) {
        try {
            return new DomainWords(design).read(item.group("type"));
        } catch (IllegalArgumentException e) {
            throw new Misunderstanding(item.start("type"), item.end("type"), String.valueOf(e.getMessage()));
        }
    }
}
