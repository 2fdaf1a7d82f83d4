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
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Draws a link along its route: the line, its ends in the notation, and its verb where there is room. */
final class LinkMarks {

    private static final double BEND = 8;
    private static final double WIDTH = 1.4;
    private static final double FOOT = 12;
    private static final double VERB_SIZE = 12;
    private static final double ENDS = 26;
    private static final Function<Area, Spot> SIDE = area -> new Spot(area, false);

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

    /** @param room where nothing may be written; grows by what is written */
    static DrawnLink of(Link link, Route route, Notation notation, Room room) {
        var drawing = new LinkMarks(link, route, room);
        drawing.line(drawing.points, BEND);
        int last = drawing.points.size() - 1;
        drawing.end(link.first().cardinality(), drawing.points.get(0), drawing.points.get(1), notation, "n");
        drawing.end(
                link.second().cardinality(),
                drawing.points.get(last),
                drawing.points.get(last - 1),
                notation,
                link.first().cardinality().isMany() ? "m" : "n");
        drawing.verb(notation == Notation.CHEN);
        return new DrawnLink(link, drawing.points, drawing.marks);
    }

    private void line(List<Point> through, double radius) {
        marks.add(new Mark.Line(id, through, radius, Ink.MUTED, WIDTH, Optional.empty()));
    }

    /** @param card where the line meets the card; {@code towards} gives the direction away from it */
    private void end(Cardinality cardinality, Point card, Point towards, Notation notation, String many) {
        double dx = Math.signum(towards.x() - card.x());
        double dy = Math.signum(towards.y() - card.y());
        var axis = new Axis(card, dx, dy);
        Point inner = axis.at(0, -7);
        Point outer = axis.at(22, 7);
        room.take(new Area(inner.x(), inner.y(), 0, 0).union(new Area(outer.x(), outer.y(), 0, 0)));
        if (notation == Notation.CROWSFOOT) {
            crowsFoot(cardinality, axis);
            if (!isUsual(cardinality)) {
                note(cardinality.toString(), axis);
            }
        } else {
            note(notation == Notation.MINMAX ? cardinality.toString() : cardinality.isMany() ? many : "1", axis);
        }
    }

    private static boolean isUsual(Cardinality cardinality) {
        return cardinality.min() <= 1 && (cardinality.max() == 1 || cardinality.max() == Cardinality.MANY);
    }

    /** The way out of a card: {@code along} runs away from it, {@code across} to the side. */
    private record Axis(Point card, double dx, double dy) {
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

    private void note(String text, Axis axis) {
        double width = Face.REGULAR.width(text, Card.NOTE_SIZE);
        Point corner = axis.dx() != 0
                ? new Point(
                        axis.dx() > 0 ? axis.card().x() + 5 : axis.card().x() - 5 - width,
                        axis.card().y() - 5)
                : new Point(
                        axis.card().x() + 5,
                        axis.dy() > 0 ? axis.card().y() + 14 : axis.card().y() - 6);
        var label = new Mark.Label(id, corner, text, Face.REGULAR, Card.NOTE_SIZE, Ink.MUTED);
        room.take(label.area());
        marks.add(label);
    }

    private void verb(boolean diamond) {
        Point start = points.get(0);
        Point end = points.get(points.size() - 1);
        boolean forward = start.x() < end.x() || (start.x() == end.x() && start.y() <= end.y());
        String verb = forward || link.inverse().isEmpty() ? link.verb() : link.inverse();
        String shown = Face.ITALIC.fitting(verb, VERB_SIZE, 160);
        String detail = Face.REGULAR.fitting(link.detail(), Card.NOTE_SIZE, 180);
        double width = Math.max(Face.ITALIC.width(shown, VERB_SIZE), Face.REGULAR.width(detail, Card.NOTE_SIZE));
        if (shown.isEmpty() && detail.isEmpty() && !diamond) {
            return;
        }
        double height = detail.isEmpty() ? 16 : 30;
        Spot spot = freeSpot(diamond ? width * 1.3 + 36 : width + 8, diamond ? height * 1.3 + 16 : height, diamond);
        Area place = spot.area();
        room.take(place);
        if (diamond) {
            diamond(place);
        }
        boolean grounded = spot.onLine() && !diamond;
        double top = place.centreY() - (detail.isEmpty() ? 0 : 7);
        if (grounded) {
            marks.add(new Mark.Box(id, place, 0, Optional.of(Ink.PAPER), Optional.empty(), 0));
        }
        label(shown, Face.ITALIC, VERB_SIZE, place.centreX(), top + 4);
        label(detail, Face.REGULAR, Card.NOTE_SIZE, place.centreX(), top + 18);
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

    /** A place for a text, and whether the line runs behind it. */
    private record Spot(Area area, boolean onLine) {}

    /** A place that touches nothing: the longest stretches first, each from its middle outwards, on the line or beside it. */
    private Spot freeSpot(double width, double height, boolean onlyOnLine) {
        List<Spot> spots = IntStream.range(1, points.size())
                .boxed()
                .sorted(Comparator.comparingDouble(i -> -length(i)))
                .flatMap(i -> DoubleStream.of(0.5, 0.4, 0.6, 0.3, 0.7)
                        .boxed()
                        .flatMap(along -> spots(i, along, width, height, onlyOnLine)))
                .toList();
        Room.Near near = room.near(route);
        return spots.stream()
                .filter(spot -> near.isFree(spot.area()) && near.isOffLines(spot.area()))
                .findFirst()
                .or(() ->
                        spots.stream().filter(spot -> near.isFree(spot.area())).findFirst())
                .or(() -> spots.stream()
                        .filter(spot -> near.isOffCards(spot.area()))
                        .findFirst())
                .orElse(spots.get(0));
    }

    private Stream<Spot> spots(int segment, double along, double width, double height, boolean onlyOnLine) {
        Point a = points.get(segment - 1);
        Point b = points.get(segment);
        double x = a.x() + (b.x() - a.x()) * along;
        double y = a.y() + (b.y() - a.y()) * along;
        boolean flat = a.y() == b.y();
        var on = new Spot(new Area(x - width / 2, y - height / 2, width, height), true);
        // the ends need their stretch of the line for their own marks
        boolean roomOnLine = length(segment) >= (flat ? width : height) + 2 * ENDS;
        if (onlyOnLine) {
            // a loop is too small to hold a diamond and the signs of its ends, so the diamond hangs below it
            return Stream.of(link.isLoop() ? new Spot(new Area(x - width / 2, y - 2, width, height), true) : on);
        }
        Stream<Spot> beside = flat
                ? Stream.of(y - height - 3, y + 5, y - height - 18, y + 20)
                        .map(top -> new Area(x - width / 2, top, width, height))
                        .map(SIDE)
                : Stream.of(x + 4, x - width - 4)
                        .map(left -> new Area(left, y - height / 2, width, height))
                        .map(SIDE);
        return roomOnLine ? Stream.concat(Stream.of(on), beside) : beside;
    }

    private double length(int segment) {
        Point a = points.get(segment - 1);
        Point b = points.get(segment);
        return Math.abs(a.x() - b.x()) + Math.abs(a.y() - b.y());
    }
}
