package ableschema.core.keys;

import ableschema.core.design.Body;
import ableschema.core.design.Id;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import ableschema.core.mapping.Mapping;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Table;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;

/**
 * What follows from changing a key in one table: its own, or one that refers to it over however many others.
 *
 * @param level   0 for the table itself, 1 for those that refer to it, 2 for those that refer to them, and so on
 * @param table   its name
 * @param changes in a few words each, such as "foreign key apiary_code → apiary_no"
 * @param rows    how many sample rows it has, all of which are carried along
 */
public record KeyReach(int level, String table, List<String> changes, int rows) {

    public KeyReach {
        changes = List.copyOf(changes);
    }

    /** Every table that an edit of a key changes, the nearest first; empty where none does. */
    public static List<KeyReach> of(Edit edit, Document document, Mapping mapping, Id entity) {
        Document next = edit.applyTo(document);
        Mapping after = next.mapping(mapping);
        var reaches = new ArrayList<KeyReach>();
        levels(after, entity).forEach((owner, level) -> {
            Optional<Table> was = mapping.trace().tableOf(owner);
            Optional<Table> will = after.trace().tableOf(owner);
            if (was.isPresent() && will.isPresent() && !was.equals(will)) {
                int rows = next.design()
                        .body(owner)
                        .map(Body::rows)
                        .map(List::size)
                        .orElse(0);
                reaches.add(new KeyReach(level, will.get().name(), changes(was.get(), will.get()), rows));
            }
        });
        return reaches;
    }

    /** How far each owner of a table is from the entity, over the foreign keys that lead there. */
    private static Map<Id, Integer> levels(Mapping mapping, Id entity) {
        Map<Id, Integer> levels = new LinkedHashMap<>();
        levels.put(entity, 0);
        var pending = new ArrayDeque<>(List.of(entity));
        while (!pending.isEmpty()) {
            Id owner = pending.remove();
            int level = Objects.requireNonNull(levels.get(owner)) + 1;
            mapping.trace().tableOf(owner).stream()
                    .flatMap(table -> mapping.schema().tables().stream().filter(each -> each.foreignKeys().stream()
                            .anyMatch(key -> key.target().equals(table.qualified()))))
                    .map(table -> mapping.trace().owner(table))
                    .filter(child -> levels.putIfAbsent(child, level) == null)
                    .forEach(pending::add);
        }
        return levels;
    }

    private static List<String> changes(Table was, Table will) {
        var changes = new ArrayList<String>();
        String before = was.primaryKey()
                .map(Table.PrimaryKey::columns)
                .orElse(List.of())
                .toString();
        String now = will.primaryKey()
                .map(Table.PrimaryKey::columns)
                .orElse(List.of())
                .toString();
        if (!before.equals(now)) {
            changes.add("key " + plain(before) + " → " + plain(now));
        }
        compare(
                changes,
                "foreign key",
                named(was.foreignKeys(), ForeignKey::target, ForeignKey::columns),
                named(will.foreignKeys(), ForeignKey::target, ForeignKey::columns));
        compare(
                changes,
                "unique",
                named(was.uniques(), Table.UniqueConstraint::columns),
                named(will.uniques(), Table.UniqueConstraint::columns));
        compare(
                changes,
                "index",
                named(was.indexes(), Table.TableIndex::columnNames),
                named(will.indexes(), Table.TableIndex::columnNames));
        compare(
                changes,
                "check",
                was.checks().stream()
                        .map(each -> each.expression().written(column -> column))
                        .toList(),
                will.checks().stream()
                        .map(each -> each.expression().written(column -> column))
                        .toList());
        compare(changes, "computation", computed(was), computed(will));
        return changes;
    }

    private static List<String> computed(Table table) {
        return table.columns().stream()
                .filter(each -> each.filling().isComputed())
                .map(each ->
                        "of " + each.name() + ", " + each.filling().expression().written(column -> column))
                .toList();
    }

    private static <T> List<String> named(List<T> of, Function<T, List<String>> columns) {
        return of.stream().map(each -> plain(columns.apply(each).toString())).toList();
    }

    private static <T> List<String> named(List<T> of, Function<T, ?> target, Function<T, List<String>> columns) {
        return of.stream()
                .map(each -> plain(columns.apply(each).toString()) + " to " + target.apply(each))
                .toList();
    }

    private static String plain(String list) {
        String inside = list.substring(1, list.length() - 1);
        return inside.isEmpty() ? "none" : inside;
    }

    private static void compare(List<String> changes, String sort, List<String> was, List<String> will) {
        List<String> gone = was.stream().filter(each -> !will.contains(each)).toList();
        List<String> come = will.stream().filter(each -> !was.contains(each)).toList();
        for (int i = 0; i < Math.max(gone.size(), come.size()); i++) {
            String before = i < gone.size() ? gone.get(i) : "";
            String now = i < come.size() ? come.get(i) : "";
            changes.add(
                    before.isEmpty()
                            ? sort + " " + now + " comes"
                            : now.isEmpty() ? sort + " " + before + " goes" : sort + " " + before + " → " + now);
        }
    }
}
