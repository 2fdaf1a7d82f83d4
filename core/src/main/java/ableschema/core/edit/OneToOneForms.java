package ableschema.core.edit;

import ableschema.core.design.Body;
import ableschema.core.design.Cardinality;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.EndRef;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Lists;
import ableschema.core.design.Pins;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import ableschema.core.design.Unique;
import ableschema.core.document.Edit;
import ableschema.core.mapping.Keys;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The tables that a one-to-one can have: a foreign key in either, which is unique there, the key of the other as its own, or one table
 * for both.
 */
final class OneToOneForms {

    private final Design design;
    private final Relationship relationship;
    private final IdSource ids;

    /** @param relationship a one-to-one between two entities */
    OneToOneForms(Design design, Relationship relationship, IdSource ids) {
        this.design = design;
        this.relationship = relationship;
        this.ids = ids;
    }

    List<Way> ways() {
        var ways = new ArrayList<Way>();
        for (Side referred : Side.values()) {
            String holder = name(referred.other());
            String other = name(referred);
            boolean now = relationship.referencedSide().equals(Optional.of(referred));
            boolean shares = sharesKey(holder(referred));
            ways.add(new Way(holder + " refers to " + other, edit(referred, false), now && !shares));
            if (shares || !wouldLeadBack(referred)) {
                ways.add(new Way(holder + " has the key of " + other, edit(referred, true), now && shares));
            }
        }
        Stream.of(Side.values())
                .flatMap(staying -> MergeOneToOne.of(design, relationship, staying).stream())
                .forEach(merge -> ways.add(new Way("all in " + name(merge.staying()), merge, false)));
        return ways;
    }

    private String name(Side side) {
        return design.at(relationship.end(side)).name();
    }

    /** Whether the key of the other comes from this one already, by another way: then neither would have one. */
    private boolean wouldLeadBack(Side referred) {
        return new Keys(design)
                .isKeyedBy(relationship.end(referred).entity(), holder(referred), end -> !end.relationship()
                        .equals(relationship.id()));
    }

    private Id holder(Side referred) {
        return relationship.end(referred.other()).entity();
    }

    private Body body(Id entity) {
        return design.body(entity).orElse(Body.EMPTY);
    }

    private boolean isThrough(KeyPart part) {
        return part.through()
                .filter(end -> end.relationship().equals(relationship.id()))
                .isPresent();
    }

    private boolean sharesKey(Id entity) {
        return body(entity).key().stream().anyMatch(this::isThrough);
    }

    private Edit edit(Side referred, boolean shared) {
        Id holder = holder(referred);
        Id other = relationship.end(referred).entity();
        EndRef end = relationship.ref(referred);
        Body ofHolder = shared ? sharing(body(holder), end) : withOwnKey(holder);
        Body ofOther = withOwnKey(other);
        Relationship referring = referring(referred);
        String title =
                "have " + name(referred.other()) + (shared ? " share the key of " : " refer to ") + name(referred);
        return new Compound(
                title,
                List.of(
                        new ChangeBody(other, ofOther, title),
                        new ChangeBody(holder, ofHolder, title),
                        new PutRelationship(
                                shared ? emptyingNone(referring, referred) : referring,
                                title))); // with which linked rows turn round
    }

    /** The side that is referred to is told by which end must be there. */
    private Relationship referring(Side referred) {
        if (relationship.referencedSide().equals(Optional.of(referred))) {
            return relationship;
        }
        End there = relationship.end(referred).withCardinality(Cardinality.EXACTLY_ONE);
        End here = relationship.end(referred.other()).withCardinality(Cardinality.AT_MOST_ONE);
        return referred == Side.FIRST ? relationship.with(there, here) : relationship.with(here, there);
    }

    /** A key is never emptied. */
    private static Relationship emptyingNone(Relationship referring, Side referred) {
        End end = referring.end(referred);
        return referring.with(referred, end.with(end.reference().emptyingNone()));
    }

    /** What was its key stays unique. */
    private Body sharing(Body body, EndRef end) {
        List<KeyPart> before = body.key();
        Body shared = body.withKey(List.of(new KeyPart.WholeReference(end)));
        boolean alternate = !before.isEmpty()
                && before.stream().noneMatch(this::isThrough)
                && shared.uniques().stream().noneMatch(each -> each.parts().equals(before));
        return alternate
                ? shared.withUniques(
                        Lists.plus(shared.uniques(), new Unique(ids.next(IdKind.UNIQUE), before, Pins.NONE)))
                : shared;
    }

    /** Where its key is the other's, its first alternate key is its own again; where it has none it gets a number. */
    private Body withOwnKey(Id entity) {
        Body body = body(entity);
        if (body.key().stream().noneMatch(this::isThrough)) {
            return body;
        }
        Optional<Unique> own = body.uniques().stream()
                .filter(each -> each.parts().stream().noneMatch(this::isThrough))
                .findFirst();
        if (own.isEmpty()) {
            return MadeKey.counted(design.nameOf(entity), body, ids).in(body);
        }
        return body.withKey(own.get().parts())
                .withUniques(body.uniques().stream()
                        .filter(each -> own.filter(each::equals).isEmpty())
                        .toList());
    }
}
