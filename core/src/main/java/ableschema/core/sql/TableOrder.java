package ableschema.core.sql;

import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/**
 * An order of tables in which parents come before children, else as the designer has them. A circle is opened at a
 * reference that may be empty, if it has one, so that rows can be put in first and refer to each other later.
 *
 * @param tables all tables
 * @param later  the foreign keys that point forward in this order, as some must where references run in a circle
 */
record TableOrder(List<Table> tables, Set<ForeignKey> later) {

    static TableOrder of(Schema schema) {
        var waiting = new LinkedHashSet<>(schema.tables());
        var placed = new HashSet<String>();
        var ordered = new ArrayList<Table>();
        var later = new HashSet<ForeignKey>();
        Set<String> known =
                new HashSet<>(schema.tables().stream().map(Table::name).toList());
        while (!waiting.isEmpty()) {
            Table next = first(waiting, table -> open(table, known, placed).isEmpty())
                    .or(() -> first(waiting, table -> open(table, known, placed).stream()
                            .allMatch(key -> isOptional(table, key))))
                    .orElseGet(() -> waiting.iterator().next());
            later.addAll(open(next, known, placed));
            waiting.remove(next);
            placed.add(next.name());
            ordered.add(next);
        }
        return new TableOrder(ordered, later);
    }

    private static Optional<Table> first(Set<Table> waiting, Predicate<Table> ready) {
        return waiting.stream().filter(ready).findFirst();
    }

    /** The foreign keys of a table to others that have not been placed. */
    private static List<ForeignKey> open(Table table, Set<String> known, Set<String> placed) {
        return table.foreignKeys().stream()
                .filter(key -> known.contains(key.target())
                        && !key.target().equals(table.name())
                        && !placed.contains(key.target()))
                .toList();
    }

    /** Whether a row may leave this reference empty. */
    static boolean isOptional(Table table, ForeignKey key) {
        return key.columns().stream()
                .flatMap(name -> table.column(name).stream())
                .anyMatch(column -> column.nullable());
    }
}
