package ableschema.core.sql.dialect;

import ableschema.core.schema.Column;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.TypeForm.Kind;
import ableschema.core.types.DataType;
import java.util.Optional;

/** Whether a column is part of a key or an index of its table, or of a foreign key. */
final class Keyed {

    private Keyed() {}

    /**
     * Whether a text or bytes without a limit, or with one that is too large for a type that has one, are part of a key or an index.
     *
     * @param kind of what the column holds
     * @return which of the two
     */
    static Optional<Kind> unlimited(Kind kind, Table table, Column column, DataType base) {
        boolean is = kind == Kind.LONG_TEXT && base instanceof DataType.Text
                || kind == Kind.LONG_BYTES && base instanceof DataType.Bytes;
        return is && is(table, column) ? Optional.of(kind) : Optional.empty();
    }

    static boolean is(Table table, Column column) {
        String name = column.name();
        return table.isInKey(column)
                || table.uniques().stream().anyMatch(unique -> unique.columns().contains(name))
                || table.foreignKeys().stream().anyMatch(key -> key.columns().contains(name))
                || table.indexes().stream()
                        .anyMatch(index -> !SearchIndexes.is(index)
                                && index.columns().stream()
                                        .flatMap(part -> part.value().columns())
                                        .anyMatch(name::equals));
    }
}
