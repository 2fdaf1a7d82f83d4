package ableschema.diagram.picture;

import ableschema.core.design.Id;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.text.Face;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What stands on a card: an entity, or a table.
 *
 * @param kind what is written at its upper right
 * @param weak whether it is known only within another, which doubles its edge
 * @param key  the lines above the hairline
 * @param far  where lines lead that are not drawn, as they leave the district
 */
public record Card(
        Id id, String title, String kind, Ink ink, boolean weak, List<Entry> key, List<Entry> others, List<Entry> far) {

    static final double TITLE_SIZE = 14;
    static final double TEXT_SIZE = 13;
    static final double NOTE_SIZE = 11;
    static final double LEFT = 16;
    static final double RIGHT = 12;
    static final double TITLE_HEIGHT = 32;
    static final double LINE = 20;
    static final double GAP = 8;

    private static final double NARROWEST = 156;
    private static final double WIDEST = 320;

    public Card {
        key = List.copyOf(key);
        others = List.copyOf(others);
        far = List.copyOf(far);
    }

    /** A card of which all lines are drawn. */
    public Card(Id id, String title, String kind, Ink ink, boolean weak, List<Entry> key, List<Entry> others) {
        this(id, title, kind, ink, weak, key, others, List.of());
    }

    public Card leadingTo(List<Entry> far) {
        return new Card(id, title, kind, ink, weak, key, others, far);
    }

    /**
     * One line of a card.
     *
     * @param origin the attribute or relationship it comes from
     * @param note   its type, and where it refers to
     */
    public record Entry(Id origin, String name, String note, boolean underlined) {
        double width() {
            return Face.REGULAR.width(name, TEXT_SIZE) + 20 + Face.MONO.width(note, NOTE_SIZE);
        }
    }

    public double width() {
        double heading = Face.SEMIBOLD.width(title, TITLE_SIZE) + 16 + Face.REGULAR.width(kind, NOTE_SIZE);
        double widest = Stream.of(key, others, far)
                .flatMap(List::stream)
                .mapToDouble(Entry::width)
                .max()
                .orElse(0);
        double wanted = Math.max(NARROWEST, Math.max(heading, widest) + LEFT + RIGHT);
        return Math.ceil(Math.min(wanted, WIDEST) / 4) * 4;
    }

    public double height() {
        double own = TITLE_HEIGHT + key.size() * LINE + GAP + others.size() * LINE + GAP;
        return far.isEmpty() ? own : own + GAP / 2 + far.size() * LINE;
    }

    /** The line about another district that stands at a height below the upper edge, in full detail. */
    public Optional<Entry> farAt(double y) {
        double top = height() - GAP - far.size() * LINE;
        int line = (int) Math.floor((y - top) / LINE);
        return line >= 0 && line < far.size() && y >= top ? Optional.of(far.get(line)) : Optional.empty();
    }

    public Area at(double x, double y) {
        return new Area(x, y, width(), height());
    }
}
