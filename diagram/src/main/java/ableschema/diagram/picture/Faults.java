package ableschema.diagram.picture;

import ableschema.core.design.Id;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;
import ableschema.diagram.picture.Picture.DrawnLink;
import ableschema.diagram.text.Face;
import java.util.ArrayList;
import java.util.List;

/** Finds in the marks of a picture what makes it hard to read: lines through cards or along others, texts on something. */
public final class Faults {

    /** Lines that run along each other nearer than this look like one. */
    private static final double APART = 3;

    private final List<Area> cards;
    private final List<Stretch> stretches = new ArrayList<>();
    private final List<Text> texts = new ArrayList<>();
    private final List<Fault> faults = new ArrayList<>();

    private Faults(Picture picture) {
        this.cards =
                picture.cards().values().stream().map(Picture.PlacedCard::area).toList();
        for (int i = 0; i < picture.lines().size(); i++) {
            DrawnLink line = picture.lines().get(i);
            for (int j = 1; j < line.points().size(); j++) {
                stretches.add(new Stretch(
                        i, line, line.points().get(j - 1), line.points().get(j)));
            }
            for (Mark mark : line.marks()) {
                if (mark instanceof Mark.Label label) {
                    texts.add(new Text(i, line, label.area().grown(-1.5), isGrounded(line, label)));
                }
            }
        }
    }

    /** What is wrong. */
    public enum Kind {
        LINE_THROUGH_CARD,
        LINE_ALONG_LINE,
        TEXT_ON_CARD,
        TEXT_ON_LINE,
        TEXT_ON_TEXT
    }

    /** One thing wrong, and the relationship whose line or text it is. */
    public record Fault(Kind kind, Id relationship, Area where) {}

    /** A straight stretch of the line with this number. */
    private record Stretch(int line, DrawnLink link, Point a, Point b) {
        boolean isFlat() {
            return a.y() == b.y();
        }

        Area area() {
            return a.to(b);
        }
    }

    /** A text at the line with this number; its own line may pass behind it where paper is laid between. */
    private record Text(int line, DrawnLink link, Area area, boolean grounded) {}

    /** All faults, those of one kind together. */
    public static List<Fault> in(Picture picture) {
        var found = new Faults(picture);
        found.findOnCards();
        found.findAlongLines();
        found.findOnLines();
        found.findOnTexts();
        return found.faults;
    }

    /** How many lines have a verb for which there was no room. */
    public static long unnamed(Picture picture) {
        return picture.lines().stream()
                .filter(line -> !line.link().verb().isEmpty()
                        && line.marks().stream()
                                .noneMatch(mark -> mark instanceof Mark.Label label && label.face() == Face.ITALIC))
                .count();
    }

    private static boolean isGrounded(DrawnLink line, Mark.Label label) {
        return line.marks().stream()
                .anyMatch(mark -> (mark instanceof Mark.Box box
                                && box.area()
                                        .contains(new Point(
                                                label.area().centreX(),
                                                label.area().centreY())))
                        || (mark instanceof Mark.Line filled && filled.fill().isPresent()));
    }

    private void add(Kind kind, DrawnLink line, Area where) {
        faults.add(new Fault(kind, line.link().relationship(), where));
    }

    private void findOnCards() {
        for (Area card : cards) {
            Area inside = card.grown(-1);
            stretches.stream()
                    .filter(stretch -> touches(stretch.area(), inside))
                    .forEach(stretch -> add(Kind.LINE_THROUGH_CARD, stretch.link(), card));
            texts.stream()
                    .filter(text -> text.area().meets(card))
                    .forEach(text -> add(Kind.TEXT_ON_CARD, text.link(), text.area()));
        }
    }

    /** Whether areas meet, one of which may have no width or height. */
    private static boolean touches(Area line, Area area) {
        return line.x() <= area.right()
                && area.x() <= line.right()
                && line.y() <= area.bottom()
                && area.y() <= line.bottom();
    }

    private void findAlongLines() {
        for (int i = 0; i < stretches.size(); i++) {
            for (int j = i + 1; j < stretches.size(); j++) {
                Stretch one = stretches.get(i);
                Stretch other = stretches.get(j);
                if (one.line() != other.line() && one.isFlat() == other.isFlat() && runAlong(one, other)) {
                    add(Kind.LINE_ALONG_LINE, one.link(), one.area());
                }
            }
        }
    }

    private static boolean runAlong(Stretch one, Stretch other) {
        Area a = one.area();
        Area b = other.area();
        double across = one.isFlat() ? Math.abs(a.y() - b.y()) : Math.abs(a.x() - b.x());
        double along = one.isFlat()
                ? Math.min(a.right(), b.right()) - Math.max(a.x(), b.x())
                : Math.min(a.bottom(), b.bottom()) - Math.max(a.y(), b.y());
        return across < APART && along > 1;
    }

    private void findOnLines() {
        for (Text text : texts) {
            for (Stretch stretch : stretches) {
                boolean ownBehind = stretch.line() == text.line() && text.grounded();
                if (!ownBehind && touches(stretch.area(), text.area())) {
                    add(Kind.TEXT_ON_LINE, text.link(), text.area());
                }
            }
        }
    }

    private void findOnTexts() {
        for (int i = 0; i < texts.size(); i++) {
            for (int j = i + 1; j < texts.size(); j++) {
                if (texts.get(i).area().meets(texts.get(j).area())) {
                    add(Kind.TEXT_ON_TEXT, texts.get(i).link(), texts.get(i).area());
                }
            }
        }
    }
}
