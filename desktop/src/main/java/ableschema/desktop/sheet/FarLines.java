package ableschema.desktop.sheet;

import ableschema.core.design.Id;
import ableschema.diagram.geometry.Point;
import ableschema.diagram.picture.FarLine;
import ableschema.diagram.picture.Ink;
import ableschema.diagram.picture.Mark;
import ableschema.diagram.picture.Picture;
import java.util.Set;
import javafx.scene.Group;
import javafx.scene.shape.Line;

/** The lines between districts of what is chosen: straight, over everything, for as long as it is chosen. */
final class FarLines extends Group {

    private static final int MOST = 80;

    FarLines() {
        setMouseTransparent(true);
    }

    void show(Picture picture, Set<Id> chosen) {
        getChildren().clear();
        if (chosen.isEmpty()) {
            return;
        }
        picture.far().stream()
                .filter(link -> chosen.contains(link.relationship())
                        || chosen.contains(link.first().card())
                        || chosen.contains(link.second().card()))
                .limit(MOST)
                .flatMap(link -> FarLine.of(picture.cards(), link, Ink.PINE).stream())
                .forEach(this::add);
    }

    private void add(Mark.Line line) {
        Point start = line.points().get(0);
        Point end = line.points().get(1);
        var shown = new Line(start.x(), start.y(), end.x(), end.y());
        shown.getStyleClass().add("far-line");
        getChildren().add(shown);
    }
}
