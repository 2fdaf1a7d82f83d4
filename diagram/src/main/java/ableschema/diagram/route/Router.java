package ableschema.diagram.route;

import ableschema.core.design.Id;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;
import ableschema.diagram.geometry.Surroundings;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CancellationException;
import java.util.function.IntConsumer;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Finds right-angled lines between cards. The lines run on a grid through the spaces around cards; each is the cheapest
 * path on it (A*), where length, bends, crossings and, most of all, running along another line cost. Short lines are
 * found first. A line that finds no way around goes straight through.
 */
public final class Router {

    private static final int ROUNDS = 3;

    private final Map<Id, Area> cards;
    private final List<Ports.Pair> ports;
    private final Route[] routes;
    private final List<Integer> open;
    private final Occupied laid = new Occupied();
    private final Set<Integer> crowded = new HashSet<>();

    public Router(Map<Id, Area> cards, List<Route.Wanted> lines) {
        this(cards, lines, List.of(), line -> null);
    }

    /**
     * Lines that a change of the cards does not touch keep their routes.
     *
     * @param changed where cards stand now that stood elsewhere, or nowhere, before
     * @param known   the route that the line at a place had then, null for a new one
     */
    public Router(
            Map<Id, Area> cards, List<Route.Wanted> lines, List<Area> changed, IntFunction<@Nullable Route> known) {
        this.cards = cards;
        this.ports = Ports.of(lines, cards);
        this.routes = kept(lines, ports, changed, known);
        this.open = IntStream.range(0, lines.size())
                .filter(i -> routes[i] == null)
                .boxed()
                .sorted(Comparator.comparingDouble(i -> distance(
                        ports.get(i).first().out(), ports.get(i).second().out())))
                .toList();
    }

    /** How many lines have no route yet. */
    public int open() {
        return open.size();
    }

    /** Whether the line at a place keeps the route that was known. */
    public boolean keeps(int line) {
        return routes[line] != null;
    }

    /**
     * Returns a route for each wanted line, in their order.
     *
     * @param progress told how many of the open lines have been laid
     * @throws CancellationException when the thread is interrupted
     */
    public List<Route> routes(IntConsumer progress) {
        layWhatStands(around(open.stream().map(ports::get).toList()));
        int done = 0;
        for (int i : open) {
            if (Thread.currentThread().isInterrupted()) {
                throw new CancellationException("stopped after " + done + " lines");
            }
            routes[i] = route(ports.get(i));
            lay(routes[i]);
            progress.accept(++done);
        }
        for (int round = 0; round < ROUNDS && mend(); round++) {
            // lines that were in the way may have moved aside
        }
        return Arrays.asList(routes);
    }

    /** The lines that keep their way; the places of the others are empty. */
    private static Route[] kept(
            List<Route.Wanted> lines, List<Ports.Pair> ports, List<Area> changed, IntFunction<@Nullable Route> known) {
        Route[] routes = new Route[lines.size()];
        for (int i = 0; i < routes.length; i++) {
            Ports.Pair pair = ports.get(i);
            Route route = known.apply(i);
            boolean keeps = route != null
                    && route.connects(pair.first().edge(), pair.second().edge())
                    && !runsThroughAny(route, changed);
            routes[i] = keeps ? route : null;
        }
        return routes;
    }

    private static boolean runsThroughAny(Route route, List<Area> areas) {
        for (Area area : areas) {
            if (route.runsThrough(area)) {
                return true;
            }
        }
        return false;
    }

    /** Takes note of cards, ends and kept lines, as far as a new line could come near them. */
    private void layWhatStands(Surroundings near) {
        cards.values().stream().filter(near::touch).forEach(laid::add);
        for (int i = 0; i < routes.length; i++) {
            if (routes[i] != null && !near.touch(routes[i].bounds())) {
                continue;
            }
            Ports.Pair pair = ports.get(i);
            lay(new Segment(pair.first().edge(), pair.first().out(), true), near);
            lay(new Segment(pair.second().edge(), pair.second().out(), true), near);
            if (routes[i] != null) {
                routes[i].segments().forEach(segment -> lay(segment, near));
            }
        }
    }

    private void lay(Segment segment, Surroundings near) {
        if (near.touch(segment.area())) {
            laid.add(segment);
        }
    }

    /** Where the new lines may look for their way. */
    private static Surroundings around(List<Ports.Pair> open) {
        return new Surroundings(
                open.stream()
                        .map(pair -> pair.first().out().to(pair.second().out()))
                        .toList(),
                Grid.WIDE_REACH + 400);
    }

    /** Takes up the lines that run along others, or over their ends, and lays them anew; says whether there were any. */
    private boolean mend() {
        List<Integer> bad = open.stream()
                .filter(i -> !crowded.contains(i) && isInTheWay(routes[i]))
                .toList();
        for (int i : bad) {
            takeUp(routes[i]);
            Route again = route(ports.get(i));
            if (again.equals(routes[i])) {
                crowded.add(i);
            }
            routes[i] = again;
            lay(again);
        }
        return !bad.isEmpty();
    }

    private boolean isInTheWay(Route route) {
        List<Segment> own = route.segments();
        return own.stream().anyMatch(segment -> laid.segments(segment.area().grown(Grid.TOO_NEAR)).stream()
                .anyMatch(other -> segment.crossesEnd(other)
                        || (!other.end() && !own.contains(other) && segment.runsAlong(other))));
    }

    private static double distance(Point a, Point b) {
        return Math.abs(a.x() - b.x()) + Math.abs(a.y() - b.y());
    }

    private void lay(Route route) {
        route.segments().forEach(laid::add);
    }

    private void takeUp(Route route) {
        route.segments().forEach(laid::remove);
    }

    private Route route(Ports.Pair pair) {
        var path = new ArrayList<Point>();
        path.add(pair.first().edge());
        path.addAll(way(pair));
        path.add(pair.second().edge());
        return new Route(withoutStraight(path));
    }

    /** Tries the simple way first, then searches near the two ends, and where all of that is taken, farther away. */
    private List<Point> way(Ports.Pair pair) {
        Point from = pair.first().out();
        Point to = pair.second().out();
        boolean flat = pair.first().side().isFlat();
        Optional<List<Point>> simple = pair.isFacing() ? new Zigzag(laid, from, to, flat).path() : Optional.empty();
        if (simple.isPresent()) {
            return simple.get();
        }
        Search.Found found = new Search(Grid.near(from, to, laid), from, to).path(flat);
        if (!found.isClear()) {
            Search.Found wider = new Search(Grid.wide(from, to, laid), from, to).path(flat);
            return wider.cost() < found.cost() ? wider.points() : found.points();
        }
        return found.points();
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
}
