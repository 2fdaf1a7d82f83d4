/**
 * Scripts put to real databases through JDBC.
 * Comes in: a connection and a script. Goes out: what the database said of it.
 * Start with {@link ableschema.engine.ScriptRun}.
 */
@NullMarked
package ableschema.engine;

import org.jspecify.annotations.NullMarked;
