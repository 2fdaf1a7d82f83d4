package ableschema.diagram.picture;

import ableschema.core.design.Cardinality;
import ableschema.core.design.Id;
import ableschema.core.document.Notation;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;
import ableschema.diagram.picture.Picture.DrawnLink;
import ableschema.diagram.route.Route;
import ableschema.diagram.text.Face;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;

/** Draws a link along its route: the line, its ends in the notation, and its verb where there is room. */
final class LinkMarks {

    private static final double BEND = 8;
    private static final double WIDTH = 1.4;
    private static final double FOOT = 12;
    /** How far off its line stands what is written at an end that has no signs, or has them. */
    private static final double BESIDE_LINE = 5;

    private static final double BESIDE_SIGNS = 10;

    /** How far along the line the signs of an end reach. */
    private static final double SIGNS = 22;

    private static final double VERB_SIZE = 12;
    private static final double SMALL_DIAMOND = 14;

    /** The widths to which a verb is shortened, one after the other, until there is room for it. */
    private static final double[] VERB_WIDTHS = {160, 72, 44};

    private final Link link;
    private final List<Point> points;
    private final Id id;
    private final Route route;
    private final Room room;
    private final List<Mark> marks = new ArrayList<>();

    private LinkMarks(Link link, Route route, Room room) {
        this.link = link;
        this.points = route.points();
        this.id = link.relationship();
        this.route = route;
        this.room = room;
    }

    /**
     * Draws the line and its ends; {@link #named} adds the verb when the ends of all lines stand.
     *
     * @param room where nothing may be written; grows by what is written
     */
    static LinkMarks of(Link link, Route route, Notation notation, Room room) {
        var drawing = new LinkMarks(link, route, room);
        drawing.line(drawing.points, BEND);
        if (link.kind()) {
            drawing.fork();
            return drawing;
        }
        int last = drawing.points.size() - 1;
        drawing.end(link.first().cardinality(), drawing.points.get(0), drawing.points.get(1), notation, "n");
        drawing.end(
                link.second().cardinality(),
                drawing.points.get(last),
                drawing.points.get(last - 1),
                notation,
                link.first().cardinality().isMany() ? "m" : "n");
        return drawing;
    }

    /** Writes the verb where there is room and gives all marks. */
    DrawnLink named(Notation notation) {
        verb(notation == Notation.CHEN);
        return new DrawnLink(link, route, marks);
    }

    /** Keeps the room of what is written along a line that stays, and of the signs at its ends. */
    static void take(DrawnLink line, Room room) {
        if (!room.isNear(line.route())) {
            return;
        }
        for (Mark mark : line.marks()) {
            if (mark instanceof Mark.Label label) {
                room.take(label.area());
            }
        }
        List<Point> points = line.points();
        int last = points.size() - 1;
        room.take(Axis.of(points.get(0), points.get(1)).room());
        room.take(Axis.of(points.get(last), points.get(last - 1)).room());
    }

    private void line(List<Point> through, double radius) {
        marks.add(new Mark.Line(id, through, radius, Ink.MUTED, WIDTH, Optional.empty()));
    }

    /** @param card where the line meets the card; {@code towards} gives the direction away from it */
    private void end(Cardinality cardinality, Point card, Point towards, Notation notation, String many) {
        Axis axis = Axis.of(card, towards);
        room.take(axis.room());
        if (notation == Notation.CROWSFOOT) {
            crowsFoot(cardinality, axis);
            if (!isUsual(cardinality)) {
                note(cardinality.toString(), axis, BESIDE_SIGNS, SIGNS);
            }
        } else {
            String text = notation == Notation.MINMAX ? cardinality.toString() : cardinality.isMany() ? many : "1";
            note(text, axis, BESIDE_LINE, 0);
        }
    }

    /** What is a kind of something hangs from it by a fork. */
    private void fork() {
        Axis axis = Axis.of(points.get(0), points.get(1));
        room.take(axis.room());
        line(List.of(axis.at(0, 6), axis.at(FOOT, 6), axis.at(FOOT, -6), axis.at(0, -6)), 0);
    }

    private static boolean isUsual(Cardinality cardinality) {
        return cardinality.min() <= 1 && (cardinality.max() == 1 || cardinality.max() == Cardinality.MANY);
    }

    /** The way out of a card: {@code along} runs away from it, {@code across} to the side. */
    private record Axis(Point card, double dx, double dy) {
        static Axis of(Point card, Point towards) {
            return new Axis(card, Math.signum(towards.x() - card.x()), Math.signum(towards.y() - card.y()));
        }

        /** What the signs of an end need. */
        Area room() {
            return at(0, -7).to(at(SIGNS, 7));
        }

        Point at(double along, double across) {
            return new Point(card.x() + dx * along - dy * across, card.y() + dy * along + dx * across);
        }
    }

    private void crowsFoot(Cardinality cardinality, Axis axis) {
        if (cardinality.isMany()) {
            line(List.of(axis.at(0, 6), axis.at(FOOT, 0), axis.at(0, -6)), 0);
        } else {
            bar(axis, 8);
        }
        if (cardinality.isMandatory()) {
            bar(axis, cardinality.isMany() ? FOOT + 3 : 13);
        } else {
            double at = cardinality.isMany() ? FOOT + 4 : 16;
            marks.add(new Mark.Circle(id, axis.at(at, 0), 4, Ink.MUTED, WIDTH));
        }
    }

    private void bar(Axis axis, double along) {
        line(List.of(axis.at(along, 5), axis.at(along, -5)), 0);
    }

    /**
     * Writes beside the end of a line, on the side of it where there is room.
     *
     * @param beside how far off the line
     * @param after  where on the line it stands if there is no room beside: not on the signs of the end
     */
    private void note(String text, Axis axis, double beside, double after) {
        double width = Face.REGULAR.width(text, Card.NOTE_SIZE);
        Room.Near near = room.near(route);
        List<Mark.Label> places = notePlaces(axis, width, beside)
                .map(start -> new Mark.Label(id, start, text, Face.REGULAR, Card.NOTE_SIZE, Ink.MUTED))
                .toList();
        Mark.Label label = places.stream()
                .filter(place -> near.isFree(place.area()) && near.isOffLines(place.area()))
                .findFirst()
                .orElseGet(() -> onLine(text, axis, width, after, near));
        room.take(label.area());
        marks.add(label);
    }

    /** Where lines leave a card close to each other, the line is broken for what is written at its end. */
    private Mark.Label onLine(String text, Axis axis, double width, double after, Room.Near near) {
        double half = (axis.dx() == 0 ? Card.NOTE_SIZE : width) / 2;
        List<Mark.Label> places = DoubleStream.of(4, 1, 7, 10)
                .mapToObj(away -> axis.at(after + away + half, 0))
                .map(middle -> new Point(middle.x() - width / 2, middle.y() + 4))
                .map(start -> new Mark.Label(id, start, text, Face.REGULAR, Card.NOTE_SIZE, Ink.MUTED))
                .toList();
        Mark.Label label = places.stream()
                .filter(place -> near.isOffLines(place.area()))
                .findFirst()
                .orElse(places.get(0));
        Area ground = new Area(label.start().x() - 1, label.start().y() - 10, width + 2, 12);
        marks.add(new Mark.Box(id, ground, 0, Optional.of(Ink.PAPER), Optional.empty(), 0));
        return label;
    }

    private static Stream<Point> notePlaces(Axis axis, double width, double beside) {
        double x = axis.card().x();
        double y = axis.card().y();
        if (axis.dx() != 0) {
            double left = axis.dx() > 0 ? x + 5 : x - 5 - width;
            double further = left + axis.dx() * FOOT;
            return Stream.of(
                    new Point(left, y - beside),
                    new Point(left, y + beside + 9),
                    new Point(further, y - beside),
                    new Point(further, y + beside + 9));
        }
        double base = axis.dy() > 0 ? y + 14 : y - 6;
        return Stream.of(base, base + axis.dy() * FOOT)
                .flatMap(b -> Stream.of(new Point(x + beside, b), new Point(x - beside - width, b)));
    }

    /**
     * What stands along a line.
     *
     * @param verb what reads along it, to the right or downwards
     * @param back what reads the other way, behind a sign that points there
     */
    private record Written(String verb, String back, String detail) {
        static final Written NOTHING = new Written("", "", "");
        private static final double LINE = 14;

        boolean isEmpty() {
            return verb.isEmpty() && detail.isEmpty();
        }

        double width() {
            double phrases = Math.max(Face.ITALIC.width(verb, VERB_SIZE), Face.ITALIC.width(back, VERB_SIZE));
            return Math.max(phrases, Face.REGULAR.width(detail, Card.NOTE_SIZE));
        }

        double height() {
            return 16 + below() * LINE;
        }

        /** How many lines stand below the first. */
        long below() {
            return Stream.of(back, detail).filter(text -> !text.isEmpty()).count();
        }
    }

    /**
     * The verbs of both directions, so wide at most; the second one only where it is wanted. One that is alone, and reads against the
     * line, has a sign that says so.
     */
    private Written written(double most, boolean both, boolean diamond) {
        Point start = points.get(0);
        Point end = points.get(points.size() - 1);
        boolean forward = start.x() < end.x() || (start.x() == end.x() && start.y() <= end.y());
        boolean upright = Math.abs(start.x() - end.x()) < Math.abs(start.y() - end.y()) / 2;
        String sign = upright ? "↑ " : "‹ ";
        boolean alone = !forward && link.inverse().isEmpty() && !link.verb().isEmpty();
        String along = forward ? link.verb() : alone ? (diamond ? "" : sign) + link.verb() : link.inverse();
        String back = forward ? link.inverse() : alone ? "" : link.verb();
        return new Written(
                Face.ITALIC.fitting(along, VERB_SIZE, most),
                both && !back.isEmpty() ? Face.ITALIC.fitting(sign + back, VERB_SIZE, most) : "",
                Face.REGULAR.fitting(link.detail(), Card.NOTE_SIZE, most + 20));
    }

    /** Both verbs where there is room, else one, shortened if need be; one that finds no place at all is left out. */
    private void verb(boolean diamond) {
        var spots = new Spots(points, link.isLoop(), room.near(route));
        if (!diamond && place(written(VERB_WIDTHS[0], true, false), spots, false)) {
            return;
        }
        for (double most : VERB_WIDTHS) {
            Written one = written(most, false, diamond);
            if ((one.isEmpty() && !diamond) || place(one, spots, diamond)) {
                return;
            }
        }
        if (diamond) {
            // with no room for a diamond around the verb, a small one stands on the line and the verb beside it
            spots.free(SMALL_DIAMOND * 1.4, SMALL_DIAMOND, true).ifPresent(spot -> write(Written.NOTHING, spot, true));
            verb(false);
        }
    }

    /** Writes where there is room; says whether there was. */
    private boolean place(Written written, Spots spots, boolean diamond) {
        double width = diamond ? written.width() * 1.5 + 12 : written.width() + 8;
        double height = diamond ? written.height() * 2 + 4 : written.height();
        Optional<Spots.Spot> spot =
                written.isEmpty() && !diamond ? Optional.empty() : spots.free(width, height, diamond);
        spot.ifPresent(found -> write(written, found, diamond));
        return spot.isPresent();
    }

    private void write(Written written, Spots.Spot spot, boolean diamond) {
        Area place = spot.area();
        room.take(place);
        if (diamond) {
            diamond(place);
        } else if (spot.onLine()) {
            marks.add(new Mark.Box(id, place, 0, Optional.of(Ink.PAPER), Optional.empty(), 0));
        }
        double base = place.centreY() - written.below() * Written.LINE / 2 + 4;
        label(written.verb(), Face.ITALIC, VERB_SIZE, place.centreX(), base);
        if (!written.back().isEmpty()) {
            base += Written.LINE;
            label(written.back(), Face.ITALIC, VERB_SIZE, place.centreX(), base);
        }
        label(written.detail(), Face.REGULAR, Card.NOTE_SIZE, place.centreX(), base + Written.LINE);
    }

    private void label(String text, Face face, double size, double centre, double base) {
        if (!text.isEmpty()) {
            Point start = new Point(centre - face.width(text, size) / 2, base);
            marks.add(new Mark.Label(id, start, text, face, size, Ink.MUTED));
        }
    }

    private void diamond(Area place) {
        List<Point> corners = List.of(
                new Point(place.x(), place.centreY()),
                new Point(place.centreX(), place.y()),
                new Point(place.right(), place.centreY()),
                new Point(place.centreX(), place.bottom()),
                new Point(place.x(), place.centreY()));
        marks.add(new Mark.Line(id, corners, 0, Ink.MUTED, WIDTH, Optional.of(Ink.PAPER)));
    }
}
