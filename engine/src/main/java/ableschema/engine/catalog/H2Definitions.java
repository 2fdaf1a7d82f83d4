package ableschema.engine.catalog;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;

/** H2 writes its own script. */
record H2Definitions(Asking asking) implements Definitions {

    @Override
    public String sql() throws SQLException {
        var sql = new StringBuilder();
        try (Rows rows = asking.rows("SCRIPT NODATA NOPASSWORDS NOSETTINGS" + chosen())) {
            while (rows.next()) {
                String line = rows.text("SCRIPT");
                boolean ofUsers = line.startsWith("CREATE USER") || line.startsWith("CREATE ROLE");
                sql.append(ofUsers ? "" : line).append('\n');
            }
        }
        return sql.toString();
    }

    /** The schemas that are wanted, by the names that they have in whatever letter case. */
    private String chosen() throws SQLException {
        var names = new ArrayList<String>();
        for (String each : asking.wanted().schemas()) {
            String name = each;
            try (ResultSet found = asking.connection().getMetaData().getSchemas()) {
                while (found.next()) {
                    name = found.getString("TABLE_SCHEM").equalsIgnoreCase(each)
                            ? found.getString("TABLE_SCHEM")
                            : name;
                }
            }
            names.add('"' + name.replace("\"", "\"\"") + '"');
        }
        return names.isEmpty() ? "" : " SCHEMA " + String.join(", ", names);
    }
}
