package ableschema.core.sql;

import static java.util.stream.Collectors.joining;

import ableschema.core.design.Body;
import ableschema.core.design.Design;
import ableschema.core.design.EndRef;
import ableschema.core.design.Id;
import ableschema.core.design.Row;
import ableschema.core.finding.Finding;
import ableschema.core.rows.RowJudge;
import ableschema.core.rows.RowValues;
import ableschema.core.schema.Column;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Table;
import ableschema.core.sql.Dialect.Ability;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Writes sample rows as INSERT statements, parents first. Where rows refer to each other in a circle, the reference is
 * left empty at first and set by an UPDATE. A row that breaks a rule, and all that refer to it, become a comment.
 */
final class RowWriter {

    private final Dialect dialect;
    private final Design design;
    private final TableOrder order;
    private final Map<String, TableWriter> writers;
    private final RowValues values;
    private final Map<Id, String> faults = new HashMap<>();
    private final Set<Id> written = new HashSet<>();
    private final List<Statement> statements = new ArrayList<>();
    private final List<Closing> closings = new ArrayList<>();

    RowWriter(Dialect dialect, Design design, TableOrder order, Map<String, TableWriter> writers) {
        this.dialect = dialect;
        this.design = design;
        this.order = order;
        this.writers = writers;
        this.values = new RowValues(design);
        for (Finding finding : RowJudge.judge(design)) {
            finding.place().row().ifPresent(row -> faults.putIfAbsent(row, finding.text()));
        }
    }

    List<Statement> statements() {
        leaveOutChildrenOfFaulty();
        order.tables().forEach(this::writeRows);
        closings.stream()
                .filter(each -> values.parent(each.row(), each.key().origin())
                        .filter(parent -> written.contains(parent.id()))
                        .isPresent())
                .forEach(each -> statements.add(update(each.table(), each.row(), each.key())));
        order.tables().forEach(this::restartNumbering);
        return statements;
    }

    private List<Row> rows(Table table) {
        return design.body(table.origin()).orElse(Body.EMPTY).rows();
    }

    private void leaveOutChildrenOfFaulty() {
        boolean more = true;
        while (more) {
            more = false;
            for (Table table : order.tables()) {
                for (Row row : rows(table)) {
                    if (!faults.containsKey(row.id())
                            && parents(table, row).anyMatch(p -> faults.containsKey(p.id()))) {
                        faults.put(row.id(), "a row of " + table.label() + " refers to a row that is left out");
                        more = true;
                    }
                }
            }
        }
    }

    private Stream<Row> parents(Table table, Row row) {
        return table.foreignKeys().stream().flatMap(key -> values.parent(row, key.origin()).stream());
    }

    private void writeRows(Table table) {
        var waiting = new LinkedHashMap<Id, Row>();
        rows(table).forEach(row -> waiting.put(row.id(), row));
        while (!waiting.isEmpty()) {
            List<Row> ready = waiting.values().stream()
                    .filter(row -> parents(table, row).noneMatch(p -> waiting.containsKey(p.id()) && !p.equals(row)))
                    .toList();
            // where none is ready, the rows refer to each other in a circle, and any one of them opens it
            for (Row row : ready.isEmpty() ? List.of(waiting.values().iterator().next()) : ready) {
                write(table, row);
                waiting.remove(row.id());
            }
        }
    }

    private void write(Table table, Row row) {
        List<ForeignKey> open = table.foreignKeys().stream()
                .filter(key -> values.parent(row, key.origin())
                        .filter(parent -> !written.contains(parent.id()) && !parent.equals(row))
                        .isPresent())
                .toList();
        if (open.stream().anyMatch(key -> !TableOrder.isOptional(table, key))) {
            faults.putIfAbsent(
                    row.id(),
                    "a row of " + table.label() + " must refer to a row that comes later or is left out itself, as"
                            + " references that must be there run in a circle");
        }
        if (faults.containsKey(row.id())) {
            statements.add(SqlWriter.comment("left out: " + faults.get(row.id()), table.origin(), row.id()));
        } else {
            insert(table, row, open);
        }
    }

    private void insert(Table table, Row row, List<ForeignKey> open) {
        written.add(row.id());
        Set<EndRef> later = new HashSet<>(open.stream().map(ForeignKey::origin).toList());
        List<Column> columns = table.columns().stream()
                .filter(column ->
                        !(value(row, column).isEmpty() && column.identity().isPresent()))
                .toList();
        String literals = columns.stream()
                .map(column -> column.ref().through().filter(later::contains).isPresent()
                        ? "NULL"
                        : literal(table, row, column))
                .collect(joining(", "));
        TableWriter writer = writers.get(table.name());
        statements.add(new SqlWriter(table.origin(), row.id())
                .line("INSERT INTO " + writer.name() + " "
                        + writer.listed(columns.stream().map(Column::name).toList()))
                .line("  VALUES (" + literals + ")")
                .closed(Statement.Kind.ROW));
        open.forEach(key -> closings.add(new Closing(table, row, key)));
    }

    /** A reference that is set when all rows are there. */
    private record Closing(Table table, Row row, ForeignKey key) {}

    private String literal(Table table, Row row, Column column) {
        Optional<String> value = value(row, column);
        return value.isEmpty() && column.defaultValue().isPresent()
                ? dialect.translated(column.defaultValue().written(ref -> dialect.quoted(table.nameOf(ref))))
                : dialect.literal(column.type(), value);
    }

    private Optional<String> value(Row row, Column column) {
        return values.value(row, column.ref());
    }

    private Statement update(Table table, Row row, ForeignKey key) {
        return new SqlWriter(table.origin(), row.id())
                .line("UPDATE " + writers.get(table.name()).name() + " SET "
                        + assigned(table, row, key.columns(), ", "))
                .line("  WHERE "
                        + assigned(
                                table,
                                row,
                                table.primaryKey()
                                        .map(Table.PrimaryKey::columns)
                                        .orElse(List.of()),
                                " AND "))
                .closed(Statement.Kind.ROW);
    }

    private String assigned(Table table, Row row, List<String> names, String between) {
        return names.stream()
                .flatMap(name -> table.column(name).stream())
                .map(column ->
                        dialect.quoted(column.name()) + " = " + dialect.literal(column.type(), value(row, column)))
                .collect(joining(between));
    }

    /** Lets the numbering go on behind the largest number that the rows bring. */
    private void restartNumbering(Table table) {
        TableWriter writer = writers.get(table.name());
        for (Column column : table.columns()) {
            if (column.identity().isPresent() && dialect.can(Ability.RESTART_IDENTITY)) {
                long step = column.identity().get().step();
                Comparator<Long> order = step > 0 ? Comparator.naturalOrder() : Comparator.reverseOrder();
                rows(table).stream()
                        .filter(row -> written.contains(row.id()))
                        .flatMap(row -> value(row, column).stream())
                        .map(text -> Long.parseLong(text.strip())) // the judge has left out what is no number
                        .max(order)
                        .ifPresent(last -> statements.add(new SqlWriter(table.origin(), column.origin())
                                .line(dialect.restart(writer.name(), dialect.quoted(column.name()), last + step))
                                .closed(Statement.Kind.ROW)));
            }
        }
    }
}
