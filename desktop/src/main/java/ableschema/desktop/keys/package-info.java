/**
 * The step Keys: the candidate keys of an entity side by side.
 * Comes in: the workspace. Goes out: the choice of a key. Start with {@link ableschema.desktop.keys.KeysBench}.
 */
@NullMarked
package ableschema.desktop.keys;

import org.jspecify.annotations.NullMarked;
