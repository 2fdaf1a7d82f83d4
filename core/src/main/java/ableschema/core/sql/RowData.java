package ableschema.core.sql;

import ableschema.core.schema.TableName;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * One row to be inserted.
 *
 * @param id      what the row is addressed by, for the trace and for the rows that refer to it
 * @param values  texts by column; a column that is not there is empty, or filled by its default
 * @param parents by foreign key, the row that is referred to
 * @param fault   why it cannot be inserted; empty if it can
 */
public record RowData(
        TableName table, String id, Map<String, String> values, Map<String, String> parents, Optional<String> fault) {

    public RowData {
        values = Collections.unmodifiableMap(new LinkedHashMap<>(values));
        parents = Map.copyOf(parents);
    }

    /** Returns this row with a fault, unless it has one already. */
    RowData faulty(String reason) {
        return fault.isPresent() ? this : new RowData(table, id, values, parents, Optional.of(reason));
    }

    Optional<String> value(String column) {
        return Optional.ofNullable(values.get(column));
    }

    List<String> values(List<String> columns) {
        return columns.stream().map(column -> values.getOrDefault(column, "")).toList();
    }
}
