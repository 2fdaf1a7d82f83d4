package ableschema.core.edit;

import ableschema.core.design.Cardinality;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.Id;
import ableschema.core.design.IdSource;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import ableschema.core.design.SubtypeLayout;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import ableschema.core.mapping.Mapping;
import ableschema.core.schema.Table;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** The tables that other rules would give, to be looked at side by side before one is chosen. */
public final class Alternatives {

    private final Document document;
    private final IdSource ids;

    public Alternatives(Document document, IdSource ids) {
        this.document = document;
        this.ids = ids;
    }

    /**
     * One way that it could be.
     *
     * @param edit    what makes it so; nothing is lost in changing back
     * @param current whether it is so already
     * @param tables  the tables concerned
     */
    public record Alternative(String label, Edit edit, boolean current, List<Table> tables) {
        public Alternative {
            tables = List.copyOf(tables);
        }
    }

    /** One to many, the reverse, one to one and many to many; minimums stay as they are. None for what makes one a kind of another. */
    public List<Alternative> of(Relationship relationship) {
        if (relationship.isSubtype()) {
            return List.of();
        }
        var all = new ArrayList<Alternative>();
        for (Side one : Side.values()) {
            all.add(alternative(relationship, one == Side.FIRST, one == Side.SECOND));
        }
        all.add(alternative(relationship, true, true));
        all.add(alternative(relationship, false, false));
        return all;
    }

    private Alternative alternative(Relationship relationship, boolean oneFirst, boolean oneSecond) {
        Relationship changed =
                relationship.with(limited(relationship.first(), oneFirst), limited(relationship.second(), oneSecond));
        Design design = document.design();
        String first = design.at(relationship.first()).name();
        String second = design.at(relationship.second()).name();
        String label = howMany(oneFirst, first) + " · " + howMany(oneSecond, second);
        Edit edit = new PutRelationship(changed, "make it " + label);
        Set<Id> concerned = new LinkedHashSet<>(
                List.of(relationship.first().entity(), relationship.second().entity(), relationship.id()));
        return new Alternative(label, edit, changed.equals(relationship), tables(edit, concerned));
    }

    private String howMany(boolean one, String name) {
        return one ? "one " + name : "many " + document.design().plural().of(name);
    }

    /** An end whose highest number is one or many; one that is so already keeps its exact numbers. */
    private static End limited(End end, boolean one) {
        if (end.cardinality().isMany() == !one) {
            return end;
        }
        int min = end.cardinality().min();
        return end.withCardinality(one ? new Cardinality(Math.min(1, min), 1) : new Cardinality(min, Cardinality.MANY));
    }

    /** A table for each kind, or one for all, for the kinds of an entity. */
    public List<Alternative> ofKinds(Id general) {
        Set<Id> concerned = new LinkedHashSet<>(List.of(general));
        boolean one = false;
        for (Relationship each : document.design().relationships()) {
            if (each.isSubtype() && each.first().entity().equals(general)) {
                concerned.add(each.second().entity());
                one |= each.subtype() == SubtypeLayout.ONE_TABLE;
            }
        }
        var edits = new SubtypeEdits(document.design(), ids);
        Edit own = edits.layOut(general, SubtypeLayout.OWN_TABLE);
        Edit shared = edits.layOut(general, SubtypeLayout.ONE_TABLE);
        return List.of(
                new Alternative("a table for each kind", own, !one, tables(own, concerned)),
                new Alternative("all kinds in one table", shared, one, tables(shared, concerned)));
    }

    /** What tells the pairings of a many-to-many apart: once, again with another value, or as often as there is reason to. */
    public List<Alternative> ofPairing(Relationship pairing) {
        return new PairingKeys(document.design(), pairing, ids)
                .ways().stream()
                        .map(way -> new Alternative(
                                way.label(), way.edit(), way.current(), tables(way.edit(), pairing.id())))
                        .toList();
    }

    /** The table of the pairing, or of the entity in its place. */
    private List<Table> tables(Edit edit, Id pairing) {
        Mapping mapping =
                Mapping.of(edit.applyTo(document).design(), document.rules().naming());
        Design before = document.design();
        return mapping.schema().tables().stream()
                .filter(table -> {
                    Id owner = mapping.trace().owner(table);
                    boolean made = before.entity(owner).isEmpty()
                            && before.relationship(owner).isEmpty();
                    return made || owner.equals(pairing);
                })
                .toList();
    }

    /** Of a one-to-one between two entities: a foreign key in either, or the key of the one as the key of the other. */
    public List<Alternative> ofOneToOne(Relationship relationship) {
        Set<Id> concerned =
                Set.of(relationship.first().entity(), relationship.second().entity());
        return new OneToOneForms(document.design(), relationship, ids)
                .ways().stream()
                        .map(way ->
                                new Alternative(way.label(), way.edit(), way.current(), tables(way.edit(), concerned)))
                        .toList();
    }

    private List<Table> tables(Edit edit, Set<Id> concerned) {
        Mapping mapping =
                Mapping.of(edit.applyTo(document).design(), document.rules().naming());
        return mapping.schema().tables().stream()
                .filter(table -> concerned.contains(mapping.trace().owner(table)))
                .toList();
    }
}
