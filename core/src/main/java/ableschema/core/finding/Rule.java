package ableschema.core.finding;

import static java.util.Objects.requireNonNull;

/**
 * Something that can be found in a design: what it is, why it matters, how much, and in which step of the work it is mended.
 * What finds it lives beside the knowledge that this takes, and is listed in {@code ableschema.core.review.Rules}.
 *
 * @param id       as commands and files call it, such as {@code no-key}
 * @param title    the fault in a few words, for a list by rule
 * @param why      one sentence: what goes wrong
 * @param sentence the finding in a sentence; words in braces are names and facts of the finding
 * @param counted  what stands behind a number of such findings, such as "to choose"; of one and of several, where
 *                 these differ, with a stroke between
 */
public record Rule(String id, String title, String why, Severity severity, Step step, String sentence, String counted) {

    public Rule {
        requireNonNull(severity, "severity");
        requireNonNull(step, "step");
        if (!id.matches("[a-z]+(?:-[a-z]+)*")) {
            throw new IllegalArgumentException("a rule is called as in no-key, not '" + id + "'");
        }
    }

    /** A fault that is to be mended before definitions are run. */
    public static Rule mustMend(Step step, String id, String title, String sentence, String why) {
        return new Rule(id, title, why, Severity.MUST_MEND, step, sentence, "to mend");
    }

    /** Something that is mostly better otherwise. */
    public static Rule advice(Step step, String id, String title, String sentence, String why) {
        return new Rule(id, title, why, Severity.ADVICE, step, sentence, "to look at");
    }

    /** Something that only the designer, or whoever knows the business, can say. */
    public static Rule open(Step step, String id, String title, String sentence, String why) {
        return new Rule(id, title, why, Severity.OPEN, step, sentence, "open");
    }

    public Rule counted(String counted) {
        return new Rule(id, title, why, severity, step, sentence, counted);
    }

    /** What stands behind a number of such findings. */
    public String counted(int number) {
        int stroke = counted.indexOf('|');
        return stroke < 0 ? counted : number == 1 ? counted.substring(0, stroke) : counted.substring(stroke + 1);
    }

    @Override
    public String toString() {
        return id;
    }
}
