/**
 * A design put to a real database and taken away again. In comes a document and an address, out comes a {@link
 * ableschema.engine.trial.Trial}: what the database said of each statement, and in what it differs from what was meant. Start with
 * {@link ableschema.engine.trial.Trial#of}.
 */
@NullMarked
package ableschema.engine.trial;

import org.jspecify.annotations.NullMarked;
