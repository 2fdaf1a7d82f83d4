package ableschema.desktop.rule;

import ableschema.core.words.RuleLine;
import ableschema.core.words.Sentence;
import ableschema.core.words.Understanding;
import ableschema.desktop.controls.Paragraph;
import ableschema.desktop.workspace.Workspace;
import ableschema.diagram.text.Face;
import java.util.Optional;
import java.util.function.Consumer;

/** A sentence of the design that is reworded in place: Enter has the thing it came from follow, Escape leaves it as it is. */
public final class SentenceField extends Paragraph {

    private static final double TEXT_SIZE = 13;

    /** What breaking between words leaves empty at the end of a line, and the edges. */
    private static final double RAGGED = 36;

    private final double width;
    private final int most;
    private final Rewording rewording;

    /** The sentence as it is now, and what becomes of other words for it. */
    private static final class Rewording implements Consumer<String> {
        private final Workspace workspace;
        private Sentence said;

        Rewording(Workspace workspace, Sentence said) {
            this.workspace = workspace;
            this.said = said;
        }

        /** What is not understood stays as it was typed, to be mended. */
        @Override
        public void accept(String typed) {
            Understanding reading = new RuleLine(workspace.design(), Optional.of(said.about()), workspace.ids())
                    .readInstead(said, typed);
            if (reading instanceof Understanding.Understood understood) {
                workspace.apply(understood.edit());
            } else if (reading instanceof Understanding.NotUnderstood not) {
                workspace.notices().complain(not.problem());
            }
        }
    }

    /**
     * @param width how many pixels a line has where it stands
     * @param most  how many lines of a long sentence are shown while it is not being edited
     */
    public SentenceField(Workspace workspace, Sentence said, double width, int most) {
        this(new Rewording(workspace, said), width, most);
    }

    private SentenceField(Rewording rewording, double width, int most) {
        super("", rewording.said.text(), "", rewording);
        this.rewording = rewording;
        this.width = width;
        this.most = most;
        fit();
        focusedProperty().addListener((o, before, focused) -> fit());
        getStyleClass().add("sentence-text");
    }

    private void fit() {
        int all = 1 + (int) (Face.REGULAR.width(rewording.said.text(), TEXT_SIZE) / (width - RAGGED));
        setPrefRowCount(isFocused() ? all : Math.min(all, most));
    }

    /** Shows what the sentence has become, which takes less than another field. */
    public void say(Sentence said) {
        rewording.said = said;
        show(said.text());
        fit();
    }
}
