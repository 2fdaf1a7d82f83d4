package ableschema.core.words;

import ableschema.core.design.Cardinality;
import ableschema.core.design.Entity;
import ableschema.core.design.Relationship;
import ableschema.core.words.Counts.Found;
import ableschema.core.words.Phrasing.ReadAs;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiPredicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Phrasings of relationships: plural subjects, can and must, nouns without a number. */
final class RelationPhrasings {

    private static final int CASE = Pattern.CASE_INSENSITIVE;
    private static final Pattern TAIL = Pattern.compile(
            ",? (?:only|at (?:a|any|one|the same) time|at once|on the same day|in total|over time|in its life|regularly|frequently|usually|normally|sometimes|from time to time|again and again)$",
            CASE);
    private static final Pattern SECOND = Pattern.compile(
            "\\s*;\\s*|,? (?:and|but|while|whereas|though|although) (?=(?:an?|each|every|the) |(?:\\p{L}+ )?\\p{L}+s (?:can|may|must) )"
                    + "|, (?=(?:an?|each|every) \\p{L}[\\p{L} -]* (?:is|has|can|may|must|\\p{L}+s(?: (?:to|in|at|on|for|from|of|by))? (?:exactly|only|at most|at least|one|an?|many|several|any)) )",
            CASE);
    private static final Pattern MODAL = Pattern.compile(
            "^(can|may|must|should|will|might|has to|have to|needs to|need to) (?:(?:only|also|always|sometimes) )?",
            CASE);
    private static final Pattern NUMBER_APART = Pattern.compile(
            "(at least) (\\w+) (\\p{L}[\\p{L} -]*?) (?:and|but) (?:no more than|at most|not more than|up to) (\\w+)$",
            CASE);
    private static final Set<String> WHOLES =
            Set.of("consists of", "contains", "includes", "holds", "has", "comprises");

    private static final Pattern DENIED =
            Pattern.compile("\\b(?:not(?! (?:more|fewer|less) than\\b)|never|no longer|cannot)\\b|n't\\b", CASE);

    /** "Referee leads match": a noun without an article. */
    private static final Pattern BARE = Pattern.compile(
            "(?!(?:no|nobody|nothing|everybody|everyone|somebody|someone|something|anybody|anyone|there|it|they|we|he|she|you|i|in|at|on|for|of|by|with|during|when|if|only|some|many|most|both|such|this|that)\\b)\\p{L}+(?: \\p{L}+)?",
            CASE);

    /** One word, without what goes with it. */
    private static final Pattern VERB_ALONE = Pattern.compile("(?!(?:is|are|has|was|gets|does)$)\\p{L}+", CASE);

    private static final Pattern NAME = Pattern.compile(
            "(?!(?:of|in|on|at|by|for|to|from|with|into|onto|about|through|up|out|off|over|under|as|after|before|between|against|only|also|other)\\b)\\p{L}+ \\p{L}+",
            CASE);

    private static final Pattern KIND = Pattern.compile(
            "([^,;]+?),? (?:who|which) (?:is|must be|has to be) (?:also )?an? (\\p{L}+(?: \\p{L}+)?)\\.?", CASE);

    /** "Patients under 18 need …": what stands here goes with the noun. */
    private static final Pattern NO_BEGINNING = Pattern.compile(
            "(?:who|which|that|whose|where|when|if|of|in|on|at|by|for|to|from|with|without|into|about|over|under|above|below|after|before|between|against|until|since|aged|older|younger|like|than)\\b",
            CASE);

    private static final Pattern OPTIONS =
            Pattern.compile(" ?\\((?:first |second )?(?:called|on delete|on update|first as|second as)\\b.*", CASE);

    private static final Pattern WITH_ARTICLE =
            Pattern.compile("^(.*?\\p{L}) (?:an?|the|its|their) (?!.* (?:an?|the) )(\\p{L}[\\p{L}\\d -]*)$", CASE);

    private static final Pattern OF_A_WHOLE =
            Pattern.compile("(.+?) (?:of|in|at|on) (?:an?|the|one|its|their|each) (.+)", CASE);

    private static final int MOST_WORDS = 3;

    private final SaidNouns said;
    private final ClauseCheck check;
    private final SaidVerbs verbs;

    RelationPhrasings(SaidNouns said) {
        this.said = said;
        this.check = new ClauseCheck(said);
        this.verbs = new SaidVerbs(said);
    }

    Optional<Phrasing> of(String sentence) {
        Matcher denied = DENIED.matcher(Quoted.masked(sentence));
        if (denied.find()) {
            return Optional.of(new Phrasing.Refused(
                    "say what is the case, not what is not: 'at most 3' for 'not more than 3'", denied.group()));
        }
        int bracket = options(sentence);
        String options =
                sentence.substring(bracket).replaceFirst("\\.\\s*$", "").strip();
        String clauses = SaidNouns.withoutStops(sentence.substring(0, bracket).strip());
        Matcher second = SECOND.matcher(Quoted.masked(clauses));
        boolean two = second.find();
        Optional<SaidClause> forth = clause(two ? clauses.substring(0, second.start()) : clauses);
        Optional<SaidClause> back =
                two ? clause(clauses.substring(second.end())).map(other -> ofSame(forth, other)) : Optional.empty();
        if (forth.isEmpty() || two && back.isEmpty()) {
            return Optional.empty();
        }
        boolean freely = two && clauses.substring(second.end()).matches("(?i)an? .*");
        if (freely && (ClauseCheck.isKind(forth.get()) || ClauseCheck.isKind(back.get()))) {
            return Optional.empty();
        }
        boolean told = sentence.regionMatches(true, 0, "the ", 0, 4)
                || ClauseCheck.isValue(forth.get().subject(), Cardinality.EXACTLY_ONE);
        if (told && isOfKnown(forth.get().subject())) {
            return Optional.of(new Phrasing.Refused(
                    "\"" + forth.get().subject() + "\" is known of something, and is no thing of its own",
                    forth.get().subject()));
        }
        if (!two && isOfItself(forth.get(), clauses)) {
            return Optional.of(new Phrasing.Refused(
                    "each " + forth.get().subject() + " to itself? If another is meant, say: another "
                            + forth.get().subject(),
                    forth.get().subject()));
        }
        if (two && isHowMany(forth.get(), back.get()) && options.isEmpty()) {
            return Optional.of(ReadAs.of("E"
                    + forth.get()
                            .with(back.get().cardinality(), back.get().object())
                            .said()
                    + "."));
        }
        if (two && isOfSameSubject(forth.get(), back.get())) {
            return Optional.empty();
        }
        Optional<Phrasing> slip = Stream.of(forth, back)
                .flatMap(Optional::stream)
                .flatMap(each -> check.slip(each).stream())
                .findFirst();
        if (slip.isPresent()) {
            return slip;
        }
        if (two && isAboutObject(forth.get(), back.get()) && options.isEmpty()) {
            if (ofLongerName(back.get()).isPresent()) {
                return Optional.empty(); // each of the two is asked about by itself
            }
            return Optional.of(
                    ReadAs.of("E" + forth.get().said() + ".", "E" + back.get().said() + "."));
        }
        String end = (options.isEmpty() ? "" : " " + options) + ".";
        if (!two && options.isEmpty()) {
            Optional<Phrasing> longer = ofLongerName(forth.get());
            if (longer.isPresent()) {
                return longer;
            }
        }
        String behind = back.map(clause -> "; e" + clause.said()).orElse("") + end;
        if (forth.get().open()) {
            return Optional.of(new Phrasing.Either(List.of(
                    ReadAs.of("E" + forth.get().said() + behind),
                    ReadAs.of("E"
                            + forth.get()
                                    .with(
                                            Cardinality.EXACTLY_ONE,
                                            said.one(forth.get().object()))
                                    .said()
                            + behind))));
        }
        return Optional.of(ReadAs.of("E" + forth.get().said() + behind));
    }

    /** Whether it is an attribute that another sentence has spoken of. */
    private boolean isOfKnown(String noun) {
        return !said.isEntity(noun) && said.ownerOf(List.of(noun)).isPresent();
    }

    /** "A label has to be put on the label", where something else was meant. */
    private static boolean isOfItself(SaidClause clause, String sentence) {
        return clause.object().equals(clause.subject())
                && sentence.toLowerCase(Locale.ROOT)
                        .endsWith(" the " + clause.object().toLowerCase(Locale.ROOT));
    }

    /** Where the options in brackets at the end begin. */
    private static int options(String sentence) {
        Matcher options = OPTIONS.matcher(Quoted.masked(sentence));
        return options.find() ? options.start() : sentence.length();
    }

    /** What is nearly the name of an entity, in a sentence of the grammar that would make another of it. */
    Optional<Phrasing> slipOfName(String sentence) {
        Optional<Found> quantity = Counts.find(Quoted.masked(sentence), 0);
        String subject = SaidNouns.bare(sentence);
        boolean known = quantity.isEmpty()
                || said.nouns().leadingLength(subject) > 0
                        && said.isEntity(
                                sentence.substring(quantity.get().end()).replaceFirst("[;.].*", ""));
        return known
                ? Optional.empty()
                : clause(SaidNouns.withoutStops(sentence.strip())).flatMap(check::misnamed);
    }

    /** "Is held on one date", where nothing is said to be called so. */
    boolean isOfValue(String sentence) {
        Optional<Found> count = Counts.find(Quoted.masked(sentence), 0);
        String noun = count.map(found ->
                        SaidNouns.withoutStops(sentence.substring(found.end()).strip()))
                .orElse("");
        return count.isPresent() && ClauseCheck.isValue(noun, count.get().cardinality()) && !said.isEntity(noun);
    }

    /** Whether a sentence counts what something is measured in: "lasts 30 minutes". */
    boolean isOfMeasure(String sentence) {
        Optional<Found> quantity = Counts.find(Quoted.masked(sentence), 0);
        return quantity.isPresent()
                && SaidUnits.isUnit(SaidNouns.withoutStops(
                        sentence.substring(quantity.get().end()).strip()))
                && clause(SaidNouns.withoutStops(sentence.strip()))
                        .flatMap(check::slip)
                        .isPresent();
    }

    /** Whether a sentence leads to something whose name ends in that of a known entity, and is none itself. */
    boolean isOfLongerName(String sentence) {
        Optional<Found> quantity = Counts.find(Quoted.masked(sentence), 0);
        return quantity.isPresent()
                && said.endsIn(sentence.substring(quantity.get().end())).isPresent();
    }

    /** "Has one home depot" leads to a depot, in the role of the home depot, or to something of that name. */
    private Optional<Phrasing> ofLongerName(SaidClause clause) {
        boolean one = inNumber(clause.object(), clause.cardinality()).equals(said.one(clause.object()));
        boolean itself = !said.isEntity(clause.object())
                && said.one(clause.object()).endsWith(" " + clause.subject()); // "a genre has a parent genre"
        Optional<String> head = said.endsIn(clause.object())
                .map(entity -> one ? said.nouns().one(entity) : said.nouns().many(entity))
                .or(() ->
                        itself ? Optional.of(one ? clause.subject() : said.many(clause.subject())) : Optional.empty());
        return head.map(noun -> new Phrasing.Either(List.of(
                ReadAs.of("E" + clause.with(clause.cardinality(), noun).said() + " (second as "
                        + Nouns.listed(said.one(clause.object())) + ")."),
                ReadAs.of("E" + clause.said() + "."))));
    }

    /**
     * What says the other side of a rule of which only one was said: "A journalist writes many articles." and then "Each article is
     * written by at least one journalist." are one rule. Empty where there is none such.
     */
    Optional<Phrasing> otherSide(String sentence) {
        return otherSide(sentence, Verbs::areInverse);
    }

    /** What says to which one it belongs, be it the other side of a rule of whatever verb. */
    Optional<Phrasing> belonging(String sentence) {
        return otherSide(sentence, Verbs::areInverse).or(() -> otherSide(sentence, (verb, belongs) -> true));
    }

    private Optional<Phrasing> otherSide(String sentence, BiPredicate<String, String> inverse) {
        Optional<SaidClause> clause = options(sentence) < sentence.length()
                        || SECOND.matcher(Quoted.masked(sentence)).find()
                ? Optional.empty()
                : clause(SaidNouns.withoutStops(sentence.strip()));
        Optional<SaidClause> forth = clause.flatMap(each -> saidBefore(each, inverse));
        if (forth.isEmpty() || check.slip(clause.get()).isPresent()) {
            return Optional.empty();
        }
        String start = "E" + forth.get().said() + "; e";
        SaidClause back = clause.get();
        return Optional.of(
                back.open()
                        ? new Phrasing.Either(List.of(
                                ReadAs.of(start + back.said() + "."),
                                ReadAs.of(start
                                        + back.with(Cardinality.EXACTLY_ONE, said.one(back.object()))
                                                .said()
                                        + ".")))
                        : ReadAs.of(start + back.said() + "."));
    }

    /** Whether "a band has a manager" speaks of the one that manages. */
    private boolean isAgent(SaidClause clause, String verb) {
        String agent = said.one(clause.object());
        return clause.verb().equalsIgnoreCase("has")
                && verb.matches("\\p{L}{4,}s")
                && agent.matches("(?i)" + verb.replaceFirst("e?s$", "") + "e?[eo]?r");
    }

    /** The clause of the one rule of which this says the other side. */
    private Optional<SaidClause> saidBefore(SaidClause back, BiPredicate<String, String> inverse) {
        Optional<Entity> one = said.entity(back.subject());
        Optional<Entity> other = said.entity(back.object());
        if (one.isEmpty()
                || other.isEmpty()
                || one.get().id().equals(other.get().id())) {
            return Optional.empty();
        }
        List<Relationship> before = said.between(other.get(), one.get())
                .filter(each -> each.second().verb().isEmpty()
                        && !each.isSubtype()
                        && (inverse.test(each.first().verb(), back.verb())
                                || isAgent(back, each.first().verb())))
                .toList();
        return before.size() == 1
                ? Optional.of(new SaidClause(
                        said.nouns().one(other.get()),
                        before.get(0).first().verb(),
                        before.get(0).second().cardinality(),
                        inNumber(one.get().name(), before.get(0).second().cardinality()),
                        false))
                : Optional.empty();
    }

    /** "Each section is led by a leader, who is a musician": a rule, and what kind of thing it leads to. */
    Optional<Phrasing> withKind(String sentence) {
        Matcher kind = KIND.matcher(sentence);
        if (!kind.matches()) {
            return Optional.empty();
        }
        return clause(kind.group(1))
                .filter(clause -> !said.isEntity(clause.object())
                        && check.slip(clause).isEmpty()
                        && said.endsIn(clause.object()).isEmpty())
                .map(clause -> ReadAs.of(
                        "E" + clause.said() + ".",
                        "Each " + said.one(clause.object()) + " is a kind of " + said.one(kind.group(2)) + "."));
    }

    /** Whether the second only says how many: "benches are donated by donors; a bench has at most one donor". */
    private boolean isHowMany(SaidClause first, SaidClause second) {
        return first.open()
                && second.subject().equals(first.subject())
                && (second.verb().equalsIgnoreCase("has") || second.verb().equals(first.verb()))
                && said.one(second.object()).equals(said.one(first.object()))
                && !second.subject().equals(said.one(second.object()));
    }

    /** Whether the second says something else of what the first is about, and is no reading from the other side. */
    private boolean isOfSameSubject(SaidClause first, SaidClause second) {
        return second.subject().equals(first.subject())
                && !said.one(first.object()).equals(first.subject())
                && !said.one(second.object()).equals(first.subject());
    }

    /** Whether the second says of the object of the first what it has to do with a third, and so is a rule of its own. */
    private boolean isAboutObject(SaidClause first, SaidClause second) {
        String object = said.one(first.object());
        String third = said.one(second.object());
        return second.subject().equals(object)
                && !third.equals(first.subject())
                && Spelling.distance(third, first.subject()) > 2;
    }

    /** Where "a tide gauge stands at one site", the gauges that a site has are tide gauges. */
    private SaidClause ofSame(Optional<SaidClause> forth, SaidClause back) {
        return forth.filter(each -> isShortFor(back, each))
                .map(each -> back.with(back.cardinality(), inNumber(each.subject(), back.cardinality())))
                .orElse(back);
    }

    private boolean isShortFor(SaidClause back, SaidClause forth) {
        return said.one(forth.object()).equals(back.subject())
                && !said.isEntity(back.object())
                && forth.subject().endsWith(" " + said.one(back.object()));
    }

    /** Whether a clause says the other reading of what another says: of the same two entities, the other way round. */
    boolean isInverse(String clause, String other) {
        Optional<SaidClause> forth = clause(clause);
        Optional<SaidClause> back = clause(other);
        return forth.isPresent()
                && back.isPresent()
                && !back.get()
                        .verb()
                        .matches("(?i)(?:is|are) (?:number|letter)ed .*") // which says what tells them apart
                && said.one(forth.get().object()).equals(back.get().subject())
                && (said.one(back.get().object()).equals(forth.get().subject()) || isShortFor(back.get(), forth.get()));
    }

    /** Where the subject of a sentence ends and its verb begins; 0 where that is not seen. */
    int subjectEnd(String sentence) {
        String rest = SaidNouns.bare(sentence);
        int start = sentence.indexOf(rest);
        int verb =
                verbs.at(rest, start <= 0 || sentence.toLowerCase(Locale.ROOT).startsWith("all "));
        return verb <= 0 ? 0 : start + verb;
    }

    /** A sentence without how often, or when, it is so: "at a time". */
    static String withoutTail(String sentence) {
        return TAIL.matcher(SaidNouns.withoutStops(sentence.strip())).replaceFirst("");
    }

    /** One clause; empty where it is none. */
    Optional<SaidClause> clause(String text) {
        return clauseAsSaid(text).map(this::ofItsSubject).map(this::withoutWhole);
    }

    /** "One shelf of a cellar" is one shelf, where it has been said what shelves have to do with cellars. */
    private SaidClause withoutWhole(SaidClause clause) {
        Matcher of = OF_A_WHOLE.matcher(clause.object());
        if (!of.matches() || said.isEntity(clause.object())) {
            return clause;
        }
        return said.areRelated(of.group(1), of.group(2))
                ? clause.with(clause.cardinality(), inNumber(of.group(1), clause.cardinality()))
                : clause;
    }

    /** One clause, whose object may be short for another; empty where it is none. */
    Optional<SaidClause> clauseAsSaid(String text) {
        String clause = TAIL.matcher(text.strip()).replaceFirst("");
        Matcher apart = NUMBER_APART.matcher(clause);
        if (apart.find()) {
            clause = clause.substring(0, apart.start()) + "between " + apart.group(2) + " and " + apart.group(4) + " "
                    + apart.group(3);
        }
        if (clause.regionMatches(true, 0, "some ", 0, 5)) {
            return Optional.empty();
        }
        boolean all = clause.toLowerCase(Locale.ROOT).startsWith("all ");
        boolean article = !all && !SaidNouns.bare(clause).equals(clause);
        String rest = SaidNouns.bare(clause);
        int several = verbs.at(rest, !article);
        int verb = several > 0 || article ? several : verbs.at(rest, false);
        if (verb <= 0) {
            return Optional.empty();
        }
        String noun = rest.substring(0, verb).strip();
        if (!article && !said.isPlural(noun) && !said.isEntity(noun) && !said.isUncounted(noun)) {
            return BARE.matcher(noun).matches()
                    ? predicate(said.one(noun), rest.substring(verb).strip(), false)
                            .filter(bare -> said.isEntity(bare.object()))
                    : Optional.empty();
        }
        String words = rest.substring(verb).strip();
        boolean many = !article
                && (said.isPlural(noun)
                        || words.matches("(?i)(?:are|have|were) .*")
                        || said.many(noun).equalsIgnoreCase(said.one(noun))
                                && words.matches("(?i)\\p{L}*[^s\\s] .*")); // "species belong"
        return predicate(said.one(noun), words, many);
    }

    /** "An aircraft is of a type" where there are aircraft types. */
    private SaidClause ofItsSubject(SaidClause clause) {
        String longer = clause.subject() + " " + said.one(clause.object());
        if (said.isEntity(clause.object()) || !said.isEntity(longer)) {
            return clause;
        }
        return clause.with(clause.cardinality(), inNumber(longer, clause.cardinality()));
    }

    private Optional<SaidClause> predicate(String subject, String words, boolean plural) {
        String masked = Quoted.masked(words);
        if (NO_BEGINNING.matcher(masked).lookingAt()) {
            return Optional.empty();
        }
        Matcher modal = MODAL.matcher(masked);
        boolean free =
                modal.lookingAt() && modal.group(1).toLowerCase(Locale.ROOT).matches("can|may|might");
        boolean base = modal.lookingAt();
        String from = base ? words.substring(modal.end()) : words;
        String verbal = base || plural ? SaidVerbs.thirdPerson(from) : from;
        Optional<Found> count = Counts.find(Quoted.masked(verbal), 1);
        if (count.isPresent()) {
            String verb = verbal.substring(0, count.get().start()).strip();
            String object = SaidNouns.bare(verbal.substring(count.get().end()).replaceFirst("(?i)^ of ", " "));
            if (verb.isEmpty() || object.isEmpty()) {
                return Optional.empty();
            }
            boolean exact = verbal.substring(count.get().start(), count.get().end())
                    .matches("(?i)(?:exactly|precisely) .*|.* only .*");
            Cardinality cardinality =
                    free && !exact && count.get().cardinality().max() == 1
                            ? Cardinality.AT_MOST_ONE
                            : count.get().cardinality();
            if (cardinality.equals(Cardinality.ANY_NUMBER)) {
                object = ClauseCheck.withoutHowOften(object); // any number a day is any number
            }
            boolean more = count.get().cardinality().isMany()
                    && verbal.regionMatches(true, count.get().start(), "more than", 0, 9);
            return counted(subject, verb, free && more ? Cardinality.ANY_NUMBER : cardinality, object);
        }
        return uncounted(subject, verbal, free, plural);
    }

    private Optional<SaidClause> counted(String subject, String verb, Cardinality cardinality, String said) {
        String object = withoutOther(said);
        return Optional.of(new SaidClause(subject, verb, cardinality, inNumber(object, cardinality), false));
    }

    /** The object in the number that goes with how many there are, where it is known which noun it is. */
    private String inNumber(String object, Cardinality cardinality) {
        boolean one = cardinality.max() == 1 || cardinality.equals(Cardinality.AT_LEAST_ONE);
        return Quoted.is(object) ? object : one ? said.one(object) : plural(object);
    }

    /** "Another doctor" is a doctor too. */
    private String withoutOther(String object) {
        boolean other = object.regionMatches(true, 0, "other ", 0, 6);
        return other && said.entity(object).isEmpty() ? object.substring(6) : object;
    }

    private String plural(String object) {
        return said.many(object);
    }

    /** "is located in a building", "has turbines": an article makes it one, a plural any number. */
    private Optional<SaidClause> uncounted(String subject, String verbal, boolean free, boolean plural) {
        Matcher article = WITH_ARTICLE.matcher(verbal);
        if (article.matches()) {
            if (said.isPlural(article.group(2))) {
                return Optional.of(new SaidClause(
                        subject, article.group(1), Cardinality.ANY_NUMBER, plural(article.group(2)), false));
            }
            Cardinality one = free ? Cardinality.AT_MOST_ONE : Cardinality.EXACTLY_ONE;
            return Optional.of(new SaidClause(subject, article.group(1), one, said.one(article.group(2)), false));
        }
        for (int space = verbal.indexOf(' '); space > 0; space = verbal.indexOf(' ', space + 1)) {
            String verb = verbal.substring(0, space);
            String object = verbal.substring(space + 1);
            boolean last = object.indexOf(' ') < 0 && SaidVerbs.isVerb(verb)
                    || SaidVerbs.isVerb(verb)
                            && (VERB_ALONE.matcher(verb).matches() || SaidVerbs.endsInPreposition(verb))
                            && object.split(" ").length <= 2
                            && NAME.matcher(object).matches()
                    || WHOLES.contains(verb.toLowerCase(Locale.ROOT))
                            && object.split(" ").length <= MOST_WORDS; // "has camp sites"
            if (said.entity(object).isPresent() && !SaidVerbs.endsOtherwise(verb) || last && said.isPlural(object)) {
                boolean many = said.isPlural(object) || said.one(object).equalsIgnoreCase(said.many(object));
                boolean open = many && plural && !WHOLES.contains(verb.toLowerCase(Locale.ROOT));
                return Optional.of(new SaidClause(
                        subject,
                        verb.replaceFirst("(?i) other$", ""),
                        many ? Cardinality.ANY_NUMBER : free ? Cardinality.AT_MOST_ONE : Cardinality.EXACTLY_ONE,
                        many ? plural(object) : said.one(object),
                        open));
            }
        }
        return Optional.empty();
    }
}
