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
 * <p>Up to {@value #EXACT_WIDTH} attributes every left side is tried, so the cover is exact. Beyond that only the left
 * sides that are stated, and unions of two of them, are tried.
 */
final class Implied {

    private static final int EXACT_WIDTH = 14;

    private Implied() {}

    static List<FunctionalDependency> cover(Relation relation) {
        if (relation.multivalued().isEmpty()) {
            return relation.functional();
        }
        var basis = new DependencyBasis(relation);
        List<FunctionalDependency> cover = new ArrayList<>(relation.functional());
        for (AttributeSet left : lefts(relation)) {
            AttributeSet known = new Closure(cover, relation.attributes().size()).of(left);
            AttributeSet more = basis.closure(left).minus(known);
            if (!more.isEmpty()) {
                cover.add(new FunctionalDependency(left, more));
            }
        }
        return cover;
    }

    private static Set<AttributeSet> lefts(Relation relation) {
        int width = relation.attributes().size();
        if (width <= EXACT_WIDTH) {
            return new TreeSet<>(Subsets.of(relation.all()).toList());
        }
        var stated = new LinkedHashSet<AttributeSet>();
        relation.functional().forEach(d -> stated.add(d.from()));
        relation.multivalued().forEach(d -> stated.add(d.from()));
        var lefts = new TreeSet<>(stated);
        stated.forEach(one -> stated.forEach(other -> lefts.add(one.union(other))));
        return lefts;
    }
}
