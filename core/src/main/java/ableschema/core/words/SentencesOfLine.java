package ableschema.core.words;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The sentences of a line of text, each with where it stands. */
final class SentencesOfLine {

    /** Behind a full stop that shortens no word, where another sentence begins. */
    private static final Pattern NEXT =
            Pattern.compile("(?<=\\.)(?<!\\b(?:[Nn]o|[Nn]r|St|Mr|Mrs|Dr|[Cc]a|e\\.g|i\\.e|etc)\\.)\\s+(?=\\p{Lu})");

    private static final Pattern HALF = Pattern.compile(
            "; (?=(?:the|its|an?|one|each|every|all|no) \\p{L}|(?!(?:some|many|most|few|not|these|those|such|other) )(?:\\p{L}+ )?\\p{L}+s (?:have|can|may|must|belong) )(?![^(;]*\\))",
            Pattern.CASE_INSENSITIVE);

    private static final Pattern IS_A = Pattern.compile(" is an? ");

    private SentencesOfLine() {}

    /** @param offset where it begins in the line, counted from 0 */
    record Found(String text, int offset) {}

    static List<Found> of(String line) {
        return apart(line, NEXT);
    }

    /** What stands before and behind semicolons, where each may be a sentence; the line itself where there are none. */
    static List<Found> ofHalves(String line) {
        return apart(line, HALF);
    }

    private static final Pattern ANOTHER = Pattern.compile(
            "; |, and (?=(?:an?|each|every) \\p{L}+(?: \\p{L}+)? (?:has|have|belongs|is|runs|must) )(?![^(;]*\\))",
            Pattern.CASE_INSENSITIVE);

    /** What may be sentences of their own, each about something else: "Each hall has rows, and each row has seats." */
    static List<Found> ofSubjects(String line) {
        return apart(line, ANOTHER);
    }

    private static List<Found> apart(String line, Pattern between) {
        String masked = Quoted.masked(line);
        var found = new ArrayList<Found>();
        int start = 0;
        Matcher next = between.matcher(masked);
        boolean endsInText = endsInText(masked);
        while (!endsInText && next.find()) {
            found.add(new Found(line.substring(start, next.start()), start));
            start = next.end();
        }
        found.add(new Found(line.substring(start), start));
        return found;
    }

    /** A definition or an explanation goes on to the end of the line: "Mooring is an entity: A stay. It may be short." */
    private static boolean endsInText(String masked) {
        if (masked.startsWith("Each ")) {
            return false;
        }
        boolean definition = Arrays.stream(masked.split("\\.")).anyMatch(sentence -> {
            Matcher isA = IS_A.matcher(sentence);
            return isA.find() && sentence.lastIndexOf(": ") >= isA.end();
        });
        return definition || masked.startsWith("About ");
    }
}
