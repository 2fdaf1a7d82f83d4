package ableschema.core.words;

import ableschema.core.design.Cardinality;
import ableschema.core.design.Entity;
import ableschema.core.words.Phrasing.ReadAs;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Phrasings of what tells one from another, and of what no two share. */
final class KeyPhrasings extends SentenceForms {

    private static final String ANY_CASE =
            ",? (?:whatever (?:its|the) (?:letter )?case|regardless of (?:its |the )?(?:letter )?case|in any (?:letter )?case|ignoring"
                    + " (?:its |the )?(?:letter )?case)";

    /** "A code of two letters". */
    private static final Pattern SIZED = Pattern.compile(
            "\\p{L}[\\p{L} -]* (?:of|with) (?:up to |at most |exactly )?\\w+ (?:digit|character|letter|sign)s?|(?:an? )?\\w+-(?:digit|character|letter|sign) \\p{L}+",
            Pattern.CASE_INSENSITIVE);

    /** "A place in a rack", of which the rack is a part of the key. */
    private static final Pattern WITHIN =
            Pattern.compile("(.+) (?:in|on|of|at|within) (?:an?|the|its) (.+)", Pattern.CASE_INSENSITIVE);

    /** What each may have of its own to be told by, and is not short for a phone number. */
    private static final Pattern TELLING = Pattern.compile(
            "(?:an? |the |its )?(?:number|no|name|code|date|day|time|moment|year|id|title|label|letter|type|kind|position|rank|order|sequence|line|place)",
            Pattern.CASE_INSENSITIVE);

    /** What tells of more than one name, where "year of birth" does not. */
    private static final Pattern OF_MORE = Pattern.compile(
            "\\b(?:and|with|or|of(?! (?:birth|death|issue|purchase|origin|entry|arrival|departure|delivery|construction)$))\\b",
            Pattern.CASE_INSENSITIVE);

    private static final Pattern TWO_NOUNS =
            Pattern.compile("(?:,| and) (?:and )?(?:an?|each|every|all|the) ", Pattern.CASE_INSENSITIVE);

    /** A name that nobody has spoken of has no more words than these. */
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
    KeyPhrasings(
            SaidNouns said, SaidAttributes attributes, boolean last, Function<String, Optional<Phrasing>> otherSide) {
        super(
                "numbered|lettered|is|are|has|have|unique|share|identif\\w+|only|at most|no more|exactly|must|may|can|cannot");
        this.said = said;
        this.attributes = attributes;
        this.last = last;
        this.otherSide = otherSide;
    }

    @Override
    void fill() {
        String known = "(.+?) (?:is|are) (?:uniquely )?(?:identified|told apart|known|recognised|recognized) by ";
        form(known + "(.+?) (?:within|inside|in) (?:the|its|their|an?|each|every) (.+)", this::identifiedWithin);
        form(known + "((?:an?|its|their|the) )?(.+)", m -> newlyIdentified(m.group(1), m.group(2), m.group(3)));
        form(
                "(?:the |an? |its )?(.+?) (?:is|are) (?:the|its|their) (?:primary )?key",
                m -> attributes.fact(m.group(1), "key"));
        form(
                "(?:the )?(.+?) (?:is|are) (?:the|an?) (?:primary |unique )?(?:key|identifier) (?:of|for) (.+)",
                m -> newlyIdentified(m.group(2), "", m.group(1)));
        form("the (?:primary )?key of (.+?) is (.+)", m -> newlyIdentified(m.group(1), "", m.group(2)));
        form(
                "(.+?) (?:has|have) (?:an? |its |their |exactly one |one )?(?:own )?(?:unique )?(.+?),? (?:that|which) (?:uniquely )?identif(?:y|ies) (?:it|them|him|her|one)",
                m -> readAs("Each " + said.one(m.group(1)) + " has " + SaidItem.item(m.group(2) + " key") + "."));
        form(
                "(.+?),? (?:(?:together|jointly|in combination|both) )?(?:uniquely )?identif(?:ies|y) (.+)",
                m -> newlyIdentified(m.group(2), "", m.group(1)));
        form(
                "(.+?) (?:is|are) (number|letter)ed(?: consecutively| from (?:1|one|A)| from the \\p{L}+(?: (?:down|up|on|onwards|downwards|upwards))?)? (?:inside|within|in|per|for (?=each |every )) ?(.+)",
                m -> newlyIdentified(m.group(1), "", said.one(m.group(3)) + ", " + m.group(2)));
        form(
                "(?:all |each |every |an? |the )?(.+?) (?:is|are) (?:always )?(number|letter)ed",
                m -> m.group(1).indexOf(',') >= 0
                        ? Optional.empty()
                        : readAs("Each " + said.one(m.group(1)) + " has " + m.group(2) + "."));
        form(
                "(?:an?|each|every) (\\p{L}+(?: \\p{L}+)??) (has|contains|holds|includes|consists of|is made up of|is divided into) (.+?),? (number|letter)ed(?: consecutively)?(?: from (?:1|one|A)(?: on(?:wards)?)?)?",
                m -> numberedParts(m.group(1), m.group(2), m.group(3), m.group(4)));
        String within =
                " (?:must be |has to be |is |are )?unique (?:within|per|in|inside|on|at|for(?= (?:an?|each|every|its|the) )) (.+)";
        form(
                "(?:the )?(.+?) of (?:an? |each |every |the )?(.+?)" + within,
                m -> uniqueWithin(m.group(2), m.group(1), m.group(3)));
        form("(?:an? |the )?(.+?)'s (.+?)" + within, m -> uniqueWithin(m.group(1), m.group(2), m.group(3)));
        form(
                "(.+?) (?:has|have) (?:an? |its |their )?(.+?)(?: (?:that|which))?" + within,
                m -> uniqueWithin(m.group(1), m.group(2), m.group(3)));
        form(
                "(.+?) (?:is|are|must be|has to be|have to be) (?:only )?unique (?:only )?(?:within|per|in|inside|for(?= (?:an?|each|every|its) )) (.+)",
                this::withinAnother);
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
        form(
                "there (?:can't|cannot|can not|can never|must not|may not|must never) be (?:two|more than one) (.+?) (?:for|with|of|in|on|at) the same (.+)",
                m -> readAs("No two " + said.many(m.group(1)) + " share their " + parts(m.group(2)) + "."));
        form("no two (.+?) (?:can |may |must )?share (?:an?|one|their) (.+)", m -> notShared(m.group(1), m.group(2)));
        form(
                "no two (.+?) (?:have|has|share|can have|may have|may share) (?:the|a) same (.+)",
                m -> notShared(m.group(1), m.group(2)));
        form(
                "(?:there (?:is|can be|may be|must be) )?(?:at most|only|no more than|exactly) one (\\p{L}+(?: \\p{L}+)?)(?: (?:is|can be|may be) \\p{L}+)?"
                        + " (?:per|for (?:each|every|any)) (\\p{L}+(?: \\p{L}+)? and \\p{L}+(?: \\p{L}+)?)",
                m -> readAs("No two " + said.many(m.group(1)) + " share their " + parts(m.group(2)) + "."));
        String together =
                "(?: together| combined| in combination| taken together)? (?:must be|is|are|has to be|have to be|should be)(?: together)? unique(?: together)?";
        form(
                "(?:an? |the |each |every )?(.+?)'s ([^,]+? and [^,]+?)" + together,
                m -> notShared(said.many(m.group(1)), m.group(2)));
        form(
                "(?:the )?([^,]+? and [^,]+?) of (?:an? |each |every |the )?(\\p{L}+(?: \\p{L}+)?)(?=.* together)"
                        + together,
                m -> notShared(said.many(m.group(2)), m.group(1)));
        form(
                "(?:the )?(?:combination of )?([^,]+? and [^,]+?)(?=.* (?:combin|together|taken))" + together,
                m -> ofTheirOwner(m.group(1)));
        form("the combination of (.+?) (?:is|must be) unique", m -> ofTheirOwner(m.group(1))
                .or(() -> refused("of which entity? Say: No two … share their " + parts(m.group(1)) + ".")));
        form(
                "(.+?) (?:has|have|must have) (?:an? |its |their )?(?:own )?unique (.+)",
                m -> SaidNouns.members(m.group(2)).size() > 1
                        ? Optional.empty() // a list, of which one is unique
                        : readAs("Each " + said.one(m.group(1)) + " has " + SaidItem.unique(m.group(2)) + "."));
        form(
                "(.+?) (?:has|have) (?:its|their|his|her) own ((?:\\p{L}+ )?(?:code|number|barcode|id|plate|label))",
                m -> readAs("Each " + said.one(m.group(1)) + " has " + SaidItem.unique(m.group(2)) + "."));
        form(
                "(.+?) (?:must be|is|are|has to be|have to be|should be) unique",
                m -> attributes.fact(m.group(1), "unique"));
        form(
                "(.+?) (?:must be|is|are|has to be) unique (?:among|across|over|for|of) (?:all|all the|the) (.+)",
                m -> attributes.fact(m.group(1), "unique"));
        form(
                "(?:with)?in (?:an?|each|every|one|any|the same) (.+?),? (?:each|every|an?|any|the) (.+?) (?:may |can |must )?(?:occurs?|appears?|exists?|comes?|(?:is|be) used) (?:only|at most|just|exactly) once",
                m -> attributes
                        .meant(m.group(2))
                        .flatMap(meant -> uniqueWithin(meant.owner(), meant.attribute(), m.group(1))));
        String again =
                " (?:(?:used|given|given out|assigned|issued|taken)(?: to anybody| to anyone)? (?:twice|more than once|again)|repeated|reused|re-used|duplicated)";
        form(
                "(.+?) (?:is|are|must be) never (?:re-?used|repeated|(?:used|given|issued|assigned) (?:twice|again))",
                m -> attributes.fact(m.group(1), "unique"));
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
        List<String> sized = SaidNouns.members(list);
        if (sized.size() == 1 && SIZED.matcher(sized.get(0)).matches()) {
            return readAs(
                    "Each " + said.one(whole) + " has " + SaidItem.item(SaidNouns.bare(sized.get(0))) + " (key).");
        }
        if (TWO_NOUNS.matcher(whole).find()) {
            return Optional.empty(); // "a date, and each trip" is the end of one sentence and the beginning of another
        }
        Matcher within = WITHIN.matcher(whole);
        boolean told = within.matches()
                && list.toLowerCase(Locale.ROOT).contains(within.group(2).toLowerCase(Locale.ROOT));
        String noun = told ? within.group(1) : whole;
        Optional<Entity> owner = said.entity(noun);
        List<String> parts =
                SaidNouns.members(owner.map(known -> SaidNouns.ofItsOwn(known, list))
                                .orElse(list))
                        .stream()
                        .map(part -> said.inFull(part)
                                .map(said.nouns()::one)
                                .filter(known -> leadsToOne(noun, known)
                                        || !TELLING.matcher(part).matches())
                                .orElseGet(() -> ofOne(noun, part)))
                        .toList();
        List<String> owners = parts.stream()
                .filter(said::isEntity)
                .filter(other -> !leadsToOne(noun, other))
                .toList();
        List<String> own = parts.stream()
                .filter(part -> !said.isEntity(part) && !isKnown(owner, part))
                .toList();
        Optional<String> pointing = own.stream().filter(ClauseCheck::isPointing).findFirst();
        if (pointing.isPresent()) {
            return refused("say which one is meant by \"" + pointing.get() + "\"");
        }
        boolean keyed = owner.filter(known -> !known.body().key().isEmpty()).isPresent();
        boolean made = last
                || article.toLowerCase(Locale.ROOT).startsWith("a") && owners.isEmpty() && own.size() == parts.size();
        boolean plain = own.stream().allMatch(part -> isNewAttribute(noun, part));
        if (!made || keyed || !plain || own.isEmpty() && owners.isEmpty()) {
            return identified(noun, parts.isEmpty() ? list : String.join(", ", parts));
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

    /** "Vans are identified by their licence plates", of which each has one. */
    private String ofOne(String noun, String part) {
        return said.isPlural(noun) && said.isPlural(part) && !said.isEntity(part) && !isKnown(said.entity(noun), part)
                ? said.one(part)
                : part;
    }

    private static boolean isKnown(Optional<Entity> owner, String part) {
        return owner.flatMap(known -> known.body().attribute(SaidNouns.bare(part)))
                .isPresent();
    }

    /** Whether each of these is known to belong to one of the others. */
    boolean leadsToOne(String noun, String other) {
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

    /** "A play consists of scenes, numbered from 1." */
    private Optional<Phrasing> numberedParts(String whole, String verb, String parts, String by) {
        Optional<Counts.Found> count = Counts.begin(parts) ? Counts.find(parts, 0) : Optional.empty();
        String noun = count.map(found -> parts.substring(found.end()).strip()).orElse(parts);
        if (!said.isPlural(noun) && count.isEmpty() || noun.indexOf(',') >= 0) {
            return Optional.empty();
        }
        String part = said.one(noun);
        Cardinality many = count.map(Counts.Found::cardinality).orElse(Cardinality.ANY_NUMBER);
        var sentences = new ArrayList<String>();
        if (!leadsToOne(part, whole)) {
            sentences.add("Each " + said.one(whole) + " " + verb + " " + Quantity.said(many) + " "
                    + (many.equals(Cardinality.AT_LEAST_ONE) ? part : said.many(part)) + "; each " + part
                    + " belongs to exactly one " + said.one(whole) + ".");
        }
        if (!isKnown(said.entity(part), by)) {
            sentences.add("Each " + part + " has " + by + ".");
        }
        sentences.add("Each " + part + " is identified by its " + parts(said.one(whole) + ", " + by) + ".");
        return Optional.of(new ReadAs(sentences));
    }

    /** "The number of a room is unique on its floor". */
    private Optional<Phrasing> uniqueWithin(String noun, String named, String within) {
        String whole = SaidNouns.bare(within);
        boolean told = within.matches("(?i)(?:its|their|the) .*"); // and so spoken of elsewhere
        String several = named.replaceFirst(",$", "");
        String attribute = said.isPlural(noun) && said.isPlural(several) ? said.one(several) : several;
        if (last && !told && !said.isEntity(whole) && !isKnown(said.entity(noun), whole)) {
            String has = "Each " + said.one(noun) + " has ";
            String shared = "No two " + said.many(noun) + " share their " + parts(whole + ", " + attribute) + ".";
            String own = part(SaidNouns.bare(attribute));
            return Optional.of(new Phrasing.Either(List.of(
                    ReadAs.of(has + "exactly one " + said.one(whole) + ".", has + own + ".", shared),
                    ReadAs.of(has + part(said.one(whole)) + ", " + own + ".", shared))));
        }
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

    /** "Brand and model together are unique", of the one that has both. */
    private Optional<Phrasing> ofTheirOwner(String attributes) {
        return said.ownerOf(SaidNouns.members(attributes))
                .flatMap(owner -> notShared(said.nouns().many(owner), attributes));
    }

    private Optional<Phrasing> notShared(String nouns, String shared) {
        List<String> unknown = SaidNouns.members(shared).stream()
                .filter(part -> !said.isEntity(part) && !isKnown(said.entity(nouns), part))
                .toList();
        boolean made = last
                && !unknown.isEmpty()
                && SaidNouns.members(shared).size() > 1
                && unknown.stream().allMatch(part -> isNewAttribute(nouns, part));
        if (made) {
            String has =
                    unknown.stream().map(part -> part(SaidNouns.bare(part))).collect(Collectors.joining(", "));
            return Optional.of(ReadAs.of(
                    "Each " + said.one(nouns) + " has " + has + ".",
                    "No two " + SaidNouns.bare(nouns) + " share their " + parts(shared) + "."));
        }
        return said.isPlural(nouns) && isNewAttribute(nouns, shared)
                ? readAs("Each " + said.one(nouns) + " has " + part(SaidNouns.bare(shared)) + " (unique).")
                : readAs("No two " + SaidNouns.bare(nouns) + " share their " + parts(shared) + ".");
    }

    private Optional<Phrasing> uniqueInAnyCase(String noun, String attribute) {
        return readAs("Each " + said.one(noun) + " is often searched by its lower(" + part(SaidNouns.bare(attribute))
                + ") (unique).");
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
                && !OF_MORE.matcher(parts).find()
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
                .map(KeyPhrasings::part)
                .toList();
        int last = members.size() - 1;
        return last <= 0
                ? String.join("", members)
                : String.join(", ", members.subList(0, last)) + " and " + members.get(last);
    }

    static String part(String name) {
        return Quoted.is(name) || name.contains("\"") ? name : Nouns.listed(Nouns.inSentence(name));
    }

    /** "A berth number is only unique within its pier": the number of a berth. */
    private Optional<Phrasing> withinAnother(Cut found) {
        Optional<SaidAttributes.Meant> meant = attributes.ofTheOnlyOne(found.group(1));
        if (meant.isPresent()) {
            return uniqueWithin(meant.get().owner(), meant.get().attribute(), found.group(2));
        }
        String whole = SaidNouns.bare(found.group(1));
        int known = said.nouns().leadingLength(whole);
        int space = known > 0 && known < whole.length() ? known : whole.lastIndexOf(' ');
        boolean itsOwn = found.group(2).matches("(?i)(?:its|their) .*");
        if (known <= 0 && !itsOwn) {
            return last ? attributes.whose(whole) : Optional.empty();
        }
        if (space < 0) {
            return Optional.empty();
        }
        String noun = whole.substring(0, space);
        String own = said.one(whole.substring(space).strip());
        String of = SaidNouns.bare(found.group(2));
        Optional<Phrasing> read = newlyIdentified(noun, "", of + ", " + own);
        boolean unknown = itsOwn && last && !said.isEntity(of) && !isKnown(said.entity(noun), of);
        return unknown && read.isPresent() && read.get() instanceof ReadAs attribute
                ? Optional.of(new Phrasing.Either(List.of(
                        ReadAs.of(
                                "Each " + said.one(noun) + " belongs to exactly one " + said.one(of) + ".",
                                "Each " + said.one(noun) + " has " + part(own) + ".",
                                "Each " + said.one(noun) + " is identified by its " + parts(of + ", " + own) + "."),
                        attribute)))
                : read;
    }
}
