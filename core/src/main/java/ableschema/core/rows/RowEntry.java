package ableschema.core.rows;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.EndRef;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Row;
import ableschema.core.types.DataType;
import ableschema.core.types.ReadableCode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Puts typed, pasted or read values into sample rows of one entity or many-to-many. A parent may be given by what its row
 * is called or by its key values; what fits no row is kept as given.
 */
public final class RowEntry {

    private final Design design;
    private final Id owner;
    private final RowValues values;
    private final IdSource ids;
    private final Map<EndRef, Map<String, Row>> called = new HashMap<>();

    public RowEntry(Design design, Id owner, IdSource ids) {
        this.design = design;
        this.owner = owner;
        this.values = new RowValues(design);
        this.ids = ids;
    }

    /** The columns of the grid: references that are part of the key, the attributes, then the other references. */
    public List<KeyPart> columns() {
        Body body = body();
        List<EndRef> references = design.referencesOf(owner);
        boolean pairing = design.relationship(owner).isPresent();
        var columns = new ArrayList<KeyPart>();
        references.stream()
                .filter(end -> pairing || isInKey(body, end))
                .forEach(end -> columns.add(new KeyPart.WholeReference(end)));
        body.attributes().forEach(attribute -> columns.add(attribute.ref()));
        references.stream()
                .map(KeyPart.WholeReference::new)
                .filter(part -> !columns.contains(part))
                .forEach(columns::add);
        return columns;
    }

    private static boolean isInKey(Body body, EndRef end) {
        return body.key().stream()
                .anyMatch(part -> part.through().filter(end::equals).isPresent());
    }

    private Body body() {
        return design.body(owner).orElse(Body.EMPTY);
    }

    /** What a column is called: an attribute's name, or a parent's role or name. */
    public String heading(KeyPart column) {
        if (column instanceof ColumnRef.Own own) {
            return design.attribute(own.id()).map(Attribute::name).orElse("");
        }
        return column.through()
                .flatMap(end -> design.relationship(end.relationship()).map(r -> r.end(end.side())))
                .map(end -> end.role().isEmpty() ? design.at(end).name() : end.role())
                .orElse("");
    }

    /** A new row with nothing but the next number where the database would give one, and the next code of a pattern. */
    public Row newRow(List<Row> existing) {
        Row row = numbered(existing, empty(1)).get(0);
        for (Attribute attribute : body().attributes()) {
            Optional<ReadableCode> pattern = ReadableCode.of(attribute.pattern());
            if (pattern.isPresent() && !attribute.filling().isPresent()) {
                row = row.with(attribute.id(), nextCode(pattern.get(), attribute, existing));
            }
        }
        return row;
    }

    private static String nextCode(ReadableCode pattern, Attribute attribute, List<Row> existing) {
        Optional<String> last = existing.stream()
                .flatMap(row -> row.value(attribute.id()).stream())
                .filter(pattern::isCode)
                .max(Comparator.naturalOrder());
        return last.map(code -> pattern.after(code).orElse(""))
                .orElseGet(() -> pattern.first().orElse(""));
    }

    List<Row> empty(int count) {
        return Stream.generate(() -> Row.empty(ids.next(IdKind.ROW)))
                .limit(count)
                .toList();
    }

    /** Rows behind existing ones, with the next number wherever the database would give one and none is given. */
    List<Row> numbered(List<Row> existing, List<Row> rows) {
        var numbered = new ArrayList<>(rows);
        for (Attribute attribute : body().attributes()) {
            if (attribute.type() instanceof DataType.Counted counted) {
                long next = counted.start();
                for (Row row : existing) {
                    next = after(row, attribute, counted, next);
                }
                for (int i = 0; i < numbered.size(); i++) {
                    if (numbered.get(i).value(attribute.id()).isEmpty()) {
                        numbered.set(i, numbered.get(i).with(attribute.id(), Long.toString(next)));
                    }
                    next = after(numbered.get(i), attribute, counted, next);
                }
            }
        }
        return numbered;
    }

    /** The number to be given next behind a row. */
    private static long after(Row row, Attribute attribute, DataType.Counted counted, long next) {
        return row.value(attribute.id())
                .map(String::strip)
                .filter(text -> text.matches("-?\\d{1,18}"))
                .map(text -> Long.parseLong(text) + counted.step())
                .filter(behind -> counted.step() > 0 ? behind > next : behind < next)
                .orElse(next);
    }

    /** The rows that a reference may lead to. */
    public List<Row> parents(EndRef end) {
        return design.target(end).map(entity -> entity.body().rows()).orElse(List.of());
    }

    /** What people call a parent row. */
    public String nameOfParent(EndRef end, Row parent) {
        return design.target(end).map(entity -> values.name(entity, parent)).orElse("");
    }

    /** What the grid shows in a cell. */
    public String shown(Row row, KeyPart column) {
        if (column instanceof ColumnRef.Own own) {
            return isComputed(own)
                    ? values.value(row, own).orElse("")
                    : row.value(own.id()).orElse("");
        }
        EndRef end = column.through().orElseThrow(); // a column of the grid is an attribute or a reference
        return values.parent(row, end)
                .map(parent -> nameOfParent(end, parent))
                .or(() -> row.reference(end)
                        .filter(Row.RawKey.class::isInstance)
                        .map(raw -> String.join(" / ", ((Row.RawKey) raw).values())))
                .orElse("");
    }

    /** Whether the database computes what stands in a column, so that nothing is typed there. */
    public boolean isComputed(KeyPart column) {
        return column instanceof ColumnRef.Own own
                && design.attribute(own.id())
                        .filter(attribute -> attribute.filling().isComputed())
                        .isPresent();
    }

    /** Whether the database alone gives the numbers of a column, so that a typed one would be refused. */
    public boolean isNumberedAlone(KeyPart column) {
        return column instanceof ColumnRef.Own own
                && design.attribute(own.id())
                        .filter(attribute -> attribute.type() instanceof DataType.Counted)
                        .isPresent()
                && design.notes().isNeverChanged(own.id());
    }

    /** The row with what was typed into a cell; an empty text empties it, and what is computed stays. */
    public Row with(Row row, KeyPart column, String typed) {
        if (column instanceof ColumnRef.Own own) {
            return isComputed(own) ? row : row.with(own.id(), typed);
        }
        return column.through()
                .map(end -> row.with(end, reference(end, typed.strip())))
                .orElse(row);
    }

    private Optional<Row.Reference> reference(EndRef end, String typed) {
        if (typed.isEmpty()) {
            return Optional.empty();
        }
        Row parent = called(end).get(typed.toLowerCase(Locale.ROOT));
        return Optional.of(
                parent == null ? new Row.RawKey(Arrays.asList(typed.split("\\s*/\\s*"))) : Row.Reference.to(parent));
    }

    /** The rows that a reference may lead to, by all that they are called; of two of the same name the first. */
    private Map<String, Row> called(EndRef end) {
        return called.computeIfAbsent(end, each -> {
            Map<String, Row> rows = new HashMap<>();
            design.target(end).ifPresent(entity -> {
                List<Row> all = entity.body().rows();
                all.forEach(row -> rows.putIfAbsent(values.name(entity, row).toLowerCase(Locale.ROOT), row));
                all.forEach(row -> partsOf(values.name(entity, row))
                        .forEach(part -> rows.putIfAbsent(part.toLowerCase(Locale.ROOT), row)));
            });
            return rows;
        });
    }

    /** What stands before and behind the dot of "SKP-1 · North", each of which a row may be called alone. */
    private static List<String> partsOf(String name) {
        int dot = name.indexOf(" · ");
        return dot < 0 ? List.of() : List.of(name.substring(0, dot), name.substring(dot + 3));
    }
}
