package ableschema.core.reverse;

import ableschema.core.design.Plural;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;

/** Turns identifiers into words: {@code ORDER_ITEM} and {@code orderItem} into "order item". */
public final class Phrases {

    /** Words in the singular that end like a plural. */
    private static final Set<String> SINGULAR = Set.of(
            "news",
            "lens",
            "series",
            "species",
            "means",
            "gas",
            "canvas",
            "atlas",
            "bias",
            "alias",
            "chaos",
            "has",
            "was",
            "gps",
            "sms",
            "dns",
            "css",
            "pos",
            "days",
            "hours",
            "minutes",
            "kudos",
            "diabetes",
            "headquarters",
            "mathematics");

    /** Plurals that end like those of hive and olive, and are of a word that ends in f or fe. */
    private static final Set<String> OF_F = Set.of(
            "wolves", "shelves", "halves", "calves", "elves", "selves", "leaves", "loaves", "thieves", "knives",
            "wives", "lives", "scarves");

    /** Plurals in -es of a word that ends in a hissing sound by itself, unlike those of house and cache. */
    private static final Pattern HISSING =
            Pattern.compile("(.*(ss|x|sh|ch|tz|zz)|.*[^aeou]us|alias|bias|lens|gas|atlas|canvas)es");

    private static final Set<String> NOT_HISSING = Set.of(
            "axes",
            "caches",
            "niches",
            "aches",
            "headaches",
            "avalanches",
            "moustaches",
            "uses",
            "fuses",
            "excuses",
            "muses",
            "abuses",
            "refuses");

    private Phrases() {}

    /** The words of an identifier, in small letters but for those that are written in capitals among small ones. */
    static String of(String identifier) {
        List<String> words = words(identifier);
        return words.isEmpty() ? identifier : String.join(" ", words);
    }

    private static List<String> words(String identifier) {
        boolean capitals = identifier.equals(identifier.toUpperCase(Locale.ROOT));
        var words = new ArrayList<String>();
        var word = new StringBuilder();
        for (int i = 0; i < identifier.length(); i++) {
            char c = identifier.charAt(i);
            if (c == '_' || c == ' ' || c == '-' || c == '.' || c == '$' || c == '#') {
                end(word, words);
            } else {
                boolean begins = !capitals && Character.isUpperCase(c) && i > 0 && startsWord(identifier, i);
                if (begins) {
                    end(word, words);
                }
                word.append(c);
            }
        }
        end(word, words);
        return words;
    }

    /** A capital begins a word behind a small letter, and before one where capitals end. */
    private static boolean startsWord(String identifier, int i) {
        char before = identifier.charAt(i - 1);
        boolean smallNext = i + 1 < identifier.length() && Character.isLowerCase(identifier.charAt(i + 1));
        return Character.isLowerCase(before) || Character.isDigit(before) || Character.isUpperCase(before) && smallNext;
    }

    private static void end(StringBuilder word, List<String> words) {
        if (word.length() > 0) {
            words.add(word.toString().toLowerCase(Locale.ROOT));
            word.setLength(0);
        }
    }

    /** With a capital first. */
    static String titled(String phrase) {
        return phrase.isEmpty()
                ? phrase
                : phrase.substring(0, phrase.offsetByCodePoints(0, 1)).toUpperCase(Locale.ROOT)
                        + phrase.substring(phrase.offsetByCodePoints(0, 1));
    }

    /** The phrase of which this is the plural; the phrase itself where it is none. */
    static String singular(String phrase) {
        return singular(phrase, Plural.ENGLISH);
    }

    /** The same by the plurals of a design: the phrase of which this is the plural, itself where it is none. */
    public static String singular(String phrase, Plural plurals) {
        int space = phrase.lastIndexOf(' ') + 1;
        String last = phrase.substring(space);
        if (last.equals("people")) {
            return phrase.substring(0, space) + "person";
        }
        if (SINGULAR.contains(last) || last.matches(".*(ss|us|is)")) {
            return phrase;
        }
        for (String candidate : candidates(last)) {
            if (candidate.length() > 1 && plurals.of(candidate).equals(last)) {
                return phrase.substring(0, space) + candidate;
            }
        }
        return phrase;
    }

    private static List<String> candidates(String word) {
        var candidates = new ArrayList<String>();
        if (word.endsWith("ies")) {
            candidates.add(word.substring(0, word.length() - 3) + "y");
        }
        if (OF_F.contains(word)) {
            candidates.add(word.substring(0, word.length() - 3) + "f");
            candidates.add(word.substring(0, word.length() - 3) + "fe");
        }
        boolean hissing = HISSING.matcher(word).matches() && !NOT_HISSING.contains(word);
        if (word.endsWith("s") && !hissing) {
            candidates.add(word.substring(0, word.length() - 1));
        }
        if (word.endsWith("es")) {
            candidates.add(word.substring(0, word.length() - 2));
        }
        if (word.endsWith("men")) {
            candidates.add(word.substring(0, word.length() - 2) + "an");
        }
        if (word.endsWith("children")) {
            candidates.add(word.substring(0, word.length() - 3));
        }
        if (word.endsWith("ices")) {
            candidates.add(word.substring(0, word.length() - 4) + "ex");
            candidates.add(word.substring(0, word.length() - 4) + "ix");
        }
        return candidates;
    }
}
