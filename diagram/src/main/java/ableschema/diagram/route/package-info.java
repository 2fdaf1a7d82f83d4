/**
 * Right-angled lines between cards that go around the others.
 * Comes in: rectangles and what is linked. Goes out: corner points. Start with {@link ableschema.diagram.route.Router}.
 */
@NullMarked
package ableschema.diagram.route;

import org.jspecify.annotations.NullMarked;
