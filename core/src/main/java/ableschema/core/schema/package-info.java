/**
 * The relational schema that follows from a design: tables, columns, keys, constraints and indexes, never edited.
 * Comes in: a design and naming rules. Goes out: {@link ableschema.core.schema.Schema}, each part with the trace to the
 * part of the design that it comes from. Start with {@link ableschema.core.mapping.Mapping}.
 */
@NullMarked
package ableschema.core.schema;

import org.jspecify.annotations.NullMarked;
