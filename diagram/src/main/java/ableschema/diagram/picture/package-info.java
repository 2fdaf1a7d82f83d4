/**
 * The picture of a design: marks with positions, computed from design and layout, for screen and files alike.
 * Comes in: a document and how to draw it. Goes out: {@link ableschema.diagram.picture.Picture}, which also answers what
 * lies at a point. Start with {@link ableschema.diagram.picture.PictureMaker}.
 */
@NullMarked
package ableschema.diagram.picture;

import org.jspecify.annotations.NullMarked;
