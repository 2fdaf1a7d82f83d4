package ableschema.core.rows;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.ForeignColumn;
import ableschema.core.design.Id;
import ableschema.core.design.Row;
import ableschema.core.expression.Evaluation;
import ableschema.core.mapping.Keys;
import ableschema.core.types.DataType;
import ableschema.core.types.TypedValue;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What stands in each column of a sample row, foreign keys included, whose values come from the rows referred to. */
public final class RowValues {

    private final Design design;
    private final Keys keys;
    private final Map<Id, Row> rows = new HashMap<>();
    private final Map<Id, Id> owners = new HashMap<>();
    private final Map<Id, Attribute> computed = new HashMap<>();

    public RowValues(Design design) {
        this.design = design;
        this.keys = new Keys(design);
        design.entities().forEach(e -> register(e.id(), e.body()));
        design.relationships().forEach(r -> register(r.id(), r.body()));
    }

    private void register(Id owner, Body body) {
        for (Attribute attribute : body.attributes()) {
            if (attribute.filling().isComputed()) {
                computed.put(attribute.id(), attribute);
            }
        }
        for (Row row : body.rows()) {
            rows.put(row.id(), row);
            owners.put(row.id(), owner);
        }
    }

    public Optional<Row> row(Id id) {
        return Optional.ofNullable(rows.get(id));
    }

    /** The text in a column as it was typed; empty where nothing stands, or where the row referred to is gone. */
    public Optional<String> value(Row row, ColumnRef column) {
        return value(row, column, 0);
    }

    private Optional<String> value(Row row, ColumnRef column, int depth) {
        if (depth > rows.size()) {
            return Optional.empty(); // deeper than there are rows: the references run in a circle
        }
        ColumnRef same = keys.resolved(column);
        if (same instanceof ColumnRef.Own own) {
            Attribute attribute = computed.get(own.id());
            if (attribute != null) {
                return computation(row, attribute, depth)
                        .flatMap(Evaluation.Operand::text)
                        .map(text -> rounded(text, attribute.type()));
            }
            return row.value(own.id()).or(() -> shared(row, same, depth));
        }
        if (!(same instanceof ForeignColumn foreign)) {
            return Optional.empty();
        }
        return referred(row, foreign, depth).or(() -> shared(row, same, depth));
    }

    /** What the database computes; empty where that is not known here. */
    private Optional<Evaluation.Operand> computation(Row row, Attribute attribute, int depth) {
        return Evaluation.valueOf(attribute.filling().expression(), column -> {
            DataType type = keys.type(column);
            Optional<TypedValue> value = value(row, column, depth + 1).map(text -> TypedValue.of(type, text));
            return new Evaluation.Operand(value.filter(TypedValue::fits).map(TypedValue::canonical), type);
        });
    }

    /** Databases round what is computed to the digits of its column. */
    private static String rounded(String text, DataType type) {
        boolean number = type instanceof DataType.Decimal && text.matches("-?[0-9]+(\\.[0-9]+)?");
        return number
                ? new BigDecimal(text)
                        .setScale(((DataType.Decimal) type).scale(), RoundingMode.HALF_UP)
                        .toPlainString()
                : text;
    }

    /** Whether the database is known to compute nothing in an attribute of a row, as something that it needs is empty. */
    boolean isComputedEmpty(Row row, Attribute attribute) {
        return attribute.filling().isComputed()
                && computation(row, attribute, 0)
                        .filter(value -> value.text().isEmpty())
                        .isPresent();
    }

    /** The value that another reference brings, of which this column is a part too. */
    private Optional<String> shared(Row row, ColumnRef column, int depth) {
        return row.references().keySet().stream()
                .flatMap(end -> keys.referring(end).stream())
                .filter(other -> !other.equals(column) && keys.resolved(other).equals(column))
                .flatMap(other -> referred(row, (ForeignColumn) other, depth).stream())
                .findFirst();
    }

    private Optional<String> referred(Row row, ForeignColumn carried, int depth) {
        Optional<Row.Reference> reference = row.reference(carried.end());
        if (reference.isPresent() && reference.get() instanceof Row.RawKey raw) {
            int place = keys.referring(carried.end()).indexOf(carried);
            return place >= 0 && place < raw.values().size()
                    ? Optional.of(raw.values().get(place)).filter(v -> !v.isEmpty())
                    : Optional.empty();
        }
        return parent(row, carried.end()).flatMap(parent -> value(parent, carried.target(), depth + 1));
    }

    /** The sample row that a row refers to. */
    public Optional<Row> parent(Row row, EndRef end) {
        return row.reference(end)
                .filter(Row.ToRow.class::isInstance)
                .flatMap(to -> row(((Row.ToRow) to).row()))
                .filter(parent -> design.target(end)
                        .filter(entity -> entity.id().equals(owners.get(parent.id())))
                        .isPresent());
    }

    /** The values in several columns, in their order; an empty text where nothing stands. */
    public List<String> values(Row row, List<ColumnRef> columns) {
        return columns.stream().map(column -> value(row, column).orElse("")).toList();
    }

    /** What people call a row: its name or else its first words, beside its key values, as in "Mill bank · AV-01". */
    public String name(Entity entity, Row row) {
        List<ColumnRef> key = keys.of(entity.id());
        String keyValues = String.join(" / ", values(row, key));
        Optional<String> words = entity.body().attributes().stream()
                .filter(a -> !key.contains(a.ref()) && isNaming(a.name()))
                .findFirst()
                .flatMap(a -> row.value(a.id()));
        if (keyValues.isBlank()) {
            return words.or(() -> row.values().values().stream().findFirst()).orElse("row without values");
        }
        return words.map(w -> w + " · " + keyValues).orElse(keyValues);
    }

    private static boolean isNaming(String attribute) {
        return attribute.matches("(?i).*\\b(name|title|known as|called)\\b.*");
    }
}
