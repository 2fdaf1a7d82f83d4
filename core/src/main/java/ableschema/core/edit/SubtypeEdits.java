package ableschema.core.edit;

import ableschema.core.design.Body;
import ableschema.core.design.Cardinality;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Lists;
import ableschema.core.design.Pins;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import ableschema.core.design.SubtypeLayout;
import ableschema.core.design.Unique;
import ableschema.core.document.Edit;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;

/** Makes edits about entities that are kinds of others: the special one shares the key of the general one. */
public final class SubtypeEdits {

    /** What the general entity does to a kind of it, and the kind to the general one. */
    public static final String MAY_BE = "may be";

    public static final String IS = "is";

    private final Design design;
    private final IdSource ids;

    public SubtypeEdits(Design design, IdSource ids) {
        this.design = design;
        this.ids = ids;
    }

    /** Whether an entity is a kind of another already, perhaps as a kind of a kind of it. */
    public boolean isKindOf(Id special, Id general) {
        var seen = new HashSet<Id>();
        var open = new ArrayDeque<Id>(List.of(special));
        while (!open.isEmpty()) {
            Id at = open.remove();
            design.relationshipsOf(at)
                    .filter(each -> each.isSubtype() && each.second().entity().equals(at))
                    .map(each -> each.first().entity())
                    .filter(seen::add)
                    .forEach(open::add);
        }
        return seen.contains(general);
    }

    /** Says that one entity is a kind of another; a key of its own stays as an alternate key. */
    public Edit makeKindOf(Entity special, Entity general, SubtypeLayout layout) {
        Relationship known = design.relationships().stream()
                .filter(r -> r.isSubtype()
                        && r.first().entity().equals(general.id())
                        && r.second().entity().equals(special.id()))
                .findFirst()
                .orElseGet(() -> Relationship.between(
                        ids.next(IdKind.RELATIONSHIP),
                        new End(general.id(), MAY_BE, Cardinality.EXACTLY_ONE, ""),
                        new End(special.id(), IS, Cardinality.AT_MOST_ONE, "")));
        String name = "make " + special.name() + " a kind of " + general.name();
        return new Compound(
                name,
                List.of(
                        new PutRelationship(known.withSubtype(layout), name),
                        new ChangeBody(special.id(), sharingKey(special.body(), known), name)));
    }

    /** Turns a relationship that is there into one that says a kind; its verbs and numbers become those of kinds. */
    public Edit turnIntoKind(Relationship relationship, SubtypeLayout layout) {
        Entity general = design.at(relationship.first());
        Entity special = design.at(relationship.second());
        String name = "make " + special.name() + " a kind of " + general.name();
        Relationship changed = relationship
                .with(Side.FIRST, new End(general.id(), MAY_BE, Cardinality.EXACTLY_ONE, ""))
                .with(Side.SECOND, new End(special.id(), IS, Cardinality.AT_MOST_ONE, ""))
                .withSubtype(layout);
        return new Compound(
                name,
                List.of(
                        new PutRelationship(changed, name),
                        new ChangeBody(special.id(), sharingKey(special.body(), changed), name)));
    }

    private Body sharingKey(Body body, Relationship relationship) {
        List<KeyPart> shared = List.of(new KeyPart.WholeReference(relationship.ref(Side.FIRST)));
        if (body.key().equals(shared)) {
            return body;
        }
        boolean kept = body.key().isEmpty()
                || body.uniques().stream().anyMatch(u -> u.parts().equals(body.key()));
        Body alternate = kept
                ? body
                : body.withUniques(
                        Lists.plus(body.uniques(), new Unique(ids.next(IdKind.UNIQUE), body.key(), Pins.NONE)));
        return alternate.withKey(shared);
    }

    /** Keeps all kinds of an entity in one table, or each in a table of its own. */
    public Edit layOut(Id general, SubtypeLayout layout) {
        String name = design.nameOf(general) + ": "
                + (layout == SubtypeLayout.ONE_TABLE ? "all kinds in one table" : "a table for each kind");
        var edits = new ArrayList<Edit>();
        for (Relationship each : design.relationships()) {
            if (each.isSubtype() && each.first().entity().equals(general)) {
                edits.add(new PutRelationship(each.withSubtype(layout), name));
            }
        }
        return new Compound(name, edits);
    }
}
