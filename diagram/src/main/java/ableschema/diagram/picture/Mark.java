package ableschema.diagram.picture;

import ableschema.core.design.Id;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;
import ableschema.diagram.text.Face;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/** One thing drawn, with the part of the design that it comes from. */
public sealed interface Mark {

    Id origin();

    <R> R accept(Visitor<R> visitor);

    /** Whether it is drawn over all lines: what is written, and what it is written on. */
    default boolean isOverLines() {
        return true;
    }

    /** Whether something of it may be seen in an area; for no area in which something of it is seen does this say no. */
    boolean mayMeet(Area seen);

    /** One method a kind of mark, without a default. */
    interface Visitor<R> {
        R box(Box box);

        R line(Line line);

        R circle(Circle circle);

        R label(Label label);
    }

    /** A rectangle with rounded corners; without a fill or an edge where there is none. */
    record Box(Id origin, Area area, double radius, Optional<Ink> fill, Optional<Ink> edge, double edgeWidth)
            implements Mark {
        @Override
        public boolean mayMeet(Area seen) {
            return area.grown(edgeWidth).meets(seen);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.box(this);
        }
    }

    /** A line through points, with bends rounded by {@code radius}; closed and filled where a fill is given. */
    record Line(Id origin, List<Point> points, double radius, Ink ink, double width, Optional<Ink> fill)
            implements Mark {
        public Line {
            points = List.copyOf(points);
        }

        @Override
        public boolean isOverLines() {
            return fill.isPresent();
        }

        @Override
        public boolean mayMeet(Area seen) {
            double left = Double.MAX_VALUE;
            double top = Double.MAX_VALUE;
            double right = -Double.MAX_VALUE;
            double bottom = -Double.MAX_VALUE;
            for (Point point : points) {
                left = Math.min(left, point.x());
                top = Math.min(top, point.y());
                right = Math.max(right, point.x());
                bottom = Math.max(bottom, point.y());
            }
            return left - width < seen.right()
                    && seen.x() < right + width
                    && top - width < seen.bottom()
                    && seen.y() < bottom + width;
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.line(this);
        }
    }

    /** A small circle with paper inside. */
    record Circle(Id origin, Point centre, double radius, Ink ink, double width) implements Mark {
        @Override
        public boolean isOverLines() {
            return false;
        }

        @Override
        public boolean mayMeet(Area seen) {
            double reach = radius + width;
            return new Area(centre.x() - reach, centre.y() - reach, 2 * reach, 2 * reach).meets(seen);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.circle(this);
        }
    }

    /** A text that begins at a point of its base line. */
    record Label(Id origin, Point start, String text, Face face, double size, Ink ink) implements Mark {
        private static final Pattern BREAKING = Pattern.compile("[\\p{Cc}\\p{Cs}\\uFFFE\\uFFFF\\u2028\\u2029]");

        public Label {
            // control characters would break an SVG file, and a line of text
            text = isPlain(text) ? text : BREAKING.matcher(text).replaceAll(" ");
        }

        /** Of nearly all labels, of which there are many, this is all that has to be asked. */
        private static boolean isPlain(String text) {
            for (int i = 0; i < text.length(); i++) {
                char c = text.charAt(i);
                if (c < ' ' || c > '~' && !(c >= '\u00a0' && c < '\u2000')) {
                    return false;
                }
            }
            return true;
        }

        public double width() {
            return face.width(text, size);
        }

        public Area area() {
            return new Area(start.x(), start.y() - size, width(), size * 1.3);
        }

        @Override
        public boolean mayMeet(Area seen) {
            // letters of other scripts may be higher than those of the shipped fonts, and stand out to the left
            return start.y() - 2 * size < seen.bottom()
                    && seen.y() < start.y() + 2 * size
                    && start.x() - size < seen.right();
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.label(this);
        }
    }
}
