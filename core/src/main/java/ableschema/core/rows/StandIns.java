package ableschema.core.rows;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Check;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.Domain;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.Mark;
import ableschema.core.design.Relationship;
import ableschema.core.design.Row;
import ableschema.core.expression.Evaluation;
import ableschema.core.expression.Evaluation.Truth;
import ableschema.core.expression.Expression;
import ableschema.core.mapping.Keys;
import ableschema.core.types.DataType;
import ableschema.core.types.ReadableCode;
import ableschema.core.types.TypedValue;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Puts made-up values in the place of sample values that are personal or secret, so that rows can be given away. Values that were the
 * same stay the same, those that differed go on to differ, empty ones stay empty; lengths, patterns and simple rules are kept where
 * that is possible.
 */
public final class StandIns {

    private static final int MOST_TRIES = 1_000;
    private static final LocalDate FIRST_DAY = LocalDate.of(2000, 1, 1);

    private final Design design;
    private final Map<Id, Attribute> hidden = new LinkedHashMap<>();
    private final Map<Id, Map<String, String>> given = new HashMap<>();

    private StandIns(Design design) {
        this.design = design;
        hidden(design).forEach(attribute -> hidden.put(attribute.id(), attribute));
    }

    /** The attributes whose values are not to be given away. */
    public static List<Attribute> hidden(Design design) {
        return design.bodies()
                .flatMap(body -> body.attributes().stream())
                .filter(attribute -> attribute.is(Mark.PERSONAL) || attribute.is(Mark.SECRET))
                .toList();
    }

    /** The same design where nothing is hidden. */
    public static Design in(Design design) {
        var standIns = new StandIns(design);
        if (standIns.hidden.isEmpty()) {
            return design;
        }
        List<Entity> entities = design.entities().stream()
                .map(each -> each.withBody(standIns.of(each.id(), each.body())))
                .toList();
        List<Relationship> relationships = design.relationships().stream()
                .map(each -> each.withBody(standIns.of(each.id(), each.body())))
                .toList();
        return design.withAll(entities, relationships);
    }

    private Body of(Id owner, Body body) {
        var keys = new Keys(design);
        return body.withRows(body.rows().stream()
                .map(row -> withReferences(withValues(row, body), owner, keys))
                .toList());
    }

    private Row withValues(Row row, Body body) {
        Row changed = row;
        for (Attribute attribute : body.attributes()) {
            if (hidden.containsKey(attribute.id()) && row.value(attribute.id()).isPresent()) {
                Row sofar = changed;
                List<Id> open = body.attributes().stream()
                        .map(Attribute::id)
                        .filter(id -> hidden.containsKey(id)
                                && sofar.value(id).equals(row.value(id))
                                && !id.equals(attribute.id()))
                        .toList();
                changed = changed.with(
                        attribute.id(),
                        standIn(attribute, row.value(attribute.id()).get(), new Beside(Optional.of(sofar), open)));
            }
        }
        return changed;
    }

    /** A key of which there is no row is given as it was typed, and may be made of what is hidden. */
    private Row withReferences(Row row, Id owner, Keys keys) {
        Row changed = row;
        for (EndRef end : design.referencesOf(owner)) {
            if (row.reference(end).orElse(null) instanceof Row.RawKey raw) {
                List<ColumnRef> columns = keys.referencedBy(end);
                var values = new ArrayList<>(raw.values());
                for (int i = 0; i < Math.min(values.size(), columns.size()); i++) {
                    Attribute attribute =
                            columns.get(i).attribute().map(hidden::get).orElse(null);
                    if (attribute != null && !values.get(i).isEmpty()) {
                        values.set(i, standIn(attribute, values.get(i), Beside.NOTHING));
                    }
                }
                changed = changed.with(end, Optional.of(new Row.RawKey(values)));
            }
        }
        return changed;
    }

    /**
     * What stands beside a value in its row.
     *
     * @param open the attributes of which the real values still stand there
     */
    private record Beside(Optional<Row> row, List<Id> open) {
        static final Beside NOTHING = new Beside(Optional.empty(), List.of());

        Optional<String> value(ColumnRef column) {
            return column.attribute()
                    .filter(id -> !open.contains(id))
                    .flatMap(id -> row.flatMap(each -> each.value(id)));
        }
    }

    private String standIn(Attribute attribute, String value, Beside beside) {
        Map<String, String> known = given.computeIfAbsent(attribute.id(), id -> new HashMap<>());
        return known.computeIfAbsent(value, each -> made(attribute, known, beside));
    }

    /** The next value that no other was given and that fits the type and its rules; the last tried where none does. */
    private String made(Attribute attribute, Map<String, String> known, Beside beside) {
        DataType type = design.resolved(attribute.type());
        List<Expression<ColumnRef>> rules = rules(attribute);
        String value = "";
        for (String candidate : (Iterable<String>) candidates(attribute, type, known.size(), rules, beside)::iterator) {
            value = candidate;
            TypedValue typed = TypedValue.of(type, candidate);
            var own = new Evaluation.Operand(Optional.of(typed.canonical()), type);
            boolean good = typed.fits()
                    && !known.containsValue(candidate)
                    && rules.stream().noneMatch(rule -> Evaluation.of(
                                    rule, column -> column.equals(attribute.ref()) ? own : operand(column, beside))
                            .equals(Optional.of(Truth.FALSE)));
            if (good) {
                return candidate;
            }
        }
        return value;
    }

    /** Made-up values, and where a rule compares with another column also those around what stands there. */
    private Stream<String> candidates(
            Attribute attribute, DataType type, int known, List<Expression<ColumnRef>> rules, Beside beside) {
        Stream<String> around = rules.stream()
                .flatMap(Expression::columns)
                .distinct()
                .filter(column -> !column.equals(attribute.ref()))
                .flatMap(column -> beside.value(column).stream())
                .flatMap(other -> IntStream.range(known + 1, known + MOST_TRIES)
                        .boxed()
                        .flatMap(by -> Stream.of(by, -by))
                        .flatMap(by -> shifted(type, other, by).stream()));
        return Stream.concat(
                IntStream.range(known + 1, known + MOST_TRIES).mapToObj(number -> value(attribute, type, number)),
                around);
    }

    private static Optional<String> shifted(DataType type, String other, int by) {
        try {
            return type == DataType.Simple.DATE
                    ? Optional.of(LocalDate.parse(other).plusDays(by).toString())
                    : Optional.of(
                            new BigDecimal(other).add(BigDecimal.valueOf(by)).toPlainString());
        } catch (DateTimeParseException | NumberFormatException e) {
            return Optional.empty(); // nothing that can be counted on from
        }
    }

    private Evaluation.Operand operand(ColumnRef column, Beside beside) {
        DataType type = column.attribute()
                .flatMap(design::attribute)
                .map(each -> design.resolved(each.type()))
                .orElse(DataType.Simple.JSON);
        return new Evaluation.Operand(
                beside.value(column)
                        .map(text -> TypedValue.of(type, text))
                        .filter(TypedValue::fits)
                        .map(TypedValue::canonical),
                type);
    }

    /** The rules that speak of this attribute, and that of its named type. */
    private List<Expression<ColumnRef>> rules(Attribute attribute) {
        Stream<Expression<ColumnRef>> own = design.ownerOf(attribute.id()).flatMap(design::body).stream()
                .flatMap(body -> body.checks().stream())
                .map(Check::expression)
                .filter(rule -> rule.columns().anyMatch(attribute.ref()::equals));
        Stream<Expression<ColumnRef>> named = design.domain(attribute.type()).map(Domain::check).stream()
                .map(check -> check.<ColumnRef>map(any -> attribute.ref()));
        return Stream.concat(own, named).filter(Expression::isPresent).toList();
    }

    private static String value(Attribute attribute, DataType type, int number) {
        Optional<ReadableCode> code = ReadableCode.of(attribute.pattern());
        if (code.isPresent()) {
            return code.get().code(number, FIRST_DAY.getYear());
        }
        if (type instanceof DataType.Text text) {
            String said = "hidden " + number;
            String bare = String.valueOf(number);
            return text.max() == 0 || said.length() <= text.max() ? said : bare;
        }
        if (type instanceof DataType.OneOf list) {
            return list.values().get(number % list.values().size());
        }
        if (type instanceof DataType.Bytes) {
            return String.format(Locale.ROOT, "%08x", number);
        }
        return type instanceof DataType.Simple simple ? simple(simple, number) : String.valueOf(number);
    }

    private static String simple(DataType.Simple type, int number) {
        LocalDate day = FIRST_DAY.plusDays(number);
        return switch (type) {
            case YES_NO -> number % 2 == 0 ? "yes" : "no";
            case YEAR -> String.valueOf(FIRST_DAY.getYear() + number % 100);
            case DATE -> day.toString();
            case TIME -> String.format(Locale.ROOT, "%02d:%02d", number / 60 % 24, number % 60);
            case MOMENT -> day + " 12:00";
            case MOMENT_ANYWHERE -> day + " 12:00Z";
            case UUID ->
                UUID.nameUUIDFromBytes(("hidden " + number).getBytes(StandardCharsets.UTF_8))
                        .toString();
            case JSON -> "{\"hidden\": " + number + "}";
            default -> String.valueOf(number);
        };
    }
}
