/**
 * Small controls that several parts of the window use.
 * Comes in: words and actions. Goes out: nodes.
 */
@NullMarked
package ableschema.desktop.controls;

import org.jspecify.annotations.NullMarked;
