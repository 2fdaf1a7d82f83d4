package ableschema.desktop.sheet;

import ableschema.core.design.Id;
import ableschema.core.document.Detail;
import ableschema.core.mapping.Mapping;
import ableschema.core.mapping.Trace;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;
import ableschema.diagram.picture.Mark;
import ableschema.diagram.picture.Picture;
import ableschema.diagram.picture.Picture.DrawnLink;
import ableschema.diagram.picture.Picture.PlacedCard;
import ableschema.diagram.text.Face;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import javafx.scene.Group;
import javafx.scene.control.Label;
import javafx.scene.shape.Rectangle;

/** Marks the columns that the chosen relationship joins: on the cards of both tables, and in words beside the line. */
final class JoinedColumns extends Group {

    private static final double EDGE = 7;
    private static final double ROW = 18;
    private static final double SIZE = 11;
    private static final double PADDING = 16;
    private static final double[] APART = {14, 28, 48, 72, 100, 140};

    private Trace trace = Mapping.NONE.trace();

    JoinedColumns() {
        setMouseTransparent(true);
    }

    void showNothing() {
        getChildren().clear();
    }

    void show(Id relationship, Schema schema, Trace traced, Picture picture, Detail detail) {
        getChildren().clear();
        trace = traced;
        for (Table table : schema.tables()) {
            for (ForeignKey key : table.foreignKeys()) {
                if (trace.end(table, key).relationship().equals(relationship)) {
                    schema.table(key.target()).ifPresent(target -> show(key, table, target, picture, detail));
                }
            }
        }
    }

    private void show(ForeignKey key, Table table, Table target, Picture picture, Detail detail) {
        rows(table, key.columns(), picture, detail);
        rows(target, key.targetColumns(), picture, detail);
        picture.lines().stream()
                .filter(line ->
                        line.link().relationship().equals(trace.end(table, key).relationship()))
                .filter(line -> joins(line, trace.owner(table), trace.owner(target)))
                .findFirst()
                .ifPresent(line -> words(key, table, line, picture));
    }

    private static boolean joins(DrawnLink line, Id one, Id other) {
        Id first = line.link().first().card();
        Id second = line.link().second().card();
        return (first.equals(one) && second.equals(other)) || (first.equals(other) && second.equals(one));
    }

    private void rows(Table table, List<String> columns, Picture picture, Detail detail) {
        Optional<PlacedCard> card = Optional.ofNullable(picture.cards().get(trace.owner(table)));
        card.ifPresent(placed -> placed.marks(detail).stream()
                .filter(mark -> mark instanceof Mark.Label label && isOneOf(columns, label.text()))
                .forEach(mark -> row(placed.area(), ((Mark.Label) mark).start())));
    }

    /** A column's name stands on its card alone, in square brackets where it may be empty. */
    private static boolean isOneOf(List<String> columns, String text) {
        return columns.stream().anyMatch(name -> text.equals(name) || text.equals("[" + name + "]"));
    }

    private void row(Area card, Point text) {
        var row = new Rectangle(card.x() + EDGE, text.y() - ROW + 5, card.width() - 2 * EDGE, ROW);
        row.getStyleClass().add("joined-row");
        getChildren().add(row);
    }

    private void words(ForeignKey key, Table table, DrawnLink line, Picture picture) {
        String joined = String.join("\n", key.pairs(table.name()));
        var label = new Label(joined);
        label.getStyleClass().add("joined-words");
        Area place = place(joined, line, picture);
        label.relocate(place.x(), place.y());
        getChildren().add(label);
    }

    /** Beside the middle of the line, as near as it covers no card and no word of the line itself. */
    private static Area place(String words, DrawnLink line, Picture picture) {
        double width = PADDING
                + words.lines()
                        .mapToDouble(each -> Face.MONO.width(each, SIZE))
                        .max()
                        .orElse(0);
        double height = 6 + 15 * words.lines().count();
        List<Point> points = line.points();
        Point middle = points.get(points.size() / 2 - 1).towards(points.get(points.size() / 2), Double.MAX_VALUE);
        List<Area> taken = Stream.concat(
                        picture.cards().values().stream().map(PlacedCard::area),
                        line.marks().stream()
                                .filter(Mark.Label.class::isInstance)
                                .map(mark -> ((Mark.Label) mark).area()))
                .toList();
        return DoubleStream.of(APART)
                .boxed()
                .flatMap(apart -> around(middle, width, height, apart))
                .filter(place -> taken.stream().noneMatch(place::meets))
                .findFirst()
                .orElse(new Area(middle.x() - width / 2, middle.y() + APART[0], width, height));
    }

    private static Stream<Area> around(Point middle, double width, double height, double apart) {
        double level = middle.y() - height / 2;
        double centred = middle.x() - width / 2;
        return Stream.of(
                new Area(middle.x() + apart, level, width, height),
                new Area(middle.x() - apart - width, level, width, height),
                new Area(centred, middle.y() + apart, width, height),
                new Area(centred, middle.y() - apart - height, width, height));
    }
}
