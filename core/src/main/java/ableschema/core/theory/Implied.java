package ableschema.core.theory;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/**
 * The functional dependencies that follow from all that is stated, multivalued dependencies included, as a cover of
 * functional dependencies alone; every later question is asked of that cover.
 *
 * <p>Where dependencies name up to {@value #EXACT_WIDTH} attributes every left side is tried, so the cover is exact. Beyond
 * that only the left sides that are stated, and unions of two of them, are tried.
 */
final class Implied {

    private static final int EXACT_WIDTH = 14;

    private Implied() {}

    static List<FunctionalDependency> cover(Relation relation, Effort effort) {
        if (relation.multivalued().isEmpty()) {
            return relation.functional();
        }
        var basis = new DependencyBasis(relation);
        List<FunctionalDependency> cover = new ArrayList<>(relation.functional());
        for (AttributeSet left : lefts(relation)) {
            if (effort.isSpent()) {
                break; // the analysis says that it was stopped
            }
            AttributeSet known = new Closure(cover).of(left);
            AttributeSet more = basis.closure(left).minus(known);
            if (!more.isEmpty()) {
                cover.add(new FunctionalDependency(left, more));
            }
        }
        return cover;
    }

    /** Whether the cover is of all that follows, and not only of what follows from the left sides that were tried. */
    static boolean isExact(Relation relation) {
        return relation.multivalued().isEmpty() || relation.named().size() <= EXACT_WIDTH;
    }

    private static Set<AttributeSet> lefts(Relation relation) {
        if (relation.named().size() <= EXACT_WIDTH) {
            return new TreeSet<>(Subsets.of(relation.named()).toList());
        }
        var stated = new LinkedHashSet<AttributeSet>();
        relation.functional().forEach(d -> stated.add(d.from()));
        relation.multivalued().forEach(d -> stated.add(d.from()));
        var lefts = new TreeSet<>(stated);
        stated.forEach(one -> stated.forEach(other -> lefts.add(one.union(other))));
        return lefts;
    }
}
