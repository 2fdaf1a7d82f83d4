package ableschema.core.words;

import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.expression.Expression;
import java.util.Optional;

/**
 * Reads what must hold within each row, over one or several columns, and says it again. What is kept is standard SQL:
 *
 * <pre>
 * rule        = either | "if" either "then" either | either "only" ("if" | "where" | "when") either
 * either      = both { "or" both }
 * both        = negation { "and" negation }
 * negation    = ["not"] ( "(" either ")" | comparison )
 * comparison  = value ( SIGN value | WORDS value | "is" ["not"] ("null" | "empty" | "there")
 *             | ["not"] "between" value "and" value | ["not"] ("in" "(" values ")" | "one of" values) )
 * value       = product { ("+" | "-") product }      product = factor { ("*" | "/") factor }
 * factor      = NAME | 'text' | NUMBER | DATE | "yes" | "no" | "length of" NAME | FUNCTION "(" value ")" | "(" value ")"
 * </pre>
 */
public final class CheckText {

    private final ColumnNames names;
    private final String called;

    public CheckText(Design design, Id owner) {
        this.names = new ColumnNames(design, owner);
        this.called = design.nameOf(owner);
    }

    /** Reads the rule that stands between two places of a line; a {@link Misunderstanding} points at what is wrong. */
    Expression<ColumnRef> read(String text, int start, int end) {
        return new CheckReader(text.substring(0, end), start, names, called).rule();
    }

    /** A value and the place behind it. */
    record ReadValue(Expression<ColumnRef> value, int end) {}

    /** Reads a value that is made of columns, such as {@code lower(name)}. */
    ReadValue readValue(String text, int start, int end) {
        return new CheckReader(text.substring(0, end), start, names, called).value();
    }

    /** A rule in words that read back as the same rule; empty where there are none. */
    public Optional<String> said(Expression<ColumnRef> rule) {
        boolean nameable = rule.isStandard()
                && rule.columns().allMatch(column -> names.said(column).isPresent());
        if (!nameable) {
            return Optional.empty();
        }
        String said = rule.written(column -> names.said(column).orElseThrow()); // each has one, as was asked
        try {
            return said.indexOf('\n') < 0 && read(said, 0, said.length()).equals(rule)
                    ? Optional.of(said)
                    : Optional.empty();
        } catch (Misunderstanding e) {
            return Optional.empty(); // it says more than is read here, and so is not said
        }
    }
}
