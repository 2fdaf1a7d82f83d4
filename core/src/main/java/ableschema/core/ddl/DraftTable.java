package ableschema.core.ddl;

import ableschema.core.schema.Column;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import ableschema.core.sql.dialect.DialectOption;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** A table while it is read: what one statement makes, another may change. */
final class DraftTable {

    private final Names names;
    TableName name;

    /** Whether its first number is only known by the next one. */
    boolean nextNumbered;

    /** Where it is made. */
    int line;

    String comment = "";
    final List<Column> columns = new ArrayList<>();

    /** The types as they were found, by the names of the columns. */
    final Map<String, SqlType> types = new HashMap<>();

    Table.@Nullable PrimaryKey primaryKey;
    final List<ForeignKey> foreignKeys = new ArrayList<>();
    final List<Table.UniqueConstraint> uniques = new ArrayList<>();
    final List<Table.CheckConstraint> checks = new ArrayList<>();

    /** Those of the checks that were given no name. */
    final Set<Table.CheckConstraint> unnamedChecks = new HashSet<>();

    /** The checks that stand in the definition of a column, with its name. */
    final Map<Table.CheckConstraint, String> checksOfColumns = new HashMap<>();

    final List<Table.TableIndex> indexes = new ArrayList<>();
    final Map<String, String> options = new HashMap<>();
    final Settings settings = new Settings();

    DraftTable(TableName name, Names names) {
        this.name = name;
        this.names = names;
    }

    /** Whether the numbers of a column come of a sequence that it draws from, and not of the column itself. */
    boolean isDrawing(String column) {
        SqlType type = types.get(column);
        return type != null && type.name().endsWith("serial");
    }

    /** Whether a column is declared to hold texts; what is not known yet is taken to. */
    boolean isText(String column) {
        SqlType type = types.get(column);
        return type == null
                || type.array().isEmpty()
                        && (type.name().contains("char")
                                || type.name().contains("text")
                                || type.name().equals("name"));
    }

    /** Whether a column is declared to hold bytes. */
    boolean isBytes(String column) {
        SqlType type = types.get(column);
        return type != null
                && (type.name().equals("bytea")
                        || type.name().endsWith("blob")
                        || type.name().endsWith("binary"));
    }

    /** The column of that name, as it is spelled; empty where there is none. */
    Optional<String> column(String called) {
        for (Column column : columns) {
            if (column.name().equals(called)) {
                return Optional.of(column.name());
            }
        }
        for (Column column : columns) {
            if (names.same(column.name(), called)) {
                return Optional.of(column.name());
            }
        }
        if (names.same("a", "A")) {
            return Optional.empty(); // letter case was nothing already
        }
        for (Column column : columns) { // quotes are forgotten more often than two names differ only so
            if (column.name().equalsIgnoreCase(called)) {
                return Optional.of(column.name());
            }
        }
        return Optional.empty();
    }

    /** The column of that name; an {@link Unread} says that there is none. */
    String requireColumn(String called) {
        return column(called).orElseThrow(() -> new Unread("there is no column " + called + " in " + name));
    }

    List<String> requireColumns(List<String> called) {
        var found = new ArrayList<String>(called.size());
        for (String each : called) {
            found.add(requireColumn(each));
        }
        return List.copyOf(found);
    }

    void change(String column, UnaryOperator<Column> change) {
        String found = requireColumn(column);
        for (int i = 0; i < columns.size(); i++) {
            if (columns.get(i).name().equals(found)) {
                columns.set(i, change.apply(columns.get(i)));
                return;
            }
        }
    }

    void drop(String column) {
        String found = requireColumn(column);
        columns.removeIf(each -> each.name().equals(found));
        if (primaryKey != null && (primaryKey.columns().contains(found) || takesAlong(options, found))) {
            dropKey();
        }
        foreignKeys.removeIf(key -> key.columns().contains(found));
        uniques.removeIf(unique -> unique.columns().contains(found) || takesAlong(unique.options(), found));
        checks.removeIf(check -> check.expression().columns().anyMatch(found::equals));
        indexes.removeIf(index -> index.mentioned().anyMatch(found::equals) || takesAlong(index.options(), found));
        columns.stream()
                .filter(each -> each.filling().isComputed()
                        && each.filling().expression().columns().anyMatch(found::equals))
                .map(Column::name)
                .toList()
                .forEach(this::drop); // as where a drop cascades
    }

    void dropKey() {
        primaryKey = null;
        options.keySet()
                .removeIf(option -> option.endsWith("." + DialectOption.KEY_INCLUDE)
                        || option.endsWith("." + DialectOption.KEY_CONFLICT)
                        || option.endsWith("." + DialectOption.KEY_LATER));
    }

    /** Whether a key or an index, of which these are options, takes a column along. */
    private boolean takesAlong(Map<String, String> options, String column) {
        return options.entrySet().stream().anyMatch(each -> !including(each.getKey(), each.getValue(), column, "")
                .equals(each.getValue()));
    }

    /** Forgets the checks in the definition of a column, which is defined anew. */
    void forgetChecksOf(String column) {
        checks.removeIf(check -> column.equals(checksOfColumns.get(check)));
    }

    /** Takes a column out of the indexes that have others too, as some databases do before it is dropped. */
    void leaveIndexes(String column) {
        String found = requireColumn(column);
        indexes.replaceAll(index -> without(index, found));
    }

    private static Table.TableIndex without(Table.TableIndex index, String column) {
        List<Table.IndexedColumn> left = index.columns().stream()
                .filter(part -> part.value().columns().noneMatch(column::equals))
                .toList();
        return left.isEmpty() || left.size() == index.columns().size()
                ? index
                : new Table.TableIndex(index.name(), left, index.unique(), index.only(), index.options());
    }

    void rename(String column, String to) {
        String found = requireColumn(column);
        UnaryOperator<String> renamed = each -> each.equals(found) ? to : each;
        settings.renameColumn(found, to);
        SqlType type = types.remove(found);
        if (type != null) {
            types.put(to, type);
        }
        columns.replaceAll(each -> new Column(
                renamed.apply(each.name()),
                each.type(),
                each.nullable(),
                each.filling().map(renamed),
                each.identity(),
                each.comment(),
                each.options()));
        if (primaryKey != null) {
            primaryKey = new Table.PrimaryKey(
                    primaryKey.name(),
                    primaryKey.columns().stream().map(renamed).toList());
        }
        foreignKeys.replaceAll(
                key -> key.over(key.columns().stream().map(renamed).toList()));
        options.replaceAll((option, value) -> including(option, value, found, to));
        uniques.replaceAll(each -> new Table.UniqueConstraint(
                each.name(), each.columns().stream().map(renamed).toList(), including(each.options(), found, to)));
        checks.replaceAll(each -> {
            var check = new Table.CheckConstraint(each.name(), each.expression().map(renamed), each.options());
            String owner = checksOfColumns.remove(each);
            if (owner != null) {
                checksOfColumns.put(check, renamed.apply(owner));
            }
            return check;
        });
        indexes.replaceAll(each -> new Table.TableIndex(
                each.name(),
                each.columns().stream()
                        .map(part -> new Table.IndexedColumn(part.value().<String>map(renamed), part.descending()))
                        .toList(),
                each.unique(),
                each.only().map(renamed),
                including(each.options(), found, to)));
    }

    private Map<String, String> including(Map<String, String> options, String column, String to) {
        var changed = new HashMap<>(options);
        changed.replaceAll((option, value) -> including(option, value, column, to));
        return changed;
    }

    /** The columns that an index takes along, one of which gets another name. */
    private String including(String option, String value, String column, String to) {
        return option.endsWith("." + DialectOption.INCLUDE) || option.endsWith("." + DialectOption.KEY_INCLUDE)
                ? Stream.of(value.split(", "))
                        .map(each -> each.equals(names.inSql(column)) ? names.inSql(to) : each)
                        .collect(Collectors.joining(", "))
                : value;
    }

    /** Takes away the foreign key of that name, and no index that is called like it; false where there is none. */
    boolean dropForeignKey(String called) {
        return foreignKeys.removeIf(key -> names.same(key.name(), called));
    }

    /** Takes away the index of that name, and no foreign key that is called like it; false where there is none. */
    boolean dropIndex(String called) {
        return uniques.removeIf(unique -> names.same(unique.name(), called))
                | indexes.removeIf(index -> names.same(index.name(), called));
    }

    /** Takes away the constraint or index of that name; false where there is none. */
    boolean dropNamed(String called) {
        boolean found = foreignKeys.removeIf(key -> names.same(key.name(), called))
                | uniques.removeIf(unique -> names.same(unique.name(), called))
                | checks.removeIf(check -> names.same(check.name(), called))
                | indexes.removeIf(index -> names.same(index.name(), called));
        if (primaryKey != null && names.same(primaryKey.name(), called)) {
            dropKey();
            return true;
        }
        return found;
    }

    /** Whether there is a constraint or an index of that name. */
    boolean hasNamed(String called) {
        return primaryKey != null && names.same(primaryKey.name(), called)
                || foreignKeys.stream().anyMatch(key -> names.same(key.name(), called))
                || uniques.stream().anyMatch(unique -> names.same(unique.name(), called))
                || checks.stream().anyMatch(check -> names.same(check.name(), called))
                || indexes.stream().anyMatch(index -> names.same(index.name(), called));
    }

    boolean renameNamed(String called, String to) {
        boolean[] found = {false};
        UnaryOperator<String> renamed = each -> {
            boolean same = names.same(each, called);
            found[0] |= same;
            return same ? to : each;
        };
        settings.renameNamed(called, to);
        if (primaryKey != null) {
            primaryKey = new Table.PrimaryKey(renamed.apply(primaryKey.name()), primaryKey.columns());
        }
        foreignKeys.replaceAll(key -> key.named(renamed.apply(key.name())));
        uniques.replaceAll(
                each -> new Table.UniqueConstraint(renamed.apply(each.name()), each.columns(), each.options()));
        checks.replaceAll(each -> each.named(renamed.apply(each.name())));
        indexes.replaceAll(each -> new Table.TableIndex(
                renamed.apply(each.name()), each.columns(), each.unique(), each.only(), each.options()));
        return found[0];
    }

    Table table() {
        return new Table(
                name,
                comment,
                columns,
                Optional.ofNullable(primaryKey),
                foreignKeys,
                uniques,
                checks,
                indexes,
                options);
    }
}
