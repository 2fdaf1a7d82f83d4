package ableschema.core.words;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Spells out what speech runs together: "a hire's always for one customer", "they've got a name". */
final class Contractions {

    private record Spelt(Pattern said, String inFull) {}

    private static final List<Spelt> ALL = List.of(
            spelt("(?<=\\p{L})'(?:s|ve) got (?=\\S)", " has "),
            spelt("\\b(has|have|had) got (?=(?:an?|the|its|their|one|two|many|several|any|at|no|exactly) )", "$1 "),
            spelt(
                    "(?<=\\p{L})'s (?=(?:an?|always|never|either|usually|only|not|also|one of|for|in|on|at|by|with|from|under|made|done|run|kept|held) "
                            + "|\\p{L}+(?:ed|en|wn) (?:by|in|on|at|to|from|for|with|of|into) )",
                    " is "),
            spelt("\\b(that|it|there|he|she|who)'s (?=\\S)", "$1 is "),
            spelt("\\b(they|we|you)'re (?=\\S)", "$1 are "),
            spelt("\\b(they|we|you|I)'ve (?=\\S)", "$1 have "),
            spelt("(?<=\\p{L})'ll (?=\\S)", " will "));

    private Contractions() {}

    private static Spelt spelt(String said, String inFull) {
        return new Spelt(Pattern.compile(said, Pattern.CASE_INSENSITIVE), inFull);
    }

    /** A sentence in full; what stands between quotes stays as it is. */
    static String inFull(String sentence) {
        if (sentence.indexOf('\'') < 0 && !sentence.contains(" got ")) {
            return sentence;
        }
        String full = sentence;
        for (Spelt each : ALL) {
            Matcher matcher = each.said().matcher(Quoted.masked(full));
            // from behind, so that what stands before keeps its place
            for (var found : matcher.results()
                    .sorted((one, other) -> other.start() - one.start())
                    .toList()) {
                String in = found.groupCount() > 0 ? each.inFull().replace("$1", found.group(1)) : each.inFull();
                full = full.substring(0, found.start()) + in + full.substring(found.end());
            }
        }
        return full;
    }
}
