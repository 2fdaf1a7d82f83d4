package ableschema.core.schema;

import ableschema.core.design.ColumnRef;
import ableschema.core.design.Expression;
import ableschema.core.design.Id;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * One table.
 *
 * @param namespace the database schema that it stands in; empty for the usual one
 * @param label     what the design calls it, for people
 * @param origin    the entity or many-to-many relationship that it comes from
 */
public record Table(
        String namespace,
        String name,
        String label,
        String comment,
        List<Column> columns,
        Optional<PrimaryKey> primaryKey,
        List<ForeignKey> foreignKeys,
        List<UniqueConstraint> uniques,
        List<CheckConstraint> checks,
        List<TableIndex> indexes,
        Id origin) {

    public Table {
        columns = List.copyOf(columns);
        foreignKeys = List.copyOf(foreignKeys);
        uniques = List.copyOf(uniques);
        checks = List.copyOf(checks);
        indexes = List.copyOf(indexes);
    }

    /** Returns this table with other words on it and its columns. */
    public Table withComments(String comment, List<Column> columns) {
        return new Table(
                namespace, name, label, comment, columns, primaryKey, foreignKeys, uniques, checks, indexes, origin);
    }

    /** The primary key and its columns in order. */
    public record PrimaryKey(String name, List<String> columns) {}

    /** Columns of which no two rows hold the same values; comes from a rule or from a one-to-one relationship. */
    public record UniqueConstraint(String name, List<String> columns, Id origin) {}

    /** A rule on each row. */
    public record CheckConstraint(String name, Expression expression, Id origin) {}

    /** An index that no constraint brings along. */
    public record TableIndex(String name, List<IndexedColumn> columns, boolean unique, Id origin) {}

    /** A column of an index, with its direction. */
    public record IndexedColumn(String name, boolean descending) {}

    public Optional<Column> column(ColumnRef ref) {
        return columns.stream().filter(c -> c.ref().equals(ref)).findFirst();
    }

    public Optional<Column> column(String name) {
        return columns.stream().filter(c -> c.name().equals(name)).findFirst();
    }

    /** The name of a column of this table; its address where it has none here. */
    public String nameOf(ColumnRef ref) {
        return column(ref).map(Column::name).orElse(ref.toString());
    }

    public boolean isInKey(Column column) {
        return primaryKey.filter(key -> key.columns().contains(column.name())).isPresent();
    }

    /** The foreign key that a column is part of. */
    public Optional<ForeignKey> foreignKeyOf(Column column) {
        return foreignKeys.stream()
                .filter(f -> f.columns().contains(column.name()))
                .findFirst();
    }

    Stream<String> undecided() {
        if (columns.isEmpty()) {
            return Stream.of(label + " has no attributes yet");
        }
        return columns.stream()
                .filter(Column::isUndecided)
                .map(column -> column.ref().attribute().isPresent()
                        ? label + ": " + column.label() + " has no type yet"
                        : label + ": " + column.label() + " refers to an entity that has no key yet");
    }
}
