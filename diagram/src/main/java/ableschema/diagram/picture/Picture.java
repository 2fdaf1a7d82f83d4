package ableschema.diagram.picture;

import ableschema.core.design.Id;
import ableschema.core.document.Detail;
import ableschema.core.document.District;
import ableschema.core.document.Notation;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;
import ableschema.diagram.route.Route;
import ableschema.diagram.text.Face;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A drawn view of a design.
 *
 * @param cards by the id of what they show
 * @param lines  all that is drawn under the cards
 * @param notation how the ends of lines are drawn
 * @param districts what it is divided into, around their cards
 * @param far the links that leave their district, which are named on the cards at their ends
 * @param farDrawn whether they are drawn, too, straight under the cards
 */
public record Picture(
        Map<Id, PlacedCard> cards,
        List<DrawnLink> lines,
        Notation notation,
        List<DrawnDistrict> districts,
        List<Link> far,
        boolean farDrawn) {

    public static final Picture NOTHING =
            new Picture(Map.of(), List.of(), Notation.CROWSFOOT, List.of(), List.of(), false);

    public Picture {
        lines = List.copyOf(lines);
        districts = List.copyOf(districts);
        far = List.copyOf(far);
    }

    /** The frame around the cards of a district, with its name above. */
    public record DrawnDistrict(District district, Area area) {
        /** How far the frame stands off its cards. */
        public static final double ROOM = 24;

        /** How much higher the frame is for the name. */
        public static final double TITLE = 48;

        private static final double TITLE_SIZE = 28;
        private static final double MOST_FROM_AFAR = 190;

        public List<Mark> marks() {
            Id origin = district.cards().get(0);
            return List.of(
                    new Mark.Box(origin, area, 14, Optional.empty(), Optional.of(Ink.HAIRLINE), 1.5),
                    new Mark.Label(
                            origin,
                            new Point(area.x() + 18, area.y() + 35),
                            Face.SEMIBOLD.fitting(district.name(), TITLE_SIZE, Math.max(60, area.width() - 36)),
                            Face.SEMIBOLD,
                            TITLE_SIZE,
                            Ink.MUTED));
        }

        /** The name so large, over the cards, that it can be read where they cannot. */
        public List<Mark> nameFromAfar() {
            Id origin = district.cards().get(0);
            double size = Math.max(TITLE_SIZE, Math.min(MOST_FROM_AFAR, sizeToFill()));
            double width = Face.SEMIBOLD.width(district.name(), size);
            double x = area.centreX() - width / 2;
            double y = area.centreY();
            return List.of(
                    new Mark.Box(
                            origin,
                            new Area(x - size / 4, y - size * 0.75, width + size / 2, size * 1.5),
                            size / 4,
                            Optional.of(Ink.PAPER),
                            Optional.empty(),
                            0),
                    new Mark.Label(
                            origin, new Point(x, y + size * 0.36), district.name(), Face.SEMIBOLD, size, Ink.INK));
        }

        private double sizeToFill() {
            return TITLE_SIZE * area.width() * 0.94 / Math.max(1, Face.SEMIBOLD.width(district.name(), TITLE_SIZE));
        }

        /** Where its name stands, by which it is chosen as a whole. */
        public Area title() {
            return new Area(area.x(), area.y(), area.width(), TITLE);
        }
    }

    /** A card and its place. */
    public record PlacedCard(Card card, Area area) {
        public List<Mark> marks(Detail detail) {
            return CardMarks.of(card, area, detail);
        }
    }

    /** A link, the way of its line, and all its marks. */
    public record DrawnLink(Link link, Route route, List<Mark> marks) {
        public DrawnLink {
            marks = List.copyOf(marks);
        }

        /** The corner points of its line. */
        public List<Point> points() {
            return route.points();
        }

        boolean isNear(Point point, double within) {
            List<Point> points = points();
            for (int i = 1; i < points.size(); i++) {
                if (distance(points.get(i - 1), points.get(i), point) <= within) {
                    return true;
                }
            }
            return marks.stream()
                    .anyMatch(mark ->
                            mark instanceof Mark.Label label && label.area().contains(point));
        }

        private static double distance(Point a, Point b, Point point) {
            double dx = b.x() - a.x();
            double dy = b.y() - a.y();
            double length = dx * dx + dy * dy;
            double along = length == 0
                    ? 0
                    : Math.max(0, Math.min(1, ((point.x() - a.x()) * dx + (point.y() - a.y()) * dy) / length));
            return Math.hypot(a.x() + along * dx - point.x(), a.y() + along * dy - point.y());
        }
    }

    /** The lines between districts, where they are drawn. */
    public List<Mark.Line> farMarks() {
        return farDrawn
                ? far.stream()
                        .flatMap(link -> FarLine.of(cards, link, Ink.EDGE).stream())
                        .toList()
                : List.of();
    }

    /** All marks in the order in which they are drawn. */
    public Stream<Mark> marks(Detail detail) {
        List<Mark> ofLinks =
                lines.stream().flatMap(line -> line.marks().stream()).toList();
        Stream<Mark> grounds = districts.stream().flatMap(district -> district.marks().stream());
        return Stream.concat(
                Stream.concat(
                        Stream.concat(
                                Stream.concat(grounds, farMarks().stream()),
                                ofLinks.stream().filter(mark -> !mark.isOverLines())),
                        ofLinks.stream().filter(Mark::isOverLines)),
                cards.values().stream().flatMap(card -> card.marks(detail).stream()));
    }

    /** What lies at a point: a card before a line; lines within {@code near} pixels count. */
    public Optional<Id> at(Point point, double near) {
        return cards.values().stream()
                .filter(card -> card.area().contains(point))
                .map(card -> card.card().id())
                .findFirst()
                .or(() -> lines.stream()
                        .filter(line -> line.isNear(point, near))
                        .map(line -> line.link().relationship())
                        .findFirst());
    }

    /** The smallest area that holds everything; nothing drawn gives an empty area. */
    public Area bounds() {
        Stream<Area> cardAreas = cards.values().stream().map(PlacedCard::area);
        Stream<Area> points = lines.stream()
                .map(DrawnLink::points)
                .flatMap(Collection::stream)
                .map(p -> new Area(p.x(), p.y(), 0, 0));
        Stream<Area> labels = lines.stream()
                .flatMap(line -> line.marks().stream())
                .filter(Mark.Label.class::isInstance)
                .map(mark -> ((Mark.Label) mark).area());
        Stream<Area> frames = districts.stream().map(DrawnDistrict::area);
        return Stream.of(cardAreas, points, labels, frames)
                .flatMap(areas -> areas)
                .reduce(Area::union)
                .orElse(new Area(0, 0, 0, 0));
    }
}
