/**
 * Live databases read into a schema. In comes a connection, out comes what SQL text gives too: each {@code …Definitions} has the
 * definitions that its product keeps in the catalogue put together as SQL, in a number of queries that does not grow with the
 * tables, and {@link ableschema.core.ddl.SqlReader} reads them. Start with {@link ableschema.engine.catalog.Catalog}.
 */
@NullMarked
package ableschema.engine.catalog;

import org.jspecify.annotations.NullMarked;
