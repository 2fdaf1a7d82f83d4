/**
 * What all parts of the window share: the document with its history, what is chosen, said and under way.
 * Comes in: edits and choices. Goes out: properties to follow. Start with {@link ableschema.desktop.workspace.Workspace}.
 */
@NullMarked
package ableschema.desktop.workspace;

import org.jspecify.annotations.NullMarked;
