package ableschema.core.sql;

import ableschema.core.schema.Column;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Traits.Empties;
import ableschema.core.sql.dialect.Traits.TextComparison;
import ableschema.core.types.DataType;
import ableschema.core.types.TypedValue;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Finds rows that are alike in what must be unique, as the database compares once the values are of their types. */
record AlikeRows(Dialect dialect, Schema schema, Table table) {

    /** Adds to the faults each row that is like an earlier one. */
    void find(List<RowData> rows, Map<String, String> faults) {
        if (rows.isEmpty()) {
            return;
        }
        for (List<String> columns : unique()) {
            Map<List<String>, RowData> seen = new HashMap<>();
            for (RowData row : rows) {
                Optional<List<String>> values =
                        faults.containsKey(row.id()) ? Optional.empty() : compared(row, columns);
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

    private List<List<String>> unique() {
        var unique = new ArrayList<List<String>>();
        table.primaryKey().ifPresent(key -> unique.add(key.columns()));
        table.uniques().forEach(each -> unique.add(each.columns()));
        table.indexes().stream().filter(Table.TableIndex::unique).forEach(index -> unique.add(index.columnNames()));
        return unique;
    }

    /** What is compared; empty where the row is alike no other, as it is empty in a column. */
    private Optional<List<String>> compared(RowData row, List<String> columns) {
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
        return apart ? Optional.empty() : Optional.of(compared);
    }

    private static boolean isFilled(Column column) {
        return column.identity().isPresent() || column.filling().isPresent();
    }

    private String compared(DataType type, String text) {
        TypedValue value = TypedValue.of(type, text);
        boolean isText = type instanceof DataType.Text || type instanceof DataType.OneOf;
        TextComparison comparison = dialect.traits().comparison();
        if (!isText || comparison == TextComparison.EXACT) {
            return value.canonical();
        }
        String folded =
                value.canonical().stripTrailing().toLowerCase(Locale.ROOT).toUpperCase(Locale.ROOT);
        return comparison == TextComparison.NO_CASE
                ? folded
                : Normalizer.normalize(folded, Normalizer.Form.NFKD).replaceAll("\\p{M}+", "");
    }
}
