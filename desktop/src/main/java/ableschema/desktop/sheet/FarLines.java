package ableschema.desktop.sheet;

import ableschema.core.design.Id;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.picture.Link;
import ableschema.diagram.picture.Picture;
import ableschema.diagram.picture.Picture.PlacedCard;
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
                .forEach(link -> add(picture, link));
    }

    private void add(Picture picture, Link link) {
        PlacedCard first = picture.cards().get(link.first().card());
        PlacedCard second = picture.cards().get(link.second().card());
        if (first != null && second != null) {
            Area one = first.area();
            Area other = second.area();
            var line = new Line(one.centreX(), one.centreY(), other.centreX(), other.centreY());
            cut(line, one, other);
            line.getStyleClass().add("far-line");
            getChildren().add(line);
        }
    }

    /** Begins and ends the line at the edges of the cards. */
    private static void cut(Line line, Area one, Area other) {
        double dx = other.centreX() - one.centreX();
        double dy = other.centreY() - one.centreY();
        double begin = share(one, dx, dy);
        double end = share(other, dx, dy);
        line.setStartX(one.centreX() + dx * begin);
        line.setStartY(one.centreY() + dy * begin);
        line.setEndX(other.centreX() - dx * end);
        line.setEndY(other.centreY() - dy * end);
    }

    /** The share of a way from the middle of an area at which it leaves the area. */
    private static double share(Area area, double dx, double dy) {
        double across = dx == 0 ? 1 : area.width() / 2 / Math.abs(dx);
        double down = dy == 0 ? 1 : area.height() / 2 / Math.abs(dy);
        return Math.min(1, Math.min(across, down));
    }
}
