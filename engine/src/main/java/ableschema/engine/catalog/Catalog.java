package ableschema.engine.catalog;

import ableschema.core.ddl.SqlRead;
import ableschema.core.ddl.SqlReader;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.Locale;
import java.util.function.IntConsumer;

/** Reads what a database says that it has. */
public final class Catalog {

    private Catalog() {}

    /**
     * Reads the tables and named types of a database, and lists what else is in it. Nothing is changed.
     *
     * @throws SQLException where the database does not answer
     */
    public static SqlRead read(Connection connection) throws SQLException {
        return read(connection, Wanted.DEFINITIONS, asked -> {}).read();
    }

    /**
     * The same for some of its schemas, with how many rows there are and, on request, the first of them.
     *
     * @param progress told how many questions were asked; where the thread is interrupted, no more is, and a {@link
     *                 java.util.concurrent.CancellationException} says so
     */
    public static CatalogRead read(Connection connection, Wanted wanted, IntConsumer progress) throws SQLException {
        Dialect dialect = dialect(connection);
        if (dialect.name().equals("sqlite") && !wanted.schemas().isEmpty()) {
            throw new SQLException("it has no schemas to choose from; read it without naming one");
        }
        boolean databases = dialect.name().equals("mysql") || dialect.name().equals("mariadb");
        if (databases && wanted.schemas().size() > 1) {
            throw new SQLException("its schemas are databases, of which one is read at a time; name one");
        }
        if (databases && !wanted.schemas().isEmpty()) {
            connection.setCatalog(wanted.schemas().get(0));
        }
        var asking = new Asking(connection, wanted, progress);
        SqlRead read = SqlReader.read(definitions(asking, dialect).sql(), dialect);
        var rows = new LiveRows(asking, dialect, read.schema());
        return new CatalogRead(read.withRows(rows.first()), rows.sizes());
    }

    /** The dialect of the product at the other end of a connection; standard SQL for one that is not known. */
    public static Dialect dialect(Connection connection) throws SQLException {
        String product = connection.getMetaData().getDatabaseProductName();
        String name = product.toLowerCase(Locale.ROOT);
        if (name.contains("mariadb")) {
            return Dialects.MARIADB;
        }
        return Dialects.ALL.stream()
                .filter(each -> name.contains(each.name()))
                .findFirst()
                .orElse(Dialects.STANDARD);
    }

    private static Definitions definitions(Asking asking, Dialect dialect) {
        return switch (dialect.name()) {
            case "postgresql" -> new PostgreSqlDefinitions(asking);
            case "mysql", "mariadb" -> new MySqlDefinitions(asking, dialect);
            case "sqlite" -> new SqliteDefinitions(asking);
            case "h2" -> new H2Definitions(asking);
            default -> new MetadataDefinitions(asking);
        };
    }
}
