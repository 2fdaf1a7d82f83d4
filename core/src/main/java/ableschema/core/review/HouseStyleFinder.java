package ableschema.core.review;

import static java.util.stream.Collectors.joining;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Plural;
import ableschema.core.edit.ChangeBody;
import ableschema.core.edit.ChangeEntity;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Remedy;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Step;
import ableschema.core.mapping.NameStyle;
import ableschema.core.mapping.NamingRules;
import ableschema.core.reverse.Phrases;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Table;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;

/** Names that are held fast and depart from the rules of the house, and names that say too little. */
final class HouseStyleFinder implements Finder.OfEach {

    static final Rule DEPARTS = Rule.advice(
            Step.SQL,
            "name-departs",
            "Name that departs from the house rules",
            "{table}: by the rules of the house {names}.",
            "Names of one style can be typed from memory; each that departs must be looked up.");

    static final Rule NUMBER = Rule.advice(
            Step.SQL,
            "table-number",
            "Singular and plural among the tables",
            "The table {name} would be {wanted} by the rules of the house.",
            "Where all tables are named in one number, nobody has to look up which.");

    static final Rule HIDDEN = Rule.advice(
            Step.KEYS,
            "target-hidden",
            "Reference that does not say to what",
            "{table}: {name} refers to {target} and does not say so.",
            "Who reads the column cannot tell what it leads to, and joins it to the wrong table.");

    static final Rule BARE = Rule.advice(
            Step.DRAW,
            "bare-name",
            "Name that says too little",
            "{table}: {name} does not say of what.",
            "In a query over several tables it stands there alone, and each reader takes it for something else.");

    private static final int LONGEST_ABBREVIATION = 3;
    private static final int MOST_NAMED = 4;

    private static final Set<String> BARE_WORDS =
            Set.of("min", "max", "val", "value", "data", "info", "misc", "temp", "tmp", "other", "flag", "field");

    /** Words of a column that say only that it refers. */
    private static final Set<String> ONLY_REFERRING =
            Set.of("id", "no", "nr", "num", "number", "key", "fk", "ref", "reference", "code", "link");

    @Override
    public List<Rule> rules() {
        return List.of(DEPARTS, NUMBER, HIDDEN, BARE);
    }

    @Override
    public void find(Subject subject, Entity entity, Consumer<Finding> found) {
        String name = entity.pins().name();
        if (!name.isEmpty()) {
            NamingRules rules = subject.document().rules().naming();
            String number = inNumber(name, rules, subject.design().plural());
            String formed = rules.prefix() + formed(withoutPrefix(name, rules), rules.style());
            if (!number.equals(name)) {
                found.accept(Finding.of(NUMBER, Place.of(entity.id()))
                        .stating("name", name)
                        .stating("wanted", number)
                        .mendedBy(Remedy.of(
                                "call it " + number, (design, ids, given) -> called(design, entity.id(), number))));
            } else if (!formed.equals(name)) {
                found.accept(Finding.of(DEPARTS, Place.of(entity.id()))
                        .naming("table", entity.name())
                        .stating("names", wouldBe(name, formed))
                        .mendedBy(Remedy.of(
                                "call it " + formed, (design, ids, given) -> called(design, entity.id(), formed))));
            }
        }
    }

    private static String wouldBe(String name, String wanted) {
        return name + " would be " + wanted;
    }

    private static ChangeEntity called(Design design, Id id, String name) {
        Entity now = design.entity(id).orElseThrow(); // what is found stands in the design
        return new ChangeEntity(now.withPins(now.pins().withName(name)), "call the table " + name);
    }

    @Override
    public void find(Subject subject, Id owner, Consumer<Finding> found) {
        Body body = subject.design().body(owner).orElse(Body.EMPTY);
        NameStyle style = subject.document().rules().naming().style();
        departing(subject, owner, body, style, found);
        for (Attribute each : body.attributes()) {
            if (BARE_WORDS.contains(each.name().toLowerCase(Locale.ROOT))) {
                Finding bare = of(BARE, subject, owner, each.ref()).stating("name", each.name());
                found.accept(NameFinder.renaming(subject, new Place(owner, Optional.empty(), List.of(each.ref())))
                        .map(bare::mendedBy)
                        .orElse(bare));
            }
        }
        subject.table(owner).ifPresent(table -> hidden(subject, owner, table, found));
    }

    /** One for all columns of a table, as they are mostly named by the same hand. */
    private static void departing(Subject subject, Id owner, Body body, NameStyle style, Consumer<Finding> found) {
        List<Attribute> departing = body.attributes().stream()
                .filter(each ->
                        !formed(each.pins().name(), style).equals(each.pins().name()))
                .toList();
        if (departing.isEmpty()) {
            return;
        }
        String names = departing.stream()
                .limit(MOST_NAMED)
                .map(each -> wouldBe(each.pins().name(), formed(each.pins().name(), style)))
                .collect(joining(", "));
        int more = departing.size() - MOST_NAMED;
        List<KeyPart> parts =
                departing.stream().map(each -> (KeyPart) each.ref()).toList();
        found.accept(Finding.of(DEPARTS, new Place(owner, Optional.empty(), parts))
                .naming("table", subject.design().nameOf(owner))
                .stating("names", more > 0 ? names + " and " + more + " more otherwise" : names)
                .mendedBy(Remedy.of(
                        departing.size() == 1 ? "call it so" : "call them so",
                        (design, ids, given) -> inForm(design, owner, style))));
    }

    private static ChangeBody inForm(Design design, Id owner, NameStyle style) {
        Body body = design.body(owner).orElseThrow(); // what is found stands in the design
        Body changed = body;
        for (Attribute each : body.attributes()) {
            String name = each.pins().name();
            changed = name.isEmpty() ? changed : changed.replacing(renamed(each, formed(name, style)));
        }
        return new ChangeBody(owner, changed, "name columns by the rules of the house");
    }

    private static Attribute renamed(Attribute attribute, String name) {
        return attribute.withPins(attribute.pins().withName(name));
    }

    private static Finding of(Rule rule, Subject subject, Id owner, KeyPart part) {
        return Finding.of(rule, new Place(owner, Optional.empty(), List.of(part)))
                .naming("table", subject.design().nameOf(owner));
    }

    private static void hidden(Subject subject, Id owner, Table table, Consumer<Finding> found) {
        for (ForeignKey key : table.foreignKeys()) {
            String name = key.columns().get(0);
            boolean says = words(name).stream()
                    .map(word -> word.replaceAll("[0-9]+", ""))
                    .anyMatch(word -> !word.isEmpty() && !ONLY_REFERRING.contains(word));
            if (key.columns().size() == 1 && !says) {
                table.column(name)
                        .ifPresent(column -> found.accept(
                                of(HIDDEN, subject, owner, subject.trace().ref(table, column))
                                        .stating("name", name)
                                        .stating("target", key.target().name())));
            }
        }
    }

    private static String withoutPrefix(String name, NamingRules rules) {
        return name.startsWith(rules.prefix()) ? name.substring(rules.prefix().length()) : name;
    }

    /** The name in the number of the house, its other words as they are. */
    private static String inNumber(String name, NamingRules rules, Plural plural) {
        List<String> words = words(name);
        if (words.isEmpty()) {
            return name;
        }
        String last = words.get(words.size() - 1);
        boolean letters = name.toLowerCase(Locale.ROOT).endsWith(last);
        String singular = Phrases.singular(last, plural);
        String wanted = rules.plural() ? plural.of(singular) : singular;
        boolean same = wanted.equals(last) || !rules.plural() && singular.equals(last);
        return same || !letters || last.length() < 3
                ? name
                : name.substring(0, name.length() - last.length())
                        + inCase(wanted, name.substring(name.length() - last.length()));
    }

    private static String inCase(String word, String like) {
        boolean first = Character.isUpperCase(like.charAt(0));
        return first ? Character.toUpperCase(word.charAt(0)) + word.substring(1) : word;
    }

    /** A name in the form of the house, its words as they are; {@code HiveID} is as good as {@code HiveId}. */
    private static String formed(String name, NameStyle style) {
        if (style == NameStyle.AS_WRITTEN || name.isEmpty()) {
            return name;
        }
        String formed = style.of(String.join(" ", words(name)));
        if (formed.isEmpty()) {
            return name; // signs alone have no style
        }
        boolean abbreviated = style.joinsByCapitals()
                && formed.equalsIgnoreCase(name)
                && formed.charAt(0) == name.charAt(0)
                && (name.length() <= LONGEST_ABBREVIATION || !name.equals(name.toUpperCase(Locale.ROOT)));
        return abbreviated ? name : formed;
    }

    /** The words of an identifier, in small letters. */
    private static List<String> words(String name) {
        boolean capitals = name.equals(name.toUpperCase(Locale.ROOT));
        String apart = capitals
                ? name
                : name.replaceAll("(?<=[\\p{Ll}\\p{Nd}])(?=\\p{Lu})|(?<=\\p{Lu})(?=\\p{Lu}\\p{Ll})", " ");
        return List.of(apart.strip().split("[^\\p{L}\\p{M}\\p{Nd}]+")).stream()
                .filter(word -> !word.isEmpty())
                .map(word -> word.toLowerCase(Locale.ROOT))
                .toList();
    }
}
