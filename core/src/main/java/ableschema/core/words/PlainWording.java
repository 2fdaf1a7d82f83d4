package ableschema.core.words;

import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Says a sentence in plainer words of the same meaning: "can't have more than 12" is "can have at most 12". */
final class PlainWording {

    private static final Pattern BETWEEN_WORDS = Pattern.compile("[^\\p{L}\\d']+");

    /** Which of them a word may call for, by their places. */
    private static final Map<String, BitSet> CALLED_FOR = calledFor();

    private static Map<String, BitSet> calledFor() {
        var places = new HashMap<String, BitSet>();
        for (int i = 0; i < PlainerForms.ALL.size(); i++) {
            for (String word : PlainerForms.ALL.get(i).words()) {
                places.computeIfAbsent(word, each -> new BitSet()).set(i);
            }
        }
        return places;
    }

    private PlainWording() {}

    /** What stands between quotes stays as it is. */
    static String of(String sentence) {
        String plain = sentence;
        BitSet called = calledFor(sentence);
        for (int i = called.nextSetBit(0); i >= 0; i = called.nextSetBit(i + 1)) {
            PlainerForms.Plainer each = PlainerForms.ALL.get(i);
            Matcher matcher = each.said().matcher(Quoted.masked(plain));
            if (matcher.find()) {
                plain = plain.substring(0, matcher.start())
                        + filled(each.plain(), matcher, plain)
                        + plain.substring(matcher.end());
                called = calledFor(plain);
            }
        }
        return plain;
    }

    private static BitSet calledFor(String sentence) {
        var called = new BitSet();
        words(sentence).forEach(word -> {
            BitSet places = CALLED_FOR.get(word);
            if (places != null) {
                called.or(places);
            }
        });
        return called;
    }

    private static Set<String> words(String sentence) {
        String masked = Quoted.masked(sentence).toLowerCase(Locale.ROOT);
        var words = new HashSet<>(List.of(BETWEEN_WORDS.split(masked)));
        if (masked.chars().anyMatch(c -> "<>≤≥".indexOf(c) >= 0)) {
            words.add(PlainerForms.SIGNS);
        }
        return words;
    }

    private static String withSmallInitial(String words) {
        boolean word = words.length() > 1 && Character.isLowerCase(words.charAt(1));
        return word ? Character.toLowerCase(words.charAt(0)) + words.substring(1) : words;
    }

    /** The groups are those of the text, as the matcher saw quotes blotted out. */
    private static String filled(String plain, Matcher matcher, String text) {
        String filled = plain;
        for (int i = 1; i <= matcher.groupCount(); i++) {
            String group = matcher.start(i) < 0 ? "" : text.substring(matcher.start(i), matcher.end(i));
            boolean moved = matcher.start(i) == 0 && !plain.startsWith("$" + i); // it begins the sentence no more
            filled = filled.replace("$" + i, moved ? withSmallInitial(group) : group);
        }
        return filled;
    }
}
