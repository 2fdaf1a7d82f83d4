/**
 * Marks as pixels: for files, and for the sheet, which is painted strip by strip as it moves.
 * Comes in: marks, a palette. Goes out: pixels. Start with {@link ableschema.diagram.paint.Raster}.
 */
@NullMarked
package ableschema.diagram.paint;

import org.jspecify.annotations.NullMarked;
