package ableschema.diagram.geometry;

/** A place in a picture, in pixels at 100 %. */
public record Point(double x, double y) {

    /** The rectangle with this and another point as corners. */
    public Area to(Point other) {
        return new Area(Math.min(x, other.x), Math.min(y, other.y), Math.abs(x - other.x), Math.abs(y - other.y));
    }

    /** The place {@code by} pixels from here towards another point, but no farther than half the way. */
    public Point towards(Point to, double by) {
        double length = Math.hypot(to.x - x, to.y - y);
        double part = length == 0 ? 0 : Math.min(by, length / 2) / length;
        return new Point(x + (to.x - x) * part, y + (to.y - y) * part);
    }
}
