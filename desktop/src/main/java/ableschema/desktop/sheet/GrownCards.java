package ableschema.desktop.sheet;

import ableschema.core.design.Id;
import ableschema.core.document.Edit;
import ableschema.core.document.Position;
import ableschema.core.edit.MoveCards;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.layout.Pushing;
import ableschema.diagram.picture.Picture;
import ableschema.diagram.picture.Picture.PlacedCard;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** The cards that an edit made larger, or made, and what has to move so that they cover nothing. */
final class GrownCards {

    /** So many are another picture, and not one in which something grew. */
    private static final int MOST = 40;

    private GrownCards() {}

    /** @param fixed the cards that stay where they are */
    static Optional<Edit> between(Picture before, Picture now, Collection<Id> fixed) {
        Set<Id> grown = now.cards().values().stream()
                .filter(card -> isLarger(card, before))
                .map(card -> card.card().id())
                .collect(Collectors.toSet());
        if (grown.isEmpty() || grown.size() > MOST || before.cards().isEmpty()) {
            return Optional.empty();
        }
        Map<Id, Area> areas = new LinkedHashMap<>();
        now.cards().forEach((id, card) -> areas.put(id, card.area()));
        Map<Id, Position> places = new LinkedHashMap<>();
        Pushing.moved(areas, grown, Set.copyOf(fixed))
                .forEach((id, area) -> places.put(id, new Position(area.x(), area.y())));
        return places.isEmpty() ? Optional.empty() : Optional.of(new MoveCards(places, "make room"));
    }

    private static boolean isLarger(PlacedCard card, Picture before) {
        PlacedCard known = before.cards().get(card.card().id());
        return known == null
                || card.area().width() > known.area().width()
                || card.area().height() > known.area().height();
    }
}
