package ableschema.diagram.paint;

import ableschema.diagram.geometry.Area;
import ableschema.diagram.picture.Mark;
import java.util.List;

/** What is to be painted, in its order, each part with the area outside of which it leaves nothing. */
public record Painting(List<Part> parts, Palette palette) {

    public static final Painting NOTHING = new Painting(List.of(), Palette.LIGHT);

    public Painting {
        parts = List.copyOf(parts);
    }

    /**
     * Marks that are painted together.
     *
     * @param opacity from 0 to 1
     */
    public record Part(Area bounds, List<Mark> marks, double opacity) {}
}
