package ableschema.desktop.app;

import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.workspace.Workspace;
import javafx.geometry.Pos;
import javafx.scene.layout.HBox;

/** Offers what was not saved when the program ended without being closed. */
final class RecoveryBar extends HBox {

    private final Workspace workspace;
    private final Autosave autosave;

    RecoveryBar(Workspace workspace, Autosave autosave) {
        super(10);
        this.workspace = workspace;
        this.autosave = autosave;
        setId("recovery");
        getStyleClass().add("recovery");
        setAlignment(Pos.CENTER_LEFT);
        hide();
    }

    private void hide() {
        setVisible(false);
        setManaged(false);
    }

    /** Offers what was left of the design that is open now, if anything was. */
    void offer() {
        hide();
        autosave.left().ifPresent(this::offer);
    }

    private void offer(Document left) {
        getChildren()
                .setAll(
                        Controls.text(
                                "The program ended before this design was saved. Changes that were not saved are kept: "
                                        + left.design().entities().size() + " entities.",
                                "answer"),
                        Controls.button("take-recovered", "Take them over", () -> {
                            workspace.apply(new TakeOver(left));
                            hide();
                        }),
                        Controls.button("leave-recovered", "Leave them", () -> {
                            autosave.dropLeft();
                            hide();
                        }));
        setVisible(true);
        setManaged(true);
    }

    /** Puts a document in place of the present one, so that it can be undone. */
    private record TakeOver(Document document) implements Edit {
        @Override
        public String name() {
            return "take over what was not saved";
        }

        @Override
        public Document applyTo(Document present) {
            return document;
        }
    }
}
