package ableschema.core.theory;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * The dependency basis of a set X: the finest division of the other attributes such that X multidetermines each part.
 * Starts from one part and splits it by every dependency whose left side does not meet it (Beeri 1980). What X
 * multidetermines is exactly the unions of parts; what it determines is found by {@link #closure}.
 */
final class DependencyBasis {

    private final Relation relation;
    private final List<MultivaluedDependency> given;

    DependencyBasis(Relation relation) {
        this.relation = relation;
        this.given = Stream.concat(
                        relation.multivalued().stream(),
                        relation.functional().stream().flatMap(d -> d.to().stream()
                                .mapToObj(a -> new MultivaluedDependency(d.from(), AttributeSet.of(a)))))
                .toList();
    }

    List<AttributeSet> of(AttributeSet from) {
        List<AttributeSet> parts = new ArrayList<>();
        AttributeSet rest = relation.all().minus(from);
        if (!rest.isEmpty()) {
            parts.add(rest);
        }
        boolean split = true;
        while (split) {
            split = false;
            for (MultivaluedDependency dependency : given) {
                for (AttributeSet part : List.copyOf(parts)) {
                    AttributeSet inside = part.intersection(dependency.to());
                    boolean divides = !part.meets(dependency.from()) && !inside.isEmpty() && !inside.equals(part);
                    if (divides) {
                        parts.remove(part);
                        parts.add(inside);
                        parts.add(part.minus(inside));
                        split = true;
                    }
                }
            }
        }
        return parts;
    }

    /** All that the set determines: single attributes of the basis that stand on the right of a stated dependency. */
    AttributeSet closure(AttributeSet from) {
        AttributeSet closure = from;
        for (AttributeSet part : of(from)) {
            boolean determined = part.size() == 1
                    && relation.functional().stream()
                            .anyMatch(d -> d.to().minus(d.from()).containsAll(part));
            closure = determined ? closure.union(part) : closure;
        }
        return closure;
    }
}
