package ableschema.diagram.picture;

import ableschema.core.design.Id;
import ableschema.core.document.Detail;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;
import ableschema.diagram.picture.Card.Entry;
import ableschema.diagram.text.Face;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Draws a card within its area, which is always that of the full detail, so that lines stay where they are. */
public final class CardMarks {

    private static final double RADIUS = 6;

    private final Card card;
    private final Area area;
    private final List<Mark> marks = new ArrayList<>();

    private CardMarks(Card card, Area area) {
        this.card = card;
        this.area = area;
    }

    public static List<Mark> of(Card card, Area area, Detail detail) {
        var drawing = new CardMarks(card, area);
        drawing.paper();
        drawing.title();
        if (detail != Detail.NAMES) {
            drawing.entries(detail);
        }
        return drawing.marks;
    }

    private void paper() {
        marks.add(new Mark.Box(card.id(), area, RADIUS, Optional.of(Ink.PAPER), Optional.of(Ink.EDGE), 1.4));
        if (card.weak()) {
            Area inner = new Area(area.x() + 7, area.y() + 3, area.width() - 10, area.height() - 6);
            marks.add(new Mark.Box(card.id(), inner, RADIUS - 2, Optional.empty(), Optional.of(Ink.EDGE), 1));
        }
        marks.add(new Mark.Box(
                card.id(),
                new Area(area.x(), area.y(), 4, area.height()),
                2,
                Optional.of(card.ink()),
                Optional.empty(),
                0));
    }

    private void title() {
        double kindWidth = Face.REGULAR.width(card.kind(), Card.NOTE_SIZE);
        double y = area.y() + 22;
        String title = Face.SEMIBOLD.fitting(
                card.title(), Card.TITLE_SIZE, area.width() - Card.LEFT - Card.RIGHT - kindWidth - 12);
        text(area.x() + Card.LEFT, y, title, Face.SEMIBOLD, Card.TITLE_SIZE, Ink.INK, card.id());
        text(
                area.right() - Card.RIGHT - kindWidth,
                y,
                card.kind(),
                Face.REGULAR,
                Card.NOTE_SIZE,
                card.ink(),
                card.id());
    }

    private void entries(Detail detail) {
        double y = area.y() + Card.TITLE_HEIGHT;
        for (Entry entry : card.key()) {
            entry(entry, y);
            y += Card.LINE;
        }
        y += Card.GAP / 2;
        hairline(y);
        y += Card.GAP / 2;
        if (detail == Detail.EVERYTHING) {
            for (Entry entry : card.others()) {
                entry(entry, y);
                y += Card.LINE;
            }
            if (!card.far().isEmpty()) {
                hairline(y + Card.GAP / 2);
                y += Card.GAP;
            }
            for (Entry entry : card.far()) {
                entry(entry, y, Ink.MUTED);
                y += Card.LINE;
            }
        }
    }

    private void hairline(double y) {
        marks.add(new Mark.Line(
                card.id(),
                List.of(new Point(area.x() + Card.LEFT - 4, y), new Point(area.right() - Card.RIGHT + 4, y)),
                0,
                Ink.HAIRLINE,
                1,
                Optional.empty()));
    }

    private void entry(Entry entry, double top) {
        entry(entry, top, Ink.INK);
    }

    private void entry(Entry entry, double top, Ink ink) {
        double base = top + 14;
        double most = area.width() - Card.LEFT - Card.RIGHT;
        double beside = most - Face.REGULAR.width(entry.name(), Card.TEXT_SIZE) - 12;
        String note = Face.MONO.fitting(entry.note(), Card.NOTE_SIZE, Math.max(beside, most * 0.5));
        double noteWidth = Face.MONO.width(note, Card.NOTE_SIZE);
        String name = Face.REGULAR.fitting(entry.name(), Card.TEXT_SIZE, most - noteWidth - 12);
        double x = area.x() + Card.LEFT;
        text(x, base, name, Face.REGULAR, Card.TEXT_SIZE, ink, entry.origin());
        text(area.right() - Card.RIGHT - noteWidth, base, note, Face.MONO, Card.NOTE_SIZE, Ink.MUTED, entry.origin());
        if (entry.underlined()) {
            double end = x + Face.REGULAR.width(name, Card.TEXT_SIZE);
            marks.add(new Mark.Line(
                    entry.origin(),
                    List.of(new Point(x, base + 3), new Point(end, base + 3)),
                    0,
                    Ink.INK,
                    1.2,
                    Optional.empty()));
        }
    }

    private void text(double x, double y, String text, Face face, double size, Ink ink, Id origin) {
        if (!text.isEmpty()) {
            marks.add(new Mark.Label(origin, new Point(x, y), text, face, size, ink));
        }
    }
}
