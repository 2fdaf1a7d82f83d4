/**
 * All that a designer can do to a document, each as a value with the name that it has in the history.
 * Comes in: what was typed, chosen or dragged. Goes out: {@link ableschema.core.document.Edit}s.
 * Start with {@link ableschema.core.edit.Edits}.
 */
@NullMarked
package ableschema.core.edit;

import org.jspecify.annotations.NullMarked;
