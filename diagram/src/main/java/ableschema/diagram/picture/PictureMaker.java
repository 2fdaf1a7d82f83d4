package ableschema.diagram.picture;

import ableschema.core.design.Id;
import ableschema.core.document.Document;
import ableschema.core.document.Notation;
import ableschema.core.document.Position;
import java.util.Map;

/** Makes the picture of a document in which every card has a place; cards without one stand at the origin. */
public final class PictureMaker {

    private PictureMaker() {}

    public static Picture of(Document document, View view, Notation notation) {
        return of(Contents.of(document, view), document.diagram().positions(), notation);
    }

    /** Makes the picture after a change; lines that the change does not touch keep their way. */
    public static Picture after(Picture before, Contents contents, Map<Id, Position> positions, Notation notation) {
        return PictureDraft.of(before, contents, positions, notation).finished(laid -> {});
    }

    public static Picture of(Contents contents, Map<Id, Position> positions, Notation notation) {
        return after(Picture.NOTHING, contents, positions, notation);
    }
}
