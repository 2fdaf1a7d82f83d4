package ableschema.diagram.layout;

import ableschema.core.design.Id;
import ableschema.core.document.Document;
import ableschema.core.document.Position;
import ableschema.core.mapping.Mapping;
import ableschema.diagram.geometry.Area;
import java.util.Map;
import java.util.Objects;
import java.util.Set;

/** The room that each card needs in the larger of the two views, as both share the places. */
record Sizes(Map<Id, Size> byCard) {

    record Size(double width, double height) {}

    static Sizes of(Document document, Mapping mapping) {
        return new Measuring().of(document, mapping);
    }

    Set<Id> cards() {
        return byCard.keySet();
    }

    Size of(Id card) {
        return Objects.requireNonNull(byCard.get(card), "each card has its size");
    }

    /** The paper that some cards need together. */
    Area around(Map<Id, Position> positions) {
        return positions.entrySet().stream()
                .map(each -> at(each.getKey(), each.getValue()))
                .reduce(Area::union)
                .orElseThrow(); // there is a card at least
    }

    Area at(Id card, Position position) {
        Size size = of(card);
        return new Area(position.x(), position.y(), size.width(), size.height());
    }
}
