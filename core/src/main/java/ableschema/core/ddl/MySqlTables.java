package ableschema.core.ddl;

import ableschema.core.expression.Expression;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.DialectOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** What MySQL and MariaDB make of a table by themselves, which its definition does not say. */
final class MySqlTables {

    /** The storage engines that read a foreign key and do not keep it. */
    private static final Set<String> WITHOUT_FOREIGN_KEYS =
            Set.of("myisam", "memory", "heap", "archive", "csv", "merge", "mrg_myisam", "blackhole", "aria");

    private final Context context;

    MySqlTables(Context context) {
        this.context = context;
    }

    /** Brings a table, whose foreign keys know what they refer to, into the form that the database has it in. */
    void settle(DraftTable table) {
        Collations.settle(context, table);
        wholeColumns(table);
        wholeKey(table);
        if (context.is("mariadb")) {
            cutToFit(table);
        }
        String engine = table.options.getOrDefault(context.dialect.name() + ".engine", "");
        if (WITHOUT_FOREIGN_KEYS.contains(engine.toLowerCase(Locale.ROOT))) {
            withoutForeignKeys(table, engine);
        } else {
            List.copyOf(table.foreignKeys).forEach(key -> indexed(table, key));
        }
    }

    private void withoutForeignKeys(DraftTable table, String engine) {
        for (ForeignKey key : table.foreignKeys) {
            context.draft.skip(
                    table.line,
                    "foreign key (" + String.join(", ", key.columns()) + ") of " + table.name + " to " + key.target(),
                    "a table of the engine " + engine + " keeps no foreign keys");
        }
        table.foreignKeys.clear();
    }

    /** The beginning of a text that is as long as any text of its column is the column. */
    private void wholeColumns(DraftTable table) {
        for (Table.TableIndex index : List.copyOf(table.indexes)) {
            List<Table.IndexedColumn> parts =
                    index.columns().stream().map(part -> whole(table, part)).toList();
            if (!parts.equals(index.columns())) {
                int place = table.indexes.indexOf(index);
                table.indexes.remove(place);
                var changed = new Table.TableIndex(index.name(), parts, index.unique(), index.only(), index.options());
                if (changed.unique() && changed.isPlain()) {
                    table.uniques.add(new Table.UniqueConstraint(index.name(), changed.columnNames()));
                } else {
                    table.indexes.add(place, changed);
                }
            }
        }
    }

    /**
     * MariaDB cuts the parts of an index that is not unique to what its engine takes, with a warning (Key::MULTIPLE in
     * mysql_prepare_create_table).
     */
    private void cutToFit(DraftTable table) {
        table.indexes.replaceAll(index -> index.unique() || !index.options().isEmpty()
                ? index
                : new Table.TableIndex(
                        index.name(),
                        index.columns().stream()
                                .map(part -> fitting(table, part))
                                .toList(),
                        false,
                        index.only(),
                        index.options()));
    }

    private Table.IndexedColumn fitting(DraftTable table, Table.IndexedColumn part) {
        Optional<String> column = part.value().asColumn();
        SqlType type = column.map(table.types::get).orElse(null);
        if (column.isEmpty() || type == null || !type.name().contains("char")) {
            return part;
        }
        String option = context.dialect.name() + ".collation";
        String collation = table.columns.stream()
                .filter(each -> each.name().equals(column.get()))
                .map(each -> each.options().get(option))
                .filter(Objects::nonNull)
                .findFirst()
                .orElse(table.options.getOrDefault(option, ""));
        int most = mostBytes(table) / Collations.bytes(collation);
        if (type.number(0) <= most) {
            return part;
        }
        Expression<String> start =
                Expression.of(new Expression.Column<>(column.get()), new Expression.Text<>("(" + most + ")"));
        return new Table.IndexedColumn(start.in(context.dialect.name()), part.descending());
    }

    /** How long a part of an index may be. */
    private int mostBytes(DraftTable table) {
        String engine = table.options.getOrDefault(context.dialect.name() + ".engine", "");
        return engine.equalsIgnoreCase("myisam") ? 1000 : engine.isEmpty() ? 3072 : Integer.MAX_VALUE;
    }

    /** A length that no text of a column reaches says nothing of the key. */
    private void wholeKey(DraftTable table) {
        String option = context.dialect.name() + "." + DialectOption.KEY_LENGTH;
        table.columns.replaceAll(column -> {
            String length = column.options().get(option);
            boolean all = length != null && isAll(table.types.get(column.name()), length);
            return all ? column.withoutOption(option) : column;
        });
    }

    private static boolean isAll(@Nullable SqlType type, String length) {
        return type != null
                && (type.name().contains("char") || type.name().endsWith("binary"))
                && type.number(0) > 0
                && type.number(0) <= Long.parseLong(length);
    }

    private static Table.IndexedColumn whole(DraftTable table, Table.IndexedColumn part) {
        List<Expression.Piece<String>> pieces = part.value().pieces();
        boolean beginning = pieces.size() == 2
                && pieces.get(0) instanceof Expression.Column<String>
                && pieces.get(1) instanceof Expression.Text<String> text
                && text.text().matches("\\([0-9]{1,9}\\)");
        if (!beginning) {
            return part;
        }
        String column = part.value().columns().findFirst().orElseThrow();
        String digits = ((Expression.Text<String>) pieces.get(1)).text();
        boolean all = isAll(table.types.get(column), digits.substring(1, digits.length() - 1));
        return all ? new Table.IndexedColumn(column, part.descending()) : part;
    }

    /** Takes a foreign key away; the index that was made for it stays. False where there is none of that name. */
    boolean dropForeignKey(DraftTable table, String name) {
        List.copyOf(table.foreignKeys).stream()
                .filter(key -> context.names.same(key.name(), name))
                .forEach(key -> indexed(table, key));
        return table.dropForeignKey(name);
    }

    /** A foreign key that no index begins with gets one, called as the key is, or as its first column. */
    private void indexed(DraftTable table, ForeignKey key) {
        var indexes = new ArrayList<List<String>>();
        if (table.primaryKey != null) {
            indexes.add(table.primaryKey.columns());
        }
        table.uniques.forEach(unique -> indexes.add(unique.columns()));
        table.indexes.forEach(index -> indexes.add(index.columnNames()));
        boolean there = indexes.stream()
                .anyMatch(columns -> columns.size() >= key.columns().size()
                        && columns.subList(0, key.columns().size()).equals(key.columns()));
        if (!there) {
            boolean counted = key.name().matches("(?s)" + Pattern.quote(table.name.name()) + "_ibfk_\\d+");
            String name = context.defaults.index(table, key.columns(), counted ? "" : key.name());
            table.indexes.add(new Table.TableIndex(
                    name,
                    key.columns().stream()
                            .map(column -> new Table.IndexedColumn(column, false))
                            .toList(),
                    false,
                    Map.of()));
        }
    }
}
