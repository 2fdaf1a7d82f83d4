package ableschema.bench;

import ableschema.core.ddl.SqlRead;
import ableschema.engine.catalog.Catalog;
import io.zonky.test.db.postgres.embedded.EmbeddedPostgres;
import java.io.IOException;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Warmup;

/**
 * A live PostgreSQL with 1,000 tables of 12 columns, two foreign keys and an index each: its catalogue read as tables, and, as a base,
 * four tables of the catalogue fetched whole.
 */
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@State(Scope.Benchmark)
@Warmup(iterations = 3, time = 3)
@Measurement(iterations = 5, time = 3)
@Fork(1)
public class CatalogBenchmark {

    private static final int TABLES = 1_000;
    private static final int COLUMNS = 12;
    private static final List<String> WHOLE = List.of("pg_class", "pg_attribute", "pg_constraint", "pg_index");

    private @Nullable EmbeddedPostgres server;
    private @Nullable Connection connection;

    @Setup
    public void make() throws IOException, SQLException {
        server = EmbeddedPostgres.builder().start();
        connection = server.getPostgresDatabase().getConnection();
        try (Statement statement = connection().createStatement()) {
            for (int i = 0; i < TABLES; i++) {
                statement.execute(table(i));
                statement.execute("CREATE INDEX part_" + i + "_by ON part_" + i + " (c3, c4)");
            }
            statement.execute("ANALYZE");
        }
    }

    private static String table(int number) {
        var sql = new StringBuilder("CREATE TABLE part_" + number + " (id integer PRIMARY KEY");
        for (int i = 3; i <= COLUMNS; i++) {
            sql.append(", c" + i
                    + (i % 3 == 0 ? " varchar(40) NOT NULL" : i % 3 == 1 ? " numeric(8,2) DEFAULT 0" : " date"));
        }
        for (String role : List.of("before", "hub")) {
            int target = role.equals("before") ? Math.max(0, number - 1) : number % 20;
            sql.append(", " + role + "_id integer REFERENCES part_" + Math.min(target, number));
        }
        return sql.append(")").toString();
    }

    private Connection connection() {
        if (connection == null) {
            throw new IllegalStateException("the server is started first");
        }
        return connection;
    }

    @TearDown
    public void stop() throws IOException, SQLException {
        connection().close();
        if (server != null) {
            server.close();
        }
    }

    @Benchmark
    public SqlRead catalogue() throws SQLException {
        return Catalog.read(connection());
    }

    /** The base: all rows and columns of four tables of the catalogue. */
    @Benchmark
    public long fetchedWhole() throws SQLException {
        long seen = 0;
        try (Statement statement = connection().createStatement()) {
            for (String each : WHOLE) {
                try (ResultSet rows = statement.executeQuery("SELECT * FROM " + each)) {
                    int columns = rows.getMetaData().getColumnCount();
                    while (rows.next()) {
                        for (int i = 1; i <= columns; i++) {
                            seen += rows.getString(i) == null ? 0 : 1;
                        }
                    }
                }
            }
        }
        return seen;
    }
}
