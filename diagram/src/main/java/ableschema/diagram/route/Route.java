package ableschema.diagram.route;

import ableschema.core.design.Id;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;
import java.util.ArrayList;
import java.util.List;

/**
 * The corner points of a line, from the edge of its first card to the edge of its second. What follows from them is worked
 * out once, as most lines keep their way through many changes.
 */
public final class Route {

    private final List<Point> points;
    private final List<Segment> segments;
    private final List<Area> stretches;
    private final Area bounds;

    Route(List<Point> points) {
        this.points = List.copyOf(points);
        var found = new ArrayList<Segment>();
        for (int i = 1; i < points.size(); i++) {
            found.add(new Segment(points.get(i - 1), points.get(i), false));
        }
        segments = List.copyOf(found);
        stretches = segments.stream().map(Segment::area).toList();
        bounds = stretches.stream().reduce(Area::union).orElseThrow(); // a route has at least two points
    }

    /** A line that is wanted between two cards, or as a loop on one; {@code line} tells several between the same two apart. */
    public record Wanted(Id line, Id first, Id second) {
        /** Quick, as all lines are looked up at each change: nearly every line has an id of its own. */
        @Override
        public int hashCode() {
            return line.hashCode() + first.hashCode();
        }
    }

    public List<Point> points() {
        return points;
    }

    /** The straight stretches between the points, as areas of no width or no height. */
    public List<Area> stretches() {
        return stretches;
    }

    /** The smallest area that holds all points. */
    public Area bounds() {
        return bounds;
    }

    List<Segment> segments() {
        return segments;
    }

    boolean connects(Point first, Point last) {
        return points.get(0).equals(first) && points.get(points.size() - 1).equals(last);
    }

    boolean runsThrough(Area card) {
        return bounds.touches(card) && stretches.stream().anyMatch(card::meets);
    }

    @Override
    public boolean equals(Object other) {
        return this == other || (other instanceof Route route && points.equals(route.points));
    }

    @Override
    public int hashCode() {
        return points.hashCode();
    }

    @Override
    public String toString() {
        return points.toString();
    }
}
