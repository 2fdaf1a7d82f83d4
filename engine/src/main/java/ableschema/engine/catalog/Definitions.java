package ableschema.engine.catalog;

import java.sql.SQLException;

/** The definitions of one product's database as SQL. */
interface Definitions {

    /** Puts the statements together; nothing in the database is changed by that. */
    String sql() throws SQLException;
}
