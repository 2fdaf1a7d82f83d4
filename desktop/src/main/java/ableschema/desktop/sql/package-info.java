/**
 * The step SQL: the whole script for the chosen dialect.
 * Comes in: the workspace. Goes out: scripts as text and files.
 */
@NullMarked
package ableschema.desktop.sql;

import org.jspecify.annotations.NullMarked;
