/**
 * The one form of all that the program has to say about a design.
 * Comes in: a rule, a place and facts. Goes out: {@link ableschema.core.finding.Finding}, whose text is made from its facts.
 */
@NullMarked
package ableschema.core.finding;

import org.jspecify.annotations.NullMarked;
