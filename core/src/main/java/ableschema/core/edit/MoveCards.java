package ableschema.core.edit;

import ableschema.core.design.Id;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import ableschema.core.document.Position;
import java.util.Map;

/** Puts cards at other places on the sheet; the design stays the same instance. */
public record MoveCards(Map<Id, Position> positions, String name) implements Edit {
    public MoveCards {
        positions = Map.copyOf(positions);
    }

    @Override
    public Document applyTo(Document document) {
        return document.diagram().positions().entrySet().containsAll(positions.entrySet())
                ? document
                : document.moved(positions);
    }
}
