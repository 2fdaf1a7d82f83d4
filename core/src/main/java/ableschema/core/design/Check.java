package ableschema.core.design;

import ableschema.core.expression.Expression;

/** A rule that each row must meet, beyond its types. */
public record Check(Id id, Expression<ColumnRef> expression, Pins pins) {}
