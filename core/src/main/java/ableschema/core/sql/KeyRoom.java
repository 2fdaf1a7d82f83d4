package ableschema.core.sql;

import ableschema.core.schema.Column;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.DialectOption;
import ableschema.core.types.DataType;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Keys and indexes of a table that may grow wider than a database lets them be, which it refuses to make. */
final class KeyRoom {

    private final Dialect dialect;
    private final Schema schema;
    private final Table table;

    KeyRoom(Dialect dialect, Schema schema, Table table) {
        this.dialect = dialect;
        this.schema = schema;
        this.table = table;
    }

    /** How much a key over these columns takes, and how much it may, in words; empty where it fits. */
    Optional<String> beyond(List<String> columns) {
        int room = dialect.traits().keyRoom();
        if (room == 0) {
            return Optional.empty();
        }
        long bytes = columns.stream()
                .flatMap(name -> table.column(name).stream())
                .mapToLong(this::bytes)
                .sum();
        return bytes > room
                ? Optional.of(
                        String.format(Locale.ROOT, "it may take %,d bytes, and there is room for %,d", bytes, room))
                : Optional.empty();
    }

    /**
     * How many characters, or bytes, of each text an index over these columns may be over so that it fits, where the database has
     * indexes over the beginning of a text; empty where it fits as it is.
     */
    Map<String, Long> beginnings(List<String> columns) {
        boolean can = dialect.traits().options().stream()
                .anyMatch(option -> option.name().equals(DialectOption.KEY_LENGTH));
        if (!can || beyond(columns).isEmpty()) {
            return Map.of();
        }
        List<Column> all =
                columns.stream().flatMap(name -> table.column(name).stream()).toList();
        List<Column> cut = all.stream().filter(this::canBeCut).toList();
        long fixed = all.stream()
                .filter(column -> !canBeCut(column))
                .mapToLong(this::bytes)
                .sum();
        long share = (dialect.traits().keyRoom() - fixed) / Math.max(1, cut.size());
        return cut.stream()
                .filter(column -> bytes(column) > share)
                .collect(Collectors.toMap(Column::name, column -> share / perSign(column)));
    }

    private boolean canBeCut(Column column) {
        DataType type = schema.resolved(column.type());
        return type instanceof DataType.Text || type instanceof DataType.Bytes;
    }

    private int perSign(Column column) {
        return schema.resolved(column.type()) instanceof DataType.Text ? dialect.bytesOfCharacter(table, column) : 1;
    }

    private long bytes(Column column) {
        boolean asFound = dialect.has(column.options(), DialectOption.TYPE)
                || dialect.has(column.options(), DialectOption.KEY_LENGTH);
        DataType type = schema.resolved(column.type());
        boolean shortened =
                !dialect.columnType(table, schema.resolved(column), type).equals(dialect.type(type));
        if (asFound || shortened) {
            return 0;
        }
        if (type instanceof DataType.Text text) {
            return (long) text.max() * perSign(column);
        }
        return type instanceof DataType.Bytes bytes
                ? bytes.max()
                : dialect.form(type).bytes();
    }
}
