/**
 * Comes in: what two states say, place by place. Goes out: {@link ableschema.core.difference.Difference}, the one form of a
 * difference of two designs or two schemas.
 */
@NullMarked
package ableschema.core.difference;

import org.jspecify.annotations.NullMarked;
