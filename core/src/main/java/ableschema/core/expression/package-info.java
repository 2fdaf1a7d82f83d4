/**
 * Expressions over columns that are addressed in any way; lies under design and schema alike. Start with {@link
 * ableschema.core.expression.Expression}.
 */
@NullMarked
package ableschema.core.expression;

import org.jspecify.annotations.NullMarked;
