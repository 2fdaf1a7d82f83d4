package ableschema.diagram.route;

import ableschema.core.design.Id;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.TreeSet;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Finds right-angled lines between cards. The lines run on a grid through the spaces around cards; each is the cheapest
 * path on it (A*), where length, bends, crossings and, most of all, running along another line cost. Short lines are
 * found first. A line that finds no way around goes straight through.
 */
public final class Router {

    private static final double CLEARANCE = 10;
    private static final double[] LANES = {14, 24, 34};
    private static final double BEND_COST = 40;
    private static final double CROSSING_COST = 25;
    private static final double SHARING_COST = 600;

    private final Map<Id, Area> cards;
    private final List<Segment> taken = new ArrayList<>();

    public Router(Map<Id, Area> cards) {
        this.cards = Map.copyOf(cards);
    }

    /** A stretch of a line that has been laid. */
    private record Segment(Point a, Point b) {
        boolean isFlat() {
            return a.y() == b.y();
        }

        double low() {
            return isFlat() ? Math.min(a.x(), b.x()) : Math.min(a.y(), b.y());
        }

        double high() {
            return isFlat() ? Math.max(a.x(), b.x()) : Math.max(a.y(), b.y());
        }

        double level() {
            return isFlat() ? a.y() : a.x();
        }

        boolean sharesWith(Segment other) {
            return isFlat() == other.isFlat()
                    && Math.abs(level() - other.level()) < 6
                    && low() < other.high()
                    && other.low() < high();
        }

        boolean crosses(Segment other) {
            return isFlat() != other.isFlat()
                    && level() > other.low()
                    && level() < other.high()
                    && other.level() > low()
                    && other.level() < high();
        }
    }

    /** Returns a route for each wanted line, in their order. */
    public List<Route> routes(List<Route.Wanted> lines) {
        List<Ports.Pair> ports = Ports.of(lines, cards);
        for (Ports.Pair pair : ports) {
            taken.add(new Segment(pair.first().edge(), pair.first().out()));
            taken.add(new Segment(pair.second().edge(), pair.second().out()));
        }
        Route[] routes = new Route[lines.size()];
        IntStream.range(0, lines.size())
                .boxed()
                .sorted(Comparator.comparingDouble(i -> distance(
                        ports.get(i).first().out(), ports.get(i).second().out())))
                .forEach(i -> {
                    routes[i] = route(ports.get(i));
                    lay(routes[i]);
                });
        return Arrays.asList(routes);
    }

    private static double distance(Point a, Point b) {
        return Math.abs(a.x() - b.x()) + Math.abs(a.y() - b.y());
    }

    private void lay(Route route) {
        for (int i = 1; i < route.points().size(); i++) {
            taken.add(new Segment(route.points().get(i - 1), route.points().get(i)));
        }
    }

    private Route route(Ports.Pair pair) {
        Point from = pair.first().out();
        Point to = pair.second().out();
        var path = new ArrayList<Point>();
        path.add(pair.first().edge());
        path.addAll(new Search(from, to, pair.first().side().isFlat()).path());
        path.add(pair.second().edge());
        return new Route(withoutStraight(path));
    }

    /** Leaves out points that lie on the way between their neighbours. */
    private static List<Point> withoutStraight(List<Point> path) {
        var corners = new ArrayList<Point>();
        for (Point point : path) {
            int size = corners.size();
            if (size >= 1 && corners.get(size - 1).equals(point)) {
                continue;
            }
            if (size >= 2 && isStraight(corners.get(size - 2), corners.get(size - 1), point)) {
                corners.remove(size - 1);
            }
            corners.add(point);
        }
        return corners;
    }

    private static boolean isStraight(Point a, Point b, Point c) {
        return (a.x() == b.x() && b.x() == c.x()) || (a.y() == b.y() && b.y() == c.y());
    }

    /** One A* search on the grid that the cards near the two points span. */
    private final class Search {

        private final Point from;
        private final Point to;
        private final boolean startsFlat;
        private final double[] xs;
        private final double[] ys;
        private final List<Area> obstacles = new ArrayList<>();
        private final Map<Long, Double> best = new HashMap<>();
        private final PriorityQueue<Step> open = new PriorityQueue<>(Comparator.comparingDouble(Step::estimate));

        /** A grid point reached in a direction. */
        private record Step(int x, int y, boolean flat, double cost, double estimate, @Nullable Step before) {}

        Search(Point from, Point to, boolean startsFlat) {
            this.from = from;
            this.to = to;
            this.startsFlat = startsFlat;
            var x = new TreeSet<>(List.of(from.x(), to.x(), Math.rint((from.x() + to.x()) / 2)));
            var y = new TreeSet<>(List.of(from.y(), to.y(), Math.rint((from.y() + to.y()) / 2)));
            Area reach = new Area(from.x(), from.y(), 0, 0)
                    .union(new Area(to.x(), to.y(), 0, 0))
                    .grown(420);
            for (Area card : cards.values()) {
                if (card.meets(reach)) {
                    obstacles.add(card.grown(CLEARANCE));
                    for (double lane : LANES) {
                        x.add(card.x() - lane);
                        x.add(card.right() + lane);
                        y.add(card.y() - lane);
                        y.add(card.bottom() + lane);
                    }
                }
            }
            this.xs = x.stream().mapToDouble(Double::doubleValue).toArray();
            this.ys = y.stream().mapToDouble(Double::doubleValue).toArray();
        }

        List<Point> path() {
            push(new Step(index(xs, from.x()), index(ys, from.y()), startsFlat, 0, 0, null));
            while (!open.isEmpty()) {
                Step step = open.poll();
                if (point(step).equals(to)) {
                    return points(step);
                }
                if (step.cost() <= best.getOrDefault(key(step), Double.MAX_VALUE)) {
                    extend(step);
                }
            }
            return List.of(from, new Point(to.x(), from.y()), to);
        }

        private void extend(Step step) {
            move(step, step.x() - 1, step.y(), true);
            move(step, step.x() + 1, step.y(), true);
            move(step, step.x(), step.y() - 1, false);
            move(step, step.x(), step.y() + 1, false);
        }

        private void move(Step step, int x, int y, boolean flat) {
            if (x < 0 || y < 0 || x >= xs.length || y >= ys.length) {
                return;
            }
            var segment = new Segment(point(step), new Point(xs[x], ys[y]));
            if (isBlocked(segment)) {
                return;
            }
            double cost = step.cost() + distance(segment.a(), segment.b()) + (flat == step.flat() ? 0 : BEND_COST);
            for (Segment other : taken) {
                if (segment.sharesWith(other)) {
                    cost += SHARING_COST;
                } else if (segment.crosses(other)) {
                    cost += CROSSING_COST;
                }
            }
            push(new Step(x, y, flat, cost, cost + distance(segment.b(), to), step));
        }

        private void push(Step step) {
            if (step.cost() < best.getOrDefault(key(step), Double.MAX_VALUE)) {
                best.put(key(step), step.cost());
                open.add(step);
            }
        }

        private boolean isBlocked(Segment segment) {
            Area area = new Area(
                    Math.min(segment.a().x(), segment.b().x()),
                    Math.min(segment.a().y(), segment.b().y()),
                    Math.abs(segment.a().x() - segment.b().x()),
                    Math.abs(segment.a().y() - segment.b().y()));
            return obstacles.stream().anyMatch(area::meets);
        }

        private long key(Step step) {
            return ((long) step.x() << 33) | ((long) step.y() << 1) | (step.flat() ? 1 : 0);
        }

        private Point point(Step step) {
            return new Point(xs[step.x()], ys[step.y()]);
        }

        private List<Point> points(Step end) {
            var points = new ArrayList<Point>();
            for (Step step = end; step != null; step = step.before()) {
                points.add(0, point(step));
            }
            return points;
        }

        private static int index(double[] values, double value) {
            return Arrays.binarySearch(values, value);
        }
    }
}
