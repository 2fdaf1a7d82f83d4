package ableschema.engine;

import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import io.zonky.test.db.postgres.embedded.EmbeddedPostgres;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.UUID;

/** The engines that tests put scripts to; each opens an empty database. PostgreSQL is a real server, started once. */
enum RealEngine {
    POSTGRESQL(Dialects.POSTGRESQL) {
        @Override
        Connection open() throws SQLException {
            String database = "t" + UUID.randomUUID().toString().replace("-", "");
            try (Connection connection = Server.RUNNING.getPostgresDatabase().getConnection();
                    Statement statement = connection.createStatement()) {
                statement.execute("CREATE DATABASE " + database + " ENCODING 'UTF8' TEMPLATE template0");
            }
            return Server.RUNNING.getDatabase("postgres", database).getConnection();
        }
    },
    H2(Dialects.H2) {
        @Override
        Connection open() throws SQLException {
            return BuiltInEngine.H2.open();
        }
    },
    SQLITE(Dialects.SQLITE) {
        @Override
        Connection open() throws SQLException {
            return BuiltInEngine.SQLITE.open();
        }
    };

    private final Dialect dialect;

    RealEngine(Dialect dialect) {
        this.dialect = dialect;
    }

    Dialect dialect() {
        return dialect;
    }

    abstract Connection open() throws SQLException;

    /** Started at the first use; stops with the process. */
    private static final class Server {
        static final EmbeddedPostgres RUNNING = start();

        private static EmbeddedPostgres start() {
            try {
                return EmbeddedPostgres.builder()
                        .setServerConfig("fsync", "off")
                        .start();
            } catch (IOException e) {
                throw new UncheckedIOException("while starting the PostgreSQL of the tests", e);
            }
        }
    }
}
