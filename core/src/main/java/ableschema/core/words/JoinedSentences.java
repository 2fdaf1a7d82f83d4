package ableschema.core.words;

import ableschema.core.words.Phrasing.ReadAs;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiPredicate;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.ToIntFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads a sentence that holds several: "Each visit is for one animal and is handled by one vet." */
final class JoinedSentences {

    private static final String COUNTED =
            "an?|the|its|their|between|exactly|at least|at most|up to|any number|no more|one|another|two|three|several|many|some|zero|\\d+";

    /** Behind these the same subject does, or has, something else. */
    private static final Pattern NEXT = Pattern.compile(
            ", (?=\\p{L}+s (?:at|in|on|from|to|with|by|for) (?:" + COUNTED
                    + ") )|, (?=(?:is|are) \\p{L}+ (?:by|in|at|for|on|to|from|with) (?:" + COUNTED
                    + ") )|, (?=(?:has|have) (?:" + COUNTED
                    + ") )|(?:,? (?:and|but) (?:(?:it|they|he|she) )?|; ?(?:it|they|he|she) )(?:also |then |always )?(?=(?:is|are|has|have|can|may|must|should|cannot|can't) \\S"
                    + "|(?!seats? |rooms? |places? |spaces? )\\p{L}+s (?!(?:do|have|are|can|may|must|belong|contain) )(?:\\p{L}+ ){0,2}(?:"
                    + COUNTED + ") "
                    + "|(?:stand|last|cost|weigh|belong|live|work|play|hang|lie|start|end|come|lead|refer|own|use|need|contain|teach|attend|write|get|go|make|take|give|sell|buy|pay|receive|rent|borrow|handle|manage|run|hold|keep|send|order|book|visit|join|share|include) (?:\\p{L}+ ){0,2}(?:"
                    + COUNTED
                    + ") |(?:write|teach|attend|manage|handle|contain|include|cover|need|offer|produce|play|own|sell|buy|repair|lead|visit|borrow|order|use|make|hold|run|send|clean|drive|check|\\p{L}+[^s\\W]s) (?:\\p{L}+ )?\\p{L}+[^s\\W]s\\.?$)",
            Pattern.CASE_INSENSITIVE);

    private static final Pattern TYPE = Pattern.compile(
            ": ?(?=(?:whole|text|decimal|counted|date|moment|time|year|yes/no|real|bytes|json|list)\\b)",
            Pattern.CASE_INSENSITIVE);

    /** From here on another is spoken of. */
    private static final Pattern OTHER_SUBJECT = Pattern.compile(
            "; (?:each|every|an?|the|all) |,? (?:and|but|while|whereas) (?:(?:each|every) |an? (?:(?!and |or )\\p{L}+ ){1,3}(?:has|is|can|may|must) )",
            Pattern.CASE_INSENSITIVE);

    /** "A contract, which starts on a day and may end on a day": what follows is not said of the subject. */
    private static final Pattern RELATIVE = Pattern.compile(", (?:which|who|that) ", Pattern.CASE_INSENSITIVE);

    /** Sentences in which "and" joins something else. */
    private static final Pattern OTHERS = Pattern.compile(
            "(?i)(?:for|of|in|at|on|if|when|whenever|once|no|there|rows|the domain|about) .*|.*(?::|->).*|.* (?:searched|sorted) and (?:searched|sorted) by .*|(?:an? |the )?\\p{L}+ is an? .* (?:of|that|who|which|where) .*");

    /** Between two sentences, each with its subject. */
    private static final Pattern JOINED = Pattern.compile(
            ",? (?:and|but|while|whereas|though|although) (?=(?:an?|each|every|the|all|no two|for (?:each|every)) |(?:\\p{L}+ )?\\p{L}+s (?:(?:are|must be|have to be) (?:never|unique|always)|can|may|must|have|do|belong|contain) )"
                    + "|, (?=(?:an?|each|every|the) \\p{L}[\\p{L} -]* (?:is|has|can|may|must|belongs) |(?:\\p{L}+ )?\\p{L}+s (?:have|contain|consist of|belong to|include) |no two )",
            Pattern.CASE_INSENSITIVE);

    private static final Pattern APART = Pattern.compile(
            "; ?(?=(?:an?|each|every|all|no) |some (?:\\p{L}+ )?\\p{L}+s are )", Pattern.CASE_INSENSITIVE);

    private static final Pattern AND = Pattern.compile(",| and ", Pattern.CASE_INSENSITIVE);

    /** "Is sold", "takes place": what is said of each place, or person, behind it. */
    private static final Pattern PLACED = Pattern.compile(
            "(.+?) ((?:is|are|was|were|has been|have been)(?: (?!identified|known|told|recogni|numbered|lettered)\\p{L}+(?: (?:out|up|off|down|over|away|back|together))?)?|(?:can|may|must|should|will) be \\p{L}+(?: (?:out|up|off|down|over|away|back|together))?|takes? place)(?= (?:of|by|for|on|in|into|onto|at|with|to|from|about|against|under) )",
            Pattern.CASE_INSENSITIVE);

    private static final Pattern PLACE = Pattern.compile(
            ",? (?:and )?(?:by|for|on|in|at|with|to|from|about|against|under|through|via|during|into|onto|over) (?=(?:"
                    + COUNTED
                    + "|another|a given|a certain) |\\p{L}+(?= (?:by|for|on|in|at|with|to|from|about|against|under|into)\\b|$))",
            Pattern.CASE_INSENSITIVE);

    /** Another sentence is looked for at no more places than these. */
    private static final int MOST_PLACES = 6;

    /** "The bidder with the highest bid" is one place. */
    private static final Pattern SUPERLATIVE =
            Pattern.compile("\\bthe (?:\\p{L}+est|most|least|first|last) ", Pattern.CASE_INSENSITIVE);

    /** A place has no more words than these: how one stands to it, how many, and what it is called. */
    private static final int MOST_WORDS = 6;

    private JoinedSentences() {}

    /** "Is sent by one sender and received by one recipient". */
    private static final Pattern SUFFERED = Pattern.compile(
            "(?:,? (?:and|but)|,) (?:then )?(?=\\p{L}+(?:ed|en|wn|ught|old|aid|ade|ent|ept|eld) (?:by|in|on|at|to|from|for|with|into|under|against) (?:"
                    + COUNTED + ") )",
            Pattern.CASE_INSENSITIVE);

    private static final Pattern AUXILIARY =
            Pattern.compile(" *((?:is|are|was|were|(?:can|may|must|should|will) be) )", Pattern.CASE_INSENSITIVE);

    static boolean isIn(String masked) {
        return (NEXT.matcher(masked).find() || SUFFERED.matcher(masked).find())
                && !OTHERS.matcher(TYPE.matcher(masked).replaceAll("")).matches();
    }

    /**
     * The readings of all that is said of one subject together; empty where one of them is none.
     *
     * @param verbAt where the subject of a sentence ends; 0 where that is not seen
     * @param reading what one part comes to
     */
    static Optional<Phrasing> ofOneSubject(
            String sentence, ToIntFunction<String> verbAt, Function<String, Optional<Phrasing>> reading) {
        int end = verbAt.applyAsInt(sentence);
        if (end <= 0) {
            return Optional.empty();
        }
        String subject = sentence.substring(0, end).strip();
        Matcher next = NEXT.matcher(Quoted.masked(sentence));
        Matcher other = OTHER_SUBJECT.matcher(Quoted.masked(sentence));
        int until = other.find(end) ? other.start() : sentence.length();
        int from = end;
        for (int tried = 0; tried < MOST_PLACES && next.find(from) && next.start() < until; tried++) {
            boolean ofAnother =
                    RELATIVE.matcher(sentence).region(end, next.start()).find();
            Optional<Phrasing> first =
                    ofAnother ? Optional.empty() : reading.apply(sentence.substring(0, next.start()) + ".");
            Optional<Phrasing> rest =
                    first.flatMap(found -> reading.apply(subject + " " + sentence.substring(next.end())));
            if (rest.isPresent()) {
                return Optional.of(both(first.get(), rest.get()));
            }
            from = next.end();
        }
        Matcher suffered = SUFFERED.matcher(Quoted.masked(sentence));
        Matcher auxiliary = AUXILIARY.matcher(Quoted.masked(sentence)).region(end, sentence.length());
        if (!auxiliary.lookingAt() || !suffered.find(end)) {
            return Optional.empty();
        }
        String verb = auxiliary.group(1);
        Optional<Phrasing> first = reading.apply(sentence.substring(0, suffered.start()) + ".");
        return first.flatMap(found -> reading.apply(subject + " " + verb + sentence.substring(suffered.end()))
                .map(rest -> both(found, rest)));
    }

    /**
     * Reads two sentences that stand in one: "A hall has rows and each row has seats." Empty where one of them is none.
     *
     * @param together whether two parts are one rule, read from both sides
     * @param rule     reads such a rule
     */
    static Optional<Phrasing> joined(
            String sentence,
            BiPredicate<String, String> together,
            Function<String, Optional<Phrasing>> rule,
            Function<String, Optional<Phrasing>> reading) {
        return joined(JOINED, sentence, together, rule, reading);
    }

    /** The second of one word, or of two. */
    private static final List<Pattern> TWO_SUBJECTS = List.of(
            Pattern.compile("(?i)(?:all )?(\\p{L}+(?: \\p{L}+)?) and (\\p{L}+) (.+)"),
            Pattern.compile("(?i)(?:all )?(\\p{L}+(?: \\p{L}+)?) and (\\p{L}+ \\p{L}+) (.+)"));

    /**
     * Reads what is said of several things at once: "Dentists and assistants work in a practice." Empty where it is not.
     *
     * @param plural whether a noun is one in the plural
     */
    static Optional<Phrasing> ofTwoSubjects(
            String sentence, Predicate<String> plural, Function<String, Optional<Phrasing>> reading) {
        String text = SaidNouns.withoutStops(sentence);
        String masked = Quoted.masked(text);
        for (Pattern subjects : TWO_SUBJECTS) {
            Matcher two = subjects.matcher(masked);
            if (two.matches() && plural.test(two.group(1)) && plural.test(two.group(2))) {
                String rest = " " + text.substring(two.start(3)) + ".";
                Optional<Phrasing> first = reading.apply(two.group(1) + rest).filter(JoinedSentences::isRead);
                Optional<Phrasing> second = first.flatMap(
                        found -> reading.apply(two.group(2) + rest).filter(JoinedSentences::isRead));
                if (second.isPresent()) {
                    return Optional.of(both(first.get(), second.get()));
                }
            }
        }
        return Optional.empty();
    }

    /** What is of something and is no part of it. */
    private static final String NO_WHOLE =
            "(?!(?:number|kind|type|sort|group|set|list|pair|series|part|piece|amount|couple|period|copy) )";

    /** A room on "a floor of a building", but nothing in "a number of places". */
    private static final Pattern OF_WHOLE = Pattern.compile(
            "(.+ is \\p{L}+ (?:in|on|at|to) )(?:an?|one|exactly one) " + NO_WHOLE
                    + "(\\p{L}+) of (?:an?|one|exactly one) (\\p{L}+(?: \\p{L}+)?)\\.?",
            Pattern.CASE_INSENSITIVE);

    /** "An inspection of a colony has a date". */
    private static final Pattern PART_OF_WHOLE = Pattern.compile(
            "(?:an?|each|every) " + NO_WHOLE
                    + "(\\p{L}+) of (?:an?|one|each) (\\p{L}+(?: (?!has |is |must |can |may )\\p{L}+)?) ((?:has|must have|must be|can be|belongs|is (?!an?\\b)\\p{L}+(?:ed|en|wn|ne|ld|pt|ght|de)) .*?)\\.?",
            Pattern.CASE_INSENSITIVE);

    /**
     * Reads two rules in one: "A room lies on a floor of a building." Empty where it says no more than one.
     *
     * @param said     the sentence as it was typed: "for each part of a car we record" speaks of both together
     * @param sentence the same in plainer words
     * @param related  whether it has been said what a part has to do with its whole
     */
    static Optional<Phrasing> ofItsWhole(
            String said,
            String sentence,
            BiPredicate<String, String> related,
            Function<String, Optional<Phrasing>> reading) {
        Optional<Cut> subject = Cut.of(PART_OF_WHOLE, said);
        if (subject.isPresent()) {
            Cut cut = subject.get();
            Optional<Phrasing> rest = reading.apply("Each " + cut.group(1) + " " + cut.group(3) + ".")
                    .filter(JoinedSentences::isRead);
            return related.test(cut.group(1), cut.group(2))
                    ? rest
                    : rest.flatMap(found -> reading.apply(
                                    "Each " + cut.group(1) + " belongs to exactly one " + cut.group(2) + ".")
                            .filter(JoinedSentences::isRead)
                            .map(belongs -> both(belongs, found)));
        }
        return Cut.of(OF_WHOLE, sentence)
                .filter(cut -> !related.test(cut.group(2), cut.group(3)))
                .flatMap(cut -> reading.apply(cut.group(1) + "one " + cut.group(2) + ".")
                        .filter(JoinedSentences::isRead)
                        .flatMap(first -> reading.apply(
                                        "Each " + cut.group(2) + " belongs to exactly one " + cut.group(3) + ".")
                                .filter(JoinedSentences::isRead)
                                .map(second -> both(first, second))));
    }

    /** Reads what stands before and behind a semicolon as a sentence each; empty where one of them is none. */
    static Optional<Phrasing> apart(String sentence, Function<String, Optional<Phrasing>> reading) {
        return joined(APART, sentence, (first, second) -> false, rule -> Optional.empty(), reading);
    }

    private static Optional<Phrasing> joined(
            Pattern between,
            String sentence,
            BiPredicate<String, String> together,
            Function<String, Optional<Phrasing>> rule,
            Function<String, Optional<Phrasing>> reading) {
        String masked = Quoted.masked(sentence);
        Matcher next = between.matcher(masked);
        boolean may = !OTHERS.matcher(masked).matches();
        for (int tried = 0; may && tried < MOST_PLACES && next.find(); tried++) {
            String first = sentence.substring(0, next.start());
            // said as freely as the first: "each row has seats" lists no attributes behind "a hall has rows"
            String rest = sentence.substring(next.end());
            boolean each = first.regionMatches(true, 0, "each ", 0, 5);
            String second = ofFirst(first, each ? rest : rest.replaceFirst("(?i)^(?:each|every) ", "A "));
            if (together.test(first, second)) {
                Optional<Phrasing> both = rule.apply(sentence).filter(JoinedSentences::isRead);
                if (both.isPresent()) {
                    return both;
                }
            } else {
                Optional<Phrasing> left = reading.apply(first + ".").filter(JoinedSentences::isRead);
                Optional<Phrasing> right =
                        left.flatMap(found -> reading.apply(second)).filter(JoinedSentences::isRead);
                if (right.isPresent()) {
                    return Optional.of(both(left.get(), right.get()));
                }
            }
        }
        return Optional.empty();
    }

    private static final Pattern HAVING = Pattern.compile(
            "(?:an?|each|every|all|the)? ?(\\p{L}+(?: \\p{L}+)?) (?:has|have) (.*)", Pattern.CASE_INSENSITIVE);

    private static final Pattern THAT_ONE = Pattern.compile(
            "(?:the|its|their) (\\p{L}+(?: \\p{L}+)?)(?= (?:is|are|must|can|may|cannot|can't|defaults|lies|has)\\b)",
            Pattern.CASE_INSENSITIVE);

    private static final Pattern OF_ONE = Pattern.compile(
            "(?:the|an?) \\p{L}[\\p{L} -]*? of (?:an?|the|each|every) (\\p{L}+(?: (?!is |must |can |may )\\p{L}+)?) .*",
            Pattern.CASE_INSENSITIVE);

    /** "Each line has a price, and the price defaults to 0" speaks of the price of a line. */
    private static String ofFirst(String first, String second) {
        Matcher having = HAVING.matcher(Quoted.masked(first));
        Matcher that = THAT_ONE.matcher(second);
        Matcher of = OF_ONE.matcher(Quoted.masked(first));
        if (of.matches() && that.lookingAt() && !second.substring(that.end()).contains(" of ")) {
            return "The " + that.group(1) + " of a " + of.group(1) + second.substring(that.end());
        }
        boolean same = having.matches()
                && that.lookingAt()
                && (having.group(2) + " ").matches("(?i).*\\b" + Pattern.quote(that.group(1)) + "\\b.*");
        return same ? "The " + that.group(1) + " of a " + having.group(1) + second.substring(that.end()) : second;
    }

    /** "A certificate expires" is another sentence, and no thing beside what stands before. */
    private static final Pattern CLAUSE =
            Pattern.compile("an? (?:\\p{L}+ ){1,3}\\p{L}+[^\\W_sui]s", Pattern.CASE_INSENSITIVE);

    /**
     * Reads a sentence that says the same of several: "A surgery employs doctors and nurses." Empty where it does not.
     *
     * @param clause takes a clause apart
     * @param reading what one clause comes to
     */
    static Optional<Phrasing> ofOneVerb(
            String sentence,
            Function<String, Optional<SaidClause>> clause,
            Function<String, Optional<Phrasing>> reading) {
        String text = SaidNouns.withoutStops(sentence);
        Matcher and = AND.matcher(Quoted.masked(text));
        boolean two = Quoted.masked(text).indexOf(';') >= 0;
        Optional<SaidClause> first =
                and.find() && !two ? clause.apply(text.substring(0, and.start())) : Optional.empty();
        if (first.isEmpty()) {
            return Optional.empty();
        }
        String verb = first.get().verb();
        List<String> others =
                SaidNouns.members(text.substring(and.start()).replaceFirst("^(?i)(?:,| and )\\s*(?:and )?", ""));
        boolean counted = others.stream().allMatch(each -> Counts.begin(Quoted.masked(each)));
        boolean nouns = others.stream().allMatch(each -> SaidNouns.bare(each).split(" ").length <= 2);
        if (others.stream().anyMatch(CLAUSE.asMatchPredicate())) {
            return Optional.empty();
        }
        if (others.isEmpty() || verb.equals("is") || verb.equals("has") && !counted || !counted && !nouns) {
            return Optional.empty();
        }
        Optional<Phrasing> all = reading.apply(text.substring(0, and.start()) + ".");
        for (String other : others) {
            Optional<Phrasing> next = reading.apply("A " + first.get().subject() + " " + verb + " " + other + ".");
            all = all.filter(JoinedSentences::isRead)
                    .flatMap(before -> next.filter(JoinedSentences::isRead).map(after -> both(before, after)));
        }
        return all;
    }

    /**
     * Reads a sentence with two things behind its verb: "A ticket is sold for a seat at a performance." Empty where it has one.
     *
     * @param reading what one part comes to
     */
    static Optional<Phrasing> ofTwoPlaces(String sentence, Function<String, Optional<Phrasing>> reading) {
        String text = SaidNouns.withoutStops(sentence);
        Matcher placed = PLACED.matcher(Quoted.masked(text));
        if (!placed.lookingAt()) {
            return Optional.empty();
        }
        String start = text.substring(0, placed.end());
        var places = new ArrayList<String>();
        Matcher place = PLACE.matcher(Quoted.masked(text));
        int from = placed.end();
        boolean of = text.startsWith(" of ", from); // "is of one drink at one bar"
        boolean first = of || place.find(from) && place.start() == from;
        int at = from + 1;
        while (first && place.find(at)) {
            places.add(text.substring(from, place.start()));
            from = place.start();
            at = place.end();
        }
        places.add(text.substring(from).replaceFirst("(?i)^,? (?:and )?", " ").replaceFirst("(?i) another$", ""));
        boolean plain = places.stream()
                .allMatch(each -> each.strip().split(" ").length <= MOST_WORDS
                        && !SUPERLATIVE.matcher(each).find());
        if (!first || places.size() < 2 || !plain) {
            return Optional.empty();
        }
        Optional<Phrasing> all = reading.apply(start + places.get(0) + ".").filter(JoinedSentences::isRead);
        for (String next : places.subList(1, places.size())) {
            Optional<Phrasing> read = reading.apply(start + next + ".").filter(JoinedSentences::isRead);
            all = all.flatMap(before -> read.map(after -> both(before, after)));
        }
        return all;
    }

    static boolean isRead(Phrasing phrasing) {
        return !(phrasing instanceof Phrasing.Refused);
    }

    static Phrasing both(Phrasing first, Phrasing second) {
        if (first instanceof Phrasing.Refused) {
            return first;
        }
        if (second instanceof Phrasing.Refused) {
            return second;
        }
        var all = new ArrayList<ReadAs>();
        for (ReadAs one : readings(first)) {
            for (ReadAs other : readings(second)) {
                var sentences = new ArrayList<>(one.sentences());
                sentences.addAll(other.sentences());
                all.add(new ReadAs(sentences));
            }
        }
        return all.size() == 1 ? all.get(0) : new Phrasing.Either(all);
    }

    private static List<ReadAs> readings(Phrasing phrasing) {
        return phrasing instanceof Phrasing.Either either ? either.readings() : List.of((ReadAs) phrasing);
    }
}
