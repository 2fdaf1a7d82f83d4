package ableschema.core.rows;

import ableschema.core.design.KeyPart;
import ableschema.core.design.Row;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Iterator;
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

    /** The cells of a text, line by line without empty lines; an {@link IllegalArgumentException} says where the text is no table. */
    public static List<List<String>> records(String text, boolean tabs) {
        return records(text, tabs, true);
    }

    private static List<List<String>> records(String text, boolean tabs, boolean withoutEmpty) {
        CSVFormat format = tabs
                ? CSVFormat.TDF
                : CSVFormat.RFC4180.builder().setDelimiter(delimiter(text)).get();
        CSVFormat lenient =
                format.builder().setIgnoreEmptyLines(withoutEmpty).setTrim(true).get();
        var records = new ArrayList<List<String>>();
        long line = 1;
        try (CSVParser parser = CSVParser.parse(text.replace("\uFEFF", ""), lenient)) {
            Iterator<CSVRecord> each = parser.iterator();
            while (each.hasNext()) {
                records.add(each.next().toList());
                line = parser.getCurrentLineNumber() + 1;
            }
            return records;
        } catch (IOException | UncheckedIOException | IllegalStateException e) {
            throw new IllegalArgumentException(
                    "line " + line
                            + " is badly quoted: a cell that begins with \" ends with one too, and each \" within it"
                            + " is written twice; nothing was read",
                    e);
        }
    }

    /**
     * Rows after cells were pasted over them, from one cell on to the right and down; where the rows end, new ones follow.
     *
     * @param all  the rows
     * @param left how many cells had no column any more and were left out
     */
    public record Filling(List<Row> all, int left) {}

    /**
     * Fills cells.
     *
     * @param text   tab-separated cells, line by line
     * @param row    of {@code existing}, counted from 0
     * @param column of the grid, counted from 0
     */
    public Filling fill(String text, List<Row> existing, int row, int column) {
        List<List<String>> records = new ArrayList<>(records(text, true, false));
        List<KeyPart> columns = entry.columns();
        var all = new ArrayList<>(existing);
        all.addAll(entry.empty(Math.max(0, row + records.size() - existing.size())));
        int left = 0;
        for (int i = 0; i < records.size(); i++) {
            List<String> cells = records.get(i);
            int fitting = Math.min(cells.size(), columns.size() - column);
            for (int j = 0; j < fitting; j++) {
                all.set(row + i, entry.with(all.get(row + i), columns.get(column + j), cells.get(j)));
            }
            left += cells.size() - fitting;
        }
        var filled = new ArrayList<>(all.subList(0, existing.size()));
        filled.addAll(entry.numbered(filled, all.subList(existing.size(), all.size())));
        return new Filling(filled, left);
    }

    /** Whether the first line of a text names columns, so that it is to be read as a table of its own. */
    public boolean hasHeading(String text, boolean tabs) {
        List<List<String>> records = records(text.lines().findFirst().orElse(""), tabs);
        return !records.isEmpty()
                && records.get(0).stream().allMatch(cell -> column(cell).isPresent());
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
        List<List<String>> lines = records.subList(hasHeading ? 1 : 0, records.size());
        var rows = new ArrayList<>(entry.empty(lines.size()));
        for (int line = 0; line < lines.size(); line++) {
            List<String> record = lines.get(line);
            for (int i = 0; i < Math.min(columns.size(), record.size()); i++) {
                Optional<KeyPart> column = columns.get(i);
                if (column.isPresent() && !record.get(i).isEmpty()) {
                    rows.set(line, entry.with(rows.get(line), column.get(), record.get(i)));
                }
            }
        }
        var unknown = new ArrayList<String>();
        for (int i = 0; hasHeading && i < heading.size(); i++) {
            if (heading.get(i).isEmpty()) {
                unknown.add(records.get(0).get(i));
            }
        }
        return new Reading(entry.numbered(existing, rows), unknown);
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
