package ableschema.core.words;

import ableschema.core.design.KeyQuestion;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Map.Entry;

/**
 * What was answered about keys, in words: {@code The phone of each keeper changes.}, and of an entity as a whole {@code Rows of hive
 * are made in several places.}
 */
final class AnswerSentence {

    /** The groups {@code list}, {@code noun} and {@code answer}. */
    static final String OF_ATTRIBUTE = "the (?<list>.+) of each (?<noun>.+?) "
            + "(?<answer>changes|never changes|is used by people|is not used by people|is private|is not private)\\s*\\.?\\s*";

    /** The groups {@code noun} and {@code answer}. */
    static final String OF_ENTITY = "rows of (?<noun>.+?) are made in (?<answer>several places|one place)\\s*\\.?\\s*";

    private static final Map<String, Entry<KeyQuestion, Boolean>> ANSWERS = new LinkedHashMap<>();

    static {
        ANSWERS.put("changes", Map.entry(KeyQuestion.CHANGES, true));
        ANSWERS.put("never changes", Map.entry(KeyQuestion.CHANGES, false));
        ANSWERS.put("is used by people", Map.entry(KeyQuestion.KNOWN, true));
        ANSWERS.put("is not used by people", Map.entry(KeyQuestion.KNOWN, false));
        ANSWERS.put("is private", Map.entry(KeyQuestion.PRIVATE, true));
        ANSWERS.put("is not private", Map.entry(KeyQuestion.PRIVATE, false));
        ANSWERS.put("several places", Map.entry(KeyQuestion.SEVERAL_PLACES, true));
        ANSWERS.put("one place", Map.entry(KeyQuestion.SEVERAL_PLACES, false));
    }

    private AnswerSentence() {}

    /** The question that words answer, and how. */
    static Entry<KeyQuestion, Boolean> read(String words) {
        return ANSWERS.get(words.strip().toLowerCase(Locale.ROOT));
    }

    private static String said(KeyQuestion question, boolean yes) {
        return ANSWERS.entrySet().stream()
                .filter(each -> each.getValue().equals(Map.entry(question, yes)))
                .map(Entry::getKey)
                .findFirst()
                .orElseThrow(); // each question has its two answers above
    }

    static String ofAttribute(String attribute, String noun, KeyQuestion question, boolean yes) {
        return "The " + attribute + " of each " + noun + " " + said(question, yes) + ".";
    }

    static String ofEntity(String noun, boolean yes) {
        return "Rows of " + noun + " are made in " + said(KeyQuestion.SEVERAL_PLACES, yes) + ".";
    }
}
