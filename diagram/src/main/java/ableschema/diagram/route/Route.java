package ableschema.diagram.route;

import ableschema.core.design.Id;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;
import java.util.List;

/** The corner points of a line, from the edge of its first card to the edge of its second. */
public record Route(List<Point> points) {
    public Route {
        points = List.copyOf(points);
    }

    /** A line that is wanted between two cards, or as a loop on one; {@code line} tells several between the same two apart. */
    public record Wanted(Id line, Id first, Id second) {}

    boolean connects(Point first, Point last) {
        return points.get(0).equals(first) && points.get(points.size() - 1).equals(last);
    }

    boolean runsThrough(Area card) {
        for (int i = 1; i < points.size(); i++) {
            if (points.get(i - 1).to(points.get(i)).meets(card)) {
                return true;
            }
        }
        return false;
    }
}
