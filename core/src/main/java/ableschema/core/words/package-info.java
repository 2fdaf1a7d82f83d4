/**
 * The design in plain sentences, both ways: sentences that are typed become edits, relationships and keys become sentences.
 * Comes in: a line of text, or a design. Goes out: an understanding of the line, or sentences.
 * Start with {@link ableschema.core.words.RuleLine} and {@link ableschema.core.words.Sentences}.
 */
@NullMarked
package ableschema.core.words;

import org.jspecify.annotations.NullMarked;
