package ableschema.diagram.route;

import ableschema.diagram.geometry.Point;

/** A straight stretch of a line that has been laid. */
record Segment(Point a, Point b) {

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
}
