package ableschema.desktop.workspace;

import ableschema.core.document.Document;
import ableschema.core.mapping.Mapping;
import ableschema.core.review.Review;
import ableschema.core.review.Subject;
import ableschema.diagram.layout.AutoLayout;
import java.util.Optional;

/**
 * A document ready to be shown: each card with a place, the tables derived, everything reviewed but where that can wait. Of a
 * large design this takes so long that it is a job.
 *
 * @param review empty where the document is to be reviewed once it is shown
 */
public record Opened(Document document, Mapping mapping, Optional<Review> review) {

    private static final int MANY = 60;

    static boolean isLong(Document document) {
        return document.design().entities().size() > MANY;
    }

    /** Safe on any thread. */
    public static Opened of(Document document) {
        if (document == Document.EMPTY) {
            return new Opened(document, document.mapping(), Optional.of(Review.NONE)); // there is nothing to look at
        }
        Opened seen = toBeSeen(document);
        return new Opened(
                seen.document(), seen.mapping(), Optional.of(Review.of(Subject.of(seen.document(), seen.mapping()))));
    }

    /** With no more than the first picture needs. Safe on any thread. */
    public static Opened toBeSeen(Document document) {
        Document placed = AutoLayout.completed(document);
        return new Opened(placed, placed.mapping(Mapping.NONE), Optional.empty());
    }
}
