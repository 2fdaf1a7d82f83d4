/**
 * The gloss: the chosen thing as words, columns and SQL, beside every step.
 * Comes in: the workspace. Goes out: edits and choices. Start with {@link ableschema.desktop.gloss.GlossView}.
 */
@NullMarked
package ableschema.desktop.gloss;

import org.jspecify.annotations.NullMarked;
