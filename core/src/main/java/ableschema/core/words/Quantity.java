package ableschema.core.words;

import ableschema.core.design.Cardinality;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** How many, in words: {@code exactly one}, {@code any number of}, {@code between 2 and 4}. */
final class Quantity {

    private static final List<String> NUMBERS = List.of(
            "zero", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve");
    private static final String NUMBER = "(\\d{1,6}|" + String.join("|", NUMBERS) + ")";

    /** The ways to say how many; the first that fits at a place counts, so the longer stand first. */
    private static final Pattern PHRASE = Pattern.compile(
            "\\b(?:(?<zeroOrOne>zero or one|none or one)"
                    + "|(?<oneOrMore>one or more|one or several)"
                    + "|(?<any>any number of|zero or more|zero or several|none or more|many)"
                    + "|between (?<low>" + NUMBER + ") and (?<high>" + NUMBER + ")"
                    + "|at least (?<least>" + NUMBER + ")"
                    + "|(?:at most|up to|no more than) (?<most>" + NUMBER + ")"
                    + "|(?:exactly |just )?(?<exactly>" + NUMBER + "))\\b",
            Pattern.CASE_INSENSITIVE);

    private static final Map<Cardinality, String> SAID = Map.of(
            Cardinality.EXACTLY_ONE, "exactly one",
            Cardinality.AT_MOST_ONE, "at most one",
            Cardinality.AT_LEAST_ONE, "at least one",
            Cardinality.ANY_NUMBER, "any number of");

    private Quantity() {}

    /** A quantity found in a text, from {@code start} to before {@code end}. */
    record Found(Cardinality cardinality, int start, int end) {}

    /** Finds the first quantity at or behind a place. */
    static Optional<Found> find(String text, int from) {
        Matcher matcher = PHRASE.matcher(text);
        return matcher.find(from)
                ? Optional.of(new Found(cardinality(matcher), matcher.start(), matcher.end()))
                : Optional.empty();
    }

    private static Cardinality cardinality(Matcher matcher) {
        if (matcher.group("zeroOrOne") != null) {
            return Cardinality.AT_MOST_ONE;
        }
        if (matcher.group("oneOrMore") != null) {
            return Cardinality.AT_LEAST_ONE;
        }
        if (matcher.group("any") != null) {
            return Cardinality.ANY_NUMBER;
        }
        if (matcher.group("low") != null) {
            return ordered(number(matcher.group("low")), number(matcher.group("high")));
        }
        if (matcher.group("least") != null) {
            return new Cardinality(number(matcher.group("least")), Cardinality.MANY);
        }
        if (matcher.group("most") != null) {
            return ordered(0, number(matcher.group("most")));
        }
        int exactly = number(matcher.group("exactly"));
        return ordered(exactly, exactly);
    }

    private static Cardinality ordered(int low, int high) {
        return new Cardinality(Math.min(low, high), Math.max(1, Math.max(low, high)));
    }

    private static int number(String text) {
        int word = NUMBERS.indexOf(text.toLowerCase(Locale.ROOT));
        return word >= 0 ? word : Integer.parseInt(text);
    }

    /** Says a cardinality, as it stands before a noun. */
    static String said(Cardinality cardinality) {
        String usual = SAID.get(cardinality);
        if (usual != null) {
            return usual;
        }
        if (cardinality.max() == Cardinality.MANY) {
            return "at least " + word(cardinality.min());
        }
        if (cardinality.min() == cardinality.max()) {
            return "exactly " + word(cardinality.min());
        }
        return cardinality.min() == 0
                ? "at most " + word(cardinality.max())
                : "between " + word(cardinality.min()) + " and " + word(cardinality.max());
    }

    private static String word(int number) {
        return number < NUMBERS.size() ? NUMBERS.get(number) : Integer.toString(number);
    }
}
