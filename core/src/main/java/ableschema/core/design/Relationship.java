package ableschema.core.design;

import static java.util.Objects.requireNonNull;

import ableschema.core.types.ReferenceAction;
import java.util.List;
import java.util.Optional;

/**
 * A relationship between two entities, or of one with itself.
 *
 * @param noun    what one pairing is called where it is many-to-many, such as "treatment given"; empty for a name by rule
 * @param body    the pairing's own attributes, rules and rows; counts where it is many-to-many
 * @param subtype whether the second entity is a kind of the first, and how the kinds are kept
 */
public record Relationship(Id id, End first, End second, String noun, SubtypeLayout subtype, Body body, Pins pins) {

    public Relationship {
        requireNonNull(id, "id");
    }

    public static Relationship between(Id id, End first, End second) {
        return new Relationship(id, first, second, "", SubtypeLayout.NONE, Body.EMPTY, Pins.NONE);
    }

    /**
     * A relationship in which the table of one end refers to that of the other. Where both may be without the other, and neither
     * has several, the end that is referred to comes first.
     */
    public static Relationship referring(Id id, End holder, End referred) {
        Relationship made = between(id, holder, referred);
        return made.referencedSide().equals(Optional.of(Side.SECOND)) ? made : between(id, referred, holder);
    }

    public End end(Side side) {
        return side == Side.FIRST ? first : second;
    }

    public EndRef ref(Side side) {
        return new EndRef(id, side);
    }

    public boolean isManyToMany() {
        return first.cardinality().isMany() && second.cardinality().isMany();
    }

    public boolean isOneToOne() {
        return !first.cardinality().isMany() && !second.cardinality().isMany();
    }

    public boolean isSubtype() {
        return subtype != SubtypeLayout.NONE;
    }

    public boolean isRecursive() {
        return first.entity().equals(second.entity());
    }

    public boolean touches(Id entity) {
        return first.entity().equals(entity) || second.entity().equals(entity);
    }

    /**
     * The end whose entity the other end's table refers to: the one of which a row there has at most one. In a
     * one-to-one it is the mandatory end, else the first. Empty for many-to-many, where a table of its own refers to both.
     */
    public Optional<Side> referencedSide() {
        if (isManyToMany()) {
            return Optional.empty();
        }
        if (isOneToOne()) {
            boolean secondOnly =
                    second.cardinality().isMandatory() && !first.cardinality().isMandatory();
            return Optional.of(secondOnly ? Side.SECOND : Side.FIRST);
        }
        return Optional.of(first.cardinality().isMany() ? Side.SECOND : Side.FIRST);
    }

    /** The entity whose table holds the foreign key; empty for many-to-many. */
    public Optional<Id> referencing() {
        return referencedSide().map(side -> end(side.other()).entity());
    }

    /** The end that rows refer to; of a many-to-many the first of both. */
    public EndRef referred() {
        return ref(referencedSides().get(0));
    }

    /** The ends that rows refer to: one, or both of a many-to-many. */
    public List<Side> referencedSides() {
        return referencedSide().map(List::of).orElse(List.of(Side.FIRST, Side.SECOND));
    }

    /** How the end that is referred to is referred to; of a many-to-many the first. */
    public Reference reference() {
        return end(referencedSides().get(0)).reference();
    }

    /** Returns this relationship with another end; where it then refers the other way, what it does on delete goes along. */
    public Relationship with(Side side, End end) {
        return with(side == Side.FIRST ? end : first, side == Side.SECOND ? end : second);
    }

    /** Returns this relationship with other ends; where it then refers the other way, what it does on delete goes along. */
    public Relationship with(End first, End second) {
        return new Relationship(id, first, second, noun, subtype, body, pins).actingAs(this);
    }

    /** Ends that come to be referred to take over what the reference did that was there before, but empty none that must be there. */
    private Relationship actingAs(Relationship before) {
        Relationship acting = this;
        for (Side side : referencedSides()) {
            Reference reference = end(side).reference();
            boolean silent = reference.onDelete() == ReferenceAction.NO_ACTION
                    && reference.onUpdate() == ReferenceAction.NO_ACTION;
            Reference model = before.reference();
            if (silent && !before.referencedSides().contains(side)) {
                acting = new Relationship(
                        id,
                        side == Side.FIRST ? first.with(acted(first, model)) : acting.first,
                        side == Side.SECOND ? second.with(acted(second, model)) : acting.second,
                        noun,
                        subtype,
                        body,
                        pins);
            }
        }
        return acting;
    }

    private Reference acted(End end, Reference model) {
        Reference acting = end.reference().withActions(model.onDelete(), model.onUpdate());
        return isManyToMany() || end.cardinality().isMandatory() ? acting.emptyingNone() : acting;
    }

    public Relationship withNoun(String noun) {
        return new Relationship(id, first, second, noun, subtype, body, pins);
    }

    public Relationship withSubtype(SubtypeLayout subtype) {
        return new Relationship(id, first, second, noun, subtype, body, pins);
    }

    public Relationship withBody(Body body) {
        return body == this.body ? this : new Relationship(id, first, second, noun, subtype, body, pins);
    }

    /** Returns this relationship with the same actions on every reference that it makes. */
    public Relationship withActions(ReferenceAction onDelete, ReferenceAction onUpdate) {
        Relationship changed = this;
        for (Side side : referencedSides()) {
            End end = changed.end(side);
            changed = changed.with(side, end.with(end.reference().withActions(onDelete, onUpdate)));
        }
        return changed;
    }

    public Relationship withPins(Pins pins) {
        return new Relationship(id, first, second, noun, subtype, body, pins);
    }
}
