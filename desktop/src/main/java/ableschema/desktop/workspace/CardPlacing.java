package ableschema.desktop.workspace;

import ableschema.core.design.Id;
import ableschema.core.document.Document;
import ableschema.core.document.Position;
import ableschema.diagram.layout.AutoLayout;
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
        return completed(document);
    }

    /** Places what an edit has made and given no place. */
    static Document completed(Document document) {
        Map<Id, Position> unplaced = AutoLayout.forUnplaced(document);
        return unplaced.isEmpty() ? document : document.moved(unplaced);
    }
}
