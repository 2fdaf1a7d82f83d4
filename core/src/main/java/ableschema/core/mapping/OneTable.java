package ableschema.core.mapping;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Cardinality;
import ableschema.core.design.Check;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Condition;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.Expression;
import ableschema.core.design.ForeignColumn;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.Pins;
import ableschema.core.design.Relationship;
import ableschema.core.design.Row;
import ableschema.core.design.Side;
import ableschema.core.design.Unique;
import ableschema.core.types.DataType;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Lays one kind into the entity that it is a kind of: its attributes become optional ones of the general entity, a
 * column says of which kind a row is, and what was mandatory for the kind is checked for its rows.
 */
final class OneTable {

    private static final String DISCRIMINATOR = "kind";

    private final Design design;
    private final Relationship kind;
    private final Entity general;
    private final Entity special;
    private final Map<Id, Id> rowOfSpecial = new HashMap<>();

    OneTable(Design design, Relationship kind) {
        this.design = design;
        this.kind = kind;
        this.general = design.at(kind.first());
        this.special = design.at(kind.second());
    }

    Design design() {
        Attribute says = discriminator();
        Body body = withSpecial(general.body(), says).withRows(rows(says));
        var entities = new ArrayList<Entity>();
        for (Entity each : design.entities()) {
            if (each.id().equals(general.id())) {
                entities.add(general.withBody(body));
            } else if (!each.id().equals(special.id())) {
                entities.add(each.withBody(rereferred(each.body())));
            }
        }
        List<Relationship> relationships = design.relationships().stream()
                .filter(r -> !r.id().equals(kind.id()))
                .map(r -> moved(r).withBody(rereferred(r.body())))
                .toList();
        return Design.of(entities, relationships).with(design.notes());
    }

    private Id discriminatorId() {
        return Id.derived(IdKind.ATTRIBUTE, "kind of " + general.id());
    }

    private Attribute discriminator() {
        boolean taken = general.body()
                .attribute(DISCRIMINATOR)
                .filter(a -> !a.id().equals(discriminatorId()))
                .isPresent();
        String name = taken ? DISCRIMINATOR + " of " + general.name() : DISCRIMINATOR;
        return Attribute.named(discriminatorId(), name).withType(new DataType.Text(longestName()));
    }

    private int longestName() {
        int before = general.body()
                .attribute(discriminatorId())
                .map(a -> a.type() instanceof DataType.Text text ? text.max() : 0)
                .orElse(general.name().length());
        return Math.max(before, special.name().length());
    }

    private Body withSpecial(Body body, Attribute says) {
        Body own = special.body().withoutReference(kind.id());
        var attributes = new ArrayList<>(body.attributes());
        boolean known = attributes.removeIf(a -> a.id().equals(says.id()));
        attributes.add(known ? place(body, says) : attributes.size(), says);
        own.attributes().forEach(a -> attributes.add(a.withOptional(true).withDefault(Expression.NONE)));
        var uniques = new ArrayList<>(body.uniques());
        uniques.addAll(own.uniques());
        if (!own.key().isEmpty()) {
            Id id = Id.derived(IdKind.UNIQUE, "key of " + special.id());
            uniques.add(new Unique(id, own.key(), Pins.NONE));
        }
        var indexes = new ArrayList<>(body.indexes());
        indexes.addAll(own.indexes());
        return body.withAttributes(attributes)
                .withUniques(uniques)
                .withIndexes(indexes)
                .withChecks(checks(body, own, says));
    }

    private static int place(Body body, Attribute says) {
        return body.attributes().stream().map(Attribute::id).toList().indexOf(says.id());
    }

    private List<Check> checks(Body body, Body own, Attribute says) {
        Id known = Id.derived(IdKind.CHECK, "kinds of " + general.id());
        var kinds = new ArrayList<String>();
        var checks = new ArrayList<Check>();
        for (Check check : body.checks()) {
            if (!check.id().equals(known)) {
                checks.add(check);
            } else if (Condition.read(check.expression()).orElse(null) instanceof Condition.OneOf list) {
                kinds.addAll(list.values());
            }
        }
        if (kinds.isEmpty()) {
            kinds.add(general.name());
        }
        kinds.add(special.name());
        var oneOf = new Condition.OneOf(says.ref(), kinds);
        checks.add(new Check(known, oneOf.expression(says.type()), Pins.NONE));
        checks.addAll(own.checks());
        own.attributes().stream().filter(a -> !a.optional()).forEach(a -> checks.add(mandatory(a, says)));
        return checks;
    }

    /** A row of this kind must have what the kind must have. */
    private Check mandatory(Attribute attribute, Attribute says) {
        String other = " <> " + Expression.literal(says.type(), special.name()) + " or ";
        Expression expression = Expression.of(
                new Expression.Column(says.ref()),
                new Expression.Text(other),
                new Expression.Column(attribute.ref()),
                new Expression.Text(" is not null"));
        return new Check(Id.derived(IdKind.CHECK, "mandatory " + attribute.id()), expression, Pins.NONE);
    }

    /** Each row of the general entity, with what the special row that stands on it adds. */
    private List<Row> rows(Attribute says) {
        var rows = new LinkedHashMap<Id, Row>();
        for (Row row : general.body().rows()) {
            rows.put(row.id(), row.value(says.id()).isPresent() ? row : row.with(says.id(), general.name()));
        }
        EndRef up = kind.ref(Side.FIRST);
        for (Row row : special.body().rows()) {
            Optional<Row> base =
                    row.reference(up).filter(Row.ToRow.class::isInstance).map(to -> rows.get(((Row.ToRow) to).row()));
            Row merged = base.orElse(row).with(says.id(), special.name());
            for (Map.Entry<Id, String> value : row.values().entrySet()) {
                merged = merged.with(value.getKey(), value.getValue());
            }
            for (Map.Entry<EndRef, Row.Reference> reference : row.references().entrySet()) {
                if (!reference.getKey().equals(up)) {
                    merged = merged.with(reference.getKey(), Optional.of(reference.getValue()));
                }
            }
            rows.put(merged.id(), merged.with(up, Optional.empty()));
            rowOfSpecial.put(row.id(), merged.id());
        }
        return List.copyOf(rows.values());
    }

    private Relationship moved(Relationship relationship) {
        Relationship moved = relationship;
        for (Side side : Side.values()) {
            End end = moved.end(side);
            if (end.entity().equals(special.id())) {
                moved = moved.with(side, end.withEntity(general.id()));
                if (moved.referencedSide().filter(side.other()::equals).isPresent()) {
                    // rows of other kinds refer to nothing
                    End target = moved.end(side.other());
                    moved = moved.with(
                            side.other(),
                            target.withCardinality(
                                    new Cardinality(0, target.cardinality().max())));
                }
            }
        }
        return moved;
    }

    /** Rows that referred to a row of the kind refer to the row it has become, and columns no longer go through it. */
    private Body rereferred(Body body) {
        List<Row> rows = body.rows().stream().map(this::rereferred).toList();
        return body.withRows(rows)
                .withIndexes(body.indexes().stream()
                        .filter(i -> i.parts().stream().noneMatch(p -> goesThrough(p.column())))
                        .toList());
    }

    private boolean goesThrough(ColumnRef column) {
        return column instanceof ForeignColumn carried
                && (carried.end().relationship().equals(kind.id()) || goesThrough(carried.target()));
    }

    private Row rereferred(Row row) {
        Row changed = row;
        for (Map.Entry<EndRef, Row.Reference> each : row.references().entrySet()) {
            if (each.getValue() instanceof Row.ToRow to && rowOfSpecial.containsKey(to.row())) {
                Id target = rowOfSpecial.getOrDefault(to.row(), to.row());
                changed = changed.with(each.getKey(), Optional.of(new Row.ToRow(target)));
            }
        }
        return changed;
    }
}
