package ableschema.engine.catalog;

import ableschema.core.sql.dialect.Dialect;
import java.sql.SQLException;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** The definitions that MySQL and MariaDB keep of the database in use, in fourteen queries. */
final class MySqlDefinitions implements Definitions {

    static final String HERE = " = database()";
    private static final Pattern CALL = Pattern.compile("(?i)(current_timestamp|now|uuid|curdate|curtime)\\b.*");
    private static final Pattern NUMBER = Pattern.compile("-?[0-9.]+(e-?[0-9]+)?");

    /** How a table is kept, as it was asked for. */
    private static final Pattern SETTING = Pattern.compile(
            "(?i)\\b(?:row_format|avg_row_length|checksum|max_rows|min_rows|pack_keys|key_block_size|stats_persistent|stats_auto_recalc"
                    + "|stats_sample_pages|delay_key_write|page_checksum|transactional)=\\w+");

    private final Asking asking;
    private final Dialect dialect;
    private final boolean mariadb;
    private final Map<String, Table> tables = new LinkedHashMap<>();

    MySqlDefinitions(Asking asking, Dialect dialect) {
        this.asking = asking;
        this.dialect = dialect;
        this.mariadb = dialect.name().equals("mariadb");
    }

    /** What stands in the catalogue for a character of four bytes, in a table; of what is carried along one sign stands for it. */
    private static final String LOST = "????";

    /** A table while its parts come in, query by query. */
    private static final class Table {
        private final StringBuilder elements = new StringBuilder();
        private final Map<String, String> checksOfColumns = new LinkedHashMap<>();

        /** Takes the check that stands with a column, which may have been renamed; empty where there is none. */
        private String checkOf(String column) {
            String spoken = quoted(column);
            Optional<String> key = checksOfColumns.entrySet().stream()
                    .filter(check -> check.getValue().contains(spoken)
                            && (check.getKey().equals(column)
                                    || !check.getValue().contains(quoted(check.getKey()))))
                    .map(Map.Entry::getKey)
                    .findFirst();
            return key.map(checksOfColumns::remove).orElse("");
        }

        private String end = "";
        private String collation = "";

        void add(String element) {
            elements.append(elements.length() == 0 ? "\n  " : ",\n  ").append(element);
        }
    }

    @Override
    public String sql() throws SQLException {
        tables();
        checksOfColumns();
        columns();
        indexes();
        checks();
        foreignKeys();
        MySqlPartitions.read(asking).forEach((name, clause) -> {
            Table cut = tables.get(name);
            if (cut != null) {
                cut.end += clause;
            }
        });
        var sql = new StringBuilder();
        for (Map.Entry<String, Table> each : tables.entrySet()) {
            Table table = each.getValue();
            String definition = "CREATE TABLE " + quoted(each.getKey()) + " (" + table.elements + "\n)" + table.end;
            sql.append(whole("TABLE", each.getKey(), definition) + ";\n");
        }
        new MySqlBeside(asking, this).write(sql);
        return sql.toString();
    }

    /**
     * A definition as the server prints it, where the catalogue, which knows three bytes of a character, has lost one of four.
     *
     * @param kind of what is defined: TABLE, VIEW, TRIGGER, FUNCTION, PROCEDURE or EVENT
     */
    String whole(String kind, String name, String definition) throws SQLException {
        if (!definition.contains(kind.equals("TABLE") ? LOST : "?")) {
            return definition;
        }
        try (Rows rows = asking.rows("SHOW CREATE " + kind + " " + quoted(name))) {
            String column = kind.equals("TRIGGER") ? "SQL Original Statement" : "Create " + kind;
            return rows.next() && !rows.isNull(column) ? rows.text(column) : definition;
        }
    }

    static String quoted(String name) {
        return "`" + name.replace("`", "``") + "`";
    }

    String text(String text) {
        return dialect.text(text);
    }

    private void tables() throws SQLException {
        try (Rows rows = asking.rows(
                "SELECT t.table_name AS name, t.engine AS engine, t.table_collation AS collation, t.table_comment AS comment,"
                        + " t.create_options AS options, t.table_type = 'SYSTEM VERSIONED' AS versioned, IF(t.table_rows = 0, t.auto_increment, 1) AS first, @@collation_database AS usual FROM information_schema.tables t"
                        + " WHERE t.table_schema" + HERE
                        + " AND t.table_type IN ('BASE TABLE', 'SYSTEM VERSIONED') ORDER BY t.table_name")) {
            while (rows.next()) {
                var table = new Table();
                table.collation = rows.text("collation");
                table.end = (rows.text("engine").equalsIgnoreCase("InnoDB") ? "" : " ENGINE=" + rows.text("engine"))
                        + (table.collation.equals(rows.text("usual")) ? "" : " COLLATE=" + table.collation)
                        + settings(rows.text("options"))
                        + (rows.flag("versioned") ? " WITH SYSTEM VERSIONING" : "")
                        + (rows.number("first") > 1 ? " AUTO_INCREMENT=" + rows.text("first") : "")
                        + (rows.text("comment").isEmpty() ? "" : " COMMENT=" + text(rows.text("comment")));
                tables.put(rows.text("name"), table);
            }
        }
    }

    private static String settings(String options) {
        return SETTING.matcher(options)
                .results()
                .map(setting -> " " + setting.group().toUpperCase(Locale.ROOT))
                .collect(Collectors.joining());
    }

    /** Some checks stand with their column and have the name that it was given at first. */
    private void checksOfColumns() throws SQLException {
        if (!mariadb) {
            return;
        }
        try (Rows rows =
                asking.rows("SELECT table_name AS name, constraint_name AS constraint_name, check_clause AS clause"
                        + " FROM information_schema.check_constraints WHERE constraint_schema" + HERE
                        + " AND level = 'Column'")) {
            while (rows.next()) {
                Table table = tables.get(rows.text("name"));
                if (table != null) {
                    table.checksOfColumns.put(rows.text("constraint_name"), rows.text("clause"));
                }
            }
        }
    }

    private void columns() throws SQLException {
        try (Rows rows = asking.rows(
                "SELECT table_name AS name, column_name AS column_name, column_type AS type, is_nullable AS nullable,"
                        + " column_default AS filled, extra AS extra, generation_expression AS expression,"
                        + " column_comment AS comment, collation_name AS collation FROM information_schema.columns"
                        + " WHERE table_schema" + HERE + " ORDER BY table_name, ordinal_position")) {
            while (rows.next()) {
                Table table = tables.get(rows.text("name"));
                if (table != null) {
                    table.add(column(table, rows));
                }
            }
        }
    }

    private String column(Table table, Rows rows) throws SQLException {
        String name = rows.text("column_name");
        String extra = rows.text("extra").toLowerCase(Locale.ROOT);
        String check = table.checkOf(name);
        boolean json = check.equalsIgnoreCase("json_valid(" + quoted(name) + ")");
        var column = new StringBuilder(quoted(name)).append(' ').append(json ? "json" : rows.text("type"));
        if (!json && !rows.isNull("collation") && !rows.text("collation").equals(table.collation)) {
            column.append(" COLLATE ").append(rows.text("collation"));
        }
        if (!rows.text("expression").isEmpty()) {
            column.append(
                    " AS (" + rows.text("expression") + ") " + (extra.contains("virtual") ? "VIRTUAL" : "STORED"));
        }
        column.append(rows.text("nullable").equals("NO") ? " NOT NULL" : "");
        if (!rows.isNull("filled") && rows.text("expression").isEmpty()) {
            column.append(" DEFAULT ").append(filled(rows.text("filled"), extra));
        }
        column.append(extra.contains("auto_increment") ? " AUTO_INCREMENT" : "");
        int update = extra.indexOf("on update ");
        column.append(update < 0 ? "" : " " + extra.substring(update).replaceFirst(",? *invisible", ""));
        column.append(extra.contains("invisible") ? " INVISIBLE" : "");
        column.append(rows.text("comment").isEmpty() ? "" : " COMMENT " + text(rows.text("comment")));
        column.append(check.isEmpty() || json ? "" : " CHECK (" + check + ")");
        return column.toString();
    }

    /** MariaDB gives a default as SQL, MySQL a literal without its quotes. */
    private String filled(String given, String extra) {
        if (mariadb) {
            return given;
        }
        if (extra.contains("default_generated")) {
            return CALL.matcher(given).matches() ? given : "(" + given + ")";
        }
        return NUMBER.matcher(given).matches() || given.startsWith("b'") ? given : text(given);
    }

    private void indexes() throws SQLException {
        String expression = mariadb ? "NULL" : "expression";
        String before = "";
        StringBuilder index = new StringBuilder();
        String tail = "";
        String table = "";
        try (Rows rows = asking.rows(
                "SELECT statistics.*, table_name AS name, index_name AS index_name, non_unique AS several, column_name AS column_name,"
                        + " sub_part AS part, collation AS direction, index_type AS type, " + expression
                        + " AS expression"
                        + " FROM information_schema.statistics WHERE table_schema" + HERE
                        + sorted("table_name, index_name <> 'PRIMARY', index_name, seq_in_index"))) {
            while (rows.next()) {
                String key = rows.text("name") + "\u0000" + rows.text("index_name");
                if (!key.equals(before)) {
                    end(table, index, tail);
                    tail = tail(rows);
                    index.append(head(rows)).append(" (");
                    table = rows.text("name");
                    before = key;
                } else {
                    index.append(", ");
                }
                index.append(part(rows));
            }
        }
        end(table, index, tail);
    }

    /** What stands behind the parts: that no query uses it, and what is said of it. */
    private String tail(Rows rows) throws SQLException {
        boolean unused = rows.textIfKnown("ignored").equals("YES")
                || rows.textIfKnown("is_visible").equals("NO");
        String comment = rows.textIfKnown("index_comment");
        return (comment.isEmpty() ? "" : " COMMENT " + text(comment))
                + (unused ? mariadb ? " IGNORED" : " INVISIBLE" : "");
    }

    private void end(String name, StringBuilder index, String tail) {
        Table table = tables.get(name);
        if (table != null && index.length() > 0) {
            table.add(index + ")" + tail);
        }
        index.setLength(0);
    }

    private static String head(Rows rows) throws SQLException {
        String name = rows.text("index_name");
        if (name.equals("PRIMARY")) {
            return "PRIMARY KEY";
        }
        String type = rows.text("type");
        String kind = type.equals("FULLTEXT") || type.equals("SPATIAL") ? type + " KEY " : "KEY ";
        return (rows.flag("several") ? kind : "UNIQUE KEY ")
                + quoted(name)
                + (type.equals("HASH") ? " USING HASH" : "");
    }

    private static String part(Rows rows) throws SQLException {
        String name =
                rows.isNull("column_name") ? "(" + rows.text("expression") + ")" : quoted(rows.text("column_name"));
        boolean cut = rows.number("part") > 0 && !rows.text("type").equals("SPATIAL");
        return name
                + (cut ? "(" + rows.number("part") + ")" : "")
                + (rows.text("direction").equals("D") ? " DESC" : "");
    }

    /** In MariaDB keys and checks come as they stand in their table, unless they are sorted. */
    private String sorted(String columns) {
        return mariadb ? "" : " ORDER BY " + columns;
    }

    private void checks() throws SQLException {
        String query = mariadb
                ? "SELECT table_name AS name, constraint_name AS constraint_name, check_clause AS clause"
                        + " FROM information_schema.check_constraints WHERE constraint_schema" + HERE
                        + " AND level = 'Table'"
                : "SELECT t.table_name AS name, c.constraint_name AS constraint_name, c.check_clause AS clause"
                        + " FROM information_schema.check_constraints c JOIN information_schema.table_constraints t"
                        + " ON t.constraint_schema = c.constraint_schema AND t.constraint_name = c.constraint_name"
                        + " AND t.constraint_type = 'CHECK' WHERE c.constraint_schema" + HERE;
        try (Rows rows = asking.rows(query + sorted("1, 2"))) {
            while (rows.next()) {
                Table table = tables.get(rows.text("name"));
                if (table != null) {
                    table.add("CONSTRAINT " + quoted(rows.text("constraint_name")) + " CHECK (" + rows.text("clause")
                            + ")");
                }
            }
        }
        tables.values().forEach(table -> table.checksOfColumns
                .values()
                .forEach(clause -> table.add("CHECK (" + clause + ")"))); // of which it is not seen where they stood
    }

    private void foreignKeys() throws SQLException {
        String before = "";
        var own = new StringBuilder();
        var others = new StringBuilder();
        String ends = "";
        Table table = null;
        try (Rows rows = asking.rows(
                "SELECT k.table_name AS name, k.constraint_name AS constraint_name, k.column_name AS column_name,"
                        + " k.referenced_table_schema <> k.table_schema AS elsewhere, k.referenced_table_schema AS namespace,"
                        + " k.referenced_table_name AS target, k.referenced_column_name AS target_column,"
                        + " r.delete_rule AS deleted, r.update_rule AS updated FROM information_schema.key_column_usage k"
                        + " JOIN information_schema.referential_constraints r ON r.constraint_schema = k.constraint_schema"
                        + " AND r.constraint_name = k.constraint_name AND r.table_name = k.table_name"
                        + " WHERE k.table_schema" + HERE + " AND k.referenced_table_name IS NOT NULL"
                        + " ORDER BY k.table_name, k.constraint_name, k.ordinal_position")) {
            while (rows.next()) {
                String key = rows.text("name") + "\u0000" + rows.text("constraint_name");
                if (!key.equals(before)) {
                    end(table, own, others, ends);
                    own.setLength(0);
                    others.setLength(0);
                    table = tables.get(rows.text("name"));
                    own.append("CONSTRAINT " + quoted(rows.text("constraint_name")) + " FOREIGN KEY (");
                    others.append(") REFERENCES "
                            + (rows.flag("elsewhere") ? quoted(rows.text("namespace")) + "." : "")
                            + quoted(rows.text("target")) + " (");
                    ends = ")" + action("DELETE", rows.text("deleted")) + action("UPDATE", rows.text("updated"));
                    before = key;
                } else {
                    own.append(", ");
                    others.append(", ");
                }
                own.append(quoted(rows.text("column_name")));
                others.append(quoted(rows.text("target_column")));
            }
        }
        end(table, own, others, ends);
    }

    /** MariaDB says RESTRICT of all that says nothing, and means the same by both. */
    private String action(String event, String action) {
        return mariadb && action.equals("RESTRICT") ? "" : " ON " + event + " " + action;
    }

    private static void end(@Nullable Table table, StringBuilder own, StringBuilder others, String ends) {
        if (table != null && own.length() > 0) {
            table.add(own.toString() + others + ends);
        }
    }
}
