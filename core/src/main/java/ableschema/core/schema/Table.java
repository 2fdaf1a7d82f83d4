package ableschema.core.schema;

import static java.util.Objects.requireNonNull;

import ableschema.core.expression.Expression;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * One table.
 *
 * @param comment what people should know of it; empty for nothing
 * @param options such as {@code mysql.engine}, by dialect and option
 */
public record Table(
        TableName qualified,
        String comment,
        List<Column> columns,
        Optional<PrimaryKey> primaryKey,
        List<ForeignKey> foreignKeys,
        List<UniqueConstraint> uniques,
        List<CheckConstraint> checks,
        List<TableIndex> indexes,
        Map<String, String> options) {

    public Table {
        requireNonNull(qualified, "qualified");
        columns = List.copyOf(columns);
        foreignKeys = List.copyOf(foreignKeys);
        uniques = List.copyOf(uniques);
        checks = List.copyOf(checks);
        indexes = List.copyOf(indexes);
        options = Map.copyOf(options);
    }

    /** A table with columns and nothing else. */
    public static Table of(TableName name, List<Column> columns) {
        return new Table(name, "", columns, Optional.empty(), List.of(), List.of(), List.of(), List.of(), Map.of());
    }

    /** The primary key and its columns in order. */
    public record PrimaryKey(String name, List<String> columns) {}

    /** Columns of which no two rows hold the same values. */
    public record UniqueConstraint(String name, List<String> columns, Map<String, String> options) {
        public UniqueConstraint {
            columns = List.copyOf(columns);
            options = Map.copyOf(options);
        }

        /** One of which nothing is said but its columns. */
        public UniqueConstraint(String name, List<String> columns) {
            this(name, columns, Map.of());
        }
    }

    /** A rule on each row; columns stand in it by their names. */
    public record CheckConstraint(String name, Expression<String> expression, Map<String, String> options) {
        public CheckConstraint {
            options = Map.copyOf(options);
        }

        public CheckConstraint(String name, Expression<String> expression) {
            this(name, expression, Map.of());
        }

        public CheckConstraint named(String name) {
            return new CheckConstraint(name, expression, options);
        }
    }

    /**
     * An index that no constraint brings along.
     *
     * @param only which rows it is over; {@link Expression#none()} for all
     */
    public record TableIndex(
            String name,
            List<IndexedColumn> columns,
            boolean unique,
            Expression<String> only,
            Map<String, String> options) {
        public TableIndex {
            columns = List.copyOf(columns);
            options = Map.copyOf(options);
        }

        /** An index over all rows. */
        public TableIndex(String name, List<IndexedColumn> columns, boolean unique, Map<String, String> options) {
            this(name, columns, unique, Expression.none(), options);
        }

        /** The columns by which rows are found in it: those before the first part that is made of columns. */
        public List<String> columnNames() {
            return columns.stream()
                    .map(part -> part.value().asColumn())
                    .takeWhile(Optional::isPresent)
                    .flatMap(Optional::stream)
                    .toList();
        }

        /** Whether it is over columns as they are, and over all rows. */
        public boolean isPlain() {
            return !only.isPresent() && columnNames().size() == columns.size();
        }

        /** All columns that it speaks of, those of its condition too. */
        public Stream<String> mentioned() {
            return Stream.concat(columns.stream().flatMap(part -> part.value().columns()), only.columns())
                    .distinct();
        }
    }

    /** A column of an index, or what is made of some, with its direction. */
    public record IndexedColumn(Expression<String> value, boolean descending) {

        public IndexedColumn(String column, boolean descending) {
            this(Expression.column(column), descending);
        }
    }

    public Table withColumns(List<Column> columns) {
        return new Table(qualified, comment, columns, primaryKey, foreignKeys, uniques, checks, indexes, options);
    }

    public Table withForeignKeys(List<ForeignKey> foreignKeys) {
        return new Table(qualified, comment, columns, primaryKey, foreignKeys, uniques, checks, indexes, options);
    }

    /** The name without the namespace. */
    public String name() {
        return qualified.name();
    }

    public String namespace() {
        return qualified.namespace();
    }

    /** The address of this table. */
    public Part part() {
        return new Part(qualified, Part.Kind.TABLE, "");
    }

    /** The address of a part of this table. */
    public Part part(Part.Kind kind, String name) {
        return new Part(qualified, kind, name);
    }

    public Optional<Column> column(String name) {
        for (Column column : columns) {
            if (column.name().equals(name)) {
                return Optional.of(column);
            }
        }
        return Optional.empty();
    }

    public boolean isInKey(Column column) {
        return primaryKey.filter(key -> key.columns().contains(column.name())).isPresent();
    }

    /** Whether this column alone makes up the primary key. */
    public boolean isKey(Column column) {
        return primaryKey
                .filter(key -> key.columns().size() == 1 && key.columns().get(0).equals(column.name()))
                .isPresent();
    }

    /** The foreign key that a column is part of. */
    public Optional<ForeignKey> foreignKeyOf(Column column) {
        return foreignKeys.stream()
                .filter(f -> f.columns().contains(column.name()))
                .findFirst();
    }

    /** Whether definitions can be written: there are columns, and each has a type. */
    public boolean isDecided() {
        for (Column column : columns) {
            if (column.isUndecided()) {
                return false;
            }
        }
        return !columns.isEmpty();
    }
}
