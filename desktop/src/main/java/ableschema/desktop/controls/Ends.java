package ableschema.desktop.controls;

import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.layout.Pane;

/** Two things at both ends of one line, or one below the other where the line is too short for them. */
public final class Ends extends Pane {

    private static final double BETWEEN = 12;
    private static final double BELOW = 4;

    private final Node left;
    private final Node right;

    /** @param left as wide as the line where it stands alone */
    public Ends(Node left, Node right) {
        super(left, right);
        this.left = left;
        this.right = right;
        setMinWidth(0);
    }

    @Override
    public Orientation getContentBias() {
        return Orientation.HORIZONTAL;
    }

    private boolean isOneLine(double width) {
        return width < 0 || left.prefWidth(-1) + BETWEEN + right.prefWidth(-1) <= width;
    }

    @Override
    protected double computePrefWidth(double height) {
        return snapSizeX(left.prefWidth(-1) + BETWEEN + right.prefWidth(-1));
    }

    @Override
    protected double computeMinHeight(double width) {
        return computePrefHeight(width);
    }

    @Override
    protected double computePrefHeight(double width) {
        return isOneLine(width)
                ? Math.max(left.prefHeight(left.prefWidth(-1)), right.prefHeight(right.prefWidth(-1)))
                : left.prefHeight(width) + BELOW + right.prefHeight(Math.min(width, right.prefWidth(-1)));
    }

    @Override
    protected void layoutChildren() {
        double width = getWidth();
        double needed = Math.min(width, right.prefWidth(-1));
        double height = right.prefHeight(needed);
        if (isOneLine(width)) {
            double wide = left.prefWidth(-1);
            double high = left.prefHeight(wide);
            left.resizeRelocate(0, snapPositionY((getHeight() - high) / 2), wide, high);
            right.resizeRelocate(width - needed, snapPositionY((getHeight() - height) / 2), needed, height);
        } else {
            double high = left.prefHeight(width);
            left.resizeRelocate(0, 0, width, high);
            right.resizeRelocate(0, high + BELOW, needed, height);
        }
    }
}
