/**
 * The window as a whole: its parts, its keys, and opening and saving files.
 * Comes in: a file or none. Goes out: a window. Start with {@link ableschema.desktop.app.MainWindow}.
 */
@NullMarked
package ableschema.desktop.app;

import org.jspecify.annotations.NullMarked;
