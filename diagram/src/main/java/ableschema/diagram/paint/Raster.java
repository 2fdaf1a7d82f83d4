package ableschema.diagram.paint;

import ableschema.diagram.geometry.Area;
import ableschema.diagram.picture.Ink;
import ableschema.diagram.picture.Mark;
import java.awt.AlphaComposite;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.util.Arrays;

/**
 * The pixels of a window onto a painting. When the window moves, what stays in it is shifted and only what comes into it
 * is painted.
 */
public final class Raster {

    private final int width;
    private final int height;
    private final BufferedImage image;
    private final int[] pixels;

    public Raster(int width, int height) {
        this.width = width;
        this.height = height;
        this.image = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB_PRE);
        this.pixels = ((DataBufferInt) image.getRaster().getDataBuffer()).getData();
    }

    /** Where the window stands: pixel (0, 0) shows {@code (x, y)} of the painting, and {@code zoom} pixels make one. */
    public record Stand(double x, double y, double zoom) {}

    public int width() {
        return width;
    }

    public int height() {
        return height;
    }

    /** The pixels line by line, with premultiplied alpha; they change as is painted. */
    public int[] pixels() {
        return pixels;
    }

    /** Paints everything. */
    public void paint(Painting painting, Stand stand) {
        paint(painting, stand, 0, 0, width, height);
    }

    /**
     * Shifts what is painted by whole pixels and paints what comes into the window.
     *
     * @param stand where the window stands afterwards
     */
    public void scroll(Painting painting, Stand stand, int dx, int dy) {
        if (Math.abs(dx) >= width || Math.abs(dy) >= height) {
            paint(painting, stand);
            return;
        }
        shift(dx, dy);
        if (dy != 0) {
            paint(painting, stand, 0, dy > 0 ? 0 : height + dy, width, Math.abs(dy));
        }
        if (dx != 0) {
            paint(painting, stand, dx > 0 ? 0 : width + dx, 0, Math.abs(dx), height);
        }
    }

    private void shift(int dx, int dy) {
        int from = Math.max(0, -dx);
        int to = Math.max(0, dx);
        int length = width - Math.abs(dx);
        for (int i = 0; i < height - Math.abs(dy); i++) {
            int row = dy > 0 ? height - 1 - i : i;
            System.arraycopy(pixels, (row - dy) * width + from, pixels, row * width + to, length);
        }
    }

    /** Paints one rectangle of the window anew, in pixels. */
    public void paint(Painting painting, Stand stand, int x, int y, int w, int h) {
        int ground = painting.palette().colour(Ink.PAPER).getRGB();
        for (int row = Math.max(0, y); row < Math.min(height, y + h); row++) {
            Arrays.fill(pixels, row * width + Math.max(0, x), row * width + Math.min(width, x + w), ground);
        }
        Graphics2D graphics = image.createGraphics();
        graphics.clipRect(x, y, w, h);
        graphics.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        graphics.setRenderingHint(RenderingHints.KEY_TEXT_ANTIALIASING, RenderingHints.VALUE_TEXT_ANTIALIAS_ON);
        graphics.setRenderingHint(RenderingHints.KEY_FRACTIONALMETRICS, RenderingHints.VALUE_FRACTIONALMETRICS_ON);
        graphics.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        graphics.scale(stand.zoom(), stand.zoom());
        graphics.translate(-stand.x(), -stand.y());
        var seen = new Area(
                        stand.x() + x / stand.zoom(), stand.y() + y / stand.zoom(), w / stand.zoom(), h / stand.zoom())
                .grown(1);
        var painter = new MarkPainter(graphics, painting.palette(), stand.zoom());
        painting.each(seen, part -> paint(part, seen, painter, graphics));
        graphics.dispose();
    }

    private static void paint(Painting.Part part, Area seen, MarkPainter painter, Graphics2D graphics) {
        var composite = (AlphaComposite) graphics.getComposite();
        if (composite.getAlpha() != (float) part.opacity()) {
            graphics.setComposite(composite.derive((float) part.opacity()));
        }
        for (Mark mark : part.marks()) {
            if (mark.mayMeet(seen)) {
                painter.paint(mark);
            }
        }
    }
}
