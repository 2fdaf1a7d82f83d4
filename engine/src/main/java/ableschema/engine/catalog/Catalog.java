package ableschema.engine.catalog;

import ableschema.core.ddl.SqlRead;
import ableschema.core.ddl.SqlReader;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.Locale;

/** Reads what a database says that it has. */
public final class Catalog {

    private Catalog() {}

    /**
     * Reads the tables and named types of a database, and lists what else is in it. Nothing is changed.
     *
     * @throws SQLException where the database does not answer, or the product is not one that is read
     */
    public static SqlRead read(Connection connection) throws SQLException {
        Dialect dialect = dialect(connection);
        return SqlReader.read(definitions(connection, dialect).sql(), dialect);
    }

    /** The dialect of the product at the other end of a connection. */
    public static Dialect dialect(Connection connection) throws SQLException {
        String product = connection.getMetaData().getDatabaseProductName();
        String name = product.toLowerCase(Locale.ROOT);
        if (name.contains("mariadb")) {
            return Dialects.MARIADB;
        }
        return Dialects.ALL.stream()
                .filter(each -> name.contains(each.name()))
                .findFirst()
                .orElseThrow(() -> new SQLException("the catalogue of " + product + " is not read"));
    }

    private static Definitions definitions(Connection connection, Dialect dialect) throws SQLException {
        return switch (dialect.name()) {
            case "postgresql" -> new PostgreSqlDefinitions(connection);
            case "mysql", "mariadb" -> new MySqlDefinitions(connection, dialect);
            case "sqlite" -> new SqliteDefinitions(connection);
            case "h2" -> new H2Definitions(connection);
            default -> throw new SQLException("the catalogue of " + dialect.label() + " is not read");
        };
    }
}
