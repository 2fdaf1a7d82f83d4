package ableschema.core.sql;

import static java.util.stream.Collectors.joining;

import ableschema.core.schema.Column;
import ableschema.core.schema.DomainType;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Identity;
import ableschema.core.schema.Part;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import ableschema.core.sql.dialect.Ability;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.types.DataType;
import java.math.BigInteger;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiPredicate;
import java.util.stream.Stream;

/**
 * Writes rows as INSERT statements, parents first. Where rows refer to each other in a circle, the reference is left empty at
 * first and set by an UPDATE, or, where it must be there, checked at the end if the database can. A row that the database
 * would refuse, and all that refer to it, become a comment.
 */
final class RowWriter {

    private final Dialect dialect;
    private final Schema schema;
    private final TableOrder order;
    private final Map<TableName, TableWriter> writers;
    private final BiPredicate<Table, ForeignKey> deferred;
    private final Map<TableName, List<RowData>> rows = new HashMap<>();
    private final Map<String, String> faults = new HashMap<>();
    private final Set<String> written = new HashSet<>();
    private final List<Statement> statements = new ArrayList<>();
    private final List<Closing> closings = new ArrayList<>();

    RowWriter(
            Dialect dialect,
            Schema schema,
            TableOrder order,
            Map<TableName, TableWriter> writers,
            BiPredicate<Table, ForeignKey> deferred) {
        this.dialect = dialect;
        this.schema = schema;
        this.order = order;
        this.writers = writers;
        this.deferred = deferred;
    }

    List<Statement> statements(List<RowData> given) {
        if (given.isEmpty()) {
            return List.of();
        }
        for (RowData row : given) {
            rows.computeIfAbsent(row.table(), table -> new ArrayList<>()).add(row);
            row.fault().ifPresent(reason -> faults.put(row.id(), reason));
        }
        order.tables().forEach(table -> new RefusedRows(dialect, schema, table).find(rows(table), faults));
        leaveOutChildrenOfFaulty();
        order.tables().forEach(this::writeRows);
        closings.stream()
                .filter(each ->
                        written.contains(each.row().parents().get(each.key().name())))
                .forEach(each -> statements.add(update(each.table(), each.row(), each.key())));
        int rowsOnly = statements.size();
        order.tables().forEach(this::restartNumbering);
        boolean pending = order.tables().stream()
                .anyMatch(table -> table.foreignKeys().stream().anyMatch(key -> deferred.test(table, key)));
        if (statements.size() > rowsOnly && pending && dialect.can(Ability.DEFERRED_CONSTRAINTS)) {
            // a table with checks still to come cannot be altered
            statements.add(
                    rowsOnly,
                    new SqlWriter(Part.WHOLE)
                            .line("SET CONSTRAINTS ALL IMMEDIATE")
                            .closed(Statement.Kind.ROW));
        }
        return statements;
    }

    private List<RowData> rows(Table table) {
        return rows.getOrDefault(table.qualified(), List.of());
    }

    private void leaveOutChildrenOfFaulty() {
        boolean more = true;
        while (more) {
            more = false;
            for (Table table : order.tables()) {
                for (RowData row : rows(table)) {
                    if (!faults.containsKey(row.id())
                            && row.parents().values().stream().anyMatch(faults::containsKey)) {
                        faults.put(row.id(), "a row of " + table.name() + " refers to a row that is left out");
                        more = true;
                    }
                }
            }
        }
    }

    private void writeRows(Table table) {
        var waiting = new LinkedHashMap<String, RowData>();
        rows(table).forEach(row -> waiting.put(row.id(), row));
        boolean numbersGiven =
                waiting.values().stream().anyMatch(row -> !faults.containsKey(row.id()) && givesNumber(table, row));
        if (numbersGiven) {
            dialect.beforeGivenNumbers(writer(table).name()).ifPresent(sql -> setting(table, sql));
        }
        while (!waiting.isEmpty()) {
            List<RowData> ready = waiting.values().stream()
                    .filter(row -> row.parents().values().stream()
                            .noneMatch(parent -> waiting.containsKey(parent) && !parent.equals(row.id())))
                    .toList();
            // where none is ready, the rows refer to each other in a circle, and any one of them opens it
            for (RowData row :
                    ready.isEmpty() ? List.of(waiting.values().iterator().next()) : ready) {
                write(table, row);
                waiting.remove(row.id());
            }
        }
        if (numbersGiven) {
            dialect.afterGivenNumbers(writer(table).name()).ifPresent(sql -> setting(table, sql));
        }
    }

    private boolean givesNumber(Table table, RowData row) {
        return table.columns().stream()
                .anyMatch(column -> column.identity().isPresent()
                        && row.value(column.name()).isPresent());
    }

    private void setting(Table table, String sql) {
        statements.add(new SqlWriter(table.part()).line(sql).closed(Statement.Kind.ROW));
    }

    private void write(Table table, RowData row) {
        List<ForeignKey> open = table.foreignKeys().stream()
                .filter(key -> {
                    String parent = row.parents().get(key.name());
                    return parent != null && !written.contains(parent) && !parent.equals(row.id());
                })
                .toList();
        boolean defers = dialect.can(Ability.DEFERRED_CONSTRAINTS);
        List<ForeignKey> mandatory =
                open.stream().filter(key -> !TableOrder.isOptional(table, key)).toList();
        if (mandatory.stream().anyMatch(key -> !(defers && deferred.test(table, key)))) {
            faults.putIfAbsent(
                    row.id(),
                    "a row of " + table.name() + " must refer to a row that comes later or is left out itself, as"
                            + " references that must be there run in a circle");
        }
        if (open.size() > mandatory.size() && table.primaryKey().isEmpty()) {
            faults.putIfAbsent(
                    row.id(),
                    "a row of " + table.name()
                            + " refers to a row that comes later, and has no key by which that could be set"
                            + " when both are there");
        }
        if (faults.containsKey(row.id())) {
            statements.add(SqlWriter.comment("left out: " + faults.get(row.id()), table.part(Part.Kind.ROW, row.id())));
        } else {
            insert(
                    table,
                    row,
                    open.stream().filter(key -> !mandatory.contains(key)).toList());
        }
    }

    private void insert(Table table, RowData row, List<ForeignKey> open) {
        written.add(row.id());
        Set<String> later = new HashSet<>();
        open.forEach(key -> later.addAll(optionalColumns(table, key)));
        List<Column> columns = table.columns().stream()
                .filter(column -> !column.filling().isComputed())
                .filter(column -> row.value(column.name()).isPresent() || !isFilled(column))
                .toList();
        String literals = columns.stream()
                .map(column -> later.contains(column.name()) ? "NULL" : literal(column, row))
                .collect(joining(", "));
        statements.add(new SqlWriter(table.part(Part.Kind.ROW, row.id()))
                .line("INSERT INTO " + writer(table).name() + " "
                        + dialect.listed(columns.stream().map(Column::name).toList())
                        + (columns.stream().anyMatch(this::isGivenAlone) ? dialect.givingNumbers() : ""))
                .line("  VALUES (" + literals + ")")
                .closed(Statement.Kind.ROW));
        open.forEach(key -> closings.add(new Closing(table, row, key)));
    }

    /** Whether it takes a word of its own to give a number here. */
    private boolean isGivenAlone(Column column) {
        return dialect.can(Ability.NUMBERS_ALONE)
                && column.identity().filter(Identity::alone).isPresent();
    }

    private static List<String> optionalColumns(Table table, ForeignKey key) {
        return key.columns().stream()
                .filter(name -> table.column(name).filter(Column::nullable).isPresent())
                .toList();
    }

    /** Whether the database fills in a column by itself where nothing is given. */
    private boolean isFilled(Column column) {
        return column.identity().isPresent()
                || column.defaultValue().isPresent()
                || schema.domain(column.type())
                        .map(DomainType::defaultValue)
                        .filter(expression -> expression.isPresent())
                        .isPresent();
    }

    /** A reference that is set when all rows are there. */
    private record Closing(Table table, RowData row, ForeignKey key) {}

    private String literal(Column column, RowData row) {
        DataType type = schema.resolved(column.type());
        return dialect.literal(type, row.value(column.name()));
    }

    private Statement update(Table table, RowData row, ForeignKey key) {
        List<String> columns = table.primaryKey().map(Table.PrimaryKey::columns).orElse(List.of());
        return new SqlWriter(table.part(Part.Kind.ROW, row.id()))
                .line("UPDATE " + writer(table).name() + " SET "
                        + assigned(table, row, optionalColumns(table, key), ", "))
                .line("  WHERE " + assigned(table, row, columns, " AND "))
                .closed(Statement.Kind.ROW);
    }

    private String assigned(Table table, RowData row, List<String> names, String between) {
        return names.stream()
                .flatMap(name -> table.column(name).stream())
                .map(column -> dialect.column(column.name()) + " = " + literal(column, row))
                .collect(joining(between));
    }

    /** Lets the numbering go on behind the numbers that the rows bring, in the steps that it has from its start. */
    private void restartNumbering(Table table) {
        for (Column column : table.columns()) {
            if (dialect.can(Ability.RESTART_NUMBERING)
                    && writer(table).shortfalls().isNumbered(column)) {
                Identity identity = column.identity().orElseThrow(); // only columns with one are numbered
                numbers(table, column)
                        .max(identity.isRising() ? Comparator.naturalOrder() : Comparator.reverseOrder())
                        .flatMap(identity::after)
                        .ifPresent(next -> statements.add(new SqlWriter(table.part(Part.Kind.COLUMN, column.name()))
                                .line(dialect.restart(column, writer(table).name(), next, identity.step()))
                                .closed(Statement.Kind.ROW)));
            }
        }
    }

    private Stream<BigInteger> numbers(Table table, Column column) {
        return rows(table).stream()
                .filter(row -> written.contains(row.id()))
                .flatMap(row -> row.value(column.name()).stream())
                .map(text -> new BigInteger(text.strip())); // what is no number has been left out
    }

    private TableWriter writer(Table table) {
        return Optional.ofNullable(writers.get(table.qualified())).orElseThrow(); // made for each table at first
    }
}
