package ableschema.diagram.picture;

import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.document.District;
import ableschema.core.document.Document;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The cards and links that a view of a document shows, before anything has a place.
 *
 * @param far the links that leave their district, which are named on the cards at their ends
 * @param farDrawn whether they are drawn, too
 */
public record Contents(List<Card> cards, List<Link> links, List<Link> far, List<District> districts, boolean farDrawn) {

    public Contents {
        cards = List.copyOf(cards);
        links = List.copyOf(links);
        far = List.copyOf(far);
        districts = List.copyOf(districts);
    }

    /** Contents in one piece. */
    public Contents(List<Card> cards, List<Link> links) {
        this(cards, links, List.of(), List.of(), false);
    }

    public static Contents of(Document document, View view) {
        return new ContentsMaker().of(document, document.mapping(), view);
    }

    /** The cards that a link joins to this one, and itself. */
    public Set<Id> neighbours(Id card) {
        return Stream.concat(
                        Stream.of(card),
                        Stream.concat(links.stream(), far.stream())
                                .filter(link -> link.first().card().equals(card)
                                        || link.second().card().equals(card))
                                .flatMap(link -> Stream.of(
                                        link.first().card(), link.second().card())))
                .collect(Collectors.toSet());
    }

    /** These entities, and the many-to-many between them. */
    public Contents only(Set<Id> entities, Design design) {
        List<Card> shown = cards.stream()
                .filter(card -> entities.contains(card.id())
                        || design.relationship(card.id())
                                .filter(r -> entities.contains(r.first().entity())
                                        && entities.contains(r.second().entity()))
                                .isPresent())
                .toList();
        Set<Id> ids = shown.stream().map(Card::id).collect(Collectors.toSet());
        return new Contents(shown, among(ids, links), among(ids, far), districts, farDrawn);
    }

    private static List<Link> among(Set<Id> ids, List<Link> links) {
        return links.stream()
                .filter(link -> ids.contains(link.first().card())
                        && ids.contains(link.second().card()))
                .toList();
    }
}
