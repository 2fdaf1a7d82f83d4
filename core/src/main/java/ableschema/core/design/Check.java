package ableschema.core.design;

/** A rule that each row must meet, beyond its types. */
public record Check(Id id, Expression expression, Pins pins) {}
