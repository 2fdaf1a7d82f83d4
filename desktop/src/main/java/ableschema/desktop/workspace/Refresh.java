package ableschema.desktop.workspace;

import ableschema.core.finding.Step;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.Parent;

/**
 * Shows a part of the window anew: once for all changes of one event, only while it is in view, and with the focus where it was,
 * so that whoever goes from field to field goes on in the new one.
 */
public final class Refresh {

    private final Parent part;
    private final BooleanSupplier inView;
    private final Runnable show;
    private boolean pending;

    /**
     * @param part what is shown anew; its fields are found again by their ids
     * @param show puts other nodes in place
     */
    public Refresh(Parent part, BooleanSupplier inView, Runnable show) {
        this.part = part;
        this.inView = inView;
        this.show = show;
    }

    /** Has the workbench of a step shown when one goes there, and anew after each change while it is in view. */
    public static Refresh of(Workspace workspace, Step step, Parent bench, Runnable show) {
        var refresh = new Refresh(bench, () -> workspace.stepProperty().get() == step, show);
        workspace.onMeaning(refresh::later);
        workspace.onReviewed(refresh::later);
        workspace.stepProperty().addListener((o, before, now) -> refresh.now());
        refresh.now();
        return refresh;
    }

    /** Shows it when the event under way is over, and so not under the hands of the field that made the change. */
    public void later() {
        if (!pending) {
            pending = true;
            Platform.runLater(() -> {
                pending = false;
                now();
            });
        }
    }

    public void now() {
        if (inView.getAsBoolean()) {
            Optional<String> focused = focusedField();
            show.run();
            focused.map(id -> part.lookup("#" + id)).ifPresent(Node::requestFocus);
        }
    }

    /** The id of the field within the part that has the focus. */
    private Optional<String> focusedField() {
        Node owner = part.getScene() == null ? null : part.getScene().getFocusOwner();
        for (Node node = owner; node != null; node = node.getParent()) {
            if (node == part) {
                return Optional.ofNullable(owner.getId());
            }
        }
        return Optional.empty();
    }
}
