package ableschema.core.design;

import static java.util.stream.Collectors.joining;

import ableschema.core.expression.Expression;
import ableschema.core.types.DataType;
import ableschema.core.types.TypedValue;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A check simple enough to be judged here, without an engine: one column compared, within a range, or one of a list.
 * Every condition has an {@link Expression}; {@link #read} finds the condition in an expression, if it is one.
 */
public sealed interface Condition {

    /** The column that is judged. */
    ColumnRef column();

    /** Says whether a value in its one form ({@link TypedValue#canonical}) satisfies this. */
    boolean holdsFor(DataType type, String canonical);

    /** What the value must be, such as "between 1 and 10". */
    String inWords();

    /** The same in the fewest signs, such as "1 to 10" or "one of 4". */
    String inShort();

    /** This condition in standard SQL, with literals as the type needs them. */
    Expression<ColumnRef> expression(DataType type);

    /** {@code column < value} and the like. */
    record Comparison(ColumnRef column, Operator operator, String value) implements Condition {
        @Override
        public boolean holdsFor(DataType type, String canonical) {
            return operator.holds(compare(type, canonical, value));
        }

        @Override
        public String inWords() {
            return operator.words + " " + value;
        }

        @Override
        public String inShort() {
            return operator.sign + " " + value;
        }

        @Override
        public Expression<ColumnRef> expression(DataType type) {
            return with(column, " " + operator.sign + " " + Expression.literal(type, value));
        }
    }

    /** {@code column between low and high}, both included. */
    record Range(ColumnRef column, String low, String high) implements Condition {
        @Override
        public boolean holdsFor(DataType type, String canonical) {
            return compare(type, canonical, low) >= 0 && compare(type, canonical, high) <= 0;
        }

        @Override
        public String inWords() {
            return "between " + low + " and " + high;
        }

        @Override
        public String inShort() {
            return low + " to " + high;
        }

        @Override
        public Expression<ColumnRef> expression(DataType type) {
            return with(column, " between " + Expression.literal(type, low) + " and " + Expression.literal(type, high));
        }
    }

    /** {@code column in (a, b, c)}. */
    record OneOf(ColumnRef column, List<String> values) implements Condition {
        public OneOf {
            values = List.copyOf(values);
        }

        @Override
        public boolean holdsFor(DataType type, String canonical) {
            return values.stream().anyMatch(value -> compare(type, canonical, value) == 0);
        }

        @Override
        public String inWords() {
            return "one of " + String.join(", ", values);
        }

        @Override
        public String inShort() {
            return "one of " + values.size();
        }

        @Override
        public Expression<ColumnRef> expression(DataType type) {
            return with(
                    column,
                    " in ("
                            + values.stream()
                                    .map(v -> Expression.literal(type, v))
                                    .collect(joining(", ")) + ")");
        }
    }

    /** How two values are compared, with the words for it. */
    enum Operator {
        LESS("<", "less than"),
        AT_MOST("<=", "at most"),
        GREATER(">", "greater than"),
        AT_LEAST(">=", "at least"),
        EQUAL("=", "equal to"),
        OTHER("<>", "other than");

        private final String sign;
        private final String words;

        Operator(String sign, String words) {
            this.sign = sign;
            this.words = words;
        }

        public String words() {
            return words;
        }

        static Optional<Operator> signed(String sign) {
            return List.of(values()).stream().filter(o -> o.sign.equals(sign)).findFirst();
        }

        boolean holds(int comparison) {
            return switch (this) {
                case LESS -> comparison < 0;
                case AT_MOST -> comparison <= 0;
                case GREATER -> comparison > 0;
                case AT_LEAST -> comparison >= 0;
                case EQUAL -> comparison == 0;
                case OTHER -> comparison != 0;
            };
        }
    }

    /** Finds the condition that an expression is; empty if it says more than one. */
    static Optional<Condition> read(Expression<ColumnRef> expression) {
        if (expression.pieces().size() == 2
                && expression.pieces().get(0) instanceof Expression.Column<ColumnRef> column
                && expression.pieces().get(1) instanceof Expression.Text<ColumnRef> text) {
            return Reader.read(column.ref(), text.text().strip());
        }
        return Optional.empty();
    }

    private static Expression<ColumnRef> with(ColumnRef column, String rest) {
        return Expression.of(new Expression.Column<>(column), new Expression.Text<>(rest));
    }

    private static int compare(DataType type, String canonical, String stated) {
        String other = TypedValue.of(type, stated).canonical();
        return type.isNumeric() && TypedValue.of(type, stated).fits()
                ? new BigDecimal(canonical).compareTo(new BigDecimal(other))
                : canonical.compareTo(other);
    }

    /** Reads what stands behind the column. */
    final class Reader {
        private static final String LITERAL = "('(?:[^']|'')*'|-?[0-9]+(?:\\.[0-9]+)?|true|false)";
        private static final Pattern COMPARISON = Pattern.compile("(<=|>=|<>|<|>|=) *" + LITERAL);
        private static final Pattern RANGE =
                Pattern.compile("between +" + LITERAL + " +and +" + LITERAL, Pattern.CASE_INSENSITIVE);
        private static final Pattern LIST =
                Pattern.compile("in *\\( *(" + LITERAL + "(?: *, *" + LITERAL + ")*) *\\)", Pattern.CASE_INSENSITIVE);
        private static final Map<String, String> WORDS = Map.of("true", "yes", "false", "no");

        private Reader() {}

        static Optional<Condition> read(ColumnRef column, String text) {
            Matcher comparison = COMPARISON.matcher(text);
            if (comparison.matches()) {
                return Operator.signed(comparison.group(1))
                        .map(operator -> new Comparison(column, operator, value(comparison.group(2))));
            }
            Matcher range = RANGE.matcher(text);
            if (range.matches()) {
                return Optional.of(new Range(column, value(range.group(1)), value(range.group(2))));
            }
            Matcher list = LIST.matcher(text);
            return list.matches() ? Optional.of(new OneOf(column, values(list.group(1)))) : Optional.empty();
        }

        private static List<String> values(String text) {
            var values = new ArrayList<String>();
            Matcher literal = Pattern.compile(LITERAL).matcher(text);
            while (literal.find()) {
                values.add(value(literal.group()));
            }
            return values;
        }

        private static String value(String literal) {
            return literal.startsWith("'")
                    ? literal.substring(1, literal.length() - 1).replace("''", "'")
                    : WORDS.getOrDefault(literal, literal);
        }
    }
}
