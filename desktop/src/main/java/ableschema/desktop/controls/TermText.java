package ableschema.desktop.controls;

import ableschema.core.review.Terms;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.text.Text;
import javafx.scene.text.TextFlow;
import javafx.util.Duration;

/** A text whose terms of the trade say what they mean when they are pointed at or have the focus. */
public final class TermText extends TextFlow {

    public TermText(String text, Terms terms) {
        getStyleClass().add("term-text");
        for (Terms.Piece piece : terms.in(text)) {
            getChildren()
                    .add(
                            piece.meaning().isEmpty()
                                    ? plain(piece.text())
                                    : term(piece.text(), piece.meaning().get()));
        }
    }

    private static Text plain(String text) {
        var plain = new Text(text);
        plain.getStyleClass().add("plain-text");
        return plain;
    }

    private static Label term(String text, String meaning) {
        var term = new Label(text);
        term.getStyleClass().add("term");
        term.setFocusTraversable(true);
        term.setAccessibleText(text + ": " + meaning);
        var tip = new Tooltip(meaning);
        tip.setWrapText(true);
        tip.setMaxWidth(360);
        tip.setShowDelay(Duration.millis(200));
        term.setTooltip(tip);
        term.focusedProperty().addListener((o, before, focused) -> {
            if (focused && term.getScene() != null) {
                var at = term.localToScreen(0, term.getHeight() + 4);
                tip.show(term, at.getX(), at.getY());
            } else {
                tip.hide();
            }
        });
        return term;
    }
}
