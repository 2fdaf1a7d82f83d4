package ableschema.core.design;

import ableschema.core.expression.Expression;
import ableschema.core.types.DataType;
import ableschema.core.types.TypedValue;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Writes the values that an attribute's rules and its default name as its new type is: {@code > '0'} of a number as {@code > 0}. */
final class Retyped {

    private static final Pattern LITERAL = Pattern.compile("'((?:[^']|'')*)'|(-?\\d+(?:\\.\\d+)?|true|false)");

    private final Attribute after;

    private Retyped(Attribute after) {
        this.after = after;
    }

    /** Empty where the type stays what it was, or what it holds is not known. */
    static Optional<Retyped> of(Attribute before, Attribute after) {
        boolean known = !(after.type() instanceof DataType.Undecided || after.type() instanceof DataType.InDomain);
        return known && !before.type().equals(after.type()) ? Optional.of(new Retyped(after)) : Optional.empty();
    }

    Attribute attribute() {
        return plain(after.defaultValue().toString())
                .filter(value -> TypedValue.of(after.type(), value).fits())
                .map(value -> after.withDefault(
                        Expression.of(new Expression.Text<>(Expression.literal(after.type(), value)))))
                .orElse(after);
    }

    /** A rule of the simple form on this attribute alone; any other as it is. */
    Check check(Check check) {
        return Condition.read(check.expression())
                .filter(rule -> rule.column().equals(after.ref()))
                .map(rule -> new Check(check.id(), rule.expression(after.type()), check.pins()))
                .orElse(check);
    }

    private static Optional<String> plain(String text) {
        Matcher literal = LITERAL.matcher(text);
        return literal.matches()
                ? Optional.of(
                        literal.group(1) == null
                                ? literal.group(2)
                                : literal.group(1).replace("''", "'"))
                : Optional.empty();
    }
}
