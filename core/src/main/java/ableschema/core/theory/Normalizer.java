package ableschema.core.theory;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/** Works out keys, normal form, minimal cover and decompositions of a relation from what is stated of it. */
public final class Normalizer {

    private final Relation relation;
    private final Effort effort;
    private final List<FunctionalDependency> implied;
    private final Closure closure;
    private final DependencyBasis basis;
    private final CandidateKeys keys;

    private Normalizer(Relation relation, Effort effort) {
        this.relation = relation;
        this.effort = effort;
        this.implied = Implied.cover(relation, effort);
        this.closure = new Closure(implied);
        this.basis = new DependencyBasis(relation);
        this.keys = CandidateKeys.of(relation.all(), implied, closure, effort);
    }

    public static Analysis analyse(Relation relation) {
        return analyse(relation, Effort.unlimited());
    }

    /** @param effort what is not done within it is named among what is open */
    public static Analysis analyse(Relation relation, Effort effort) {
        return new Normalizer(relation, effort).analysis();
    }

    private Analysis analysis() {
        List<FunctionalDependency> cover = MinimalCover.of(implied);
        List<Violation> violations = violations(cover);
        NormalForm reached = normalForm(violations);
        var decomposer = new Decomposer(relation, implied, closure, effort);
        List<Decomposition> decompositions = Stream.of(NormalForm.THIRD, NormalForm.BOYCE_CODD, NormalForm.FOURTH)
                .map(goal -> decomposer.into(goal, alreadyIn(goal, reached, violations)))
                .toList();
        return new Analysis(
                relation, keys, reached, violations, cover, decompositions, open(violations, decompositions));
    }

    /** The form that a relation is known to be in; where nothing multivalued is stated, Boyce and Codd's form is the fourth too. */
    private NormalForm alreadyIn(NormalForm goal, NormalForm reached, List<Violation> violations) {
        return violations.isEmpty() && Implied.isExact(relation) ? goal : reached;
    }

    private List<String> open(List<Violation> violations, List<Decomposition> decompositions) {
        var open = new ArrayList<String>();
        if (!keys.complete()) {
            open.add("there may be more keys than the " + keys.found().size() + " that were found");
        }
        boolean broken = violations.stream().anyMatch(each -> each.form().compareTo(NormalForm.BOYCE_CODD) < 0);
        if (!keys.complete() && broken) {
            open.add("the normal form may be a higher one, as it depends on all keys");
        }
        if (!Implied.isExact(relation)) {
            open.add("what follows from multivalued dependencies was looked for from the stated left sides only");
        }
        for (Decomposition each : decompositions) {
            if (!each.inForm() && Implied.isExact(relation)) {
                open.add("not every part for " + each.goal().sign() + " was proved to be in it");
            }
            if (each.lossless().isEmpty()) {
                open.add("the parts for " + each.goal().sign() + " were not proved to be lossless");
            }
        }
        if (effort.isSpent()) {
            open.add("the time was over before all was looked at");
        }
        return open;
    }

    private NormalForm normalForm(List<Violation> violations) {
        NormalForm highest = relation.multivalued().isEmpty() ? NormalForm.BOYCE_CODD : NormalForm.FOURTH;
        return violations.stream()
                .map(Violation::form)
                .min(Comparator.naturalOrder())
                .map(broken -> NormalForm.values()[broken.ordinal() - 1])
                .orElse(highest);
    }

    private List<Violation> violations(List<FunctionalDependency> cover) {
        AttributeSet prime = keys.prime();
        var violations = new ArrayList<Violation>();
        partial(prime).forEach(violations::add);
        for (FunctionalDependency each : MinimalCover.mergedByLeft(cover)) {
            boolean known = violations.stream().anyMatch(v -> v.from().equals(each.from()));
            if (!known && !closure.of(each.from()).containsAll(relation.all())) {
                AttributeSet nonPrime = each.to().minus(prime);
                violations.add(new Violation(
                        nonPrime.isEmpty() ? NormalForm.BOYCE_CODD : NormalForm.THIRD, each.from(), each.to(), false));
            }
        }
        multivaluedViolations().forEach(violations::add);
        violations.sort(Comparator.comparing(Violation::form));
        return violations;
    }

    /** What hangs on a part of a key only, and is in no key itself: it breaks the second normal form. */
    private Stream<Violation> partial(AttributeSet prime) {
        return keys.found().stream()
                .flatMap(key -> key.stream().mapToObj(key::without))
                .map(closure.lefts()::intersection) // nothing hangs on what stands on no left side
                .distinct()
                .takeWhile(part -> !effort.isSpent())
                .flatMap(part -> closure.of(part).minus(part).minus(prime).stream()
                        .mapToObj(a -> CandidateKeys.minimal(part, AttributeSet.of(a), closure)))
                .distinct()
                .map(left -> new Violation(
                        NormalForm.SECOND, left, closure.of(left).minus(left).minus(prime), false));
    }

    private Stream<Violation> multivaluedViolations() {
        return relation.multivalued().stream()
                .filter(d -> !d.from().union(d.to()).containsAll(relation.all())
                        && !d.from().containsAll(d.to())
                        && !closure.of(d.from()).containsAll(relation.all())
                        && basis.of(d.from()).size() > 1)
                .map(d -> new Violation(NormalForm.FOURTH, d.from(), d.to(), true));
    }
}
