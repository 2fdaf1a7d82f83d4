package ableschema.desktop.app;

import ableschema.desktop.controls.Controls;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;

/** A part at the edge of the window that can be folded away, with the sign that brings it back. */
final class Folding extends HBox {

    private final Node part;
    private final boolean atLeft;
    private final Button sign;

    /** @param called what the part is called, in a word */
    Folding(Node part, boolean atLeft, String called) {
        this.part = part;
        this.atLeft = atLeft;
        this.sign = Controls.button("fold-" + called, "", this::toggle);
        sign.getStyleClass().setAll("fold");
        sign.setFocusTraversable(false);
        sign.setAccessibleText("fold the " + called + " away, or bring it back");
        sign.setMaxHeight(Double.MAX_VALUE);
        setAlignment(Pos.CENTER);
        setFillHeight(true);
        if (atLeft) {
            getChildren().addAll(part, sign);
        } else {
            getChildren().addAll(sign, part);
        }
        show(true);
    }

    void toggle() {
        show(!part.isVisible());
    }

    private void show(boolean open) {
        part.setVisible(open);
        part.setManaged(open);
        sign.setText(open == atLeft ? "‹" : "›");
    }
}
