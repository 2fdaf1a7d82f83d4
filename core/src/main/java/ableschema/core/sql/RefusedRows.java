package ableschema.core.sql;

import ableschema.core.schema.Column;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.DialectOption;
import ableschema.core.sql.dialect.Traits.Empties;
import ableschema.core.types.DataType;
import ableschema.core.types.TypedValue;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Finds rows that the database would refuse for what it holds of their types, and for what is the same to it in a key. */
record RefusedRows(Dialect dialect, Schema schema, Table table) {

    /** Adds to the faults each row that has a value beyond its type, or is like an earlier one in what must be unique. */
    void find(List<RowData> rows, Map<String, String> faults) {
        if (rows.isEmpty()) {
            return;
        }
        rows.forEach(row -> table.columns()
                .forEach(column -> beyond(row, column).ifPresent(fault -> faults.putIfAbsent(row.id(), fault))));
        for (Unique rule : unique()) {
            List<String> columns = rule.columns();
            Map<List<String>, RowData> seen = new HashMap<>();
            for (RowData row : rows) {
                Optional<List<String>> values = faults.containsKey(row.id()) ? Optional.empty() : compared(row, rule);
                RowData other = values.map(each -> seen.putIfAbsent(each, row)).orElse(null);
                if (other != null) {
                    faults.put(
                            row.id(),
                            "a row of " + table.name() + " has " + String.join(" / ", row.values(columns)) + " in "
                                    + String.join(", ", columns) + ", which is the same to " + dialect + " as "
                                    + String.join(" / ", other.values(columns)) + " in another row");
                }
            }
        }
    }

    private Optional<String> beyond(RowData row, Column column) {
        DataType type = schema.resolved(column.type());
        if (dialect.form(type).isUnlimited()) {
            return Optional.empty();
        }
        return row.value(column.name())
                .filter(value ->
                        !dialect.form(type).holds(TypedValue.of(type, value).comparable(type)))
                .map(value -> "a row of " + table.name() + " has " + value + " in " + column.name() + ", and "
                        + dialect.typeShortfall(type).orElse("it does not fit"));
    }

    /**
     * Columns that no two rows are alike in.
     *
     * @param oneEmpty whether it is said that empty values are alike
     */
    private record Unique(List<String> columns, boolean oneEmpty) {}

    private List<Unique> unique() {
        var unique = new ArrayList<Unique>();
        table.primaryKey().ifPresent(key -> unique.add(new Unique(key.columns(), false)));
        table.uniques()
                .forEach(each ->
                        unique.add(new Unique(each.columns(), dialect.has(each.options(), DialectOption.EMPTIES))));
        table.indexes().stream()
                .filter(index -> index.unique() && index.isPlain())
                .forEach(index -> unique.add(
                        new Unique(index.columnNames(), dialect.has(index.options(), DialectOption.EMPTIES))));
        return unique;
    }

    /** What is compared; empty where the row is alike no other, as it is empty in a column. */
    private Optional<List<String>> compared(RowData row, Unique unique) {
        List<String> columns = unique.columns();
        var compared = new ArrayList<String>();
        int empty = 0;
        for (String name : columns) {
            Optional<Column> column = table.column(name);
            Optional<String> value = row.value(name);
            if (column.isEmpty() || value.isEmpty() && isFilled(column.get())) {
                return Optional.empty();
            }
            empty += value.isEmpty() ? 1 : 0;
            compared.add(value.map(text -> compared(schema.resolved(column.get().type()), text))
                    .orElse("\0"));
        }
        Empties empties = dialect.traits().empties();
        boolean apart =
                switch (empties) {
                    case MANY -> empty > 0;
                    case MANY_IF_ALL_EMPTY -> empty == columns.size();
                    case ONE ->
                        empty > 0
                                && schema.referencesTo(table)
                                        .noneMatch(key -> key.targetColumns().equals(columns));
                };
        return apart && !unique.oneEmpty() ? Optional.empty() : Optional.of(compared);
    }

    private static boolean isFilled(Column column) {
        return column.identity().isPresent() || column.filling().isPresent();
    }

    private String compared(DataType type, String text) {
        String value = TypedValue.of(type, text).comparable(type);
        boolean isText = type instanceof DataType.Text || type instanceof DataType.OneOf;
        return isText ? dialect.traits().comparison().folded(value) : value;
    }
}
