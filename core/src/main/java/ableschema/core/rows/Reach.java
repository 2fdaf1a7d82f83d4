package ableschema.core.rows;

import ableschema.core.design.Id;
import ableschema.core.types.ReferenceAction;

/**
 * One kind of table that the deletion of a row, or the change of its key, comes to, from the diagram alone.
 *
 * @param level 1 for tables that refer to the one, 2 for those that refer to them, and so on
 * @param owner of the table
 * @param does  what happens to its rows
 */
public record Reach(int level, Id owner, ReferenceAction does) {}
