package ableschema.desktop.workspace;

import ableschema.core.document.Document;
import ableschema.core.mapping.Mapping;
import ableschema.core.review.Review;
import ableschema.core.review.Subject;
import ableschema.diagram.layout.AutoLayout;

/**
 * A document ready to be shown: each card with a place, the tables derived, everything reviewed. Of a large design this takes
 * so long that it is a job.
 */
public record Opened(Document document, Mapping mapping, Review review) {

    private static final int MANY = 60;

    static boolean isLong(Document document) {
        return document.design().entities().size() > MANY;
    }

    /** Safe on any thread. */
    public static Opened of(Document document) {
        if (document == Document.EMPTY) {
            return new Opened(document, document.mapping(), Review.NONE); // there is nothing to look at
        }
        Document placed = AutoLayout.completed(document);
        Mapping mapping = placed.mapping(Mapping.NONE);
        return new Opened(placed, mapping, Review.of(Subject.of(placed, mapping)));
    }
}
