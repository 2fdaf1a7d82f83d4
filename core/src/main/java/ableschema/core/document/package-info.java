/**
 * A document: the design with its diagrams and house rules, and the history of what was done to it.
 * Comes in: designs and edits. Goes out: {@link ableschema.core.document.Document}, {@link ableschema.core.document.History}.
 */
@NullMarked
package ableschema.core.document;

import org.jspecify.annotations.NullMarked;
