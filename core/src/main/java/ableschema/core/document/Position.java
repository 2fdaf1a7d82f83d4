package ableschema.core.document;

/** Where the upper left corner of a card stands on the sheet, in pixels at 100 %. */
public record Position(double x, double y) {}
