package ableschema.core.sql;

import ableschema.core.schema.Part;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import ableschema.core.sql.dialect.Ability;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Shortfall;
import java.util.HashSet;
import java.util.List;
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
    private final RuleNames rules;

    TableNames(Dialect dialect, Schema schema) {
        this.dialect = dialect;
        this.rules = new RuleNames(dialect, schema);
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

    /** The name of a constraint or an index, quoted. */
    String of(Part rule) {
        return dialect.quoted(rules.of(rule));
    }

    /** The same, unquoted. */
    String plain(Part rule) {
        return rules.of(rule);
    }

    /** What is called otherwise of one table. */
    List<Shortfall> shortfalls(Table table) {
        return rules.shortfalls(table);
    }
}
