package ableschema.diagram.export;

import ableschema.core.document.Detail;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;
import ableschema.diagram.picture.Ink;
import ableschema.diagram.picture.Mark;
import ableschema.diagram.picture.Picture;
import ableschema.diagram.text.Face;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A picture as it goes out to others.
 *
 * @param below sentences that stand under it, for those who do not read lines
 */
public record Print(Picture picture, Detail detail, List<String> below) {

    private static final double LINE = 18;
    private static final double SIZE = 12;
    private static final double GAP = 24;

    public Print {
        below = List.copyOf(below);
    }

    /** A picture with nothing under it. */
    public static Print of(Picture picture, Detail detail) {
        return new Print(picture, detail, List.of());
    }

    Area area() {
        return labels().map(Mark.Label::area).reduce(picture.bounds(), Area::union);
    }

    Stream<Mark> marks() {
        return Stream.concat(picture.marks(detail), labels());
    }

    private Stream<Mark.Label> labels() {
        Area bounds = picture.bounds();
        // an origin is asked for by every mark; these come from the picture as a whole, so its first card stands for it
        return picture.cards().keySet().stream().findFirst().stream().flatMap(origin -> IntStream.range(0, below.size())
                .mapToObj(i -> new Mark.Label(
                        origin,
                        new Point(bounds.x(), bounds.bottom() + GAP + (i + 1) * LINE),
                        below.get(i),
                        Face.REGULAR,
                        SIZE,
                        Ink.INK)));
    }
}
