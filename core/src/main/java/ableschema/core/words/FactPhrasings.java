package ableschema.core.words;

import ableschema.core.design.Entity;
import ableschema.core.words.Phrasing.ReadAs;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Phrasings of what tells one from another, of kinds, of single attributes and of dependencies. */
final class FactPhrasings extends SentenceForms {

    private static final String ANY_CASE =
            ",? (?:whatever (?:its|the) (?:letter )?case|regardless of (?:its |the )?(?:letter )?case|in any (?:letter )?case|ignoring"
                    + " (?:its |the )?(?:letter )?case)";

    private static final Pattern MOMENT = Pattern.compile(
            "(\\p{L}+) (?:exactly one|an?|one|another|a certain|a given|a specific) (start |end |begin |first |last )?(date|day|time|moment|year)",
            Pattern.CASE_INSENSITIVE);

    /** "A place in a rack", of which the rack is a part of the key. */
    private static final Pattern WITHIN =
            Pattern.compile("(.+) (?:in|on|of|at|within) (?:an?|the|its) (.+)", Pattern.CASE_INSENSITIVE);

    /** A kind is called by no more words than these. */
    private static final int MOST_WORDS = 3;

    /** Of words of so few letters many are alike. */
    private static final int SHORT = 4;

    private final SaidNouns said;
    private final SaidAttributes attributes;

    private final boolean last;
    private final Function<String, Optional<Phrasing>> otherSide;

    /**
     * @param last      whether what identifies something is made where nobody has spoken of it
     * @param otherSide finds the rule of which a sentence says the other side
     */
    FactPhrasings(
            SaidNouns said, SaidAttributes attributes, boolean last, Function<String, Optional<Phrasing>> otherSide) {
        super(
                "some|is|are|has|have|can|may|must|only|at most|no more|exactly|share|identif\\w+|determines?|depends?|goes|runs|leads|moves|travels|sails|flies"
                        + "|date|day|time|moment|year");
        this.said = said;
        this.attributes = attributes;
        this.last = last;
        this.otherSide = otherSide;
        keys();
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

    private void keys() {
        String known = "(.+?) (?:is|are) (?:uniquely )?(?:identified|told apart|known|recognised|recognized) by ";
        form(known + "(.+?) (?:within|inside|in) (?:the|its|their|an?|each|every) (.+)", this::identifiedWithin);
        form(known + "((?:an?|its|their|the) )?(.+)", m -> newlyIdentified(m.group(1), m.group(2), m.group(3)));
        form(
                "(?:the |an? |its )?(.+?) (?:is|are) (?:the|its|their) (?:primary )?key",
                m -> attributes.fact(m.group(1), "key"));
        form("the (?:primary )?key of (.+?) is (.+)", m -> newlyIdentified(m.group(1), "", m.group(2)));
        form(
                "(.+?) (?:has|have) (?:an? |its |their |exactly one |one )?(?:own )?(?:unique )?(.+?),? (?:that|which) (?:uniquely )?identif(?:y|ies) (?:it|them|him|her|one)",
                m -> readAs("Each " + said.one(m.group(1)) + " has " + SaidItem.item(m.group(2) + " key") + "."));
        form("(.+?) (?:uniquely )?identif(?:ies|y) (.+)", m -> newlyIdentified(m.group(2), "", m.group(1)));
        form(
                "(.+?) (?:is|are) numbered(?: consecutively)? (?:inside|within|in|per) (.+)",
                m -> newlyIdentified(m.group(1), "", SaidNouns.bare(m.group(2)) + ", number"));
        String within =
                " (?:must be |has to be |is |are )?unique (?:within|per|in|inside|on|at) (?:its |their |the |an? |each |every )?(.+)";
        form(
                "(?:the )?(.+?) of (?:an? |each |every |the )?(.+?)" + within,
                m -> uniqueWithin(m.group(2), m.group(1), m.group(3)));
        form("(?:an? |the )?(.+?)'s (.+?)" + within, m -> uniqueWithin(m.group(1), m.group(2), m.group(3)));
        form(
                "(.+?) (?:has|have) (?:an? |its |their )?(.+?)(?: (?:that|which))?" + within,
                m -> uniqueWithin(m.group(1), m.group(2), m.group(3)));
        form("(.+?) (?:is|are) (?:only )?unique (?:only )?(?:within|per|in|inside) (.+)", this::withinAnother);
        form(
                "no two (.+?) (?:have|has|share|can have|may have|may share) (?:the|a) same (.+?)" + ANY_CASE,
                m -> uniqueInAnyCase(m.group(1), m.group(2)));
        form(
                "(?:the )?(.+?) of (?:an? |each |every |the )?(.+?) (?:must be|is|are|has to be|have to be|should be) unique"
                        + ANY_CASE,
                m -> uniqueInAnyCase(m.group(2), m.group(1)));
        form(
                "no two (.+?) (?:of|in|at|on|within) (?:an?|one|the same|the) (.+?) (?:have|has|share|can have|may have|may share) (?:the|a)"
                        + " same (.+)",
                m -> readAs("No two " + SaidNouns.bare(m.group(1)) + " share their "
                        + parts(SaidNouns.bare(m.group(2)) + ", " + m.group(3)) + "."));
        form("no two (.+?) (?:can |may |must )?share (?:an?|one|their) (.+)", m -> notShared(m.group(1), m.group(2)));
        form(
                "no two (.+?) (?:have|has|share|can have|may have|may share) (?:the|a) same (.+)",
                m -> notShared(m.group(1), m.group(2)));
        form(
                "(?:there (?:is|can be|may be|must be) )?(?:at most|only|no more than|exactly) one (\\p{L}+(?: \\p{L}+)?)(?: (?:is|can be|may be) \\p{L}+)?"
                        + " (?:per|for (?:each|every|any)) (\\p{L}+(?: \\p{L}+)? and \\p{L}+(?: \\p{L}+)?)",
                m -> readAs("No two " + said.many(m.group(1)) + " share their " + parts(m.group(2)) + "."));
        form(
                "the combination of (.+?) (?:is|must be) unique",
                m -> refused("of which entity? Say: No two … share their " + parts(m.group(1)) + "."));
        form(
                "(.+?) (?:has|have|must have) (?:an? |its |their )?(?:own )?unique (.+)",
                m -> SaidNouns.members(m.group(2)).size() > 1
                        ? Optional.empty() // a list, of which one is unique
                        : readAs("Each " + said.one(m.group(1)) + " has " + SaidItem.unique(m.group(2)) + "."));
        form(
                "(.+?) (?:must be|is|are|has to be|have to be|should be) unique",
                m -> attributes.fact(m.group(1), "unique"));
        form(
                "(.+?) (?:must be|is|are|has to be) unique (?:among|across|over|for|of) (?:all|all the|the) (.+)",
                m -> attributes.fact(m.group(1), "unique"));
        String again =
                " (?:used|given|given out|assigned|issued|taken)(?: to anybody| to anyone)? (?:twice|more than once|again)";
        form("no (.+?) (?:is|are|may be|can be|must be)" + again, m -> attributes.fact(m.group(1), "unique"));
        form(
                "(.+?) (?:must not|may not|cannot|can't|must never) be" + again,
                m -> said.entity(m.group(1)).isPresent() ? Optional.empty() : attributes.fact(m.group(1), "unique"));
    }

    /**
     * "Gates are identified by a letter and a number", of which nobody has spoken yet.
     *
     * @param article of the first part; "the" and "its" point at what is there, or will be when another sentence has been read
     */
    private Optional<Phrasing> newlyIdentified(String whole, String article, String list) {
        Matcher within = WITHIN.matcher(whole);
        boolean told = within.matches()
                && list.toLowerCase(Locale.ROOT).contains(within.group(2).toLowerCase(Locale.ROOT));
        String noun = told ? within.group(1) : whole;
        Optional<Entity> owner = said.entity(noun);
        List<String> parts = SaidNouns.members(
                owner.map(known -> SaidNouns.ofItsOwn(known, list)).orElse(list));
        List<String> owners = parts.stream()
                .filter(said::isEntity)
                .filter(other -> !leadsToOne(noun, other))
                .toList();
        List<String> own = parts.stream()
                .filter(part -> !said.isEntity(part) && !isKnown(owner, part))
                .toList();
        boolean keyed = owner.filter(known -> !known.body().key().isEmpty()).isPresent();
        boolean made = last
                || article.toLowerCase(Locale.ROOT).startsWith("a") && owners.isEmpty() && own.size() == parts.size();
        boolean plain = own.stream().allMatch(part -> isNewAttribute(noun, part));
        if (!made || keyed || !plain || own.isEmpty() && owners.isEmpty()) {
            return identified(noun, list);
        }
        String each = "Each " + said.one(noun);
        String has = own.stream().map(part -> part(SaidNouns.bare(part))).collect(Collectors.joining(", "));
        if (parts.size() == 1 && owners.isEmpty() && !last) {
            return readAs(each + " has " + has + " (key).");
        }
        var sentences = new ArrayList<String>();
        owners.forEach(other -> sentences.addAll(belonging(noun, other)));
        if (!own.isEmpty()) {
            sentences.add(each + " has " + has + ".");
        }
        sentences.add(each + " is identified by its " + parts(String.join(", ", parts)) + ".");
        return Optional.of(new ReadAs(sentences));
    }

    private static boolean isKnown(Optional<Entity> owner, String part) {
        return owner.flatMap(known -> known.body().attribute(SaidNouns.bare(part)))
                .isPresent();
    }

    /** Whether each of these is known to belong to one of the others. */
    private boolean leadsToOne(String noun, String other) {
        Optional<Entity> one = said.entity(noun);
        Optional<Entity> owner = said.entity(other);
        return one.isPresent()
                && owner.isPresent()
                && (said.between(one.get(), owner.get())
                                .anyMatch(each -> each.second().cardinality().max() == 1)
                        || said.between(owner.get(), one.get())
                                .anyMatch(each -> each.first().cardinality().max() == 1));
    }

    /** That each belongs to one of another, which may be the other side of what has been said. */
    private List<String> belonging(String noun, String other) {
        String sentence = "Each " + said.one(noun) + " belongs to exactly one " + said.one(other) + ".";
        return otherSide
                .apply(sentence)
                .filter(ReadAs.class::isInstance)
                .map(each -> ((ReadAs) each).sentences())
                .orElse(List.of(sentence));
    }

    /** "A seat is known by its row and number within the hall": what it stands in comes first. */
    private Optional<Phrasing> identifiedWithin(Cut found) {
        return newlyIdentified(found.group(1), "", SaidNouns.bare(found.group(3)) + ", " + found.group(2));
    }

    /** "The number of a room is unique on its floor". */
    private Optional<Phrasing> uniqueWithin(String noun, String named, String whole) {
        String attribute = named.replaceFirst(",$", "");
        var sentences = new ArrayList<String>();
        if (last && said.isEntity(whole) && !leadsToOne(noun, whole)) {
            sentences.addAll(belonging(noun, whole));
        }
        if (!isKnown(said.entity(noun), attribute)) {
            sentences.add("Each " + said.one(noun) + " has " + part(SaidNouns.bare(attribute)) + ".");
        }
        sentences.add("No two " + said.many(noun) + " share their " + parts(whole + ", " + attribute) + ".");
        return Optional.of(new ReadAs(sentences));
    }

    private Optional<Phrasing> notShared(String nouns, String shared) {
        return said.isPlural(nouns) && isNewAttribute(nouns, shared)
                ? readAs("Each " + said.one(nouns) + " has " + part(SaidNouns.bare(shared)) + " (unique).")
                : readAs("No two " + SaidNouns.bare(nouns) + " share their " + parts(shared) + ".");
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
        String parts =
                said.entity(noun).map(owner -> SaidNouns.ofItsOwn(owner, list)).orElse(list);
        return readAs("Each " + said.one(noun) + " is identified by its " + parts(parts) + ".");
    }

    /** Whether what identifies something is one thing that nobody has spoken of yet. */
    private boolean isNewAttribute(String noun, String parts) {
        String bare = SaidNouns.bare(parts);
        return SaidNouns.members(parts).size() == 1
                && !parts.matches("(?i).*\\b(?:and|with|or|of)\\b.*")
                && !said.isEntity(bare)
                && said.endsIn(bare).isEmpty()
                && bare.split(" ").length <= MOST_WORDS
                && said.entity(noun).stream()
                        .flatMap(owner -> owner.body().attributes().stream())
                        .noneMatch(known -> isNearly(known.name(), bare));
    }

    /** Whether one is the other, or may be meant by it with a slip of the pen. */
    private static boolean isNearly(String known, String typed) {
        int slips = typed.length() > SHORT ? 2 : 0;
        return Spelling.distance(known.toLowerCase(Locale.ROOT), typed.toLowerCase(Locale.ROOT)) <= slips;
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
                : newlyIdentified(
                        whole.substring(0, space),
                        "",
                        SaidNouns.bare(found.group(2)) + ", "
                                + said.one(whole.substring(space).strip()));
    }

    private void kinds() {
        form("(.+?) (?:is|are) either (.+)", m -> kindsOf(m.group(1), m.group(2)));
        form(
                "(?:all |every |each |an? |the )?(.+?) is (an? \\p{L}+(?: \\p{L}+)?(?:, an? \\p{L}+(?: \\p{L}+)?)*,? or an? \\p{L}+(?: \\p{L}+)?)",
                m -> kindsOf(m.group(1), m.group(2)));
        form(
                "(?:all )?(\\p{L}+(?: \\p{L}+)?) are (?:also |all )?(?!(?:of|in|on|at|by|for|to|from|with|about|under|over|not|never|only|always)\\b)(\\p{L}+(?: \\p{L}+)?)",
                m -> said.isPlural(m.group(1)) && said.isPlural(m.group(2))
                        ? readAs("Each " + said.one(m.group(1)) + " is a kind of " + said.one(m.group(2)) + ".")
                        : Optional.empty());
        form(
                "(?:an? )?(\\p{L}+(?: \\p{L}+)?) (?:is|are) (?:an? )?(\\p{L}+(?: \\p{L}+)?),? (?:and so|as) (?:is|are) (?:an? |the )?(\\p{L}+(?: \\p{L}+)?)",
                m -> kindsOf(m.group(2), "a " + m.group(1) + ", a " + m.group(3)));
        form("there are (?:\\w+ )?(?:kinds|types|sorts) of (.+?): ?(.+)", m -> specialKinds(m.group(1), m.group(2)));
        form(
                "(?:an? |the |each |every )?(.+?) (?:is|are) (?:an? )?(?:type|sort|kind|subtype|special kind)s? of (.+)",
                m -> readAs("Each " + said.one(m.group(1)) + " is a kind of " + said.one(m.group(2)) + "."));
        form(
                "(\\p{L}[\\p{L}, ]*? and \\p{L}[\\p{L} ]*?) are (?:both |all )?(\\p{L}[\\p{L} ]*)",
                m -> SaidNouns.members(m.group(1)).stream().allMatch(said::isPlural) && said.isPlural(m.group(2))
                        ? kindsOf(m.group(2), m.group(1))
                        : Optional.empty());
        form(
                "(?:all |every |each |an? |the )?(.+?) (?:is|are) (\\p{L}[\\p{L}, -]*,? or \\p{L}[\\p{L} -]*)",
                m -> areKinds(m.group(1), SaidNouns.members(m.group(2).replaceAll("(?i),? or ", ", ")))
                        ? kindsOf(m.group(1), m.group(2))
                        : Optional.empty());
        form(
                "(?:an? |the )?(\\p{L}[\\p{L} -]*?) is (an? \\p{L}.* (?:of|that|who|which|where|in which|for) .*)",
                m -> m.group(2).matches("(?i)an? kind of .*")
                        ? Optional.empty()
                        : m.group(2).matches("(?i).*\\band (?:can|can't|cannot|must|may|is|has|have|should|never)\\b.*")
                                ? refused("what it is and what holds for it are two sentences")
                                : readAs(defined(m.group(1)) + " is an entity: A"
                                        + m.group(2).substring(1).replaceFirst("[.]+$", "") + "."));
        form(
                "(?:an? |the |each |every )?(\\p{L}[\\p{L} -]*?) is an? (\\p{L}[\\p{L} -]*?) (?:with|without|having) (.*)",
                m -> refused("say first what it is, then what it has: Each " + said.one(m.group(1)) + " is a kind of "
                        + said.one(m.group(2)) + ". And: Each " + said.one(m.group(1)) + " has …"));
        form(
                "(.+?) (?:can|may) be (\\p{L}+(?:, \\p{L}+)+,? or \\p{L}+)",
                m -> said.entity(m.group(1)).isEmpty()
                        ? Optional.empty()
                        : either(m.group(1), SaidNouns.members(m.group(2).replaceAll("(?i),? or ", ", "))));
        form(
                "(?:an? |each |every |all )?(.+?) (?:is|are) (\\p{L}+(?: \\p{L}+)?(?:, \\p{L}+(?: \\p{L}+)?)*,? or \\p{L}+(?: \\p{L}+)?)",
                m -> said.isEntity(m.group(1)) && !m.group(2).matches("(?i)(?:by|with|to|from|of|for) .*")
                        ? either(m.group(1), SaidNouns.members(m.group(2).replaceAll("(?i),? or ", ", ")))
                        : Optional.empty());
        form("(.+?) (?:can|may) be (\\p{L}+) or (\\p{L}+)", m -> either(m.group(1), List.of(m.group(2), m.group(3))));
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

    private String defined(String noun) {
        String one = said.one(noun);
        return Character.toUpperCase(one.charAt(0)) + one.substring(1);
    }

    private Optional<Phrasing> kindsOf(String general, String kinds) {
        List<String> members = SaidNouns.members(kinds.replaceAll("(?i),? or ", ", "));
        boolean told = members.stream()
                .anyMatch(each -> SaidNouns.bare(each).split(" ").length > MOST_WORDS
                        || Counts.find(Quoted.masked(SaidNouns.bare(each)), 0).isPresent());
        if (told) {
            return refused("only kinds stand behind \"is either\", each a noun; say the rest in a sentence of its own");
        }
        boolean states = members.stream()
                .noneMatch(each -> SaidNouns.hasArticle(each)
                        || said.isPlural(each)
                        || said.entity(each).isPresent()
                        || each.contains(" "));
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
                "some (.+?) are (?:also )?(\\p{L}+)",
                m -> said.isPlural(m.group(2))
                        ? readAs("Each " + said.one(m.group(2)) + " is a kind of " + said.one(m.group(1)) + ".")
                        : someAre(said.one(m.group(1)), m.group(2)));
        form(
                "(?:an? |each |every |the |all )?(.+?) (?:can|may) be (out of \\p{L}+|\\p{L}+(?:ed|wn|en|ught))",
                m -> said.isEntity(m.group(1)) ? happens(said.one(m.group(1)), m.group(2)) : Optional.empty());
        form("(.+?) (?:functionally )?determines? (.+)", this::determines);
        form("(.+?) (?:is|are) (?:measured |given |kept |recorded |expressed )?in (\\p{L}+)", m -> attributes
                .meant(m.group(1))
                .flatMap(meant -> refused("the unit belongs to the name. Say: Each " + meant.owner() + " has "
                        + meant.attribute() + " in " + m.group(2))));
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
