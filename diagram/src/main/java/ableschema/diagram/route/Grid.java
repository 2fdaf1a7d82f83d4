package ableschema.diagram.route;

import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.TreeSet;

/**
 * The lanes between the cards around two points, horizontal and vertical. Each stretch between two neighbouring lanes is
 * free or blocked by a card, and costs more where it runs along a line that has been laid, or crosses one.
 */
final class Grid {

    private static final double CLEARANCE = 10;
    private static final double[] LANES = {14, 24, 34};
    private static final double[] FINE_LANES = {11, 18, 25, 32, 39, 46, 53, 60, 67};
    private static final double REACH = 320;
    private static final double WIDE_REACH = 700;
    private static final double TOO_NEAR = 6;
    private static final double CROSSING_COST = 25;
    static final double END_CROSSING_COST = 1500;
    private static final double SHARING_COST = 2500;

    private final double[] xs;
    private final double[] ys;
    /** What the stretch from (x, y) to (x + 1, y) costs beyond its length; infinite where a card blocks it. */
    private final double[][] flat;
    /** The same from (x, y) to (x, y + 1). */
    private final double[][] steep;

    /** The lanes that most lines find their way on. */
    static Grid near(Point from, Point to, Collection<Area> cards, List<Segment> taken) {
        return new Grid(from, to, cards, taken, LANES, REACH);
    }

    /** More lanes, and farther around. */
    static Grid wide(Point from, Point to, Collection<Area> cards, List<Segment> taken) {
        return new Grid(from, to, cards, taken, FINE_LANES, WIDE_REACH);
    }

    private Grid(Point from, Point to, Collection<Area> cards, List<Segment> taken, double[] lanes, double around) {
        var x = new TreeSet<>(List.of(from.x(), to.x(), Math.rint((from.x() + to.x()) / 2)));
        var y = new TreeSet<>(List.of(from.y(), to.y(), Math.rint((from.y() + to.y()) / 2)));
        Area reach = new Area(from.x(), from.y(), 0, 0)
                .union(new Area(to.x(), to.y(), 0, 0))
                .grown(around);
        List<Area> near = cards.stream().filter(reach::meets).toList();
        for (Area card : near) {
            for (double lane : lanes) {
                x.add(card.x() - lane);
                x.add(card.right() + lane);
                y.add(card.y() - lane);
                y.add(card.bottom() + lane);
            }
        }
        xs = x.stream().mapToDouble(Double::doubleValue).toArray();
        ys = y.stream().mapToDouble(Double::doubleValue).toArray();
        flat = new double[xs.length][ys.length];
        steep = new double[xs.length][ys.length];
        near.forEach(card -> block(card.grown(CLEARANCE)));
        for (Segment segment : taken) {
            if (segment.isFlat()) {
                charge(segment, xs, ys, true);
            } else {
                charge(segment, ys, xs, false);
            }
        }
    }

    /** Blocks every stretch that runs into a card. */
    private void block(Area card) {
        for (int i = before(xs, card.x()); i < xs.length && xs[i] < card.right(); i++) {
            for (int j = before(ys, card.y()); j < ys.length && ys[j] < card.bottom(); j++) {
                boolean insideX = xs[i] > card.x();
                boolean insideY = ys[j] > card.y();
                boolean reachesX = i + 1 < xs.length && xs[i + 1] > card.x();
                boolean reachesY = j + 1 < ys.length && ys[j + 1] > card.y();
                flat[i][j] += insideY && reachesX ? Double.POSITIVE_INFINITY : 0;
                steep[i][j] += insideX && reachesY ? Double.POSITIVE_INFINITY : 0;
            }
        }
    }

    /** Charges for running along a laid segment, and for crossing it. */
    private void charge(Segment segment, double[] along, double[] across, boolean isFlat) {
        int start = before(along, segment.low());
        for (int j = before(across, segment.level() - TOO_NEAR);
                j < across.length && across[j] < segment.level() + TOO_NEAR;
                j++) {
            for (int i = start; i < along.length - 1 && along[i] < segment.high(); i++) {
                if (along[i + 1] > segment.low() && Math.abs(across[j] - segment.level()) < TOO_NEAR) {
                    add(isFlat ? flat : steep, isFlat, i, j, SHARING_COST);
                }
            }
        }
        int row = before(across, segment.level());
        if (row + 1 < across.length && across[row] <= segment.level() && segment.level() < across[row + 1]) {
            for (int i = start; i < along.length && along[i] < segment.high(); i++) {
                if (along[i] > segment.low()) {
                    add(isFlat ? steep : flat, isFlat, i, row, segment.end() ? END_CROSSING_COST : CROSSING_COST);
                }
            }
        }
    }

    private static void add(double[][] costs, boolean isFlat, int along, int across, double cost) {
        costs[isFlat ? along : across][isFlat ? across : along] += cost;
    }

    /** The last lane at or before a value, or the first lane. */
    private static int before(double[] lanes, double value) {
        int found = Arrays.binarySearch(lanes, value);
        return Math.max(0, found >= 0 ? found : -found - 2);
    }

    int width() {
        return xs.length;
    }

    int height() {
        return ys.length;
    }

    int column(double x) {
        return Arrays.binarySearch(xs, x);
    }

    int row(double y) {
        return Arrays.binarySearch(ys, y);
    }

    Point point(int column, int row) {
        return new Point(xs[column], ys[row]);
    }

    /** What a step between neighbouring points costs; infinite where there is no way. */
    double cost(int column, int row, int toColumn, int toRow) {
        int i = Math.min(column, toColumn);
        int j = Math.min(row, toRow);
        return row == toRow ? xs[i + 1] - xs[i] + flat[i][j] : ys[j + 1] - ys[j] + steep[i][j];
    }
}
