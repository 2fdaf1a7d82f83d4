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
 * The pixels of a window onto a painting, kept on a roll that goes round at its edges: when the window moves nothing is
 * shifted, and only what comes into it is painted, a little ahead.
 */
public final class Raster {

    /** How many pixels more than the window the roll holds in either direction. */
    private static final int AHEAD = 96;

    /** For how many moves like the last one a strip is painted: the next move can so paint the strip of the other side. */
    private static final int MOVES = 2;

    private final int width;
    private final int height;
    private final BufferedImage image;
    private final int[] pixels;

    /** The cell of the roll that holds the window's first pixel. */
    private int column;

    private int row;

    /** What is painted, counted from the window's first pixel; never more than the roll holds. */
    private Patch painted;

    public Raster(int width, int height) {
        this.width = width;
        this.height = height;
        this.painted = new Patch(0, 0, width, height);
        this.image = new BufferedImage(width + AHEAD, height + AHEAD, BufferedImage.TYPE_INT_ARGB_PRE);
        this.pixels = ((DataBufferInt) image.getRaster().getDataBuffer()).getData();
    }

    /** Where the window stands: pixel (0, 0) shows {@code (x, y)} of the painting, and {@code zoom} pixels make one. */
    public record Stand(double x, double y, double zoom) {}

    /** A rectangle of pixels; right and bottom are the first ones that are not in it. */
    public record Patch(int left, int top, int right, int bottom) {
        public static final Patch NOTHING = new Patch(0, 0, 0, 0);

        public boolean isEmpty() {
            return right <= left || bottom <= top;
        }

        /** The least that holds both. */
        public Patch union(Patch other) {
            if (isEmpty() || other.isEmpty()) {
                return isEmpty() ? other : this;
            }
            return new Patch(
                    Math.min(left, other.left),
                    Math.min(top, other.top),
                    Math.max(right, other.right),
                    Math.max(bottom, other.bottom));
        }

        Patch within(Patch other) {
            return new Patch(
                    Math.max(left, other.left),
                    Math.max(top, other.top),
                    Math.min(right, other.right),
                    Math.min(bottom, other.bottom));
        }

        Patch moved(int dx, int dy) {
            return new Patch(left + dx, top + dy, right + dx, bottom + dy);
        }
    }

    /** The width of the window. */
    public int width() {
        return width;
    }

    public int height() {
        return height;
    }

    /** The width of the roll. */
    public int columns() {
        return width + AHEAD;
    }

    public int rows() {
        return height + AHEAD;
    }

    /** The column of the roll at which the window begins; it goes on at column 0 where the roll ends. */
    public int column() {
        return column;
    }

    public int row() {
        return row;
    }

    /** The pixels of the roll line by line, with premultiplied alpha; they change as is painted. */
    public int[] pixels() {
        return pixels;
    }

    /**
     * Paints everything in the window, which begins at the roll's corner then.
     *
     * @return which part of the roll has changed
     */
    public Patch paint(Painting painting, Stand stand) {
        begin();
        return onRoll(painting, stand, painted);
    }

    private void begin() {
        column = 0;
        row = 0;
        painted = new Patch(0, 0, width, height);
    }

    /**
     * Leaves nothing but paper in the window, which begins at the roll's corner then.
     *
     * @return which part of the roll has changed
     */
    public Patch clear(Palette palette) {
        begin();
        fill(painted, palette);
        return painted;
    }

    private void fill(Patch cells, Palette palette) {
        int ground = palette.colour(Ink.PAPER).getRGB();
        for (int y = cells.top; y < cells.bottom; y++) {
            Arrays.fill(pixels, y * columns() + cells.left, y * columns() + cells.right, ground);
        }
    }

    /**
     * Paints a part of the window anew, and what of it is painted ahead.
     *
     * @param part counted from the window's first pixel
     * @return which part of the roll has changed
     */
    public Patch paint(Painting painting, Stand stand, Patch part) {
        return onRoll(painting, stand, part.within(painted));
    }

    /**
     * Moves what is painted by whole pixels and paints what comes into the window.
     *
     * @param stand where the window stands afterwards
     * @return which part of the roll has changed
     */
    public Patch move(Painting painting, Stand stand, int dx, int dy) {
        column = Math.floorMod(column - dx, columns());
        row = Math.floorMod(row - dy, rows());
        painted = painted.moved(dx, dy);
        if (painted.within(new Patch(0, 0, width, height)).isEmpty()) {
            return paint(painting, stand);
        }
        Patch changed = Patch.NOTHING;
        if (painted.left > 0 || painted.right < width) {
            changed = onRoll(painting, stand, across(dx));
        }
        if (painted.top > 0 || painted.bottom < height) {
            changed = changed.union(onRoll(painting, stand, along(dy)));
        }
        if (!changed.isEmpty()) {
            return changed;
        }
        if (Math.max(dx < 0 ? painted.right - width : -painted.left, 0) < Math.abs(dx)) {
            return onRoll(painting, stand, across(dx));
        }
        boolean soon = (dy < 0 ? painted.bottom - height : -painted.top) < Math.abs(dy);
        return soon ? onRoll(painting, stand, along(dy)) : Patch.NOTHING;
    }

    /** The strip that comes in at the left or right, which counts as painted from now on. */
    private Patch across(int dx) {
        int reach = Math.min(AHEAD, MOVES * Math.abs(dx));
        Patch before = painted;
        if (dx < 0) {
            int right = endOf(before.right, width, reach, column, columns());
            painted = new Patch(Math.max(before.left, right - columns()), before.top, right, before.bottom);
            return new Patch(before.right, before.top, right, before.bottom);
        }
        int left = startOf(before.left, reach, column, columns());
        painted = new Patch(left, before.top, Math.min(before.right, columns() + left), before.bottom);
        return new Patch(left, before.top, before.left, before.bottom);
    }

    private Patch along(int dy) {
        int reach = Math.min(AHEAD, MOVES * Math.abs(dy));
        Patch before = painted;
        if (dy < 0) {
            int bottom = endOf(before.bottom, height, reach, row, rows());
            painted = new Patch(before.left, Math.max(before.top, bottom - rows()), before.right, bottom);
            return new Patch(before.left, before.bottom, before.right, bottom);
        }
        int top = startOf(before.top, reach, row, rows());
        painted = new Patch(before.left, top, before.right, Math.min(before.bottom, rows() + top));
        return new Patch(before.left, top, before.right, before.top);
    }

    /** How far a strip goes: not over the edge of the roll where that can wait, as what changes would be the whole roll. */
    private static int endOf(int painted, int seen, int reach, int first, int roll) {
        int end = seen + reach;
        int edge = end - Math.floorMod(first + end, roll);
        return edge > painted && edge >= seen ? edge : end;
    }

    private static int startOf(int painted, int reach, int first, int roll) {
        int edge = -reach + Math.floorMod(reach - first, roll);
        return edge < painted && edge <= 0 ? edge : -reach;
    }

    /** Turns the roll until the window begins at its corner, as for scaling it in one piece. */
    public void unroll() {
        if (column == 0 && row == 0) {
            return;
        }
        int[] turned = new int[pixels.length];
        int first = columns() - column;
        for (int y = 0; y < rows(); y++) {
            int from = Math.floorMod(row + y, rows()) * columns();
            System.arraycopy(pixels, from + column, turned, y * columns(), first);
            System.arraycopy(pixels, from, turned, y * columns() + first, column);
        }
        System.arraycopy(turned, 0, pixels, 0, pixels.length);
        column = 0;
        row = 0;
    }

    /** Paints a part, counted from the window's first pixel, where the roll has it: in up to four pieces. */
    private Patch onRoll(Painting painting, Stand stand, Patch part) {
        Patch changed = Patch.NOTHING;
        for (int y = part.top; y < part.bottom; ) {
            int rowOf = Math.floorMod(row + y, rows());
            int bottom = Math.min(part.bottom, y + rows() - rowOf);
            for (int x = part.left; x < part.right; ) {
                int columnOf = Math.floorMod(column + x, columns());
                int right = Math.min(part.right, x + columns() - columnOf);
                var piece = new Patch(x, y, right, bottom);
                paint(painting, stand, piece, columnOf - x, rowOf - y);
                changed = changed.union(piece.moved(columnOf - x, rowOf - y));
                x = right;
            }
            y = bottom;
        }
        return changed;
    }

    private void paint(Painting painting, Stand stand, Patch piece, int dx, int dy) {
        Patch cells = piece.moved(dx, dy);
        fill(cells, painting.palette());
        Graphics2D graphics = image.createGraphics();
        graphics.clipRect(cells.left, cells.top, cells.right - cells.left, cells.bottom - cells.top);
        graphics.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        graphics.setRenderingHint(RenderingHints.KEY_TEXT_ANTIALIASING, RenderingHints.VALUE_TEXT_ANTIALIAS_ON);
        graphics.setRenderingHint(RenderingHints.KEY_FRACTIONALMETRICS, RenderingHints.VALUE_FRACTIONALMETRICS_ON);
        graphics.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        graphics.translate(dx, dy);
        graphics.scale(stand.zoom(), stand.zoom());
        graphics.translate(-stand.x(), -stand.y());
        var seen = new Area(
                        stand.x() + piece.left / stand.zoom(),
                        stand.y() + piece.top / stand.zoom(),
                        (piece.right - piece.left) / stand.zoom(),
                        (piece.bottom - piece.top) / stand.zoom())
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
