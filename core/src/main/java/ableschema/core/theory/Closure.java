package ableschema.core.theory;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.List;

/**
 * All attributes that a set determines. Grows the set, counting down for each dependency the attributes it still lacks
 * (Beeri and Bernstein 1979); linear in the total length of the dependencies.
 */
final class Closure {

    private final List<FunctionalDependency> given;
    private final List<List<Integer>> usedBy;

    Closure(List<FunctionalDependency> given, int width) {
        this.given = given;
        this.usedBy = new ArrayList<>();
        for (int attribute = 0; attribute < width; attribute++) {
            usedBy.add(new ArrayList<>());
        }
        for (int i = 0; i < given.size(); i++) {
            int dependency = i;
            given.get(i).from().stream()
                    .forEach(attribute -> usedBy.get(attribute).add(dependency));
        }
    }

    AttributeSet of(AttributeSet start) {
        int[] lacking = given.stream().mapToInt(d -> d.from().size()).toArray();
        AttributeSet closure = start;
        var fresh = new ArrayDeque<Integer>();
        start.stream().forEach(fresh::add);
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

    private static AttributeSet grown(AttributeSet closure, AttributeSet by, ArrayDeque<Integer> fresh) {
        AttributeSet added = by.minus(closure);
        added.stream().forEach(fresh::add);
        return closure.union(added);
    }
}
