/**
 * The step Normal forms: dependencies, the form they allow, and the parts an entity can be taken into.
 * Comes in: the workspace. Goes out: edits. Start with {@link ableschema.desktop.forms.FormsBench}.
 */
@NullMarked
package ableschema.desktop.forms;

import org.jspecify.annotations.NullMarked;
