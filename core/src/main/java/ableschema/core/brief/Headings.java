package ableschema.core.brief;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Entity;
import ableschema.core.design.FreeName;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.Row;
import ableschema.core.rows.RowTable;
import ableschema.core.types.DataType;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/** Makes an entity of the headings and rows of a spreadsheet: tidied names, and a type for each with its reason. */
public final class Headings {

    private final List<List<String>> rows;
    private final List<String> headings;

    private Headings(List<List<String>> records) {
        this.headings = records.get(0);
        this.rows = records.subList(1, records.size());
    }

    /** One attribute that a column would become, and why it gets its type. */
    public record Column(String heading, String name, DataType type, boolean optional, String reason) {}

    /** Reads pasted cells; an {@link IllegalArgumentException} says why the text is no table. */
    public static Headings of(String text) {
        List<List<String>> records = RowTable.records(text, text.indexOf('\t') >= 0);
        if (records.isEmpty() || records.get(0).stream().allMatch(String::isBlank)) {
            throw new IllegalArgumentException(
                    "expected a line of headings and below it a few rows, cells apart by tabs, commas or semicolons");
        }
        return new Headings(records);
    }

    /** The attributes, in the order of the headings. */
    public List<Column> columns() {
        var columns = new ArrayList<Column>();
        var names = new HashSet<String>();
        for (int i = 0; i < headings.size(); i++) {
            String name = free(tidy(headings.get(i), i), names);
            List<String> values = values(i);
            boolean optional = rows.size() > values.size();
            TypeSuggestion suggested = TypeSuggestion.of(name, values);
            columns.add(new Column(headings.get(i), name, suggested.type(), optional, suggested.reason()));
        }
        return columns;
    }

    public int rowCount() {
        return rows.size();
    }

    private List<String> values(int column) {
        return rows.stream()
                .filter(row -> column < row.size())
                .map(row -> row.get(column).strip())
                .filter(value -> !value.isEmpty())
                .toList();
    }

    /** "ApiaryCode" and "apiary_code" become "apiary code". */
    private static String tidy(String heading, int column) {
        String apart =
                heading.replaceAll("(?<=[\\p{Ll}\\p{N}])(?=\\p{Lu})", " ").replaceAll("[\\s_.:;,]+", " ");
        String tidied = apart.strip().toLowerCase(Locale.ROOT);
        return tidied.isEmpty() ? "column " + (column + 1) : tidied;
    }

    private static String free(String name, Set<String> names) {
        return FreeName.of(name, each -> !names.add(each));
    }

    /** The entity with its rows; no key is chosen for it. */
    public Entity entity(String name, IdSource ids) {
        var attributes = new ArrayList<Attribute>();
        for (Column column : columns()) {
            attributes.add(Attribute.named(ids.next(IdKind.ATTRIBUTE), column.name())
                    .withType(column.type())
                    .withOptional(column.optional()));
        }
        var made = new ArrayList<Row>();
        for (List<String> cells : rows) {
            Row row = Row.empty(ids.next(IdKind.ROW));
            for (int i = 0; i < Math.min(cells.size(), attributes.size()); i++) {
                row = row.with(attributes.get(i).id(), cells.get(i).strip());
            }
            made.add(row);
        }
        Body body = Body.EMPTY.withAttributes(attributes).withRows(made);
        return Entity.named(ids.next(IdKind.ENTITY), name).withBody(body);
    }
}
