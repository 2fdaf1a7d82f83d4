package ableschema.core.mapping;

import static java.util.stream.Collectors.joining;

import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** How the words of a name are written as one identifier. */
public enum NameStyle {
    /** {@code hive_code}. */
    SNAKE {
        @Override
        String joined(List<String> words) {
            return words.stream().map(w -> w.toLowerCase(Locale.ROOT)).collect(joining("_"));
        }
    },
    /** {@code hiveCode}. */
    CAMEL {
        @Override
        String joined(List<String> words) {
            return words.get(0).toLowerCase(Locale.ROOT)
                    + words.stream().skip(1).map(NameStyle::capitalised).collect(joining());
        }
    },
    /** {@code HiveCode}. */
    PASCAL {
        @Override
        String joined(List<String> words) {
            return words.stream().map(NameStyle::capitalised).collect(joining());
        }
    },
    /** The name as the designer wrote it. */
    AS_WRITTEN {
        @Override
        String joined(List<String> words) {
            return String.join(" ", words);
        }

        @Override
        public String of(String... phrases) {
            return joined(Stream.of(phrases).filter(p -> !p.isEmpty()).toList());
        }
    };

    private static final Pattern BETWEEN_WORDS = Pattern.compile("[^\\p{L}\\p{M}\\p{Nd}]+");

    /** Whether letters in capitals, and nothing else, tell where a word begins. */
    public boolean joinsByCapitals() {
        return this == CAMEL || this == PASCAL;
    }

    abstract String joined(List<String> words);

    /** Writes phrases as one identifier; what is neither letter nor digit only separates words, if any words are left. */
    public String of(String... phrases) {
        List<String> words = Stream.of(phrases)
                .flatMap(phrase -> BETWEEN_WORDS.splitAsStream(phrase))
                .filter(word -> !word.isEmpty())
                .toList();
        return words.isEmpty() ? String.join(" ", phrases).strip() : joined(words);
    }

    private static String capitalised(String word) {
        int first = word.offsetByCodePoints(0, 1);
        return word.substring(0, first).toUpperCase(Locale.ROOT)
                + word.substring(first).toLowerCase(Locale.ROOT);
    }
}
