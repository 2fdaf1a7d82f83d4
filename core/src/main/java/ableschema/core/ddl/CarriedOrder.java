package ableschema.core.ddl;

import ableschema.core.carried.Carried;
import ableschema.core.carried.Carried.Kind;
import ableschema.core.sql.dialect.Dialect;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** An order in which a view stands behind those that it looks at; all others stand by their kind, as they were found. */
final class CarriedOrder {

    private final Dialect dialect;
    private final Map<String, Carried> views = new HashMap<>();
    private final Set<Carried> seen = new HashSet<>();
    private final Set<Carried> placed = new HashSet<>();
    private final List<Carried> ordered = new ArrayList<>();

    private CarriedOrder(Dialect dialect) {
        this.dialect = dialect;
    }

    static List<Carried> of(List<Carried> found, Dialect dialect) {
        var order = new CarriedOrder(dialect);
        for (Carried each : found) {
            if (isMade(each)) {
                order.views.put(order.key(each), each);
            }
        }
        List<Carried> byKind = new ArrayList<>(found);
        byKind.sort(Comparator.comparing((Carried each) -> !each.early()).thenComparing(Carried::kind));
        byKind.forEach(order::place);
        return order.ordered;
    }

    private static boolean isMade(Carried each) {
        return each.kind() == Kind.VIEW && each.sql().regionMatches(true, 0, "create", 0, 6);
    }

    private String key(Carried view) {
        return CarriedText.key(view.name().substring(view.name().lastIndexOf('.') + 1), dialect);
    }

    /** Places what a view looks at before it; by a stack of its own, as views may look at each other over thousands of levels. */
    private void place(Carried first) {
        var open = new ArrayDeque<Carried>();
        open.push(first);
        while (!open.isEmpty()) {
            Carried each = open.peek();
            if (placed.contains(each)) {
                open.pop();
            } else if (seen.add(each)) {
                lookedAt(each).forEach(open::push);
            } else {
                open.pop();
                placed.add(each);
                ordered.add(each);
            }
        }
    }

    /** The views that a view looks at and that were not come by yet. */
    private List<Carried> lookedAt(Carried view) {
        if (!isMade(view) || views.size() < 2) {
            return List.of();
        }
        return CarriedText.names(view.sql(), dialect).stream()
                .map(views::get)
                .filter(looked -> looked != null && !seen.contains(looked))
                .toList();
    }
}
