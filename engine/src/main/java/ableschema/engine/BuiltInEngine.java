package ableschema.engine;

import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.List;

/** A database that runs inside this program, in memory, so that a script can be tried without any server. */
public enum BuiltInEngine {
    H2(Dialects.H2, "jdbc:h2:mem:"),
    SQLITE(Dialects.SQLITE, "jdbc:sqlite::memory:");

    public static final List<BuiltInEngine> ALL = List.of(values());

    private final Dialect dialect;
    private final String url;

    BuiltInEngine(Dialect dialect, String url) {
        this.dialect = dialect;
        this.url = url;
    }

    public Dialect dialect() {
        return dialect;
    }

    /** Opens an empty database that is gone when the connection is closed. */
    public Connection open() throws SQLException {
        return DriverManager.getConnection(url);
    }
}
