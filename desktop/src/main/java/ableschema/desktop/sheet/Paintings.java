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
import ableschema.diagram.picture.Picture.DrawnLink;
import ableschema.diagram.picture.Picture.PlacedCard;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;

/** Makes the painting of a picture with what is lit in it; parts that stay the same stay the same instances. */
final class Paintings {

    private static final double FADED = 0.4;
    private static final double AROUND = 16;

    /** The layers of a line: itself, the paper behind its words, which never fades, and its words. */
    private static final int GROUNDS = 1;

    private static final int WORDS = 2;

    private Map<Key, Painting.Part> known = new HashMap<>();
    private final Map<Object, Area> bounds = new IdentityHashMap<>();

    /** What a part is made from. */
    private record Key(Object source, int layer, boolean lit, boolean faded, Detail detail) {
        @Override
        public boolean equals(Object other) {
            return other instanceof Key key
                    && source == key.source
                    && layer == key.layer
                    && lit == key.lit
                    && faded == key.faded
                    && detail == key.detail;
        }

        @Override
        public int hashCode() {
            return System.identityHashCode(source) * 31 + layer * 4 + (lit ? 2 : 0) + (faded ? 1 : 0);
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
        var fresh = new HashMap<Key, Painting.Part>();
        var parts = new ArrayList<Painting.Part>();
        Set<Object> lines = Collections.newSetFromMap(new IdentityHashMap<>());
        lines.addAll(picture.lines());
        for (int layer = 0; layer <= WORDS; layer++) {
            for (DrawnLink link : picture.lines()) {
                boolean lit = light.chosen().contains(link.link().relationship());
                var key = new Key(link, layer, lit, layer != GROUNDS && light.fades(link), Detail.EVERYTHING);
                parts.addAll(kept(key, fresh, k -> link(link, k)));
            }
        }
        for (PlacedCard card : picture.cards().values()) {
            Id id = card.card().id();
            if (!light.lifted().contains(id)) {
                boolean faded = !light.near().isEmpty() && !light.near().contains(id);
                parts.addAll(kept(new Key(card, WORDS, false, faded, detail), fresh, k -> card(card, k)));
            }
        }
        known = fresh;
        bounds.keySet().removeIf(line -> !lines.contains(line));
        return new Painting(parts, palette);
    }

    private List<Painting.Part> kept(Key key, Map<Key, Painting.Part> fresh, Function<Key, Painting.Part> making) {
        Painting.Part part = known.getOrDefault(key, null);
        Painting.Part used = part == null ? making.apply(key) : part;
        fresh.put(key, used);
        return used.marks().isEmpty() ? List.of() : List.of(used);
    }

    private static Painting.Part card(PlacedCard card, Key key) {
        return new Painting.Part(
                card.area().grown(2), CardMarks.of(card.card(), card.area(), key.detail()), key.faded() ? FADED : 1);
    }

    private Painting.Part link(DrawnLink link, Key key) {
        List<Mark> marks = link.marks().stream()
                .filter(mark -> layer(mark) == key.layer())
                .map(mark -> key.lit() ? mark.accept(new Lit()) : mark)
                .toList();
        return new Painting.Part(bounds.computeIfAbsent(link, l -> bounds(link)), marks, key.faded() ? FADED : 1);
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
