/**
 * Comes in: a design and naming rules. Goes out: a schema, and the trace of each of its parts back to the thing of the
 * design that it comes from. Start with {@link ableschema.core.mapping.Mapping}.
 */
@NullMarked
package ableschema.core.mapping;

import org.jspecify.annotations.NullMarked;
