package ableschema.core.review;

import ableschema.core.brief.Answer;
import ableschema.core.design.Question;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Step;
import ableschema.core.words.Sentences;
import java.util.List;
import java.util.function.Consumer;

/** Questions of the brief that the tables do not answer. */
final class BriefFinder implements Finder.OfWhole {

    static final Rule QUESTION_OPEN = Rule.open(
                    Step.BRIEF,
                    "question-open",
                    "Question that nothing answers",
                    "“{question}” is not answered yet.",
                    "The design is there to answer these questions; what answers this one is to be named, or drawn.")
            .counted("question open|questions open");

    @Override
    public List<Rule> rules() {
        return List.of(QUESTION_OPEN);
    }

    @Override
    public void find(Subject subject, Consumer<Finding> found) {
        for (Question question : subject.document().design().notes().brief().questions()) {
            Answer answer = Answer.of(question, subject.mapping(), subject.dialect());
            if (!answer.isJoined()) {
                found.accept(Finding.of(QUESTION_OPEN, Place.of(question.id()))
                        .naming("question", question.text())
                        .withEvidence(
                                answer.isOpen()
                                        ? "no attribute is named for it"
                                        : "no relationship leads to " + Sentences.listed(answer.apart())));
            }
        }
    }
}
