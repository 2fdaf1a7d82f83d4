package ableschema.core.theory;

import java.util.List;
import java.util.Optional;

/**
 * All that follows from what is stated of a relation.
 *
 * @param normalForm     the highest that holds; the fourth is named only where a multivalued dependency is stated
 * @param violations     what breaks the higher forms, the lowest form first
 * @param minimalCover   with single right sides
 * @param decompositions into the third, the Boyce-Codd and the fourth normal form
 */
public record Analysis(
        Relation relation,
        CandidateKeys keys,
        NormalForm normalForm,
        List<Violation> violations,
        List<FunctionalDependency> minimalCover,
        List<Decomposition> decompositions) {

    public Optional<Decomposition> decomposition(NormalForm goal) {
        return decompositions.stream().filter(d -> d.goal() == goal).findFirst();
    }
}
