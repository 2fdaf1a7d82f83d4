package ableschema.desktop.sheet;

import javafx.geometry.Point2D;
import javafx.scene.input.MouseEvent;

/** What a press of the mouse began; places are those of the picture. */
interface Drag {

    Drag NONE = new Drag() {};

    default void to(Point2D place, MouseEvent event) {}

    default void end(Point2D place, MouseEvent event) {}
}
