package ableschema.core.mapping;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.CarriedColumn;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.EndRef;
import ableschema.core.design.Expression;
import ableschema.core.design.ForeignColumn;
import ableschema.core.design.Id;
import ableschema.core.design.Relationship;
import ableschema.core.schema.Column;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The columns of one table: those of the key first, then the attributes, then the other foreign key columns. */
final class TableColumns {

    private final Id owner;
    private final Design design;
    private final Keys keys;
    private final NamingRules rules;
    private final Names names = new Names();
    private final Map<ColumnRef, Column> columns = new LinkedHashMap<>();

    private TableColumns(Id owner, Design design, Keys keys, NamingRules rules) {
        this.owner = owner;
        this.design = design;
        this.keys = keys;
        this.rules = rules;
    }

    static TableColumns of(Id owner, Design design, Keys keys, NamingRules rules) {
        var columns = new TableColumns(owner, design, keys, rules);
        columns.derive();
        return columns;
    }

    List<Column> list() {
        return List.copyOf(columns.values());
    }

    Optional<Column> column(ColumnRef ref) {
        return Optional.ofNullable(columns.get(ref));
    }

    List<String> names(List<ColumnRef> refs) {
        return refs.stream()
                .flatMap(ref -> column(ref).stream())
                .map(Column::name)
                .toList();
    }

    private void derive() {
        Body body = design.body(owner).orElse(Body.EMPTY);
        List<ColumnRef> key = keys.of(owner);
        var order = new LinkedHashSet<>(key);
        body.attributes().forEach(attribute -> order.add(attribute.ref()));
        design.referencesOf(owner).forEach(end -> order.addAll(keys.referring(end)));
        for (ColumnRef ref : ownBeforeCarried(order)) {
            boolean inKey = key.contains(ref);
            body.attributes().stream()
                    .filter(a -> a.ref().equals(ref))
                    .findFirst()
                    .ifPresent(attribute -> columns.put(ref, own(attribute, inKey)));
            if (ref instanceof ForeignColumn carried) {
                columns.put(ref, carried(carried, inKey));
            }
        }
        sort(order);
    }

    /** Own attributes are named first: where names clash, it is the foreign key column that gives way. */
    private static List<ColumnRef> ownBeforeCarried(Set<ColumnRef> order) {
        var sorted = new ArrayList<>(order);
        sorted.sort((a, b) -> Boolean.compare(a instanceof ForeignColumn, b instanceof ForeignColumn));
        return sorted;
    }

    private void sort(Set<ColumnRef> order) {
        var sorted = new LinkedHashMap<ColumnRef, Column>();
        order.forEach(ref -> column(ref).ifPresent(column -> sorted.put(ref, column)));
        columns.clear();
        columns.putAll(sorted);
    }

    private Column own(Attribute attribute, boolean inKey) {
        String name = names.free(attribute.pins().nameOr(rules.style().of(attribute.name())));
        return new Column(
                name,
                attribute.name(),
                attribute.type(),
                attribute.optional() && !inKey,
                attribute.defaultValue(),
                attribute.comment(),
                attribute.ref(),
                attribute.id());
    }

    private Column carried(ForeignColumn ref, boolean inKey) {
        EndRef end = ref.end();
        Relationship relationship =
                design.relationship(end.relationship()).orElseThrow(); // referencesOf gives only those of the design
        Optional<CarriedColumn> said = relationship.carried(ref);
        String label = label(relationship, ref);
        String wanted = said.map(CarriedColumn::name)
                .filter(n -> !n.isEmpty())
                .orElse(rules.style().of(label));
        return new Column(
                names.free(wanted),
                label,
                keys.type(ref),
                design.isOptional(end) && !inKey,
                Expression.NONE,
                said.map(CarriedColumn::comment).orElse(""),
                ref,
                relationship.id());
    }

    /** What is referred to, then the name of its column: "apiary code", or "mentor no" for a keeper's "keeper no". */
    private String label(Relationship relationship, ForeignColumn ref) {
        End end = relationship.end(ref.end().side());
        String target = design.at(end).name();
        String column = targetLabel(ref.target());
        String start = target.toLowerCase(Locale.ROOT) + " ";
        boolean repeats = (column + " ").toLowerCase(Locale.ROOT).startsWith(start);
        column = repeats ? column.substring(Math.min(column.length(), start.length())) : column;
        return (role(relationship, end, target) + " " + column).strip();
    }

    private static String role(Relationship relationship, End end, String target) {
        if (!end.role().isEmpty()) {
            return end.role();
        }
        boolean second = relationship.isRecursive() && relationship.second() == end && relationship.isManyToMany();
        boolean onlyOne = relationship.isRecursive() && !relationship.isManyToMany();
        return onlyOne && !end.verb().isEmpty() ? end.verb() + " " + target : second ? "other " + target : target;
    }

    private String targetLabel(ColumnRef target) {
        if (target instanceof ForeignColumn carried) {
            return design.relationship(carried.end().relationship())
                    .map(r -> label(r, carried))
                    .orElse("");
        }
        return target.attribute()
                .flatMap(design::attribute)
                .map(Attribute::name)
                .orElse("");
    }
}
