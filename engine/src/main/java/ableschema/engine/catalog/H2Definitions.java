package ableschema.engine.catalog;

import java.sql.Connection;
import java.sql.SQLException;

/** H2 writes its own script. */
record H2Definitions(Connection connection) implements Definitions {

    @Override
    public String sql() throws SQLException {
        var sql = new StringBuilder();
        try (Rows rows = new Rows(connection, "SCRIPT NODATA NOPASSWORDS NOSETTINGS")) {
            while (rows.next()) {
                String line = rows.text("SCRIPT");
                boolean ofUsers = line.startsWith("CREATE USER") || line.startsWith("CREATE ROLE");
                sql.append(ofUsers ? "" : line).append('\n');
            }
        }
        return sql.toString();
    }
}
