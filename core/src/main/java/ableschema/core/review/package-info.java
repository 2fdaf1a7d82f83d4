/**
 * Comes in: a design's tables and its script. Goes out: findings. Start with {@link
 * ableschema.core.review.ScriptFindings}.
 */
@NullMarked
package ableschema.core.review;

import org.jspecify.annotations.NullMarked;
