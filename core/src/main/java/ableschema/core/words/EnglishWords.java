package ableschema.core.words;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The words of English with their forms, from the public list SCOWL, whose copyright stands beside it: the common ones (its
 * levels up to 35), an empty line, then the rarer ones (up to 60). All are of four letters or more.
 */
final class EnglishWords {

    private static final int SHORTEST = 4;

    /** Of shorter words too many are alike for one other letter to be a slip. */
    private static final int SHORTEST_CHANGED = 6;

    private static final Set<String> COMMON = new HashSet<>();
    private static final Set<String> RARE = new HashSet<>();

    /** Of crafts, and too rare for the list, and what is written with a capital. */
    private static final Set<String> OTHERS = Set.of(
            "hewn",
            "mown",
            "sawn",
            "shorn",
            "monday",
            "tuesday",
            "wednesday",
            "thursday",
            "friday",
            "saturday",
            "sunday",
            "january",
            "february",
            "april",
            "june",
            "july",
            "august",
            "september",
            "october",
            "november",
            "december");

    /** A name that is no word stands in many sentences of a text, and is held against hundreds of words. */
    private static final Map<String, Optional<String>> MEANT = new ConcurrentHashMap<>();

    private static final int MOST_REMEMBERED = 10_000;

    static {
        var stream = Objects.requireNonNull(EnglishWords.class.getResourceAsStream("english.txt"), "english.txt");
        try (var reader = new BufferedReader(new InputStreamReader(stream, StandardCharsets.US_ASCII))) {
            Set<String> words = COMMON;
            for (String line = reader.readLine(); line != null; line = reader.readLine()) {
                if (line.isEmpty()) {
                    words = RARE;
                } else {
                    words.add(line);
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private EnglishWords() {}

    /** Whether it is a word of English, common or rare; of words too short to be told nothing is known. */
    static boolean has(String small) {
        return COMMON.contains(small) || RARE.contains(small) || OTHERS.contains(small);
    }

    /** The common word that was meant, where this is none and one slip of the fingers away from it. */
    static Optional<String> meant(String small) {
        if (small.length() < SHORTEST || has(small)) {
            return Optional.empty();
        }
        if (MEANT.size() > MOST_REMEMBERED) {
            MEANT.clear();
        }
        return MEANT.computeIfAbsent(small, EnglishWords::nearest);
    }

    private static Optional<String> nearest(String small) {
        Optional<String> turned = turned(small);
        return turned.isPresent() || small.length() < SHORTEST_CHANGED
                ? turned
                : leftOut(small).or(() -> added(small)).or(() -> changed(small));
    }

    /** Two letters in the wrong order. */
    private static Optional<String> turned(String word) {
        for (int i = 0; i < word.length() - 1; i++) {
            String turned = word.substring(0, i) + word.charAt(i + 1) + word.charAt(i) + word.substring(i + 2);
            if (COMMON.contains(turned)) {
                return Optional.of(turned);
            }
        }
        return Optional.empty();
    }

    /** A letter too many; the first and the last are seldom, and "checkin" is no slip of "check in". */
    private static Optional<String> added(String word) {
        for (int i = 1; i < word.length() - 1; i++) {
            String without = word.substring(0, i) + word.substring(i + 1);
            if (COMMON.contains(without)) {
                return Optional.of(without);
            }
        }
        return Optional.empty();
    }

    private static Optional<String> leftOut(String word) {
        for (int i = 1; i < word.length(); i++) {
            Optional<String> found = withLetter(new StringBuilder(word).insert(i, ' '), i);
            if (found.isPresent()) {
                return found;
            }
        }
        return Optional.empty();
    }

    private static Optional<String> changed(String word) {
        for (int i = 1; i < word.length(); i++) {
            Optional<String> found = withLetter(new StringBuilder(word), i);
            if (found.isPresent()) {
                return found;
            }
        }
        return Optional.empty();
    }

    /** The first common word that there is with a letter at a place. */
    private static Optional<String> withLetter(StringBuilder word, int at) {
        for (char letter = 'a'; letter <= 'z'; letter++) {
            word.setCharAt(at, letter);
            String changed = word.toString();
            if (COMMON.contains(changed)) {
                return Optional.of(changed);
            }
        }
        return Optional.empty();
    }
}
