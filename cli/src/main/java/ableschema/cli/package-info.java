/**
 * The command line: each command is options, one call into the core, and one print.
 * Comes in: arguments. Goes out: data on standard output, messages on standard error, and an exit code.
 * Start with {@link ableschema.cli.Able}.
 */
@NullMarked
package ableschema.cli;

import org.jspecify.annotations.NullMarked;
