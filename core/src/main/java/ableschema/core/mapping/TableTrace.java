package ableschema.core.mapping;

import ableschema.core.design.ColumnRef;
import ableschema.core.design.EndRef;
import ableschema.core.design.Id;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * What the parts of one table come from, by their names.
 *
 * @param owner      the entity or many-to-many relationship
 * @param label      what the design calls it, for people
 * @param references by the name of a foreign key, the end that is referred to
 * @param rules      by the name of a constraint or index, the rule or relationship that asks for it
 */
public record TableTrace(
        Id owner,
        String label,
        Map<String, ColumnTrace> columns,
        Map<String, EndRef> references,
        Map<String, Id> rules) {

    public TableTrace {
        columns = Collections.unmodifiableMap(new LinkedHashMap<>(columns));
        references = Map.copyOf(references);
        rules = Map.copyOf(rules);
    }

    /**
     * What a column comes from.
     *
     * @param label  what the design calls it, for people
     * @param origin the attribute or relationship
     */
    public record ColumnTrace(ColumnRef ref, String label, Id origin) {}

    public Optional<ColumnTrace> column(String name) {
        return Optional.ofNullable(columns.get(name));
    }

    /** The name of the column with this address. */
    public Optional<String> columnOf(ColumnRef ref) {
        return columns.entrySet().stream()
                .filter(each -> each.getValue().ref().equals(ref))
                .map(Map.Entry::getKey)
                .findFirst();
    }
}
