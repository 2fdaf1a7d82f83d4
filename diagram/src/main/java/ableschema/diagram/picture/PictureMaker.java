package ableschema.diagram.picture;

import ableschema.core.design.Id;
import ableschema.core.document.Document;
import ableschema.core.document.Notation;
import ableschema.core.document.Position;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;
import ableschema.diagram.picture.Picture.DrawnLink;
import ableschema.diagram.picture.Picture.PlacedCard;
import ableschema.diagram.route.Route;
import ableschema.diagram.route.Router;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Makes the picture of a document in which every card has a place; cards without one stand at the origin. */
public final class PictureMaker {

    private static final Picture NOTHING = new Picture(Map.of(), List.of(), Notation.CROWSFOOT);

    private PictureMaker() {}

    public static Picture of(Document document, View view, Notation notation) {
        return of(Contents.of(document, view), document.diagram().positions(), notation, NOTHING);
    }

    /** Makes the picture after a change; lines that the change does not touch keep their way. */
    public static Picture after(Picture before, Contents contents, Map<Id, Position> positions, Notation notation) {
        return of(contents, positions, notation, before);
    }

    public static Picture of(Contents contents, Map<Id, Position> positions, Notation notation) {
        return of(contents, positions, notation, NOTHING);
    }

    private static Picture of(Contents contents, Map<Id, Position> positions, Notation notation, Picture before) {
        var cards = new LinkedHashMap<Id, PlacedCard>();
        for (Card card : contents.cards()) {
            Position at = positions.getOrDefault(card.id(), new Position(0, 0));
            cards.put(card.id(), placed(card, at, before.cards().get(card.id())));
        }
        List<Link> links = contents.links().stream()
                .filter(l -> cards.containsKey(l.first().card())
                        && cards.containsKey(l.second().card()))
                .toList();
        return new Picture(cards, new Lines(cards, before, notation).of(links), notation);
    }

    /** A card that has not changed keeps its size, which takes long to measure; one that has not moved either is the same. */
    private static PlacedCard placed(Card card, Position at, @Nullable PlacedCard known) {
        if (known == null || !known.card().equals(card)) {
            return new PlacedCard(card, card.at(at.x(), at.y()));
        }
        Area area = known.area();
        return area.x() == at.x() && area.y() == at.y()
                ? known
                : new PlacedCard(card, new Area(at.x(), at.y(), area.width(), area.height()));
    }

    /** Lays and draws the lines between cards; a line that no change comes near stays the same instance. */
    private static final class Lines {

        private static final double NEAR = 48;

        private final Map<Id, Area> areas;
        private final Picture before;
        private final Notation notation;
        private final Map<Route.Wanted, DrawnLink> drawnBefore = new HashMap<>();

        Lines(Map<Id, PlacedCard> cards, Picture before, Notation notation) {
            this.areas = areas(cards);
            this.before = before;
            this.notation = notation;
            before.lines().forEach(line -> drawnBefore.put(wanted(line.link()), line));
        }

        private static Map<Id, Area> areas(Map<Id, PlacedCard> cards) {
            var areas = new LinkedHashMap<Id, Area>();
            cards.forEach((id, card) -> areas.put(id, card.area()));
            return areas;
        }

        private static Route.Wanted wanted(Link link) {
            return new Route.Wanted(
                    link.relationship(), link.first().card(), link.second().card());
        }

        List<DrawnLink> of(List<Link> links) {
            var known = new HashMap<Route.Wanted, Route>();
            drawnBefore.forEach((wanted, line) -> known.put(wanted, new Route(line.points())));
            List<Route> routes =
                    new Router(areas).routes(links.stream().map(Lines::wanted).toList(), areas(before.cards()), known);
            var room = new Room(areas.values(), routes);
            List<Area> changed = changed(links, routes);
            var drawn = new DrawnLink[links.size()];
            var open = new LinkedHashMap<Integer, LinkMarks>();
            for (int i = 0; i < links.size(); i++) {
                DrawnLink same = unchanged(links.get(i), routes.get(i), changed);
                if (same == null) {
                    open.put(i, LinkMarks.of(links.get(i), routes.get(i), notation, room));
                } else {
                    drawn[i] = same;
                    same.marks().forEach(mark -> LinkMarks.take(mark, room));
                    LinkMarks.takeEnds(same.points(), room);
                }
            }
            open.forEach((i, marks) -> drawn[i] = marks.named(notation));
            return List.of(drawn);
        }

        /** Where cards or lines are that were not there, or no longer are. */
        private List<Area> changed(List<Link> links, List<Route> routes) {
            var changed = new ArrayList<Area>();
            areas.forEach((id, area) -> {
                PlacedCard earlier = before.cards().get(id);
                if (earlier == null || !earlier.area().equals(area)) {
                    changed.add(area);
                }
            });
            before.cards().forEach((id, card) -> {
                if (!card.area().equals(areas.get(id))) {
                    changed.add(card.area());
                }
            });
            var left = new HashMap<>(drawnBefore);
            for (int i = 0; i < links.size(); i++) {
                DrawnLink earlier = left.remove(wanted(links.get(i)));
                if (earlier == null
                        || !earlier.points().equals(routes.get(i).points())
                        || !earlier.link().equals(links.get(i))) {
                    changed.add(reach(routes.get(i).points()));
                    if (earlier != null) {
                        changed.add(reach(earlier.points()));
                    }
                }
            }
            left.values().forEach(line -> changed.add(reach(line.points())));
            return changed;
        }

        private static Area reach(List<Point> points) {
            return points.stream()
                    .map(point -> new Area(point.x(), point.y(), 0, 0))
                    .reduce(Area::union)
                    .orElseThrow() // a route has at least two points
                    .grown(NEAR);
        }

        private @Nullable DrawnLink unchanged(Link link, Route route, List<Area> changed) {
            DrawnLink earlier = drawnBefore.get(wanted(link));
            boolean same = earlier != null
                    && notation == before.notation()
                    && earlier.link().equals(link)
                    && earlier.points().equals(route.points())
                    && changed.stream().noneMatch(reach(route.points())::meets);
            return same ? earlier : null;
        }
    }
}
