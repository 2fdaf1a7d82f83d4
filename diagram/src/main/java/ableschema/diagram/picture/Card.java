package ableschema.diagram.picture;

import ableschema.core.design.Id;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.text.Face;
import java.util.List;
import java.util.stream.Stream;

/**
 * What stands on a card: an entity, or a table.
 *
 * @param kind what is written at its upper right
 * @param weak whether it is known only within another, which doubles its edge
 * @param key  the lines above the hairline
 */
public record Card(Id id, String title, String kind, Ink ink, boolean weak, List<Entry> key, List<Entry> others) {

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
        double widest = Stream.concat(key.stream(), others.stream())
                .mapToDouble(Entry::width)
                .max()
                .orElse(0);
        double wanted = Math.max(NARROWEST, Math.max(heading, widest) + LEFT + RIGHT);
        return Math.ceil(Math.min(wanted, WIDEST) / 4) * 4;
    }

    public double height() {
        return TITLE_HEIGHT + key.size() * LINE + GAP + others.size() * LINE + GAP;
    }

    public Area at(double x, double y) {
        return new Area(x, y, width(), height());
    }
}
