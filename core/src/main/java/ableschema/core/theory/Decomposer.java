package ableschema.core.theory;

import ableschema.core.theory.Decomposition.Part;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Takes a relation apart: into the third normal form by synthesis (Bernstein 1976, with a part for a key after Biskup,
 * Dayal and Bernstein 1979), and from there into the Boyce-Codd and fourth normal forms by splitting what still breaks
 * them (Fagin 1977), so that as many dependencies as possible are kept.
 *
 * <p>Whether a part is in Boyce-Codd normal form is decided over all subsets of its attributes that some dependency names, up
 * to {@value #EXACT_WIDTH} of them; in wider parts over the stated left sides and over what two attributes less determine: a
 * part without such a pair is in the form (Tsou and Fischer 1982), of another it is not proved.
 */
final class Decomposer {

    private static final int EXACT_WIDTH = 14;

    private final Relation relation;
    private final List<FunctionalDependency> implied;
    private final Closure closure;
    private final DependencyBasis basis;
    private final AttributeSet named;
    private final Effort effort;
    private boolean proved = true;

    Decomposer(Relation relation, List<FunctionalDependency> implied, Closure closure, Effort effort) {
        this.relation = relation;
        this.implied = implied;
        this.closure = closure;
        this.basis = new DependencyBasis(relation);
        this.named = telling();
        this.effort = effort;
    }

    /** The attributes named by dependencies that may break a form: what determines all never does. */
    private AttributeSet telling() {
        List<FunctionalDependency> partial = implied.stream()
                .filter(each -> !closure.of(each.from()).containsAll(relation.all()))
                .toList();
        return new Relation(relation.name(), relation.attributes(), partial, relation.multivalued()).named();
    }

    /** @param reached the normal form that the relation is in already, for which it is not taken apart */
    Decomposition into(NormalForm goal, NormalForm reached) {
        effort.tell("taking apart into " + goal.sign());
        proved = Implied.isExact(relation);
        List<AttributeSet> parts = List.of(relation.all());
        if (reached.compareTo(goal) < 0) {
            parts = reached.compareTo(NormalForm.THIRD) < 0 ? synthesised() : parts;
            parts = goal == NormalForm.THIRD ? parts : split(parts, goal == NormalForm.FOURTH);
        }
        List<Part> keyed = withoutContained(parts).stream()
                .map(part -> new Part(part, CandidateKeys.minimal(part, part, closure)))
                .toList();
        List<AttributeSet> sets = keyed.stream().map(Part::attributes).toList();
        Optional<Boolean> lossless = Chase.isLossless(relation, implied, sets, effort);
        return new Decomposition(goal, keyed, proved, lossless, preserves(sets));
    }

    /** A group of dependencies whose left sides determine each other: all of these, with what else hangs on them. */
    private record Group(List<AttributeSet> lefts, List<AttributeSet> rights) {
        AttributeSet all() {
            return Stream.concat(lefts.stream(), rights.stream()).reduce(AttributeSet.EMPTY, AttributeSet::union);
        }
    }

    private List<AttributeSet> synthesised() {
        List<FunctionalDependency> cover = MinimalCover.of(implied);
        Map<AttributeSet, Group> groups = new LinkedHashMap<>();
        for (FunctionalDependency each : cover) {
            List<AttributeSet> lefts = groups.computeIfAbsent(
                            closure.of(each.from()), all -> new Group(new ArrayList<>(), new ArrayList<>()))
                    .lefts();
            if (!lefts.contains(each.from())) {
                lefts.add(each.from());
            }
        }
        // what is said by the left sides' determining each other need not be said again (Bernstein's fourth step)
        List<FunctionalDependency> mutual = groups.values().stream()
                .flatMap(group -> group.lefts().stream().flatMap(one -> group.lefts().stream()
                        .filter(other -> other != one)
                        .map(other -> new FunctionalDependency(one, other))))
                .toList();
        for (FunctionalDependency each : MinimalCover.withoutRedundant(cover, mutual)) {
            groups.get(closure.of(each.from())).rights().add(each.to());
        }
        List<AttributeSet> parts =
                groups.values().stream().map(Group::all).collect(Collectors.toCollection(ArrayList::new));
        boolean hasKey = parts.stream().anyMatch(part -> closure.of(part).containsAll(relation.all()));
        if (!hasKey) {
            parts.add(CandidateKeys.minimal(relation.all(), relation.all(), closure));
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
            if (effort.isSpent()) {
                proved = false;
                done.addAll(pending);
                return done;
            }
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
        AttributeSet telling = part.intersection(named);
        Stream<AttributeSet> others =
                telling.size() <= EXACT_WIDTH ? Subsets.of(telling).sorted() : leftsFromPairs(part, telling);
        return Stream.concat(stated, others.takeWhile(left -> !effort.isSpent()));
    }

    private Stream<AttributeSet> leftsFromPairs(AttributeSet part, AttributeSet telling) {
        proved &= relation.multivalued().isEmpty();
        return telling.stream().boxed().flatMap(a -> telling.stream()
                .filter(b -> b != a)
                .mapToObj(b -> part.without(a).without(b))
                .filter(left -> closure.of(left).contains(a))
                .peek(left -> proved = false)
                .map(left -> CandidateKeys.minimal(left.intersection(named), AttributeSet.of(a), closure)));
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
