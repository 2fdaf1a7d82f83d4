package ableschema.core.theory;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;

/** Dependencies that say the same with nothing to spare: single right sides, no attribute on a left side too many, none that follows from the others (Maier 1980). */
final class MinimalCover {

    private MinimalCover() {}

    static List<FunctionalDependency> of(List<FunctionalDependency> given) {
        return withoutRedundant(leftReduced(single(given)));
    }

    /** The dependencies of a cover with the same left side as one. */
    static List<FunctionalDependency> mergedByLeft(List<FunctionalDependency> cover) {
        Map<AttributeSet, AttributeSet> merged = new LinkedHashMap<>();
        cover.forEach(d -> merged.merge(d.from(), d.to(), AttributeSet::union));
        return merged.entrySet().stream()
                .map(e -> new FunctionalDependency(e.getKey(), e.getValue()))
                .toList();
    }

    private static List<FunctionalDependency> single(List<FunctionalDependency> given) {
        return given.stream()
                .flatMap(d -> d.to().minus(d.from()).stream()
                        .mapToObj(a -> new FunctionalDependency(d.from(), AttributeSet.of(a))))
                .distinct()
                .toList();
    }

    private static List<FunctionalDependency> leftReduced(List<FunctionalDependency> given) {
        var closure = new Closure(given);
        var reduced = new LinkedHashSet<FunctionalDependency>();
        for (FunctionalDependency dependency : given) {
            AttributeSet left = dependency.from();
            int[] attributes = left.stream().toArray();
            for (int i = attributes.length - 1; i >= 0; i--) {
                AttributeSet smaller = left.without(attributes[i]);
                left = closure.of(smaller).containsAll(dependency.to()) ? smaller : left;
            }
            reduced.add(new FunctionalDependency(left, dependency.to()));
        }
        return new ArrayList<>(reduced);
    }

    private static List<FunctionalDependency> withoutRedundant(List<FunctionalDependency> given) {
        return withoutRedundant(given, List.of());
    }

    /** The dependencies that do not follow from the others together with some that are held anyway. */
    static List<FunctionalDependency> withoutRedundant(
            List<FunctionalDependency> given, List<FunctionalDependency> held) {
        List<FunctionalDependency> kept = new ArrayList<>(given);
        for (int i = given.size() - 1; i >= 0; i--) {
            FunctionalDependency dependency = given.get(i);
            var others = new ArrayList<>(kept);
            others.remove(dependency);
            others.addAll(held);
            if (new Closure(others).of(dependency.from()).containsAll(dependency.to())) {
                kept.remove(dependency);
            }
        }
        return kept;
    }
}
