package ableschema.core.review;

import ableschema.core.design.Attribute;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.EndRef;
import ableschema.core.design.KeyPart;
import ableschema.core.design.KeyQuestion;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import ableschema.core.edit.Edits;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Remedy;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Step;
import ableschema.core.mapping.Keys;
import ableschema.core.types.DataType;
import ableschema.core.types.ReferenceAction;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/** What is said of keys that change, or never do, against what references do when they are changed. */
final class UpdateFinder implements Finder.OfEach {

    static final Rule NOT_NEEDED = Rule.advice(
            Step.KEYS,
            "update-not-needed",
            "Follows a key that never changes",
            "{holder} follows when {column} of {target} is changed, which never happens.",
            "An action that is never needed hides the one change that is a mistake: it would be carried through without a word.");
    static final Rule NEEDED = Rule.advice(
            Step.KEYS,
            "update-needed",
            "Does not follow a key that changes",
            "{column} of {target} is said to change, and {holder} would not let it.",
            "As long as one row refers to it the change is refused.");

    @Override
    public List<Rule> rules() {
        return List.of(NOT_NEEDED, NEEDED);
    }

    @Override
    public void find(Subject subject, Relationship relationship, Consumer<Finding> found) {
        for (Side side : relationship.referencedSides()) {
            boolean concerned = follows(relationship, side)
                    || !subject.design().notes().answers().isEmpty();
            if (!concerned) {
                continue; // so it is for nearly all, and then no columns need to be found
            }
            for (ColumnRef column : new Keys(subject.design()).referencedBy(relationship.ref(side))) {
                if (column instanceof ColumnRef.Own own) {
                    subject.design()
                            .attribute(own.id())
                            .flatMap(attribute -> judged(subject, relationship, side, attribute))
                            .ifPresent(found);
                }
            }
        }
    }

    private static boolean follows(Relationship relationship, Side side) {
        ReferenceAction onUpdate = relationship.end(side).reference().onUpdate();
        return onUpdate != ReferenceAction.NO_ACTION && onUpdate != ReferenceAction.RESTRICT;
    }

    private static Optional<Finding> judged(
            Subject subject, Relationship relationship, Side side, Attribute attribute) {
        Design design = subject.design();
        boolean follows = follows(relationship, side);
        boolean made = attribute.type() instanceof DataType.Counted;
        Optional<Boolean> changes = design.notes().answer(attribute.id(), KeyQuestion.CHANGES);
        if (follows && (made || changes.filter(yes -> !yes).isPresent())) {
            return Optional.of(finding(NOT_NEEDED, subject, relationship, side, attribute)
                    .mendedBy(updating(relationship.ref(side), "do nothing on update", ReferenceAction.NO_ACTION)));
        }
        if (!follows && changes.filter(yes -> yes).isPresent()) {
            return Optional.of(finding(NEEDED, subject, relationship, side, attribute)
                    .mendedBy(updating(relationship.ref(side), "follow on update", ReferenceAction.CASCADE)));
        }
        return Optional.empty();
    }

    private static Finding finding(
            Rule rule, Subject subject, Relationship relationship, Side side, Attribute attribute) {
        End end = relationship.end(side);
        String holder = relationship.isManyToMany()
                ? subject.design().nameOf(relationship.id())
                : subject.design().at(relationship.end(side.other())).name();
        return Finding.of(
                        rule,
                        new Place(
                                relationship.id(),
                                Optional.empty(),
                                List.of(new KeyPart.WholeReference(relationship.ref(side)))))
                .naming("target", subject.design().at(end).name())
                .naming("holder", holder)
                .naming("column", attribute.name())
                .stating("attribute", attribute.id().toString());
    }

    private static Remedy updating(EndRef at, String title, ReferenceAction action) {
        return Remedy.of(title, (design, ids, given) -> {
            Relationship now = design.relationship(at.relationship()).orElseThrow();
            End end = now.end(at.side());
            return new Edits(design, ids)
                    .changeRelationship(now.with(
                            at.side(),
                            end.with(end.reference().withActions(end.reference().onDelete(), action))));
        });
    }
}
