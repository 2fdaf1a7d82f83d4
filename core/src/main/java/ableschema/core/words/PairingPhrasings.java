package ableschema.core.words;

import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.Relationship;
import ableschema.core.words.Phrasing.ReadAs;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Phrasings of what is known of two things together: "For each ingredient of a recipe we store the quantity." */
final class PairingPhrasings extends SentenceForms {

    private static final String KEPT =
            "(?:we|they|you) (?:also )?(?:need(?: to know)?|store|record|keep|note|register|know|want(?: to know)?) (?:down )?(?:the |an? |its |their )?(.+)";

    private static final String NOTED =
            " (?:is|are) (?:also )?(?:noted|recorded|kept|stored|given|registered|written down)";

    /** Its first part is a sentence, which no form of sentences has. */
    private static final Pattern WITH_ITS = Pattern.compile(
            "(.+?)(?:, and|;| and) the (.+?) of (?:each|every) (\\p{L}+(?: \\p{L}+)?)( in \\p{L}+)?" + NOTED
                    + "\\s*\\.?",
            Pattern.CASE_INSENSITIVE);

    private static final Pattern FOR_ITS = Pattern.compile(
            "(.+?)(?:, and|;| and) for (?:each|every) (?:of them|one|(\\p{L}+(?: \\p{L}+)?)),? (?:the|an?|its) (.+?)"
                    + NOTED + "\\s*\\.?",
            Pattern.CASE_INSENSITIVE);

    private static final Pattern IN_A_QUANTITY = Pattern.compile(
            "(.+?),? (?:each )?(?:with|in|at) (?:the|an?)(?: certain| given| specific)? ((?:quantity|amount|dose|dosage|proportion|price|weight|percentage)(?: per \\p{L}+)?(?: (?:used|needed|sold|\\p{L}+ed))?)\\s*\\.?",
            Pattern.CASE_INSENSITIVE);

    private static final Pattern WITH_LIST = Pattern.compile(
            "(.+?), with (an? \\p{L}[\\p{L} -]*(?:, (?:an? )\\p{L}[\\p{L} -]*)*,? and an? \\p{L}[\\p{L} -]*)\\s*\\.?",
            Pattern.CASE_INSENSITIVE);

    private final Design design;
    private final SaidNouns said;
    private final Function<String, Optional<Phrasing>> reading;
    private final Function<String, Optional<SaidClause>> clause;

    /**
     * @param reading reads a sentence of its own
     * @param clause  takes a sentence about a relationship apart
     */
    PairingPhrasings(
            Design design,
            SaidNouns said,
            Function<String, Optional<Phrasing>> reading,
            Function<String, Optional<SaidClause>> clause) {
        super("each|every");
        this.design = design;
        this.said = said;
        this.reading = reading;
        this.clause = clause;
    }

    @Override
    void fill() {
        String two =
                "for (?:each|every) (.+?)(?: \\p{L}+ed| made| taken| given| sold| held| sent| lent| bought| paid| used| put)? (?:of|in|on|at|by|per|to|for|and) (?:an? |the |each |every )?(.+?)";
        form(two + ",? " + KEPT, m -> known(m.group(1), m.group(2), m.group(3)));
        form(
                two
                        + ",? the (.+) (?:is|are) (?:given|stored|recorded|kept|noted|written down|registered|known|fixed|agreed|set|needed|determined|entered)",
                m -> known(m.group(1), m.group(2), m.group(3)));
        form(
                "the (.+) (?:must be|has to be|should be|is|are) (?:stored|recorded|kept|noted|registered|known|given) (?:for|of) (?:each|every) (.+?) (?:of|in|on|at|by|per|to|for|and) (?:an?|the|each|every) (.+?)",
                m -> known(m.group(2), m.group(3), m.group(1)));
        form(
                "(?:in|for|at|during) (?:an?|each|every) (.+?),? (?:each|every|an?|one) (.+?) (?:gets|has|receives|is given|scores|reaches) (?:exactly one |one )?((?:(?:an?|its|their) )?\\p{L}.*)",
                m -> known(m.group(1), m.group(2), m.group(3)));
        form(
                "the (.+?) of (?:each|every) (.+?) (?:in|on|at|by|per|to|for) (?:an?|the|each|every) (.+?) (?:is|are) (?:stored|recorded|kept|noted|registered)",
                m -> known(m.group(2), m.group(3), m.group(1)));
    }

    /** "A repair uses many parts, and the quantity of each part is noted": of each part in this repair. */
    Optional<Phrasing> withIts(String sentence) {
        return Cut.of(WITH_ITS, sentence)
                .flatMap(m -> withIts(m.group(1), m.group(3), m.group(2) + m.group(4)))
                .or(() -> Cut.of(FOR_ITS, sentence).flatMap(m -> withIts(m.group(1), m.group(2), m.group(3))))
                .or(() -> Cut.of(IN_A_QUANTITY, sentence).flatMap(m -> withIts(m.group(1), "", m.group(2))))
                .or(() -> Cut.of(WITH_LIST, sentence).flatMap(m -> withList(m.group(1), m.group(2))));
    }

    /** "Each pallet holds one product, with a quantity and a date": known of the pallet, where there is but one product. */
    private Optional<Phrasing> withList(String relation, String list) {
        if (SaidNouns.members(list).stream().anyMatch(said::isEntity)) {
            return Optional.empty();
        }
        return rule(reading.apply(relation + "."))
                .filter(rule -> rule.clause().cardinality().max() == 1)
                .flatMap(rule -> readAs(
                        rule.sentence(), "Each " + said.one(rule.clause().subject()) + " has " + items(list) + "."))
                .or(() -> withIts(relation, "", list));
    }

    /** A sentence of the grammar that says one rule, and the rule. */
    private record Rule(String sentence, SaidClause clause) {}

    /** Empty where a sentence says something else, or several things. */
    private Optional<Rule> rule(Optional<Phrasing> read) {
        return read.filter(ReadAs.class::isInstance)
                .map(found -> ((ReadAs) found).sentences())
                .filter(sentences -> sentences.size() == 1)
                .flatMap(sentences -> clause.apply(SaidNouns.withoutStops(sentences.get(0)))
                        .map(one -> new Rule(sentences.get(0), one)));
    }

    /** @param each of which of the two it is told; empty for the one spoken of last */
    private Optional<Phrasing> withIts(String relation, String each, String list) {
        return rule(reading.apply(relation + ".")
                        .map(found -> found instanceof Phrasing.Either either
                                ? either.readings().get(0)
                                : found))
                .filter(rule -> rule.clause().cardinality().max() != 1
                        && (each.isEmpty() || said.one(rule.clause().object()).equalsIgnoreCase(said.one(each))))
                .flatMap(rule -> readAs(
                        rule.sentence(),
                        "Each pairing "
                                + Quoted.of(said.one(rule.clause().subject()) + " "
                                        + rule.clause().verb() + " "
                                        + said.one(rule.clause().object()))
                                + " has " + items(list) + "."));
    }

    private static String items(String list) {
        return SaidNouns.members(list).stream().map(SaidItem::item).collect(Collectors.joining(", "));
    }

    /** Where one relationship of many to many joins the two. */
    private Optional<Phrasing> known(String one, String other, String list) {
        Optional<Entity> first = said.entity(one);
        Optional<Entity> second = said.entity(other);
        if (first.isEmpty() || second.isEmpty()) {
            return Optional.empty();
        }
        List<Relationship> joining = design.relationshipsOf(first.get().id())
                .filter(each -> each.touches(second.get().id()) && each.isManyToMany())
                .toList();
        return joining.size() == 1
                ? new Owners(design, said.nouns())
                        .called(joining.get(0).id())
                        .map(noun -> ReadAs.of("Each " + noun + " has " + items(list) + "."))
                : Optional.empty();
    }
}
