/**
 * The relational model: {@link ableschema.core.schema.Schema} with its tables, all immutable. It stands on its own and knows
 * no design; where a part comes from is a trace beside it.
 */
@NullMarked
package ableschema.core.schema;

import org.jspecify.annotations.NullMarked;
