/**
 * Automatic placing of cards by Eclipse ELK's layered algorithm, the one side left of the many side.
 * Comes in: cards and links. Goes out: positions. Start with {@link ableschema.diagram.layout.AutoLayout}.
 */
@NullMarked
package ableschema.diagram.layout;

import org.jspecify.annotations.NullMarked;
