/**
 * A schema that was read, back to a design. In comes a {@link ableschema.core.schema.Schema}, out comes a
 * {@link ableschema.core.reverse.Reversed}: entities with attributes and relationships, names in words, pins where the rules would not
 * give the names that were found, and what could not be said. Start with {@link ableschema.core.reverse.Reverse}.
 */
@NullMarked
package ableschema.core.reverse;

import org.jspecify.annotations.NullMarked;
