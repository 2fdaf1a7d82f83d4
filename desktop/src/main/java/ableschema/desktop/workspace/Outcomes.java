package ableschema.desktop.workspace;

import ableschema.core.document.Edit;
import ableschema.core.mapping.Mapping;
import ableschema.core.review.Outcome;
import java.util.Optional;
import java.util.function.Consumer;

/** What an edit would do, for one place that shows it; of a large design it is worked out off the window's thread. */
public final class Outcomes {

    private final Workspace workspace;
    private Optional<Edit> wanted = Optional.empty();

    public Outcomes(Workspace workspace) {
        this.workspace = workspace;
    }

    /**
     * Works out what an edit of the design as it is now would do.
     *
     * @param shown given the outcome, at once or later; not at all where another edit was asked for or the design moved on
     * @throws IllegalArgumentException if a small design cannot be edited so; of a large one this is said as a notice
     */
    public void of(Edit edit, Consumer<Outcome> shown) {
        Mapping mapping = workspace.mapping();
        wanted = Optional.of(edit);
        workspace.workOut(document -> Outcome.of(edit, document, mapping), outcome -> {
            if (wanted.filter(each -> each == edit).isPresent()) {
                shown.accept(outcome);
            }
        });
    }
}
