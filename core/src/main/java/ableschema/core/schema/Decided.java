package ableschema.core.schema;

import ableschema.core.schema.Part.Kind;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;

/**
 * What of a schema can be defined while something in it is undecided.
 *
 * @param schema  the tables with the columns that have a type, and the constraints over these
 * @param leftOut what is not in it, each said at the table that lacks it, or at the whole where the table is missing
 */
public record Decided(Schema schema, List<Remark> leftOut) {

    public Decided {
        leftOut = List.copyOf(leftOut);
    }

    /** The whole schema, the same instance, where nothing in it is undecided. */
    public static Decided of(Schema schema) {
        if (schema.tables().stream().allMatch(Table::isDecided)) {
            return new Decided(schema, List.of());
        }
        var leftOut = new ArrayList<Remark>();
        var tables = new ArrayList<Table>();
        for (Table table : schema.tables()) {
            Set<String> gone = undecided(table);
            if (gone.size() == table.columns().size()) {
                leftOut.add(new Remark(
                        Part.WHOLE,
                        "the table " + table.qualified() + " is left out, as none of its" + " columns has a type yet"));
            } else {
                tables.add(gone.isEmpty() ? table : without(gone, table, leftOut));
            }
        }
        var decided = schema.withTables(tables);
        return new Decided(
                schema.withTables(tables.stream()
                        .map(table -> referring(table, decided, leftOut))
                        .toList()),
                leftOut);
    }

    /** Columns without a type, and those that are computed from them. */
    private static Set<String> undecided(Table table) {
        var gone = new HashSet<String>();
        boolean more = true;
        while (more) {
            more = false;
            for (Column column : table.columns()) {
                boolean open = column.isUndecided()
                        || column.filling().expression().columns().anyMatch(gone::contains);
                more |= open && gone.add(column.name());
            }
        }
        return gone;
    }

    private static Table without(Set<String> gone, Table table, List<Remark> leftOut) {
        Predicate<List<String>> whole = columns -> columns.stream().noneMatch(gone::contains);
        table.columns().stream()
                .map(Column::name)
                .filter(gone::contains)
                .forEach(name -> leftOut.add(
                        new Remark(table.part(), "the column " + name + " is left out, as it has no type yet")));
        table.primaryKey()
                .filter(key -> !whole.test(key.columns()))
                .ifPresent(key -> leftOut.add(leftOut(table, Kind.PRIMARY_KEY, key.name())));
        table.foreignKeys().stream()
                .filter(key -> !whole.test(key.columns()))
                .forEach(key -> leftOut.add(leftOut(table, Kind.FOREIGN_KEY, key.name())));
        table.uniques().stream()
                .filter(unique -> !whole.test(unique.columns()))
                .forEach(unique -> leftOut.add(leftOut(table, Kind.UNIQUE, unique.name())));
        table.checks().stream()
                .filter(check -> !whole.test(check.expression().columns().toList()))
                .forEach(check -> leftOut.add(leftOut(table, Kind.CHECK, check.name())));
        table.indexes().stream()
                .filter(index -> !whole.test(index.mentioned().toList()))
                .forEach(index -> leftOut.add(leftOut(table, Kind.INDEX, index.name())));
        return new Table(
                table.qualified(),
                table.comment(),
                table.columns().stream()
                        .filter(column -> !gone.contains(column.name()))
                        .toList(),
                table.primaryKey().filter(key -> whole.test(key.columns())),
                table.foreignKeys().stream()
                        .filter(key -> whole.test(key.columns()))
                        .toList(),
                table.uniques().stream()
                        .filter(unique -> whole.test(unique.columns()))
                        .toList(),
                table.checks().stream()
                        .filter(check -> whole.test(check.expression().columns().toList()))
                        .toList(),
                table.indexes().stream()
                        .filter(index -> whole.test(index.mentioned().toList()))
                        .toList(),
                table.options());
    }

    private static Remark leftOut(Table table, Kind kind, String name) {
        String sort =
                switch (kind) {
                    case PRIMARY_KEY -> "primary key";
                    case FOREIGN_KEY -> "foreign key";
                    case UNIQUE -> "unique constraint";
                    case CHECK -> "check";
                    default -> "index";
                };
        return new Remark(table.part(), "the " + sort + " " + name + " is left out with it");
    }

    /** A table with those of its foreign keys that have something to refer to. */
    private static Table referring(Table table, Schema decided, List<Remark> leftOut) {
        List<ForeignKey> kept =
                table.foreignKeys().stream().filter(key -> isKey(key, decided)).toList();
        if (kept.size() == table.foreignKeys().size()) {
            return table;
        }
        table.foreignKeys().stream()
                .filter(key -> !kept.contains(key))
                .forEach(key -> leftOut.add(new Remark(
                        table.part(),
                        "the foreign key " + key.name() + " is left out, as the key that it refers to is not decided"
                                + " yet")));
        return table.withForeignKeys(kept);
    }

    private static boolean isKey(ForeignKey key, Schema decided) {
        return decided.table(key.target()).stream()
                .anyMatch(target -> target.primaryKey()
                                .filter(primary -> primary.columns().equals(key.targetColumns()))
                                .isPresent()
                        || target.uniques().stream()
                                .anyMatch(unique -> unique.columns().equals(key.targetColumns())));
    }
}
