package ableschema.desktop.rule;

import ableschema.core.words.RuleLine;
import ableschema.core.words.Sentence;
import ableschema.core.words.Understanding;
import ableschema.desktop.controls.Fields;
import ableschema.desktop.workspace.Workspace;
import ableschema.diagram.text.Face;
import java.util.Optional;
import javafx.scene.control.TextArea;

/** A sentence of the design that is reworded in place: Enter has the thing it came from follow, Escape leaves it as it is. */
public final class SentenceField {

    private static final double TEXT_SIZE = 13;

    /** What breaking between words leaves empty at the end of a line, and the edges. */
    private static final double RAGGED = 36;

    private SentenceField() {}

    /**
     * @param width how many pixels a line has where it stands
     * @param most  how many lines of a long sentence are shown while it is not being edited
     */
    public static TextArea of(Workspace workspace, Sentence said, double width, int most) {
        TextArea field = Fields.paragraph("", said.text(), "", typed -> reword(workspace, said, typed));
        int all = 1 + (int) (Face.REGULAR.width(said.text(), TEXT_SIZE) / (width - RAGGED));
        field.setPrefRowCount(Math.min(all, most));
        field.focusedProperty()
                .addListener((o, before, focused) -> field.setPrefRowCount(focused ? all : Math.min(all, most)));
        field.getStyleClass().add("sentence-text");
        return field;
    }

    /** What is not understood stays as it was typed, to be mended. */
    private static void reword(Workspace workspace, Sentence said, String typed) {
        Understanding reading =
                new RuleLine(workspace.design(), Optional.of(said.about()), workspace.ids()).readInstead(said, typed);
        if (reading instanceof Understanding.Understood understood) {
            workspace.apply(understood.edit());
        } else if (reading instanceof Understanding.NotUnderstood not) {
            workspace.notices().complain(not.problem());
        }
    }
}
