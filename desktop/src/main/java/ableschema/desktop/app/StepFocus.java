package ableschema.desktop.app;

import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.Parent;

/** Leads the focus from one step's work to another's; left alone it would go to what happens to stand first in the window. */
final class StepFocus {

    private StepFocus() {}

    /** Whether the focus is somewhere in a part of the window. */
    static boolean isWithin(Node part) {
        Node node = part.getScene() == null ? null : part.getScene().getFocusOwner();
        while (node != null && node != part) {
            node = node.getParent();
        }
        return node != null;
    }

    /** Gives the focus to the first thing in a part of the window that can take it, or to all of it. */
    static void enter(Node part) {
        part.applyCss(); // as what scrolls has its content only then
        first(part).orElse(part).requestFocus();
    }

    private static Optional<Node> first(Node node) {
        if (!node.isVisible() || node.isDisabled()) {
            return Optional.empty();
        }
        if (node.isFocusTraversable()) {
            return Optional.of(node);
        }
        return node instanceof Parent parent
                ? parent.getChildrenUnmodifiable().stream()
                        .flatMap(child -> first(child).stream())
                        .findFirst()
                : Optional.empty();
    }
}
