package ableschema.desktop.sheet;

import javafx.scene.control.Label;

/** What an empty sheet says on itself: how to begin. */
final class EmptySign extends Label {

    private static final double MARGIN = 24;

    EmptySign() {
        setId("sheet-empty");
        getStyleClass().add("sheet-empty");
        setMouseTransparent(true);
        setManaged(false);
        setWrapText(true);
    }

    /**
     * Shows itself, or not.
     *
     * @param empty     whether the picture shows nothing
     * @param beginning whether there is nothing that it could show
     */
    void show(boolean empty, boolean beginning) {
        setText(
                beginning
                        ? "Click anywhere and type the name of what you keep data about."
                                + "\nOr type a sentence in the line below: Each hive stands in exactly one apiary."
                                + "\nCtrl+O opens a design, Ctrl+K finds everything that can be done."
                        : "This picture shows nothing yet: choose another above, or tell it what to show.");
        setVisible(empty);
    }

    void centre(double width, double height) {
        applyCss(); // as it is measured in its own letters
        double free = Math.min(prefWidth(-1), Math.max(0, width - 2 * MARGIN));
        resize(free, prefHeight(free));
        relocate(
                Math.max(MARGIN, Math.rint((width - getWidth()) / 2)),
                Math.max(MARGIN, Math.rint(height / 2 - getHeight())));
    }
}
