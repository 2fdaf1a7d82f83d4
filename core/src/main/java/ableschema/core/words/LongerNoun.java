package ableschema.core.words;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Tells a verb from the rest of a longer noun that begins with a known one: behind "berth", "takes" is a verb, and in "booking is
 * made by" the noun goes on, since a verb begins with its own auxiliary.
 */
final class LongerNoun {

    private static final String VERBS =
            "is|are|was|were|has|have|had|can|may|must|will|should|belongs|contains|consists|holds|covers|pays|"
                    + "records|shows|lists|uses|gives|takes|makes|needs|refers|applies|includes|describes|concerns|relates|gets|goes|comes|"
                    + "stands|lies|works|keeps|names|means|serves|depends|leads|starts|ends";

    /** What no longer noun goes on with: a verb, an adverb, which stands before its verb and belongs to it, a preposition. */
    private static final String NO_NOUN = "(?!(?:" + VERBS
            + "|such|like|as|or|and|but|also|only|not|never|always|often|then|now|still|at|in|on|by|of|to|for|from|with|who|which|that)\\b)"
            + "(?!\\p{L}+ly\\b)";

    /** One to three words which begin no verb, the first of them not by its ending either, then one that does. */
    private static final Pattern REST = Pattern.compile(
            "^( (?!\\p{L}*(?:[^su]s|ed)\\b)" + NO_NOUN + "[\\p{L}\\p{N}'’-]+(?: " + NO_NOUN
                    + "[\\p{L}\\p{N}'’-]+){0,2}) (?:" + VERBS + ")(?: |$)",
            Pattern.CASE_INSENSITIVE);

    /** One word that begins no verb, then any that may be one: "game master supervises". */
    private static final Pattern ONE = Pattern.compile(
            "^( (?!\\p{L}*(?:s|ed)\\b)" + NO_NOUN
                    + "[\\p{L}\\p{N}'’-]+) (?!(?:an?|the|its|one|up|exactly)\\b)\\p{L}{2,}[^su\\W]s(?: (?=\\p{L}|\\d)|$)",
            Pattern.CASE_INSENSITIVE);

    private LongerNoun() {}

    /** The same where one is spoken of, whose verb ends in s. */
    static int ofOne(String rest) {
        int longer = in(rest);
        Matcher one = ONE.matcher(rest);
        return longer == 0 && one.find() ? one.end(1) : longer;
    }

    /** How many characters of what follows a known noun still belong to a longer one; 0 where a verb begins at once. */
    static int in(String rest) {
        Matcher matcher = REST.matcher(rest);
        return matcher.find() ? matcher.end(1) : 0;
    }
}
