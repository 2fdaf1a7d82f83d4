package ableschema.diagram.route;

import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;

/** Where a line leaves a card: a side, and a place along it from 0 to 1. */
record Port(Area card, Side side, double along) {

    /** How far a line runs straight out of a card before it may turn, so that its end can be drawn. */
    static final double STUB = 24;

    enum Side {
        LEFT(-1, 0),
        RIGHT(1, 0),
        TOP(0, -1),
        BOTTOM(0, 1);

        private final int dx;
        private final int dy;

        Side(int dx, int dy) {
            this.dx = dx;
            this.dy = dy;
        }

        boolean isFlat() {
            return dx != 0;
        }
    }

    Point edge() {
        return switch (side) {
            case LEFT -> new Point(card.x(), y());
            case RIGHT -> new Point(card.right(), y());
            case TOP -> new Point(x(), card.y());
            case BOTTOM -> new Point(x(), card.bottom());
        };
    }

    Point out() {
        Point edge = edge();
        return new Point(edge.x() + side.dx * STUB, edge.y() + side.dy * STUB);
    }

    /** This port at another level of its side, as near to it as the corners of the card allow. */
    Port movedTo(double level) {
        double start = side.isFlat() ? card.y() : card.x();
        double length = side.isFlat() ? card.height() : card.width();
        return new Port(card, side, Math.max(0.1, Math.min(0.9, (level - start) / length)));
    }

    private double x() {
        return Math.round(card.x() + card.width() * along);
    }

    private double y() {
        return Math.round(card.y() + card.height() * along);
    }
}
