package ableschema.core.theory;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * Proves that parts joined give the relation back: a row for each part, equal where the part has the attribute, is made
 * more and more equal by the dependencies until one row is equal throughout (Aho, Beeri and Ullman 1979). Multivalued
 * dependencies add rows with values exchanged; the rows are limited to {@value #MOST_ROWS}, beyond which a decomposition
 * counts as not proven.
 */
final class Chase {

    private static final int MOST_ROWS = 4000;

    private final Relation relation;
    private final List<FunctionalDependency> functional;
    private Set<Row> rows = new LinkedHashSet<>();

    private Chase(Relation relation, List<FunctionalDependency> functional) {
        this.relation = relation;
        this.functional = functional;
    }

    /** A row of symbols: 0 for the value of the row that is looked for, other numbers for unknown values. */
    private record Row(List<Integer> symbols) {
        boolean agrees(Row other, AttributeSet on) {
            return on.stream().allMatch(a -> symbols.get(a).equals(other.symbols.get(a)));
        }
    }

    static boolean isLossless(Relation relation, List<FunctionalDependency> implied, List<AttributeSet> parts) {
        if (!parts.stream().reduce(AttributeSet.EMPTY, AttributeSet::union).equals(relation.all())) {
            return false;
        }
        var chase = new Chase(relation, implied);
        chase.fill(parts);
        return chase.run();
    }

    private void fill(List<AttributeSet> parts) {
        int width = relation.attributes().size();
        for (int i = 0; i < parts.size(); i++) {
            Integer[] symbols = new Integer[width];
            for (int a = 0; a < width; a++) {
                symbols[a] = parts.get(i).contains(a) ? 0 : i + 1;
            }
            rows.add(new Row(Arrays.asList(symbols)));
        }
    }

    private boolean run() {
        boolean changed = true;
        while (changed && !isFound() && rows.size() <= MOST_ROWS) {
            changed = equate() || exchange();
        }
        return isFound();
    }

    private boolean isFound() {
        return rows.stream().anyMatch(row -> row.symbols().stream().allMatch(s -> s == 0));
    }

    private boolean equate() {
        boolean changed = false;
        for (FunctionalDependency dependency : functional) {
            boolean again = true;
            while (again) {
                again = equateOnce(dependency);
                changed |= again;
            }
        }
        return changed;
    }

    private boolean equateOnce(FunctionalDependency dependency) {
        List<Row> list = new ArrayList<>(rows);
        var groups = new HashMap<List<Integer>, Row>();
        for (Row row : list) {
            List<Integer> key =
                    dependency.from().stream().mapToObj(row.symbols()::get).toList();
            Row first = groups.putIfAbsent(key, row);
            if (first != null && !first.agrees(row, dependency.to())) {
                dependency.to().stream()
                        .forEach(a ->
                                replace(a, first.symbols().get(a), row.symbols().get(a)));
                return true;
            }
        }
        return false;
    }

    private void replace(int attribute, int one, int other) {
        int kept = Math.min(one, other);
        int gone = Math.max(one, other);
        var replaced = new LinkedHashSet<Row>();
        for (Row row : rows) {
            if (row.symbols().get(attribute) == gone) {
                var symbols = new ArrayList<>(row.symbols());
                symbols.set(attribute, kept);
                replaced.add(new Row(symbols));
            } else {
                replaced.add(row);
            }
        }
        rows = replaced;
    }

    private boolean exchange() {
        var added = new HashSet<Row>();
        for (MultivaluedDependency dependency : relation.multivalued()) {
            for (Row one : rows) {
                for (Row other : rows) {
                    if (one != other && one.agrees(other, dependency.from())) {
                        var symbols = new ArrayList<>(one.symbols());
                        dependency.to().stream()
                                .forEach(a -> symbols.set(a, other.symbols().get(a)));
                        added.add(new Row(symbols));
                    }
                }
            }
        }
        return rows.addAll(added);
    }
}
