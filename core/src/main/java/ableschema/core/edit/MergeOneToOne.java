package ableschema.core.edit;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Cardinality;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.ForeignColumn;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Lists;
import ableschema.core.design.Pins;
import ableschema.core.design.ReferenceColumn;
import ableschema.core.design.Relationship;
import ableschema.core.design.Row;
import ableschema.core.design.Side;
import ableschema.core.design.Unique;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import ableschema.core.mapping.Keys;
import ableschema.core.mapping.Readdressing;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Puts two entities that are related one-to-one into one: the one keeps its key and gets the attributes, rules, indexes, relationships
 * and rows of the other, which goes. What was the other's key stays unique, and who referred to it refers to that.
 *
 * @param relationship the one-to-one
 * @param staying       the side that stays; each row of the other side has exactly one there
 */
record MergeOneToOne(Id relationship, Side staying, String name) implements Edit {

    /**
     * Empty where a row of the side that goes may be without one of the side that stays, or sample rows are; where the other has kinds
     * or is one; and where the key of the one that stays comes from the other.
     */
    static Optional<MergeOneToOne> of(Design design, Relationship relationship, Side staying) {
        Id gone = relationship.end(staying.other()).entity();
        boolean kinds = design.relationshipsOf(gone).anyMatch(Relationship::isSubtype);
        boolean owned = relationship.isOneToOne()
                && relationship.end(staying).cardinality().isMandatory()
                && !relationship.isRecursive();
        boolean keyed = new Keys(design).isKeyedBy(relationship.end(staying).entity(), gone, by -> !by.relationship()
                .equals(relationship.id()));
        if (kinds || !owned || keyed || !new Merging(design, relationship, staying).allRowsMeet()) {
            return Optional.empty();
        }
        String title = "put " + design.nameOf(gone) + " into "
                + design.nameOf(relationship.end(staying).entity());
        return Optional.of(new MergeOneToOne(relationship.id(), staying, title));
    }

    @Override
    public Document applyTo(Document document) {
        return document.design()
                .relationship(relationship)
                .map(known -> document.with(new Merging(document.design(), known, staying).merged()))
                .orElse(document);
    }

    private static final class Merging {
        private final Design design;
        private final Relationship relationship;
        private final Side staying;
        private final Entity stays;
        private final Entity goes;
        /** By the row that goes, the row that it goes into. */
        private final Map<Id, Id> into = new LinkedHashMap<>();

        Merging(Design design, Relationship relationship, Side staying) {
            this.design = design;
            this.relationship = relationship;
            this.staying = staying;
            this.stays = design.at(relationship.end(staying));
            this.goes = design.at(relationship.end(staying.other()));
            meet(goes, relationship.ref(staying)).forEach(into::put);
            meet(stays, relationship.ref(staying.other())).forEach((one, other) -> into.put(other, one));
        }

        private static Map<Id, Id> meet(Entity from, EndRef to) {
            Map<Id, Id> met = new LinkedHashMap<>();
            for (Row row : from.body().rows()) {
                if (row.reference(to).orElse(null) instanceof Row.ToRow parent) {
                    met.put(row.id(), parent.row());
                }
            }
            return met;
        }

        /** Whether each row that goes has one that it goes into, and no two the same. */
        boolean allRowsMeet() {
            return goes.body().rows().stream().allMatch(row -> into.containsKey(row.id()))
                    && Set.copyOf(into.values()).size() == into.size();
        }

        Design merged() {
            List<Relationship> related = design.relationships().stream()
                    .filter(each -> !each.id().equals(relationship.id()))
                    .map(this::repointed)
                    .toList();
            List<Entity> entities = design.entities().stream().map(this::merged).toList();
            return design.withAll(entities, related)
                    .withoutRelationship(relationship.id())
                    .withoutEntity(goes.id());
        }

        private Entity merged(Entity each) {
            if (each.id().equals(goes.id())) {
                return each.withBody(Body.EMPTY);
            }
            if (!each.id().equals(stays.id())) {
                return each.withBody(readdressed(each.body()));
            }
            String definition = (each.definition() + " " + goes.definition()).strip();
            return each.withDefinition(definition).withBody(both());
        }

        private boolean isThrough(EndRef end) {
            return end.relationship().equals(relationship.id());
        }

        /** Columns of the reference between the two are the columns that it led to. */
        private ColumnRef readdressed(ColumnRef column) {
            if (!(column instanceof ForeignColumn foreign)) {
                return column;
            }
            ColumnRef target = readdressed(foreign.target());
            return isThrough(foreign.end())
                    ? target
                    : target.equals(foreign.target()) ? foreign : new ForeignColumn(foreign.end(), target);
        }

        private List<KeyPart> readdressed(KeyPart part) {
            if (part.through().filter(this::isThrough).isEmpty()) {
                return List.of(part instanceof ColumnRef column ? readdressed(column) : part);
            }
            if (part instanceof ColumnRef column) {
                return List.of(readdressed(column));
            }
            Side referred = part.through().orElseThrow().side(); // it is, as was asked
            return design.at(relationship.end(referred)).body().key().stream()
                    .filter(each -> each.through().filter(this::isThrough).isEmpty())
                    .toList();
        }

        private Body readdressed(Body body) {
            Body changed = new Readdressing(this::readdressed, this::readdressed).of(body);
            List<Row> rows = body.rows().stream().map(this::repointed).toList();
            return rows.equals(body.rows()) ? changed : changed.withRows(rows);
        }

        private Row repointed(Row row) {
            Row changed = row;
            for (Map.Entry<EndRef, Row.Reference> each : row.references().entrySet()) {
                if (each.getValue() instanceof Row.ToRow to && into.containsKey(to.row())) {
                    changed = changed.with(each.getKey(), Optional.of(new Row.ToRow(into.get(to.row()))));
                }
            }
            return changed;
        }

        private Relationship repointed(Relationship each) {
            Relationship changed = each.withBody(readdressed(each.body()));
            for (Side side : Side.values()) {
                End end = changed.end(side);
                if (end.entity().equals(goes.id())) {
                    changed = changed.with(side, repointed(end)).with(side.other(), loose(changed.end(side.other())));
                }
            }
            return changed;
        }

        /** A row of the one that stays has what each of the other had only if it has a row of the other in it. */
        private End loose(End end) {
            Cardinality said = end.cardinality();
            return always() || said.min() == 0 ? end : end.withCardinality(new Cardinality(0, said.max()));
        }

        private boolean always() {
            return relationship.end(staying.other()).cardinality().isMandatory();
        }

        /** Who referred to the key of the one that goes refers to what is unique in its place. */
        private End repointed(End end) {
            List<ReferenceColumn> columns = end.reference().columns().stream()
                    .map(column -> new ReferenceColumn(
                            readdressed(column.target()),
                            column.defaultValue(),
                            column.sameAs().map(this::readdressed),
                            column.comment(),
                            column.pins()))
                    .toList();
            Optional<Id> target = end.reference()
                    .targetKey()
                    .or(() -> formerKey().map(Unique::id).or(() -> twin().map(Unique::id)));
            return new End(stays.id(), end.verb(), end.cardinality(), end.role())
                    .with(end.reference().withColumns(columns).withTargetKey(target));
        }

        /** What was the key of the one that goes, where it was its own and is not unique already. */
        private Optional<Unique> formerKey() {
            List<KeyPart> key = goes.body().key();
            boolean own = !key.isEmpty()
                    && key.stream()
                            .allMatch(part ->
                                    part.through().filter(this::isThrough).isEmpty());
            Id id = Id.derived(IdKind.UNIQUE, relationship.id() + " merged");
            return own && twin().isEmpty() ? Optional.of(new Unique(id, key, Pins.NONE)) : Optional.empty();
        }

        private Optional<Unique> twin() {
            return goes.body().uniques().stream()
                    .filter(each -> each.parts().equals(goes.body().key()))
                    .findFirst();
        }

        private Body both() {
            Body kept = readdressed(stays.body());
            Body added = readdressed(goes.body());

            var attributes = new ArrayList<>(kept.attributes());
            for (Attribute each : added.attributes()) {
                boolean taken = kept.attribute(each.name()).isPresent();
                String name = taken ? goes.name().toLowerCase(Locale.ROOT) + " " + each.name() : each.name();
                Attribute free = taken || isPinned(kept, each.pins().name())
                        ? each.withPins(each.pins().withName(""))
                        : each;
                attributes.add(free.withName(name).withOptional(each.optional() || !always()));
            }
            List<Unique> uniques = added.uniques().stream()
                    .filter(each -> !each.parts().isEmpty() && !each.parts().equals(kept.key()))
                    .toList();
            return new Body(
                    attributes,
                    kept.key(),
                    Lists.concat(
                            kept.uniques(),
                            Lists.concat(uniques, formerKey().map(List::of).orElse(List.of()))),
                    Lists.concat(kept.checks(), added.checks()),
                    Lists.concat(kept.indexes(), added.indexes()),
                    Lists.concat(kept.dependencies(), added.dependencies()),
                    Lists.concat(kept.refused(), added.refused()),
                    rows(kept.rows(), added.rows()));
        }

        private static boolean isPinned(Body body, String column) {
            return !column.isEmpty()
                    && body.attributes().stream()
                            .anyMatch(each -> each.pins().name().equalsIgnoreCase(column));
        }

        private List<Row> rows(List<Row> kept, List<Row> added) {
            Map<Id, Row> by = new HashMap<>();
            added.forEach(row -> by.put(into.getOrDefault(row.id(), row.id()), row));
            return kept.stream()
                    .map(row -> Optional.ofNullable(by.get(row.id()))
                            .map(other -> together(row, other))
                            .orElse(row))
                    .map(row -> row.with(relationship.ref(Side.FIRST), Optional.empty())
                            .with(relationship.ref(Side.SECOND), Optional.empty()))
                    .toList();
        }

        private static Row together(Row row, Row other) {
            var values = new LinkedHashMap<>(row.values());
            other.values().forEach(values::putIfAbsent);
            var references = new LinkedHashMap<>(row.references());
            other.references().forEach(references::putIfAbsent);
            return new Row(row.id(), values, references);
        }
    }
}
