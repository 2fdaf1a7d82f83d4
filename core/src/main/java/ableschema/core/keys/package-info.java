/**
 * What could tell the rows of an entity apart: candidate keys on the same points, each with its evidence.
 * Comes in: a design and one of its entities. Goes out: {@link ableschema.core.keys.KeyCandidate}s, each with the edit
 * that chooses it. Start with {@link ableschema.core.keys.KeyCandidates}.
 */
@NullMarked
package ableschema.core.keys;

import org.jspecify.annotations.NullMarked;
