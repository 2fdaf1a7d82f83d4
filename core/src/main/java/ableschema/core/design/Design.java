package ableschema.core.design;

import ableschema.core.difference.Difference;
import ableschema.core.types.DataType;
import ableschema.core.types.DataTypes;
import java.lang.ref.Reference;
import java.lang.ref.WeakReference;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The design of one database: its entities and relationships in the designer's order. Immutable; a change gives
 * another design that shares all parts which stayed the same.
 */
public final class Design {

    public static final Design EMPTY = new Design(List.of(), List.of(), List.of(), Notes.NONE, Optional.empty());

    private final List<Entity> entities;
    private final List<Relationship> relationships;
    private final List<Domain> domains;
    private final Notes notes;
    private final Directory directory;
    private final Map<Class<?>, Reference<?>> workedOut = new ConcurrentHashMap<>(2);

    /** What was worked out of the design that this one was made from. */
    private final Map<Class<?>, Reference<?>> workedOutBefore;

    /** @param before a design whose ids are known to be used once; only what is new against it is looked at */
    private Design(
            List<Entity> entities,
            List<Relationship> relationships,
            List<Domain> domains,
            Notes notes,
            Optional<Design> before) {
        this.notes = notes;
        this.workedOutBefore = before.map(one -> one.workedOut.isEmpty() ? one.workedOutBefore : one.workedOut)
                .orElse(Map.of());
        this.entities = List.copyOf(entities);
        this.relationships = List.copyOf(relationships);
        this.domains = List.copyOf(domains);
        Optional<Growth> growth = before.flatMap(one -> Growth.between(one, this));
        if (growth.isPresent()) { // most edits change what is said of a thing, or add one
            this.directory = before.get()
                    .directory
                    .with(growth.get(), before.get().entities.size());
            new UsedIds(this).requireOnceMore(before.get(), growth.get());
        } else {
            this.directory = Directory.of(this);
            new UsedIds(this).requireOnce(before);
        }
    }

    /**
     * Makes a design; an {@link IllegalArgumentException} names an id that is used twice, or a relationship's end that
     * is no entity.
     */
    public static Design of(List<Entity> entities, List<Relationship> relationships) {
        return new Design(entities, relationships, List.of(), Notes.NONE, Optional.empty());
    }

    public List<Entity> entities() {
        return entities;
    }

    public List<Relationship> relationships() {
        return relationships;
    }

    public List<Domain> domains() {
        return domains;
    }

    public Optional<Domain> domain(Id id) {
        return domains.stream().filter(d -> d.id().equals(id)).findFirst();
    }

    /** The domain of that name, whatever its letter case. */
    public Optional<Domain> domain(String name) {
        return domains.stream().filter(d -> d.name().equalsIgnoreCase(name)).findFirst();
    }

    /** The domain that a type names, if it names one of this design. */
    public Optional<Domain> domain(DataType type) {
        return type instanceof DataType.InDomain in ? domain(Id.parse(in.domain())) : Optional.empty();
    }

    /** What an attribute holds in the end, domains resolved; undecided where its domain is not there. */
    public DataType typeOf(Attribute attribute) {
        return resolved(attribute.type());
    }

    /** A type with its domain, if it names one, resolved to what that holds. */
    public DataType resolved(DataType type) {
        return type instanceof DataType.InDomain
                ? domain(type).map(Domain::base).orElse(DataTypes.UNDECIDED)
                : type;
    }

    /** A type as people read it: a domain by its name. */
    public String inWords(DataType type) {
        return domain(type).map(Domain::name).orElseGet(type::toString);
    }

    public Notes notes() {
        return notes;
    }

    /**
     * What follows from this design alone, worked out once as long as it is in use; designs in the history hold none of it.
     *
     * @param work given this design, and what was worked out of the one that it was made from, if that is still in use
     */
    public <T> T once(Class<T> kind, BiFunction<Design, Optional<T>, T> work) {
        return known(kind, workedOut).orElseGet(() -> {
            T found = work.apply(this, known(kind, workedOutBefore));
            workedOut.put(kind, new WeakReference<>(found));
            return found;
        });
    }

    private static <T> Optional<T> known(Class<T> kind, Map<Class<?>, Reference<?>> among) {
        return Optional.ofNullable(among.get(kind)).map(Reference::get).map(kind::cast);
    }

    /** The plurals of English, with those that were taught. */
    public Plural plural() {
        return new Plural(notes.plurals());
    }

    /** This design without what is parked; the same instance where nothing is. */
    public Design inScope() {
        return without(entities.stream().filter(Entity::parked).map(Entity::id).collect(Collectors.toSet()));
    }

    public Optional<Entity> entity(Id id) {
        return directory.placeOfEntity().get(id).map(entities::get);
    }

    /** The entity of that name, whatever its letter case. */
    public Optional<Entity> entity(String name) {
        return entities.stream().filter(e -> e.name().equalsIgnoreCase(name)).findFirst();
    }

    /** Says whether this is an entity, a relationship or an attribute of this design. */
    public boolean knows(Id id) {
        return directory.placeOfEntity().has(id)
                || directory.relationship().has(id)
                || directory.ownerOfAttribute().has(id)
                || (id.kind() == IdKind.DOMAIN && domain(id).isPresent());
    }

    public Optional<Relationship> relationship(Id id) {
        return directory.relationship().get(id);
    }

    /** The entity at an end; {@link #of} has made sure that it exists. */
    public Entity at(End end) {
        return entity(end.entity()).orElseThrow();
    }

    /** The entity or relationship that an attribute belongs to. */
    public Optional<Id> ownerOf(Id attribute) {
        return directory.ownerOfAttribute().get(attribute);
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
        return directory.touching().get(entity).orElse(List.of()).stream();
    }

    /**
     * The ends that rows of this entity or many-to-many refer to, in the order of the relationships; for a many-to-many
     * its own two ends. A relationship that is not many-to-many has no rows, and so none.
     */
    public List<EndRef> referencesOf(Id owner) {
        return Collections.unmodifiableList(directory.references().get(owner).orElse(List.of()));
    }

    /** The entity that a reference leads to. */
    public Optional<Entity> target(EndRef end) {
        return relationship(end.relationship()).map(r -> at(r.end(end.side())));
    }

    /** The entity or many-to-many whose rows refer to this end; empty where the relationship is not there. */
    public Optional<Id> holderOf(EndRef end) {
        return relationship(end.relationship()).map(r -> r.referencing().orElse(r.id()));
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
        return withAll(List.of(entity), List.of());
    }

    public Design with(Relationship relationship) {
        return withAll(List.of(), List.of(relationship));
    }

    /** Returns this design with all of these in place of those of the same ids, or behind the others. */
    public Design withAll(List<Entity> changed, List<Relationship> related) {
        var types = new ReleasedTypes();
        List<Entity> settled = changed.stream()
                .map(each -> each.withBody(types.of(entity(each.id()).map(Entity::body), each.body())))
                .toList();
        List<Relationship> settledToo = related.stream()
                .map(each -> each.withBody(types.of(relationship(each.id()).map(Relationship::body), each.body())))
                .toList();
        List<Entity> one = merged(entities, settled, Entity::id, this::entity);
        List<Relationship> other =
                types.referring(merged(relationships, settledToo, Relationship::id, this::relationship));
        return one == entities && other == relationships ? this : changed(one, other, domains, notes);
    }

    /** One place is looked for at a time, as most edits change one thing of thousands. */
    private static <T> List<T> merged(
            List<T> list, List<T> changed, Function<T, Id> id, Function<Id, Optional<T>> known) {
        if (changed.isEmpty()) {
            return list;
        }
        var replacing = new LinkedHashMap<Id, T>();
        changed.forEach(each -> replacing.put(id.apply(each), each));
        boolean same = true;
        var merged = new ArrayList<T>(list.size() + changed.size());
        merged.addAll(list);
        for (Map.Entry<Id, T> each : replacing.entrySet()) {
            Optional<T> before = known.apply(each.getKey());
            same &= before.filter(old -> old == each.getValue()).isPresent();
            before.ifPresentOrElse(
                    old -> merged.set(place(list, old), each.getValue()), () -> merged.add(each.getValue()));
        }
        return same ? list : merged;
    }

    private static <T> int place(List<T> list, T known) {
        int at = 0;
        while (list.get(at) != known) {
            at++;
        }
        return at;
    }

    public Design with(Notes notes) {
        return notes.equals(this.notes) ? this : changed(entities, relationships, domains, notes);
    }

    /** What is known of each entity and relationship. */
    public Stream<Body> bodies() {
        return Stream.concat(
                entities().stream().map(Entity::body), relationships().stream().map(Relationship::body));
    }

    /** How many sample rows there are in all. */
    public int countRows() {
        return bodies().mapToInt(body -> body.rows().size()).sum();
    }

    /** Whether an attribute is of a domain. */
    public boolean isUsed(Domain domain) {
        return bodies().flatMap(body -> body.attributes().stream())
                .anyMatch(attribute -> attribute.type() instanceof DataType.InDomain named
                        && named.domain().equals(domain.id().toString()));
    }

    public Design withDomains(List<Domain> domains) {
        List<Domain> settled = domains.stream()
                .map(each -> ReleasedTypes.of(domain(each.id()), each))
                .toList();
        return settled.equals(this.domains) ? this : changed(entities, relationships, settled, notes);
    }

    private Design changed(List<Entity> entities, List<Relationship> relationships, List<Domain> domains, Notes notes) {
        return new Design(entities, relationships, domains, notes, Optional.of(this));
    }

    /** Returns this design with another body for the entity or relationship of this id. */
    public Design withBody(Id owner, Body body) {
        return entity(owner)
                .map(entity -> with(entity.withBody(body)))
                .or(() -> relationship(owner).map(r -> with(r.withBody(body))))
                .orElseThrow(() -> new IllegalArgumentException(owner + " is not in the design"));
    }

    public Design withoutEntity(Id id) {
        return without(Set.of(id));
    }

    /** Takes a relationship out, and out of keys, rules and rows. */
    public Design withoutRelationship(Id id) {
        return without(Set.of(id));
    }

    /** Takes entities and relationships out, with the relationships of those entities, and out of keys, rules and rows. */
    public Design without(Set<Id> gone) {
        if (gone.isEmpty()) {
            return this;
        }
        List<Relationship> related = relationships.stream()
                .filter(r -> !gone.contains(r.id())
                        && !gone.contains(r.first().entity())
                        && !gone.contains(r.second().entity()))
                .toList();
        var left = new HashSet<Id>();
        related.forEach(r -> left.add(r.id()));
        List<Id> ended = relationships.stream()
                .map(Relationship::id)
                .filter(id -> !left.contains(id))
                .toList();
        List<Entity> rest = entities.stream()
                .filter(e -> !gone.contains(e.id()))
                .map(e -> e.withBody(e.body().withoutReferences(ended)))
                .toList();
        return changed(
                rest,
                related.stream()
                        .map(r -> r.withBody(r.body().withoutReferences(ended)))
                        .toList(),
                domains,
                notes);
    }

    /**
     * Says in what the two designs differ, leaving ids, layout and order of entities aside; empty if they mean the same.
     */
    public List<Difference> sameMeaning(Design other) {
        return Meaning.differences(this, other);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Design design
                && entities.equals(design.entities)
                && relationships.equals(design.relationships)
                && domains.equals(design.domains)
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
