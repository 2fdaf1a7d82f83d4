package ableschema.engine.catalog;

import java.sql.SQLException;
import java.util.LinkedHashMap;
import java.util.Map;

/** How the tables of MySQL and MariaDB are cut into parts, as it stands behind their definitions, in one query. */
final class MySqlPartitions {

    private final Map<String, Parts> tables = new LinkedHashMap<>();

    /** The parts of a table while they come in. */
    private static final class Parts {
        private String how = "";
        private String within = "";
        private int subparts;
        private final StringBuilder list = new StringBuilder();
        private int count;

        /** Whether all are called as the database calls them by itself. */
        private boolean usual = true;

        private String last = "";
    }

    /** What stands behind each table that is cut, by its name. */
    static Map<String, String> read(Asking asking) throws SQLException {
        var found = new MySqlPartitions();
        try (Rows rows = asking.rows(
                "SELECT table_name AS name, partition_name AS part, partition_method AS method, partition_expression AS expression,"
                        + " partition_description AS description, subpartition_method AS submethod,"
                        + " subpartition_expression AS subexpression FROM information_schema.partitions"
                        + " WHERE table_schema" + MySqlDefinitions.HERE + " AND partition_method IS NOT NULL"
                        + " ORDER BY table_name, partition_ordinal_position, subpartition_ordinal_position")) {
            while (rows.next()) {
                found.add(rows);
            }
        }
        var clauses = new LinkedHashMap<String, String>();
        found.tables.forEach((name, parts) -> clauses.put(name, clause(parts)));
        return clauses;
    }

    private void add(Rows rows) throws SQLException {
        Parts parts = tables.computeIfAbsent(rows.text("name"), name -> new Parts());
        String name = rows.text("part");
        if (name.equals(parts.last)) {
            parts.subparts++;
            return;
        }
        parts.how = rows.text("method") + " (" + rows.text("expression") + ")";
        parts.within = rows.isNull("submethod") ? "" : rows.text("submethod") + " (" + rows.text("subexpression") + ")";
        parts.subparts = 1;
        String description = rows.text("description");
        String values = rows.text("method").startsWith("RANGE")
                ? " VALUES LESS THAN " + (description.equals("MAXVALUE") ? description : "(" + description + ")")
                : rows.text("method").startsWith("LIST") ? " VALUES IN (" + description + ")" : "";
        parts.usual &= values.isEmpty() && name.equals("p" + parts.count);
        parts.list.append(parts.count++ == 0 ? "" : ", ").append("PARTITION ").append(MySqlDefinitions.quoted(name));
        parts.list.append(values);
        parts.last = name;
    }

    private static String clause(Parts parts) {
        String within =
                parts.within.isEmpty() ? "" : " SUBPARTITION BY " + parts.within + " SUBPARTITIONS " + parts.subparts;
        return " PARTITION BY " + parts.how
                + (parts.usual ? " PARTITIONS " + parts.count : "")
                + within
                + (parts.usual ? "" : " (" + parts.list + ")");
    }
}
