package ableschema.core.words;

import ableschema.core.types.DataTypes;
import ableschema.core.words.Phrasing.ReadAs;
import ableschema.core.words.SaidAttributes.Meant;
import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Phrasings of what holds for the values of an attribute: bounds, lists, defaults, and comparisons with another attribute. */
final class RulePhrasings extends SentenceForms {

    private static final String VALUE =
            "(" + Quoted.MASK + "+|'[^']*'|-?[\\p{L}\\d.](?:[\\p{L}\\d._-]*[\\p{L}\\d_-])?)";
    private static final String NUMBER =
            "([+-]?\\d+(?:[.,]\\d+)*(?: (?:thousand|million|billion))?|" + Counts.WORDS + ")";
    private static final Map<String, Integer> POWERS = Map.of("thousand", 3, "million", 6, "billion", 9);
    private static final Map<String, String> ORDERS =
            Map.of("exceed", "greater than", "precede", "before", "follow", "after");
    private static final String UNIT = "(?: [\\p{L}%°/³²]+)?";
    private static final String BE =
            "(?:must be|has to be|have to be|should be|must lie|is|lies?|are|ranges?|can be|may be)";
    private static final String COMPARED =
            "(at most|no (?:more|longer|higher|larger|later) than|not (?:more|longer|higher|larger) than|not above|at least|no (?:less|shorter|lower|smaller) than|not less than|not below|greater than"
                    + "|more than|longer than|above|over|less than|fewer than|shorter than|below|under)";
    private static final String ORDER =
            "((?:not |never )?(?:after|before|later than|earlier than|greater than|more than|larger than|higher than|less than"
                    + "|smaller than|lower than)|no later than|no earlier than|on or after|on or before|at or after|at or before|at least"
                    + "|at most|equal to|the same as|different from|other than)";

    /** "Low, normal or high and normal by default". */
    private static final Pattern PRESET = Pattern.compile(
            "(.+?)(?:,? (?:and|with)|[;,]) (?:(\\p{L}+) (?:by|as(?: the)?) default|(?:the |its )?default (?:is |being |value )?(\\p{L}+))\\.?",
            Pattern.CASE_INSENSITIVE);

    private static final Pattern OF_ANOTHER =
            Pattern.compile(".+ of (?:its|their|the|an?) .+", Pattern.CASE_INSENSITIVE);

    private final SaidNouns said;
    private final SaidAttributes attributes;

    RulePhrasings(SaidNouns said, SaidAttributes attributes) {
        super(
                "is|are|be|can|cannot|may|must|mustn|should|shouldn|will|has|have|defaults?|lies?|ranges?|go|run|comes?|starts?|begins?|ends?|consists?|of");
        this.said = said;
        this.attributes = attributes;
    }

    @Override
    void fill() {
        left();
        bounds();
        lists();
        lengths();
        form(
                "(.+?) (must be|has to be|have to be|should be|must come|must lie|cannot be|can't be|can not be|must not be|may not be"
                        + "|is always|is never|is|comes|lies) (?:always )?" + ORDER
                        + " (?:the |its |their )?(\\p{L}.*)",
                m -> compared(m.group(1), m.group(2), m.group(3), m.group(4)));
        form(
                "(.+?) (?:can|may) be (at most|at least) (?:(?:the|its|their) )(\\p{L}.*)",
                m -> compared(m.group(1), "must be", m.group(2), m.group(3)));
    }

    /** What may be left out, and what it is then. */
    private void left() {
        String optional = "(?:is|are) optional|may be (?:unknown|empty|missing|left out|left empty)"
                + "|can be (?:unknown|empty|missing|left out|left empty)|is not always known|(?:is|are) not (?:mandatory|required|compulsory|obligatory|necessary)|(?:need not|needn't|does not have to|do not have to|doesn't have to|don't have to) be (?:known|given|filled in|there|present)";
        form("(.+?) (?:" + optional + ")", m -> attributes.fact(m.group(1), ""));
        form(
                "(.+?), (?:if|where|when) (?:there is one|it has one|known|given|any|present), (?:must be|is|has to be) unique",
                m -> attributes
                        .meant(m.group(1))
                        .flatMap(
                                meant -> readAs("Each " + meant.owner() + " has [" + meant.attribute() + "] (unique)."))
                        .or(() -> attributes.fact(m.group(1), "unique")));
        form("(.+?) (?:is|are) (?:optional,? but unique|unique,? but optional)", m -> attributes
                .meant(m.group(1))
                .flatMap(meant -> readAs("Each " + meant.owner() + " has [" + meant.attribute() + "] (unique).")));
        form(
                "(.+?) (?:must |has to |always |should )?(start|begin|end)s? with (?:an? |the (?:letter|sign) )?(\\S+?)",
                m -> textual(
                        m.group(1),
                        "must " + m.group(2).toLowerCase(Locale.ROOT).replace("begin", "start") + " with "
                                + quoted(m.group(3))));
        form("by default,? (.+?) is " + VALUE, m -> byDefault(m.group(1), m.group(2)));
        form(
                "(.+?) (?:is|are|must be) (?:kept |to be kept )?(secret|confidential|personal|private)",
                m -> attributes.fact(
                        m.group(1),
                        m.group(2).toLowerCase(Locale.ROOT).matches("secret|confidential") ? "secret" : "personal"));
        form("(.+?) (?:is|are) " + NUMBER + UNIT + " by default", m -> byDefault(m.group(1), number(m.group(2))));
        form("(.+?) (?:is|are) " + VALUE + " by default", m -> byDefault(m.group(1), m.group(2)));
        form("(.+?) defaults to " + VALUE, m -> byDefault(m.group(1), m.group(2)));
        form(
                "(?:the )?default (?:value )?(?:for |of )?(?:the |its )?(.+?) is " + VALUE,
                m -> byDefault(m.group(1), m.group(2)));
    }

    /** What is said of signs makes a text of what has no type yet. */
    private Optional<Phrasing> textual(String phrase, String rule) {
        return attributes.meant(phrase).map(meant -> {
            boolean untyped = said.entity(meant.owner())
                    .flatMap(owner -> owner.body().attribute(meant.attribute()))
                    .filter(known -> !known.type().equals(DataTypes.UNDECIDED))
                    .isEmpty();
            String said = "Of each " + meant.owner() + ": " + meant.attribute() + " " + rule + ".";
            return untyped
                    ? ReadAs.of("Each " + meant.owner() + " has " + meant.attribute() + ": text.", said)
                    : ReadAs.of(said);
        });
    }

    private static String quoted(String text) {
        return text.matches("'.*'|\".*\"") ? text : "'" + text + "'";
    }

    private Optional<Phrasing> byDefault(String phrase, String given) {
        return attributes.fact(phrase, "default " + value(given));
    }

    private static String value(String given) {
        if (given.startsWith("'")) {
            String inside = given.substring(1, given.length() - 1);
            return Nouns.isPlain(inside) ? inside : Quoted.of(inside);
        }
        return given;
    }

    private void bounds() {
        form(
                "(.+?) " + BE + " (?:always )?(?:between|from) " + NUMBER + UNIT + " (?:and|to) " + NUMBER + UNIT,
                m -> bounded(m, "between " + number(m.group(2)) + " and " + number(m.group(3))));
        form(
                "(.+?) (?:is|are) (?:given |measured |kept |stored )?in (\\p{L}+),? (?:and )?(?:is |are |lies? )?(?:always )?(?:between|from) "
                        + NUMBER + " (?:and|to) " + NUMBER,
                m -> attributes.fact(
                        m.group(1), "between " + number(m.group(3)) + " and " + number(m.group(4)), m.group(2)));
        form(
                "(.+?) (?:is|are) (?:an? )?(?:running|sequential|consecutive|automatic) numbers?(?:,? (?:(?:which|that) )?(?:start|count|begin|runn?)(?:s|ing|ning) (?:up )?(?:at|from|with) (\\d+))?",
                m -> counted(m.group(1), m.matcher().group(2)));
        form(
                "(.+?) (?:is|are) (?:assigned|generated|given|created|issued|set|chosen) (?:automatically|by the (?:system|database|computer|program))",
                m -> counted(m.group(1), null));
        form(
                "(.+?s) (?:go|run) from " + NUMBER + UNIT + " (?:up )?to " + NUMBER + UNIT,
                m -> bounded(m, "between " + number(m.group(2)) + " and " + number(m.group(3))));
        form(
                "(.+?) " + BE + " (?:always )?" + COMPARED + " " + NUMBER + UNIT,
                m -> bounded(m, comparison(m.group(2)) + " " + number(m.group(3))));
        form(
                "(.+?) " + BE + " (?:always )?" + COMPARED + " " + NUMBER + UNIT + " (?:and|but) " + COMPARED + " "
                        + NUMBER + UNIT,
                m -> bounded(
                        m,
                        comparison(m.group(2)) + " " + number(m.group(3)) + "; " + comparison(m.group(4)) + " "
                                + number(m.group(5))));
        form(
                "(.+?) " + BE + " (?:always )?(?:between|from) " + NUMBER + UNIT + " (?:and|to) " + NUMBER + UNIT
                        + ",? and " + NUMBER + UNIT + " by default",
                m -> bounded(
                        m,
                        "between " + number(m.group(2)) + " and " + number(m.group(3)) + "; default "
                                + number(m.group(4))));
        form(
                "(.+?) " + BE + " (?:always )?" + NUMBER + UNIT
                        + " or (more|greater|higher|above|less|fewer|lower|below)",
                m -> bounded(
                        m,
                        (m.group(3).matches("(?i)more|greater|higher|above") ? "at least " : "at most ")
                                + number(m.group(2))));
        form(
                "(.+?) (?:can't|can ?not|must not|may not|mustn't|should not) (?:(?:be|go|fall|drop|rise|get) (above|over|more than|greater than|below|under|less"
                        + " than)|(exceed)) "
                        + NUMBER + UNIT,
                m -> bounded(
                        m,
                        (m.group(2).matches("(?i)below|under|less than") ? "at least " : "at most ")
                                + number(m.group(4))));
        form(
                "(.+?) (?:can't|can ?not|must not|may not|mustn't|should not|must never|is never) (?:be )?negative",
                m -> attributes.fact(m.group(1), "at least 0"));
        form(
                "(.+?) " + BE
                        + " (?:always )?(?:an? )?(whole numbers?|integers?|numbers?|decimals?|amounts?|values?) (?:between|from) "
                        + NUMBER + " (?:and|to) " + NUMBER,
                m -> typed(m.group(1), m.group(2), m.group(3), m.group(4)));
        form(
                "(.+?) " + BE
                        + " (?:always )?(?:an? )?(whole numbers?|integers?|numbers?|decimals?|amounts?|values?)(?: of)? "
                        + COMPARED + " " + NUMBER,
                m -> typed(m.group(1), m.group(2), comparison(m.group(3)) + " " + number(m.group(4))));
        form(
                "(.+?) (?:must|has to|should) exceed " + NUMBER + UNIT,
                m -> bounded(m, "greater than " + number(m.group(2))));
        form(
                "(.+?) (must|has to|should|must not|may not|cannot|can't) (exceed|precede|follow) (?:the |its )?(\\p{L}.*)",
                m -> compared(m.group(1), m.group(2), ORDERS.get(m.group(3).toLowerCase(Locale.ROOT)), m.group(4)));
        String number = "(?: (?:whole |decimal )?(?:number|integer|amount|value|sum))?";
        form(
                "(.+?) (?:must be|is always|are always|has to be|should be) (?:an? )?(?:positive" + number
                        + "|(?:greater|larger|more) than (?:0|zero))",
                m -> attributes.fact(m.group(1), "greater than 0"));
        form(
                "(.+?) (?:must be|is|are|has to be|have to be) (?:mandatory|required|compulsory|obligatory|needed|always (?:given|known|present))(?: for (?:an? |each |every |all )?(\\p{L}[\\p{L} ]*))?",
                m -> m.matcher().group(2) == null ? attributes.needed(m.group(1)) : neededFor(m.group(2), m.group(1)));
    }

    /** "The ticket number is a running number starting at 10000." */
    private Optional<Phrasing> counted(String phrase, String from) {
        return attributes
                .meant(phrase)
                .flatMap(meant -> readAs("Each " + meant.owner() + " has " + meant.attribute() + ": counted"
                        + (from == null ? "" : " " + from) + "."))
                .or(() -> attributes.whose(phrase));
    }

    private static final Pattern LAST_UNIT =
            Pattern.compile(".*\\d (\\p{L}+)(?:,? and .* by default)?\\.?", Pattern.CASE_INSENSITIVE);

    /** What is measured is called by its unit too, where it is not known of yet: "length in metres". */
    private Optional<Phrasing> bounded(Cut cut, String flag) {
        Matcher unit = LAST_UNIT.matcher(cut.text());
        if (unit.matches() && SIGNS.matcher(unit.group(1)).matches()) {
            return signs(cut.group(1), flag);
        }
        return unit.matches()
                ? attributes.fact(cut.group(1), flag, unit.group(1))
                : attributes.fact(cut.group(1), flag);
    }

    private static final Pattern SIGNS = Pattern.compile("(?:digit|character|letter|sign)s?", Pattern.CASE_INSENSITIVE);

    /** "A passport number is at most 9 characters" says how long a text may be. */
    private Optional<Phrasing> signs(String phrase, String flag) {
        return attributes
                .meant(phrase)
                .flatMap(meant -> flag.startsWith("at most ")
                        ? sized(phrase, flag.substring("at most ".length()))
                        : readAs("Of each " + meant.owner() + ": length(" + meant.attribute() + ") must be " + flag
                                + "."))
                .or(() -> attributes.whose(phrase));
    }

    private Optional<Phrasing> typed(String phrase, String kind, String bound) {
        String type = kind.matches("(?i)whole numbers?|integers?") ? ": whole" : "";
        return attributes
                .meant(phrase)
                .flatMap(meant ->
                        readAs("Each " + meant.owner() + " has " + meant.attribute() + type + " (" + bound + ")."));
    }

    /** "Ratings are whole numbers between 100 and 3000." */
    private Optional<Phrasing> typed(String phrase, String kind, String low, String high) {
        String type = kind.matches("(?i)whole numbers?|integers?") ? ": whole" : "";
        return attributes
                .meant(phrase)
                .flatMap(meant -> readAs("Each " + meant.owner() + " has " + meant.attribute() + type + " (between "
                        + number(low) + " and " + number(high) + ")."));
    }

    private Optional<Phrasing> neededFor(String noun, String attribute) {
        return readAs("Each " + said.one(noun) + " has " + Nouns.listed(SaidNouns.bare(attribute)) + ".");
    }

    /** A comma before three digits parts thousands, any other a fraction. */
    private static String number(String text) {
        if (Character.isLetter(text.charAt(0))) {
            return Integer.toString(Counts.number(text));
        }
        String[] parts = text.replaceFirst("^\\+", "").toLowerCase(Locale.ROOT).split(" ");
        boolean thousands = parts[0].matches("-?[1-9]\\d{0,2}(?:,\\d{3})+");
        String number = parts[0].replace(",", thousands ? "" : ".");
        return parts.length == 1
                ? number
                : new BigDecimal(number).scaleByPowerOfTen(POWERS.get(parts[1])).toPlainString();
    }

    private static String comparison(String words) {
        return switch (words.toLowerCase(Locale.ROOT)) {
            case "no less than", "no shorter than", "no lower than", "no smaller than", "not less than", "not below" ->
                "at least";
            case "more than", "longer than", "above", "over" -> "greater than";
            case "fewer than", "shorter than", "below", "under" -> "less than";
            default -> words.toLowerCase(Locale.ROOT).replaceFirst("^not? .*", "at most");
        };
    }

    /** "The barcode of a copy has 13 digits": a text of this length. */
    private void lengths() {
        form(
                "(.+?) (?:" + BE
                        + "|has|have|must have|(?:has|have) to have|must contain) (?:always )?(at least|between|from) "
                        + NUMBER + "(?: (?:and|to) " + NUMBER + ")? (?:digit|character|letter|sign)s?(?: long)?",
                m -> signs(
                        m.group(1),
                        m.matcher().group(4) == null
                                ? "at least " + number(m.group(3))
                                : "between " + number(m.group(3)) + " and " + number(m.group(4))));
        form(
                "(.+?) (?:is|are) (?:always )?(?:an? )?(\\d+|" + Counts.WORDS
                        + ")[- ](?:letter|digit|character|sign)s?(?: \\p{L}+)?",
                m -> sized(m.group(1), m.group(2)));
        form(
                "(.+?) (?:is|are|has|have|must have|must be|can have|may have|(?:must )?consists? of|(?:is|are) made (?:up )?of)(?: always| exactly| at most| up to| no more than)* (\\w+ (?:digits?"
                        + "|characters?|letters?|signs?)(?: long)?)",
                m -> SaidItem.signs(m.group(2)).flatMap(length -> attributes
                        .meant(m.group(1))
                        .flatMap(meant -> readAs(
                                "Each " + meant.owner() + " has " + meant.attribute() + ": text " + length + "."))));
    }

    /** "The country is a two-letter code." */
    private Optional<Phrasing> sized(String phrase, String length) {
        return attributes
                .meant(phrase)
                .flatMap(meant -> readAs("Each " + meant.owner() + " has " + meant.attribute() + ": text "
                        + Counts.number(length) + "."));
    }

    /** "The status of an order can be open, paid or written off." */
    private void lists() {
        String be = "(?:is|are|must be|can be|may be|should be|has to be|will be) (?:always )?";
        form("(.+?) " + be + "(?:one of|any of|either):? (.+)", m -> list(m.group(1), m.group(2)));
        form("(.+?) " + be + "(\\S[^,]*, .*\\S(?:,| )+or .+)", m -> list(m.group(1), m.group(2)));
        form("(.+?) (?:is|can be|may be|must be) (\\S+ or \\S+)", m -> list(m.group(1), m.group(2)));
        form("(\\p{L}+(?: \\p{L}+)?s) are:? (\\S[^,]*, .*\\S(?:,| )+and .+)", m -> (SORTS.matcher(m.group(1))
                                .matches()
                        ? attributes.meant(m.group(1))
                        : attributes.ofTheOnlyOne(m.group(1)))
                .filter(meant -> said.isPlural(m.group(1)) && !said.isEntity(m.group(1)))
                .flatMap(meant -> list(
                        "the " + meant.attribute() + " of the " + meant.owner(),
                        m.group(2).replaceAll("(?i),? and ", ", "))));
        form(
                "there are (?:\\w+ )?(?:different |possible )?(\\p{L}+ (?:" + SORTS_OF
                        + "|classes)):? ?([^,:]+(?:, [^,:]+)*(?:,| and| or) .+)",
                m -> attributes
                        .meant(m.group(1))
                        .filter(meant -> !said.isEntity(m.group(1)))
                        .flatMap(meant -> list(
                                "the " + meant.attribute() + " of the " + meant.owner(),
                                m.group(2).replaceAll("(?i),? and ", ", "))));
        form(
                "(?:the )?(\\p{L}+(?: \\p{L}+)? of (?:an?|each|every|the) [\\p{L} ]+?): ([^,]+, .+)",
                m -> list(m.group(1), m.group(2)));
        form("(?:the )?(?:possible |allowed )?(.+?) values are:? (.+)", m -> list(m.group(1), m.group(2)));
        form(
                "(?:the )?(?:possible|allowed|permitted|valid) (?:values? (?:of|for) )?(.+?) are:? (.+)",
                m -> list(m.group(1), m.group(2)));
    }

    /** "Severity: minor, major" lists the values of what is known; what is only called as if it had some is asked about. */
    Optional<Phrasing> ofItsValues(String sentence) {
        Matcher values = VALUES.matcher(SaidNouns.withoutStops(sentence));
        if (!values.matches() || said.isEntity(values.group(1))) {
            return Optional.empty();
        }
        String name = values.group(1);
        String list = values.group(2);
        return attributes
                .ofTheOnlyOne(name)
                .flatMap(meant -> list("the " + meant.attribute() + " of the " + meant.owner(), list))
                .or(() -> SORTED.matcher(name).matches() ? attributes.whose(name) : Optional.empty());
    }

    private static final Pattern VALUES =
            Pattern.compile("(?:the )?(\\p{L}+(?: \\p{L}+)?): ([^,:()]+, [^:()]+)", Pattern.CASE_INSENSITIVE);

    /** What things are sorted by, and what is no thing itself. */
    private static final Pattern SORTED = Pattern.compile(
            "(?:\\p{L}+ )?(?:level|status|state|priority|severity|colour|color|size|gender|condition|urgency|difficulty)",
            Pattern.CASE_INSENSITIVE);

    /** What things are sorted by. */
    private static final String SORTS_OF = "types|kinds|categories|levels|statuses|states|colours|colors|sizes|grades";

    private static final Pattern SORTS = Pattern.compile(".+ (?:" + SORTS_OF + ")", Pattern.CASE_INSENSITIVE);

    private Optional<Phrasing> list(String phrase, String list) {
        Matcher preset = PRESET.matcher(list);
        if (preset.matches()) {
            String value = preset.group(2) == null ? preset.group(3) : preset.group(2);
            return list(phrase, preset.group(1))
                    .filter(ReadAs.class::isInstance)
                    .map(read -> new ReadAs(((ReadAs) read)
                            .sentences().stream()
                                    .map(each -> each.replaceFirst("\\)\\.$", "; default " + value + ")."))
                                    .toList()));
        }
        List<String> values = SaidNouns.members(list.replaceAll("(?i),? or ", ", "));
        boolean told = values.stream()
                .anyMatch(value ->
                        SaidNouns.hasArticle(value) || value.matches("(?i).* than .*|.*;.*|(?:by|from|with|for) .*"));
        if (values.size() < 2 || told) {
            return Optional.empty();
        }
        Optional<Meant> of = attributes.meant(phrase);
        if (of.isEmpty()
                && phrase.toLowerCase(Locale.ROOT).startsWith("the ")
                && said.entity(phrase).isEmpty()) {
            return attributes.whose(phrase);
        }
        return of.flatMap(meant -> readAs("Each " + meant.owner() + " has " + meant.attribute() + " (one of "
                + values.stream()
                        .map(RulePhrasings::value)
                        .map(value -> Quoted.is(value) ? value : Nouns.listed(value))
                        .collect(Collectors.joining(", "))
                + ")."));
    }

    /** "The end time must be after the start time", of the one entity that has both. */
    private Optional<Phrasing> compared(String left, String modal, String order, String right) {
        Optional<Meant> of = attributes.meant(left);
        String bareRight = SaidNouns.bare(right);
        String other = of.flatMap(meant -> said.entity(meant.owner()))
                .map(entity -> SaidNouns.ofItsOwn(entity, bareRight))
                .orElse(bareRight);
        if (OF_ANOTHER.matcher(other).matches()) {
            return refused(
                    "rows of two tables are compared here, which no rule of one table can do; keep it as text: About … : …");
        }
        Optional<String> owner =
                of.map(Meant::owner).or(() -> said.ownerOf(List.of(left, other)).map(said.nouns()::one));
        if (owner.isEmpty()) {
            String bare = Nouns.inSentence(SaidNouns.bare(left));
            boolean pointed = left.toLowerCase(Locale.ROOT).startsWith("the ")
                    && said.entity(left).isEmpty()
                    && said.entity(other).isEmpty();
            return !pointed && modal.equalsIgnoreCase("is")
                            || left.toLowerCase(Locale.ROOT).startsWith("each ")
                    ? Optional.empty() // "a stop is before another stop" is a relationship
                    : refused("whose " + bare + "? Say: Of each …: " + bare + " must be " + order + " " + other);
        }
        boolean not = modal.matches("(?i).*(?:not|never|n't).*");
        String attribute = of.map(Meant::attribute).orElseGet(() -> Nouns.inSentence(SaidNouns.bare(left)));
        return readAs("Of each " + owner.get() + ": " + attribute + " must " + (not ? "not " : "") + "be "
                + order.toLowerCase(Locale.ROOT)
                        .replaceFirst("^never ", "not ")
                        .replaceFirst("^no later", "not later")
                        .replaceFirst("^no earlier", "not earlier")
                        .replaceFirst("higher than", "greater than")
                        .replaceFirst("lower than", "less than")
                + " " + other + ".");
    }
}
