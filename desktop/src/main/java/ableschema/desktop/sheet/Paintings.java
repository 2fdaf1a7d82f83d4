package ableschema.desktop.sheet;

import ableschema.core.design.Id;
import ableschema.core.document.Detail;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;
import ableschema.diagram.paint.Painting;
import ableschema.diagram.paint.Palette;
import ableschema.diagram.picture.CardMarks;
import ableschema.diagram.picture.Ink;
import ableschema.diagram.picture.Mark;
import ableschema.diagram.picture.Picture;
import ableschema.diagram.picture.Picture.DrawnDistrict;
import ableschema.diagram.picture.Picture.DrawnLink;
import ableschema.diagram.picture.Picture.PlacedCard;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;

/** Makes the painting of a picture with what is lit in it; parts that stay the same stay the same instances. */
final class Paintings {

    private static final double FADED = 0.4;
    private static final double AROUND = 16;
    private static final double FROM_AFAR = 0.86;

    /** The layers of a line: itself, the paper behind its words, which never fades, and its words. */
    private static final int GROUNDS = 1;

    private static final int WORDS = 2;

    private final Map<DrawnDistrict, List<Painting.Part>> frames = new HashMap<>();
    private final Map<Mark.Line, Painting.Part> farLines = new HashMap<>();

    /** The marks of each card, which stay the same while it fades and lights up, or is seen from afar and from near. */
    private final Map<PlacedCard, Map<Detail, List<Mark>>> cardMarks = new IdentityHashMap<>();

    private Map<Object, Made> known = new IdentityHashMap<>();

    /** The layers made from one line or card, which last as long as it and its light do. */
    private record Made(boolean lit, boolean faded, Detail detail, List<Painting.Part> layers) {
        boolean isFor(boolean lit, boolean faded, Detail detail) {
            return this.lit == lit && this.faded == faded && this.detail == detail;
        }
    }

    /**
     * What is lit.
     *
     * @param chosen the relationship or entity that is chosen, with what else is
     * @param near   the cards that do not fade; empty where nothing does
     * @param lifted the cards that are being carried and so are not on the paper
     */
    record Light(Set<Id> chosen, Set<Id> near, Set<Id> lifted) {
        boolean fades(DrawnLink link) {
            return !chosen.isEmpty()
                    && !chosen.contains(link.link().relationship())
                    && !chosen.contains(link.link().first().card())
                    && !chosen.contains(link.link().second().card());
        }
    }

    Painting of(Picture picture, Detail detail, Light light, Palette palette) {
        var fresh = new IdentityHashMap<Object, Made>(2 * known.size());
        var lines = new ArrayList<Made>();
        for (DrawnLink link : picture.lines()) {
            boolean lit = light.chosen().contains(link.link().relationship());
            Made made = made(link, lit, light.fades(link));
            fresh.put(link, made);
            lines.add(made);
        }
        var parts = new ArrayList<Painting.Part>(known.size());
        for (DrawnDistrict district : picture.districts()) {
            parts.add(frames.computeIfAbsent(district, Paintings::framed).get(0));
        }
        frames.keySet().retainAll(Set.copyOf(picture.districts()));
        List<Mark.Line> straight = picture.farMarks();
        straight.forEach(line -> parts.add(farLines.computeIfAbsent(line, Paintings::part)));
        farLines.keySet().retainAll(Set.copyOf(straight));
        for (int layer = 0; layer <= WORDS; layer++) {
            for (Made line : lines) {
                add(line.layers().get(layer), parts);
            }
        }
        for (PlacedCard card : picture.cards().values()) {
            Id id = card.card().id();
            if (!light.lifted().contains(id)) {
                Made made = made(card, !light.near().isEmpty() && !light.near().contains(id), detail);
                fresh.put(card, made);
                parts.add(made.layers().get(0));
            }
        }
        if (detail == Detail.NAMES) {
            picture.districts()
                    .forEach(district -> parts.add(
                            frames.computeIfAbsent(district, Paintings::framed).get(1)));
        }
        known = fresh;
        cardMarks.keySet().removeIf(card -> picture.cards().get(card.card().id()) != card);
        return new Painting(parts, palette);
    }

    /** The frame with its name, and the name as it is written over the cards seen from afar. */
    private static List<Painting.Part> framed(DrawnDistrict district) {
        Area around = district.area().grown(district.area().width());
        return List.of(
                new Painting.Part(district.area().grown(2), district.marks(), 1),
                new Painting.Part(around, district.nameFromAfar(), FROM_AFAR));
    }

    private static Painting.Part part(Mark.Line line) {
        Point start = line.points().get(0);
        Point end = line.points().get(1);
        Area bounds = new Area(start.x(), start.y(), 0, 0).union(new Area(end.x(), end.y(), 0, 0));
        return new Painting.Part(bounds.grown(2), List.of(line), 1);
    }

    private static void add(Painting.Part part, List<Painting.Part> parts) {
        if (!part.marks().isEmpty()) {
            parts.add(part);
        }
    }

    private Made made(PlacedCard card, boolean faded, Detail detail) {
        Made made = known.get(card);
        if (made != null && made.isFor(false, faded, detail)) {
            return made;
        }
        return new Made(
                false,
                faded,
                detail,
                List.of(new Painting.Part(card.area().grown(2), () -> marks(card, detail), faded ? FADED : 1)));
    }

    private List<Mark> marks(PlacedCard card, Detail detail) {
        return cardMarks
                .computeIfAbsent(card, each -> new EnumMap<>(Detail.class))
                .computeIfAbsent(detail, each -> CardMarks.of(card.card(), card.area(), each));
    }

    private Made made(DrawnLink link, boolean lit, boolean faded) {
        Made made = known.get(link);
        if (made != null && made.isFor(lit, faded, Detail.EVERYTHING)) {
            return made;
        }
        Area bounds = made == null ? bounds(link) : made.layers().get(0).bounds();
        return new Made(
                lit,
                faded,
                Detail.EVERYTHING,
                IntStream.rangeClosed(0, WORDS)
                        .mapToObj(layer -> new Painting.Part(
                                bounds,
                                made != null && made.lit() == lit
                                        ? made.layers().get(layer).marks()
                                        : marks(link, layer, lit),
                                faded && layer != GROUNDS ? FADED : 1))
                        .toList());
    }

    private static List<Mark> marks(DrawnLink link, int layer, boolean lit) {
        return link.marks().stream()
                .filter(mark -> layer(mark) == layer)
                .map(mark -> lit ? mark.accept(new Lit()) : mark)
                .toList();
    }

    private static int layer(Mark mark) {
        return !mark.isOverLines() ? 0 : mark instanceof Mark.Box ? GROUNDS : WORDS;
    }

    private static Area bounds(DrawnLink link) {
        Area all = link.points().stream()
                .map(point -> new Area(point.x(), point.y(), 0, 0))
                .reduce(Area::union)
                .orElseThrow(); // a line has at least two points
        for (Mark mark : link.marks()) {
            if (mark instanceof Mark.Label label) {
                all = all.union(label.area());
            } else if (mark instanceof Mark.Box box) {
                all = all.union(box.area());
            } else if (mark instanceof Mark.Line line) {
                for (Point point : line.points()) {
                    all = all.union(new Area(point.x(), point.y(), 0, 0));
                }
            }
        }
        return all.grown(AROUND);
    }

    /** A mark in the colour of what is chosen. */
    private static final class Lit implements Mark.Visitor<Mark> {
        private static Ink lit(Ink ink) {
            return ink == Ink.MUTED ? Ink.PINE : ink;
        }

        @Override
        public Mark box(Mark.Box box) {
            return box;
        }

        @Override
        public Mark line(Mark.Line line) {
            return new Mark.Line(
                    line.origin(), line.points(), line.radius(), lit(line.ink()), line.width() + 0.8, line.fill());
        }

        @Override
        public Mark circle(Mark.Circle circle) {
            return new Mark.Circle(
                    circle.origin(), circle.centre(), circle.radius(), lit(circle.ink()), circle.width());
        }

        @Override
        public Mark label(Mark.Label label) {
            return new Mark.Label(
                    label.origin(), label.start(), label.text(), label.face(), label.size(), lit(label.ink()));
        }
    }
}
