package ableschema.core.mapping;

import ableschema.core.design.Body;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.ForeignColumn;
import ableschema.core.design.Id;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Reference;
import ableschema.core.design.ReferenceColumn;
import ableschema.core.design.Unique;
import ableschema.core.types.DataType;
import ableschema.core.types.DataTypes;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * Takes the parts of keys down to columns, through all relationships that bring them. Where entities are keyed by each other
 * in a circle, the circle is cut at those references that lead to an entity which stands later in the design, or to the entity
 * itself: there a column without a key stands.
 */
public final class Keys {

    private static final int DEEPEST = 20;

    private final Design design;
    private final Map<Id, List<ColumnRef>> known = new HashMap<>();
    private final Map<EndRef, List<ColumnRef>> referring = new HashMap<>();
    private final Set<EndRef> underWay = new HashSet<>();
    private final Places places;

    public Keys(Design design) {
        this.design = design;
        this.places = design.once(Places.class, (one, before) -> Places.of(one));
    }

    /** Where in the design each entity stands. */
    private record Places(Map<Id, Integer> byId) {

        static Places of(Design design) {
            var byId = new HashMap<Id, Integer>();
            design.entities().forEach(entity -> byId.put(entity.id(), byId.size()));
            return new Places(byId);
        }

        boolean isLaterOrSame(Id one, Id than) {
            return byId.getOrDefault(one, -1) >= byId.getOrDefault(than, Integer.MAX_VALUE);
        }
    }

    /** The columns of the primary key of an entity or many-to-many, in order; empty where it has none. */
    public List<ColumnRef> of(Id owner) {
        List<ColumnRef> found = known.get(owner);
        if (found == null) {
            found = columns(owner, parts(owner));
            known.put(owner, found);
        }
        return found;
    }

    private List<KeyPart> parts(Id owner) {
        Body body = design.body(owner).orElse(Body.EMPTY);
        if (design.entity(owner).isPresent()) {
            return body.key();
        }
        var parts = new ArrayList<KeyPart>();
        design.referencesOf(owner).forEach(end -> parts.add(new KeyPart.WholeReference(end)));
        parts.addAll(body.key());
        return parts;
    }

    /** The columns that parts stand for, those that are the same once; parts that are not of this owner give none. */
    public List<ColumnRef> columns(Id owner, List<? extends KeyPart> parts) {
        List<EndRef> references = design.referencesOf(owner);
        var columns = new LinkedHashSet<ColumnRef>();
        for (KeyPart part : parts) {
            if (part.through().filter(end -> !references.contains(end)).isEmpty()) {
                columns.addAll(expanded(owner, part));
            }
        }
        return List.copyOf(columns);
    }

    private List<ColumnRef> expanded(Id owner, KeyPart part) {
        if (part instanceof KeyPart.WholeReference whole) {
            return (isCut(owner, whole.end()) ? keyless(whole.end()) : referring(whole.end()))
                    .stream().map(this::resolved).toList();
        }
        return List.of(resolved((ColumnRef) part));
    }

    private static List<ColumnRef> keyless(EndRef end) {
        return List.of(new ForeignColumn(end, new ColumnRef.Keyless()));
    }

    /** Whether a circle of keys is cut at this reference, as it leads to an entity that stands later. */
    boolean isCut(Id owner, EndRef end) {
        Id target = design.target(end).map(Entity::id).orElse(owner);
        return places.isLaterOrSame(target, owner) && isKeyedBy(target, owner, by -> true);
    }

    /** Whether the key of an entity comes from where it goes to, so that it has none. */
    public boolean isInCircle(Entity entity) {
        return entity.body().key().stream().anyMatch(part -> leadsBack(entity.id(), part));
    }

    /** Whether a part of a key stands for the whole key of another entity, which comes from this one. */
    public boolean leadsBack(Id entity, KeyPart part) {
        return part instanceof KeyPart.WholeReference whole
                && design.target(whole.end())
                        .filter(target -> isKeyedBy(target.id(), entity, by -> true))
                        .isPresent();
    }

    /**
     * Whether the key of an entity comes from another, over however many in between.
     *
     * @param by which references are followed
     */
    public boolean isKeyedBy(Id entity, Id other, Predicate<EndRef> by) {
        var seen = new HashSet<Id>();
        var open = new ArrayDeque<>(List.of(entity));
        while (!open.isEmpty()) {
            Id next = open.poll();
            if (next.equals(other)) {
                return true;
            }
            if (seen.add(next)) {
                design.body(next).orElse(Body.EMPTY).key().stream()
                        .flatMap(part -> part.through().stream())
                        .filter(by)
                        .flatMap(end -> design.target(end).stream())
                        .forEach(target -> open.add(target.id()));
            }
        }
        return false;
    }

    /**
     * The columns with which rows refer to the entity at this end, in the order of {@link #referencedBy}; one that is the same
     * as another column stands as that one only in {@link #resolved}.
     */
    public List<ColumnRef> referring(EndRef end) {
        List<ColumnRef> found = referring.get(end);
        if (found == null) {
            if (!underWay.add(end)) {
                return keyless(end);
            }
            List<ColumnRef> key = referencedBy(end);
            Stream<ColumnRef> targets = key.isEmpty() ? Stream.of(new ColumnRef.Keyless()) : key.stream();
            found = targets.<ColumnRef>map(target -> new ForeignColumn(end, target))
                    .toList();
            underWay.remove(end);
            referring.put(end, found);
        }
        return found;
    }

    /** The columns that are referred to at this end: the primary key, or the alternate key that the reference names. */
    public List<ColumnRef> referencedBy(EndRef end) {
        Optional<Entity> target = design.target(end);
        Optional<List<ColumnRef>> alternate = reference(end)
                .flatMap(Reference::targetKey)
                .flatMap(key -> target.flatMap(
                        entity -> unique(entity, key).map(unique -> columns(entity.id(), unique.parts()))))
                .filter(columns -> !columns.isEmpty());
        return alternate.orElseGet(() -> target.map(entity -> of(entity.id())).orElse(List.of()));
    }

    private static Optional<Unique> unique(Entity entity, Id key) {
        return entity.body().uniques().stream().filter(u -> u.id().equals(key)).findFirst();
    }

    private Optional<Reference> reference(EndRef end) {
        return design.relationship(end.relationship())
                .map(r -> r.end(end.side()).reference());
    }

    /** The column that this one is, where a reference says that it is the same as another of its table. */
    public ColumnRef resolved(ColumnRef column) {
        ColumnRef resolved = column;
        for (int depth = 0; depth < DEEPEST; depth++) {
            Optional<ColumnRef> same = resolved instanceof ForeignColumn foreign
                    ? reference(foreign.end())
                            .flatMap(reference -> reference.column(foreign.target()))
                            .flatMap(ReferenceColumn::sameAs)
                            .filter(other -> isBeside(foreign, other))
                    : Optional.empty();
            if (same.isEmpty()) {
                return resolved;
            }
            resolved = same.get();
        }
        return column; // they lead to each other in a circle
    }

    /** Whether another column stands in the same table. */
    private boolean isBeside(ForeignColumn column, ColumnRef other) {
        Optional<Id> owner = design.holderOf(column.end());
        return other instanceof ColumnRef.Own own
                ? owner.isPresent() && owner.equals(design.ownerOf(own.id()))
                : owner.filter(id -> other.through()
                                .filter(design.referencesOf(id)::contains)
                                .isPresent())
                        .isPresent();
    }

    /** The type of a column, taken from the attribute that it goes back to, domains resolved. */
    public DataType type(ColumnRef column) {
        DataType type = column.attribute()
                .flatMap(design::attribute)
                .map(design::typeOf)
                .orElse(DataTypes.UNDECIDED);
        return column instanceof ColumnRef.Own ? type : type.asReferenced();
    }
}
