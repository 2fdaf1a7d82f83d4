package ableschema.core.ddl;

import ableschema.core.schema.TableName;
import java.util.List;
import java.util.Map;

/**
 * Rows of a table that stand in an SQL text, as far as they were read.
 *
 * @param rows by the name of the column the value as it is typed; an empty value is not there
 */
public record ReadRows(TableName table, List<Map<String, String>> rows) {
    public ReadRows {
        rows = List.copyOf(rows);
    }
}
