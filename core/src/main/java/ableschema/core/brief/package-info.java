/**
 * The beginning of a design: nouns of plain sentences, headings of a spreadsheet, and questions with the SELECT that
 * answers them. Comes in: text, a design. Goes out: candidates, entities, answers. Start with
 * {@link ableschema.core.brief.Answer}.
 */
@NullMarked
package ableschema.core.brief;

import org.jspecify.annotations.NullMarked;
