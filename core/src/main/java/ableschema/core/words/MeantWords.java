package ableschema.core.words;

import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.regex.Pattern;

/**
 * Which words of a text are meant as they are, however they look: those that it has more than once, and all of one that is
 * canonical throughout, as it was printed, or written with care.
 */
final class MeantWords implements Predicate<String> {

    private static final Pattern BETWEEN = Pattern.compile("\\P{L}+");

    private final String text;
    private Optional<Map<String, Integer>> times = Optional.empty();
    private Optional<Boolean> canonical = Optional.empty();

    MeantWords(String text) {
        this.text = text;
    }

    @Override
    public boolean test(String word) {
        if (times.isEmpty()) {
            times = Optional.of(counted());
        }
        return times.get().getOrDefault(one(word), 0) > 1 || isCanonical();
    }

    private Map<String, Integer> counted() {
        var counts = new HashMap<String, Integer>();
        for (String word : BETWEEN.split(text.toLowerCase(Locale.ROOT))) {
            counts.merge(one(word), 1, Integer::sum);
        }
        return counts;
    }

    /** Without the ending of a plural or of a verb. */
    static String one(String word) {
        return word.endsWith("s") ? word.substring(0, word.length() - 1) : word;
    }

    private boolean isCanonical() {
        if (canonical.isEmpty()) {
            canonical = Optional.of(DesignReader.read(text, true).problems().isEmpty());
        }
        return canonical.get();
    }
}
