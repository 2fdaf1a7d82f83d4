package ableschema.desktop.workspace;

import ableschema.core.design.Id;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import ableschema.core.document.Position;
import ableschema.core.edit.Compound;
import ableschema.core.edit.MoveCards;
import ableschema.diagram.layout.AutoLayout;
import java.util.List;
import java.util.Map;

/** Where cards go that nobody has given a place. */
final class CardPlacing {

    private static final int MANY_CARDS = 60;

    private CardPlacing() {}

    /** Whether to place all cards well takes so long that it is a job. */
    static boolean isLong(Document document) {
        return document.diagram().positions().isEmpty()
                && AutoLayout.wantingPlaces(document).size() > MANY_CARDS;
    }

    /** Places what has no place; where that takes long, in rows for the time being. */
    static Document placed(Document document) {
        if (isLong(document)) {
            return document.moved(AutoLayout.inRows(document));
        }
        Map<Id, Position> unplaced = AutoLayout.forUnplaced(document);
        return unplaced.isEmpty() ? document : document.moved(unplaced);
    }

    /** The edit, with places for the cards that it makes and gives none. */
    static Edit placing(Edit edit, Document document) {
        Map<Id, Position> unplaced = AutoLayout.forUnplaced(edit.applyTo(document));
        return unplaced.isEmpty()
                ? edit
                : new Compound(edit.name(), List.of(edit, new MoveCards(unplaced, edit.name())));
    }
}
