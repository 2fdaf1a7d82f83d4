package ableschema.core.normalization;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Cardinality;
import ableschema.core.design.Check;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Dependency;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.EntityKind;
import ableschema.core.design.ForeignColumn;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.Index;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Pins;
import ableschema.core.design.Relationship;
import ableschema.core.design.Row;
import ableschema.core.design.Side;
import ableschema.core.design.Unique;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import ableschema.core.normalization.Proposal.Part;
import ableschema.core.theory.AttributeSet;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Takes an entity apart into the parts of a proposal, in one step: the new entities with their keys, the relationships
 * between them in place of the attributes that they share, and the sample rows split along.
 *
 * <p>An attribute keeps its id in the part where it stays an attribute. Rules go with the part that holds all their
 * columns; a rule over several parts can be kept by none.
 */
public record Decompose(Proposal proposal) implements Edit {

    @Override
    public String name() {
        List<String> names = proposal.parts().stream().map(Part::name).toList();
        return "decompose " + proposal.theory().entity().name() + " into " + String.join(", ", names);
    }

    @Override
    public Document applyTo(Document document) {
        return document.with(new Taking(proposal, document.design()).result());
    }

    /** The work of one application. */
    private static final class Taking {

        private final Proposal proposal;
        private final EntityTheory theory;
        private final Body whole;
        private final Design before;
        /** For each part, what each item of the whole has become in it. */
        private final Map<Part, Map<KeyPart, KeyPart>> places = new HashMap<>();

        private final Map<Part, List<Attribute>> attributes = new LinkedHashMap<>();
        private final List<Relationship> made = new ArrayList<>();
        private final Map<Id, Relationship> moved = new LinkedHashMap<>();
        private final Map<KeyPart, Part> parents = new HashMap<>();
        private final Map<KeyPart, Part> homes = new HashMap<>();

        Taking(Proposal proposal, Design before) {
            this.proposal = proposal;
            this.theory = proposal.theory();
            this.whole = before.body(theory.entity().id()).orElse(Body.EMPTY);
            this.before = before;
            proposal.parts().forEach(this::place);
        }

        private void place(Part part) {
            places.put(part, new HashMap<>());
            attributes.put(part, new ArrayList<>());
            AttributeSet left = part.attributes();
            for (Part parent : proposal.references(part)) {
                Relationship relationship = relate(part, parent);
                made.add(relationship);
                parents.put(new KeyPart.WholeReference(relationship.ref(Side.FIRST)), parent);
                theory.parts(parent.key()).forEach(item -> places.get(part)
                        .put(item, new KeyPart.WholeReference(relationship.ref(Side.FIRST))));
                left = left.minus(parent.key());
            }
            theory.parts(left).forEach(item -> places.get(part).put(item, settled(part, item)));
        }

        private Relationship relate(Part part, Part parent) {
            boolean optional = theory.parts(parent.key()).stream().anyMatch(this::isOptional);
            Id id = Id.derived(IdKind.RELATIONSHIP, part.id() + " to " + parent.id());
            return Relationship.between(
                    id,
                    new End(parent.id(), "has", optional ? Cardinality.AT_MOST_ONE : Cardinality.EXACTLY_ONE, ""),
                    new End(part.id(), "belongs to", Cardinality.ANY_NUMBER, ""));
        }

        private boolean isOptional(KeyPart item) {
            return item instanceof ColumnRef.Own own
                    ? whole.attribute(own.id()).filter(Attribute::optional).isPresent()
                    : item.through().filter(before::isOptional).isPresent();
        }

        /** Puts an attribute or reference into a part; where it stands in several, the first keeps its id. */
        private KeyPart settled(Part part, KeyPart item) {
            boolean first = homes.putIfAbsent(item, part) == null;
            if (item instanceof ColumnRef.Own own) {
                Attribute attribute = whole.attribute(own.id()).orElseThrow(); // the theory was made of this body
                Id id = first ? own.id() : Id.derived(IdKind.ATTRIBUTE, part.id() + " " + own.id());
                boolean inKey = theory.parts(part.key()).contains(item);
                var settled = new Attribute(
                        id,
                        attribute.name(),
                        attribute.type(),
                        attribute.optional() && !inKey,
                        attribute.filling(),
                        attribute.comment(),
                        attribute.marks(),
                        attribute.pattern(),
                        attribute.pins());
                attributes.get(part).add(settled);
                return settled.ref();
            }
            return settledReference(
                    part, item.through().orElseThrow(), first); // an item is an attribute or a reference
        }

        private KeyPart settledReference(Part part, EndRef end, boolean first) {
            Relationship relationship =
                    before.relationship(end.relationship()).orElseThrow(); // the theory lists only those of the design
            Side holder = end.side().other();
            Relationship at = relationship.with(holder, relationship.end(holder).withEntity(part.id()));
            if (first) {
                moved.put(at.id(), at);
                return new KeyPart.WholeReference(end);
            }
            Relationship copy = Relationship.between(
                    Id.derived(IdKind.RELATIONSHIP, part.id() + " " + at.id()), at.first(), at.second());
            made.add(copy);
            return new KeyPart.WholeReference(copy.ref(end.side()));
        }

        private KeyPart in(Part part, KeyPart item) {
            return Objects.requireNonNull(places.get(part)).getOrDefault(item, item);
        }

        Design result() {
            var entities = new ArrayList<Entity>();
            for (Entity each : before.entities()) {
                if (each.id().equals(theory.entity().id())) {
                    proposal.parts().forEach(part -> entities.add(entity(part)));
                } else {
                    entities.add(each);
                }
            }
            var relationships = new ArrayList<Relationship>();
            before.relationships().forEach(r -> relationships.add(moved.getOrDefault(r.id(), r)));
            relationships.addAll(made);
            return withRows(Design.of(entities, relationships)
                    .withDomains(before.domains())
                    .with(before.notes()));
        }

        private Entity entity(Part part) {
            Entity original = theory.entity();
            Body body = body(part);
            return part.id().equals(original.id())
                    ? original.withName(part.name()).withBody(body)
                    : new Entity(part.id(), part.name(), EntityKind.UNSAID, "", false, body, Pins.NONE);
        }

        private Body body(Part part) {
            List<KeyPart> key = key(part);
            List<Attribute> own = attributes.get(part);
            return new Body(
                    own,
                    key,
                    whole.uniques().stream()
                            .filter(u -> holds(part, u.parts()) && isHome(part, u.parts()))
                            .map(u -> new Unique(u.id(), mapped(part, u.parts()), u.pins()))
                            .filter(u -> !u.parts().equals(key))
                            .toList(),
                    whole.checks().stream().filter(c -> ownsAll(own, c)).toList(),
                    whole.indexes().stream().filter(i -> ownsAll(own, i)).toList(),
                    whole.dependencies().stream()
                            .filter(d -> holds(part, d.from()) && holds(part, d.to()) && isHome(part, d.to()))
                            .map(d -> new Dependency(
                                    d.id(), mapped(part, d.from()), mapped(part, d.to()), d.multivalued()))
                            .toList(),
                    List.of(),
                    List.of());
        }

        /** The key of a part; where it holds a parent's whole key, that one reference, else the single columns of it. */
        private List<KeyPart> key(Part part) {
            return theory.parts(part.key()).stream()
                    .map(item -> {
                        Part parent = parents.get(in(part, item));
                        boolean whole = parent == null || part.key().containsAll(parent.key());
                        return !whole && in(parent, item) instanceof ColumnRef column
                                ? new ForeignColumn(in(part, item).through().orElseThrow(), column)
                                : in(part, item);
                    })
                    .distinct()
                    .toList();
        }

        private List<KeyPart> mapped(Part part, List<KeyPart> items) {
            return items.stream().map(item -> in(part, item)).distinct().toList();
        }

        private boolean holds(Part part, List<KeyPart> items) {
            return part.attributes().containsAll(theory.set(items)) && !items.isEmpty();
        }

        private boolean isHome(Part part, List<KeyPart> items) {
            return proposal.parts().stream()
                    .filter(p -> holds(p, items))
                    .findFirst()
                    .equals(Optional.of(part));
        }

        private static boolean ownsAll(List<Attribute> own, Check check) {
            return check.expression().columns().allMatch(c -> own.stream()
                    .anyMatch(a -> a.ref().equals(c)));
        }

        private static boolean ownsAll(List<Attribute> own, Index index) {
            return index.columns()
                    .allMatch(c -> own.stream().anyMatch(a -> a.ref().equals(c)));
        }

        private Design withRows(Design design) {
            var rowOf = new HashMap<Part, Map<List<String>, Id>>();
            for (Part part : proposal.parts()) {
                rowOf.put(part, rowIds(part));
            }
            Design filled = design;
            for (Part part : proposal.parts()) {
                Body body = filled.body(part.id()).orElseThrow(); // entity(part) has put it there
                filled = filled.withBody(part.id(), body.withRows(rows(part, rowOf)));
            }
            return repointed(filled);
        }

        /** One row for each different combination of values; the part that stays keeps the ids of its rows. */
        private Map<List<String>, Id> rowIds(Part part) {
            boolean stays = part.id().equals(theory.entity().id());
            var ids = new LinkedHashMap<List<String>, Id>();
            for (Row row : whole.rows()) {
                List<String> values = Redundancy.values(theory, row, part.attributes());
                if (values.stream().anyMatch(value -> !value.isEmpty())) {
                    ids.computeIfAbsent(values, v -> stays ? row.id() : Id.derived(IdKind.ROW, part.id() + " " + v));
                }
            }
            return ids;
        }

        private List<Row> rows(Part part, Map<Part, Map<List<String>, Id>> rowOf) {
            var rows = new LinkedHashMap<Id, Row>();
            for (Row row : whole.rows()) {
                Id id = rowOf.get(part).get(Redundancy.values(theory, row, part.attributes()));
                if (id != null && !rows.containsKey(id)) {
                    rows.put(id, row(id, part, row, rowOf));
                }
            }
            return List.copyOf(rows.values());
        }

        private Row row(Id id, Part part, Row from, Map<Part, Map<List<String>, Id>> rowOf) {
            Row row = Row.empty(id);
            for (Part parent : proposal.references(part)) {
                boolean known =
                        Redundancy.values(theory, from, parent.key()).stream().noneMatch(String::isEmpty);
                Id to = rowOf.get(parent).get(Redundancy.values(theory, from, parent.attributes()));
                if (known && to != null) {
                    EndRef end = in(part, theory.parts(parent.key()).get(0))
                            .through()
                            .orElseThrow();
                    row = row.with(end, Optional.of(new Row.ToRow(to)));
                }
            }
            for (KeyPart item : theory.parts(part.attributes())) {
                KeyPart place = in(part, item);
                if (place instanceof ColumnRef.Own own) {
                    row = row.with(own.id(), Redundancy.value(from, item));
                } else if (item.through().isPresent() && !parents.containsKey(place)) {
                    row = row.with(
                            place.through().orElseThrow(),
                            from.reference(item.through().get()));
                }
            }
            return row;
        }

        /** Rows elsewhere that referred to a row which became one with another now refer to that other. */
        private Design repointed(Design design) {
            Map<Id, Id> merged = new HashMap<>();
            proposal.parts().stream()
                    .filter(part -> part.id().equals(theory.entity().id()))
                    .forEach(part -> {
                        Map<List<String>, Id> ids = rowIds(part);
                        whole.rows().forEach(row -> {
                            Id kept = ids.get(Redundancy.values(theory, row, part.attributes()));
                            if (kept != null && !kept.equals(row.id())) {
                                merged.put(row.id(), kept);
                            }
                        });
                    });
            if (merged.isEmpty()) {
                return design;
            }
            Design result = design;
            Stream<Id> owners = Stream.concat(
                    design.entities().stream().map(Entity::id),
                    design.relationships().stream().map(Relationship::id));
            for (Id owner : owners.toList()) {
                Body body = result.body(owner).orElseThrow(); // listed from this very design
                result = result.withBody(
                        owner,
                        body.withRows(body.rows().stream()
                                .map(row -> repointed(row, merged))
                                .toList()));
            }
            return result;
        }

        private static Row repointed(Row row, Map<Id, Id> merged) {
            Row result = row;
            for (Map.Entry<EndRef, Row.Reference> each : row.references().entrySet()) {
                if (each.getValue() instanceof Row.ToRow to && merged.containsKey(to.row())) {
                    result = result.with(each.getKey(), Optional.of(new Row.ToRow(merged.get(to.row()))));
                }
            }
            return result;
        }
    }
}
