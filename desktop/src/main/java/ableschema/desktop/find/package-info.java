/**
 * Finding and doing anything by name, and the sheet of shortcuts, both laid over the window.
 * Comes in: the workspace and the actions. Goes out: choices and actions done. Start with
 * {@link ableschema.desktop.find.FindView}.
 */
@NullMarked
package ableschema.desktop.find;

import org.jspecify.annotations.NullMarked;
