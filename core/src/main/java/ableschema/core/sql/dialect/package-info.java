/**
 * What is special about each database. Start with {@link ableschema.core.sql.dialect.Dialects}, the one list; each has one
 * file, its traits as data and its differing clauses. A new one is one file and one line of the list.
 */
@NullMarked
package ableschema.core.sql.dialect;

import org.jspecify.annotations.NullMarked;
