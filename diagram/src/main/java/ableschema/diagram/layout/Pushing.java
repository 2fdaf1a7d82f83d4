package ableschema.diagram.layout;

import ableschema.core.design.Id;
import ableschema.diagram.geometry.Area;
import java.util.ArrayDeque;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;

/** Makes room for a card that grew, or is new: what it would cover moves out of its way, by no more than it has to. */
public final class Pushing {

    /** Between what was pushed and what pushed it lines have room; what only comes this close is left where it is. */
    private static final double ROOM = 64;

    private static final double CLOSE = 12;
    private static final double GRID = 4;
    private static final int MOST_STEPS = 20_000;

    private final Map<Id, Area> cards;
    private final Set<Id> fixed;
    private final Map<Id, Area> moved = new HashMap<>();
    private final Map<Id, Way> ways = new HashMap<>();

    private Pushing(Map<Id, Area> cards, Set<Id> fixed) {
        this.cards = cards;
        this.fixed = fixed;
    }

    /**
     * Where cards stand afterwards; only those that move are named.
     *
     * @param cards where they stand now
     * @param grown the cards that take more room than before, and stay where they are
     * @param fixed the cards that stay whatever comes; one of these in the way is covered
     */
    public static Map<Id, Area> moved(Map<Id, Area> cards, Set<Id> grown, Set<Id> fixed) {
        var pushing = new Pushing(cards, fixed);
        pushing.push(grown);
        return Map.copyOf(pushing.moved);
    }

    private Area now(Id card) {
        Area area = moved.get(card);
        return area == null ? cards.getOrDefault(card, new Area(0, 0, 0, 0)) : area;
    }

    /** What was moved pushes in its turn, and always farther the way that it went itself, so that this ends. */
    private void push(Set<Id> grown) {
        var pending = new ArrayDeque<Id>(grown);
        for (int steps = 0; !pending.isEmpty() && steps < MOST_STEPS; steps++) {
            Id by = pending.poll();
            // what grew must cover something to push it, as somebody may have put the two side by side
            Area taken = grown.contains(by) ? now(by) : now(by).grown(CLOSE - 1);
            for (Id each : cards.keySet()) {
                boolean stays = each.equals(by) || fixed.contains(each) || grown.contains(each);
                if (!stays && now(each).meets(taken)) {
                    Way way = ways.getOrDefault(by, wayFrom(now(by), now(each)));
                    ways.put(each, way);
                    moved.put(each, way.aside(now(each), now(by)));
                    pending.add(each);
                }
            }
        }
    }

    /** Away from the other, on the side on which the card mostly stands already, whichever is nearer. */
    private static Way wayFrom(Area by, Area card) {
        Way across = card.centreX() >= by.centreX() ? Way.RIGHT : Way.LEFT;
        Way along = card.centreY() >= by.centreY() ? Way.DOWN : Way.UP;
        return across.distance(card, by) <= along.distance(card, by) ? across : along;
    }

    private enum Way {
        RIGHT,
        LEFT,
        DOWN,
        UP;

        Area aside(Area card, Area by) {
            return switch (this) {
                case RIGHT -> new Area(snapped(by.right() + ROOM, 1), card.y(), card.width(), card.height());
                case LEFT -> new Area(snapped(by.x() - ROOM - card.width(), -1), card.y(), card.width(), card.height());
                case DOWN -> new Area(card.x(), snapped(by.bottom() + ROOM, 1), card.width(), card.height());
                case UP -> new Area(card.x(), snapped(by.y() - ROOM - card.height(), -1), card.width(), card.height());
            };
        }

        double distance(Area card, Area by) {
            Area aside = aside(card, by);
            return Math.abs(aside.x() - card.x()) + Math.abs(aside.y() - card.y());
        }
    }

    /** On the grid, and never a little less far. */
    private static double snapped(double value, double direction) {
        return GRID * (direction > 0 ? Math.ceil(value / GRID) : Math.floor(value / GRID));
    }
}
