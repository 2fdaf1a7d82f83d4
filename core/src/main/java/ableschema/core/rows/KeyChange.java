package ableschema.core.rows;

import ableschema.core.design.Id;
import ableschema.core.mapping.Mapping;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import ableschema.core.types.ReferenceAction;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * What becomes of other rows when the key of one gets other values, by the actions of the references to it, over however many levels: a
 * change goes on where the changed columns are themselves referred to.
 *
 * @param changed  the rows whose references change along, by the owner of their table
 * @param emptied  the rows that lose their reference, or get its default
 * @param refusing the rows on account of which nothing is changed at all
 */
public record KeyChange(Map<Id, Set<Id>> changed, Map<Id, Set<Id>> emptied, Map<Id, Set<Id>> refusing) {

    /** Whether the key stays as it is, as rows refer to it that may not be left behind. */
    public boolean isRefused() {
        return !refusing.isEmpty();
    }

    /** Columns of one table, or of one row, that get other values. */
    private record Changing<T>(T what, Set<String> columns, int level) {}

    /** Every table that another key of a row of the owner's may come to. */
    public static List<Reach> reach(Mapping mapping, Id owner) {
        Map<TableName, List<Table>> referring = new HashMap<>();
        for (Table table : mapping.schema().tables()) {
            table.foreignKeys().stream().map(ForeignKey::target).distinct().forEach(target -> referring
                    .computeIfAbsent(target, name -> new ArrayList<>())
                    .add(table));
        }
        var reached = new LinkedHashSet<Reach>();
        Map<ForeignKey, Set<String>> following = new IdentityHashMap<>();
        var pending = new ArrayDeque<Changing<Table>>();
        mapping.trace().tableOf(owner).ifPresent(table -> pending.add(new Changing<>(table, key(table), 0)));
        while (!pending.isEmpty()) {
            Changing<Table> parent = pending.remove();
            TableName target = parent.what().qualified();
            for (Table child : referring.getOrDefault(target, List.of())) {
                for (ForeignKey key : child.foreignKeys()) {
                    Set<String> changed = key.target().equals(target) ? changed(key, parent.columns()) : Set.of();
                    Set<String> followed = following.computeIfAbsent(key, k -> new HashSet<>());
                    boolean first = followed.isEmpty();
                    if (!followed.addAll(changed)) {
                        continue; // all of it was followed, on whatever way
                    }
                    int level = parent.level() + 1;
                    if (first) {
                        reached.add(new Reach(level, mapping.trace().owner(child), key.onUpdate()));
                    }
                    if (key.onUpdate() == ReferenceAction.CASCADE) {
                        pending.add(new Changing<>(child, changed, level));
                    }
                }
            }
        }
        return List.copyOf(reached);
    }

    private static Set<String> key(Table table) {
        return table.primaryKey().map(key -> Set.copyOf(key.columns())).orElse(Set.of());
    }

    /** The columns of the referring table that follow those. */
    private static Set<String> changed(ForeignKey key, Set<String> columns) {
        return IntStream.range(0, key.columns().size())
                .filter(i -> columns.contains(key.targetColumns().get(i)))
                .mapToObj(i -> key.columns().get(i))
                .collect(Collectors.toSet());
    }

    /** What another key of one sample row does to the others. */
    public static KeyChange of(Mapping mapping, Id owner, Id row) {
        return of(mapping, new Referring(mapping), owner, row);
    }

    static KeyChange of(Mapping mapping, Referring referring, Id owner, Id row) {
        var changed = new LinkedHashSet<Id>();
        var emptied = new LinkedHashSet<Id>();
        var refusing = new LinkedHashSet<Id>();
        var following = new HashMap<Referring.Reference, Set<String>>();
        var pending = new ArrayDeque<Changing<Id>>();
        mapping.trace().tableOf(owner).ifPresent(table -> pending.add(new Changing<>(row, key(table), 0)));
        while (!pending.isEmpty()) {
            Changing<Id> parent = pending.remove();
            for (Referring.Reference each : referring.to(parent.what())) {
                Set<String> columns = changed(each.key(), parent.columns());
                if (!following.computeIfAbsent(each, e -> new HashSet<>()).addAll(columns)) {
                    continue;
                }
                switch (each.key().onUpdate()) {
                    case CASCADE -> {
                        changed.add(each.row());
                        pending.add(new Changing<>(each.row(), columns, 0));
                    }
                    case SET_NULL, SET_DEFAULT -> (each.mayBeEmpty() ? emptied : refusing).add(each.row());
                    case RESTRICT, NO_ACTION -> refusing.add(each.row());
                }
            }
        }
        return new KeyChange(referring.byOwner(changed), referring.byOwner(emptied), referring.byOwner(refusing));
    }
}
