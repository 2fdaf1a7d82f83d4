package ableschema.core.review;

import ableschema.core.design.End;
import ableschema.core.design.EndRef;
import ableschema.core.design.Id;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import ableschema.core.edit.Edits;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Remedy;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Step;
import ableschema.core.schema.Column;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Table;
import ableschema.core.types.ReferenceAction;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/** References that on a deletion would do what their columns cannot have. */
final class ActionFinder implements Finder.OfEach {

    static final Rule EMPTIES_REQUIRED = Rule.mustMend(
            Step.DRAW,
            "empties-required",
            "Would empty what is required",
            "When {target} goes, {holder} should lose its reference, but must have one.",
            "Set null on a required column is refused by some databases at once, and by the others when the first row is"
                    + " deleted.");
    static final Rule DEFAULT_MISSING = Rule.mustMend(
            Step.DRAW,
            "default-missing",
            "Set default without a default",
            "When {target} goes, {holder} should refer to a default, but {column} has none.",
            "Without a default the column is set to null, or the deletion is refused.");

    @Override
    public List<Rule> rules() {
        return List.of(EMPTIES_REQUIRED, DEFAULT_MISSING);
    }

    @Override
    public void find(Subject subject, Relationship relationship, Consumer<Finding> found) {
        Id holder = relationship.referencing().orElse(relationship.id());
        for (Side side : relationship.referencedSides()) {
            EndRef end = relationship.ref(side);
            Optional<Table> table = subject.table(holder);
            table.flatMap(each -> keyOf(subject, each, end))
                    .ifPresent(key -> judge(subject, relationship, side, table.get(), key, found));
        }
    }

    private static Optional<ForeignKey> keyOf(Subject subject, Table table, EndRef end) {
        return table.foreignKeys().stream()
                .filter(key -> subject.trace().end(table, key).equals(end))
                .findFirst();
    }

    private static void judge(
            Subject subject,
            Relationship relationship,
            Side side,
            Table table,
            ForeignKey key,
            Consumer<Finding> found) {
        End end = relationship.end(side);
        List<Column> columns = key.columns().stream()
                .flatMap(name -> table.column(name).stream())
                .toList();
        Finding base = Finding.of(
                        EMPTIES_REQUIRED,
                        new Place(
                                relationship.id(),
                                Optional.empty(),
                                List.of(new KeyPart.WholeReference(relationship.ref(side)))))
                .naming("target", subject.design().at(end).name())
                .naming("holder", subject.trace().label(table));
        boolean required = columns.stream().anyMatch(column -> !column.nullable());
        if (does(key, ReferenceAction.SET_NULL) && required) {
            found.accept(base.mendedBy(acting(relationship.id(), side, "refuse the deletion", ReferenceAction.RESTRICT))
                    .mendedBy(acting(relationship.id(), side, "delete it along", ReferenceAction.CASCADE)));
        }
        Optional<Column> bare = columns.stream()
                .filter(column -> !column.defaultValue().isPresent())
                .findFirst();
        if (does(key, ReferenceAction.SET_DEFAULT) && bare.isPresent()) {
            found.accept(new Finding(DEFAULT_MISSING, base.place(), base.names(), base.facts(), "", List.of())
                    .naming("column", bare.get().name())
                    .mendedBy(acting(relationship.id(), side, "refuse the deletion", ReferenceAction.RESTRICT)));
        }
    }

    private static boolean does(ForeignKey key, ReferenceAction action) {
        return key.onDelete() == action || key.onUpdate() == action;
    }

    private static Remedy acting(Id relationship, Side side, String title, ReferenceAction onDelete) {
        return Remedy.of(title, (design, ids, given) -> {
            Relationship now = design.relationship(relationship).orElseThrow();
            End end = now.end(side);
            return new Edits(design, ids)
                    .changeRelationship(
                            now.with(side, end.with(end.reference().withActions(onDelete, ReferenceAction.NO_ACTION))));
        });
    }
}
