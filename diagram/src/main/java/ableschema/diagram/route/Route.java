package ableschema.diagram.route;

import ableschema.core.design.Id;
import ableschema.diagram.geometry.Point;
import java.util.List;

/** The corner points of a line, from the edge of its first card to the edge of its second. */
public record Route(List<Point> points) {
    public Route {
        points = List.copyOf(points);
    }

    /** Two cards that want a line; the same card twice for a loop. */
    public record Wanted(Id first, Id second) {}
}
