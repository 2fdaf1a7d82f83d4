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
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Makes the picture of a document in which every card has a place; cards without one stand at the origin. */
public final class PictureMaker {

    private PictureMaker() {}

    public static Picture of(Document document, View view, Notation notation) {
        Contents contents = Contents.of(document, view);
        return of(contents, document.diagram().positions(), notation);
    }

    public static Picture of(Contents contents, Map<Id, Position> positions, Notation notation) {
        var cards = new LinkedHashMap<Id, PlacedCard>();
        for (Card card : contents.cards()) {
            Position at = positions.getOrDefault(card.id(), new Position(0, 0));
            cards.put(card.id(), new PlacedCard(card, card.at(at.x(), at.y())));
        }
        return new Picture(cards, lines(contents, cards, notation));
    }

    private static List<DrawnLink> lines(Contents contents, Map<Id, PlacedCard> cards, Notation notation) {
        var areas = new LinkedHashMap<Id, Area>();
        cards.forEach((id, card) -> areas.put(id, card.area()));
        List<Link> links = contents.links().stream()
                .filter(l -> cards.containsKey(l.first().card())
                        && cards.containsKey(l.second().card()))
                .toList();
        List<Route> routes = new Router(areas)
                .routes(links.stream()
                        .map(link -> new Route.Wanted(
                                link.first().card(), link.second().card()))
                        .toList());
        var occupied = new ArrayList<Area>(areas.values());
        var drawn = new ArrayList<DrawnLink>();
        for (int i = 0; i < links.size(); i++) {
            drawn.add(LinkMarks.of(links.get(i), routes.get(i), notation, areas.values(), occupied));
        }
        return drawn;
    }
}
