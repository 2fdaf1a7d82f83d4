package ableschema.core.reverse;

import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.schema.Table.TableIndex;
import ableschema.core.schema.Table.UniqueConstraint;
import ableschema.core.schema.TableName;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Unique indexes that foreign keys lead to, as the unique constraints that they are to them. */
final class AlternateKeys {

    private AlternateKeys() {}

    /** The schema in which they are constraints; the same where no foreign key leads to an index alone. */
    static Schema asConstraints(Schema schema) {
        var wanted = new HashMap<TableName, Set<Set<String>>>();
        for (Table table : schema.tables()) {
            for (ForeignKey key : table.foreignKeys()) {
                wanted.computeIfAbsent(key.target(), name -> new HashSet<>()).add(Set.copyOf(key.targetColumns()));
            }
        }
        List<Table> tables = schema.tables().stream()
                .map(table -> withConstraints(table, wanted.getOrDefault(table.qualified(), Set.of())))
                .toList();
        return tables.equals(schema.tables()) ? schema : schema.withTables(tables);
    }

    private static Table withConstraints(Table table, Set<Set<String>> wanted) {
        var uniques = new ArrayList<>(table.uniques());
        var indexes = new ArrayList<TableIndex>();
        var known = new HashSet<Set<String>>();
        table.primaryKey().ifPresent(key -> known.add(Set.copyOf(key.columns())));
        uniques.forEach(unique -> known.add(Set.copyOf(unique.columns())));
        for (TableIndex index : table.indexes()) {
            Optional<List<String>> columns = keyOf(index).filter(each -> wanted.contains(Set.copyOf(each)));
            if (columns.isPresent() && known.add(Set.copyOf(columns.get()))) {
                uniques.add(new UniqueConstraint(index.name(), columns.get(), Map.of()));
            } else {
                indexes.add(index);
            }
        }
        return indexes.size() == table.indexes().size()
                ? table
                : new Table(
                        table.qualified(),
                        table.comment(),
                        table.columns(),
                        table.primaryKey(),
                        table.foreignKeys(),
                        uniques,
                        table.checks(),
                        indexes,
                        table.options());
    }

    /** The columns of which no two rows have the same; empty where it is not unique, or not over whole columns of all rows. */
    private static Optional<List<String>> keyOf(TableIndex index) {
        List<String> columns = index.columns().stream()
                .flatMap(column -> column.value().asColumn().stream())
                .toList();
        return index.unique()
                        && !index.only().isPresent()
                        && index.options().isEmpty()
                        && columns.size() == index.columns().size()
                ? Optional.of(columns)
                : Optional.empty();
    }
}
