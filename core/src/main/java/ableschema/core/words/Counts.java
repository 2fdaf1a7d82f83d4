package ableschema.core.words;

import ableschema.core.design.Cardinality;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** How many, as people say it: {@code one or more}, {@code fewer than 5}, {@code 1..n}. */
final class Counts {

    private static final List<String> NUMBERS = List.of(
            "zero",
            "one",
            "two",
            "three",
            "four",
            "five",
            "six",
            "seven",
            "eight",
            "nine",
            "ten",
            "eleven",
            "twelve",
            "thirteen",
            "fourteen",
            "fifteen",
            "sixteen",
            "seventeen",
            "eighteen",
            "nineteen");

    private static final Map<String, Integer> TENS = Map.of(
            "twenty",
            20,
            "thirty",
            30,
            "forty",
            40,
            "fifty",
            50,
            "sixty",
            60,
            "seventy",
            70,
            "eighty",
            80,
            "ninety",
            90,
            "a hundred",
            100,
            "a dozen",
            12);

    /** Words for small numbers, as the alternatives of a pattern. */
    static final String WORDS = String.join("|", NUMBERS) + "|" + String.join("|", TENS.keySet());

    private static final String N = "(\\d{1,6}|" + WORDS + ")";
    private static final int MANY = Cardinality.MANY;

    /** One way to say how many, and what its numbers mean. */
    private record Way(Pattern words, Meaning meaning) {

        boolean mayBegin(String word) {
            Matcher matcher = words.matcher(word);
            return matcher.lookingAt() || matcher.hitEnd();
        }
    }

    private interface Meaning {
        Cardinality of(int first, int second);
    }

    private static final List<Way> WAYS = List.of(
            way("between N and N", (a, b) -> new Cardinality(Math.min(a, b), Math.max(a, b))),
            way("(?:from )?N (?:to|-|–) N|N ?(?:-|–) ?N", (a, b) -> new Cardinality(a, b)),
            way("N ?\\.\\. ?N", (a, b) -> new Cardinality(a, b)),
            way("N(?: ?\\.\\. ?| ?[-–] ?| to )(?:n|m|\\*|many)", (a, b) -> new Cardinality(a, MANY)),
            way(
                    "(?:at least|a minimum of|no fewer than|not fewer than) N,? (?:and|but) "
                            + "(?:at most|no more than|not more than|up to) N",
                    (a, b) -> new Cardinality(a, b)),
            way(
                    "one and only one|only one|just one|precisely one|a single|one single|another|one other",
                    (a, b) -> Cardinality.EXACTLY_ONE),
            way("zero or one|none or one|no or one|one or none|one or no", (a, b) -> Cardinality.AT_MOST_ONE),
            way("one or more|one or several|one or many|one, several or many", (a, b) -> Cardinality.AT_LEAST_ONE),
            way(
                    "(?:zero|none|no),? (?:one,? )?or (?:more|many|several)|any number of"
                            + "|an unlimited number of|a number of|lots of|numerous|several|many|multiple|some|various",
                    (a, b) -> Cardinality.ANY_NUMBER),
            way("N or N", (a, b) -> new Cardinality(a, b == a + 1 ? b : 0)), // "2 or 4" leaves out 3
            way("N or more", (a, b) -> new Cardinality(a, MANY)),
            way("N or (?:fewer|less)", (a, b) -> new Cardinality(0, a)),
            way(
                    "(?:at least|a minimum of|no fewer than|not fewer than|no less than) N",
                    (a, b) -> new Cardinality(a, MANY)),
            way(
                    "(?:at most|up to|no more than|not more than|a maximum of|at the most) N",
                    (a, b) -> new Cardinality(0, a)),
            way("more than N", (a, b) -> new Cardinality(a + 1, MANY)),
            way("(?:fewer|less) than N", (a, b) -> new Cardinality(0, a - 1)),
            way("(?:exactly )?N", (a, b) -> new Cardinality(a, a)));

    private Counts() {}

    private static Way way(String words, Meaning meaning) {
        return new Way(
                Pattern.compile(
                        "(?<![\\p{L}\\d.])(?:" + words.replace("N", N) + ")(?![\\p{L}\\d])", Pattern.CASE_INSENSITIVE),
                meaning);
    }

    /**
     * How many, found in a text.
     *
     * @param bare whether it is a number alone, which may be meant as a limit too
     */
    record Found(Cardinality cardinality, int start, int end, boolean bare) {}

    /** Whether a text begins with how many. */
    static boolean begin(String masked) {
        return WAYS.stream().anyMatch(way -> {
            Matcher matcher = way.words().matcher(masked);
            return matcher.lookingAt() && meant(way, matcher).isPresent();
        });
    }

    /** What how many may begin with; all ways are only tried there. */
    private static final Set<String> BEGINNINGS = Stream.concat(
                    Stream.of(
                            ("between from at a an no not none only just precisely another any lots numerous several many"
                                            + " multiple some various up more fewer less exactly")
                                    .split(" ")),
                    Stream.concat(NUMBERS.stream(), TENS.keySet().stream()))
            .collect(Collectors.toUnmodifiableSet());

    /** The first place at or behind another where how many may begin; negative where there is none. */
    private static int beginning(String masked, int from) {
        int at = from;
        while (at < masked.length()) {
            char c = masked.charAt(at);
            char before = at == 0 ? ' ' : masked.charAt(at - 1);
            boolean begins = !Character.isLetterOrDigit(before) && before != '.';
            int end = endOfWord(masked, at);
            if (begins
                    && (Character.isDigit(c)
                            || BEGINNINGS.contains(masked.substring(at, end).toLowerCase(Locale.ROOT)))) {
                return at;
            }
            at = Math.max(at + 1, end);
        }
        return -1;
    }

    private static int endOfWord(String masked, int start) {
        int end = start;
        while (end < masked.length() && Character.isLetter(masked.charAt(end))) {
            end++;
        }
        return end;
    }

    /** The first that is said at or behind a place; of several at one place the longest. */
    static Optional<Found> find(String masked, int from) {
        Optional<Found> found = Optional.empty();
        int at = beginning(masked, from);
        while (found.isEmpty() && at >= 0) {
            found = longest(masked, at);
            at = beginning(masked, at + 1);
        }
        return found;
    }

    /** The ways that may begin with a word; of 17 that are tried at each word, few do. */
    private static final Map<String, List<Way>> BEGINNING_WITH = new ConcurrentHashMap<>();

    private static List<Way> beginningAt(String masked, int start) {
        int end = endOfWord(masked, start);
        return end == start
                ? WAYS // with a number, of which there are too many to remember
                : BEGINNING_WITH.computeIfAbsent(
                        masked.substring(start, end).toLowerCase(Locale.ROOT),
                        word -> WAYS.stream().filter(way -> way.mayBegin(word)).toList());
    }

    private static Optional<Found> longest(String masked, int start) {
        Optional<Found> best = Optional.empty();
        for (Way way : beginningAt(masked, start)) {
            Matcher matcher =
                    way.words().matcher(masked).region(start, masked.length()).useTransparentBounds(true);
            if (matcher.lookingAt() && isLonger(matcher, best)) {
                boolean bare = way == WAYS.get(WAYS.size() - 1)
                        && !matcher.group().toLowerCase(Locale.ROOT).startsWith("exactly");
                Optional<Cardinality> meant = meant(way, matcher);
                if (meant.isPresent()) {
                    best = Optional.of(new Found(meant.get(), matcher.start(), matcher.end(), bare));
                }
            }
        }
        return best;
    }

    private static boolean isLonger(Matcher matcher, Optional<Found> best) {
        return best.filter(other -> other.end() >= matcher.end()).isEmpty();
    }

    /** Empty where the numbers make no sense: fewer than none, or more than the most. */
    private static Optional<Cardinality> meant(Way way, Matcher matcher) {
        int[] numbers = new int[2];
        int count = 0;
        for (int i = 1; i <= matcher.groupCount() && count < 2; i++) {
            if (matcher.group(i) != null) {
                numbers[count++] = number(matcher.group(i));
            }
        }
        try {
            Cardinality meant = way.meaning().of(numbers[0], numbers[1]);
            return meant.max() < 1 ? Optional.empty() : Optional.of(meant);
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    /** Whether a word, in small letters, is one of {@link #WORDS}. */
    static boolean isNumber(String word) {
        return NUMBERS.contains(word) || TENS.containsKey(word);
    }

    /** A number in figures or as one of {@link #WORDS}. */
    static int number(String text) {
        Integer tens = TENS.get(text.toLowerCase(Locale.ROOT));
        if (tens != null) {
            return tens;
        }
        int word = NUMBERS.indexOf(text.toLowerCase(Locale.ROOT));
        return word >= 0 ? word : Integer.parseInt(text);
    }
}
