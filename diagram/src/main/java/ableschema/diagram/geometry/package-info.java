/**
 * Points and rectangles, in pixels of a picture at 100 %.
 * Comes in: numbers. Goes out: answers about what lies where.
 */
@NullMarked
package ableschema.diagram.geometry;

import org.jspecify.annotations.NullMarked;
