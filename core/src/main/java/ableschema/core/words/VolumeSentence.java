package ableschema.core.words;

import ableschema.core.design.Volume;
import java.math.BigDecimal;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** How many rows are expected, in words: {@code There are about 500 hives, and 40 more each year.} */
final class VolumeSentence {

    /** A number with or without its thousands apart, and perhaps in thousands or millions. */
    static final String NUMBER = "[0-9][0-9,.' ]*(?: ?(?:thousand|million|billion))?";

    /** The groups {@code first}, {@code noun} and {@code year}. */
    static final String PATTERN = "there (?:is|are) about (?<first>" + NUMBER + ") (?<noun>.+?)" + "(?:,? and (?<year>"
            + NUMBER + ") more (?:each|a|per|every) year)?\\s*\\.?\\s*";

    private static final Map<String, Long> SCALES =
            Map.of("thousand", 1_000L, "million", 1_000_000L, "billion", 1_000_000_000L);

    private static final Pattern SCALED = Pattern.compile("([0-9][0-9,.' ]*?) ?(thousand|million|billion)");
    private static final Pattern APART = Pattern.compile("[0-9]{1,3}(?:[,.' ][0-9]{3})+|[0-9]+");

    private VolumeSentence() {}

    /** @param several what several of them are called */
    static String said(String several, Volume volume) {
        String more = volume.eachYear() == 0 ? "" : ", and " + number(volume.eachYear()) + " more each year";
        return "There are about " + number(volume.first()) + " " + several + more + ".";
    }

    static String number(long number) {
        return String.format(Locale.ROOT, "%,d", number);
    }

    /** An {@link IllegalArgumentException} says what else was found. */
    static long read(String text) {
        String given = text.strip().toLowerCase(Locale.ROOT);
        Matcher scaled = SCALED.matcher(given);
        try {
            if (scaled.matches()) {
                return new BigDecimal(scaled.group(1).strip())
                        .multiply(BigDecimal.valueOf(SCALES.get(scaled.group(2))))
                        .longValueExact();
            }
            if (APART.matcher(given).matches()) {
                return Long.parseLong(given.replaceAll("[^0-9]", ""));
            }
        } catch (ArithmeticException | NumberFormatException e) {
            throw new IllegalArgumentException("'" + text.strip() + "' is more than rows can be counted", e);
        }
        throw new IllegalArgumentException("'" + text.strip() + "' is no number; write 9000, 9,000 or 9 thousand");
    }
}
