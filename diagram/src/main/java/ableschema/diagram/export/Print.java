package ableschema.diagram.export;

import ableschema.core.design.Design;
import ableschema.core.document.Detail;
import ableschema.core.document.Document;
import ableschema.core.words.Sentences;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;
import ableschema.diagram.picture.Ink;
import ableschema.diagram.picture.Link;
import ableschema.diagram.picture.Mark;
import ableschema.diagram.picture.Picture;
import ableschema.diagram.text.Face;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A picture as it goes out to others.
 *
 * @param below sentences that stand under it, for those who do not read lines
 * @param title what it is a picture of
 * @param told  the same in sentences, for those who do not see it
 */
public record Print(Picture picture, Detail detail, List<String> below, String title, List<String> told) {

    private static final double LINE = 18;
    private static final double SIZE = 12;
    private static final double GAP = 24;

    public Print {
        below = List.copyOf(below);
        told = List.copyOf(told);
    }

    /** A picture of a document. */
    public static Print of(Document document, Picture picture, Detail detail) {
        List<String> said = said(document.design(), picture);
        String entities = picture.cards().values().stream()
                .map(card -> card.card().title())
                .collect(Collectors.joining(", "));
        String title = document.title().isEmpty() ? "Design" : document.title();
        return new Print(
                picture,
                detail,
                List.of(),
                document.diagram().isWhole()
                        ? title
                        : title + ": " + document.diagram().name(),
                Stream.concat(Stream.of(entities + "."), said.stream()).toList());
    }

    /** The same with its sentences under it. */
    public Print withSentences(Design design) {
        return new Print(picture, detail, said(design, picture), title, told);
    }

    private static List<String> said(Design design, Picture picture) {
        var words = new Sentences(design);
        return Stream.concat(
                        picture.lines().stream().map(line -> line.link().relationship()),
                        picture.far().stream().map(Link::relationship))
                .distinct()
                .flatMap(id -> design.relationship(id).stream())
                .map(words::of)
                .toList();
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
