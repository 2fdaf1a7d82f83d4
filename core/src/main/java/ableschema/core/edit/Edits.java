package ableschema.core.edit;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Check;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Condition;
import ableschema.core.design.Dependency;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.EntityKind;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.Index;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Lists;
import ableschema.core.design.Pins;
import ableschema.core.design.Relationship;
import ableschema.core.design.Row;
import ableschema.core.design.Side;
import ableschema.core.design.Topic;
import ableschema.core.design.Unique;
import ableschema.core.document.Edit;
import ableschema.core.expression.Expression;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Makes edits for one state of a design, each named as it will read in the history. */
public final class Edits {

    private final Design design;
    private final IdSource ids;

    public Edits(Design design, IdSource ids) {
        this.design = design;
        this.ids = ids;
    }

    public Edit rename(Entity entity, String to) {
        return new ChangeEntity(entity.withName(to), "rename " + entity.name() + " to " + to);
    }

    public Edit setKind(Entity entity, EntityKind kind) {
        return new ChangeEntity(entity.withKind(kind), "say that " + entity.name() + " is a " + kind);
    }

    public Edit define(Entity entity, String definition) {
        return new ChangeEntity(entity.withDefinition(definition), "define " + entity.name());
    }

    /** Sets an entity aside as out of scope, or takes it back. */
    public Edit setParked(Entity entity, boolean parked) {
        return new ChangeEntity(entity.withParked(parked), (parked ? "set aside " : "take back ") + entity.name());
    }

    /** Keeps why something is as it is; an empty reason takes it away. */
    public Edit setReason(Topic topic, String reason) {
        return new ChangeNotes(design.notes().withReason(topic, reason), "say why " + called(topic.thing()) + " is so");
    }

    public Edit addAttribute(Id owner, Attribute attribute) {
        return new ChangeBody(owner, body(owner).with(attribute), "add " + attribute.name() + " to " + called(owner));
    }

    public Edit changeAttribute(Attribute attribute) {
        Id owner = ownerOf(attribute);
        Attribute before = body(owner).attribute(attribute.id()).orElse(attribute);
        String name = before.name().equals(attribute.name())
                ? "change " + attribute.name() + " of " + called(owner)
                : "rename " + before.name() + " to " + attribute.name();
        return new ChangeBody(owner, body(owner).replacing(attribute), name);
    }

    public Edit moveAttribute(Attribute attribute, int to) {
        Id owner = ownerOf(attribute);
        Body body = body(owner);
        return new ChangeBody(
                owner,
                body.withAttributes(Lists.moved(body.attributes(), attribute, to)),
                "move " + attribute.name() + " of " + called(owner));
    }

    /** Replaces all attributes of an owner, in their order; the name says what was changed. */
    public Edit setAttributes(Id owner, List<Attribute> attributes, String name) {
        return new ChangeBody(owner, body(owner).withAttributes(attributes), name);
    }

    public Edit setUnique(Attribute attribute, boolean unique) {
        Id owner = ownerOf(attribute);
        Body body = body(owner);
        List<KeyPart> alone = List.of(attribute.ref());
        var uniques = new ArrayList<>(body.uniques());
        uniques.removeIf(each -> each.parts().equals(alone));
        if (unique) {
            uniques.add(new Unique(ids.next(IdKind.UNIQUE), alone, Pins.NONE));
        }
        String name = unique ? "keep " + attribute.name() + " unique" : "let " + attribute.name() + " repeat";
        return new ChangeBody(owner, body.withUniques(uniques), name);
    }

    /** Has an attribute indexed because it is often searched or sorted, or no longer so. */
    public Edit setOften(Attribute attribute, Index.Purpose purpose, boolean often) {
        Id owner = ownerOf(attribute);
        Body body = body(owner);
        var indexes = new ArrayList<>(body.indexes());
        var own = indexes.stream().filter(each -> each.isOnlyOn(attribute)).findFirst();
        indexes.removeIf(each -> each.isOnlyOn(attribute));
        if (often) {
            indexes.add(own.map(index -> index.withPurpose(index.purpose().and(purpose)))
                    .orElseGet(() -> new Index(
                            ids.next(IdKind.INDEX),
                            List.of(new Index.Part(attribute.ref(), false)),
                            false,
                            purpose,
                            Expression.none(),
                            Pins.NONE)));
        } else {
            own.flatMap(index -> index.purpose().without(purpose).map(index::withPurpose))
                    .ifPresent(indexes::add);
        }
        String name = (often ? "index " : "no longer index ") + attribute.name();
        return new ChangeBody(owner, body.withIndexes(indexes), name);
    }

    /** Has an owner indexed as another index is, whose id is not taken; one that is there already is asked for by more. */
    public Edit addIndex(Id owner, Index wanted) {
        Body body = body(owner);
        Optional<Index> known =
                body.indexes().stream().filter(wanted::isOverTheSameAs).findFirst();
        List<Index> indexes = known.map(index -> Lists.replace(
                        body.indexes(),
                        Index::id,
                        index.withPurpose(index.purpose().and(wanted.purpose()))))
                .orElseGet(() -> Lists.plus(
                        body.indexes(),
                        new Index(
                                ids.next(IdKind.INDEX),
                                wanted.parts(),
                                wanted.unique(),
                                wanted.purpose(),
                                wanted.only(),
                                Pins.NONE)));
        return new ChangeBody(owner, body.withIndexes(indexes), "index " + called(owner));
    }

    /** Keeps several parts unique together. */
    public Edit addUnique(Id owner, List<KeyPart> parts) {
        Body body = body(owner);
        var unique = new Unique(ids.next(IdKind.UNIQUE), parts, Pins.NONE);
        return new ChangeBody(
                owner,
                body.withUniques(Lists.plus(body.uniques(), unique)),
                "keep " + called(parts) + " of " + called(owner) + " unique");
    }

    /** Sets the one simple condition on an attribute; empty takes it away. */
    public Edit setCondition(Attribute attribute, Optional<Condition> condition) {
        Id owner = ownerOf(attribute);
        Body body = body(owner);
        var checks = new ArrayList<>(body.checks());
        checks.removeIf(check -> Condition.read(check.expression())
                .filter(each -> each.column().equals(attribute.ref()))
                .isPresent());
        condition.ifPresent(
                said -> checks.add(new Check(ids.next(IdKind.CHECK), said.expression(attribute.type()), Pins.NONE)));
        String name = condition
                .map(said -> attribute.name() + " must be " + said.inWords())
                .orElse("lift the rule on " + attribute.name());
        return new ChangeBody(owner, body.withChecks(checks), name);
    }

    /** Has each row meet a rule; one that is there already is not added again. */
    public Edit addCheck(Id owner, Expression<ColumnRef> rule) {
        Body body = body(owner);
        boolean known =
                body.checks().stream().anyMatch(each -> each.expression().equals(rule));
        Body ruled = known
                ? body
                : body.withChecks(Lists.plus(body.checks(), new Check(ids.next(IdKind.CHECK), rule, Pins.NONE)));
        return new ChangeBody(owner, ruled, "have each " + called(owner) + " meet a rule");
    }

    public Edit chooseKey(Id owner, List<KeyPart> key) {
        String name = key.isEmpty()
                ? "take the key from " + called(owner)
                : "make " + called(key) + " the key of " + called(owner);
        return new ChangeKey(new ChangeBody(owner, body(owner).withKey(key), name));
    }

    /** Adds the relationship as part of the key of the entity that holds it, or takes it out of that key. */
    public Edit setIdentifying(Relationship relationship, boolean identifying) {
        Side referred = relationship.referencedSide().orElse(Side.FIRST);
        Id holder = relationship.end(referred.other()).entity();
        Body body = body(holder);
        var part = new KeyPart.WholeReference(relationship.ref(referred));
        var key = new ArrayList<KeyPart>();
        if (identifying) {
            key.add(part);
        }
        body.key().stream()
                .filter(each -> each.through()
                        .filter(end -> end.relationship().equals(relationship.id()))
                        .isEmpty())
                .forEach(key::add);
        return chooseKey(holder, key);
    }

    public Edit addDependency(Id owner, List<KeyPart> from, List<KeyPart> to) {
        return addDependency(owner, from, to, false);
    }

    /** @param multivalued whether {@code to} is all that goes with {@code from}, whatever the rest of the row is */
    public Edit addDependency(Id owner, List<KeyPart> from, List<KeyPart> to, boolean multivalued) {
        Body body = body(owner);
        var dependency = new Dependency(ids.next(IdKind.DEPENDENCY), from, to, multivalued);
        return new ChangeBody(
                owner,
                body.withDependencies(Lists.plus(body.dependencies(), dependency)),
                "say that " + called(from) + " decides " + called(to));
    }

    public Edit removeDependency(Id owner, Dependency dependency) {
        Body body = body(owner);
        return new ChangeBody(
                owner,
                body.withDependencies(body.dependencies().stream()
                        .filter(d -> !d.equals(dependency))
                        .toList()),
                "take back that " + called(dependency.from()) + " decides " + called(dependency.to()));
    }

    public Edit setRows(Id owner, List<Row> rows, String name) {
        return new ChangeBody(owner, body(owner).withRows(rows), name);
    }

    public Edit addRelationship(Relationship relationship) {
        return new PutRelationship(relationship, "relate " + called(relationship));
    }

    public Edit changeRelationship(Relationship relationship) {
        return new PutRelationship(relationship, "change how " + called(relationship) + " relate");
    }

    public Edit remove(List<Id> things) {
        String first = things.isEmpty() ? "nothing" : called(things.get(0));
        return new Remove(
                things, "delete " + first + (things.size() > 1 ? " and " + (things.size() - 1) + " more" : ""));
    }

    private Id ownerOf(Attribute attribute) {
        return design.ownerOf(attribute.id())
                .orElseThrow(() -> new IllegalArgumentException(
                        "attribute " + attribute.name() + " (" + attribute.id() + ") is not in the design"));
    }

    private Body body(Id owner) {
        return design.body(owner).orElseThrow(() -> new IllegalArgumentException(owner + " is not in the design"));
    }

    private String called(Id thing) {
        return design.entity(thing)
                .map(Entity::name)
                .or(() -> design.attribute(thing).map(Attribute::name))
                .or(() -> design.relationship(thing).map(this::called))
                .orElse(thing.toString());
    }

    private String called(Relationship relationship) {
        return design.entity(relationship.first().entity()).map(Entity::name).orElse("?") + " and "
                + design.entity(relationship.second().entity())
                        .map(Entity::name)
                        .orElse("?");
    }

    private String called(List<KeyPart> parts) {
        return String.join(" + ", parts.stream().map(this::called).toList());
    }

    /** What a part of a key is called: an attribute by its name, a reference by its entity. */
    private String called(KeyPart part) {
        return part instanceof ColumnRef.Own own
                ? called(own.id())
                : part.through().flatMap(design::target).map(Entity::name).orElse("?");
    }
}
