package ableschema.core.words;

import ableschema.core.design.Cardinality;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Finds what in a clause is no verb and no entity, so that it is refused and does not become a name. */
final class ClauseCheck {

    private static final int CASE = Pattern.CASE_INSENSITIVE;
    private static final Set<String> COMPARISONS =
            Set.of("fewer", "more", "less", "than", "least", "most", "several", "multiple", "many", "few", "or", "and");

    private static final Pattern STRAY =
            Pattern.compile(",| (?:and|or|who|which|that|whose|where|with|has|have|is|are|can|may|must|not) ", CASE);

    private static final Pattern LEFT_OVER = Pattern.compile(
            " (?:on|in|at|during|per|from|for|by|to|until|since|before|after|without|under|over|as) .*", CASE);

    private static final Pattern OF_ONE = Pattern.compile("(.+) of (?:an?|the|each|every|its|their) (.+)", CASE);

    private static final Pattern IN_ONE = Pattern.compile(
            ".+ (?:in|on|at|for|by|with|from|to|within|between) (?:an?|the|each|every|its|their) .+", CASE);

    private static final Pattern TYPED = Pattern.compile(
            "is an? (?:decimal|number|text|string|date|moment|time|year|whole|integer|boolean|uuid)\\b.*", CASE);

    /** What points at something said elsewhere. */
    private static final Pattern POINTING = Pattern.compile(
            "(?:same|own|such|others?|another|each other|one another|it|them|him|her|themselves|itself|something|someone|somebody|anything|everything)(?: .*)?",
            CASE);

    private static final Pattern AGE = Pattern.compile("\\p{L}+ (?:olds?|longs?|wides?|highs?|deeps?|talls?)", CASE);

    private static final Pattern NUMBER_OF = Pattern.compile(
            "(?:(?:total|maximum|minimum|average) )?(?:number|amount|quantity|sum|percentage|share) of .*", CASE);

    private static final Pattern CODED = Pattern.compile(
            "is (?:coded|labell?ed|marked|named|titled|tagged|signed|stamped) (?:with|by) (?:codes?|labels?|names?|numbers?|titles?|tags?)",
            CASE);

    /** "Fines are optional for a stay" says how many a stay has. */
    private static final Pattern NEED = Pattern.compile(
            "(?:is|are) (?:optional|mandatory|required|necessary|obligatory|compulsory|possible|allowed|needed) (?:for|in|on|at|with|to)",
            CASE);

    /** "A payment is for one stay or one season ticket". */
    private static final Pattern EITHER = Pattern.compile(
            "(\\p{L}+(?: (?!(?:either|or)\\b)\\p{L}+){0,2}?)(?: either)?( PLACE)?(?: (?:exactly )?(?:one|an?))? (\\p{L}+(?: \\p{L}+)?) or (?:PLACE )?(?:(?:exactly )?(?:one|an?) )?(\\p{L}+(?: \\p{L}+)?)"
                    .replace("PLACE", "(?:by|for|to|of|in|on|at|from|with|about)"),
            CASE);

    /** "The theory test is passed before the practical test". */
    private static final Pattern IN_TURN =
            Pattern.compile("(?:is|be) \\p{L}+(?:ed|en|wn|ne|ld|nt|pt|ght|de) (?:before|after)", CASE);

    /** "The hours worked". */
    private static final Pattern DONE = Pattern.compile(
            "(\\p{L}+s) (?:\\p{L}+ed|sold|spent|taken|made|given|done|bought|sent|paid|lost|found|held|driven|written|eaten)",
            CASE);

    static final String NOT_HOW_OFTEN =
            "how often it happens is no number of something; say what is made each time, as in: Each … is looked at in any number of inspections";

    private static final Set<String> HOW_OFTEN = Set.of("time", "times", "once", "twice", "way", "ways");
    /** Words that stand between two nouns and are more than a verb: a list, another clause, a second noun. */
    private static final Pattern NO_VERB = Pattern.compile(
            "[,;]| (?:and|but|or|nor|either|neither|if|when|while|unless|until|which|who|whose|each|every|both|not|unique|once|twice|per|times|such as|can|may|must|should|will) | (?:an?|the|one) \\p{L}",
            CASE);

    private static final Pattern HOW_OFTEN_AT_END = Pattern.compile(
            " (?:an?|per|each|every|in an?) (?:hour|shift|day|night|week|month|quarter|season|year)s?$| (?:once|twice)$",
            CASE);

    private static final Pattern NUMBERED =
            Pattern.compile("(?:\\p{L}+ )+(?:number|code|name|title|id|password|postcode)", CASE);

    private static final Pattern VALUE = Pattern.compile(
            "(?:(?:positive|negative|whole|decimal|real|round) )?(?:numbers?|text|string|integers?|decimals?|boolean|names?|quantit(?:y|ies)|grades?|remarks?|status(?:es)?|descriptions?"
                    + "|(?:\\p{L}+ )?(?:amounts?|sums?|scores?|heights?|widths?|weights?|ages?|prices?|money|dates?|times?|percentages?|durations?))",
            CASE);

    private static final Pattern SOME_TIME = Pattern.compile(
            "(?:first|last|next|same|whole|current|following|previous) (?:hour|day|week|month|quarter|year|season|night)s?",
            CASE);

    private static final Pattern LASTING = Pattern.compile(
            "lasts|takes|is|(?:runs|stays|holds|is \\p{L}+) for|.* (?:within|after|before|every|until)", CASE);

    /** Words within a verb that end as plurals do. */
    private static final Set<String> ADVERBS = Set.of(
            "across",
            "always",
            "besides",
            "towards",
            "afterwards",
            "sometimes",
            "needs",
            "wants",
            "pays",
            "takes",
            "gives",
            "plus",
            "access",
            "process",
            "address",
            "express",
            "focus",
            "does",
            "makes",
            "goes",
            "less",
            "times",
            "previous",
            "various",
            "overseas",
            "backwards",
            "forwards",
            "upwards",
            "downwards",
            "perhaps");

    private final SaidNouns said;

    ClauseCheck(SaidNouns said) {
        this.said = said;
    }

    /** A noun without how often it comes, as in "visits a day". */
    static String withoutHowOften(String object) {
        return HOW_OFTEN_AT_END.matcher(object).replaceFirst("");
    }

    /** A word that is nearly one of the grammar, or a comparison, is no verb; a noun that is nearly an entity is no new one. */
    Optional<Phrasing> slip(SaidClause clause) {
        Matcher stray = STRAY.matcher(" " + Quoted.masked(clause.object()) + " ");
        Matcher either = EITHER.matcher(Quoted.masked(clause.verb() + " " + clause.object()));
        if (either.matches()) {
            String one = "Each " + clause.subject() + " " + either.group(1)
                    + (either.group(2) == null ? "" : either.group(2)) + " at most one ";
            return Optional.of(new Phrasing.Refused(
                    "one thing or the other is two relationships: " + one + either.group(3) + ". " + one
                            + either.group(4) + ". That it is one of them is kept as text: About … : …",
                    clause.object()));
        }
        if (stray.find()) {
            return Optional.of(new Phrasing.Refused(
                    "only one entity stands behind the verb; say the rest in a sentence of its own", clause.object()));
        }
        Optional<Phrasing> other = noEntity(clause);
        if (other.isPresent()) {
            return other;
        }
        if (CODED.matcher(clause.verb() + " " + clause.object()).matches()
                && said.entity(clause.object()).isEmpty()) {
            return Optional.of(new Phrasing.Refused(
                    "is it an attribute? Say: Each " + clause.subject() + " has " + clause.object(), clause.object()));
        }
        if (isValue(clause.object(), clause.cardinality()) && !said.isEntity(clause.object())) {
            return Optional.of(new Phrasing.Refused(
                    "is it an attribute? Say: Each " + clause.subject() + " has " + said.one(clause.object()),
                    clause.object()));
        }
        String signs = clause.object().replaceFirst("(?i) longs?$", "");
        if (SaidItem.signs("1 " + signs).isPresent()) {
            return Optional.of(new Phrasing.Refused(
                    "whose " + clause.subject() + " is so long? Say: the " + clause.subject()
                            + " of a … has at most 30 " + signs,
                    signs));
        }
        if (isValue(clause.subject(), Cardinality.EXACTLY_ONE) && !said.isEntity(clause.subject())) {
            return Optional.of(new Phrasing.Refused(
                    "of what is " + clause.subject() + " told? Say: Each … has " + clause.subject(), clause.subject()));
        }
        if (SOME_TIME.matcher(clause.object()).matches()) {
            return Optional.of(new Phrasing.Refused(
                    "what holds at some time only is kept as text: About " + clause.subject() + ": …",
                    clause.object()));
        }
        if (NEED.matcher(clause.verb()).matches()) {
            return Optional.of(new Phrasing.Refused(
                    "how many may one " + said.one(clause.object()) + " have? Say: Each " + said.one(clause.object())
                            + " has any number of " + said.many(clause.subject()) + ", or at least one",
                    clause.verb()));
        }
        if (isMeasure(clause)) {
            return Optional.of(new Phrasing.Refused(
                    "a measure is no entity. Say what is measured and how far it may go, as in: Each "
                            + clause.subject() + " has size in "
                            + clause.object().replaceFirst("(?i)^(kg|km|cm|mm|ml|[gmlt])s$", "$1")
                            + ": whole (at most 30)",
                    clause.object()));
        }
        Matcher done = DONE.matcher(clause.object());
        if (done.matches() && !said.isEntity(clause.object()) && said.isPlural(done.group(1))) {
            return Optional.of(new Phrasing.Refused(
                    "is it a sum, or several things? Say: Each " + clause.subject() + " has " + clause.object()
                            + ": whole. Or: Each " + clause.subject() + " " + clause.verb() + " any number of "
                            + done.group(1),
                    clause.object()));
        }
        if (IN_TURN.matcher(clause.verb()).matches()) {
            return Optional.of(new Phrasing.Refused(
                    "what comes first is a rule over two dates: Of each …: ended must be after started",
                    clause.verb()));
        }
        if (isKind(clause)) {
            String one = said.one(clause.object());
            return Optional.of(new Phrasing.Refused(
                    "is it a kind of it, or another thing? Say: Each " + clause.subject() + " is a kind of " + one
                            + ". Or: Each " + clause.subject() + " belongs to exactly one " + one,
                    clause.object()));
        }
        for (String word : Quoted.masked(clause.verb()).toLowerCase(Locale.ROOT).split(" ")) {
            for (String known : List.of("exactly", "at least", "at most")) {
                boolean near = !word.equals(known)
                        && Spelling.distance(word, known.replace(" ", "")) <= (known.length() > 7 ? 1 : 2)
                        && word.length() > 4;
                if (near) {
                    return Optional.of(new Phrasing.Refused("\"" + word + "\", did you mean \"" + known + "\"?", word));
                }
            }
            if (COMPARISONS.contains(word)) {
                return Optional.of(new Phrasing.Refused(
                        "how many is meant by \"" + word
                                + "\"? Say for example 'at most 4', 'at least one' or 'any number of'",
                        word));
            }
        }
        return misnamed(clause);
    }

    /** A noun that nobody has named and that is nearly one that is known. */
    Optional<Phrasing> misnamed(SaidClause clause) {
        return Stream.of(clause.subject(), clause.object())
                .flatMap(noun -> said.nearlyNamed(noun).stream()
                        .<Phrasing>map(name -> new Phrasing.Refused(
                                "\"" + noun + "\", did you mean \"" + name + "\"? If it is another, say first: " + noun
                                        + " is an entity.",
                                noun)))
                .findFirst();
    }

    /** Whether a noun tells of a value, such as a date, a price or one policy number; several phone numbers may be things. */
    static boolean isValue(String noun, Cardinality many) {
        return VALUE.matcher(noun).matches()
                || many.max() == 1 && NUMBERED.matcher(noun).matches();
    }

    /** Whether a word stands for something said elsewhere. */
    static boolean isPointing(String word) {
        return POINTING.matcher(word).matches();
    }

    /** Whether nothing is said of the two but that one is the other. */
    static boolean isKind(SaidClause clause) {
        return clause.verb().equalsIgnoreCase("is");
    }

    private boolean isMeasure(SaidClause clause) {
        String noun = clause.object().toLowerCase(Locale.ROOT);
        boolean lasting =
                SaidUnits.isPeriod(noun) && LASTING.matcher(clause.verb()).matches();
        return (lasting || SaidUnits.isMeasure(noun) || AGE.matcher(noun).matches()) && !said.isEntity(clause.object());
    }

    /** What stands where an entity is expected, and is none. */
    private Optional<Phrasing> noEntity(SaidClause clause) {
        Optional<Phrasing> verb = noVerb(clause);
        if (verb.isPresent()) {
            return verb;
        }
        String object = Quoted.masked(clause.object());
        Matcher over = LEFT_OVER.matcher(object);
        if (over.find() && said.entity(clause.object()).isEmpty()) {
            return Optional.of(new Phrasing.Refused(
                    "only one entity stands behind the verb; say the rest in a sentence of its own",
                    over.group().strip()));
        }
        if (POINTING.matcher(object).matches() && said.entity(clause.object()).isEmpty()) {
            return Optional.of(new Phrasing.Refused("say which one is meant by \"" + object + "\"", clause.object()));
        }
        if (object.matches("(?i)(?:kind|type|sort)s? of .*")
                && said.entity(clause.object()).isEmpty()) {
            return Optional.of(new Phrasing.Refused(
                    "are the kinds things of their own, or values of an attribute? Say it of what they are kinds of",
                    clause.object()));
        }
        if (object.matches("(?i)(?:unique|optional|mandatory) .*")
                && said.entity(clause.object()).isEmpty()) {
            return Optional.of(new Phrasing.Refused(
                    "is it an attribute? Say: Each " + clause.subject() + " has "
                            + object.replaceFirst("(?i)^(\\p{L}+) (.*)", "$2 ($1)"),
                    clause.object()));
        }
        if (NUMBER_OF.matcher(object).matches() && said.entity(clause.object()).isEmpty()) {
            return Optional.of(new Phrasing.Refused(
                    "a number is no entity. Say: Each " + clause.subject() + " has " + clause.object(),
                    clause.object()));
        }
        boolean often = HOW_OFTEN_AT_END.matcher(object).find();
        if (often
                || HOW_OFTEN.contains(object.toLowerCase(Locale.ROOT))
                        && said.entity(clause.object()).isEmpty()) {
            return Optional.of(new Phrasing.Refused(NOT_HOW_OFTEN, clause.object()));
        }
        if (IN_ONE.matcher(Quoted.masked(clause.subject())).matches()
                && said.entity(clause.subject()).isEmpty()) {
            return Optional.of(new Phrasing.Refused(
                    "only one entity stands before the verb; say the rest in a sentence of its own", clause.subject()));
        }
        Matcher ofOne = OF_ONE.matcher(Quoted.masked(clause.subject()));
        if (ofOne.matches() && said.entity(clause.subject()).isEmpty()) {
            return Optional.of(new Phrasing.Refused(
                    "say it of the whole: Each " + said.one(ofOne.group(2)) + " has "
                            + ofOne.group(1).toLowerCase(Locale.ROOT),
                    clause.subject()));
        }
        if (TYPED.matcher(Quoted.masked(clause.verb())).matches()) {
            return Optional.of(new Phrasing.Refused(
                    "whose " + clause.subject() + "? Say for example: Each … has " + clause.subject() + ": decimal 6,2",
                    clause.subject()));
        }
        return Optional.empty();
    }

    /** Whether behind its first word a verb holds an entity, or a plural: "plays roles in", "is made by members for". */
    private boolean holdsNoun(String verb) {
        List<String> words = List.of(Quoted.masked(verb).split(" "));
        return words.stream()
                .skip(1)
                .anyMatch(word -> said.entity(word).isPresent()
                        || word.length() > 3
                                && !ADVERBS.contains(word.toLowerCase(Locale.ROOT))
                                && said.isPlural(word));
    }

    private Optional<Phrasing> noVerb(SaidClause clause) {
        Matcher stray = NO_VERB.matcher(" " + Quoted.masked(clause.verb()) + " ");
        boolean two = Quoted.masked(clause.subject()).matches("(?i).*(?:,| and | or ).*");
        boolean several = two || stray.find() || holdsNoun(clause.verb());
        return several
                ? Optional.of(new Phrasing.Refused(
                        two
                                ? "only one entity stands before the verb; say the rest in a sentence of its own"
                                : "this is more than a verb between two entities; say the rest in a sentence of its own",
                        two ? clause.subject() : clause.verb()))
                : Optional.empty();
    }
}
