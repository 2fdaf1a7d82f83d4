package ableschema.diagram.route;

import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;

/**
 * A straight stretch of a line that has been laid.
 *
 * @param end whether the sign of an end is drawn on it, so that nothing should cross it
 */
record Segment(Point a, Point b, boolean end) {

    private static final double NEAR = 4;

    boolean isFlat() {
        return a.y() == b.y();
    }

    /** Where it begins along its direction. */
    double low() {
        return isFlat() ? Math.min(a.x(), b.x()) : Math.min(a.y(), b.y());
    }

    /** Where it ends along its direction. */
    double high() {
        return isFlat() ? Math.max(a.x(), b.x()) : Math.max(a.y(), b.y());
    }

    /** Where it lies across its direction. */
    double level() {
        return isFlat() ? a.y() : a.x();
    }

    /** Whether it looks like one line with another, as both run the same way side by side. */
    boolean runsAlong(Segment other) {
        return isFlat() == other.isFlat()
                && Math.abs(level() - other.level()) < NEAR
                && Math.min(high(), other.high()) - Math.max(low(), other.low()) > 1;
    }

    /** Whether it runs over the stretch on which the sign of another line's end is drawn. */
    boolean crossesEnd(Segment other) {
        return other.end()
                && isFlat() != other.isFlat()
                && low() < other.level()
                && other.level() < high()
                && other.low() <= level()
                && level() <= other.high();
    }

    /** Whether both run the same way, nearer than {@code within} to each other. */
    boolean isNearlyAlong(Segment other, double within) {
        return isFlat() == other.isFlat()
                && Math.abs(level() - other.level()) < within
                && Math.min(high(), other.high()) - Math.max(low(), other.low()) > 0;
    }

    /** Whether it crosses another, or meets it where that one bends. */
    boolean crosses(Segment other) {
        return isFlat() != other.isFlat()
                && low() < other.level()
                && other.level() < high()
                && other.low() - NEAR < level()
                && level() < other.high() + NEAR;
    }

    Area area() {
        return a.to(b);
    }
}
