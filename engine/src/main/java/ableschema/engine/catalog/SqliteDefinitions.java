package ableschema.engine.catalog;

import java.sql.SQLException;

/** SQLite keeps its definitions as they were written. */
record SqliteDefinitions(Asking asking) implements Definitions {

    @Override
    public String sql() throws SQLException {
        var sql = new StringBuilder();
        try (Rows rows = asking.rows(
                "SELECT sql FROM sqlite_master WHERE sql IS NOT NULL AND name NOT LIKE 'sqlite\\_%' ESCAPE '\\'"
                        + " ORDER BY CASE type WHEN 'table' THEN 1 WHEN 'index' THEN 2 ELSE 3 END, rowid")) {
            while (rows.next()) {
                sql.append(rows.text("sql")).append(";\n");
            }
        }
        return sql.toString();
    }
}
