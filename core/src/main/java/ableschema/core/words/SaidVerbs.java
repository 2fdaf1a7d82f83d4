package ableschema.core.words;

import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;

/** Finds the verb of a clause as it is said, and tells what goes with it from what goes with the noun behind it. */
final class SaidVerbs {

    private static final int CASE = Pattern.CASE_INSENSITIVE;

    private static final int MOST_WORDS = 3;

    private static final Set<String> AUXILIARIES =
            Set.of("is", "are", "has", "have", "can", "may", "must", "should", "will", "might", "needs", "need");
    private static final Set<String> PLURAL_VERBS = Set.of(
            "consist", "contain", "include", "hold", "belong", "own", "use", "need", "store", "employ", "visit", "make",
            "give", "take", "lead", "refer", "produce", "sell", "buy", "serve", "carry", "house", "cover", "join",
            "run", "stand", "live", "work", "play", "teach", "attend", "write", "read", "send", "receive", "start",
            "end");
    private static final Set<String> PREPOSITIONS = Set.of("of", "in", "on", "at", "by", "for", "to", "from", "with");

    private static final Set<String> PARTICLES = Set.of(
            "of",
            "in",
            "on",
            "at",
            "by",
            "for",
            "to",
            "from",
            "with",
            "into",
            "onto",
            "about",
            "through",
            "up",
            "out",
            "off",
            "over",
            "under",
            "as",
            "after",
            "before",
            "between",
            "against",
            "behind",
            "beside",
            "near",
            "along",
            "around",
            "across",
            "within",
            "together",
            "only",
            "also",
            "back",
            "down",
            "away",
            "part",
            "member",
            "place",
            "care",
            "responsible",
            "available",
            "able",
            "other",
            "be",
            "been",
            "not",
            "mostly");

    /** A verb with something behind it, as stands behind "school classes", and not behind "referee leads". */
    private static final Pattern VERBAL = Pattern.compile(
            "(?!(?:an?|the|its|their|one|two|three|some|many|several|all|any|no|more|at|up|exactly|only|and|or|of|in|on|for|by|with|to|from)\\b)\\p{L}+ \\S",
            CASE);

    private final SaidNouns said;

    SaidVerbs(SaidNouns said) {
        this.said = said;
    }

    /** Where the verb begins: behind a known entity, or at the first word that looks like one; 0 where none does. */
    int at(String text, boolean plural) {
        int known = said.nouns().leadingLength(text);
        if (known > 0 && known < text.length()) {
            String rest = text.substring(known);
            int longer = plural ? LongerNoun.in(rest) : LongerNoun.ofOne(rest);
            return known + (plural && longer == 0 ? ofMany(text, known) : longer);
        }
        int at = Quoted.end(text, 0);
        if (at > 0) {
            return at;
        }
        int space = text.indexOf(' ');
        while (space > 0) {
            int next = text.indexOf(' ', space + 1);
            String word =
                    text.substring(space + 1, next < 0 ? text.length() : next).toLowerCase(Locale.ROOT);
            boolean verb = AUXILIARIES.contains(word)
                    || (plural ? PLURAL_VERBS.contains(word) : word.matches("\\p{L}+[^su\\W]s|\\p{L}+ss?es"));
            if (verb && next > 0) {
                return space;
            }
            space = next;
        }
        int end = text.indexOf(' ');
        for (int words = 0; plural && end > 0 && words < MOST_WORDS; words++) { // "School classes book"
            if (said.isPlural(text.substring(0, end))
                    && (words == 0 || VERBAL.matcher(text.substring(end + 1)).lookingAt())) {
                return end;
            }
            end = text.indexOf(' ', end + 1);
        }
        return 0;
    }

    private static String firstWord(String text) {
        int space = text.indexOf(' ');
        return (space < 0 ? text : text.substring(0, space)).toLowerCase(Locale.ROOT);
    }

    /** What does not go with one: "turbine models are made by" speaks of models. */
    private static final Set<String> OF_MANY = Set.of("are", "were", "have");

    /** "Game masters supervise games" speaks of several, where games are known. */
    private int ofMany(String text, int known) {
        int end = text.indexOf(' ', known + 1);
        boolean longer = end > 0
                && !AUXILIARIES.contains(text.substring(known + 1, end).toLowerCase(Locale.ROOT))
                && (OF_MANY.contains(firstWord(text.substring(end + 1)))
                        || !AUXILIARIES.contains(firstWord(text.substring(end + 1))))
                && !said.isPlural(text.substring(0, known))
                && said.isPlural(text.substring(0, end))
                && VERBAL.matcher(text.substring(end + 1)).lookingAt()
                && !text.substring(end + 1).matches("\\p{L}+ing .*");
        return longer ? end - known : 0;
    }

    static boolean endsInPreposition(String verb) {
        return PREPOSITIONS.contains(verb.substring(verb.lastIndexOf(' ') + 1));
    }

    /** "Gets yellow" before cards: the last word goes with the noun. */
    static boolean endsOtherwise(String verb) {
        String last = verb.substring(verb.lastIndexOf(' ') + 1).toLowerCase(Locale.ROOT);
        return verb.indexOf(' ') > 0 && !isVerb(verb) && !PARTICLES.contains(last);
    }

    /** Whether behind its first word there is nothing but what goes with a verb: "is needed for", "comes from", and not "needs spare". */
    static boolean isVerb(String verb) {
        String[] words = Quoted.masked(verb).toLowerCase(Locale.ROOT).split(" ");
        for (int i = 1; i < words.length; i++) {
            boolean participle = !PREPOSITIONS.contains(words[i - 1]) // "for disabled drivers"
                            && words[i].matches("\\p{L}+(?:ed|en|ing|t|wn|ught|ne|de|ld|nd)")
                    || words[i].endsWith("ly");
            if (!participle && !PARTICLES.contains(words[i])) {
                return false;
            }
        }
        return true;
    }

    /** A verb as it goes with one: "belong to" is "belongs to". */
    static String thirdPerson(String words) {
        int space = words.indexOf(' ');
        String verb = space < 0 ? words : words.substring(0, space);
        String rest = space < 0 ? "" : words.substring(space);
        String one =
                switch (verb.toLowerCase(Locale.ROOT)) {
                    case "be", "are", "is" -> "is";
                    case "was", "were" -> "was";
                    case "have", "has", "had" -> "has";
                    case "do" -> "does";
                    default ->
                        verb.matches("(?i).*(?:s|x|ch|sh|o)")
                                ? verb + "es"
                                : verb.matches("(?i).*[^aeiou]y")
                                        ? verb.substring(0, verb.length() - 1) + "ies"
                                        : verb + "s";
                };
        return one + rest;
    }
}
