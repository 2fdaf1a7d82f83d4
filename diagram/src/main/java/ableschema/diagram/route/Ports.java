package ableschema.diagram.route;

import ableschema.core.design.Id;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;
import ableschema.diagram.route.Port.Side;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Gives each end of each wanted line a side of its card and a place on that side, in the order of the other ends. */
final class Ports {

    private static final double APART = 32;
    private static final double NEARLY_LEVEL = 28;
    private static final double HARDLY_OFF = 5;

    private final Map<Id, Area> cards;
    private final Map<Key, List<Use>> uses = new HashMap<>();

    private Ports(Map<Id, Area> cards) {
        this.cards = cards;
    }

    private record Key(Id card, Side side) {
        @Override
        public int hashCode() {
            return 4 * card.hashCode() + side.ordinal();
        }
    }

    /** One end of a line; {@code towards} orders the ends on a side. */
    private record Use(int line, boolean first, double towards) {}

    /** Both ports of each line. */
    record Pair(Port first, Port second) {
        /** Whether a line can go from one out and into the other without turning back. */
        boolean isFacing() {
            Point from = first.out();
            Point to = second.out();
            return first.side() == opposite(second.side())
                    && switch (first.side()) {
                        case RIGHT -> from.x() <= to.x();
                        case LEFT -> from.x() >= to.x();
                        case BOTTOM -> from.y() <= to.y();
                        case TOP -> from.y() >= to.y();
                    };
        }
    }

    static List<Pair> of(List<Route.Wanted> lines, Map<Id, Area> cards) {
        var ports = new Ports(cards);
        for (int i = 0; i < lines.size(); i++) {
            ports.choose(i, lines.get(i));
        }
        return ports.placed(lines.size());
    }

    private void choose(int line, Route.Wanted wanted) {
        Area first = cards.get(wanted.first());
        Area second = cards.get(wanted.second());
        if (wanted.first().equals(wanted.second())) {
            use(wanted.first(), Side.BOTTOM, new Use(line, true, -1e9));
            use(wanted.second(), Side.BOTTOM, new Use(line, false, -1e9 + 1));
            return;
        }
        double flatGap = Math.max(second.x() - first.right(), first.x() - second.right());
        double steepGap = Math.max(second.y() - first.bottom(), first.y() - second.bottom());
        boolean flat = flatGap >= APART && (flatGap >= steepGap || steepGap < APART || flatGap > 60);
        Side side;
        if (flat) {
            side = first.centreX() < second.centreX() ? Side.RIGHT : Side.LEFT;
        } else {
            side = first.centreY() < second.centreY() ? Side.BOTTOM : Side.TOP;
        }
        use(wanted.first(), side, new Use(line, true, side.isFlat() ? second.centreY() : second.centreX()));
        Side opposite = opposite(side);
        use(wanted.second(), opposite, new Use(line, false, side.isFlat() ? first.centreY() : first.centreX()));
    }

    private static Side opposite(Side side) {
        return switch (side) {
            case LEFT -> Side.RIGHT;
            case RIGHT -> Side.LEFT;
            case TOP -> Side.BOTTOM;
            case BOTTOM -> Side.TOP;
        };
    }

    private void use(Id card, Side side, Use use) {
        uses.computeIfAbsent(new Key(card, side), k -> new ArrayList<>(2)).add(use);
    }

    private List<Pair> placed(int count) {
        Port[] first = new Port[count];
        Port[] second = new Port[count];
        Set<Port> alone = Collections.newSetFromMap(new IdentityHashMap<>());
        uses.forEach((key, list) -> {
            list.sort(Comparator.comparingDouble(Use::towards).thenComparingInt(Use::line));
            for (int i = 0; i < list.size(); i++) {
                Use use = list.get(i);
                var port = new Port(cards.get(key.card()), key.side(), (i + 1.0) / (list.size() + 1));
                (use.first() ? first : second)[use.line()] = port;
                if (list.size() == 1) {
                    alone.add(port);
                }
            }
        });
        var pairs = new ArrayList<Pair>();
        for (int i = 0; i < count; i++) {
            pairs.add(levelled(new Pair(first[i], second[i]), alone));
        }
        return pairs;
    }

    /** Brings two facing ports that are nearly level onto one level, by moving one that is alone on its side. */
    private static Pair levelled(Pair pair, Set<Port> alone) {
        boolean facing = pair.first().side() == opposite(pair.second().side());
        double apart = Math.abs(level(pair.first()) - level(pair.second()));
        if (!facing || apart > NEARLY_LEVEL) {
            return pair;
        }
        if (alone.contains(pair.second()) || apart <= HARDLY_OFF) {
            return new Pair(pair.first(), pair.second().movedTo(level(pair.first())));
        }
        return alone.contains(pair.first())
                ? new Pair(pair.first().movedTo(level(pair.second())), pair.second())
                : pair;
    }

    private static double level(Port port) {
        return port.side().isFlat() ? port.edge().y() : port.edge().x();
    }
}
