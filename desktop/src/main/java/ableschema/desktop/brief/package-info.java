/**
 * The workbench for the beginning of a design, and the list of its sentences for those who know the business.
 * Comes in: the workspace. Goes out: edits. Start with {@link ableschema.desktop.brief.BriefBench}.
 */
@NullMarked
package ableschema.desktop.brief;

import org.jspecify.annotations.NullMarked;
