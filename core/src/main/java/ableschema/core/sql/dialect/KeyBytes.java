package ableschema.core.sql.dialect;

import ableschema.core.schema.Column;
import ableschema.core.schema.Table;
import ableschema.core.types.DataType;
import java.util.List;
import java.util.stream.Stream;

/** How long a text, or bytes, without a limit may be in MySQL and MariaDB, so that every key and index that it is in has room for it. */
final class KeyBytes {

    /** What a key of InnoDB holds, in bytes. */
    static final int MOST = 3072;

    private static final int PER_CHARACTER = 4;

    /** No number, date or moment takes more than this. */
    private static final int OTHER = 16;

    /** A key for which there is no room with so many bytes is refused by the database anyway. */
    private static final int LEAST = 128;

    private KeyBytes() {}

    /** The most characters for a column that is in some key or index of its table. */
    static int charactersIn(Table table, Column column) {
        return bytesIn(table, column) / PER_CHARACTER;
    }

    /** The most bytes for a column that is in some key or index of its table. */
    static int bytesIn(Table table, Column column) {
        return keys(table)
                .filter(key -> key.contains(column.name()))
                .mapToInt(key -> share(table, key))
                .min()
                .orElse(MOST);
    }

    private static Stream<List<String>> keys(Table table) {
        return Stream.of(
                        table.primaryKey().stream().map(Table.PrimaryKey::columns),
                        table.uniques().stream().map(Table.UniqueConstraint::columns),
                        table.foreignKeys().stream().map(key -> key.columns()),
                        table.indexes().stream()
                                .filter(index -> !SearchIndexes.is(index))
                                .map(index -> index.mentioned().toList()))
                .flatMap(keys -> keys);
    }

    /** How many bytes each column without a limit has, where the others of the key have what they need. */
    private static int share(Table table, List<String> key) {
        int left = MOST;
        int unlimited = 0;
        for (String name : key) {
            DataType type = table.column(name).map(Column::type).orElse(DataType.Simple.DATE);
            if (type instanceof DataType.Text text) {
                left -= text.max() * PER_CHARACTER;
                unlimited += text.max() == 0 ? 1 : 0;
            } else if (type instanceof DataType.Bytes bytes) {
                left -= bytes.max();
                unlimited += bytes.max() == 0 ? 1 : 0;
            } else if (type instanceof DataType.InDomain) {
                unlimited++; // as it may be
            } else {
                left -= OTHER;
            }
        }
        return Math.max(LEAST, left / Math.max(1, unlimited));
    }
}
