package ableschema.core.reverse;

import ableschema.core.design.ColumnRef;
import ableschema.core.design.EndRef;
import ableschema.core.design.Id;
import ableschema.core.design.Pins;
import ableschema.core.design.Pins.Role;
import ableschema.core.mapping.Mapping;
import ableschema.core.mapping.TableTrace;
import ableschema.core.schema.Column;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Pins the names and places that the naming rules would not give. It is asked twice: the first time nothing is pinned, and the
 * second time what the tables of that first design have otherwise.
 */
final class Pinning {

    private final Optional<Mapping> unpinned;
    private final Found found;
    private final ColumnRefs refs;
    private final Map<TableName, Optional<Table>> derived = new HashMap<>();

    private Pinning(Optional<Mapping> unpinned, Found found) {
        this.unpinned = unpinned;
        this.found = found;
        this.refs = new ColumnRefs(found);
    }

    static Pinning nothing(Found found) {
        return new Pinning(Optional.empty(), found);
    }

    static Pinning whereItDiffers(Mapping unpinned, Found found) {
        return new Pinning(Optional.of(unpinned), found);
    }

    private Optional<Table> derived(Table table) {
        return derived.computeIfAbsent(
                table.qualified(),
                name -> unpinned.flatMap(mapping -> mapping.trace().tableOf(found.owner(table))));
    }

    private Pins named(Pins pins, Role role, String wanted, String given) {
        return unpinned.isEmpty() || wanted.isEmpty() || wanted.equals(given) ? pins : pins.withName(role, wanted);
    }

    Pins table(Table table, Pins pins) {
        String name = derived(table).map(Table::name).orElse("");
        String key = derived(table)
                .flatMap(Table::primaryKey)
                .map(Table.PrimaryKey::name)
                .orElse("");
        Pins named = named(pins, Role.ITSELF, table.name(), name);
        return named(
                named, Role.KEY, table.primaryKey().map(Table.PrimaryKey::name).orElse(""), key);
    }

    Pins column(Table table, String name, ColumnRef ref, Pins pins) {
        Optional<Table> tableNow = derived(table);
        if (tableNow.isEmpty()) {
            return pins;
        }
        TableTrace trace = unpinned.orElseThrow().trace().of(tableNow.get()); // a table is derived by a mapping only
        Pins named = named(pins, Role.ITSELF, name, trace.columnOf(ref).orElse(""));
        return isInOrder(table, tableNow.get(), trace) ? named : named.withPlace(place(table, name));
    }

    private static int place(Table table, String name) {
        List<String> names = table.columns().stream().map(Column::name).toList();
        return names.indexOf(name) + 1;
    }

    private final Map<TableName, Boolean> ordered = new HashMap<>();

    /** Whether the columns stand as they were found without a place being pinned. */
    private boolean isInOrder(Table table, Table now, TableTrace trace) {
        return ordered.computeIfAbsent(table.qualified(), name -> {
            List<ColumnRef> wanted = table.columns().stream()
                    .map(column -> refs.of(table, column.name()))
                    .toList();
            List<ColumnRef> given = now.columns().stream()
                    .flatMap(column -> trace.column(column.name()).stream())
                    .map(TableTrace.ColumnTrace::ref)
                    .toList();
            return wanted.equals(given);
        });
    }

    /** A unique rule, check or index by the name that its id has now. */
    Pins rule(Table table, Id id, String wanted) {
        return named(Pins.NONE, Role.ITSELF, wanted, given(table, id));
    }

    private String given(Table table, Id id) {
        return derived(table)
                .map(now -> unpinned.orElseThrow().trace().of(now).rules()) // as above
                .flatMap(rules -> rules.entrySet().stream()
                        .filter(each -> each.getValue().equals(id))
                        .map(Map.Entry::getKey)
                        .findFirst())
                .orElse("");
    }

    Pins reference(Table table, EndRef end, ForeignKey key, String unique) {
        Optional<Table> now = derived(table);
        if (now.isEmpty()) {
            return Pins.NONE;
        }
        TableTrace trace = unpinned.orElseThrow().trace().of(now.get()); // as above
        String given = trace.references().entrySet().stream()
                .filter(each -> each.getValue().equals(end))
                .map(Map.Entry::getKey)
                .findFirst()
                .orElse("");
        boolean claimed = // an index of that name is pinned, and would take it
                table.indexes().stream().anyMatch(index -> index.name().equals(key.name()));
        Pins named = named(Pins.NONE, Role.ITSELF, key.name(), claimed ? "" : given);
        String constraint = now.get().uniques().stream()
                .map(Table.UniqueConstraint::name)
                .filter(name -> end.relationship().equals(trace.rules().get(name)))
                .findFirst()
                .orElse("");
        return named(named, Role.UNIQUE, unique, constraint);
    }
}
