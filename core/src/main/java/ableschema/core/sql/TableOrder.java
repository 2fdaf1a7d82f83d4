package ableschema.core.sql;

import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BiPredicate;
import java.util.stream.IntStream;

/**
 * An order of tables in which parents come before children, else as they are given. A circle is opened at a reference that
 * may be empty, if it has one, so that rows can be put in first and refer to each other later.
 *
 * @param tables all tables
 * @param later  the foreign keys that point forward in this order, as some must where references run in a circle
 */
public record TableOrder(List<Table> tables, Set<ForeignKey> later) {

    /** Takes time in proportion to tables and references, but for circles, each of which looks through what is left. */
    static TableOrder of(Schema schema) {
        return new Ordering(schema).order();
    }

    /** Whether a row may leave this reference empty. */
    static boolean isOptional(Table table, ForeignKey key) {
        return key.columns().stream()
                .flatMap(name -> table.column(name).stream())
                .anyMatch(column -> column.nullable());
    }

    /** The same schema, where those foreign keys are not said to wait that wait in any case, if all the others do so too. */
    public static Schema withoutNeeded(Schema schema) {
        List<Boolean> waits = waiting(schema, (table, key) -> key.deferred());
        if (!waits.contains(true)) {
            return schema;
        }
        List<Boolean> none = waits.stream().map(each -> false).toList();
        Schema unsaid = with(schema, none);
        List<Boolean> needed = waiting(unsaid, of(unsaid)::isDeferred);
        Schema rest = with(
                schema,
                IntStream.range(0, waits.size())
                        .mapToObj(i -> waits.get(i) && !needed.get(i))
                        .toList());
        return waiting(rest, of(rest)::isDeferred).equals(waits) ? rest : schema;
    }

    /** Of each foreign key, as they stand in the schema, whether it waits. */
    private static List<Boolean> waiting(Schema schema, BiPredicate<Table, ForeignKey> waits) {
        return schema.tables().stream()
                .flatMap(table -> table.foreignKeys().stream().map(key -> waits.test(table, key)))
                .toList();
    }

    private static Schema with(Schema schema, List<Boolean> waits) {
        Iterator<Boolean> next = waits.iterator();
        return schema.withTables(schema.tables().stream()
                .map(table -> table.withForeignKeys(table.foreignKeys().stream()
                        .map(key -> key.withDeferred(next.next()))
                        .toList()))
                .toList());
    }

    private boolean isNeeded(Table table, ForeignKey key) {
        boolean circle = isLater(key) || key.target().equals(table.qualified());
        return circle && !isOptional(table, key);
    }

    /** Whether this foreign key points forward. */
    boolean isLater(ForeignKey key) {
        return later.contains(key);
    }

    /** Whether a foreign key is checked at the end: rows must refer to each other in a circle, or to themselves. */
    boolean isDeferred(Table table, ForeignKey key) {
        return key.deferred() || isNeeded(table, key);
    }

    private static final class Ordering {
        private final List<Table> given;
        private final Map<TableName, Integer> places = new HashMap<>();
        private final List<Set<Integer>> parents = new ArrayList<>();
        private final List<List<Integer>> children = new ArrayList<>();
        private final TreeSet<Integer> waiting = new TreeSet<>();
        private final PriorityQueue<Integer> ready = new PriorityQueue<>();
        private final List<Table> ordered = new ArrayList<>();
        private final Set<ForeignKey> later = Collections.newSetFromMap(new IdentityHashMap<>());

        Ordering(Schema schema) {
            this.given = schema.tables();
            for (Table table : given) {
                places.put(table.qualified(), places.size());
                children.add(new ArrayList<>());
            }
            for (int i = 0; i < given.size(); i++) {
                var its = new HashSet<Integer>();
                for (ForeignKey key : given.get(i).foreignKeys()) {
                    Integer parent = places.get(key.target());
                    if (parent != null && parent != i && its.add(parent)) {
                        children.get(parent).add(i);
                    }
                }
                parents.add(its);
                waiting.add(i);
                if (its.isEmpty()) {
                    ready.add(i);
                }
            }
        }

        TableOrder order() {
            while (!waiting.isEmpty()) {
                place(ready.isEmpty() ? opening() : ready.poll());
            }
            return new TableOrder(ordered, later);
        }

        /** The table at which a circle is opened. */
        private int opening() {
            int next = opening(TableOrder::isOptional)
                    .or(() -> opening((table, key) -> key.deferred() || isOptional(table, key)))
                    .orElseGet(waiting::first);
            given.get(next).foreignKeys().stream()
                    .filter(key -> isOpen(next, key))
                    .forEach(later::add);
            return next;
        }

        private Optional<Integer> opening(BiPredicate<Table, ForeignKey> opens) {
            return waiting.stream()
                    .filter(i -> given.get(i).foreignKeys().stream()
                            .filter(key -> isOpen(i, key))
                            .allMatch(key -> opens.test(given.get(i), key)))
                    .findFirst();
        }

        private boolean isOpen(int table, ForeignKey key) {
            Integer parent = places.get(key.target());
            return parent != null && parent != table && waiting.contains(parent);
        }

        private void place(int table) {
            waiting.remove(table);
            ordered.add(given.get(table));
            for (int child : children.get(table)) {
                parents.get(child).remove(table);
                if (parents.get(child).isEmpty() && waiting.contains(child)) {
                    ready.add(child);
                }
            }
        }
    }
}
