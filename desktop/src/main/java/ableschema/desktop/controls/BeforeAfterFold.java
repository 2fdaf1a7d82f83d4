package ableschema.desktop.controls;

import ableschema.core.review.Outcome;
import ableschema.core.sql.dialect.Dialect;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.VBox;

/**
 * A fold below what a workbench proposes: open, it shows before and after in tables and SQL; it stays as it was left. Its handle
 * stands where the workbench has room for it.
 */
public final class BeforeAfterFold extends VBox {

    private final ToggleButton fold = new ToggleButton();
    private Runnable working = () -> {};

    public BeforeAfterFold() {
        fold.setId("before-after-fold");
        fold.getStyleClass().setAll("fold");
        fold.selectedProperty().addListener((o, before, now) -> fill());
        setMinWidth(0);
        fill();
    }

    /** What opens and closes it. */
    public ToggleButton handle() {
        return fold;
    }

    /**
     * Shows what an edit would do.
     *
     * @param asking asks for the outcome, only while the fold is open and after what stands above it is shown
     */
    public void show(Consumer<Consumer<Outcome>> asking, Dialect dialect) {
        working = () -> {
            Runnable now = working;
            asking.accept(outcome -> {
                if (now == working) {
                    getChildren().setAll(new BeforeAfter(outcome, dialect));
                }
            });
        };
        getChildren().clear();
        fill();
    }

    private void fill() {
        boolean open = fold.isSelected();
        fold.setText((open ? "▾  " : "▸  ") + "Before and after, in tables and SQL");
        setVisible(open);
        setManaged(open);
        if (open) {
            Runnable now = working;
            Platform.runLater(() -> {
                if (now == working) {
                    now.run();
                }
            });
        }
    }
}
