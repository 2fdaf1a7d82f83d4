package ableschema.core.sql;

import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.DialectOption;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Leaves out of what keys and indexes take along, which is kept as it was found, the columns that are called otherwise now, or gone. */
final class IncludedColumns {

    private final Set<String> there;
    private final String prefix;

    private IncludedColumns(Table table, Dialect dialect) {
        this.there = table.columns().stream()
                .map(each -> dialect.column(each.name()))
                .collect(Collectors.toSet());
        this.prefix = dialect.name() + ".";
    }

    /** The same table where nothing of that is gone. */
    static Table of(Table table, Dialect dialect) {
        boolean some = Stream.of(
                        Stream.of(table.options()),
                        table.uniques().stream().map(Table.UniqueConstraint::options),
                        table.indexes().stream().map(Table.TableIndex::options))
                .flatMap(all -> all)
                .anyMatch(options -> dialect.option(options, DialectOption.INCLUDE)
                                .isPresent()
                        || dialect.option(options, DialectOption.KEY_INCLUDE).isPresent());
        return some ? new IncludedColumns(table, dialect).left(table) : table;
    }

    private Table left(Table table) {
        return new Table(
                table.qualified(),
                table.comment(),
                table.columns(),
                table.primaryKey(),
                table.foreignKeys(),
                table.uniques().stream()
                        .map(each -> new Table.UniqueConstraint(each.name(), each.columns(), left(each.options())))
                        .toList(),
                table.checks(),
                table.indexes().stream()
                        .map(each -> new Table.TableIndex(
                                each.name(), each.columns(), each.unique(), each.only(), left(each.options())))
                        .toList(),
                left(table.options()));
    }

    private Map<String, String> left(Map<String, String> options) {
        var left = new HashMap<>(options);
        for (String option : List.of(prefix + DialectOption.INCLUDE, prefix + DialectOption.KEY_INCLUDE)) {
            left.computeIfPresent(option, (key, columns) -> {
                String kept =
                        Stream.of(columns.split(", ")).filter(there::contains).collect(Collectors.joining(", "));
                return kept.isEmpty() ? null : kept;
            });
        }
        return left;
    }
}
