/**
 * Marks of a picture as JavaFX nodes, in the shipped fonts.
 * Comes in: marks. Goes out: nodes.
 */
@NullMarked
package ableschema.desktop.marks;

import org.jspecify.annotations.NullMarked;
