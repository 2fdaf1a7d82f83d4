package ableschema.core.theory;

import ableschema.core.theory.Decomposition.Part;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Takes a relation apart: into the third normal form by synthesis (Bernstein 1976, with a part for a key after Biskup,
 * Dayal and Bernstein 1979), and from there into the Boyce-Codd and fourth normal forms by splitting what still breaks
 * them (Fagin 1977), so that as many dependencies as possible are kept.
 *
 * <p>Whether a part is in Boyce-Codd normal form is decided over all its subsets up to {@value #EXACT_WIDTH} attributes;
 * in wider parts over the stated left sides and over what two attributes less determine (Tsou and Fischer 1982).
 */
final class Decomposer {

    private static final int EXACT_WIDTH = 14;

    private final Relation relation;
    private final List<FunctionalDependency> implied;
    private final Closure closure;
    private final DependencyBasis basis;

    Decomposer(Relation relation, List<FunctionalDependency> implied, Closure closure) {
        this.relation = relation;
        this.implied = implied;
        this.closure = closure;
        this.basis = new DependencyBasis(relation);
    }

    Decomposition into(NormalForm goal) {
        List<AttributeSet> parts = synthesised();
        if (goal != NormalForm.THIRD) {
            parts = split(parts, goal == NormalForm.FOURTH);
        }
        List<Part> keyed = withoutContained(parts).stream()
                .map(part -> new Part(part, CandidateKeys.minimal(part, part, closure)))
                .toList();
        List<AttributeSet> sets = keyed.stream().map(Part::attributes).toList();
        return new Decomposition(goal, keyed, Chase.isLossless(relation, implied, sets), preserves(sets));
    }

    private List<AttributeSet> synthesised() {
        int width = relation.attributes().size();
        var parts = new ArrayList<AttributeSet>();
        for (FunctionalDependency each : MinimalCover.mergedByLeft(MinimalCover.of(implied, width))) {
            parts.add(each.from().union(each.to()));
        }
        AttributeSet key = CandidateKeys.minimal(relation.all(), relation.all(), closure);
        boolean hasKey = parts.stream().anyMatch(part -> closure.of(part).containsAll(relation.all()));
        if (!hasKey) {
            parts.add(key);
        }
        return withoutContained(parts);
    }

    private static List<AttributeSet> withoutContained(List<AttributeSet> parts) {
        var kept = new ArrayList<AttributeSet>();
        for (int i = 0; i < parts.size(); i++) {
            AttributeSet part = parts.get(i);
            int place = i;
            boolean contained = Stream.iterate(0, j -> j < parts.size(), j -> j + 1)
                    .anyMatch(j -> j != place
                            && parts.get(j).containsAll(part)
                            && (j < place || !parts.get(j).equals(part)));
            if (!contained) {
                kept.add(part);
            }
        }
        return kept;
    }

    private List<AttributeSet> split(List<AttributeSet> start, boolean toFourth) {
        var pending = new ArrayList<>(start);
        var done = new ArrayList<AttributeSet>();
        while (!pending.isEmpty()) {
            AttributeSet part = pending.remove(0);
            Optional<Split> split = splitByDependency(part);
            if (split.isEmpty() && toFourth) {
                split = splitByBasis(part);
            }
            split.ifPresentOrElse(
                    found -> {
                        pending.add(0, found.rest());
                        pending.add(0, found.taken());
                    },
                    () -> done.add(part));
        }
        return done;
    }

    /** A part in two, which share the determinant. */
    private record Split(AttributeSet taken, AttributeSet rest) {}

    /** Finds a determinant within the part that is no key of it, and takes out with it all that hangs on it there. */
    private Optional<Split> splitByDependency(AttributeSet part) {
        return lefts(part)
                .filter(left -> {
                    AttributeSet determined = closure.of(left).intersection(part);
                    return !determined.equals(left) && !determined.equals(part);
                })
                .findFirst()
                .map(left -> {
                    AttributeSet determined = closure.of(left).intersection(part);
                    return new Split(determined, part.minus(determined).union(left));
                });
    }

    private Optional<Split> splitByBasis(AttributeSet part) {
        return lefts(part)
                .filter(left -> !closure.of(left).containsAll(part))
                .flatMap(left -> basis.of(left).stream()
                        .map(group -> group.intersection(part))
                        .filter(group -> !group.isEmpty() && !group.union(left).containsAll(part))
                        .map(group -> new Split(left.union(group), part.minus(group))))
                .findFirst();
    }

    /** The sets that may break a form of the part: those stated first, then all, or those found from pairs. */
    private Stream<AttributeSet> lefts(AttributeSet part) {
        Stream<AttributeSet> stated = Stream.concat(
                        implied.stream().map(FunctionalDependency::from),
                        relation.multivalued().stream().map(MultivaluedDependency::from))
                .filter(part::containsAll);
        Stream<AttributeSet> others =
                part.size() <= EXACT_WIDTH ? Subsets.of(part).sorted() : leftsFromPairs(part);
        return Stream.concat(stated, others);
    }

    private Stream<AttributeSet> leftsFromPairs(AttributeSet part) {
        return part.stream().boxed().flatMap(a -> part.stream()
                .filter(b -> b != a)
                .mapToObj(b -> part.without(a).without(b))
                .filter(left -> closure.of(left).contains(a))
                .map(left -> CandidateKeys.minimal(left, AttributeSet.of(a), closure)));
    }

    private boolean preserves(List<AttributeSet> parts) {
        return relation.functional().stream().allMatch(dependency -> {
            AttributeSet held = dependency.from();
            AttributeSet before;
            do {
                before = held;
                for (AttributeSet part : parts) {
                    held = held.union(closure.of(held.intersection(part)).intersection(part));
                }
            } while (!held.equals(before));
            return held.containsAll(dependency.to());
        });
    }
}
