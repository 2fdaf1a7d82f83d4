/**
 * What a column can hold, and texts read as a value of a type; lies under design and schema alike. Comes in: texts. Goes
 * out: {@link ableschema.core.types.DataType}, {@link ableschema.core.types.TypedValue}.
 */
@NullMarked
package ableschema.core.types;

import org.jspecify.annotations.NullMarked;
