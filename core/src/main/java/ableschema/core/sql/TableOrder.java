package ableschema.core.sql;

import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Iterator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * An order of tables in which parents come before children, else as the designer has them.
 *
 * @param tables all tables
 * @param later  the foreign keys that point forward in this order, as some must where references run in a circle
 */
record TableOrder(List<Table> tables, Set<ForeignKey> later) {

    /** Walks depth first from each table to its parents, over a stack of our own, as chains may be long. */
    static TableOrder of(Schema schema) {
        Map<String, Table> byName = new HashMap<>();
        schema.tables().forEach(table -> byName.put(table.name(), table));
        var ordered = new LinkedHashSet<Table>();
        var later = new HashSet<ForeignKey>();
        for (Table table : schema.tables()) {
            visit(table, byName, ordered, later);
        }
        return new TableOrder(new ArrayList<>(ordered), later);
    }

    private static void visit(Table start, Map<String, Table> byName, Set<Table> ordered, Set<ForeignKey> later) {
        if (ordered.contains(start)) {
            return;
        }
        var open = new ArrayDeque<Visit>();
        var onPath = new HashSet<Table>();
        open.push(Visit.of(start));
        onPath.add(start);
        while (!open.isEmpty()) {
            Visit visit = open.peek();
            if (!visit.pending().hasNext()) {
                open.pop();
                onPath.remove(visit.table());
                ordered.add(visit.table());
                continue;
            }
            ForeignKey key = visit.pending().next();
            Table parent = byName.get(key.target());
            if (parent == null || parent == visit.table() || ordered.contains(parent)) {
                continue;
            }
            if (onPath.add(parent)) {
                open.push(Visit.of(parent));
            } else {
                later.add(key);
            }
        }
    }

    /** A table on the way, with those of its foreign keys that have not been followed. */
    private record Visit(Table table, Iterator<ForeignKey> pending) {
        static Visit of(Table table) {
            return new Visit(table, table.foreignKeys().iterator());
        }
    }
}
