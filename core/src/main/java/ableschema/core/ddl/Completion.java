package ableschema.core.ddl;

import ableschema.core.schema.DomainType;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Part;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import ableschema.core.sql.TableOrder;
import ableschema.core.sql.dialect.Ability;
import ableschema.core.sql.dialect.DialectOption;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Makes a schema of what was read, once all statements were: now it is known what each foreign key refers to. */
final class Completion {

    private final Context context;
    private final Draft draft;

    Completion(Context context) {
        this.context = context;
        this.draft = context.draft;
    }

    SqlRead read(Optional<SqlRead.Cut> cut, List<ReadRows> rows, CarriedReader carried) {
        dropUsualNamespace();
        draft.tables().forEach(this::complete);
        if (context.isMySql()) {
            draft.tables().forEach(new MySqlTables(context)::settle);
        }
        if (!context.dialect.can(Ability.MANY_EMPTIES_IN_UNIQUE)) {
            Set<List<Object>> referred = draft.tables().stream()
                    .flatMap(table -> table.foreignKeys.stream())
                    .map(key -> List.<Object>of(key.target(), key.targetColumns()))
                    .collect(Collectors.toSet());
            draft.tables().forEach(table -> asFound(table, referred));
        }
        new Drawing(context).share();
        SqlRead.Counts counts = SqlRead.Counts.of(draft.tables());
        var found = new FoundTypes(context);
        draft.tables().forEach(found::settle);
        draft.tables().forEach(each -> found.align(each, draft));
        var tables = draft.tables().stream().map(DraftTable::table).toList();
        var skipped = new ArrayList<>(draft.skipped);
        skipped.sort(Comparator.comparingInt(Skipped::line));
        List<DomainType> domains = List.copyOf(draft.domains.values());
        return new SqlRead(
                context.dialect,
                TableOrder.withoutNeeded(new Schema(domains, tables, carried.read())),
                counts,
                cut,
                rows,
                skipped);
    }

    /**
     * What is unique, though not over the rows alone that hold values, takes one empty value there; so it is when it is written again,
     * unless a foreign key refers to it, where it cannot be otherwise.
     */
    private void asFound(DraftTable table, Set<List<Object>> referred) {
        table.uniques.replaceAll(each -> isOptional(table, each.columns())
                        && !referred.contains(List.<Object>of(table.name, each.columns()))
                ? new Table.UniqueConstraint(each.name(), each.columns(), oneEmpty(Part.Kind.UNIQUE, each.options()))
                : each);
        table.indexes.replaceAll(each -> each.unique()
                        && isOptional(table, each.columnNames())
                        && !FoundTypes.isUnique(table, each)
                ? new Table.TableIndex(
                        each.name(), each.columns(), true, each.only(), oneEmpty(Part.Kind.INDEX, each.options()))
                : each);
    }

    private static boolean isOptional(DraftTable table, List<String> columns) {
        return table.columns.stream().anyMatch(each -> each.nullable() && columns.contains(each.name()));
    }

    private Map<String, String> oneEmpty(Part.Kind of, Map<String, String> options) {
        var more = new HashMap<>(options);
        context.option(more, of, DialectOption.EMPTIES, "one");
        return more;
    }

    /** Where there are no schemas within a database, the owner that stands before each name says nothing. */
    private void dropUsualNamespace() {
        if (context.dialect.can(Ability.NAMESPACES)
                || draft.tables().stream()
                        .allMatch(each -> each.name.namespace().isEmpty())) {
            return;
        }
        long owners = draft.tables().stream()
                .map(each -> each.name.namespace())
                .distinct()
                .count();
        if (owners == 1) {
            draft.owner = draft.tables().iterator().next().name.namespace();
            List.copyOf(draft.tables()).forEach(each -> draft.rename(each, TableName.of(each.name.name())));
        }
    }

    private void complete(DraftTable table) {
        var keys = new ArrayList<ForeignKey>();
        for (ForeignKey key : table.foreignKeys) {
            try {
                keys.add(completed(key));
            } catch (Unread e) {
                draft.skip(
                        table.line,
                        "foreign key " + (key.name().isEmpty() ? "" : key.name() + " ") + "of " + table.name,
                        e.reason());
            }
        }
        table.foreignKeys.clear();
        table.foreignKeys.addAll(keys);
    }

    private ForeignKey completed(ForeignKey key) {
        Optional<DraftTable> found = draft.table(key.target());
        if (found.isEmpty()) {
            throw new Unread("it refers to " + key.target() + ", which is not among the tables");
        }
        DraftTable target = found.get();
        List<String> columns;
        if (key.targetColumns().isEmpty()) {
            Table.PrimaryKey primary = target.primaryKey;
            if (primary == null) {
                throw new Unread("it refers to " + target.name + ", which has no primary key");
            }
            columns = primary.columns();
        } else {
            columns = target.requireColumns(key.targetColumns());
        }
        if (columns.size() != key.columns().size()) {
            throw new Unread("it has " + key.columns().size() + " columns and refers to " + columns.size());
        }
        return key.to(target.name, columns);
    }
}
