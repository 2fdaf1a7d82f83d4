/**
 * The structure of the chosen table as a list that is corrected in place.
 * Comes in: the workspace. Goes out: edits of columns. Start with {@link ableschema.desktop.list.ListBench}.
 */
@NullMarked
package ableschema.desktop.list;

import org.jspecify.annotations.NullMarked;
