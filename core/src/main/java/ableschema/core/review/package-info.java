/**
 * All that the program has to say about a design, found by the rules in one list.
 * Comes in: a document and its tables. Goes out: findings. Start with {@link ableschema.core.review.Review}; a rule is added by
 * a class and a line in {@link ableschema.core.review.Rules}.
 */
@NullMarked
package ableschema.core.review;

import org.jspecify.annotations.NullMarked;
