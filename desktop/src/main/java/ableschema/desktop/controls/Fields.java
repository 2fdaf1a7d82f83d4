package ableschema.desktop.controls;

import java.util.function.Consumer;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;

/** Text fields that hand over what was typed when Enter is pressed or the field is left. */
public final class Fields {

    private Fields() {}

    /** A few lines of plain words. */
    public static TextArea paragraph(String id, String content, String prompt, Consumer<String> changed) {
        return new Paragraph(id, content, prompt, changed);
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
