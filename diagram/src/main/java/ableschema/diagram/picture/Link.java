package ableschema.diagram.picture;

import ableschema.core.design.Cardinality;
import ableschema.core.design.Id;

/**
 * A line between two cards, or from one to itself.
 *
 * @param relationship the relationship it comes from
 * @param verb         what the first does to the second
 * @param inverse      what the second does to the first
 * @param detail       what the relationship holds of its own, such as its attributes; empty for nothing
 * @param kind         whether the second is a kind of the first
 */
public record Link(
        Id relationship, LinkEnd first, LinkEnd second, String verb, String inverse, String detail, boolean kind) {

    /** The card at an end, and how many of it one of the other card has. */
    public record LinkEnd(Id card, Cardinality cardinality) {}

    public boolean isLoop() {
        return first.card().equals(second.card());
    }

    /** Whether the second end is the one side, so that it belongs on the left. */
    public boolean isOneToTheSecond() {
        return first.cardinality().isMany() && !second.cardinality().isMany();
    }
}
