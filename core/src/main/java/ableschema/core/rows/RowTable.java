package ableschema.core.rows;

import ableschema.core.design.KeyPart;
import ableschema.core.design.Row;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * Rows as text: CSV from a file, or tab-separated cells from the clipboard. A first line whose cells name columns is a
 * heading, in any order; without one the cells stand in the order of the grid.
 */
public final class RowTable {

    private final RowEntry entry;

    public RowTable(RowEntry entry) {
        this.entry = entry;
    }

    /** What was read: the new rows, and the headings that name no column here, whose cells were left out. */
    public record Reading(List<Row> rows, List<String> unknown) {}

    /** Reads rows to be put behind existing ones; an {@link IllegalArgumentException} says where the text is no table. */
    public Reading read(String text, boolean tabs, List<Row> existing) {
        return rows(records(text, tabs), existing);
    }

    /** The cells of a text, line by line; an {@link IllegalArgumentException} says where the text is no table. */
    public static List<List<String>> records(String text, boolean tabs) {
        CSVFormat format = tabs
                ? CSVFormat.TDF
                : CSVFormat.RFC4180.builder().setDelimiter(delimiter(text)).get();
        CSVFormat lenient =
                format.builder().setIgnoreEmptyLines(true).setTrim(true).get();
        try (CSVParser parser = CSVParser.parse(text.replace("\uFEFF", ""), lenient)) {
            return parser.getRecords().stream().map(CSVRecord::toList).toList();
        } catch (IOException e) {
            throw new IllegalArgumentException("the text is no table: " + e.getMessage(), e);
        }
    }

    private static String delimiter(String text) {
        String first = text.lines().findFirst().orElse("");
        return first.indexOf(';') >= 0 && first.indexOf(',') < 0 ? ";" : ",";
    }

    private Reading rows(List<List<String>> records, List<Row> existing) {
        if (records.isEmpty()) {
            return new Reading(List.of(), List.of());
        }
        List<Optional<KeyPart>> heading =
                records.get(0).stream().map(this::column).toList();
        boolean hasHeading = heading.stream().anyMatch(Optional::isPresent);
        List<Optional<KeyPart>> columns = hasHeading
                ? heading
                : entry.columns().stream().map(Optional::of).toList();
        var rows = new ArrayList<Row>();
        var all = new ArrayList<>(existing);
        for (List<String> record : records.subList(hasHeading ? 1 : 0, records.size())) {
            Row row = entry.newRow(all);
            for (int i = 0; i < Math.min(columns.size(), record.size()); i++) {
                Optional<KeyPart> column = columns.get(i);
                row = column.isPresent() && !record.get(i).isEmpty()
                        ? entry.with(row, column.get(), record.get(i))
                        : row;
            }
            rows.add(row);
            all.add(row);
        }
        var unknown = new ArrayList<String>();
        for (int i = 0; hasHeading && i < heading.size(); i++) {
            if (heading.get(i).isEmpty()) {
                unknown.add(records.get(0).get(i));
            }
        }
        return new Reading(rows, unknown);
    }

    /** The column that a heading names, whatever its letter case and whether its words stand apart or not. */
    private Optional<KeyPart> column(String heading) {
        return entry.columns().stream()
                .filter(column -> plain(entry.heading(column)).equals(plain(heading)))
                .findFirst();
    }

    private static String plain(String heading) {
        return heading.toLowerCase(Locale.ROOT).replaceAll("[\\s_-]+", " ").strip();
    }
}
