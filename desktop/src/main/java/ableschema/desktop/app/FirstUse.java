package ableschema.desktop.app;

import ableschema.core.document.Document;
import ableschema.core.review.Review;
import ableschema.core.review.Subject;
import ableschema.core.words.DesignReader;
import ableschema.diagram.layout.AutoLayout;
import ableschema.diagram.picture.PictureMaker;
import ableschema.diagram.picture.View;
import java.util.concurrent.atomic.AtomicBoolean;

/**
 * Loads what the first rule needs to be read, laid out and drawn while nothing is asked for yet: without it that rule holds the
 * window's thread for half a second.
 */
final class FirstUse {

    private static final AtomicBoolean PREPARED = new AtomicBoolean();

    private FirstUse() {}

    /** Once, on a thread of its own that nothing waits for. */
    static void prepare() {
        if (PREPARED.compareAndSet(false, true)) {
            var thread = new Thread(FirstUse::use, "able-first-use");
            thread.setDaemon(true);
            thread.setPriority(Thread.MIN_PRIORITY);
            thread.start();
        }
    }

    private static void use() {
        Document read = DesignReader.read("Each a has name: text 9 (key). A b belongs to exactly one a and has a size.")
                .document();
        Document placed = AutoLayout.completed(read);
        Review.of(Subject.of(placed, placed.mapping()));
        PictureMaker.of(placed, View.CONCEPT, placed.diagram().notation());
    }
}
