package ableschema.core.sql;

import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import ableschema.core.sql.dialect.Ability;
import ableschema.core.sql.dialect.Dialect;
import java.util.HashSet;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The names of tables as a script has them, with their namespaces. Where a database has no namespaces, a name that stands in
 * two of them gets its namespace in front.
 */
final class TableNames {

    private final Dialect dialect;
    private final Map<TableName, String> written = new ConcurrentHashMap<>(); // tables are written side by side
    private final Set<TableName> prefixed = new HashSet<>();

    TableNames(Dialect dialect, Schema schema) {
        this.dialect = dialect;
        var taken = new HashSet<String>();
        for (Table table : schema.tables()) {
            TableName name = table.qualified();
            boolean free = taken.add(name.name().toLowerCase(Locale.ROOT));
            if (!free && !dialect.can(Ability.NAMESPACES)) {
                prefixed.add(name);
            }
        }
    }

    /** The name of a table or domain, quoted. */
    String of(TableName name) {
        return written.computeIfAbsent(name, this::text);
    }

    private String text(TableName name) {
        String namespace = name.namespace().isEmpty() ? dialect.style().schema() : name.namespace();
        if (!namespace.isEmpty() && dialect.can(Ability.NAMESPACES)) {
            return dialect.quoted(namespace) + "." + dialect.quoted(name.name());
        }
        if (name.namespace().isEmpty()) {
            return dialect.quoted(name.name());
        }
        return dialect.quoted(prefixed.contains(name) ? name.namespace() + "_" + name.name() : name.name());
    }

    /** The name of an index, which such a database keeps beside all others. */
    String ofIndex(Table table, String index) {
        return prefixed.contains(table.qualified()) ? table.namespace() + "_" + index : index;
    }
}
