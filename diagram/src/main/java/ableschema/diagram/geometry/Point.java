package ableschema.diagram.geometry;

/** A place in a picture, in pixels at 100 %. */
public record Point(double x, double y) {}
