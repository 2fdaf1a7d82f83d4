package ableschema.core.reverse;

import ableschema.core.carried.Carried;
import ableschema.core.ddl.CarriedText;
import ableschema.core.design.Id;
import ableschema.core.design.Kept;
import ableschema.core.schema.Column;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Finds out of which tables and columns the statements speak that are carried along. */
final class KeptStatements {

    private final Found found;
    private final ColumnRefs refs;
    private final Map<String, List<Table>> byName = new HashMap<>();

    KeptStatements(Found found) {
        this.found = found;
        this.refs = new ColumnRefs(found);
    }

    List<Kept> all() {
        List<Carried> carried = found.schema().carried();
        if (carried.isEmpty()) {
            return List.of();
        }
        Dialect dialect = Dialects.named(carried.get(0).dialect()).orElse(Dialects.STANDARD);
        for (Table table : found.schema().tables()) {
            byName.computeIfAbsent(CarriedText.key(table.name(), dialect), name -> new ArrayList<>())
                    .add(table);
        }
        return carried.stream()
                .map(each -> new Kept(each, uses(CarriedText.names(each.sql(), dialect), dialect)))
                .toList();
    }

    private List<Kept.Use> uses(Set<String> names, Dialect dialect) {
        var uses = new ArrayList<Kept.Use>();
        for (String name : names) {
            for (Table table : byName.getOrDefault(name, List.of())) {
                Id owner = found.owner(table);
                uses.add(new Kept.Use(owner, Optional.empty(), table.name()));
                for (Column column : table.columns()) {
                    if (names.contains(CarriedText.key(column.name(), dialect))) {
                        uses.add(new Kept.Use(owner, Optional.of(refs.of(table, column.name())), column.name()));
                    }
                }
            }
        }
        return uses;
    }
}
