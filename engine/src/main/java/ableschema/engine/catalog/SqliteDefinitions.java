package ableschema.engine.catalog;

import java.sql.SQLException;

/** SQLite keeps its definitions as they were written. */
record SqliteDefinitions(Asking asking) implements Definitions {

    @Override
    public String sql() throws SQLException {
        var sql = new StringBuilder();
        try (Rows rows = asking.rows(
                "SELECT sql FROM sqlite_master WHERE sql IS NOT NULL AND name NOT LIKE 'sqlite\\_%' ESCAPE '\\'"
                        // the tables in which a virtual table keeps what it holds
                        + " AND name NOT IN (SELECT name FROM pragma_table_list WHERE type = 'shadow')"
                        + " ORDER BY CASE type WHEN 'table' THEN 1 WHEN 'index' THEN 2 ELSE 3 END, rowid")) {
            while (rows.next()) {
                sql.append(rows.text("sql")).append(";\n");
            }
        }
        return sql.toString();
    }
}
