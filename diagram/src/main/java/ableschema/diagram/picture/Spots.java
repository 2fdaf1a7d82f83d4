package ableschema.diagram.picture;

import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;
import ableschema.diagram.picture.Room.Near;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Looks for a place for what is written along a line: the longest stretches first, each from its middle outwards, on the
 * line or beside it; coarsely at first, since most lines have room, and then step by step.
 */
final class Spots {

    /** The ends of a line need this much of it for their own marks. */
    private static final double ENDS = 26;

    /** So far from a line that goes down the signs of its ends are passed. */
    private static final double SIGN = 10;

    private static final double[] COARSE = {0.5, 0.4, 0.6, 0.3, 0.7};
    private static final double STEP = 7;

    private final List<Point> points;
    private final boolean loop;
    private final Near near;

    Spots(List<Point> points, boolean loop, Near near) {
        this.points = points;
        this.loop = loop;
        this.near = near;
    }

    /** A place for a text, and whether the line runs behind it. */
    record Spot(Area area, boolean onLine) {}

    /** A place that touches nothing; empty where there is none. */
    Optional<Spot> free(double width, double height, boolean onlyOnLine) {
        return segments()
                .flatMap(i -> DoubleStream.of(COARSE).boxed().flatMap(at -> spots(i, at, width, height, onlyOnLine)))
                .filter(this::isFree)
                .findFirst()
                .or(() -> segments()
                        .flatMap(i -> fine(i).boxed().flatMap(at -> spots(i, at, width, height, onlyOnLine)))
                        .filter(this::isFree)
                        .findFirst());
    }

    private Stream<Integer> segments() {
        return IntStream.range(1, points.size()).boxed().sorted(Comparator.comparingDouble(i -> -length(i)));
    }

    /** Places along a stretch, from its middle outwards. */
    private DoubleStream fine(int segment) {
        double step = STEP / Math.max(STEP, length(segment));
        return DoubleStream.iterate(0, d -> d <= 0.5, d -> d + step).flatMap(d -> DoubleStream.of(0.5 - d, 0.5 + d));
    }

    private boolean isFree(Spot spot) {
        return near.isFree(spot.area())
                && near.isOffLines(spot.area())
                && (spot.onLine() ? isOnOneStretch(spot.area()) : isOffOwnLine(spot.area()));
    }

    private boolean isOffOwnLine(Area area) {
        return IntStream.range(1, points.size()).noneMatch(i -> meets(area, i));
    }

    /** A text on its line must not cover a bend. */
    private boolean isOnOneStretch(Area area) {
        return loop
                || IntStream.range(1, points.size()).filter(i -> meets(area, i)).count() <= 1;
    }

    private boolean meets(Area area, int segment) {
        return area.grown(1)
                .meets(points.get(segment - 1).to(points.get(segment)).grown(0.5));
    }

    private Stream<Spot> spots(int segment, double along, double width, double height, boolean onlyOnLine) {
        Point a = points.get(segment - 1);
        Point b = points.get(segment);
        double x = a.x() + (b.x() - a.x()) * along;
        double y = a.y() + (b.y() - a.y()) * along;
        boolean flat = a.y() == b.y();
        var on = new Spot(new Area(x - width / 2, y - height / 2, width, height), true);
        if (onlyOnLine) {
            // a loop is too small to hold a diamond and the signs of its ends, so the diamond hangs below it
            return Stream.of(loop ? new Spot(new Area(x - width / 2, y - 2, width, height), true) : on);
        }
        Stream<Spot> beside = flat
                ? Stream.of(y - height - 3, y + 5, y - height - 18, y + 20)
                        .map(top -> new Spot(new Area(x - width / 2, top, width, height), false))
                : Stream.of(x + 4, x - width - 4, x + SIGN, x - width - SIGN)
                        .map(left -> new Spot(new Area(left, y - height / 2, width, height), false));
        boolean roomOnLine = length(segment) >= (flat ? width : height) + 2 * ENDS;
        return roomOnLine ? Stream.concat(Stream.of(on), beside) : beside;
    }

    private double length(int segment) {
        Point a = points.get(segment - 1);
        Point b = points.get(segment);
        return Math.abs(a.x() - b.x()) + Math.abs(a.y() - b.y());
    }
}
