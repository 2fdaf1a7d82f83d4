/**
 * SQL text to a schema. In comes any text, out comes a {@link ableschema.core.ddl.SqlRead}: the tables and named types as the
 * statements leave them, and a list of all that is no part of them. Start with {@link ableschema.core.ddl.SqlReader}; {@code Lexer}
 * cuts the text, one reader a kind of statement reads it, {@code Draft} holds what was made so far.
 */
@NullMarked
package ableschema.core.ddl;

import org.jspecify.annotations.NullMarked;
