package ableschema.core.words;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;

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
        return COMMON.contains(small) || RARE.contains(small);
    }

    /** The common word that was meant, where this is none and one slip of the fingers away from it. */
    static Optional<String> meant(String small) {
        if (small.length() < SHORTEST || has(small)) {
            return Optional.empty();
        }
        Stream<String> near = small.length() < SHORTEST_CHANGED
                ? turned(small)
                : Stream.of(turned(small), leftOut(small), added(small), changed(small))
                        .flatMap(each -> each);
        return near.filter(COMMON::contains).findFirst();
    }

    /** Two letters in the wrong order. */
    private static Stream<String> turned(String word) {
        return IntStream.range(0, word.length() - 1)
                .mapToObj(i -> word.substring(0, i) + word.charAt(i + 1) + word.charAt(i) + word.substring(i + 2));
    }

    /** A letter too many; the first and the last are seldom, and "checkin" is no slip of "check in". */
    private static Stream<String> added(String word) {
        return IntStream.range(1, word.length() - 1).mapToObj(i -> word.substring(0, i) + word.substring(i + 1));
    }

    private static Stream<String> leftOut(String word) {
        return IntStream.range(1, word.length()).boxed().flatMap(i -> letters()
                .map(letter -> word.substring(0, i) + letter + word.substring(i)));
    }

    private static Stream<String> changed(String word) {
        return IntStream.range(1, word.length()).boxed().flatMap(i -> letters()
                .map(letter -> word.substring(0, i) + letter + word.substring(i + 1)));
    }

    private static Stream<String> letters() {
        return IntStream.rangeClosed('a', 'z').mapToObj(letter -> String.valueOf((char) letter));
    }
}
