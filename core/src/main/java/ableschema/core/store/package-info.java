/**
 * Documents in files: the JSON format of our own, read with the line of every fault and written so that nothing is lost.
 * Comes in: paths. Goes out: documents, or a {@link ableschema.core.store.FileProblem} in one sentence.
 * Start with {@link ableschema.core.store.DocumentFile}; the format's schema stands in docs/format.
 */
@NullMarked
package ableschema.core.store;

import org.jspecify.annotations.NullMarked;
