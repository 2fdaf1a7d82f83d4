package ableschema.desktop.app;

import ableschema.core.document.Document;
import ableschema.core.review.Review;
import ableschema.core.review.Subject;
import ableschema.core.words.DesignReader;
import ableschema.desktop.sheet.Rehearsal;
import ableschema.diagram.layout.AutoLayout;
import java.util.concurrent.atomic.AtomicBoolean;
import javafx.animation.PauseTransition;
import javafx.util.Duration;

/**
 * Uses what the first rule and the first design need to be read, laid out and painted while nothing is asked for yet: without it
 * that rule holds the window's thread for half a second.
 */
final class FirstUse {

    /** In entities: a small one is soon done and enough for the first rule; one in districts is what opening a large one needs. */
    private static final int[] SIZES = {2, 90};

    private static final Duration UNTIL_SEEN = Duration.seconds(1);

    private static final AtomicBoolean PREPARED = new AtomicBoolean();

    private FirstUse() {}

    /** Once, when the window stands and has been seen. */
    static void prepare() {
        if (PREPARED.compareAndSet(false, true)) {
            var pause = new PauseTransition(UNTIL_SEEN);
            pause.setOnFinished(event -> {
                var thread = new Thread(FirstUse::use, "able-first-use"); // which nothing waits for
                thread.setDaemon(true);
                thread.setPriority(Thread.MIN_PRIORITY);
                thread.start();
            });
            pause.play();
        }
    }

    private static void use() {
        for (int entities : SIZES) {
            Document placed = AutoLayout.completed(madeUp(entities));
            Review.of(Subject.of(placed, placed.mapping()));
            Rehearsal.of(placed);
        }
    }

    static Document madeUp(int entities) {
        var words = new StringBuilder("Each a0 has code: text 9 (key).");
        for (int i = 1; i < entities; i++) {
            words.append(
                    """
                     An a%1$d belongs to exactly one a%2$d; each a%2$d has any number of a%1$d. \
                    Each a%1$d has code: text 9 (key), size: whole."""
                            .formatted(i, i / 3));
        }
        return DesignReader.read(words.toString()).document();
    }
}
