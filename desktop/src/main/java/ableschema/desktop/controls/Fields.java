package ableschema.desktop.controls;

import java.util.function.Consumer;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/** Text fields that hand over what was typed when Enter is pressed or the field is left. */
public final class Fields {

    private Fields() {}

    /** A few lines of plain words; Enter hands them over, as they are one paragraph, and Escape puts back what was there. */
    public static TextArea paragraph(String id, String content, String prompt, Consumer<String> changed) {
        var area = new TextArea(content);
        area.setId(id);
        area.setPromptText(prompt);
        area.setWrapText(true);
        area.setPrefRowCount(content.length() > 44 ? 2 : 1);
        area.getStyleClass().add("paragraph");
        Runnable commit = () -> {
            if (!area.getText().strip().equals(content)) {
                changed.accept(area.getText().strip());
            }
        };
        area.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.ENTER) {
                commit.run();
                event.consume();
            } else if (event.getCode() == KeyCode.ESCAPE && !area.getText().equals(content)) {
                area.setText(content);
                event.consume();
            }
        });
        area.focusedProperty().addListener((o, before, focused) -> {
            if (!focused && area.getScene() != null) {
                commit.run();
            }
        });
        return area;
    }

    public static TextField text(String id, String content, String prompt, Consumer<String> changed) {
        var field = new TextField(content);
        field.setId(id);
        field.setPromptText(prompt);
        Runnable commit = () -> {
            if (!field.getText().strip().equals(content)) {
                changed.accept(field.getText().strip());
            }
        };
        field.setOnAction(event -> commit.run());
        field.focusedProperty().addListener((o, before, focused) -> {
            if (!focused && field.getScene() != null) {
                commit.run();
            }
        });
        return field;
    }
}
