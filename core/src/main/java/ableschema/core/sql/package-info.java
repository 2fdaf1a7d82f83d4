/**
 * Definitions in the dialect of a database: one writer, and what is special about each dialect as data.
 * Comes in: a schema, and rows. Goes out: {@link ableschema.core.sql.Script}, whose every line knows the part of the
 * design it comes from. Start with {@link ableschema.core.sql.ScriptWriter} and {@link ableschema.core.sql.Dialects}.
 */
@NullMarked
package ableschema.core.sql;

import org.jspecify.annotations.NullMarked;
