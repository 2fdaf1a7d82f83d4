package ableschema.core.words;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Check;
import ableschema.core.design.Dependency;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.Index;
import ableschema.core.design.Relationship;
import ableschema.core.design.Unique;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import ableschema.core.edit.AddEntity;
import ableschema.core.edit.ChangeBody;
import ableschema.core.edit.ChangeEntity;
import ableschema.core.edit.Compound;
import ableschema.core.edit.Remove;
import ableschema.core.words.Understanding.Understood;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BinaryOperator;
import java.util.function.Function;
import java.util.function.Predicate;

/**
 * Has what was read of a new line take the place of what a sentence says now: an entity is renamed, a rule keeps its id and
 * with it its physical name and its reason, and nothing is there twice.
 */
final class Rewording {

    private final Design design;
    private final Sentence said;
    private final String typed;

    Rewording(Design design, Sentence said, String typed) {
        this.design = design;
        this.said = said;
        this.typed = typed;
    }

    /** @param read reads what was typed as a sentence of its own into some design */
    Understood of(Function<Design, Understanding> read) {
        if (said.part() == Sentence.Part.CHECKS) {
            return check(read);
        }
        Understood understood = understood(read.apply(design));
        if (said.part() == Sentence.Part.KINDS) {
            return kind(understood, read);
        }
        if (said.part() == Sentence.Part.ENTITIES) {
            return entity(understood);
        }
        requireSameOwner(understood);
        if (said.part() == Sentence.Part.COMMENTS) {
            return comment(understood);
        }
        Body after = after(understood.edit()).body(said.about()).orElseThrow(); // no sentence takes its owner away
        return followedBy(inPlace(after), understood);
    }

    /** What was read, and then this body for the owner. */
    private Understood followedBy(Body body, Understood understood) {
        String name = understood.edit().name();
        return with(
                understood, new Compound(name, List.of(understood.edit(), new ChangeBody(said.about(), body, name))));
    }

    private static Understood understood(Understanding reading) {
        if (reading instanceof Understood understood) {
            return understood;
        }
        throw new IllegalStateException("a line that is not understood was to be thrown, not given: " + reading);
    }

    private Design after(Edit edit) {
        return edit.applyTo(Document.EMPTY.with(design)).design();
    }

    private static Understood with(Understood understood, Edit edit) {
        return new Understood(edit, understood.gist(), understood.subject());
    }

    /** Read as if the rule had not been there, so that the same rule said again is one that is new. */
    private Understood check(Function<Design, Understanding> read) {
        Body before = design.body(said.about()).orElse(Body.EMPTY);
        List<Check> others = before.checks().stream()
                .filter(each -> !each.id().equals(said.thing()))
                .toList();
        Design without = after(new ChangeBody(said.about(), before.withChecks(others), "without it"));
        Understood understood = understood(read.apply(without));
        requireSameOwner(understood);
        Body after = understood
                .edit()
                .applyTo(Document.EMPTY.with(without))
                .design()
                .body(said.about())
                .orElseThrow(); // no sentence takes its owner away
        Body changed = before.withChecks(replaced(
                before.checks(),
                after.checks(),
                each -> each.id().equals(said.thing()),
                (old, added) -> new Check(old.id(), added.expression(), old.pins())));
        return with(
                understood,
                new ChangeBody(said.about(), changed, understood.edit().name()));
    }

    private void requireSameOwner(Understood understood) {
        if (!understood.subject().equals(Optional.of(said.about()))) {
            throw new Misunderstanding(
                    0,
                    typed.length(),
                    "this sentence is about " + design.nameOf(said.about())
                            + ": what is true of something else is typed in the rule line");
        }
    }

    /** A rule that was added takes the place of the one that was said, which goes. */
    private Body inPlace(Body after) {
        Body before = design.body(said.about()).orElse(Body.EMPTY);
        List<Unique> uniques = replaced(
                before.uniques(),
                after.uniques(),
                unique -> unique.id().equals(said.thing()),
                (old, added) -> new Unique(old.id(), added.parts(), old.pins()));
        List<Dependency> dependencies = replaced(
                before.dependencies(),
                after.dependencies(),
                dependency -> dependency.id().equals(said.thing()),
                (old, added) -> new Dependency(old.id(), added.from(), added.to(), added.multivalued()));
        List<Index> indexes =
                replaced(before.indexes(), after.indexes(), index -> index.id().equals(said.thing()), Index::saying);
        boolean same = said.part() == Sentence.Part.INDEXES && after.indexes().equals(before.indexes());
        return after.withUniques(uniques).withDependencies(dependencies).withIndexes(same ? before.indexes() : indexes);
    }

    private static <T> List<T> replaced(
            List<T> before, List<T> after, Predicate<T> isSaid, BinaryOperator<T> replacing) {
        if (before.stream().noneMatch(isSaid)) {
            return after;
        }
        List<T> added = after.stream().filter(each -> !before.contains(each)).toList();
        var list = new ArrayList<T>();
        for (T each : before) {
            if (!isSaid.test(each)) {
                list.add(each);
            } else if (!added.isEmpty()) {
                list.add(replacing.apply(each, added.get(0)));
            }
        }
        return list;
    }

    /** "Colony is a thing." said in place of "Hive is a thing." renames. */
    private Understood entity(Understood understood) {
        Entity entity = design.entity(said.about()).orElseThrow(); // sentences are said of what is there
        if (understood.edit() instanceof AddEntity added) {
            Entity named = added.entity();
            Entity changed =
                    entity.withName(named.name()).withKind(named.kind()).withDefinition(named.definition());
            String name = "rename " + entity.name() + " to " + named.name();
            return new Understood(new ChangeEntity(changed, name), name, Optional.of(entity.id()));
        }
        if (understood.subject().filter(subject -> !subject.equals(entity.id())).isPresent()) {
            throw new Misunderstanding(
                    0,
                    typed.length(),
                    "this sentence is about " + entity.name() + ", and there is another of that name");
        }
        boolean definitionGone = said.text().contains(":") && !typed.contains(":");
        return definitionGone && understood.edit() instanceof ChangeEntity change
                ? with(understood, new ChangeEntity(change.entity().withDefinition(""), change.name()))
                : understood;
    }

    /** What is said of another attribute is no longer said of this one. */
    private Understood comment(Understood understood) {
        Attribute attribute = design.attribute(said.thing()).orElseThrow(); // sentences are said of what is there
        Body after = after(understood.edit()).body(said.about()).orElseThrow(); // no sentence takes its owner away
        boolean moved = after.attribute(attribute.id()).equals(Optional.of(attribute))
                && !Optional.of(after).equals(design.body(said.about()));
        return moved ? followedBy(after.replacing(attribute.withComment("")), understood) : understood;
    }

    /** Another pair takes the place of this one. */
    private Understood kind(Understood understood, Function<Design, Understanding> read) {
        Relationship before = design.relationship(said.thing()).orElseThrow(); // sentences are said of what is there
        boolean samePair = after(understood.edit()).relationships().size()
                == design.relationships().size();
        if (samePair) {
            return understood;
        }
        Edit gone = new Remove(List.<Id>of(before.id()), understood.edit().name());
        Understood again = understood(read.apply(after(gone)));
        return with(again, new Compound(again.edit().name(), List.of(gone, again.edit())));
    }
}
