package ableschema.diagram.picture;

import ableschema.core.design.Id;
import ableschema.core.document.Document;
import ableschema.core.document.Notation;
import ableschema.core.document.Position;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.picture.Picture.DrawnLink;
import ableschema.diagram.picture.Picture.PlacedCard;
import ableschema.diagram.route.Route;
import ableschema.diagram.route.Router;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Makes the picture of a document in which every card has a place; cards without one stand at the origin. */
public final class PictureMaker {

    private static final Picture NOTHING = new Picture(Map.of(), List.of());

    private PictureMaker() {}

    public static Picture of(Document document, View view, Notation notation) {
        return of(Contents.of(document, view), document.diagram().positions(), notation, NOTHING);
    }

    /** Makes the picture after a change; lines that the change does not touch keep their way. */
    public static Picture after(Picture before, Document document, View view, Notation notation) {
        return of(Contents.of(document, view), document.diagram().positions(), notation, before);
    }

    public static Picture of(Contents contents, Map<Id, Position> positions, Notation notation) {
        return of(contents, positions, notation, NOTHING);
    }

    private static Picture of(Contents contents, Map<Id, Position> positions, Notation notation, Picture before) {
        var cards = new LinkedHashMap<Id, PlacedCard>();
        for (Card card : contents.cards()) {
            Position at = positions.getOrDefault(card.id(), new Position(0, 0));
            cards.put(card.id(), new PlacedCard(card, card.at(at.x(), at.y())));
        }
        List<Link> links = contents.links().stream()
                .filter(l -> cards.containsKey(l.first().card())
                        && cards.containsKey(l.second().card()))
                .toList();
        return new Picture(cards, lines(links, areas(cards), notation, before));
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

    private static List<DrawnLink> lines(List<Link> links, Map<Id, Area> areas, Notation notation, Picture before) {
        var known = new HashMap<Route.Wanted, Route>();
        before.lines().forEach(line -> known.put(wanted(line.link()), new Route(line.points())));
        List<Route> routes = new Router(areas)
                .routes(links.stream().map(PictureMaker::wanted).toList(), areas(before.cards()), known);
        var room = new Room(areas.values(), routes);
        var ends = new ArrayList<LinkMarks>();
        for (int i = 0; i < links.size(); i++) {
            ends.add(LinkMarks.of(links.get(i), routes.get(i), notation, room));
        }
        return ends.stream().map(marks -> marks.named(notation)).toList();
    }
}
