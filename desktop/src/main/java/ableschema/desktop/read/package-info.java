/**
 * Existing SQL read in the window: chosen, dropped or pasted. Comes in: a text. Goes out: a design that is opened, or entities put
 * beside what is there, and what was left out of it. Start with {@link ableschema.desktop.read.SqlImport}.
 */
@NullMarked
package ableschema.desktop.read;

import org.jspecify.annotations.NullMarked;
