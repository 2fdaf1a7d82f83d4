package ableschema.core.types;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A code for people: fixed signs, a number padded with zeros, and perhaps the year in which the number begins anew, as in
 * {@code H-0000} or {@code AV-yyyy-000}.
 */
public final class ReadableCode {

    private static final Pattern DIGITS = Pattern.compile("0+");
    private static final String YEAR = "yyyy";
    private static final int MOST_DIGITS = 18;

    private final String pattern;
    private final int digits;

    private ReadableCode(String pattern, int digits) {
        this.pattern = pattern;
        this.digits = digits;
    }

    /** An {@link IllegalArgumentException} says what a pattern has to have. */
    public static ReadableCode read(String pattern) {
        Matcher zeros = DIGITS.matcher(pattern);
        boolean found = zeros.find();
        int digits = found ? zeros.end() - zeros.start() : 0;
        if (!found || zeros.find() || digits > MOST_DIGITS) {
            throw new IllegalArgumentException(
                    "'" + pattern
                            + "' is no pattern of a code; zeros stand for the digits of its number, once: H-0000 or AV-yyyy-000");
        }
        return new ReadableCode(pattern, digits);
    }

    /** The pattern of an attribute; empty where it has none that can be read. */
    public static Optional<ReadableCode> of(String pattern) {
        try {
            return pattern.isEmpty() ? Optional.empty() : Optional.of(read(pattern));
        } catch (IllegalArgumentException e) {
            return Optional.empty(); // said where it was typed
        }
    }

    /**
     * A stretch of each code that stands for something.
     *
     * @param name  what it stands for, such as year
     * @param start the place of its first sign, from 1 on
     */
    public record Part(String name, int start, int length) {}

    /** The year, where there is one, and the number, in their order; letters that are the same in each code say nothing. */
    public List<Part> parts() {
        var parts = new ArrayList<Part>();
        int at = 0;
        while (at < pattern.length()) {
            int place = pattern.codePointCount(0, at) + 1;
            if (pattern.startsWith(YEAR, at)) {
                parts.add(new Part("year", place, YEAR.length()));
                at += YEAR.length();
            } else if (pattern.charAt(at) == '0') {
                parts.add(new Part("number", place, digits));
                at += digits;
            } else {
                at++;
            }
        }
        return parts;
    }

    private boolean isYearly() {
        return pattern.contains(YEAR);
    }

    /** How many signs each code has. */
    public int length() {
        return pattern.codePointCount(0, pattern.length());
    }

    /** The largest number, after which there are no more codes, or none in that year. */
    public long largest() {
        return (long) Math.pow(10, digits) - 1;
    }

    /** The code of a number from 1 on. */
    public String code(long number, int year) {
        String padded = String.format("%0" + digits + "d", number);
        return DIGITS.matcher(pattern.replace(YEAR, "\uE000"))
                .replaceFirst(padded)
                .replace("\uE000", String.format("%04d", year));
    }

    /** The code behind another, in the same year; empty where that is no code of this pattern, or the last. */
    public Optional<String> after(String code) {
        if (!isCode(code)) {
            return Optional.empty();
        }
        int start = parts().stream()
                .filter(part -> part.name().equals("number"))
                .mapToInt(part -> code.offsetByCodePoints(0, part.start() - 1))
                .findFirst()
                .orElseThrow(); // each pattern has one
        long next = Long.parseLong(code.substring(start, start + digits)) + 1;
        return next > largest()
                ? Optional.empty()
                : Optional.of(code.substring(0, start)
                        + String.format("%0" + digits + "d", next)
                        + code.substring(start + digits));
    }

    /** The first code of all; empty where there is one for each year. */
    public Optional<String> first() {
        return isYearly() ? Optional.empty() : Optional.of(code(1, 0));
    }

    /** Whether a value is one of its codes. */
    public boolean isCode(String value) {
        var form = new StringBuilder();
        int at = 0;
        while (at < pattern.length()) {
            if (pattern.startsWith(YEAR, at)) {
                form.append("[0-9]{4}");
                at += YEAR.length();
            } else if (pattern.charAt(at) == '0') {
                form.append("[0-9]");
                at++;
            } else {
                form.append(Pattern.quote(pattern.substring(at, at + 1)));
                at++;
            }
        }
        return Pattern.matches(form.toString(), value);
    }

    /**
     * After how many years there are no more codes; empty where that never comes.
     *
     * @param first    how many rows there are to begin with
     * @param eachYear how many more there are each year
     */
    public Optional<Long> yearsLeft(long first, long eachYear) {
        if (isYearly()) {
            boolean enough = eachYear <= largest() && first <= largest();
            return enough ? Optional.empty() : Optional.of(0L);
        }
        if (first > largest()) {
            return Optional.of(0L);
        }
        return eachYear == 0 ? Optional.empty() : Optional.of((largest() - first) / eachYear);
    }
}
