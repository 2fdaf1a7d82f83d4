package ableschema.core.rows;

import static java.util.stream.Collectors.joining;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Check;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Condition;
import ableschema.core.design.Design;
import ableschema.core.design.Domain;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.ForeignColumn;
import ableschema.core.design.Id;
import ableschema.core.design.Index;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Row;
import ableschema.core.design.Unique;
import ableschema.core.expression.Evaluation;
import ableschema.core.expression.Evaluation.Truth;
import ableschema.core.expression.Expression;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Rule;
import ableschema.core.mapping.Keys;
import ableschema.core.types.DataType;
import ableschema.core.types.TypedValue;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** Holds the sample rows of one entity or many-to-many against every rule of the design. */
public final class RowJudge {

    /** What things are called, and no fact of the row. */
    private static final Set<String> NAMES = Set.of("column", "parent", "other");

    private final Design design;
    private final Id owner;
    private final Body body;
    private final Keys keys;
    private final RowValues values;
    private final String label;
    private final List<EndRef> references;
    private final List<Finding> findings = new ArrayList<>();

    private RowJudge(Design design, Id owner, RowValues values) {
        this.design = design;
        this.owner = owner;
        this.body = design.body(owner).orElse(Body.EMPTY);
        this.keys = new Keys(design);
        this.values = values;
        this.label = design.nameOf(owner);
        this.references = design.referencesOf(owner);
    }

    /** Returns what is wrong with the rows of this owner, row by row in their order; empty if nothing is. */
    public static List<Finding> judge(Design design, Id owner, RowValues values) {
        var judge = new RowJudge(design, owner, values);
        judge.body.rows().forEach(judge::judgeAlone);
        judge.judgeTogether();
        return judge.findings;
    }

    /** Returns what is wrong with all sample rows of a design. */
    public static List<Finding> judge(Design design) {
        var values = new RowValues(design);
        var findings = new ArrayList<Finding>();
        design.entities().forEach(e -> findings.addAll(judge(design, e.id(), values)));
        design.relationships().forEach(r -> findings.addAll(judge(design, r.id(), values)));
        return findings;
    }

    /** How many sample rows of an owner break one of its checks. */
    public static long breaking(Design design, Id owner, Check check, RowValues values) {
        var judge = new RowJudge(design, owner, values);
        return judge.body.rows().stream()
                .filter(row -> {
                    judge.findings.clear();
                    judge.judgeCheck(row, check);
                    return !judge.findings.isEmpty();
                })
                .count();
    }

    private void judgeAlone(Row row) {
        for (Attribute attribute : body.attributes()) {
            values.value(row, attribute.ref())
                    .ifPresentOrElse(value -> judgeValue(row, attribute, value), () -> judgeMissing(row, attribute));
        }
        references.forEach(end -> judgeReference(row, end));
        body.checks().forEach(check -> judgeCheck(row, check));
    }

    private void judgeValue(Row row, Attribute attribute, String value) {
        TypedValue.of(design.typeOf(attribute), value)
                .problem()
                .ifPresent(reason -> find(
                        RowRules.VALUE_UNFIT,
                        row,
                        List.of(attribute.ref()),
                        Map.of(
                                "column",
                                attribute.name(),
                                "type",
                                design.inWords(attribute.type()),
                                "reason",
                                reason)));
        design.domain(attribute.type()).ifPresent(domain -> judgeDomain(row, attribute, domain, value));
    }

    private void judgeDomain(Row row, Attribute attribute, Domain domain, String text) {
        TypedValue value = TypedValue.of(domain.base(), text);
        var operand = new Evaluation.Operand(Optional.of(value.canonical()), domain.base());
        if (value.fits()
                && domain.check().isPresent()
                && Evaluation.of(domain.check(), any -> operand).equals(Optional.of(Truth.FALSE))) {
            find(
                    RowRules.CHECK_FAILED,
                    row,
                    List.of(attribute.ref()),
                    Map.of(
                            "column",
                            attribute.name(),
                            "value",
                            value.canonical(),
                            "rule",
                            "so that " + domain.check().written(any -> domain.name())));
        }
    }

    private void judgeMissing(Row row, Attribute attribute) {
        boolean filledIn = attribute.filling().isPresent() && !values.isComputedEmpty(row, attribute)
                || attribute.type() instanceof DataType.Counted
                || design.domain(attribute.type())
                        .filter(domain -> domain.defaultValue().isPresent())
                        .isPresent();
        boolean needed = !attribute.optional() || keys.of(owner).contains(attribute.ref());
        if (needed && !filledIn) {
            find(RowRules.VALUE_MISSING, row, List.of(attribute.ref()), Map.of("column", attribute.name()));
        }
    }

    private void judgeReference(Row row, EndRef end) {
        var part = new KeyPart.WholeReference(end);
        String parent = design.target(end).map(Entity::name).orElse("");
        Optional<Row.Reference> reference = row.reference(end);
        if (reference.isEmpty()) {
            if (!design.isOptional(end) || isInKey(end)) {
                find(RowRules.VALUE_MISSING, row, List.of(part), Map.of("column", parent));
            }
        } else if (values.parent(row, end).isEmpty()) {
            String raw = reference.get() instanceof Row.RawKey given ? String.join(" / ", given.values()) : "a row";
            find(RowRules.PARENT_MISSING, row, List.of(part), Map.of("parent", parent, "value", raw));
        } else {
            judgeShared(row, end, part, parent);
            judgeAlternateKey(row, end, part, parent);
        }
    }

    /** A row that has nothing in the alternate key by which it is referred to cannot be referred to where that is a must. */
    private void judgeAlternateKey(Row row, EndRef end, KeyPart part, String parent) {
        boolean must = !design.isOptional(end) || isInKey(end);
        for (ColumnRef column : keys.referring(end)) {
            ColumnRef target = ((ForeignColumn) column).target();
            boolean optional = target instanceof ColumnRef.Own own
                    && design.attribute(own.id())
                            .filter(each -> each.optional() && !each.filling().isPresent())
                            .isPresent();
            if (must && optional && values.value(row, column).isEmpty()) {
                find(RowRules.VALUE_MISSING, row, List.of(part), Map.of("column", named(column)));
            }
        }
    }

    /** A column that is part of two references must have the same value for both. */
    private void judgeShared(Row row, EndRef end, KeyPart part, String parent) {
        Optional<Row> referred = values.parent(row, end);
        for (ColumnRef column : keys.referring(end)) {
            ColumnRef target = ((ForeignColumn) column).target();
            String wanted = referred.flatMap(each -> values.value(each, target)).orElse("");
            if (!keys.resolved(column).equals(column) && !canonical(row, column).equals(canonical(column, wanted))) {
                find(
                        RowRules.PARENT_MISSING,
                        row,
                        List.of(part),
                        Map.of("parent", parent, "value", canonical(row, column)));
            }
        }
    }

    private String canonical(ColumnRef column, String text) {
        return TypedValue.of(keys.type(column), text).canonical();
    }

    private boolean isInKey(EndRef end) {
        return keys.of(owner).stream()
                .anyMatch(c -> c.through().filter(end::equals).isPresent());
    }

    private void judgeCheck(Row row, Check check) {
        Optional<Condition> simple = Condition.read(check.expression())
                .filter(c -> check.expression().isStandard());
        if (simple.isPresent()) {
            judgeCondition(row, simple.get());
        } else if (Evaluation.of(check.expression(), column -> operand(row, column))
                .equals(Optional.of(Truth.FALSE))) {
            List<ColumnRef> columns = check.expression().columns().distinct().toList();
            find(
                    RowRules.CHECK_FAILED,
                    row,
                    parts(columns),
                    Map.of(
                            "column",
                            listed(columns),
                            "value",
                            String.join(
                                    " / ",
                                    columns.stream().map(c -> canonical(row, c)).toList()),
                            "rule",
                            "so that " + check.expression().written(this::named)));
        }
    }

    private Evaluation.Operand operand(Row row, ColumnRef column) {
        DataType type = keys.type(column);
        Optional<TypedValue> value = values.value(row, column).map(text -> TypedValue.of(type, text));
        // what does not fit its type is said of the value itself
        return new Evaluation.Operand(value.filter(TypedValue::fits).map(TypedValue::canonical), type);
    }

    private String listed(List<ColumnRef> columns) {
        return String.join(", ", columns.stream().map(this::named).toList());
    }

    private void judgeCondition(Row row, Condition condition) {
        DataType type = keys.type(condition.column());
        values.value(row, condition.column())
                .map(text -> TypedValue.of(type, text))
                .filter(value -> value.fits() && !condition.holdsFor(type, value.canonical()))
                .ifPresent(value -> find(
                        RowRules.CHECK_FAILED,
                        row,
                        List.of(condition.column()),
                        Map.of(
                                "column",
                                named(condition.column()),
                                "value",
                                value.canonical(),
                                "rule",
                                condition.inWords())));
    }

    private void judgeTogether() {
        List<ColumnRef> key = keys.of(owner);
        judgeRepeated(key, RowRules.KEY_REPEATED);
        for (Unique unique : body.uniques()) {
            judgeRepeated(keys.columns(owner, unique.parts()), RowRules.UNIQUE_REPEATED);
        }
        for (Index index : body.indexes()) {
            List<ColumnRef> columns = index.parts().stream()
                    .flatMap(part -> part.value().columns())
                    .distinct()
                    .toList();
            if (index.unique() && !(index.isPlain() && columns.equals(key))) {
                judgeRepeated(columns, RowRules.UNIQUE_REPEATED, row -> indexed(row, index));
            }
        }
        for (EndRef end : references) {
            if (design.relationship(end.relationship())
                            .filter(r -> r.isOneToOne())
                            .isPresent()
                    && !keys.referring(end).equals(key)) {
                judgeRepeated(keys.referring(end), RowRules.UNIQUE_REPEATED);
            }
        }
    }

    /** What an index has of a row; with an empty text where it is alike no other, or it is not known here. */
    private List<String> indexed(Row row, Index index) {
        boolean some = index.only().isPresent()
                && Evaluation.of(index.only(), column -> operand(row, column))
                        .filter(Evaluation.Truth.TRUE::equals)
                        .isEmpty();
        return some
                ? List.of("")
                : index.parts().stream()
                        .map(part -> part.column()
                                .map(column -> comparable(row, column))
                                .orElseGet(() -> made(row, part.value())))
                        .toList();
    }

    private String made(Row row, Expression<ColumnRef> value) {
        return Evaluation.valueOf(value, column -> operand(row, column))
                .flatMap(made ->
                        made.text().map(text -> TypedValue.of(made.type(), text).comparable(made.type())))
                .orElse("");
    }

    private void judgeRepeated(List<ColumnRef> columns, Rule rule) {
        judgeRepeated(columns, rule, row -> columns.stream()
                .map(column -> comparable(row, column))
                .toList());
    }

    private void judgeRepeated(List<ColumnRef> columns, Rule rule, Function<Row, List<String>> compared) {
        if (columns.isEmpty()) {
            return;
        }
        Map<List<String>, Row> seen = new HashMap<>();
        for (Row row : body.rows()) {
            List<String> found = compared.apply(row);
            Row other = found.contains("") ? null : seen.putIfAbsent(found, row);
            if (other != null) {
                find(
                        rule,
                        row,
                        parts(columns),
                        Map.of(
                                "column",
                                listed(columns),
                                "value",
                                columns.stream()
                                        .map(column -> canonical(row, column))
                                        .collect(joining(" / ")),
                                "other",
                                String.valueOf(body.rows().indexOf(other) + 1)));
            }
        }
    }

    private String canonical(Row row, ColumnRef column) {
        return values.value(row, column)
                .map(text -> TypedValue.of(keys.type(column), text).canonical())
                .orElse("");
    }

    private String comparable(Row row, ColumnRef column) {
        DataType type = keys.type(column);
        return values.value(row, column)
                .map(text -> TypedValue.of(type, text).comparable(type))
                .orElse("");
    }

    private static List<KeyPart> parts(List<ColumnRef> columns) {
        return columns.stream()
                .<KeyPart>map(column ->
                        column instanceof ForeignColumn carried ? new KeyPart.WholeReference(carried.end()) : column)
                .distinct()
                .toList();
    }

    private String named(ColumnRef column) {
        String own = column.attribute()
                .flatMap(design::attribute)
                .map(Attribute::name)
                .orElse("?");
        return column instanceof ForeignColumn carried
                ? design.target(carried.end()).map(Entity::name).orElse("") + " " + own
                : own;
    }

    private void find(Rule rule, Row row, List<KeyPart> parts, Map<String, String> facts) {
        Finding finding = Finding.of(rule, new Place(owner, Optional.of(row.id()), parts))
                .naming("table", label)
                .naming("row", String.valueOf(body.rows().indexOf(row) + 1));
        for (Map.Entry<String, String> each : facts.entrySet()) {
            finding = NAMES.contains(each.getKey())
                    ? finding.naming(each.getKey(), each.getValue())
                    : finding.stating(each.getKey(), each.getValue());
        }
        findings.add(finding);
    }
}
