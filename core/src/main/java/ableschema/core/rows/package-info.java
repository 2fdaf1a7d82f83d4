/**
 * Sample rows: their values through all references, what they are called, and which rule each one breaks.
 * Comes in: a design. Goes out: values, names and findings. Start with {@link ableschema.core.rows.RowJudge}.
 */
@NullMarked
package ableschema.core.rows;

import org.jspecify.annotations.NullMarked;
