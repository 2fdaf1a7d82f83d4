package ableschema.desktop.gloss;

import ableschema.core.document.Edit;
import ableschema.desktop.controls.BeforeAfter;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.workspace.Outcomes;
import ableschema.desktop.workspace.Workspace;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** One way in which something could be otherwise: pressed, it is made so; its handle shows before and after beforehand. */
final class OtherwiseLine extends VBox {

    private final Workspace workspace;
    private final Supplier<Optional<Edit>> edit;
    private final Hyperlink handle = new Hyperlink("▸");
    private final VBox below = new VBox();
    private final Outcomes outcomes;

    /** @param edit for the design as it is when it is asked; an {@link IllegalArgumentException} says why it cannot be made */
    OtherwiseLine(Workspace workspace, String label, String result, Supplier<Optional<Edit>> edit) {
        super(4);
        this.workspace = workspace;
        this.outcomes = new Outcomes(workspace);
        this.edit = edit;
        Label becomes = Controls.text(result, "otherwise-result");
        becomes.setMinWidth(USE_PREF_SIZE);
        Label way = Controls.text(label, "answer");
        way.setWrapText(true);
        way.setMinHeight(USE_PREF_SIZE);
        HBox line = OtherwiseLines.row(way, becomes);
        line.setAccessibleText(label + ": " + result);
        Controls.pressable(line, this::make);
        handle.getStyleClass().add("otherwise-handle");
        handle.setAccessibleText("before and after: " + label);
        handle.setOnAction(event -> {
            handle.setVisited(false);
            if (getChildren().size() > 1) {
                fold();
            } else {
                unfold();
            }
        });
        line.getChildren().add(0, handle);
        getChildren().add(line);
    }

    private void make() {
        try {
            edit.get().ifPresent(workspace::apply);
        } catch (IllegalArgumentException e) {
            workspace.notices().complain(String.valueOf(e.getMessage()));
        }
    }

    private void fold() {
        handle.setText("▸");
        getChildren().remove(1, getChildren().size());
    }

    private void unfold() {
        try {
            edit.get().ifPresent(wanted -> {
                below.getChildren().clear();
                outcomes.of(
                        wanted, outcome -> below.getChildren().setAll(new BeforeAfter(outcome, workspace.dialect())));
                getChildren().add(below);
                handle.setText("▾");
            });
        } catch (IllegalArgumentException e) {
            workspace.notices().complain(String.valueOf(e.getMessage()));
        }
    }
}
