package ableschema.core.sql.dialect;

import ableschema.core.schema.Column;
import ableschema.core.schema.Table;

/** Whether a column is part of a key or an index of its table, or of a foreign key. */
final class Keyed {

    private Keyed() {}

    static boolean is(Table table, Column column) {
        String name = column.name();
        return table.isInKey(column)
                || table.uniques().stream().anyMatch(unique -> unique.columns().contains(name))
                || table.foreignKeys().stream().anyMatch(key -> key.columns().contains(name))
                || table.indexes().stream().anyMatch(index -> index.columns().stream()
                        .flatMap(part -> part.value().columns())
                        .anyMatch(name::equals));
    }
}
