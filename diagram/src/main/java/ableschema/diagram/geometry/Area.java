package ableschema.diagram.geometry;

/** A rectangle in a picture. */
public record Area(double x, double y, double width, double height) {

    public double right() {
        return x + width;
    }

    public double bottom() {
        return y + height;
    }

    public double centreX() {
        return x + width / 2;
    }

    public double centreY() {
        return y + height / 2;
    }

    public boolean contains(Point point) {
        return point.x() >= x && point.x() <= right() && point.y() >= y && point.y() <= bottom();
    }

    public boolean meets(Area other) {
        return x < other.right() && other.x < right() && y < other.bottom() && other.y < bottom();
    }

    /** Whether they have at least an edge in common; a line, which has no width, can touch but never meet one along it. */
    public boolean touches(Area other) {
        return x <= other.right() && other.x <= right() && y <= other.bottom() && other.y <= bottom();
    }

    public Area grown(double by) {
        return new Area(x - by, y - by, width + 2 * by, height + 2 * by);
    }

    public Area union(Area other) {
        double left = Math.min(x, other.x);
        double top = Math.min(y, other.y);
        return new Area(left, top, Math.max(right(), other.right()) - left, Math.max(bottom(), other.bottom()) - top);
    }
}
