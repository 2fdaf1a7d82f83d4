package ableschema.core.review;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Check;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.design.Index;
import ableschema.core.design.KeyPart;
import ableschema.core.document.Edit;
import ableschema.core.edit.ChangeBody;
import ableschema.core.expression.Expression;
import ableschema.core.expression.Filling;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Remedy;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Step;
import ableschema.core.words.CheckText;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;

/** Rules, indexes and computations that were left behind when their columns got other types. */
final class MisfitFinder implements Finder.OfEach {

    static final Rule MISFIT = Rule.mustMend(
            Step.DRAW,
            "types-misfit",
            "Does not fit the types of its columns",
            "{table}: {what} cannot be had, as {problem}.",
            "The database refuses the definition, and with it the table or the index.");

    @Override
    public List<Rule> rules() {
        return List.of(MISFIT);
    }

    @Override
    public void find(Subject subject, Id owner, Consumer<Finding> found) {
        Body body = subject.design().body(owner).orElse(Body.EMPTY);
        if (isRuled(body)) {
            new Search(subject.design(), owner, body, found).search();
        }
    }

    private static boolean isRuled(Body body) {
        return !body.checks().isEmpty()
                || body.indexes().stream().anyMatch(index -> !index.isPlain())
                || body.attributes().stream().anyMatch(each -> each.filling().isComputed());
    }

    /** Whether all rules, indexes and computations fit the types of the columns, were an entity or relationship of this body. */
    static boolean fits(Design design, Id owner, Body body) {
        var found = new ArrayList<Finding>();
        if (isRuled(body)) {
            new Search(design.withBody(owner, body), owner, body, found::add).search();
        }
        return found.isEmpty();
    }

    private record Search(Design design, Id owner, Body body, Consumer<Finding> found) {

        void search() {
            var text = new CheckText(design, owner);
            for (Check check : body.checks()) {
                text.misfit(check.expression(), true)
                        .ifPresent(problem -> tell(
                                check.expression(),
                                "a rule",
                                problem,
                                "take the rule away",
                                now -> now.withoutCheck(check.id())));
            }
            for (Index index : body.indexes()) {
                problem(text, index)
                        .ifPresent(problem -> tell(
                                index.isPlain() ? index.only() : made(index),
                                "an index",
                                problem,
                                "take the index away",
                                now -> now.withoutIndex(index.id())));
            }
            for (Attribute attribute : body.attributes()) {
                if (attribute.filling().isComputed()) {
                    text.misfitComputed(attribute)
                            .ifPresent(problem -> tell(
                                    attribute.filling().expression(),
                                    "the computation of " + attribute.name(),
                                    problem,
                                    "let nothing compute it",
                                    now -> uncomputed(now, attribute)));
                }
            }
        }

        private static Optional<String> problem(CheckText text, Index index) {
            return index.parts().stream()
                    .filter(part -> part.column().isEmpty())
                    .flatMap(part -> text.misfit(part.value(), false).stream())
                    .findFirst()
                    .or(() -> index.only().isPresent() ? text.misfit(index.only(), true) : Optional.empty());
        }

        private static Expression<ColumnRef> made(Index index) {
            return index.parts().stream()
                    .map(Index.Part::value)
                    .filter(value -> value.asColumn().isEmpty())
                    .findFirst()
                    .orElse(index.only());
        }

        private void tell(
                Expression<ColumnRef> about, String what, String problem, String remedy, UnaryOperator<Body> mending) {
            List<KeyPart> parts =
                    about.columns().distinct().map(KeyPart.class::cast).toList();
            found.accept(Finding.of(MISFIT, new Place(owner, Optional.empty(), parts))
                    .naming("table", design.nameOf(owner))
                    .stating("what", what)
                    .stating("problem", problem)
                    .mendedBy(Remedy.of(
                            remedy, (now, ids, given) -> mended(now.body(owner).orElse(Body.EMPTY), mending, remedy))));
        }

        private Edit mended(Body now, UnaryOperator<Body> mending, String name) {
            return new ChangeBody(owner, mending.apply(now), name);
        }

        private static Body uncomputed(Body body, Attribute attribute) {
            return body.attribute(attribute.id())
                    .map(now -> body.replacing(now.withFilling(Filling.nothing())))
                    .orElse(body);
        }
    }
}
