/**
 * Comes in: a schema, remarks and rows. Goes out: {@link ableschema.core.sql.Script}, whose every line knows the parts of the
 * schema that it speaks of. Start with {@link ableschema.core.sql.ScriptWriter}.
 */
@NullMarked
package ableschema.core.sql;

import org.jspecify.annotations.NullMarked;
