package ableschema.core.ddl;

import ableschema.core.carried.Carried;
import ableschema.core.carried.Carried.Kind;
import ableschema.core.sql.dialect.Dialect;
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

    private void place(Carried each) {
        if (!placed.add(each)) {
            return;
        }
        if (isMade(each) && views.size() > 1) {
            for (String name : CarriedText.names(each.sql(), dialect)) {
                Carried looked = views.get(name);
                if (looked != null) {
                    place(looked);
                }
            }
        }
        ordered.add(each);
    }
}
