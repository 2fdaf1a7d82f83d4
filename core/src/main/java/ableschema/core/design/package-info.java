/**
 * The design, the one truth: entities, attributes, relationships, keys, rules and sample rows, all immutable values.
 * Comes in: what edits and readers say. Goes out: {@link ableschema.core.design.Design}, asked by every other package.
 * Start with {@link ableschema.core.design.Design} and {@link ableschema.core.design.Relationship}.
 */
@NullMarked
package ableschema.core.design;

import org.jspecify.annotations.NullMarked;
