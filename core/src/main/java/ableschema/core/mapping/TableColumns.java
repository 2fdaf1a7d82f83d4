package ableschema.core.mapping;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.EndRef;
import ableschema.core.design.ForeignColumn;
import ableschema.core.design.Id;
import ableschema.core.design.Pins;
import ableschema.core.design.ReferenceColumn;
import ableschema.core.design.Relationship;
import ableschema.core.expression.Expression;
import ableschema.core.expression.Filling;
import ableschema.core.mapping.TableTrace.ColumnTrace;
import ableschema.core.schema.Column;
import ableschema.core.schema.Identity;
import ableschema.core.types.DataType;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The columns of one table: those of the key first, then the attributes, then the other foreign key columns; one that has a
 * place pinned stands there.
 */
final class TableColumns {

    private final Id owner;
    private final Design design;
    private final Keys keys;
    private final NamingRules rules;
    private final Domains domains;
    private final ColumnLabels labels;
    private final Names names = new Names();
    private final Map<ColumnRef, Column> columns = new LinkedHashMap<>();
    private final Map<ColumnRef, ColumnTrace> traces = new HashMap<>();
    private final Map<ColumnRef, Integer> places = new HashMap<>();
    private final List<Gap> gaps = new ArrayList<>();

    private TableColumns(Id owner, Design design, Keys keys, NamingRules rules, Domains domains) {
        this.owner = owner;
        this.design = design;
        this.keys = keys;
        this.rules = rules;
        this.domains = domains;
        this.labels = new ColumnLabels(design);
    }

    static TableColumns of(Id owner, Design design, Keys keys, NamingRules rules, Domains domains) {
        var columns = new TableColumns(owner, design, keys, rules, domains);
        columns.derive();
        return columns;
    }

    List<Column> list() {
        return List.copyOf(columns.values());
    }

    Map<String, ColumnTrace> traces() {
        var byName = new LinkedHashMap<String, ColumnTrace>();
        columns.forEach((ref, column) -> byName.put(column.name(), traces.get(ref)));
        return byName;
    }

    List<Gap> gaps() {
        return gaps;
    }

    /** The column with this address, or the one that it is the same as. */
    Optional<Column> column(ColumnRef ref) {
        return Optional.ofNullable(columns.get(keys.resolved(ref)));
    }

    List<String> names(List<ColumnRef> refs) {
        return refs.stream()
                .flatMap(ref -> column(ref).stream())
                .map(Column::name)
                .toList();
    }

    /** An expression with columns by their names; empty where it speaks of one that is not there. */
    Optional<Expression<String>> named(Expression<ColumnRef> expression) {
        return expression.columns().allMatch(ref -> column(ref).isPresent())
                ? Optional.of(
                        expression.map(ref -> column(ref).map(Column::name).orElseThrow())) // all are there
                : Optional.empty();
    }

    private void derive() {
        Body body = design.body(owner).orElse(Body.EMPTY);
        List<ColumnRef> key = keys.of(owner);
        var order = new LinkedHashSet<>(key);
        body.attributes().forEach(attribute -> order.add(attribute.ref()));
        for (EndRef end : design.referencesOf(owner)) {
            List<ColumnRef> referring = key.contains(keylessOf(end)) ? List.of() : keys.referring(end);
            referring.forEach(ref -> order.add(keys.resolved(ref)));
        }
        Map<ColumnRef, Attribute> attributes = new HashMap<>();
        body.attributes().forEach(attribute -> attributes.put(attribute.ref(), attribute));
        reserve(body, order);
        for (ColumnRef ref : ownBeforeForeign(order)) {
            Attribute attribute = attributes.get(ref);
            if (attribute != null) {
                put(ref, attribute.pins(), own(attribute, isNullable(ref, key, attribute.optional())));
                traces.put(ref, new ColumnTrace(ref, attribute.name(), attribute.id()));
            } else if (ref instanceof ForeignColumn foreign) {
                foreign(foreign, isNullable(ref, key, design.isOptional(foreign.end())));
            }
        }
        sort(order);
        fillColumns(attributes);
    }

    private static ColumnRef keylessOf(EndRef end) {
        return new ForeignColumn(end, new ColumnRef.Keyless());
    }

    private void reserve(Body body, Set<ColumnRef> order) {
        body.attributes().forEach(attribute -> names.reserve(attribute.pins().name()));
        for (ColumnRef ref : order) {
            if (ref instanceof ForeignColumn foreign) {
                names.reserve(said(foreign).pins().name());
            }
        }
    }

    /** A column may be empty where no reference that it is part of must be there, and no key has it. */
    private boolean isNullable(ColumnRef ref, List<ColumnRef> key, boolean optional) {
        if (key.contains(ref) || !optional) {
            return false;
        }
        return design.referencesOf(owner).stream()
                .filter(end -> !design.isOptional(end))
                .noneMatch(
                        end -> keys.referring(end).stream().map(keys::resolved).anyMatch(ref::equals));
    }

    /** Own attributes are named first: where names clash, it is the foreign key column that gives way. */
    private static List<ColumnRef> ownBeforeForeign(Set<ColumnRef> order) {
        var sorted = new ArrayList<>(order);
        sorted.sort((a, b) -> Boolean.compare(a instanceof ForeignColumn, b instanceof ForeignColumn));
        return sorted;
    }

    private void put(ColumnRef ref, Pins pins, Column column) {
        columns.put(ref, column);
        if (pins.place() > 0) {
            places.put(ref, pins.place());
        }
        if (!pins.name().isEmpty() && !pins.name().equals(column.name())) {
            Id thing =
                    ref.through().map(EndRef::relationship).or(ref::attribute).orElse(owner);
            gaps.add(new Gap(
                    Gap.Kind.PINNED_NAME,
                    thing,
                    owner,
                    "the column name " + pins.name() + " is pinned twice in " + design.nameOf(owner)
                            + ", so that one of them is called " + column.name()));
        }
    }

    /** Columns in their order, then those with a place of their own put there. */
    private void sort(Set<ColumnRef> order) {
        var sorted = new ArrayList<ColumnRef>();
        order.stream()
                .filter(ref -> columns.containsKey(ref) && !places.containsKey(ref))
                .forEach(sorted::add);
        places.entrySet().stream()
                .sorted(Map.Entry.comparingByValue())
                .forEach(each -> sorted.add(Math.min(each.getValue() - 1, sorted.size()), each.getKey()));
        var ordered = new LinkedHashMap<ColumnRef, Column>();
        sorted.forEach(ref -> column(ref).ifPresent(column -> ordered.put(ref, column)));
        columns.clear();
        columns.putAll(ordered);
    }

    private Column own(Attribute attribute, boolean nullable) {
        String name = names.pinnedOr(attribute.pins().name(), rules.style().of(attribute.name()));
        Optional<Identity> identity = attribute.type() instanceof DataType.Counted counted
                ? Optional.of(new Identity(
                        counted.start(), counted.step(), design.notes().isNeverChanged(attribute.id())))
                : Optional.empty();
        DataType type = identity.isPresent() ? attribute.type().asReferenced() : domains.inSchema(attribute.type());
        return new Column(
                name,
                type,
                nullable,
                Filling.nothing(),
                identity,
                attribute.comment(),
                attribute.pins().options());
    }

    private ReferenceColumn said(ForeignColumn ref) {
        return design.relationship(ref.end().relationship())
                .flatMap(r -> r.end(ref.end().side()).reference().column(ref.target()))
                .orElseGet(() -> ReferenceColumn.to(ref.target()));
    }

    private void foreign(ForeignColumn ref, boolean nullable) {
        Relationship relationship = design.relationship(ref.end().relationship())
                .orElseThrow(); // referencesOf gives only those of the design
        ReferenceColumn said = said(ref);
        String label = labels.of(relationship, ref);
        var column = new Column(
                names.pinnedOr(said.pins().name(), rules.style().of(label)),
                referring(ref),
                nullable,
                Filling.byDefault(said.defaultValue().map(any -> "")),
                Optional.empty(),
                said.comment(),
                said.pins().options());
        put(ref, said.pins(), column);
        traces.put(ref, new ColumnTrace(ref, label, relationship.id()));
    }

    /** The type of what is referred to: its domain too, unless that would fill the column by itself. */
    private DataType referring(ForeignColumn ref) {
        return ref.attribute()
                .flatMap(design::attribute)
                .map(Attribute::type)
                .filter(type -> design.domain(type)
                        .filter(domain -> !domain.defaultValue().isPresent())
                        .isPresent())
                .map(domains::inSchema)
                .orElseGet(() -> keys.type(ref));
    }

    /** Defaults and computations, once all columns have their names. */
    private void fillColumns(Map<ColumnRef, Attribute> attributes) {
        for (Map.Entry<ColumnRef, Attribute> each : attributes.entrySet()) {
            Filling<ColumnRef> filling = each.getValue().filling();
            if (filling.isPresent()) {
                Column column = columns.get(each.getKey());
                named(filling.expression())
                        .ifPresentOrElse(
                                expression -> columns.replace(
                                        each.getKey(), column.withFilling(new Filling<>(filling.kind(), expression))),
                                () -> gaps.add(new Gap(
                                        Gap.Kind.RULE_WITHOUT_COLUMN,
                                        each.getValue().id(),
                                        owner,
                                        "what fills " + each.getValue().name()
                                                + " speaks of a column that is not in this table, so that nothing"
                                                + " fills it")));
            }
        }
    }
}
