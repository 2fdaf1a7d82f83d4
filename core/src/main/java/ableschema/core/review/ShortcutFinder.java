package ableschema.core.review;

import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.Relationship;
import ableschema.core.edit.Edits;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Remedy;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Step;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;

/** Relationships that follow from two others. */
final class ShortcutFinder implements Finder.OfWhole {

    static final Rule SHORTCUT = Rule.open(
            Step.DRAW,
            "shortcut",
            "Follows from two others",
            "{from} refers to {to} directly, and by way of {between} too.",
            "Where both ways always lead to the same row the direct one says it twice, and can come to say otherwise; where"
                    + " they mean different things, their verbs should say so.");

    @Override
    public List<Rule> rules() {
        return List.of(SHORTCUT);
    }

    @Override
    public List<Object> looksAt(Subject subject) {
        List<Object> looked = new ArrayList<>(1 + subject.design().entities().size());
        looked.add(subject.design().relationships());
        subject.design().entities().forEach(each -> looked.add(each.name()));
        return looked;
    }

    @Override
    public void find(Subject subject, Consumer<Finding> found) {
        subject.design().entities().forEach(each -> shortcuts(subject, each, found));
    }

    /** References of an entity to what something else that it refers to refers to. */
    private static void shortcuts(Subject subject, Entity from, Consumer<Finding> found) {
        List<EndRef> references = subject.design().referencesOf(from.id());
        if (references.size() < 2) {
            return;
        }
        Map<Id, Entity> between = new HashMap<>();
        for (EndRef each : references) {
            Entity middle = target(subject, each);
            if (!middle.id().equals(from.id())) {
                subject.design()
                        .referencesOf(middle.id())
                        .forEach(further ->
                                between.putIfAbsent(target(subject, further).id(), middle));
            }
        }
        for (EndRef each : references) {
            Entity to = target(subject, each);
            Optional<Entity> by = Optional.ofNullable(between.get(to.id()))
                    .filter(middle -> !middle.id().equals(to.id()) && !to.id().equals(from.id()));
            by.ifPresent(middle -> found.accept(shortcut(each, from, middle, to)));
        }
    }

    private static Entity target(Subject subject, EndRef end) {
        return subject.design().target(end).orElseThrow(); // references are those of the design
    }

    private static Finding shortcut(EndRef direct, Entity from, Entity between, Entity to) {
        return Finding.of(SHORTCUT, Place.of(direct.relationship()))
                .naming("from", from.name())
                .naming("between", between.name())
                .naming("to", to.name())
                .stating("by", between.id().toString())
                .mendedBy(Remedy.of("take the direct relationship away", (design, ids, given) -> {
                    Relationship gone =
                            design.relationship(direct.relationship()).orElseThrow();
                    return new Edits(design, ids).remove(List.of(gone.id()));
                }));
    }
}
