/**
 * The shipped fonts and the width of text in them, so that screen and files put every letter at the same place.
 * Comes in: texts. Goes out: widths and the font files. Start with {@link ableschema.diagram.text.Face}.
 */
@NullMarked
package ableschema.diagram.text;

import org.jspecify.annotations.NullMarked;
