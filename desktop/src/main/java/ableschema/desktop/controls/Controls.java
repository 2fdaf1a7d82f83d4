package ableschema.desktop.controls;

import ableschema.core.finding.Severity;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/** Makes the labels, buttons and spaces that every part of the window is made of. */
public final class Controls {

    private Controls() {}

    /** A text in a style of the style sheet. */
    public static Label text(String text, String style) {
        var label = new Label(text);
        label.getStyleClass().add(style);
        return label;
    }

    /** How much a finding matters, in one sign. */
    public static Label sign(Severity severity) {
        Label sign =
                switch (severity) {
                    case MUST_MEND -> text("×", "fails");
                    case ADVICE -> text("–", "neither");
                    case OPEN -> text("○", "neither");
                };
        sign.setAccessibleText(severity.label());
        return sign;
    }

    /** A button that tests and style sheets find by its id. */
    public static Button button(String id, String label, Runnable action) {
        var button = new Button(label);
        button.setId(id);
        button.setOnAction(event -> action.run());
        return button;
    }

    /** Has a node act when it is clicked, or when it has the focus and Enter or the space bar is pressed. */
    public static void pressable(Node node, Runnable action) {
        node.setFocusTraversable(true);
        node.getStyleClass().add("pressable");
        node.setOnMouseClicked(event -> action.run());
        node.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ENTER || event.getCode() == KeyCode.SPACE) {
                action.run();
                event.consume();
            }
        });
    }

    /** Space in a row that takes what the others leave. */
    public static Region space() {
        var space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        return space;
    }

    /** A part that may be wider than there is room for, and then is scrolled sideways. */
    public static ScrollPane sideways(Region part) {
        var scroll = new ScrollPane(part);
        scroll.setFitToWidth(true);
        scroll.setFitToHeight(true);
        scroll.setVbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setMinHeight(Region.USE_PREF_SIZE);
        scroll.getStyleClass().add("bench-scroll");
        return scroll;
    }
}
