package ableschema.diagram.picture;

import ableschema.core.design.Id;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;
import ableschema.diagram.picture.Picture.PlacedCard;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A straight line between two cards of different districts, from edge to edge, wherever it leads. */
public final class FarLine {

    private static final double WIDTH = 1.4;

    private FarLine() {}

    /** The line of a link; empty where one of its cards is not shown. */
    public static Optional<Mark.Line> of(Map<Id, PlacedCard> cards, Link link, Ink ink) {
        PlacedCard first = cards.get(link.first().card());
        PlacedCard second = cards.get(link.second().card());
        if (first == null || second == null) {
            return Optional.empty();
        }
        Area one = first.area();
        Area other = second.area();
        List<Point> ends = List.of(edge(one, other), edge(other, one));
        return Optional.of(new Mark.Line(link.relationship(), ends, 0, ink, WIDTH, Optional.empty()));
    }

    /** Where the way from the middle of one area to that of another leaves it. */
    private static Point edge(Area area, Area other) {
        double dx = other.centreX() - area.centreX();
        double dy = other.centreY() - area.centreY();
        double across = dx == 0 ? 1 : area.width() / 2 / Math.abs(dx);
        double down = dy == 0 ? 1 : area.height() / 2 / Math.abs(dy);
        double share = Math.min(1, Math.min(across, down));
        return new Point(area.centreX() + dx * share, area.centreY() + dy * share);
    }
}
