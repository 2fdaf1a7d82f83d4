package ableschema.diagram.route;

import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;
import java.util.Arrays;
import java.util.List;
import java.util.TreeSet;

/**
 * The lanes between the cards around two points, horizontal and vertical. Each stretch between two neighbouring lanes is
 * free or blocked by a card, and costs more where it runs along a line that has been laid, or crosses one.
 */
final class Grid {

    static final double CLEARANCE = 10;
    private static final double[] LANES = {14, 24, 34};
    private static final double[] FINE_LANES = {11, 18, 25, 32, 39, 46, 53, 60, 67};
    private static final double LANES_APART = 3;
    private static final int MANY_CARDS = 160;
    private static final double REACH = 320;
    static final double WIDE_REACH = 700;
    static final double TOO_NEAR = 6;
    static final double TOO_NEAR_AN_END = 12;
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
    static Grid near(Point from, Point to, Occupied laid) {
        return new Grid(from, to, laid, LANES, REACH);
    }

    /** More lanes, and farther around. */
    static Grid wide(Point from, Point to, Occupied laid) {
        return new Grid(from, to, laid, FINE_LANES, WIDE_REACH);
    }

    private Grid(Point from, Point to, Occupied laid, double[] lanes, double around) {
        var x = new TreeSet<>(List.of(from.x(), to.x(), Math.rint((from.x() + to.x()) / 2)));
        var y = new TreeSet<>(List.of(from.y(), to.y(), Math.rint((from.y() + to.y()) / 2)));
        Area reach = new Area(from.x(), from.y(), 0, 0)
                .union(new Area(to.x(), to.y(), 0, 0))
                .grown(around);
        List<Area> near = laid.cards(reach).stream().filter(reach::meets).toList();
        double[] used = near.size() > MANY_CARDS ? new double[] {lanes[0]} : lanes;
        for (Area card : near) {
            for (double lane : used) {
                add(x, card.x() - lane);
                add(x, card.right() + lane);
                add(y, card.y() - lane);
                add(y, card.bottom() + lane);
            }
        }
        xs = x.stream().mapToDouble(Double::doubleValue).toArray();
        ys = y.stream().mapToDouble(Double::doubleValue).toArray();
        flat = new double[xs.length][ys.length];
        steep = new double[xs.length][ys.length];
        near.forEach(card -> block(card.grown(CLEARANCE)));
        for (Segment segment : laid.segments(reach)) {
            if (segment.isFlat()) {
                charge(segment, xs, ys, true);
            } else {
                charge(segment, ys, xs, false);
            }
        }
    }

    /** Lanes closer together than this are as good as one. */
    private static void add(TreeSet<Double> lanes, double lane) {
        Double below = lanes.floor(lane);
        Double above = lanes.ceiling(lane);
        boolean apart =
                (below == null || lane - below >= LANES_APART) && (above == null || above - lane >= LANES_APART);
        if (apart) {
            lanes.add(lane);
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

    /** How near to a segment another may not run along it. */
    static double tooNear(Segment segment) {
        return segment.end() ? TOO_NEAR_AN_END : TOO_NEAR;
    }

    /** Charges for running along a laid segment, and for crossing it. */
    private void charge(Segment segment, double[] along, double[] across, boolean isFlat) {
        int start = before(along, segment.low());
        double tooNear = tooNear(segment);
        for (int j = before(across, segment.level() - tooNear);
                j < across.length && across[j] < segment.level() + tooNear;
                j++) {
            for (int i = start; i < along.length - 1 && along[i] < segment.high(); i++) {
                if (along[i + 1] > segment.low() && Math.abs(across[j] - segment.level()) < tooNear) {
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
