package ableschema.desktop.sql;

import ableschema.desktop.controls.Controls;
import java.util.Locale;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import org.fxmisc.richtext.StyleClassedTextArea;

/** Finds words in a text, whatever their letter case: Enter goes to the next place, with Shift to the one before. */
final class FindBar extends HBox {

    private final StyleClassedTextArea text;
    private final TextField wanted = new TextField();
    private final Label places = Controls.text("", "note");

    FindBar(StyleClassedTextArea text) {
        super(8);
        this.text = text;
        setId("find-in-script");
        wanted.setId("find-wanted");
        places.setId("find-places");
        wanted.setPromptText("find in the script (Ctrl+F)");
        wanted.setPrefColumnCount(18);
        wanted.textProperty()
                .addListener((o, before, now) -> go(text.getSelection().getStart(), 1));
        wanted.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ENTER) {
                int step = event.isShiftDown() ? -1 : 1;
                go(text.getSelection().getStart() + step, step);
                event.consume();
            } else if (event.getCode() == KeyCode.ESCAPE && !wanted.getText().isEmpty()) {
                wanted.clear();
                event.consume();
            }
        });
        getStyleClass().add("find-bar");
        getChildren().addAll(wanted, places);
    }

    /** Puts the cursor there. */
    void focus() {
        wanted.requestFocus();
        wanted.selectAll();
    }

    /** Goes to the nearest place from one on; behind the last follows the first. */
    private void go(int from, int step) {
        String all = text.getText().toLowerCase(Locale.ROOT);
        String words = wanted.getText().toLowerCase(Locale.ROOT);
        if (words.isEmpty() || all.length() != text.getLength()) {
            places.setText("");
            text.deselect();
            return;
        }
        int found = step > 0 ? all.indexOf(words, from) : from < 0 ? -1 : all.lastIndexOf(words, from);
        if (found < 0) {
            found = step > 0 ? all.indexOf(words) : all.lastIndexOf(words);
        }
        int before = 0;
        int count = 0;
        for (int at = all.indexOf(words); at >= 0; at = all.indexOf(words, at + words.length())) {
            count++;
            before += at <= found ? 1 : 0;
        }
        places.setText(count == 0 ? "not in the script" : before + " of " + count);
        if (found >= 0) {
            text.selectRange(found, found + words.length());
            text.requestFollowCaret();
        } else {
            text.deselect();
        }
    }
}
