package ableschema.core.words;

import ableschema.core.design.Design;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A word that would become part of a name or a verb and is one slip of the fingers away from a common one.
 *
 * @param start where it begins in the sentence
 */
record Misspelling(int start, String word, String meant) {

    /** Neither abbreviations nor brands, which have capitals within; what is joined by a sign is a code. */
    private static final Pattern WORD =
            Pattern.compile("(?<![\\p{L}\\p{N}_'’.@/-])\\p{L}[a-z]{3,}(?![\\p{L}\\p{N}_'’@/-])");

    /**
     * The first in a sentence; what stands between quotes is meant.
     *
     * @param meant whether a word, in small letters, is meant as it is for another reason
     */
    static Optional<Misspelling> in(String sentence, Predicate<String> meant) {
        Matcher words = WORD.matcher(Quoted.masked(sentence));
        while (words.find()) {
            String small = words.group().toLowerCase(Locale.ROOT);
            Optional<String> better = EnglishWords.meant(small);
            if (better.isPresent() && !meant.test(small)) {
                return Optional.of(new Misspelling(words.start(), words.group(), better.get()));
            }
        }
        return Optional.empty();
    }

    /** Whether a word stands in a design, which has had the time to be corrected. */
    static Predicate<String> standsIn(Design design) {
        return word -> {
            Pattern known =
                    Pattern.compile("\\b" + Pattern.quote(MeantWords.one(word)) + "s?\\b", Pattern.CASE_INSENSITIVE);
            return DesignText.of(design).sentences().stream()
                    .anyMatch(each -> known.matcher(each.text()).find());
        };
    }

    String problem() {
        return "\"" + word + "\" looks like \"" + meant
                + "\" misspelt; write that, or put it between quotes where it is meant";
    }
}
