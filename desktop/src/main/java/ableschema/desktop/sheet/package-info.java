/**
 * The sheet: cards and lines of the picture, and all that is done to them by hand.
 * Comes in: the workspace. Goes out: edits and choices. Start with {@link ableschema.desktop.sheet.SheetView}.
 */
@NullMarked
package ableschema.desktop.sheet;

import org.jspecify.annotations.NullMarked;
