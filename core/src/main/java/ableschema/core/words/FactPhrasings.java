package ableschema.core.words;

import ableschema.core.design.Entity;
import ableschema.core.words.Phrasing.ReadAs;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Phrasings of what tells one from another, of kinds, of single attributes and of dependencies. */
final class FactPhrasings {

    private static final String ANY_CASE =
            ",? (?:whatever (?:its|the) (?:letter )?case|regardless of (?:its |the )?(?:letter )?case|in any (?:letter )?case|ignoring"
                    + " (?:its |the )?(?:letter )?case)";
    private static final String VALUE = "(\uE000+|'[^']*'|-?[\\p{L}\\d.][\\p{L}\\d._-]*)";
    private static final String NUMBER = "(-?\\d+(?:[.,]\\d+)?)";
    private static final String UNIT = "(?: [\\p{L}%°/³²]+)?";
    private static final String IS = "(?:must be|has to be|should be|must lie|is|lies|are|ranges|can be|may be)";

    /** Patterns are made once, as each sentence of a text is read with nouns of its own. */
    private static final Map<String, Pattern> COMPILED = new ConcurrentHashMap<>();

    private static final Pattern SENTENCE =
            Pattern.compile(" (?:has|have|is|are|that|which|who|can|may|must) ", Pattern.CASE_INSENSITIVE);

    private final SaidNouns said;
    private final List<Form> forms = new ArrayList<>();

    private record Form(Pattern pattern, Function<Cut, Optional<Phrasing>> reading) {}

    FactPhrasings(SaidNouns said) {
        this.said = said;
        keys();
        computations();
        kinds();
        single();
        rules();
        others();
    }

    Optional<Phrasing> of(String sentence) {
        for (Form form : forms) {
            Optional<Phrasing> found = Cut.of(form.pattern(), sentence)
                    .filter(FactPhrasings::isOfPlainParts)
                    .flatMap(form.reading());
            if (found.isPresent()) {
                return found;
            }
        }
        return Optional.empty();
    }

    /** Whether no part holds another sentence. */
    private static boolean isOfPlainParts(Cut cut) {
        for (int i = 1; i <= cut.matcher().groupCount(); i++) {
            String part = " " + Quoted.masked(cut.group(i)) + " ";
            boolean definition = i == 2 && part.toLowerCase(Locale.ROOT).matches(" an? .*");
            if (!definition && SENTENCE.matcher(part).find()) {
                return false;
            }
        }
        return true;
    }

    private void computations() {
        String computed = " (?:is|are) (?:computed|calculated|derived|worked out) (?:from|as|by) (.+?)";
        form(
                "the (.+?) of (?:an?|each|every|the|all) (.+?)" + computed,
                m -> computed(m.group(1), m.group(2), m.group(3)));
        form("(?:an?|each|every|the) (.+?)'s (.+?)" + computed, m -> computed(m.group(2), m.group(1), m.group(3)));
    }

    private void form(String pattern, Function<Cut, Optional<Phrasing>> reading) {
        forms.add(new Form(COMPILED.computeIfAbsent(pattern, FactPhrasings::compiled), reading));
    }

    private static Pattern compiled(String pattern) {
        return Pattern.compile(pattern + "\\s*\\.?", Pattern.CASE_INSENSITIVE);
    }

    private static Optional<Phrasing> readAs(String... sentences) {
        return Optional.of(ReadAs.of(sentences));
    }

    private static Optional<Phrasing> refused(String problem) {
        return Optional.of(new Phrasing.Refused(problem));
    }

    private void keys() {
        form(
                "(.+?) (?:is|are) (?:uniquely )?(?:identified|told apart|recognised|recognized) by (?:its|their|the|a|an)? ?(.+)",
                m -> identified(m.group(1), m.group(2)));
        form("the (?:primary )?key of (.+?) is (.+)", m -> identified(m.group(1), m.group(2)));
        form("(.+?) (?:uniquely )?identif(?:ies|y) (.+)", m -> identified(m.group(2), m.group(1)));
        form(
                "(.+?) (?:is|are) numbered(?: consecutively)? (?:inside|within|in|per) (.+)",
                m -> identified(m.group(1), SaidNouns.bare(m.group(2)) + ", number"));
        form("(.+?) (?:is|are) (?:only )?unique (?:only )?(?:within|per|in|inside) (.+)", this::withinAnother);
        form(
                "no two (.+?) (?:have|has|share|can have|may have|may share) (?:the|a) same (.+?)" + ANY_CASE,
                m -> uniqueInAnyCase(m.group(1), m.group(2)));
        form(
                "(?:the )?(.+?) of (?:an? |each |every |the )?(.+?) (?:must be|is|has to be|should be) unique"
                        + ANY_CASE,
                m -> uniqueInAnyCase(m.group(2), m.group(1)));
        form(
                "no two (.+?) (?:have|has|share|can have|may have|may share) (?:the|a) same (.+)",
                m -> readAs("No two " + SaidNouns.bare(m.group(1)) + " share their " + parts(m.group(2)) + "."));
        form(
                "the combination of (.+?) (?:is|must be) unique",
                m -> refused("of which entity? Say: No two … share their " + parts(m.group(1)) + "."));
        form(
                "(.+?) (?:has|have|must have) (?:an? )?unique (.+)",
                m -> readAs("Each " + said.one(m.group(1)) + " has " + Nouns.listed(SaidNouns.bare(m.group(2)))
                        + " (unique)."));
        form("(.+?) (?:must be|is|has to be|should be) unique", m -> ofAttribute(m.group(1), "unique"));
    }

    private Optional<Phrasing> uniqueInAnyCase(String noun, String attribute) {
        return readAs("Each " + said.one(noun) + " is often searched by its lower(" + part(SaidNouns.bare(attribute))
                + ") (unique).");
    }

    private Optional<Phrasing> computed(String attribute, String noun, String value) {
        return readAs("The " + part(SaidNouns.bare(attribute)) + " of each " + said.one(noun) + " is computed from "
                + value + ".");
    }

    private Optional<Phrasing> identified(String noun, String list) {
        return readAs("Each " + said.one(noun) + " is identified by its " + parts(list) + ".");
    }

    private static String parts(String list) {
        List<String> members = SaidNouns.members(list).stream()
                .map(SaidNouns::bare)
                .map(FactPhrasings::part)
                .toList();
        int last = members.size() - 1;
        return last <= 0
                ? String.join("", members)
                : String.join(", ", members.subList(0, last)) + " and " + members.get(last);
    }

    private static String part(String name) {
        return Quoted.is(name) || name.contains("\"") ? name : Nouns.listed(Nouns.inSentence(name));
    }

    /** "A berth number is only unique within its pier": the number of a berth. */
    private Optional<Phrasing> withinAnother(Cut found) {
        String whole = SaidNouns.bare(found.group(1));
        int known = said.nouns().leadingLength(whole);
        int space = known > 0 && known < whole.length() ? known : whole.lastIndexOf(' ');
        return space < 0
                ? Optional.empty()
                : identified(
                        whole.substring(0, space),
                        SaidNouns.bare(found.group(2)) + ", "
                                + whole.substring(space).strip());
    }

    private void kinds() {
        form("(.+?) is either (.+)", m -> kindsOf(m.group(1), m.group(2)));
        form("there are (?:\\w+ )?(?:kinds|types|sorts) of (.+?): ?(.+)", m -> specialKinds(m.group(1), m.group(2)));
        form(
                "(?:an? |the |each |every )?(.+?) (?:is|are) (?:an? )?(?:type|sort|kind|subtype|special kind)s? of (.+)",
                m -> readAs("Each " + said.one(m.group(1)) + " is a kind of " + said.one(m.group(2)) + "."));
        form(
                "(\\p{L}[\\p{L}, ]*? and \\p{L}+) are (\\p{L}+)",
                m -> SaidNouns.members(m.group(1)).stream().allMatch(said::isPlural) && said.isPlural(m.group(2))
                        ? kindsOf(m.group(2), m.group(1))
                        : Optional.empty());
        form(
                "(?:an? |the )?(\\p{L}[\\p{L} -]*?) is (an? \\p{L}.* (?:of|that|who|which|where|in which|for) .*)",
                m -> m.group(2).matches("(?i)an? kind of .*")
                        ? Optional.empty()
                        : readAs(defined(m.group(1)) + " is an entity: A"
                                + m.group(2).substring(1).replaceFirst("[.]+$", "") + "."));
        form("(.+?) (?:can|may) be (\\p{L}+) or (\\p{L}+)", m -> either(m.group(1), m.group(2), m.group(3)));
    }

    private String defined(String noun) {
        String one = said.one(noun);
        return Character.toUpperCase(one.charAt(0)) + one.substring(1);
    }

    private Optional<Phrasing> kindsOf(String general, String kinds) {
        return Optional.of(new ReadAs(SaidNouns.members(kinds.replaceAll("(?i),? or ", ", ")).stream()
                .map(kind -> "Each " + said.one(kind) + " is a kind of " + said.one(general) + ".")
                .toList()));
    }

    /** "There are two kinds of turbines: onshore and offshore". */
    private Optional<Phrasing> specialKinds(String general, String kinds) {
        String one = said.one(general);
        List<String> members = SaidNouns.members(kinds);
        boolean nouns = members.stream().allMatch(said::isPlural);
        return Optional.of(new ReadAs(members.stream()
                .map(SaidNouns::bare)
                .map(kind -> nouns || said.entity(kind).isPresent() || kind.endsWith(one)
                        ? said.one(kind)
                        : Nouns.inSentence(kind) + " " + one)
                .map(kind -> "Each " + kind + " is a kind of " + one + ".")
                .toList()));
    }

    private Optional<Phrasing> either(String noun, String first, String second) {
        String one = said.one(noun);
        return Optional.of(new Phrasing.Either(List.of(
                ReadAs.of("Each " + one + " has kind: text 20 (one of " + first + ", " + second + ")."),
                ReadAs.of(
                        "Each " + first + " " + one + " is a kind of " + one + ".",
                        "Each " + second + " " + one + " is a kind of " + one + "."))));
    }

    private void single() {
        String optional = "(?:is|are) optional|may be (?:unknown|empty|missing|left out|left empty)"
                + "|can be (?:unknown|empty|missing|left out|left empty)|is not always known|need not be (?:known|given)";
        form("(.+?) (?:" + optional + ")", m -> ofAttribute(m.group(1), ""));
        form("by default,? (.+?) is " + VALUE, m -> ofAttribute(m.group(1), "default " + value(m.group(2))));
        form("(.+?) (?:is|are) " + VALUE + " by default", m -> ofAttribute(m.group(1), "default " + value(m.group(2))));
        form("(.+?) defaults to " + VALUE, m -> ofAttribute(m.group(1), "default " + value(m.group(2))));
    }

    private static String value(String given) {
        if (given.startsWith("'")) {
            String inside = given.substring(1, given.length() - 1);
            return Nouns.isPlain(inside) ? inside : Quoted.of(inside);
        }
        return given;
    }

    private void rules() {
        form(
                "(.+?) " + IS + " (?:between|from) " + NUMBER + UNIT + " (?:and|to) " + NUMBER + UNIT,
                m -> ofAttribute(m.group(1), "between " + number(m.group(2)) + " and " + number(m.group(3))));
        form(
                "(.+?) " + IS
                        + " (at most|no more than|not more than|at least|no less than|greater than|more than|less than) "
                        + NUMBER + UNIT,
                m -> ofAttribute(m.group(1), comparison(m.group(2)) + " " + number(m.group(3))));
        form(
                "(.+?) (?:can't|can ?not|must not|may not|mustn't|is never) be negative",
                m -> ofAttribute(m.group(1), "at least 0"));
        form("(.+?) is never negative", m -> ofAttribute(m.group(1), "at least 0"));
        form("(.+?) (?:must be|is always|has to be) positive", m -> ofAttribute(m.group(1), "greater than 0"));
    }

    private static String number(String text) {
        return text.replace(',', '.');
    }

    private static String comparison(String words) {
        return switch (words.toLowerCase(Locale.ROOT)) {
            case "no more than", "not more than" -> "at most";
            case "no less than" -> "at least";
            case "more than" -> "greater than";
            default -> words.toLowerCase(Locale.ROOT);
        };
    }

    /**
     * A fact about one attribute, of the entity that is named or of the only one that has it.
     *
     * @param flag what is said of it; empty that it may be left out
     */
    private Optional<Phrasing> ofAttribute(String phrase, String flag) {
        Matcher of = Pattern.compile("(.+?) of (?:an? |the |each |every |all |any )(.+)", Pattern.CASE_INSENSITIVE)
                .matcher(phrase);
        Matcher whose = Pattern.compile("(?:an? |the |each |every )?(.+?)'s (.+)", Pattern.CASE_INSENSITIVE)
                .matcher(phrase);
        if (of.matches()) {
            return fact(said.one(of.group(2)), Nouns.listed(SaidNouns.bare(of.group(1))), flag);
        }
        if (whose.matches()) {
            return fact(said.one(whose.group(1)), Nouns.listed(SaidNouns.bare(whose.group(2))), flag);
        }
        if (phrase.toLowerCase(Locale.ROOT).startsWith("each ") || phrase.split(" ").length > 5) {
            return Optional.empty();
        }
        Optional<Entity> owner = said.ownerOf(List.of(phrase));
        String bare = Nouns.inSentence(SaidNouns.bare(phrase));
        return owner.isPresent()
                ? fact(said.nouns().one(owner.get()), SaidNouns.attribute(owner.get(), phrase), flag)
                : refused("whose " + bare + "? Say: the " + bare + " of a …, and then what holds for it");
    }

    private static Optional<Phrasing> fact(String entity, String attribute, String flag) {
        return readAs("Each " + entity + " has "
                + (flag.isEmpty() ? "[" + attribute + "]" : attribute + " (" + flag + ")") + ".");
    }

    private void others() {
        form("(.+?) (?:functionally )?determines? (.+)", this::determines);
        form(
                ".+ depends? on .+",
                m -> refused("which columns decide which? Say for example: Artist: name -> nationality"));
        form(
                "(?:an? |each |every )?(.+?) (?:goes|runs|leads|moves|travels|sails|flies) from (?:one|an?) (.+?) to (?:another|one|an?) .+",
                m -> {
                    String one = said.one(m.group(1));
                    String place = said.one(m.group(2));
                    return refused("two rules stand here. Say: Each " + one + " starts at exactly one " + place
                            + ". And: Each " + one + " ends at exactly one " + place + ".");
                });
    }

    private Optional<Phrasing> determines(Cut found) {
        List<String> all = new ArrayList<>(SaidNouns.members(found.group(1)));
        List<String> to = SaidNouns.members(found.group(2));
        int from = all.size();
        all.addAll(to);
        Optional<Entity> owner = said.ownerOf(all);
        if (owner.isEmpty()) {
            return refused("in which entity? Say for example: Station: " + String.join(", ", all.subList(0, from))
                    + " -> " + String.join(", ", to));
        }
        List<String> names =
                all.stream().map(each -> SaidNouns.attribute(owner.get(), each)).toList();
        String noun = said.nouns().one(owner.get());
        return readAs((Quoted.is(noun) ? noun : defined(noun)) + ": "
                + names.subList(0, from).stream().collect(Collectors.joining(", ")) + " -> "
                + names.subList(from, names.size()).stream().collect(Collectors.joining(", ")));
    }
}
