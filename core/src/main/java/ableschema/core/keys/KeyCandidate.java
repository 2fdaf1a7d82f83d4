package ableschema.core.keys;

import ableschema.core.document.Edit;
import java.util.List;

/**
 * One thing that could be the key, with what speaks for and against it.
 *
 * @param name    what it is called, such as "apiary + stand no"
 * @param note    what kind of key it is
 * @param points  the same questions for each candidate, in the same order
 * @param current whether it is the key now
 * @param choice  the edit that makes it the key
 */
public record KeyCandidate(String name, String note, List<Point> points, boolean current, Edit choice) {

    public KeyCandidate {
        points = List.copyOf(points);
    }

    /** One question and how this candidate answers it. */
    public record Point(String question, String answer, Verdict verdict) {}

    /** Whether an answer speaks for a key, against it, or neither. */
    public enum Verdict {
        GOOD,
        NEUTRAL,
        BAD
    }

    /** How many answers speak against it. */
    public long faults() {
        return points.stream().filter(p -> p.verdict() == Verdict.BAD).count();
    }
}
