package ableschema.diagram.paint;

import ableschema.diagram.geometry.Area;
import ableschema.diagram.picture.Mark;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** What is to be painted, in its order, each part with the area outside of which it leaves nothing. */
public final class Painting {

    public static final Painting NOTHING = new Painting(List.of(), Palette.LIGHT);

    private static final int CORNERS = 4;

    private final List<Part> parts;
    private final Palette palette;

    /** Left, top, right and bottom of each part, one after the other: a frame goes through all of them. */
    private double @Nullable [] bounds;

    public Painting(List<Part> parts, Palette palette) {
        this.parts = List.copyOf(parts);
        this.palette = palette;
    }

    /** Marks that are painted together. */
    public static final class Part {
        private final Area bounds;
        private final double opacity;
        private Supplier<List<Mark>> making;
        private @Nullable List<Mark> marks;

        /**
         * Marks that are made when the part comes into view for the first time, as most of a large picture never does.
         *
         * @param opacity from 0 to 1
         */
        public Part(Area bounds, Supplier<List<Mark>> marks, double opacity) {
            this.bounds = bounds;
            this.making = marks;
            this.opacity = opacity;
        }

        /** Marks that are there already. */
        public Part(Area bounds, List<Mark> marks, double opacity) {
            this(bounds, () -> marks, opacity);
        }

        public Area bounds() {
            return bounds;
        }

        public double opacity() {
            return opacity;
        }

        public List<Mark> marks() {
            List<Mark> made = marks;
            if (made == null) {
                made = making.get();
                marks = made;
                making = List::of; // what it was made of is not held on to
            }
            return made;
        }
    }

    public List<Part> parts() {
        return parts;
    }

    public Palette palette() {
        return palette;
    }

    /** Goes through the parts that meet an area, in their order. */
    void each(Area seen, Consumer<Part> action) {
        double[] all = bounds();
        for (int i = 0; i < all.length; i += CORNERS) {
            if (all[i] < seen.right() && seen.x() < all[i + 2] && all[i + 1] < seen.bottom() && seen.y() < all[i + 3]) {
                action.accept(parts.get(i / CORNERS));
            }
        }
    }

    private double[] bounds() {
        double[] known = bounds;
        if (known == null) {
            known = new double[CORNERS * parts.size()];
            for (int i = 0; i < parts.size(); i++) {
                Area area = parts.get(i).bounds();
                known[CORNERS * i] = area.x();
                known[CORNERS * i + 1] = area.y();
                known[CORNERS * i + 2] = area.right();
                known[CORNERS * i + 3] = area.bottom();
            }
            bounds = known;
        }
        return known;
    }
}
