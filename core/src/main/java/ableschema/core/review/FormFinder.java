package ableschema.core.review;

import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.IdSource;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Remedy;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Step;
import ableschema.core.normalization.Decompose;
import ableschema.core.normalization.EntityTheory;
import ableschema.core.normalization.Proposal;
import ableschema.core.normalization.Redundancy;
import ableschema.core.normalization.ViolationText;
import ableschema.core.theory.Analysis;
import ableschema.core.theory.NormalForm;
import java.util.List;
import java.util.function.Consumer;

/** Entities whose stated dependencies leave them below third normal form. */
final class FormFinder implements Finder.OfEach {

    static final Rule BELOW_THIRD = Rule.advice(
                    Step.FORMS,
                    "below-third",
                    "Below third normal form",
                    "{entity} is in {form} only.",
                    "What depends on a part of the key, or on something that is no key, is said again in many rows, and can come"
                            + " to be said differently.")
            .counted("below 3NF");

    @Override
    public List<Rule> rules() {
        return List.of(BELOW_THIRD);
    }

    @Override
    public void find(Subject subject, Entity entity, Consumer<Finding> found) {
        if (entity.body().dependencies().isEmpty()) {
            return;
        }
        EntityTheory theory = EntityTheory.of(subject.design(), entity);
        Analysis analysis = theory.analysis();
        if (analysis.normalForm().compareTo(NormalForm.THIRD) >= 0) {
            return;
        }
        var text = new ViolationText(theory, new Redundancy(theory));
        String why = analysis.violations().stream()
                .filter(each -> each.form().compareTo(NormalForm.THIRD) <= 0)
                .findFirst()
                .map(text::why)
                .orElse("");
        Finding finding = Finding.of(BELOW_THIRD, Place.of(entity.id()))
                .naming("entity", entity.name())
                .stating("form", analysis.normalForm().sign())
                .withEvidence(why);
        found.accept(
                analysis.decomposition(NormalForm.THIRD).isPresent()
                        ? finding.mendedBy(Remedy.of(
                                "decompose it into third normal form",
                                (design, ids, given) -> new Decompose(proposal(design, entity.id(), ids))))
                        : finding);
    }

    private static Proposal proposal(Design design, Id entity, IdSource ids) {
        EntityTheory theory = EntityTheory.of(design, design.entity(entity).orElseThrow());
        return Proposal.of(
                design,
                theory,
                theory.analysis().decomposition(NormalForm.THIRD).orElseThrow(),
                ids);
    }
}
