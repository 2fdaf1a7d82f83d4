package ableschema.core.theory;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/** Works out keys, normal form, minimal cover and decompositions of a relation from what is stated of it. */
public final class Normalizer {

    private final Relation relation;
    private final List<FunctionalDependency> implied;
    private final Closure closure;
    private final DependencyBasis basis;
    private final CandidateKeys keys;

    private Normalizer(Relation relation) {
        this.relation = relation;
        this.implied = Implied.cover(relation);
        this.closure = new Closure(implied, relation.attributes().size());
        this.basis = new DependencyBasis(relation);
        this.keys = CandidateKeys.of(relation.all(), implied, closure);
    }

    public static Analysis analyse(Relation relation) {
        return new Normalizer(relation).analysis();
    }

    private Analysis analysis() {
        List<Violation> violations = violations();
        var decomposer = new Decomposer(relation, implied, closure);
        return new Analysis(
                relation,
                keys,
                normalForm(violations),
                violations,
                MinimalCover.of(relation.functional(), relation.attributes().size()),
                Stream.of(NormalForm.THIRD, NormalForm.BOYCE_CODD, NormalForm.FOURTH)
                        .map(decomposer::into)
                        .toList());
    }

    private NormalForm normalForm(List<Violation> violations) {
        NormalForm highest = relation.multivalued().isEmpty() ? NormalForm.BOYCE_CODD : NormalForm.FOURTH;
        return violations.stream()
                .map(Violation::form)
                .min(Comparator.naturalOrder())
                .map(broken -> NormalForm.values()[broken.ordinal() - 1])
                .orElse(highest);
    }

    private List<Violation> violations() {
        AttributeSet prime = keys.prime();
        var violations = new ArrayList<Violation>();
        partial(prime).forEach(violations::add);
        for (FunctionalDependency each : MinimalCover.mergedByLeft(
                MinimalCover.of(implied, relation.attributes().size()))) {
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
