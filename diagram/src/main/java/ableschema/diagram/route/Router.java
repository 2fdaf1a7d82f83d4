package ableschema.diagram.route;

import ableschema.core.design.Id;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * Finds right-angled lines between cards. The lines run on a grid through the spaces around cards; each is the cheapest
 * path on it (A*), where length, bends, crossings and, most of all, running along another line cost. Short lines are
 * found first. A line that finds no way around goes straight through.
 */
public final class Router {

    private final Map<Id, Area> cards;
    private final List<Segment> taken = new ArrayList<>();

    public Router(Map<Id, Area> cards) {
        this.cards = Map.copyOf(cards);
    }

    /** Returns a route for each wanted line, in their order. */
    public List<Route> routes(List<Route.Wanted> lines) {
        return routes(lines, Map.of(), Map.of());
    }

    /**
     * Returns a route for each wanted line, in their order; lines that a change of the cards does not touch keep theirs.
     *
     * @param before where the cards stood
     * @param known  the routes of the lines then
     */
    public List<Route> routes(List<Route.Wanted> lines, Map<Id, Area> before, Map<Route.Wanted, Route> known) {
        List<Ports.Pair> ports = Ports.of(lines, cards);
        List<Area> changed = changed(before);
        Route[] routes = new Route[lines.size()];
        for (int i = 0; i < lines.size(); i++) {
            Route route = known.get(lines.get(i));
            if (route != null
                    && route.connects(
                            ports.get(i).first().edge(), ports.get(i).second().edge())
                    && changed.stream().noneMatch(route::runsThrough)) {
                routes[i] = route;
                lay(route);
            } else {
                taken.add(new Segment(
                        ports.get(i).first().edge(), ports.get(i).first().out()));
                taken.add(new Segment(
                        ports.get(i).second().edge(), ports.get(i).second().out()));
            }
        }
        IntStream.range(0, lines.size())
                .filter(i -> routes[i] == null)
                .boxed()
                .sorted(Comparator.comparingDouble(i -> distance(
                        ports.get(i).first().out(), ports.get(i).second().out())))
                .forEach(i -> {
                    routes[i] = route(ports.get(i));
                    lay(routes[i]);
                });
        return Arrays.asList(routes);
    }

    /** Where cards stand now that stood elsewhere, or nowhere, before. */
    private List<Area> changed(Map<Id, Area> before) {
        return cards.entrySet().stream()
                .filter(card -> !card.getValue().equals(before.get(card.getKey())))
                .map(Map.Entry::getValue)
                .toList();
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
        path.addAll(new Search(new Grid(from, to, cards.values(), taken), from, to)
                .path(pair.first().side().isFlat()));
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
}
