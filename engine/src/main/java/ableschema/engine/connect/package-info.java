/**
 * Ways to databases. In comes a JDBC URL with a user and a password, out comes a connection, or a {@link
 * ableschema.engine.connect.ConnectionProblem} with one sentence that says why there is none. Start with {@link
 * ableschema.engine.connect.DatabaseAddress}.
 */
@NullMarked
package ableschema.engine.connect;

import org.jspecify.annotations.NullMarked;
