package ableschema.diagram.paint;

import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;
import ableschema.diagram.picture.Ink;
import ableschema.diagram.picture.Mark;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.font.FontRenderContext;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.geom.RectangularShape;
import java.awt.geom.RoundRectangle2D;
import java.util.ArrayList;
import java.util.List;

/** Paints marks with Java's own graphics, which stand behind SVG and PNG alike. */
public final class MarkPainter implements Mark.Visitor<Boolean> {

    /** Letters lower than this many pixels could not be read, and are left out. */
    private static final double READABLE = 3.2;

    /** Rounder corners, and signs at the ends of lines, are seen from this many pixels on. */
    private static final double ROUND_FROM = 1.5;

    private static final double SEEN_FROM = 2;

    /** A box whose edge would be thinner is seen as a spot in the edge's colour: its outline alone could not be. */
    private static final double EDGE_FROM = 0.25;

    private static final FontRenderContext CONTEXT = new FontRenderContext(null, true, true);

    private final Graphics2D graphics;
    private final Palette palette;
    private final double zoom;

    /** @param zoom how many pixels make one of the picture's, for leaving out what is too small to be seen */
    public MarkPainter(Graphics2D graphics, Palette palette, double zoom) {
        this.graphics = graphics;
        this.palette = palette;
        this.zoom = zoom;
    }

    public void paint(Mark mark) {
        mark.accept(this);
    }

    private Color colour(Ink ink) {
        return palette.colour(ink);
    }

    private void stroke(double width) {
        graphics.setStroke(new BasicStroke((float) width, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
    }

    @Override
    public Boolean box(Mark.Box box) {
        Area area = box.area();
        double round = box.radius() * zoom < ROUND_FROM ? 0 : 2 * box.radius();
        RectangularShape shape = round == 0
                ? new Rectangle2D.Double(area.x(), area.y(), area.width(), area.height())
                : new RoundRectangle2D.Double(area.x(), area.y(), area.width(), area.height(), round, round);
        if (box.fill().isPresent() && box.edge().isPresent() && box.edgeWidth() * zoom < EDGE_FROM) {
            graphics.setColor(colour(box.edge().get()));
            graphics.fill(shape);
            return true;
        }
        box.fill().ifPresent(fill -> {
            graphics.setColor(colour(fill));
            graphics.fill(shape);
        });
        box.edge().ifPresent(edge -> {
            graphics.setColor(colour(edge));
            stroke(box.edgeWidth());
            graphics.draw(shape);
        });
        return true;
    }

    @Override
    public Boolean line(Mark.Line line) {
        if (extent(line.points()) * zoom < SEEN_FROM) {
            return false;
        }
        Path2D path = path(line.points(), line.radius() * zoom < ROUND_FROM ? 0 : line.radius());
        line.fill().ifPresent(fill -> {
            graphics.setColor(colour(fill));
            graphics.fill(path);
        });
        graphics.setColor(colour(line.ink()));
        stroke(line.width());
        graphics.draw(path);
        return true;
    }

    private static double extent(List<Point> points) {
        double extent = 0;
        for (Point point : points) {
            extent = Math.max(extent, Math.abs(point.x() - points.get(0).x()));
            extent = Math.max(extent, Math.abs(point.y() - points.get(0).y()));
        }
        return extent;
    }

    private static Path2D path(List<Point> points, double radius) {
        var path = new Path2D.Double();
        path.moveTo(points.get(0).x(), points.get(0).y());
        for (int i = 1; i < points.size() - 1; i++) {
            Point corner = points.get(i);
            if (radius == 0) {
                path.lineTo(corner.x(), corner.y());
                continue;
            }
            Point in = corner.towards(points.get(i - 1), radius);
            Point out = corner.towards(points.get(i + 1), radius);
            path.lineTo(in.x(), in.y());
            path.quadTo(corner.x(), corner.y(), out.x(), out.y());
        }
        Point end = points.get(points.size() - 1);
        path.lineTo(end.x(), end.y());
        return path;
    }

    @Override
    public Boolean circle(Mark.Circle circle) {
        if (circle.radius() * zoom < SEEN_FROM / 2) {
            return false;
        }
        var shape = new Ellipse2D.Double(
                circle.centre().x() - circle.radius(),
                circle.centre().y() - circle.radius(),
                2 * circle.radius(),
                2 * circle.radius());
        graphics.setColor(colour(Ink.PAPER));
        graphics.fill(shape);
        graphics.setColor(colour(circle.ink()));
        stroke(circle.width());
        graphics.draw(shape);
        return true;
    }

    @Override
    public Boolean label(Mark.Label label) {
        if (label.size() * zoom < READABLE) {
            return false;
        }
        graphics.setColor(colour(label.ink()));
        Font font = label.face().font(label.size());
        double x = label.start().x();
        if (label.face().hasAllOf(label.text())) {
            graphics.setFont(font);
            graphics.drawString(label.text(), (float) x, (float) label.start().y());
            return true;
        }
        for (String run : runs(label.text(), font)) {
            // what the shipped font lacks, such as other scripts, is drawn in whatever the system has
            Font used = font.canDisplayUpTo(run) < 0
                    ? font
                    : new Font(Font.SANS_SERIF, Font.PLAIN, 1).deriveFont(font.getSize2D());
            graphics.setFont(used);
            graphics.drawString(run, (float) x, (float) label.start().y());
            x += used.getStringBounds(run, CONTEXT).getWidth();
        }
        return true;
    }

    private static List<String> runs(String text, Font font) {
        var runs = new ArrayList<String>();
        int start = 0;
        boolean known = font.canDisplay(text.codePointAt(0));
        for (int at = 0; at < text.length(); at = text.offsetByCodePoints(at, 1)) {
            if (font.canDisplay(text.codePointAt(at)) != known) {
                runs.add(text.substring(start, at));
                start = at;
                known = !known;
            }
        }
        runs.add(text.substring(start));
        return runs;
    }
}
