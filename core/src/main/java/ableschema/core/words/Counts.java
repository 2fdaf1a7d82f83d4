package ableschema.core.words;

import ableschema.core.design.Cardinality;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

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
    private record Way(Pattern words, Meaning meaning) {}

    private interface Meaning {
        Cardinality of(int first, int second);
    }

    private static final List<Way> WAYS = List.of(
            way("between N and N", (a, b) -> new Cardinality(Math.min(a, b), Math.max(a, b))),
            way("(?:from )?N (?:to|-|–) N|N ?(?:-|–) ?N", (a, b) -> new Cardinality(a, b)),
            way("N ?\\.\\. ?N", (a, b) -> new Cardinality(a, b)),
            way("N ?\\.\\. ?(?:n|m|\\*|many)", (a, b) -> new Cardinality(a, MANY)),
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

    /** Where how many may begin; all ways are only tried there. */
    private static final Pattern BEGINNING = Pattern.compile(
            "(?<![\\p{L}\\d.])(?:\\d|(?:between|from|at|an?|no|not|none|only|just|precisely|another|any|lots|numerous|several|many"
                    + "|multiple|some|various|up|more|fewer|less|exactly|" + WORDS + ")(?!\\p{L}))",
            Pattern.CASE_INSENSITIVE);

    /** The first that is said at or behind a place; of several at one place the longest. */
    static Optional<Found> find(String masked, int from) {
        Matcher beginning = BEGINNING.matcher(masked);
        Optional<Found> found = Optional.empty();
        int at = from;
        while (found.isEmpty() && at <= masked.length() && beginning.find(at)) {
            found = longest(masked, beginning.start());
            at = beginning.start() + 1;
        }
        return found;
    }

    private static Optional<Found> longest(String masked, int start) {
        Optional<Found> best = Optional.empty();
        for (Way way : WAYS) {
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
