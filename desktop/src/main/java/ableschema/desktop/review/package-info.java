/**
 * The step Review: what speaks against the design, and what can be done about it.
 * Comes in: the workspace and its findings. Goes out: edits that mend, or that set aside with a reason.
 */
@NullMarked
package ableschema.desktop.review;

import org.jspecify.annotations.NullMarked;
