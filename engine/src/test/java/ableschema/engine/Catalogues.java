package ableschema.engine;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.schema.Column;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.types.ReferenceAction;
import java.sql.Connection;
import java.sql.DatabaseMetaData;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/** What an engine holds, read back from its catalogue and compared with the schema that the script was written from. */
final class Catalogues {

    private final Connection connection;
    private final DatabaseMetaData catalogue;
    private final RealEngine engine;

    private Catalogues(Connection connection, RealEngine engine) throws SQLException {
        this.connection = connection;
        this.catalogue = connection.getMetaData();
        this.engine = engine;
    }

    /** Fails where columns, keys, foreign keys, unique constraints or indexes are others than those of the schema. */
    static void compare(Connection connection, RealEngine engine, Schema schema, String what) throws SQLException {
        var read = new Catalogues(connection, engine);
        for (Table table : schema.tables()) {
            String name = read.tableName(table);
            assertThat(read.columns(name)).as("%s: columns of %s", what, name).isEqualTo(columns(table));
            assertThat(read.primaryKey(name))
                    .as("%s: key of %s", what, name)
                    .isEqualTo(lower(
                            table.primaryKey().map(Table.PrimaryKey::columns).orElse(List.of())));
            assertThat(read.foreignKeys(name))
                    .as("%s: foreign keys of %s", what, name)
                    .isEqualTo(foreignKeys(table, engine));
            assertThat(read.indexes(name)).as("%s: indexes of %s", what, name).containsAll(indexes(table));
        }
    }

    /** A name without quotes is folded by H2. */
    private String tableName(Table table) {
        boolean quoted = !engine.dialect().quoted(table.name()).equals(table.name());
        return engine == RealEngine.H2 && !quoted ? table.name().toUpperCase(Locale.ROOT) : table.name();
    }

    private String schemaName() throws SQLException {
        return engine == RealEngine.H2 ? "PUBLIC" : connection.getSchema();
    }

    private static List<String> lower(List<String> names) {
        return names.stream().map(name -> name.toLowerCase(Locale.ROOT)).toList();
    }

    private static List<String> columns(Table table) {
        return table.columns().stream()
                .map(column -> column.name().toLowerCase(Locale.ROOT) + (isNullable(column) ? "" : " not null"))
                .toList();
    }

    private static boolean isNullable(Column column) {
        return column.nullable();
    }

    private List<String> columns(String table) throws SQLException {
        var columns = new ArrayList<String>();
        try (ResultSet rows = catalogue.getColumns(connection.getCatalog(), schemaName(), escaped(table), "%")) {
            while (rows.next()) {
                columns.add(rows.getString("COLUMN_NAME").toLowerCase(Locale.ROOT)
                        + (rows.getInt("NULLABLE") == DatabaseMetaData.columnNullable ? "" : " not null"));
            }
        }
        return columns;
    }

    private String escaped(String name) throws SQLException {
        String escape = catalogue.getSearchStringEscape();
        return name.replace("_", escape + "_");
    }

    private List<String> primaryKey(String table) throws SQLException {
        Map<Integer, String> columns = new TreeMap<>();
        try (ResultSet rows = catalogue.getPrimaryKeys(connection.getCatalog(), schemaName(), table)) {
            while (rows.next()) {
                columns.put(rows.getInt("KEY_SEQ"), rows.getString("COLUMN_NAME"));
            }
        }
        return lower(List.copyOf(columns.values()));
    }

    private static Set<String> foreignKeys(Table table, RealEngine engine) {
        var keys = new TreeSet<String>();
        for (ForeignKey key : table.foreignKeys()) {
            keys.add(lower(key.columns()) + " -> " + key.target().name().toLowerCase(Locale.ROOT)
                    + lower(key.targetColumns()) + " "
                    + same(engine.dialect().deleting(key.onDelete()), engine) + " "
                    + same(engine.dialect().updating(key.onUpdate()), engine));
        }
        return keys;
    }

    /** Only PostgreSQL keeps the two apart in its catalogue, as its driver tells it. */
    private static ReferenceAction same(ReferenceAction action, RealEngine engine) {
        return action == ReferenceAction.RESTRICT && engine != RealEngine.POSTGRESQL
                ? ReferenceAction.NO_ACTION
                : action;
    }

    /** SQLite's driver mixes up the keys of one table that it cannot read the names of; the database itself does not. */
    private Set<String> foreignKeysOfSqlite(String table) throws SQLException {
        Map<Integer, List<String>> from = new TreeMap<>();
        Map<Integer, List<String>> to = new TreeMap<>();
        Map<Integer, String> rest = new TreeMap<>();
        Map<Integer, String> targets = new TreeMap<>();
        try (Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery(
                        "PRAGMA foreign_key_list(" + engine.dialect().quoted(table) + ")")) {
            while (rows.next()) {
                int key = rows.getInt("id");
                from.computeIfAbsent(key, k -> new ArrayList<>()).add(rows.getString("from"));
                to.computeIfAbsent(key, k -> new ArrayList<>()).add(rows.getString("to"));
                targets.put(key, rows.getString("table"));
                rest.put(key, named(rows.getString("on_delete")) + " " + named(rows.getString("on_update")));
            }
        }
        var keys = new TreeSet<String>();
        from.forEach((key, columns) -> keys.add(lower(columns) + " -> "
                + targets.getOrDefault(key, "").toLowerCase(Locale.ROOT) + lower(to.getOrDefault(key, List.of())) + " "
                + rest.get(key)));
        return keys;
    }

    private ReferenceAction named(String sql) {
        return same(ReferenceAction.valueOf(sql.replace(' ', '_')), engine);
    }

    private Set<String> foreignKeys(String table) throws SQLException {
        if (engine == RealEngine.SQLITE) {
            return foreignKeysOfSqlite(table);
        }
        Map<String, List<String[]>> parts = new TreeMap<>();
        try (ResultSet rows = catalogue.getImportedKeys(connection.getCatalog(), schemaName(), table)) {
            while (rows.next()) {
                String target = rows.getString("PKTABLE_NAME");
                String key = Optional.ofNullable(rows.getString("FK_NAME")).orElse("") + target;
                parts.computeIfAbsent(key, k -> new ArrayList<>()).add(new String[] {
                    rows.getString("KEY_SEQ"),
                    rows.getString("FKCOLUMN_NAME"),
                    target,
                    rows.getString("PKCOLUMN_NAME"),
                    action(rows.getInt("DELETE_RULE")) + " " + action(rows.getInt("UPDATE_RULE"))
                });
            }
        }
        var keys = new TreeSet<String>();
        for (List<String[]> key : parts.values()) {
            key.sort((a, b) -> Integer.compare(Integer.parseInt(a[0]), Integer.parseInt(b[0])));
            keys.add(lower(key.stream().map(part -> part[1]).toList()) + " -> "
                    + key.get(0)[2].toLowerCase(Locale.ROOT)
                    + lower(key.stream().map(part -> part[3]).toList()) + " " + key.get(0)[4]);
        }
        return keys;
    }

    private ReferenceAction action(int rule) {
        ReferenceAction action =
                switch (rule) {
                    case DatabaseMetaData.importedKeyCascade -> ReferenceAction.CASCADE;
                    case DatabaseMetaData.importedKeySetNull -> ReferenceAction.SET_NULL;
                    case DatabaseMetaData.importedKeySetDefault -> ReferenceAction.SET_DEFAULT;
                    case DatabaseMetaData.importedKeyRestrict -> ReferenceAction.RESTRICT;
                    default -> ReferenceAction.NO_ACTION;
                };
        return same(action, engine);
    }

    /** Each unique constraint and index of the schema, as its columns in order. */
    private static Set<String> indexes(Table table) {
        var indexes = new TreeSet<String>();
        table.uniques().forEach(unique -> indexes.add("unique " + lower(unique.columns())));
        table.indexes().stream()
                .filter(Table.TableIndex::isPlain)
                .forEach(index -> indexes.add((index.unique() ? "unique " : "") + lower(index.columnNames())));
        return indexes;
    }

    private Set<String> indexes(String table) throws SQLException {
        Map<String, Map<Integer, String>> columns = new TreeMap<>();
        try (ResultSet rows = catalogue.getIndexInfo(connection.getCatalog(), schemaName(), table, false, true)) {
            while (rows.next()) {
                if (rows.getString("COLUMN_NAME") != null) {
                    String name = (rows.getBoolean("NON_UNIQUE") ? "" : "unique ") + "|" + rows.getString("INDEX_NAME");
                    columns.computeIfAbsent(name, n -> new TreeMap<>())
                            .put(
                                    rows.getInt("ORDINAL_POSITION"),
                                    rows.getString("COLUMN_NAME").replace("\"", ""));
                }
            }
        }
        var indexes = new TreeSet<String>();
        columns.forEach((name, parts) ->
                indexes.add(name.substring(0, name.indexOf('|')) + lower(List.copyOf(parts.values()))));
        return indexes;
    }
}
