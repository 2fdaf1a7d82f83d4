package ableschema.diagram.picture;

import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Surroundings;
import ableschema.diagram.route.Route;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;

/** Where nothing may be written: on cards, on what has been written, and if it can be helped on lines. */
final class Room {

    private static final double AROUND = 200;

    private final Surroundings around;
    private final List<Area> cards;
    private final List<Area> written = new ArrayList<>();
    private final List<Stretch> stretches = new ArrayList<>();

    /** A straight stretch of a line. */
    private record Stretch(Route route, Area area) {}

    /** @param open the lines beside which something is to be written; what is far from all of them is left out */
    Room(Collection<Area> cards, List<Route> routes, List<Route> open) {
        around = new Surroundings(open.stream().map(Route::bounds).toList(), AROUND);
        this.cards = cards.stream().filter(around::touch).toList();
        for (Route route : routes) {
            if (around.touch(route.bounds())) {
                route.stretches().forEach(stretch -> stretches.add(new Stretch(route, stretch)));
            }
        }
    }

    /** Whether something written along a line that stays could be in the way. */
    boolean isNear(Route route) {
        return around.touch(route.bounds().grown(AROUND));
    }

    void take(Area area) {
        if (around.touch(area)) {
            written.add(area);
        }
    }

    /** What lies near a line, so that its many possible places need not look at everything. */
    Near near(Route route) {
        Area reach = route.bounds().grown(AROUND);
        return new Near(
                cards.stream().filter(reach::meets).toList(),
                written.stream().filter(reach::meets).toList(),
                stretches.stream()
                        .filter(stretch -> stretch.route() != route && reach.meets(stretch.area()))
                        .map(Stretch::area)
                        .toList());
    }

    /** The surroundings of one line. */
    record Near(List<Area> cards, List<Area> written, List<Area> lines) {
        boolean isFree(Area area) {
            return isOffCards(area) && written.stream().noneMatch(area::meets);
        }

        boolean isOffLines(Area area) {
            return lines.stream().noneMatch(area::meets);
        }

        boolean isOffCards(Area area) {
            return cards.stream().noneMatch(area::meets);
        }
    }
}
