/**
 * Pictures as files: SVG and PNG.
 * Comes in: a picture. Goes out: bytes. Start with {@link ableschema.diagram.export.PictureFile}.
 */
@NullMarked
package ableschema.diagram.export;

import org.jspecify.annotations.NullMarked;
