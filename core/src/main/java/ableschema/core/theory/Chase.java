package ableschema.core.theory;

import java.nio.IntBuffer;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Proves that parts joined give the relation back: a row for each part, equal where the part has the attribute, is made
 * more and more equal by the dependencies until one row is equal throughout (Aho, Beeri and Ullman 1979). Multivalued
 * dependencies add rows with values exchanged; the rows are limited to {@value #MOST_ROWS}, beyond which nothing is
 * proved.
 */
final class Chase {

    private static final int MOST_ROWS = 4000;

    private final Relation relation;
    private final List<FunctionalDependency> functional;
    private final Effort effort;

    /** Symbols: 0 for the value of the row that is looked for, other numbers for unknown values. */
    private List<int[]> rows = new ArrayList<>();

    private Chase(Relation relation, List<FunctionalDependency> functional, Effort effort) {
        this.relation = relation;
        this.functional = functional;
        this.effort = effort;
    }

    /** Empty where neither could be proved within the limits. */
    static Optional<Boolean> isLossless(
            Relation relation, List<FunctionalDependency> implied, List<AttributeSet> parts, Effort effort) {
        if (!parts.stream().reduce(AttributeSet.EMPTY, AttributeSet::union).equals(relation.all())) {
            return Optional.of(false);
        }
        var chase = new Chase(relation, implied, effort);
        chase.fill(parts);
        return chase.run();
    }

    private void fill(List<AttributeSet> parts) {
        for (int i = 0; i < parts.size(); i++) {
            var symbols = new int[relation.attributes().size()];
            Arrays.fill(symbols, i + 1);
            parts.get(i).stream().forEach(a -> symbols[a] = 0);
            rows.add(symbols);
        }
    }

    private Optional<Boolean> run() {
        boolean grown = true;
        while (grown) {
            boolean changed = true;
            while (changed) {
                changed = false;
                for (FunctionalDependency dependency : functional) {
                    changed |=
                            equate(dependency.from().places(), dependency.to().places());
                }
                if (isFound()) {
                    return Optional.of(true);
                }
                if (effort.isSpent()) {
                    return Optional.empty();
                }
            }
            grown = exchange();
            if (rows.size() > MOST_ROWS) {
                return Optional.empty();
            }
        }
        return Optional.of(false);
    }

    private boolean isFound() {
        return rows.stream().anyMatch(row -> Arrays.stream(row).allMatch(symbol -> symbol == 0));
    }

    /** What stands in some places of a row, to be compared. */
    private static IntBuffer symbols(int[] row, int[] places) {
        var symbols = new int[places.length];
        for (int i = 0; i < places.length; i++) {
            symbols[i] = row[places[i]];
        }
        return IntBuffer.wrap(symbols);
    }

    /** Makes rows that are equal in one place equal in the others. */
    private boolean equate(int[] from, int[] to) {
        boolean changed = false;
        var first = new HashMap<IntBuffer, int[]>();
        for (int[] row : rows) {
            int[] like = first.putIfAbsent(symbols(row, from), row);
            for (int i = 0; like != null && i < to.length; i++) {
                if (like[to[i]] != row[to[i]]) {
                    replace(to[i], like[to[i]], row[to[i]]);
                    changed = true;
                }
            }
        }
        return changed;
    }

    private void replace(int attribute, int one, int other) {
        int kept = Math.min(one, other);
        int gone = Math.max(one, other);
        for (int[] row : rows) {
            row[attribute] = row[attribute] == gone ? kept : row[attribute];
        }
    }

    /** Adds what has the right side of one row and the rest of another where they are equal on the left. */
    private boolean exchange() {
        var known = new LinkedHashMap<IntBuffer, int[]>();
        rows.forEach(row -> known.put(IntBuffer.wrap(row), row));
        int before = known.size();
        for (MultivaluedDependency dependency : relation.multivalued()) {
            int[] from = dependency.from().places();
            int[] to = dependency.to().places();
            int[] rest = relation.all().minus(dependency.to()).places();
            var alike = new HashMap<IntBuffer, List<int[]>>();
            rows.forEach(row -> alike.computeIfAbsent(symbols(row, from), key -> new ArrayList<>())
                    .add(row));
            alike.values().forEach(group -> exchange(distinct(group, to), distinct(group, rest), to, known));
        }
        rows = new ArrayList<>(known.values());
        return rows.size() > before;
    }

    private static Collection<int[]> distinct(List<int[]> group, int[] places) {
        var distinct = new LinkedHashMap<IntBuffer, int[]>();
        group.forEach(row -> distinct.putIfAbsent(symbols(row, places), row));
        return distinct.values();
    }

    private static void exchange(
            Collection<int[]> rights, Collection<int[]> rests, int[] to, Map<IntBuffer, int[]> known) {
        for (int[] rest : rests) {
            for (int[] right : rights) {
                if (known.size() > MOST_ROWS) {
                    return;
                }
                int[] made = rest.clone();
                for (int a : to) {
                    made[a] = right[a];
                }
                known.putIfAbsent(IntBuffer.wrap(made), made);
            }
        }
    }
}
