/**
 * The demo: the window driven from the first typed letter to the SQL, with a picture at each stage.
 * Comes in: a window and the demo's documents. Goes out: pictures. Start with {@link ableschema.desktop.tour.Tour}.
 */
@NullMarked
package ableschema.desktop.tour;

import org.jspecify.annotations.NullMarked;
