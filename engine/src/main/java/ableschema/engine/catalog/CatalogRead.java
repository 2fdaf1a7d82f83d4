package ableschema.engine.catalog;

import ableschema.core.ddl.SqlRead;
import ableschema.core.schema.TableName;
import java.util.Map;

/**
 * What was read of a database.
 *
 * @param sizes how many rows tables have, as far as the database knows without counting for long
 */
public record CatalogRead(SqlRead read, Map<TableName, Long> sizes) {

    public CatalogRead {
        sizes = Map.copyOf(sizes);
    }
}
