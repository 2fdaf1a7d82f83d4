/**
 * Dependency theory brought to the entities of a design: what their dependencies say, which cells of their rows say
 * things twice, and taking them apart with their rows.
 * Comes in: a design and one of its entities. Goes out: {@link ableschema.core.normalization.EntityTheory}, {@link
 * ableschema.core.normalization.Proposal} and the edit {@link ableschema.core.normalization.Decompose}.
 */
@NullMarked
package ableschema.core.normalization;

import org.jspecify.annotations.NullMarked;
