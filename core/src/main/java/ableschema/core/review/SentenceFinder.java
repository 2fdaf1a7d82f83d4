package ableschema.core.review;

import ableschema.core.design.Judgement;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Step;
import ableschema.core.words.DesignText;
import ableschema.core.words.Sentence;
import java.util.List;
import java.util.function.Consumer;

/** Sentences that someone who knows the business called wrong, and that still read so. */
final class SentenceFinder implements Finder.OfWhole {

    static final Rule WRONG = Rule.mustMend(
            Step.DRAW,
            "sentence-wrong",
            "Sentence said to be wrong",
            "“{sentence}” was said to be wrong.",
            "Someone who knows the business says that this is not so; the design says it still.");

    @Override
    public List<Rule> rules() {
        return List.of(WRONG);
    }

    @Override
    public void find(Subject subject, Consumer<Finding> found) {
        for (Judgement judgement : subject.design().notes().judgements()) {
            boolean said = judgement.verdict() == Judgement.Verdict.WRONG
                    && DesignText.about(subject.design(), judgement.about()).stream()
                            .map(Sentence::text)
                            .anyMatch(judgement.sentence()::equals);
            if (said) {
                found.accept(Finding.of(WRONG, Place.of(judgement.about()))
                        .stating("sentence", judgement.sentence())
                        .withEvidence(judgement.remark()));
            }
        }
    }
}
