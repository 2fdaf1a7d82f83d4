package ableschema.core.words;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * Finds a word of a free sentence of which nothing was made: it stands in none of the sentences that it was read as, and is no word
 * by which relations, numbers and rules are said.
 */
final class SwallowedWords {

    /** What articles, numbers, cardinalities and flags are said with. */
    private static final Set<String> SAID_OTHERWISE = words(
            "a an the each every all any some no none both either neither one ones two three four five"
                    + " six seven eight nine ten zero once twice first second single many several multiple more most less least fewer than up exactly precisely"
                    + " only just about around roughly nearly over above below under between within inside per max maximum minimum min thousand million number numbers total"
                    + " lot lots loads plenty dozens hundreds thousands millions tons scores tens group collection set list variety range couple series"
                    + " it its they their them he she his her him we our us you your this that these those there here which who whom whose what other"
                    + " others another same different various distinct certain given particular specific own such else nobody anyone everybody people persons"
                    + " is are was were be been being am has have had having can may must might could should would will shall cannot not never always"
                    + " also too well and or but if when whenever while where whereas though although then so thus as like because of in on at by for to from with"
                    + " without into onto out off among during before after until till since unless still going likes wants wishes pleases again apart together back down away"
                    + " unique uniquely optional optionally possible possibly maybe perhaps sometimes often usually mostly normally typically generally regularly occasionally"
                    + " additional additionally addition furthermore moreover course rule basically obviously default otherwise"
                    + " mandatory required compulsory obligatory necessary needed known unknown empty missing blank null valid positive negative"
                    + " secret private personal confidential relationship relation association exist different equal true false yes");

    /** Verbs and nouns that say what is told of a name, and types. */
    private static final Set<String> TELLING = words(
            "keep keeps kept store stores stored record records recorded note notes noted register"
                    + " registers registered track save hold holds held log logs know knows need needs want wants remember collect capture document written write down"
                    + " consist consists consisting contain contains comprise comprises composed made make makes made describe describes described list lists listed state states stated"
                    + " identify identifies identified determine determines determined tell tells told distinguish distinguished differ differs depend depends key primary"
                    + " kind kinds type types sort sorts form forms categories class classes value values percentage character characters letter letters digit digits sign signs"
                    + " long run runs go goes get gets got receive receives give gives given take takes taken lie lies come comes last lasts weigh weighs cost costs exceed exceeds"
                    + " starting counting running consecutive sequential automatic automatically short free plain start starts begin begins end ends share shares allow allowed become carry carries bear bears show shows belong belongs call called"
                    + " room space place places capacity arranged organised organized hierarchy tree order level time times moment day date year money whole decimal number integer int bigint smallint string"
                    + " varchar varchar2 nvarchar char numeric bool boolean timestamp datetime text reused repeated consecutively numbered collapsed deleted delete deleting removed remove"
                    + " removing drop dropped gone erased stay stays remain remains fall falls rise rises left leave cancelled added each used code codes calculated computed derived worked minus plus times divided multiplied whatever regardless ignoring case cases found looked filtered searched sorted ordered measured entered agreed fixed counted specified defined documented logged occur occurs join joins expect expects higher lower larger smaller longer shorter later earlier greater heavier older younger");

    /** What an attribute may be left out for, which its brackets say. */
    private static final Pattern WHEN = Pattern.compile(
            ",? ?\\b(?:until|till|while|before|after|as long as|as soon as|unless|if|when|once) [^,;]*",
            Pattern.CASE_INSENSITIVE);

    /** "A capacity of at least 100 seats", "a hall's". */
    private static final Pattern COUNTED = Pattern.compile(
            "^(?:in|at|for) our (?:\\p{L}+ )?\\p{L}+|(?:assigned|generated|given|created|issued|set|chosen) (?:automatically|by the (?:system|database|computer|program))|(?<=\\d )\\p{L}+|\\p{L}+'s? |\\b(?:piece|item|unit)s? (?=of )",
            Pattern.CASE_INSENSITIVE);

    /** "A shelf of a cellar" is a shelf, where it is known what these have to do with each other. */
    private static final Pattern OF_WHOLE =
            Pattern.compile("\\b(?:of|in|at|on) (?:an?|the|one|its|their|each) (\\p{L}+)", Pattern.CASE_INSENSITIVE);

    /** "An address (street, number and town)" is a street, a number and a town. */
    private static final Pattern OF_PARTS = Pattern.compile(
            "\\b(?:(?:full|contact|postal) )?(?:" + PlainerForms.WHOLES + ")" + PlainerForms.OF_PARTS
                    + "|\\b(?:namely|consists?|consisting|composed|made up)\\b",
            Pattern.CASE_INSENSITIVE);

    private static Set<String> words(String list) {
        return Set.copyOf(List.of(list.split(" ")));
    }

    private static final Pattern BETWEEN = Pattern.compile("[^\\p{L}\\p{N}]+");
    private static final int SHORTEST = 4;
    private static final int SHORT = 5;
    private static final int ENDING = 3;

    private SwallowedWords() {}

    /** @param readAs the sentences of the grammar that it came to */
    static Optional<String> in(String said, List<String> readAs, Nouns nouns) {
        String small = String.join(" ", readAs).toLowerCase(Locale.ROOT);
        boolean optional = small.contains("[") || small.contains("at most one");
        String read = " " + BETWEEN.matcher(small).replaceAll(" ");
        String whole = OF_WHOLE.matcher(
                        COUNTED.matcher(OF_PARTS.matcher(Quoted.masked(said)).replaceAll(" "))
                                .replaceAll(" "))
                .replaceAll(of -> nouns.entity(of.group(1)).isPresent() ? " " : of.group());
        String spoken = optional ? WHEN.matcher(whole).replaceAll(" ") : whole;
        return Arrays.stream(BETWEEN.split(spoken.toLowerCase(Locale.ROOT)))
                .filter(word -> word.length() >= SHORTEST && word.chars().allMatch(Character::isLetter))
                .filter(word -> !read.contains(" " + beginning(word)))
                .filter(word -> !SAID_OTHERWISE.contains(word) && !TELLING.contains(word))
                .filter(word -> !SaidUnits.isUnit(word) && !Counts.isNumber(word))
                .filter(word -> nouns.singulars(word).stream().noneMatch(one -> read.contains(" " + one)))
                .findFirst();
    }

    /** A word without its ending, which may be another: "shelves", "carried". */
    private static String beginning(String word) {
        return word.substring(0, word.length() - (word.length() > SHORT ? ENDING : 1));
    }
}
