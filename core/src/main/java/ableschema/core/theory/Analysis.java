package ableschema.core.theory;

import java.util.List;
import java.util.Optional;

/**
 * All that follows from what is stated of a relation.
 *
 * @param normalForm     the highest that holds; the fourth is named only where a multivalued dependency is stated
 * @param violations     what breaks the higher forms, the lowest form first
 * @param minimalCover   of all functional dependencies that follow, with single right sides
 * @param decompositions into the third, the Boyce-Codd and the fourth normal form
 * @param open           what was cut off, not proved or not tried, each in a few words; empty where all was
 */
public record Analysis(
        Relation relation,
        CandidateKeys keys,
        NormalForm normalForm,
        List<Violation> violations,
        List<FunctionalDependency> minimalCover,
        List<Decomposition> decompositions,
        List<String> open) {

    /** Whether nothing was cut off, left unproved or untried. */
    public boolean complete() {
        return open.isEmpty();
    }

    public Optional<Decomposition> decomposition(NormalForm goal) {
        return decompositions.stream().filter(d -> d.goal() == goal).findFirst();
    }
}
