package ableschema.core.document;

import ableschema.core.design.Id;
import java.util.List;

/**
 * A neighbourhood on the sheet: cards that are drawn together, with all lines between them. A line to another district ends
 * at the cards, which name what it leads to.
 *
 * @param cards entities and many-to-many relationships
 */
public record District(String name, List<Id> cards) {
    public District {
        cards = List.copyOf(cards);
    }

    public District withName(String name) {
        return new District(name, cards);
    }
}
