package ableschema.core.theory;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/**
 * All attributes that a set determines. Grows the set, counting down for each dependency the attributes it still lacks
 * (Beeri and Bernstein 1979); linear in the total length of the dependencies.
 */
final class Closure {

    private final List<FunctionalDependency> given;
    private final Map<Integer, List<Integer>> usedBy = new HashMap<>();
    private final int[] sizes;
    private final AttributeSet lefts;
    private final AttributeSet rights;

    Closure(List<FunctionalDependency> given) {
        this.given = given;
        this.sizes = given.stream().mapToInt(d -> d.from().size()).toArray();
        for (int i = 0; i < given.size(); i++) {
            for (int attribute : given.get(i).from().places()) {
                usedBy.computeIfAbsent(attribute, each -> new ArrayList<>()).add(i);
            }
        }
        this.lefts = union(given, FunctionalDependency::from);
        this.rights = union(given, FunctionalDependency::to);
    }

    private static AttributeSet union(
            List<FunctionalDependency> given, Function<FunctionalDependency, AttributeSet> side) {
        return AttributeSet.of(
                given.stream().flatMapToInt(each -> side.apply(each).stream()).toArray());
    }

    /** The attributes that determine something, alone or with others. */
    AttributeSet lefts() {
        return lefts;
    }

    /** The attributes that something determines. */
    AttributeSet rights() {
        return rights;
    }

    AttributeSet of(AttributeSet start) {
        int[] lacking = sizes.clone();
        AttributeSet closure = start;
        var fresh = new ArrayDeque<Integer>();
        start.intersection(lefts).stream().forEach(fresh::add);
        for (int i = 0; i < lacking.length; i++) {
            if (lacking[i] == 0) {
                closure = grown(closure, given.get(i).to(), fresh);
            }
        }
        while (!fresh.isEmpty()) {
            for (int dependency : usedBy.get(fresh.poll())) {
                if (--lacking[dependency] == 0) {
                    closure = grown(closure, given.get(dependency).to(), fresh);
                }
            }
        }
        return closure;
    }

    private AttributeSet grown(AttributeSet closure, AttributeSet by, ArrayDeque<Integer> fresh) {
        if (closure.containsAll(by)) {
            return closure;
        }
        by.minus(closure).intersection(lefts).stream().forEach(fresh::add);
        return closure.union(by);
    }
}
