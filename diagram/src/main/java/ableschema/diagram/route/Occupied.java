package ableschema.diagram.route;

import ableschema.diagram.geometry.Area;
import java.util.Collection;

/** The cards, and the stretches of line that have been laid so far, by where they are. */
final class Occupied {

    private final Cells<Area> cards = new Cells<>();
    private final Cells<Segment> segments = new Cells<>();

    void add(Area card) {
        cards.add(card, card);
    }

    void add(Segment segment) {
        segments.add(segment.area(), segment);
    }

    void remove(Segment segment) {
        segments.remove(segment.area(), segment);
    }

    Collection<Area> cards(Area area) {
        return cards.near(area);
    }

    Collection<Segment> segments(Area area) {
        return segments.near(area);
    }
}
