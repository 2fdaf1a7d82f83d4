package ableschema.engine.catalog;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;

/** The rows of a query, one after the other; an empty value is an empty text. */
final class Rows implements AutoCloseable {

    private final PreparedStatement statement;
    private final ResultSet result;

    Rows(Connection connection, String query, String... parameters) throws SQLException {
        this.statement = connection.prepareStatement(query);
        for (int i = 0; i < parameters.length; i++) {
            statement.setString(i + 1, parameters[i]);
        }
        this.result = statement.executeQuery();
    }

    boolean next() throws SQLException {
        return result.next();
    }

    String text(String column) throws SQLException {
        String text = result.getString(column);
        return text == null ? "" : text;
    }

    /** The same, or an empty text where older servers have no such column. */
    String textIfKnown(String column) throws SQLException {
        ResultSetMetaData columns = result.getMetaData();
        for (int i = 1; i <= columns.getColumnCount(); i++) {
            if (columns.getColumnLabel(i).equalsIgnoreCase(column)) {
                return text(column);
            }
        }
        return "";
    }

    boolean isNull(String column) throws SQLException {
        return result.getString(column) == null;
    }

    boolean flag(String column) throws SQLException {
        return result.getBoolean(column);
    }

    long number(String column) throws SQLException {
        return result.getLong(column);
    }

    @Override
    public void close() throws SQLException {
        statement.close(); // and with it its result
    }
}
