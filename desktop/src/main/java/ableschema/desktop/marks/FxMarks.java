package ableschema.desktop.marks;

import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;
import ableschema.diagram.picture.Ink;
import ableschema.diagram.picture.Mark;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.paint.Color;
import javafx.scene.shape.Circle;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.QuadCurveTo;
import javafx.scene.shape.Rectangle;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.shape.StrokeLineJoin;
import javafx.scene.text.Text;

/** Makes the node for a mark; ink that stands for choice replaces the line's own where something is chosen. */
public final class FxMarks implements Mark.Visitor<Node> {

    private final boolean lit;

    /** @param lit whether lines are drawn as chosen */
    public FxMarks(boolean lit) {
        this.lit = lit;
    }

    public Node node(Mark mark) {
        Node node = mark.accept(this);
        node.setMouseTransparent(true);
        return node;
    }

    public static Color colour(Ink ink) {
        return Color.web(ink.hex());
    }

    private Color lineColour(Ink ink) {
        return colour(lit && ink == Ink.MUTED ? Ink.PINE : ink);
    }

    @Override
    public Node box(Mark.Box box) {
        Area area = box.area();
        var node = new Rectangle(area.x(), area.y(), area.width(), area.height());
        node.setArcWidth(2 * box.radius());
        node.setArcHeight(2 * box.radius());
        node.setFill(box.fill().map(FxMarks::colour).orElse(Color.TRANSPARENT));
        node.setStroke(box.edge().map(FxMarks::colour).orElse(null));
        node.setStrokeWidth(box.edgeWidth());
        return node;
    }

    @Override
    public Node line(Mark.Line line) {
        Path path = path(line.points(), line.radius());
        path.setStroke(lineColour(line.ink()));
        path.setStrokeWidth(lit ? line.width() + 0.8 : line.width());
        path.setStrokeLineCap(StrokeLineCap.ROUND);
        path.setStrokeLineJoin(StrokeLineJoin.ROUND);
        line.fill().ifPresent(fill -> path.setFill(colour(fill)));
        return path;
    }

    private static Path path(List<Point> points, double radius) {
        var path = new Path(new MoveTo(points.get(0).x(), points.get(0).y()));
        for (int i = 1; i < points.size() - 1; i++) {
            Point corner = points.get(i);
            Point in = corner.towards(points.get(i - 1), radius);
            Point out = corner.towards(points.get(i + 1), radius);
            path.getElements().add(new LineTo(in.x(), in.y()));
            path.getElements().add(new QuadCurveTo(corner.x(), corner.y(), out.x(), out.y()));
        }
        Point end = points.get(points.size() - 1);
        path.getElements().add(new LineTo(end.x(), end.y()));
        return path;
    }

    @Override
    public Node circle(Mark.Circle circle) {
        var node = new Circle(circle.centre().x(), circle.centre().y(), circle.radius(), colour(Ink.PAPER));
        node.setStroke(lineColour(circle.ink()));
        node.setStrokeWidth(circle.width());
        return node;
    }

    @Override
    public Node label(Mark.Label label) {
        var node = new Text(label.start().x(), label.start().y(), label.text());
        node.setFont(FxFonts.of(label.face(), label.size()));
        node.setFill(lineColour(label.ink()));
        return node;
    }
}
