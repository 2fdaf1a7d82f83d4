/**
 * Dependency theory over sets of attributes: closures, candidate keys, normal forms, covers and decompositions.
 * Comes in: a {@link ableschema.core.theory.Relation} with what is stated of it. Goes out: {@link
 * ableschema.core.theory.Analysis}. All types are immutable; start with {@link ableschema.core.theory.Normalizer}.
 */
@NullMarked
package ableschema.core.theory;

import org.jspecify.annotations.NullMarked;
