package ableschema.engine;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.engine.catalog.Catalog;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Proxy;
import java.sql.Connection;
import java.sql.Statement;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A database is read in as many queries as a smaller one. */
class CatalogQueriesTest {

    private static final int MOST = 20;

    /** The same connection, where each statement that is made is counted. */
    private static Connection counting(Connection connection, AtomicInteger statements) {
        return (Connection) Proxy.newProxyInstance(
                Connection.class.getClassLoader(), new Class<?>[] {Connection.class}, (proxy, method, arguments) -> {
                    boolean makes = method.getName().startsWith("prepare")
                            || method.getName().equals("createStatement");
                    statements.addAndGet(makes ? 1 : 0);
                    try {
                        return method.invoke(connection, arguments);
                    } catch (InvocationTargetException e) {
                        throw e.getCause();
                    }
                });
    }

    private static void make(Connection connection, int from, int to) throws Exception {
        try (Statement statement = connection.createStatement()) {
            for (int i = from; i < to; i++) {
                statement.execute("CREATE TABLE t" + i
                        + " (id int NOT NULL PRIMARY KEY, before_id int, label varchar(40) UNIQUE,"
                        + " CHECK (id > 0), FOREIGN KEY (before_id) REFERENCES t" + Math.max(0, i - 1) + " (id))");
                statement.execute("CREATE INDEX i" + i + " ON t" + i + " (label, id)");
            }
        }
    }

    @ParameterizedTest
    @EnumSource
    void the_number_of_queries_does_not_grow_with_the_tables(RealEngine engine) throws Exception {
        try (Connection connection = engine.open()) {
            make(connection, 0, 3);
            var few = new AtomicInteger();
            assertThat(Catalog.read(counting(connection, few)).counts().foreignKeys())
                    .isEqualTo(3);
            make(connection, 3, 120);
            var many = new AtomicInteger();
            var counts = Catalog.read(counting(connection, many)).counts();

            assertThat(counts.tables()).isEqualTo(120);
            assertThat(counts.primaryKeys()).isEqualTo(120);
            assertThat(counts.foreignKeys()).isEqualTo(120);
            assertThat(counts.uniques()).isEqualTo(120);
            assertThat(counts.checks()).isEqualTo(120);
            assertThat(many).hasValue(few.get()).hasValueLessThanOrEqualTo(MOST);
        }
    }
}
