/**
 * All that can be done in the window by name: each with its keys, for the accelerators, the search and the sheet of
 * shortcuts. Comes in: runnables. Goes out: one list. Start with {@link ableschema.desktop.actions.Actions}.
 */
@NullMarked
package ableschema.desktop.actions;

import org.jspecify.annotations.NullMarked;
