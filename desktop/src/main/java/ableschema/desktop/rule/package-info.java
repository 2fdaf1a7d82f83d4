/**
 * The rule line at the foot of the window.
 * Comes in: typed lines. Goes out: edits, and what was not understood.
 */
@NullMarked
package ableschema.desktop.rule;

import org.jspecify.annotations.NullMarked;
