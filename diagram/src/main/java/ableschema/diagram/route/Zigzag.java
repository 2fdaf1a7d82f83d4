package ableschema.diagram.route;

import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The way that most lines need: straight, or with one step aside between two ports that face each other. Of the places
 * for the step the one counts where it crosses fewest lines, then the one nearest to the middle; none where each place
 * would go through a card, along a line or over the end of one.
 */
final class Zigzag {

    private static final double STEP = 8;
    private static final double MOST_STEPS = 40;
    private static final double OFF_MIDDLE = 0.02;

    private final List<Area> cards;
    private final List<Segment> others;
    private final Point from;
    private final Point to;
    private final boolean flat;

    /** @param flat whether the line leaves and arrives flat */
    Zigzag(Occupied laid, Point from, Point to, boolean flat) {
        Area between = from.to(to).grown(Grid.TOO_NEAR_AN_END);
        this.cards = laid.cards(between).stream()
                .map(card -> card.grown(Grid.CLEARANCE - 1))
                .filter(between::meets)
                .toList();
        this.others = laid.segments(between).stream()
                .filter(segment -> segment.area().grown(1).meets(between))
                .toList();
        this.from = from;
        this.to = to;
        this.flat = flat;
    }

    /** The corner points from port to port; empty where no such way is free. */
    Optional<List<Point>> path() {
        double start = flat ? from.x() : from.y();
        double end = flat ? to.x() : to.y();
        if (flat ? from.y() == to.y() : from.x() == to.x()) {
            List<Point> straight = List.of(from, to);
            return cost(straight) < Double.POSITIVE_INFINITY ? Optional.of(straight) : Optional.empty();
        }
        double middle = Math.rint((start + end) / 2);
        double best = Double.POSITIVE_INFINITY;
        Optional<List<Point>> found = Optional.empty();
        double half = Math.abs(end - start) / 2;
        double step = Math.max(STEP, half / MOST_STEPS);
        for (double off = 0; off <= half; off += step) {
            for (double at : new double[] {middle - off, middle + off}) {
                List<Point> path = through(at);
                double cost = cost(path) + off * OFF_MIDDLE;
                if (cost < best) {
                    best = cost;
                    found = Optional.of(path);
                }
            }
            if (best <= off * OFF_MIDDLE) {
                break; // it crosses nothing, and all others lie farther from the middle
            }
        }
        return found;
    }

    private List<Point> through(double at) {
        return flat
                ? List.of(from, new Point(at, from.y()), new Point(at, to.y()), to)
                : List.of(from, new Point(from.x(), at), new Point(to.x(), at), to);
    }

    /** How many lines a path crosses; infinite where it is not free. */
    private double cost(List<Point> path) {
        double crossings = 0;
        for (Segment segment : segments(path)) {
            Area area = segment.area();
            for (Area card : cards) {
                if (inside(card, area)) {
                    return Double.POSITIVE_INFINITY;
                }
            }
            for (Segment other : others) {
                if (segment.isNearlyAlong(other, Grid.tooNear(other)) || segment.crossesEnd(other)) {
                    return Double.POSITIVE_INFINITY;
                }
                crossings += segment.crosses(other) ? 1 : 0;
            }
        }
        return crossings;
    }

    private static List<Segment> segments(List<Point> path) {
        var segments = new ArrayList<Segment>();
        for (int i = 1; i < path.size(); i++) {
            if (!path.get(i).equals(path.get(i - 1))) {
                segments.add(new Segment(path.get(i - 1), path.get(i), false));
            }
        }
        return segments;
    }

    private static boolean inside(Area card, Area line) {
        return line.x() < card.right()
                && card.x() < line.right() + 0.1
                && line.y() < card.bottom()
                && card.y() < line.bottom() + 0.1;
    }
}
