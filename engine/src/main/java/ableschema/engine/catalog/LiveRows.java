package ableschema.engine.catalog;

import ableschema.core.ddl.ReadRows;
import ableschema.core.schema.Column;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import ableschema.core.sql.dialect.Ability;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.types.DataType;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** The first rows of tables, by their keys, and how many rows there are. */
final class LiveRows {

    private static final int LONGEST = 4000;

    private final Asking asking;
    private final Dialect dialect;
    private final Schema schema;

    LiveRows(Asking asking, Dialect dialect, Schema schema) {
        this.asking = asking;
        this.dialect = dialect;
        this.schema = schema;
    }

    List<ReadRows> first() throws SQLException {
        var all = new ArrayList<ReadRows>();
        if (asking.wanted().rows() > 0) {
            for (Table table : schema.tables()) {
                all.add(first(table));
            }
        }
        return all;
    }

    private ReadRows first(Table table) throws SQLException {
        asking.step();
        String order = table.primaryKey()
                .map(key -> " ORDER BY "
                        + String.join(
                                ", ",
                                key.columns().stream().map(dialect::quoted).toList()))
                .orElse("");
        List<String> columns = table.columns().stream()
                .map(each -> dialect.quoted(each.name()))
                .toList();
        var rows = new ArrayList<Map<String, String>>();
        try (Statement statement = asking.connection().createStatement()) {
            statement.setMaxRows(asking.wanted().rows());
            try (ResultSet found = statement.executeQuery(
                    "SELECT " + String.join(", ", columns) + " FROM " + name(table.qualified()) + order)) {
                while (found.next()) {
                    rows.add(row(table, found));
                }
            }
        }
        return new ReadRows(table.qualified(), rows);
    }

    private Map<String, String> row(Table table, ResultSet found) throws SQLException {
        var row = new LinkedHashMap<String, String>();
        for (int i = 0; i < table.columns().size(); i++) {
            Column column = table.columns().get(i);
            value(column, found, i + 1).ifPresent(value -> row.put(column.name(), value));
        }
        return row;
    }

    /** A value as one types it; one that is very long is no sample and is left out. */
    private Optional<String> value(Column column, ResultSet found, int place) throws SQLException {
        DataType type = schema.resolved(column.type());
        if (type instanceof DataType.Bytes) {
            byte[] bytes = found.getBytes(place);
            return bytes == null || bytes.length > LONGEST / 2
                    ? Optional.empty()
                    : Optional.of(HexFormat.of().formatHex(bytes));
        }
        if (type == DataType.Simple.YES_NO) {
            boolean yes = found.getBoolean(place);
            return found.wasNull() ? Optional.empty() : Optional.of(yes ? "yes" : "no");
        }
        String text = found.getString(place);
        return text == null || text.length() > LONGEST ? Optional.empty() : Optional.of(text);
    }

    private String name(TableName table) {
        boolean qualified = !table.namespace().isEmpty() && dialect.can(Ability.NAMESPACES);
        return (qualified ? dialect.quoted(table.namespace()) + "." : "") + dialect.quoted(table.name());
    }

    /** Those of the tables that the database knows of, by what it calls schema and table. */
    Map<TableName, Long> sizes() throws SQLException {
        Optional<String> query = query();
        var sizes = new LinkedHashMap<TableName, Long>();
        if (query.isEmpty()) {
            return sizes;
        }
        Map<String, TableName> names = new LinkedHashMap<>();
        schema.tables().forEach(table -> names.put(key(table.namespace(), table.name()), table.qualified()));
        try (Rows rows = asking.rows(query.get())) {
            while (rows.next()) {
                String name = rows.text("name");
                TableName its = names.getOrDefault(key(rows.text("namespace"), name), names.get(key("", name)));
                if (its != null && rows.number("size") >= 0) {
                    sizes.put(its, rows.number("size"));
                }
            }
        }
        return sizes;
    }

    private static String key(String namespace, String name) {
        return (namespace + "." + name).toLowerCase(Locale.ROOT);
    }

    private Optional<String> query() {
        return switch (dialect.name()) {
            case "postgresql" ->
                Optional.of(
                        "SELECT n.nspname AS namespace, c.relname AS name, c.reltuples::bigint AS size"
                                + " FROM pg_class c JOIN pg_namespace n ON n.oid = c.relnamespace WHERE c.relkind IN ('r', 'p')");
            case "mysql", "mariadb" ->
                Optional.of(
                        "SELECT '' AS namespace, table_name AS name, table_rows AS size FROM information_schema.tables"
                                + " WHERE table_schema" + MySqlDefinitions.HERE + " AND table_rows IS NOT NULL");
            case "h2" ->
                Optional.of("SELECT table_schema AS namespace, table_name AS name, row_count_estimate AS size"
                        + " FROM information_schema.tables WHERE table_type IN ('BASE TABLE', 'SYSTEM VERSIONED')");
            default -> Optional.empty(); // whoever must count for it is not asked
        };
    }
}
