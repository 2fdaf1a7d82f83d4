package ableschema.core.design;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The design of one database: its entities and relationships in the designer's order. Immutable; a change gives
 * another design that shares all parts which stayed the same.
 */
public final class Design {

    public static final Design EMPTY = new Design(List.of(), List.of(), Notes.NONE);

    private final List<Entity> entities;
    private final List<Relationship> relationships;
    private final Notes notes;
    private final Map<Id, Entity> entityById = new HashMap<>();
    private final Map<Id, Relationship> relationshipById = new HashMap<>();
    private final Map<Id, Id> ownerOfAttribute = new HashMap<>();
    private final Map<Id, List<EndRef>> references = new HashMap<>();

    private Design(List<Entity> entities, List<Relationship> relationships, Notes notes) {
        this.notes = notes;
        this.entities = List.copyOf(entities);
        this.relationships = List.copyOf(relationships);
        this.entities.forEach(entity -> register(entityById, entity.id(), entity));
        this.relationships.forEach(each -> register(relationshipById, each.id(), each));
        this.entities.forEach(entity -> registerAttributes(entity.id(), entity.body()));
        this.relationships.forEach(each -> registerAttributes(each.id(), each.body()));
        this.relationships.forEach(this::requireEnds);
        this.relationships.forEach(this::registerReferences);
    }

    /**
     * Makes a design; an {@link IllegalArgumentException} names an id that is used twice, or a relationship's end that
     * is no entity.
     */
    public static Design of(List<Entity> entities, List<Relationship> relationships) {
        return new Design(entities, relationships, Notes.NONE);
    }

    private static <T> void register(Map<Id, T> things, Id id, T thing) {
        if (things.put(id, thing) != null) {
            throw new IllegalArgumentException("two things have the id " + id);
        }
    }

    private void registerAttributes(Id owner, Body body) {
        body.attributes().forEach(attribute -> register(ownerOfAttribute, attribute.id(), owner));
    }

    private void requireEnds(Relationship relationship) {
        Stream.of(relationship.first(), relationship.second()).forEach(end -> {
            if (!entityById.containsKey(end.entity())) {
                throw new IllegalArgumentException("relationship " + relationship.id() + " refers to entity "
                        + end.entity() + ", which is not in the design");
            }
        });
    }

    private void registerReferences(Relationship each) {
        Id holder = each.referencing().orElse(each.id());
        List<EndRef> ends = references.computeIfAbsent(holder, h -> new ArrayList<>());
        each.referencedSide().ifPresentOrElse(side -> ends.add(each.ref(side)), () -> {
            ends.add(each.ref(Side.FIRST));
            ends.add(each.ref(Side.SECOND));
        });
    }

    public List<Entity> entities() {
        return entities;
    }

    public List<Relationship> relationships() {
        return relationships;
    }

    public Notes notes() {
        return notes;
    }

    /** The plurals of English, with those that were taught. */
    public Plural plural() {
        return new Plural(notes.plurals());
    }

    /** This design without what is parked; the same instance where nothing is. */
    public Design inScope() {
        List<Id> parked =
                entities.stream().filter(Entity::parked).map(Entity::id).toList();
        Design rest = this;
        for (Id id : parked) {
            rest = rest.withoutEntity(id);
        }
        return rest;
    }

    public Optional<Entity> entity(Id id) {
        return Optional.ofNullable(entityById.get(id));
    }

    /** The entity of that name, whatever its letter case. */
    public Optional<Entity> entity(String name) {
        return entities.stream().filter(e -> e.name().equalsIgnoreCase(name)).findFirst();
    }

    /** Says whether this is an entity, a relationship or an attribute of this design. */
    public boolean knows(Id id) {
        return entityById.containsKey(id) || relationshipById.containsKey(id) || ownerOfAttribute.containsKey(id);
    }

    public Optional<Relationship> relationship(Id id) {
        return Optional.ofNullable(relationshipById.get(id));
    }

    /** The entity at an end; {@link #of} has made sure that it exists. */
    public Entity at(End end) {
        return entity(end.entity()).orElseThrow();
    }

    /** The entity or relationship that an attribute belongs to. */
    public Optional<Id> ownerOf(Id attribute) {
        return Optional.ofNullable(ownerOfAttribute.get(attribute));
    }

    public Optional<Attribute> attribute(Id id) {
        return ownerOf(id).flatMap(this::body).flatMap(body -> body.attribute(id));
    }

    /** What people call an entity or a many-to-many relationship: its noun, or else both its entities; empty for no such id. */
    public String nameOf(Id owner) {
        return entity(owner)
                .map(Entity::name)
                .or(() -> relationship(owner)
                        .map(r -> r.noun().isEmpty()
                                ? at(r.first()).name() + " " + at(r.second()).name()
                                : r.noun()))
                .orElse("");
    }

    /** What the entity or relationship with this id holds. */
    public Optional<Body> body(Id owner) {
        return entity(owner).map(Entity::body).or(() -> relationship(owner).map(Relationship::body));
    }

    public Stream<Relationship> relationshipsOf(Id entity) {
        return relationships.stream().filter(r -> r.touches(entity));
    }

    /**
     * The ends that rows of this entity or many-to-many refer to, in the order of the relationships; for a many-to-many
     * its own two ends. A relationship that is not many-to-many has no rows, and so none.
     */
    public List<EndRef> referencesOf(Id owner) {
        return Collections.unmodifiableList(references.getOrDefault(owner, List.of()));
    }

    /** The entity that a reference leads to. */
    public Optional<Entity> target(EndRef end) {
        return relationship(end.relationship()).map(r -> at(r.end(end.side())));
    }

    /** Says whether rows of the holder may leave this reference empty. */
    public boolean isOptional(EndRef end) {
        return relationship(end.relationship())
                .filter(r -> !r.isManyToMany())
                .map(r -> !r.end(end.side()).cardinality().isMandatory())
                .orElse(false);
    }

    /** Says whether the relationship is part of the key of the entity that holds its foreign key. */
    public boolean isIdentifying(Relationship relationship) {
        return relationship
                .referencing()
                .flatMap(this::body)
                .filter(body -> body.key().stream()
                        .flatMap(part -> part.through().stream())
                        .anyMatch(end -> end.relationship().equals(relationship.id())))
                .isPresent();
    }

    /** Says whether an entity is known only within another. */
    public boolean isWeak(Entity entity) {
        return entity.body().key().stream().anyMatch(part -> part.through().isPresent());
    }

    public Design with(Entity entity) {
        return new Design(
                entityById.containsKey(entity.id())
                        ? Lists.replace(entities, Entity::id, entity)
                        : Lists.plus(entities, entity),
                relationships,
                notes);
    }

    public Design with(Relationship relationship) {
        return new Design(
                entities,
                relationshipById.containsKey(relationship.id())
                        ? Lists.replace(relationships, Relationship::id, relationship)
                        : Lists.plus(relationships, relationship),
                notes);
    }

    public Design with(Notes notes) {
        return notes.equals(this.notes) ? this : new Design(entities, relationships, notes);
    }

    /** Returns this design with another body for the entity or relationship of this id. */
    public Design withBody(Id owner, Body body) {
        return entity(owner)
                .map(entity -> with(entity.withBody(body)))
                .or(() -> relationship(owner).map(r -> with(r.withBody(body))))
                .orElseThrow(() -> new IllegalArgumentException(owner + " is not in the design"));
    }

    public Design withoutEntity(Id id) {
        Design rest = this;
        for (Relationship each : relationships) {
            if (each.touches(id)) {
                rest = rest.withoutRelationship(each.id());
            }
        }
        return new Design(rest.entities.stream().filter(e -> !e.id().equals(id)).toList(), rest.relationships, notes);
    }

    /** Takes a relationship out, and out of keys, rules and rows. */
    public Design withoutRelationship(Id id) {
        return new Design(
                entities.stream()
                        .map(e -> {
                            Body rest = e.body().withoutReference(id);
                            return rest.equals(e.body()) ? e : e.withBody(rest);
                        })
                        .toList(),
                relationships.stream().filter(r -> !r.id().equals(id)).toList(),
                notes);
    }

    /**
     * Says in what the two designs differ, leaving ids, layout and order of entities aside; empty if they mean the same.
     */
    public List<String> sameMeaning(Design other) {
        return Meaning.differences(this, other);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Design design
                && entities.equals(design.entities)
                && relationships.equals(design.relationships)
                && notes.equals(design.notes);
    }

    @Override
    public int hashCode() {
        return 31 * entities.hashCode() + relationships.hashCode();
    }

    @Override
    public String toString() {
        return entities.size() + " entities, " + relationships.size() + " relationships";
    }
}
