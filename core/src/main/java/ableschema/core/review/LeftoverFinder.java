package ableschema.core.review;

import ableschema.core.design.Design;
import ableschema.core.design.Domain;
import ableschema.core.edit.Edits;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Remedy;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Step;
import java.util.List;
import java.util.function.Consumer;

/** Named types that no attribute is of any more. */
final class LeftoverFinder implements Finder.OfWhole {

    static final Rule TYPE_LEFT_OVER = Rule.advice(
            Step.DRAW,
            "type-left-over",
            "Named type that nothing is of",
            "{domain} is a named type, and no attribute is of it.",
            "It is made in the database all the same, and whoever reads it looks for what it is there for.");

    @Override
    public List<Rule> rules() {
        return List.of(TYPE_LEFT_OVER);
    }

    @Override
    public void find(Subject subject, Consumer<Finding> found) {
        Design design = subject.design();
        design.domains().stream()
                .filter(domain -> !design.isUsed(domain))
                .forEach(domain -> found.accept(finding(domain)));
    }

    private static Finding finding(Domain domain) {
        return Finding.of(TYPE_LEFT_OVER, Place.of(domain.id()))
                .naming("domain", domain.name())
                .mendedBy(Remedy.of(
                        "take it away", (design, ids, given) -> new Edits(design, ids).remove(List.of(domain.id()))));
    }
}
