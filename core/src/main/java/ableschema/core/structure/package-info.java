/**
 * The structure of one table as a list: a line for each column with all that is known of it, and the indexes with what each
 * comes from; any of it can be corrected, for one column or for many at once.
 * Comes in: a document and its tables. Goes out: {@link ableschema.core.structure.Structure}, and edits. Start with
 * {@link ableschema.core.structure.Structure#of} and {@link ableschema.core.structure.StructureEdits}.
 */
@NullMarked
package ableschema.core.structure;

import org.jspecify.annotations.NullMarked;
