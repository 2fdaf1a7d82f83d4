package ableschema.desktop.sheet;

import ableschema.diagram.geometry.Area;
import ableschema.diagram.paint.Painting;
import ableschema.diagram.paint.Raster;
import ableschema.diagram.paint.Raster.Patch;
import ableschema.diagram.paint.Raster.Stand;
import java.nio.IntBuffer;
import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.geometry.Rectangle2D;
import javafx.scene.Group;
import javafx.scene.image.ImageView;
import javafx.scene.image.PixelBuffer;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.transform.Affine;
import javafx.util.Duration;

/**
 * The painted sheet behind its cards. Moving paints what comes into view; during a zoom the picture as it is gets scaled,
 * and when the zoom rests it is painted anew.
 */
final class SheetPaper extends Group {

    private static final Duration REST = Duration.millis(90);

    private static final double MERGED = 1.2;

    /** Where more parts than these have changed, nearly all of what is in view has. */
    private static final int MOST_APART = 120;

    /** In nanoseconds: what takes longer to be painted goes on when the window has answered in between. */
    private static final long AT_ONCE = 20_000_000;

    private static final int BAND = 50;
    private static final int FAR = 1_000_000;

    private final PauseTransition rest = new PauseTransition(REST);
    private final Affine scaled = new Affine();

    /** The window goes over the edges of the roll that it is painted on: what is left and right, above and below of them. */
    private final List<ImageView> pieces = List.of(new ImageView(), new ImageView(), new ImageView(), new ImageView());

    private Painting painting = Painting.NOTHING;
    private Stand stand = new Stand(0, 0, 1);
    private Stand painted = stand;
    private Optional<Raster> raster = Optional.empty();
    private Optional<PixelBuffer<IntBuffer>> buffer = Optional.empty();
    private Runnable rested = () -> {};

    /** How many lines of pixels are painted from above, and whether the next ones will be without anybody asking. */
    private int down;

    private boolean goingOn;

    SheetPaper() {
        setManaged(false);
        setMouseTransparent(true);
        getTransforms().add(scaled);
        getChildren().addAll(pieces);
        rest.setOnFinished(event -> rested.run());
    }

    /** Has something done when a zoom rests; it is expected to call {@link #repaint}. */
    void onRest(Runnable action) {
        rested = action;
    }

    void resize(int width, int height) {
        boolean same =
                raster.filter(r -> r.width() == width && r.height() == height).isPresent();
        if (width > 0 && height > 0 && !same) {
            var made = new Raster(width, height);
            var pixels = new PixelBuffer<>(
                    made.columns(), made.rows(), IntBuffer.wrap(made.pixels()), PixelFormat.getIntArgbPreInstance());
            raster = Optional.of(made);
            buffer = Optional.of(pixels);
            var image = new WritableImage(pixels);
            pieces.forEach(piece -> piece.setImage(image));
            repaint();
        }
    }

    /** Shows another painting; only what differs is painted. */
    void show(Painting next) {
        Painting before = painting;
        painting = next;
        if (isScaled() || before.palette() != next.palette()) {
            repaint();
            return;
        }
        List<Area> changed = difference(before, next);
        if (changed.size() > MOST_APART) {
            raster.ifPresent(this::paintFromAbove);
        } else {
            merged(changed).forEach(this::repaint);
        }
    }

    /** Where there are parts that are in one of the paintings only. */
    private static List<Area> difference(Painting before, Painting next) {
        Set<Painting.Part> kept = Collections.newSetFromMap(
                new IdentityHashMap<>(2 * before.parts().size()));
        kept.addAll(before.parts());
        var changed = new ArrayList<Area>();
        for (Painting.Part part : next.parts()) {
            if (!kept.remove(part)) {
                changed.add(part.bounds());
            }
        }
        kept.forEach(gone -> changed.add(gone.bounds()));
        return changed;
    }

    private static List<Area> merged(List<Area> changed) {
        var merged = new ArrayList<Area>();
        changed.forEach(each -> addTo(merged, each));
        return merged;
    }

    /** Areas are painted as one where that paints little more; far ones apart, as between them all stays as it is. */
    private static void addTo(List<Area> areas, Area added) {
        for (int i = 0; i < areas.size(); i++) {
            Area both = areas.get(i).union(added);
            if (size(both) <= MERGED * (size(areas.get(i)) + size(added))) {
                areas.remove(i);
                addTo(areas, both);
                return;
            }
        }
        areas.add(added);
    }

    private static double size(Area area) {
        return area.width() * area.height();
    }

    private void repaint(Area area) {
        int x = (int) Math.floor((area.x() - stand.x()) * stand.zoom()) - 2;
        int y = (int) Math.floor((area.y() - stand.y()) * stand.zoom()) - 2;
        int width = (int) Math.ceil(area.width() * stand.zoom()) + 4;
        int height = (int) Math.ceil(area.height() * stand.zoom()) + 4;
        raster.ifPresent(pixels -> update(pixels.paint(painting, stand, new Patch(x, y, x + width, y + height))));
    }

    /** Whether all is painted for where the window stands, and nothing scaled. */
    boolean isSharp() {
        return !isScaled() && raster.filter(roll -> down < roll.height()).isEmpty();
    }

    /** Paints everything anew where the window stands now; band after band where that takes a while. */
    void repaint() {
        rest.stop();
        painted = stand;
        scaled.setToIdentity();
        raster.ifPresent(roll -> {
            update(roll.clear(painting.palette()));
            frame(roll);
            paintFromAbove(roll);
        });
    }

    /** Whether what is painted is only scaled, or shifted, to where the window stands now. */
    boolean isScaled() {
        return !painted.equals(stand);
    }

    /** Paints at once what is left to be painted, however long it takes. */
    void finish() {
        raster.ifPresent(roll -> paintOn(roll, Long.MAX_VALUE));
    }

    private void paintFromAbove(Raster roll) {
        down = 0;
        paintOn(roll, AT_ONCE);
    }

    private void paintOn(Raster roll, long atMost) {
        long began = System.nanoTime();
        Patch changed = Patch.NOTHING;
        while (down < roll.height() && System.nanoTime() - began < atMost) {
            int from = down == 0 ? -FAR : down;
            down += BAND;
            int to = down < roll.height() ? down : FAR;
            changed = changed.union(roll.paint(painting, painted, new Patch(-FAR, from, FAR, to)));
        }
        update(changed);
        if (down < roll.height() && !goingOn) {
            goingOn = true;
            Platform.runLater(() -> {
                goingOn = false;
                raster.ifPresent(each -> paintOn(each, AT_ONCE));
            });
        }
    }

    private void update(Patch changed) {
        if (!changed.isEmpty()) {
            var area = new Rectangle2D(
                    changed.left(), changed.top(), changed.right() - changed.left(), changed.bottom() - changed.top());
            buffer.ifPresent(pixels -> pixels.updateBuffer(b -> area));
        }
    }

    /** Has each piece show its part of the roll where it belongs. */
    private void frame(Raster roll) {
        int width = Math.min(roll.width(), roll.columns() - roll.column());
        int height = Math.min(roll.height(), roll.rows() - roll.row());
        place(pieces.get(0), roll.column(), roll.row(), new Patch(0, 0, width, height));
        place(pieces.get(1), 0, roll.row(), new Patch(width, 0, roll.width(), height));
        place(pieces.get(2), roll.column(), 0, new Patch(0, height, width, roll.height()));
        place(pieces.get(3), 0, 0, new Patch(width, height, roll.width(), roll.height()));
    }

    private static void place(ImageView piece, int column, int row, Patch seen) {
        piece.setVisible(!seen.isEmpty());
        if (!seen.isEmpty()) {
            piece.setViewport(new Rectangle2D(column, row, seen.right() - seen.left(), seen.bottom() - seen.top()));
            piece.setX(seen.left());
            piece.setY(seen.top());
        }
    }

    /** Moves to another stand: by whole pixels at the same zoom at once, else by scaling until the zoom rests. */
    void moveTo(Stand next) {
        boolean sameZoom = next.zoom() == painted.zoom() && painted.equals(stand);
        int dx = (int) Math.rint((stand.x() - next.x()) * next.zoom());
        int dy = (int) Math.rint((stand.y() - next.y()) * next.zoom());
        stand = next;
        if (sameZoom) {
            if (dx != 0 || dy != 0) {
                raster.ifPresent(pixels -> {
                    finish();
                    update(pixels.move(painting, next, dx, dy));
                    frame(pixels);
                });
            }
            painted = next;
            return;
        }
        raster.ifPresent(this::unroll);
        double scale = next.zoom() / painted.zoom();
        scaled.setToTransform(
                scale, 0, (painted.x() - next.x()) * next.zoom(), 0, scale, (painted.y() - next.y()) * next.zoom());
        rest.playFromStart();
    }

    /** In one piece it is scaled without seams. */
    private void unroll(Raster roll) {
        if (roll.column() != 0 || roll.row() != 0) {
            roll.unroll();
            update(new Patch(0, 0, roll.columns(), roll.rows()));
            frame(roll);
        }
    }
}
