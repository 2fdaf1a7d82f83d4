/**
 * The route: the steps of the work with what is open in each.
 * Comes in: the workspace. Goes out: the step to show.
 */
@NullMarked
package ableschema.desktop.route;

import org.jspecify.annotations.NullMarked;
