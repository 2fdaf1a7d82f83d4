/**
 * What a database has beside its tables and a design does not model, such as views and triggers: it is carried along as it stands. In
 * comes what the reader of SQL finds, out goes what the writer puts back. Start with {@link ableschema.core.carried.Carried}.
 */
@NullMarked
package ableschema.core.carried;

import org.jspecify.annotations.NullMarked;
