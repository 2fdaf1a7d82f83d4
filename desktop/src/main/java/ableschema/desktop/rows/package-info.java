/**
 * Sample rows of the chosen thing in a grid.
 * Comes in: the workspace. Goes out: edits of rows. Start with {@link ableschema.desktop.rows.RowsGrid}.
 */
@NullMarked
package ableschema.desktop.rows;

import org.jspecify.annotations.NullMarked;
