package ableschema.core.rows;

import ableschema.core.design.Body;
import ableschema.core.design.Design;
import ableschema.core.design.EndRef;
import ableschema.core.design.Id;
import ableschema.core.design.Row;
import ableschema.core.mapping.Mapping;
import ableschema.core.mapping.TableTrace;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Table;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Which sample row refers to which, and by what foreign key. */
final class Referring {

    private final Map<Id, List<Reference>> byParent = new HashMap<>();
    private final Map<Id, Id> owners = new HashMap<>();

    /**
     * A row refers to another.
     *
     * @param table      that the row is in
     * @param mayBeEmpty whether the row can do without
     */
    record Reference(Id row, Table table, ForeignKey key, boolean mayBeEmpty) {}

    Referring(Mapping mapping) {
        Design design = mapping.physical();
        var values = new RowValues(design);
        for (Table table : mapping.schema().tables()) {
            TableTrace trace = mapping.trace().of(table);
            List<Row> rows = design.body(trace.owner()).orElse(Body.EMPTY).rows();
            rows.forEach(each -> owners.put(each.id(), trace.owner()));
            for (ForeignKey key : table.foreignKeys()) {
                EndRef end = mapping.trace().end(table, key);
                boolean mayBeEmpty = key.columns().stream()
                        .allMatch(name -> table.column(name).orElseThrow().nullable());
                for (Row each : rows) {
                    values.parent(each, end)
                            .ifPresent(parent -> byParent.computeIfAbsent(parent.id(), id -> new ArrayList<>())
                                    .add(new Reference(each.id(), table, key, mayBeEmpty)));
                }
            }
        }
    }

    List<Reference> to(Id row) {
        return byParent.getOrDefault(row, List.of());
    }

    Map<Id, Set<Id>> byOwner(Set<Id> rows) {
        Map<Id, Set<Id>> found = new LinkedHashMap<>();
        rows.forEach(row -> Optional.ofNullable(owners.get(row))
                .ifPresent(owner -> found.computeIfAbsent(owner, id -> new LinkedHashSet<>())
                        .add(row)));
        return found;
    }
}
