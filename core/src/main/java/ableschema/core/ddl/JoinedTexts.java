package ableschema.core.ddl;

import ableschema.core.ddl.Tokens.Kind;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;

/** Tells the plus that joins texts in SQL Server from that of numbers: beside a text it joins, and so do the others of its row. */
final class JoinedTexts {

    private static final Set<String> OPERATORS = Set.of(
            "=", "<>", "!=", "<", ">", "<=", ">=", "-", "*", "/", "%", ",", "||", "and", "or", "when", "then", "else");

    private JoinedTexts() {}

    /** @param isText whether a column holds texts */
    static List<Item> of(List<Item> items, Predicate<String> isText) {
        var pluses = new ArrayList<Integer>();
        for (int i = 0; i < items.size(); i++) {
            if (items.get(i).is("+")) {
                pluses.add(i);
            }
        }
        var joining = new ArrayList<Integer>();
        pluses.stream()
                .filter(at -> at > 0
                        && at + 1 < items.size()
                        && (isText(items.get(at - 1), isText) || isText(items.get(at + 1), isText)))
                .forEach(joining::add);
        for (boolean more = !joining.isEmpty(); more; ) {
            more = false;
            for (int i = 0; i + 1 < pluses.size(); i++) {
                int one = pluses.get(i);
                int next = pluses.get(i + 1);
                if (joining.contains(one) != joining.contains(next) && isOneRow(items.subList(one + 1, next))) {
                    joining.add(joining.contains(one) ? next : one);
                    more = true;
                }
            }
        }
        var joined = new ArrayList<Item>(items);
        joining.forEach(at -> joined.set(at, Item.symbol("||")));
        return joined;
    }

    private static boolean isText(Item item, Predicate<String> isText) {
        return item.kind() == Kind.STRING && item.column().isEmpty()
                || item.column().filter(isText).isPresent();
    }

    /** Whether one value, and no more, stands between two signs. */
    private static boolean isOneRow(List<Item> between) {
        int depth = 0;
        for (Item item : between) {
            depth += item.is("(") ? 1 : item.is(")") ? -1 : 0;
            if (depth < 0 || depth == 0 && OPERATORS.stream().anyMatch(item::is)) {
                return false;
            }
        }
        return depth == 0;
    }
}
