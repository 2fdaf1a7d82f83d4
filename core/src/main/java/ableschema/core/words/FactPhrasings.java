package ableschema.core.words;

import ableschema.core.design.Entity;
import ableschema.core.design.EntityKind;
import ableschema.core.words.Phrasing.ReadAs;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Phrasings of kinds, of single attributes, of what is computed and of dependencies. */
final class FactPhrasings extends SentenceForms {

    private static final Pattern MOMENT = Pattern.compile(
            "(\\p{L}+) (?:exactly one|an?|one|another|a certain|a given|a specific) (start |end |begin |first |last )?(date|day|time|moment|year)",
            Pattern.CASE_INSENSITIVE);

    /** "Is against one or more", "is by a member or a guest": no states. */
    private static final Pattern NO_STATES = Pattern.compile(
            "(?:by|with|to|from|of|for|in|on|at|against|between|among|under|over|about|through|near) .*|(?:.* )?(?:one|two|three|four|five|\\d+),? or (?:more|two|three|four|five|several|many|fewer|less|\\d+)\\b.*",
            Pattern.CASE_INSENSITIVE);

    /** What is reckoned or chosen from others is no thing of its own. */
    private static final String RECKONED =
            "(?:primary |natural )?(?:key|identifier|sum|total|number|count|average|mean|product|difference|maximum|minimum|same|only|first|last|name|title|date|combination|amount|rest)\\b";

    private static final Pattern AND_MORE = Pattern.compile(
            ".*\\band (?:can|can't|cannot|must|may|is|has|have|should|never)\\b.*", Pattern.CASE_INSENSITIVE);

    private static final Pattern OF_A_KIND =
            Pattern.compile("(?:an? )?(\\p{L}+(?: \\p{L}+)?) (?:who|that|which) .*", Pattern.CASE_INSENSITIVE);

    /** "In repair" is one, "in the store" a place. */
    private static final Pattern NO_STATE = Pattern.compile(
            "(?!(?:in|on|out of|under|not|over the) \\p{L}+$)(?:in|on|at|out|under|over|with|by|for|to|from) .*|.* by default",
            Pattern.CASE_INSENSITIVE);

    /** "Is stored in barrels or tanks". */
    private static final Pattern PLACED = Pattern.compile(
            "\\p{L}+(?:ed|en|wn|ept|eld|old|ade|ent|ut) (?:in|on|at|by|to|from|for|with|of|into|under) .*",
            Pattern.CASE_INSENSITIVE);

    /** A kind is called by no more words than these. */
    private static final int MOST_WORDS = 3;

    private final SaidNouns said;
    private final SaidAttributes attributes;

    FactPhrasings(SaidNouns said, SaidAttributes attributes) {
        super(
                "or|some|form|build|is|are|has|have|can|may|must|determines?|depends?|goes|runs|leads|moves|travels|sails|flies"
                        + "|date|day|time|moment|year");
        this.said = said;
        this.attributes = attributes;
    }

    @Override
    void fill() {
        computations();
        kinds();
        moments();
        others();
    }

    private void computations() {
        String computed = " (?:is|are) (?:computed|calculated|derived|worked out) (?:from|as|by) (.+?)";
        form(
                "the (.+?) of (?:an?|each|every|the|all) (.+?)" + computed,
                m -> computed(m.group(1), m.group(2), m.group(3)));
        form("(?:an?|each|every|the) (.+?)'s (.+?)" + computed, m -> computed(m.group(2), m.group(1), m.group(3)));
    }

    private Optional<Phrasing> computed(String attribute, String noun, String value) {
        return readAs("The " + KeyPhrasings.part(SaidNouns.bare(attribute)) + " of each " + said.one(noun)
                + " is computed from " + value + ".");
    }

    private void kinds() {
        form(
                "((?:an?|each|every|all) |the )?(\\p{L}+(?: \\p{L}+)?) (?:is|are|can be|may be) (?:either )?(\\p{L}+(?: \\p{L}+){0,3}?),? or (?:not|(?:it|they) (?:is|are) not|it isn't|they aren't)",
                m -> said.isEntity(m.group(2)) || m.group(1) != null || said.isPlural(m.group(2))
                        ? readAs("Each " + said.one(m.group(2)) + " has " + m.group(3) + ": yes/no.")
                        : Optional.empty());
        form(
                "there (?:is|are) (?:also |of course )?(?:an? |some )?(?!(?:about|also|some|only|exactly|at|no|many|several|one|two|three|four|five|\\d+)\\b)(\\p{L}+(?: (?!(?:of|in|on|at|for|per|with|between|and|or|from|to|by|that|which|who|called)\\b)\\p{L}+){0,2})",
                m -> readAs(Nouns.asName(said.one(m.group(1))) + " is an entity."));
        form(
                "(?:an?|each|every) (\\p{L}+(?: \\p{L}+)??) (?:is \\p{L}+|(?!has |is )\\p{L}+s)(?: (?:in|at|on|of|for|from|with))? (?:an?|one|exactly one) (\\p{L}+(?: \\p{L}+)?)(?:: | \\()(\\p{L}[^:()]*,? or [^:(),.]+)\\)?",
                m -> said.isEntity(m.group(2))
                        ? Optional.empty()
                        : readAs("Each " + said.one(m.group(1)) + " has "
                                + SaidItem.item(m.group(2) + " (" + m.group(3) + ")") + "."));
        form("(.+?) (?:is|are) either (.+)", m -> kindsOf(m.group(1), m.group(2)));
        form(
                "(?:all |every |each |an? |the )?(.+?) (?:is|can be|may be|must be) (an? [\\p{L}-]+(?: \\p{L}+)?(?:, an? [\\p{L}-]+(?: \\p{L}+)?)*,? or an? [\\p{L}-]+(?: \\p{L}+)?)",
                m -> kindsOf(m.group(1), m.group(2)));
        form(
                "(?:all )?(\\p{L}+(?: \\p{L}+)?) are (?:also |all )?(?!(?:of|in|on|at|by|for|to|from|with|about|under|over|not|never|only|always)\\b)(\\p{L}+(?: \\p{L}+)?)",
                m -> said.isPlural(m.group(1)) && said.isPlural(m.group(2))
                        ? readAs("Each " + said.one(m.group(1)) + " is a kind of " + said.one(m.group(2)) + ".")
                        : Optional.empty());
        form(
                "(?:an? )?(\\p{L}+(?: \\p{L}+)?) (?:is|are) (?:an? )?(\\p{L}+(?: \\p{L}+)?)(?:,? (?:and so|as)|; so) (?:is|are) (?:an? |the )?(\\p{L}+(?: \\p{L}+)?)",
                m -> kindsOf(m.group(2), "a " + m.group(1) + ", a " + m.group(3)));
        form(
                "(\\p{L}[\\p{L}, ]*? and \\p{L}[\\p{L} ]*?) are (?:both|all) (\\p{L}+(?: \\p{L}+)?)",
                m -> said.isPlural(m.group(2)) ? kindsOf(m.group(2), "a " + m.group(1)) : Optional.empty());
        form(
                "(.+?) (?:may|can|might) (?:also )?have no (?!(?:more|fewer|less) than )(?:known )?(.+?)(?: at all| yet)*",
                m -> maybeWithout(m.group(1), m.group(2)));
        form(
                "(.+?) without (?:an?|any|their|its) (.+?) are (?:also )?(?:allowed|possible|fine|ok|accepted|permitted)",
                m -> maybeWithout(m.group(1), m.group(2)));
        form("there are (?:\\w+ )?(?:kinds|types|sorts) of (.+?): ?(.+)", m -> specialKinds(m.group(1), m.group(2)));
        form(
                "(\\p{L}[\\p{L}, ]*? and \\p{L}[\\p{L} ]*?) are (?:both |all |two |different )?(?:kind|type|sort)s of (.+)",
                m -> kindsOf(m.group(2), m.group(1)));
        form(
                "(?:an? |the |each |every )?(.+?) (?:is|are) (?:an? )?(?:type|sort|kind|subtype|special kind)s? of (.+)",
                m -> readAs("Each " + said.one(m.group(1)) + " is a kind of " + said.one(m.group(2)) + "."));
        form(
                "(\\p{L}[\\p{L}, ]*? and \\p{L}[\\p{L} ]*?) are (?:both |all )?(\\p{L}[\\p{L} ]*)",
                m -> SaidNouns.members(m.group(1)).stream().anyMatch(said::isPlural)
                                && SaidNouns.members(m.group(1)).stream()
                                        .allMatch(each -> said.isPlural(each) || said.isUncounted(each))
                                && (said.isPlural(m.group(2)) || said.isUncounted(m.group(2)))
                        ? kindsOf(m.group(2), m.group(1))
                        : Optional.empty());
        form("(?:all |every |each |an? |the )?(.+?) (?:is|are) (\\p{L}[\\p{L}, -]*,? or \\p{L}[\\p{L} -]*)", m -> {
            List<String> members = SaidNouns.members(m.group(2).replaceAll("(?i),? or ", ", "));
            if (!areKinds(m.group(1), members)) {
                return Optional.empty();
            }
            Optional<String> placed =
                    members.stream().filter(PLACED.asMatchPredicate()).findFirst();
            return placed.isEmpty()
                    ? kindsOf(m.group(1), m.group(2))
                    : refused(
                            "\"" + placed.get()
                                    + "\" is a piece of a sentence; say of each what it has to do with it, in a sentence of its own");
        });
        form(
                "(?:an? |the )?(\\p{L}[\\p{L} -]*?) is ((?:an?|one) \\p{L}.* (?:of|that|who|which|where|in which|for) .*)",
                m -> definition(m.group(1), m.group(2)));
        form(
                "an? (\\p{L}[\\p{L} -]*?) is (the (?!" + RECKONED + ")\\p{L}+ of an? \\p{L}.*)",
                m -> definition(m.group(1), m.group(2)));
        form(
                "(\\p{L}+(?: \\p{L}+)?) are (\\p{L}+(?: \\p{L}+)? (?:who|that|which) .*)",
                m -> said.isPlural(m.group(1)) ? definition(m.group(1), m.group(2)) : Optional.empty());
        form(
                "(?:an? |the |each |every )?(\\p{L}[\\p{L} -]*?) is an? (\\p{L}[\\p{L} -]*?) (?:with|without|having) (.*)",
                m -> refused("say first what it is, then what it has: Each " + said.one(m.group(1)) + " is a kind of "
                        + said.one(m.group(2)) + ". And: Each " + said.one(m.group(1)) + " has …"));
        form(
                "(?:all )?(.+?) (?:can|may) be (\\p{L}+(?: \\p{L}+)?(?:, \\p{L}+(?: \\p{L}+)?)*,? or \\p{L}+(?: \\p{L}+)?)",
                m -> areKinds(m.group(1), SaidNouns.members(m.group(2).replaceAll("(?i),? or ", ", ")))
                        ? kindsOf(m.group(1), m.group(2))
                        : Optional.empty());
        form(
                "(.+?) (?:can|may) be (\\p{L}+(?:, \\p{L}+)+,? or \\p{L}+)",
                m -> said.entity(m.group(1)).isEmpty()
                        ? Optional.empty()
                        : either(m.group(1), SaidNouns.members(m.group(2).replaceAll("(?i),? or ", ", "))));
        form(
                "(an? |each |every |)(?:all )?(\\p{L}+(?: (?!which\\b|that\\b|who\\b)\\p{L}+)??) (?:is|are) (\\p{L}+(?: \\p{L}+)?(?:, \\p{L}+(?: \\p{L}+)?)*,? or \\p{L}+(?: \\p{L}+)?)",
                m -> (said.isEntity(m.group(2)) || !m.group(1).isEmpty())
                                && !NO_STATES.matcher(m.group(3)).matches()
                        ? either(m.group(2), SaidNouns.members(m.group(3).replaceAll("(?i),? or ", ", ")))
                        : Optional.empty());
        form("(.+?) (?:can|may) be (\\p{L}+) or (\\p{L}+)", m -> either(m.group(1), List.of(m.group(2), m.group(3))));
    }

    /** "A town may have no test centre": one or several of them, where what it is called is a thing of its own. */
    private Optional<Phrasing> maybeWithout(String noun, String other) {
        String one = said.one(noun);
        String without = said.one(other);
        boolean related = said.entity(noun).stream().anyMatch(owner -> said.entity(other).stream()
                .anyMatch(leading -> said.between(owner, leading).findAny().isPresent()));
        if (related || !said.isEntity(other)) {
            return attributes.fact(without + " of a " + one, "");
        }
        return Optional.of(new Phrasing.Either(List.of(
                ReadAs.of("Each " + one + " has any number of " + said.many(without) + "."),
                ReadAs.of("Each " + one + " has at most one " + without + "."))));
    }

    /** "Animals are cows or sheep": the plural of some nouns is no other word. */
    private boolean areKinds(String general, List<String> kinds) {
        return kinds.stream().allMatch(said::isPlural)
                || said.isPlural(general)
                        && kinds.stream().anyMatch(said::isPlural)
                        && kinds.stream()
                                .allMatch(kind ->
                                        said.isPlural(kind) || said.many(kind).equalsIgnoreCase(kind));
    }

    /** "A borrower is a person who …" says what one is; "an instructor is a pilot who …" also of what it is a kind. */
    private Optional<Phrasing> definition(String noun, String told) {
        if (told.matches("(?i)an? kind of .*")) {
            return Optional.empty();
        }
        if (AND_MORE.matcher(told).matches()) {
            return refused("what it is and what holds for it are two sentences");
        }
        String text = Character.toUpperCase(told.charAt(0)) + told.substring(1).replaceFirst("[.]+$", "") + ".";
        String definition = defined(noun) + " is an entity: " + text;
        Matcher of = OF_A_KIND.matcher(told);
        if (!of.matches() || EntityKind.USUAL.contains(new EntityKind(said.one(of.group(1))))) {
            return readAs(definition);
        }
        String kind = "Each " + said.one(noun) + " is a kind of " + said.one(of.group(1)) + ".";
        return said.isEntity(of.group(1))
                ? readAs(definition, kind)
                : Optional.of(new Phrasing.Either(List.of(ReadAs.of(definition), ReadAs.of(definition, kind))));
    }

    private String defined(String noun) {
        String one = said.one(noun);
        return Character.toUpperCase(one.charAt(0)) + one.substring(1);
    }

    private Optional<Phrasing> kindsOf(String general, String kinds) {
        List<String> members = SaidNouns.members(kinds.replaceAll("(?i),? or ", ", "));
        boolean told = members.stream()
                .anyMatch(each -> SaidNouns.bare(each).split(" ").length > MOST_WORDS
                        || Counts.find(Quoted.masked(SaidNouns.bare(each)).replace('-', 'x'), 0)
                                .isPresent());
        if (told) {
            return refused("only kinds stand behind \"is either\", each a noun; say the rest in a sentence of its own");
        }
        boolean states = members.stream()
                .noneMatch(each -> SaidNouns.hasArticle(each)
                        || said.isPlural(each)
                        || said.entity(each).isPresent()
                        || NO_STATE.matcher(each).matches());
        return states
                ? either(general, members)
                : Optional.of(new ReadAs(members.stream()
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

    /** "Red or green" may be what a value of it is, or kinds that differ. */
    private Optional<Phrasing> either(String noun, List<String> states) {
        String one = said.one(noun);
        return Optional.of(new Phrasing.Either(List.of(
                ReadAs.of("Each " + one + " has kind: text 20 (one of " + String.join(", ", states) + ")."),
                new ReadAs(states.stream()
                        .map(state -> "Each " + state + " " + one + " is a kind of " + one + ".")
                        .toList()))));
    }

    private void others() {
        form(
                "(?:the |our |all )?(.+?) (?:form|build|are organi[sz]ed in|are arranged in) an? (?:hierarchy|tree)",
                m -> said.isPlural(m.group(1))
                        ? readAs("Each " + said.one(m.group(1)) + " has at most one " + said.one(m.group(1))
                                + " (second as parent " + said.one(m.group(1)) + ").")
                        : Optional.empty());
        form(
                "(?:an? |each |every |all )?(.+?) (may |can |)(?:has|have) an? (\\p{L}+(?: \\p{L}+)?) and an? (\\p{L}+(?: \\p{L}+)?),? (?:both|each) of (?:which|whom|them) (?:is|are) (?:also )?(?:an? )?(\\p{L}+(?: \\p{L}+)?)",
                m -> {
                    String rule = "Each " + said.one(m.group(1)) + " has "
                            + (m.group(2).isEmpty() ? "exactly" : "at most") + " one " + said.one(m.group(5))
                            + " (second as ";
                    return readAs(rule + m.group(3) + ").", rule + m.group(4) + ").");
                });
        form(
                "(?:an? |each |every |all )?(.+?) (?:(?:may|can) )?(?:has|have) (\\p{L}+(?: \\p{L}+)?),? (?:which|who|that) are (?:also )?(\\p{L}+(?: \\p{L}+)?)(?: too| as well| themselves)?",
                m -> said.isPlural(m.group(2))
                                && said.isPlural(m.group(3))
                                && said.one(m.group(1)).equals(said.one(m.group(3)))
                        ? readAs("Each " + said.one(m.group(1)) + " has any number of " + said.many(m.group(3))
                                + " (second as " + said.one(m.group(2)) + ").")
                        : Optional.empty());
        form(
                "some (.+?) are (?:also )?(\\p{L}+)",
                m -> said.isPlural(m.group(2))
                        ? readAs("Each " + said.one(m.group(2)) + " is a kind of " + said.one(m.group(1)) + ".")
                        : someAre(said.one(m.group(1)), m.group(2)));
        form(
                "(?:an? |each |every |the |all )?(.+?) (?:can|may) be (out of \\p{L}+|\\p{L}+(?:ed|wn|en|ught))",
                m -> said.isEntity(m.group(1)) ? happens(said.one(m.group(1)), m.group(2)) : Optional.empty());
        form(
                "(?:an? |each |every |the |all )?(.+?) (?:can|may) be (?!empty|unknown|missing|null|blank|unique|zero|negative|full|one|several|many)(\\p{L}+[^s\\W])",
                m -> said.isEntity(m.group(1)) && !said.isEntity(m.group(2))
                        ? readAs("Each " + said.one(m.group(1)) + " has " + m.group(2) + ": yes/no.")
                        : Optional.empty());
        form(
                "the (\\p{L}+(?: \\p{L}+)?) of (?:an?|the|each|every) (.+?) determines? (?:its|their|his|her|the) (.+)",
                m -> said.entity(m.group(2))
                        .flatMap(owner -> readAs(defined(owner.name()) + ": "
                                + KeyPhrasings.part(SaidNouns.ofItsOwn(owner, m.group(1))) + " -> " + m.group(3))));
        form(
                "the number of (\\p{L}+(?: \\p{L}+)?) (?:on|in|of|per|at|for) (?:an?|each|every|the) (\\p{L}+(?: \\p{L}+)?) (?:is|must be|has to be|should be|lies|can be) (between|at most|at least|no more than|limited to|exactly) (\\d+)(?: and (\\d+))?",
                m -> numberOf(m.group(1), m.group(2), m.group(3), m.matcher()));
        form("(.+?) (?:functionally )?determines? (.+)", this::determines);
        form(
                "(.+?) (?:is|are) (?:measured |given |kept |recorded |expressed )?in ((?:square |cubic )?\\p{L}+)",
                m -> attributes
                        .meant(m.group(1))
                        .flatMap(meant -> refused("the unit belongs to the name. Say: Each " + meant.owner() + " has "
                                + meant.attribute() + " in " + m.group(2))));
        form(
                "(?:the |an? )?(.+?) (?:is|are) (?:the |an? )(?:sum|total|average|mean|maximum|minimum|number) of (.+)",
                m -> refused(
                        "what is worked out from other rows is no column of its own: a query gives it. From columns of the"
                                + " same row it is said as: The "
                                + m.group(1).replaceFirst("(?i) of (?:an?|the|each|every) .*", "")
                                + " of each … is computed from …"));
        form(
                "(.+) depends? on (.+)",
                m -> said.entity(m.group(2).replaceFirst("(?i)^(?:other|another|many|several|one) ", ""))
                                .isPresent()
                        ? Optional.empty() // one thing on another
                        : refused("which columns decide which? Say for example: Artist: name -> nationality"));
        form(
                "(?:an? |each |every )?(.+?) (?:goes|runs|leads|moves|travels|sails|flies) from (?:one|an?) (.+?) to (?:another|one|an?) .+",
                m -> {
                    String one = said.one(m.group(1));
                    String place = said.one(m.group(2));
                    return refused("two rules stand here. Say: Each " + one + " starts at exactly one " + place
                            + ". And: Each " + one + " ends at exactly one " + place + ".");
                });
    }

    /** "The number of spaces on a level is at most 40", where spaces are things. */
    private Optional<Phrasing> numberOf(String several, String noun, String bound, Matcher bounds) {
        String counted = said.inFull(several).map(said.nouns()::many).orElse(several);
        boolean known = said.ownerOf(List.of("number of " + several)).isPresent();
        String many =
                switch (bound.toLowerCase(Locale.ROOT)) {
                    case "between" ->
                        bounds.group(5) == null ? "" : "between " + bounds.group(4) + " and " + bounds.group(5);
                    case "no more than", "limited to" -> "at most " + bounds.group(4);
                    default -> bound.toLowerCase(Locale.ROOT) + " " + bounds.group(4);
                };
        return known || many.isEmpty() || !said.isEntity(counted)
                ? Optional.empty()
                : readAs("Each " + said.one(noun) + " has " + many + " " + said.many(counted) + ".");
    }

    /** "Some recipes are vegetarian": a mark of each, or a kind of its own. */
    private static Optional<Phrasing> someAre(String noun, String what) {
        return Optional.of(new Phrasing.Either(List.of(
                ReadAs.of("Each " + noun + " has " + what + ": yes/no."),
                ReadAs.of("Each " + what + " " + noun + " is a kind of " + noun + "."))));
    }

    /** "An appointment can be cancelled": whether it has been, or when. */
    private static Optional<Phrasing> happens(String noun, String what) {
        String has = "Each " + noun + " has ";
        return what.contains(" ")
                ? readAs(has + what + ": yes/no.")
                : Optional.of(new Phrasing.Either(
                        List.of(ReadAs.of(has + what + ": yes/no."), ReadAs.of(has + "[" + what + " at]: moment."))));
    }

    /** "A tariff is valid from a date until a date": a day or a moment is a value, and no entity. */
    private void moments() {
        String verb = "(takes? place|\\p{L}+(?: (?:up|out|off|back|down|over|away|in))?)";
        String moment =
                " (?:on|from|since|until|till|to|at|by|in) (?:exactly one|an?|one|another|a certain|a given|a specific) "
                        + "(?:start |end |begin |first |last )?(?:date|day|time|moment|year)";
        form(
                "(.+?) (is |are |was |were |must be |can be |may be |gets |get |may |can )?" + verb + "((?:(?: and)?"
                        + moment + ")+)",
                m -> said.entity("date").isPresent() || said.entity("day").isPresent() ? Optional.empty() : dated(m));
    }

    private Optional<Phrasing> dated(Cut found) {
        boolean verb = !found.group(2).isEmpty()
                || said.isPlural(found.group(1))
                || found.group(3).toLowerCase(Locale.ROOT).matches(".*s|takes? place");
        boolean optional = found.group(2).toLowerCase(Locale.ROOT).matches("(?:can|may) (?:be )?");
        List<String> items = MOMENT.matcher(found.group(4))
                .results()
                .map(each -> moment(found.group(3), each))
                .map(item -> optional ? "[" + item.replaceFirst(":", "]:") : item)
                .toList();
        return verb
                ? readAs("Each " + said.one(found.group(1)) + " has " + String.join(", ", items) + ".")
                : Optional.empty();
    }

    /** "From a start date" is the start date, "expires on a day" the date "expires on". */
    private static String moment(String verb, MatchResult said) {
        String moment = said.group(3).toLowerCase(Locale.ROOT);
        boolean happens = verb.matches("(?i)takes? place|happens?|occurs?|held") && said.group(2) == null;
        String name = happens ? moment : said.group(2) == null ? verb + " " + said.group(1) : said.group(2) + moment;
        return name.toLowerCase(Locale.ROOT) + ": " + moment.replace("day", "date");
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
