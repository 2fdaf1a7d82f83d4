package ableschema.core.words;

import ableschema.core.design.Design;
import ableschema.core.words.Phrasing.ReadAs;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads sentences as people say them into the canonical sentences of docs/words.md, which are what is kept, printed and edited.
 * What it does not know it leaves as it stands, so that the grammar says what is wrong with it.
 */
public final class Phrasings {

    /** What the grammar knows in this form only. */
    private static final Pattern CANONICAL = Pattern.compile(
            "(?is)(?:the domain |the plural of |about (?![0-9])|there are about [0-9]|rows of .* are made in .*|the .* of each .* is (?:computed|calculated|derived|worked out) (?:from|as|by) |the .* of each .* (?:changes|never changes|is (?:not )?used by people|is (?:not )?private)\\.?$|of each .*: ?|#).*|.*->.*|.* is set aside\\.?|no two .* share their .*"
                    + "|(?:(?! (?:is|are|has|have) |,).)* is an? (?:" + Quoted.MASK
                    + "+|\\p{L}+(?:[ -](?!of )\\p{L}+){0,2})(?:\\s*:.*|\\s*\\.?)|.* is an? kind of [^.:]*\\.?|each .* is (?:identified|told) by its .*|each .* is (?:often )?(?:searched|sorted|indexed|searched and sorted|sorted and searched) by its .*");

    /** What has the form of a sentence of the grammar, and is none. */
    private static final Pattern FREELY = Pattern.compile(
            "(?is).* (?:is|are) (?:identified by .* together with .*|(?:an? )?(?:running|sequential|consecutive|automatic) numbers?\\b.*|also an? .*|an? .* (?:too|also|as well)\\.?)"
                    + "|the [^:]* of (?:the|an?|each|every) [^:]* is an? .*|there is an? .*|there are (?:(?!about [0-9])|[^,]* and (?:about )?[0-9][0-9,.]* (?!more|new)).*");

    /** Words that a sentence of the grammar does not have outside of quotes. */
    private static final Set<String> SPOKEN_WORDS = Set.of(
            ("every can may must should might will a an the its their several many multiple some fewer less more optional"
                            + " optionally either another about around roughly nearly varchar nvarchar varchar2 nvarchar2 string"
                            + " int integer bigint numeric bool boolean timestamp datetime")
                    .split(" "));

    private static final Pattern WORD = Pattern.compile("[\\p{L}\\d_]+");

    /** The same of several words, and of other signs. */
    private static final Pattern SPOKEN = Pattern.compile(
            "(?i)\\b(?:other(?! than\\b)|numbered from|and each|has to|have to|needs to|only one|one single|one and only"
                    + "|(?:\\d+|" + Counts.WORDS + ") (?:or|to) (?:\\d+|" + Counts.WORDS
                    + ")|one \\p{L}+(?: \\p{L}+)?: ?[^.;]+ or|up to|or several|or many|or (?:\\p{L}+ )?(?:none|nobody)"
                    + "|date and time|(?!exactly\\b)exc?\\w{2,6}ly)\\b"
                    + "|\\((?:(?:given |measured )?in )?(?:%|percent|kg|g|km|cm|mm|m|ml|l|(?:lit|met)(?:re|er)s?|seconds|minutes|hours|days|weeks|months|years|euros?|dollars?|pounds|(?:kilo)?grams|tonnes?|degrees|watts?|text|date|time|year|moment|whole(?: number)?)\\)"
                    + "|(?:unique|nullable|not null|mandatory|required)(?=\\s*(?:[,.]|$))|:[^,(]*(?:\\(\\d[^)]*\\))? key(?=\\s*(?:[,.]|$))|\\d ?\\.\\.|\\d(?: to |[-–])(?:n|m|many)\\b|\\(-?[\\d.]+ ?(?:to|-|–) ?-?[\\d.]+\\)| has unique | has:| only(?=\\s*(?:[.;]|$))");

    /** "Has a name and a flag", where the grammar would take a name for two. */
    private static final Pattern HAS_BOTH =
            Pattern.compile("(?i) has (?!between \\w+ and \\w+ )(?:[^;(]|\\([^)]*\\))*\\band\\b");

    /** An option of a relationship between its two clauses. */
    private static final Pattern OPTION_BETWEEN = Pattern.compile(
            "(?is)(each [^;()]+?) (\\((?:(?:first |second )?on |called |first as |second as )[^()]*\\))(; *each [^;()]+?)\\.?");

    /** "Each result belongs to one test and one patient." */
    private static final Pattern TWO_OBJECTS =
            Pattern.compile("(?i)each [^;:]* (?:exactly |at least |at most )?(?:\\d+|" + Counts.WORDS
                    + ") \\p{L}+(?: \\p{L}+)?,? and (?:exactly |at least |at most )?(?:\\d+|" + Counts.WORDS
                    + ") \\p{L}+(?: \\p{L}+){0,2}\\.?");

    /** "Each lock belongs to one canal; each canal to one region." */
    private static final Pattern VERB_LEFT_OUT = Pattern.compile(
            "(?i)each [^;:()]+? (\\p{L}+(?: \\p{L}+)?)[;,](?: and)? *each \\1 (?:to|in|by|of|at|on|for) (?:exactly )?(?:one|an?) .*");

    private static final Pattern IDENTIFIED =
            Pattern.compile("each .* is identified by its (.*?)\\.?", Pattern.CASE_INSENSITIVE);

    private static final Pattern LISTS = Pattern.compile("[;:,(]");

    /** "Each rating is given by one cook to one recipe." */
    private static final Pattern TWO_PLACES = Pattern.compile(
            "(?i)each [^;:()]* (?:of|by|for|on|in|at|with|to|from) (?:exactly )?one \\p{L}+(?: \\p{L}+)? (?:by|for|on|in|at|with|to|from|under|about|against|through|via|during|into|onto|over) (?:exactly )?(?:one|another) .*");

    private static final Pattern SEARCHED = Pattern.compile(
            "(?i)(.+?) (?:is|are) (?:often |mostly |usually )?(searched|looked up|found|filtered|(?:searched and )?(?:sorted|ordered)) by (?:(?:its|their|the) )?(.+?)\\.?");
    private static final Pattern FOR_EACH =
            Pattern.compile("(?i)(?:for|of|in) (?:each|every|any|an?|all) ([^,:]+?)[,:] (.+?)\\.?");

    /** "Each sale's total is computed from …", in which a number is no quantity. */
    private static final Pattern POSSESSIVE =
            Pattern.compile("(?i).+['’]s .+ (?:is|are) (?:computed|calculated|derived|worked out) (?:from|as|by) .+");

    private static final Pattern SIZED = Pattern.compile(
            "(?i).* (?:is|are) (?:an? )?[\\p{L}\\d]+-(?:letter|digit|character|sign)s?(?: \\p{L}+)?\\.?");

    /** "Codes start with a letter". */
    private static final Pattern A_SIGN = Pattern.compile(
            "(?i) (?:of|in|has|have) the (?:form|format) | (?:starts?|begins?|ends?) with (?:an?|one|two|three|\\d+) (?:\\p{L}+ )?(?:letter|digit|number|character|sign)s?\\b");

    /** "The isbn of a title must start with '978'." */
    private static final Pattern OF_ITS_TEXT = Pattern.compile(
            "(?i)the (.+?) of (?:an?|each|every|all|the) (.+?) ((?:(?:must|may|can|should|does|do)(?: ?not)? |cannot )(?:contain|start with|begin with|end with) .+?)\\.?");

    /** "Has lanes, which are numbered": the grammar would take the clause for another name. */
    private static final Pattern CLAUSE_IN_NAME = Pattern.compile(
            "(?i)each [^;:()]+;(?! *each ).* has .*|(?:each [^;:()]* has|there (?:is|are)) [^;:()]*\\b(?:(?:which|who|whose|that) (?:is|are|was|were|has|have|can|must|may|will|we|they|it)|(?:where|because|if|when|while) (?:it|they|he|she|we|the|an?)|every) ");

    /** "Each bird is weighed; a weighing has a date." */
    private static final Pattern SEVERAL = Pattern.compile("(?i)each [^;:()]+; ?(?:an?|the|all|some|no|every) ");

    /** Sentences within one are tried at each place where they may begin; beyond so many tries it is not one that people say. */
    private static final int MOST_READINGS = 40;

    /** A longer sentence is a list of attributes, or none that people say. */
    private static final int LONGEST_SAID = 1_500;

    /** "We want to know how many launches each driver has done". */
    private static final Pattern ASKED = Pattern.compile(
            "(?i)(?:(?:we|they|people|i) (?:also )?(?:want|need|would like|wish|have) to (?:know|find out|see) (?:how|which|what|whether|who|when|where)|how (?:many|much|often|long)) .*");

    /** "Bikes are lent for a period of time", or from one day to another: what is told of the lending, and no entity. */
    private static final Pattern FOR_A_WHILE = Pattern.compile(
            "(?i)(?!.* is (?:an?|the) ).* (?:for (?:an?|some|any) (?:(?:limited|certain|given|fixed|short|long|set) )?(?:period|length|amount|stretch|while|time)(?: of time)?"
                    + "|(?:in|at|on|to|by|for|with) (?:exactly one|one|an?) \\p{L}+(?: \\p{L}+)? from (?:one|an?|a certain|a given) (?:day|date|moment|time) (?:to|until|till) .*)\\.?");

    /** "Suppliers supply many parts and a part is supplied by many, each with a price". */
    private static final Pattern OF_BOTH = Pattern.compile(
            "(?i).*\\b(?:many|several|any number of)\\b.* and .*\\b(?:many|several|any number of)\\b.*,? each (?:with|having) .*");

    private static final Pattern EACH_BEHIND = Pattern.compile(
            "(?i)[^:;,]+ (?:is|are|was|were|can be|may be|must be) \\p{L}+ (?:after|before|during|at|in|on|by|(?<!^(?:an?|the|each|every|one) [^:;,]{1,80} )(?:for|to|with|from)) (?:each|every) [^:;,]+");

    private static final Pattern EVERY_YEAR = Pattern.compile(
            "(?i)[^:;]+ (?:every|each) (?:other )?(?:\\w+ )?(?:hour|shift|day|night|week|month|quarter|season|year)s?\\.?");

    /** "Each row has seats", which are no attribute where seats are known of. */
    private static final Pattern HAS_ONLY = Pattern.compile("(?i)each [^;:,()]+? has (\\p{L}+(?: \\p{L}+)?)\\.?");

    private int readingsLeft;

    private final SaidNouns said;
    private final VolumePhrasings volumes;
    private final KindPhrasings kinds;
    private final MeasurePhrasings measures;
    private final KeyPhrasings keys;
    private final FactPhrasings facts;
    private final RulePhrasings rules;
    private final DeletionPhrasings deletions;
    private final PairingPhrasings pairings;
    private final NotedPhrasings noted;
    private final AttributePhrasings attributes;
    private final RelationPhrasings relations;
    private final ShortNouns shortNouns;
    private final boolean last;

    public Phrasings(Design design) {
        this(design, Set.of(), false);
    }

    /**
     * @param expected entities that are not there yet and that another sentence speaks of, in small letters
     * @param last     whether no other sentence will make what this one speaks of
     */
    Phrasings(Design design, Set<String> expected, boolean last) {
        this.said = new SaidNouns(design, expected);
        this.attributes = new AttributePhrasings(said);
        this.relations = new RelationPhrasings(said);
        this.volumes = new VolumePhrasings(design, said);
        var spoken = new SaidAttributes(said);
        this.kinds = new KindPhrasings(said, spoken);
        this.measures = new MeasurePhrasings(said, spoken);
        this.keys = new KeyPhrasings(said, spoken, last, relations::belonging);
        this.facts = new FactPhrasings(said, spoken);
        this.rules = new RulePhrasings(said, spoken);
        this.pairings = new PairingPhrasings(design, said, this::readingOfPart, relations::clause);
        this.noted = new NotedPhrasings(said);
        this.shortNouns = new ShortNouns(said, relations);
        this.last = last;
        this.deletions = new DeletionPhrasings(design, said);
    }

    private static final Pattern SPOKEN_OF = Pattern.compile(
            "(?i)(?:(?:an?|each|every|all) )?(\\p{L}[\\p{L} -]{0,60}?) (?:(?:can|may|must|should) )?(?:also )?(?:(?:has|have)(?! to be )|belongs? to|(?:is|are) (?:identified by|numbered)|must have) .*");

    private static final Pattern OF_ONE = Pattern.compile("(?:an?|each|every) ", Pattern.CASE_INSENSITIVE);

    /** "A photographer is an author as well" is one said more plainly. */
    private static final Pattern ALSO = Pattern.compile("(?i)\\b(?:also|too|well|both)\\b");

    /** "A licence plate identifies a car" makes no entity of the plate. */
    private static final Pattern TELLS = Pattern.compile("(?i)(?:uniquely )?(?:identif|determin)");

    /** "A deadline cannot be earlier than the order date", and is a value. */
    private static final Pattern COMPARES = Pattern.compile(
            "(?i)(?:(?!has |have )\\p{L}+ ){1,6}?(?:is|are|be|lie|come) (?:always |not |never |no )*(?:earlier|later|before|after|greater|smaller|larger|higher|lower|negative|positive)\\b");

    /** "A booking reference has six letters", and is no thing of its own. */
    private static final Pattern OF_SIGNS = Pattern.compile(
            "(?i).* (?:has|have|is|are|be|of) (?:exactly |at most |up to |always )*\\w+ (?:letter|digit|character|sign)s?(?: long)?\\.?");

    /** The entity that a sentence tells something of, in the singular and small letters; empty where none is made by it. */
    Optional<String> subject(String text) {
        String sentence = Contractions.inFull(text);
        if (OF_SIGNS.matcher(sentence).matches()
                || COMPARES.matcher(Quoted.masked(sentence)).lookingAt()) {
            return Optional.empty();
        }
        boolean plain = !ALSO.matcher(sentence).find();
        Optional<String> kind =
                kinds.subject(Quoted.masked(plain ? sentence.strip() : PlainWording.of(sentence.strip())));
        if (kind.isPresent()) {
            return kind;
        }
        Matcher of = SPOKEN_OF.matcher(Quoted.masked(sentence.strip()));
        boolean one = OF_ONE.matcher(sentence.strip()).lookingAt();
        if (!of.matches() || of.group(1).split(" ").length > 3) {
            return one && sentence.length() <= LONGEST_SAID
                    ? relations
                            .clauseAsSaid(SaidNouns.withoutStops(sentence.strip()))
                            .filter(clause -> !TELLS.matcher(clause.verb()).lookingAt())
                            .map(clause -> clause.subject().toLowerCase(Locale.ROOT))
                    : Optional.empty();
        }
        return one || said.isPlural(of.group(1))
                ? Optional.of(said.one(of.group(1)).toLowerCase(Locale.ROOT))
                : Optional.empty();
    }

    /** What a sentence comes to; never throws. */
    public Phrasing of(String text) {
        String sentence =
                tidied(text.strip().replace('’', '\'').replace('“', '"').replace('”', '"'));
        String full = said.withoutPieces(Contractions.inFull(sentence));
        if (!full.equals(sentence)) {
            Phrasing spelt = of(full);
            return spelt instanceof Phrasing.AsItStands ? ReadAs.of(full) : spelt;
        }
        if (sentence.contains("<->")) {
            Optional<Phrasing> both = noted.of(sentence);
            if (both.isPresent()) {
                return both.get();
            }
        }
        Matcher between = OPTION_BETWEEN.matcher(Quoted.masked(sentence));
        if (between.matches()) {
            // options are said of both clauses, and stand behind them
            return ReadAs.of(
                    sentence.substring(0, between.end(1)) + sentence.substring(between.start(3), between.end(3)) + " "
                            + sentence.substring(between.start(2), between.end(2)) + ".");
        }
        String masked = Quoted.masked(sentence);
        Optional<Phrasing> kind = kinds.of(masked, sentence);
        if (kind.isPresent()) {
            return kind.get();
        }
        boolean stands = isCanonical(masked)
                && !POSSESSIVE.matcher(masked).matches()
                && !SIZED.matcher(masked).matches();
        Optional<Phrasing> otherSide = sentence.length() > LONGEST_SAID || masked.indexOf(':') >= 0
                ? Optional.empty()
                : relations.otherSide(sentence);
        if (otherSide.isPresent()) {
            return otherSide.get();
        }
        boolean identified = last && isByNewAttributes(sentence, masked);
        if (sentence.isEmpty() || stands && !identified && !isOfSeveral(sentence, masked)) {
            boolean relation = masked.regionMatches(true, 0, "each ", 0, 5) && masked.indexOf(':') < 0;
            Optional<Phrasing> slip = relation ? relations.slipOfName(sentence) : Optional.empty();
            return slip.orElseGet(() -> asItStands(masked));
        }
        readingsLeft = MOST_READINGS;
        Optional<Phrasing> found = sentence.length() > LONGEST_SAID ? attributes.of(sentence) : reading(sentence);
        return found.filter(each -> !isTheSame(each, sentence))
                .map(shortNouns::inFull)
                .map(each -> ofKind(sentence, each))
                .orElseGet(() -> asItStands(masked));
    }

    /** Whether it is identified by what nobody has spoken of, or by what it is not known to have one of. */
    private boolean isByNewAttributes(String sentence, String masked) {
        Matcher identified = IDENTIFIED.matcher(masked);
        if (!identified.matches()) {
            return false;
        }
        List<String> parts = SaidNouns.members(sentence.substring(identified.start(1), identified.end(1)));
        return parts.stream().noneMatch(said::isEntity)
                || parts.stream()
                        .anyMatch(part -> said.isEntity(part)
                                && said.areRelated(identifiedNoun(sentence), part)
                                && !keys.leadsToOne(identifiedNoun(sentence), part));
    }

    private static String identifiedNoun(String sentence) {
        return sentence.replaceFirst("(?i)^each (.*?) is identified by .*", "$1");
    }

    private static Phrasing asItStands(String masked) {
        return CLAUSE_IN_NAME.matcher(masked).lookingAt()
                ? new Phrasing.Refused("a name holds no clause; say the rest in a sentence of its own")
                : new Phrasing.AsItStands();
    }

    /** "An insured parcel has a value" makes a kind of parcel, where parcels are known, or something of that name. */
    private Phrasing ofKind(String sentence, Phrasing phrasing) {
        return phrasing instanceof ReadAs as
                        && as.sentences().stream().noneMatch(each -> each.contains(" is a kind of "))
                ? subject(sentence)
                        .or(() -> relations
                                .clauseAsSaid(SaidNouns.withoutStops(sentence))
                                .map(clause -> clause.subject().toLowerCase(Locale.ROOT)))
                        .filter(one ->
                                as.sentences().get(0).toLowerCase(Locale.ROOT).startsWith("each " + one + " "))
                        .flatMap(one -> said.head(one).map(general -> kinds.withKind(one, general.name(), as)))
                        .orElse(phrasing)
                : phrasing;
    }

    /** Whether a sentence that the grammar might take says several things, or speaks of something else than it seems to. */
    private boolean isOfSeveral(String sentence, String masked) {
        Matcher only = HAS_ONLY.matcher(masked);
        return JoinedSentences.isIn(masked)
                || SEVERAL.matcher(masked).lookingAt()
                || only.matches() && said.isEntity(only.group(1)) && said.isPlural(only.group(1))
                || TWO_OBJECTS.matcher(masked).matches()
                || TWO_PLACES.matcher(masked).matches()
                || VERB_LEFT_OUT.matcher(masked).matches()
                || masked.indexOf(':') < 0 && relations.isOfMeasure(sentence)
                || !LISTS.matcher(masked).find() && relations.isOfLongerName(sentence);
    }

    private Optional<Phrasing> reading(String said) {
        if (--readingsLeft < 0) {
            return Optional.empty();
        }
        Optional<Phrasing> together =
                noted.of(said).or(() -> pairings.withIts(said)).or(() -> pairings.of(said));
        if (together.isPresent()) {
            return together;
        }
        String sentence = PlainWording.of(said);
        Optional<Phrasing> kind =
                sentence.equals(said) ? Optional.empty() : kinds.of(Quoted.masked(sentence), sentence);
        if (kind.isPresent()) {
            return kind; // "a conductor is a musician too"
        }
        if (ASKED.matcher(Quoted.masked(said)).lookingAt()) {
            return Optional.of(new Phrasing.Refused(
                    "this is asked of the data: it belongs to the brief, among what people must be able to find out"));
        }
        if (FOR_A_WHILE.matcher(Quoted.masked(sentence)).matches()) {
            return Optional.of(
                    new Phrasing.Refused("how long it lasts is told by two attributes: … has from: date, [until]: date."
                            + " Where each time counts it is a thing of its own, as a loan is"));
        }
        if (OF_BOTH.matcher(Quoted.masked(said)).matches()) {
            return Optional.of(
                    new Phrasing.Refused(
                            "what is known of the two together is said in a sentence of its own: For each supplier of a part we record …"));
        }
        boolean several = JoinedSentences.isIn(Quoted.masked(sentence));
        Optional<Phrasing> parts = several
                ? JoinedSentences.ofOneSubject(sentence, relations::subjectEnd, this::readingOfPart)
                : Optional.empty();
        return parts.or(() -> JoinedSentences.ofTwoPlaces(RelationPhrasings.withoutTail(sentence), this::readingOfPart))
                .or(() -> JoinedSentences.ofItsWhole(said, sentence, this.said::areRelated, this::readingOfPart))
                .or(() -> JoinedSentences.joined(sentence, relations::isInverse, relations::of, this::readingOfPart))
                .or(() -> rule(sentence))
                .or(() -> volumes.of(sentence))
                .or(() -> measures.of(sentence))
                .or(() -> deletions.of(sentence))
                .or(() -> rules.of(sentence))
                .or(() -> rules.ofItsValues(sentence))
                .or(() -> keys.of(sentence))
                .or(() -> facts.of(sentence))
                .or(() -> withItsKinds(sentence))
                .or(() -> attributes.of(sentence).map(this::withOtherSides))
                .or(() -> JoinedSentences.ofOneVerb(sentence, relations::clause, relations::of))
                .or(() -> relations.withKind(sentence))
                .or(() -> JoinedSentences.ofTwoSubjects(sentence, this.said::isPlural, this::readingOfPart))
                .or(() -> howManyOfEach(sentence))
                .or(() -> relations.of(sentence))
                .or(() -> JoinedSentences.apart(sentence, this::readingOfPart));
    }

    /** "A cellar has a humidity and at least 10 shelves", each of which was said to belong to one cellar. */
    private Phrasing withOtherSides(Phrasing phrasing) {
        return phrasing instanceof ReadAs as && as.sentences().size() > 1
                ? new ReadAs(as.sentences().stream()
                        .map(each -> Quantity.find(Quoted.masked(each), 0)
                                .flatMap(found -> relations.otherSide(each))
                                .filter(ReadAs.class::isInstance)
                                .map(read -> ((ReadAs) read).sentences().get(0))
                                .orElse(each))
                        .toList())
                : phrasing;
    }

    private static final Pattern KINDS_LISTED = Pattern.compile("([^:;]+ [^:;]+ ([^ :;]+)): ([^:;()]+)");

    /** "Members rent equipment: tanks, regulators and suits." */
    private Optional<Phrasing> withItsKinds(String sentence) {
        Optional<Cut> listed =
                sentence.indexOf(':') < 0 ? Optional.empty() : Cut.of(KINDS_LISTED, SaidNouns.withoutStops(sentence));
        return listed.filter(cut -> said.isPlural(cut.group(2)) || said.isUncounted(cut.group(2)))
                .filter(cut -> SaidNouns.members(cut.group(3)).size() > 1
                        && SaidNouns.members(cut.group(3)).stream().allMatch(said::isPlural))
                .flatMap(cut -> relations
                        .clauseAsSaid(cut.group(1))
                        .flatMap(clause -> readingOfPart(cut.group(1) + "."))
                        .filter(JoinedSentences::isRead)
                        .map(read -> JoinedSentences.both(
                                read,
                                new ReadAs(SaidNouns.members(cut.group(3)).stream()
                                        .map(kind -> "Each " + said.one(kind) + " is a kind of "
                                                + said.one(cut.group(2)) + ".")
                                        .toList()))));
    }

    /** "A car is inspected after each rental" says of one car of how many rentals? */
    private static Optional<Phrasing> howManyOfEach(String sentence) {
        if (EVERY_YEAR.matcher(Quoted.masked(sentence)).matches()) {
            return Optional.of(new Phrasing.Refused(ClauseCheck.NOT_HOW_OFTEN));
        }
        return EACH_BEHIND.matcher(Quoted.masked(sentence)).matches()
                ? Optional.of(
                        new Phrasing.Refused(
                                "\"each\" behind the verb does not say how many; say it of one: … any number of, or exactly one"))
                : Optional.empty();
    }

    private Optional<Phrasing> readingOfPart(String sentence) {
        Optional<Phrasing> otherSide = sentence.indexOf(':') < 0 ? relations.otherSide(sentence) : Optional.empty();
        if (otherSide.isPresent()) {
            return otherSide;
        }
        String masked = Quoted.masked(sentence);
        Optional<Phrasing> kind = kinds.of(masked, sentence);
        if (kind.isPresent()) {
            return kind;
        }
        boolean several = JoinedSentences.isIn(masked)
                || TWO_OBJECTS.matcher(masked).matches()
                || TWO_PLACES.matcher(masked).matches()
                || masked.indexOf(':') < 0 && (relations.isOfValue(sentence) || relations.isOfMeasure(sentence));
        return isCanonical(masked) && !several
                ? Optional.of(ReadAs.of(Character.toUpperCase(sentence.charAt(0))
                        + sentence.substring(1).replaceFirst("\\.*$", ".")))
                : reading(sentence);
    }

    /** "For each stay, departed must be after arrived." */
    private Optional<Phrasing> rule(String sentence) {
        Matcher searched = SEARCHED.matcher(sentence);
        if (searched.matches()) {
            Optional<Phrasing> index = said.entity(searched.group(1))
                    .map(entity -> ReadAs.of("Each " + said.nouns().one(entity) + " is often "
                            + often(searched.group(2)) + " by its " + searched.group(3) + "."));
            if (index.isPresent()) {
                return index;
            }
        }
        if (A_SIGN.matcher(sentence).find()) {
            return Optional.of(
                    new Phrasing.Refused(
                            "which signs a text has is said by a pattern, as in: Each … has code: text 6 (pattern \"A-0000\")"));
        }
        Matcher text = OF_ITS_TEXT.matcher(sentence);
        if (text.matches()) {
            Optional<Phrasing> rule = said.entity(text.group(2))
                    .map(entity -> ReadAs.of(
                            "Of each " + said.nouns().one(entity) + ": " + text.group(1) + " " + text.group(3) + "."));
            if (rule.isPresent()) {
                return rule;
            }
        }
        Matcher found = FOR_EACH.matcher(sentence);
        return found.matches()
                ? said.entity(found.group(1))
                        .map(entity -> ReadAs.of("Of each " + said.nouns().one(entity) + ": " + found.group(2) + "."))
                : Optional.empty();
    }

    private static String often(String verb) {
        String small = verb.toLowerCase(Locale.ROOT);
        boolean sorted = small.endsWith("sorted") || small.endsWith("ordered");
        return small.contains("and") ? "searched and sorted" : sorted ? "sorted" : "searched";
    }

    /** With single spaces, but for what stands between quotes. */
    private static String tidied(String text) {
        String masked = Quoted.masked(text);
        var tidied = new StringBuilder();
        for (int i = 0; i < text.length(); i++) {
            boolean space = masked.charAt(i) == ' ' || masked.charAt(i) == '\t' || masked.charAt(i) == '\u00a0';
            if (!space) {
                tidied.append(text.charAt(i));
            } else if (!tidied.isEmpty() && (i == 0 || !Character.isSpaceChar(masked.charAt(i - 1)))) {
                tidied.append(' ');
            }
        }
        return tidied.toString();
    }

    private static boolean isSpoken(String masked) {
        String small = masked.toLowerCase(Locale.ROOT);
        Matcher words = WORD.matcher(small);
        while (words.find()) {
            if (SPOKEN_WORDS.contains(words.group())) {
                return true;
            }
        }
        return SPOKEN.matcher(small).find()
                || small.contains("and") && HAS_BOTH.matcher(small).find();
    }

    private static boolean isCanonical(String masked) {
        if (masked.regionMatches(true, 0, "each ", 0, 5) && !isSpoken(masked)) {
            boolean known = masked.toLowerCase(Locale.ROOT).contains(" has ")
                    || Quantity.find(masked, 0).isPresent();
            if (known) {
                return true;
            }
        }
        return CANONICAL.matcher(masked).matches() && !FREELY.matcher(masked).matches();
    }

    private static boolean isTheSame(Phrasing found, String sentence) {
        return found instanceof ReadAs read
                && read.sentences().equals(List.of(sentence.endsWith(".") ? sentence : sentence + "."));
    }
}
