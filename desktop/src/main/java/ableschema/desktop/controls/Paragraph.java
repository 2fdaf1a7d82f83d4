package ableschema.desktop.controls;

import java.util.function.Consumer;
import javafx.scene.control.TextArea;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/** A few lines of plain words; Enter hands them over, as they are one paragraph, and Escape puts back what was there. */
public class Paragraph extends TextArea {

    private static final int LONG = 44;

    private String content;
    private final Consumer<String> changed;

    public Paragraph(String id, String content, String prompt, Consumer<String> changed) {
        super(content);
        this.content = content;
        this.changed = changed;
        setId(id);
        setPromptText(prompt);
        setWrapText(true);
        setPrefRowCount(content.length() > LONG ? 2 : 1);
        getStyleClass().add("paragraph");
        addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
        focusedProperty().addListener((o, before, focused) -> {
            if (!focused && getScene() != null) {
                commit();
            }
        });
    }

    private void pressed(KeyEvent event) {
        if (event.getCode() == KeyCode.ENTER) {
            commit();
            event.consume();
        } else if (event.getCode() == KeyCode.ESCAPE && !getText().equals(content)) {
            setText(content);
            event.consume();
        }
    }

    private void commit() {
        if (!getText().strip().equals(content)) {
            changed.accept(getText().strip());
        }
    }

    /** Shows other words, unless something is being typed in the place of those that were there. */
    protected final void show(String words) {
        boolean untouched = getText().equals(content) || !isFocused();
        content = words;
        if (untouched && !getText().equals(words)) {
            setText(words);
        }
    }
}
