package ableschema.core.keys;

import ableschema.core.design.KeyPart;
import ableschema.core.design.KeyQuestion;
import ableschema.core.document.Edit;
import java.util.List;
import java.util.Optional;

/**
 * Something that could be the key of an entity, with what speaks for and against it.
 *
 * @param name    what it is called, such as "apiary + stand no"
 * @param note    what kind of key it is
 * @param surrogate whether its values are made for the purpose and say nothing
 * @param parts   what it is made of; empty for an attribute that does not exist yet
 * @param points  the same questions for each candidate, in the same order
 * @param clashes the sample rows that it does not tell apart
 * @param current whether it is the key now
 * @param choice  the edit that makes it the key
 */
public record KeyCandidate(
        String name,
        String note,
        boolean surrogate,
        List<KeyPart> parts,
        List<Point> points,
        List<Clash> clashes,
        boolean current,
        Edit choice) {

    public KeyCandidate {
        parts = List.copyOf(parts);
        points = List.copyOf(points);
        clashes = List.copyOf(clashes);
    }

    /** What candidates are compared on. */
    public enum Kind {
        STATED,
        ROWS,
        THERE,
        PLACES,
        STAYS,
        PRIVATE,
        KNOWN,
        BYTES,
        GAPS
    }

    /**
     * One question and how this candidate answers it.
     *
     * @param asks what the designer may answer, on which this depends; empty where it follows from the design alone
     */
    public record Point(Kind kind, String question, String answer, Verdict verdict, Optional<KeyQuestion> asks) {}

    /** Whether an answer speaks for a key, against it, or neither. */
    public enum Verdict {
        GOOD,
        NEUTRAL,
        BAD
    }

    /**
     * Rows that say the same in a candidate.
     *
     * @param values what they say
     * @param rows   their places, from 1 on
     */
    public record Clash(List<String> values, List<Integer> rows) {
        public Clash {
            values = List.copyOf(values);
            rows = List.copyOf(rows);
        }
    }

    /** The answer to one of the questions; every candidate answers each. */
    public Point point(Kind kind) {
        return points.stream().filter(each -> each.kind() == kind).findFirst().orElseThrow();
    }
}
