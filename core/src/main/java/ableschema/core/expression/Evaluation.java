package ableschema.core.expression;

import ableschema.core.expression.Token.Kind;
import ableschema.core.types.DataType;
import ableschema.core.types.DataTypes;
import ableschema.core.types.TypedValue;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BinaryOperator;
import java.util.function.Function;
import java.util.regex.Pattern;

/**
 * Says whether a condition in standard SQL holds for the values of one row, with the three truth values of SQL (ISO/IEC 9075-2,
 * 6.39 and 8.2). It knows comparisons, ranges, lists, tests for empty values, AND, OR, NOT, sums and products, and the lengths
 * and letter cases of texts; what says more is not judged.
 */
public final class Evaluation<R> {

    private final List<Token<R>> tokens;
    private final Function<R, Operand> values;
    private int at;

    private Evaluation(Expression<R> expression, Function<R, Operand> values) {
        this.tokens = Token.of(expression).stream()
                .filter(token -> token.kind() != Kind.SPACE)
                .toList();
        this.values = values;
    }

    /** What a condition is for a row. */
    public enum Truth {
        TRUE,
        FALSE,
        /** A value that it needs is empty. */
        UNKNOWN;

        private Truth negated() {
            return this == UNKNOWN ? this : this == TRUE ? FALSE : TRUE;
        }

        private Truth and(Truth other) {
            return this == FALSE || other == FALSE ? FALSE : this == UNKNOWN || other == UNKNOWN ? UNKNOWN : TRUE;
        }

        private Truth or(Truth other) {
            return negated().and(other.negated()).negated();
        }

        private static Truth of(boolean holds) {
            return holds ? TRUE : FALSE;
        }
    }

    /** A value in a condition; a literal has no type of its own. */
    public record Operand(Optional<String> text, DataType type) {}

    private static final class NotKnown extends RuntimeException {
        private static final long serialVersionUID = 1L;

        NotKnown() {
            super("this is not judged", null, false, false);
        }
    }

    /** The truth of a condition for these values; empty where it says more than is judged here. */
    public static <R> Optional<Truth> of(Expression<R> condition, Function<R, Operand> values) {
        return judged(condition, values, Evaluation::disjunction);
    }

    /** What an expression is for these values; empty where it says more than is judged here. */
    public static <R> Optional<Operand> valueOf(Expression<R> expression, Function<R, Operand> values) {
        return judged(expression, values, Evaluation::value);
    }

    private static <R, T> Optional<T> judged(
            Expression<R> expression, Function<R, Operand> values, Function<Evaluation<R>, T> production) {
        if (!expression.isStandard()) {
            return Optional.empty();
        }
        var evaluation = new Evaluation<>(expression, values);
        try {
            T found = production.apply(evaluation);
            return evaluation.at == evaluation.tokens.size() ? Optional.of(found) : Optional.empty();
        } catch (NotKnown | ArithmeticException | NumberFormatException e) {
            return Optional.empty();
        }
    }

    private boolean accept(String word) {
        boolean found = at < tokens.size() && tokens.get(at).is(word);
        at += found ? 1 : 0;
        return found;
    }

    private void expect(String word) {
        if (!accept(word)) {
            throw new NotKnown();
        }
    }

    /** disjunction = conjunction { OR conjunction } */
    private Truth disjunction() {
        Truth truth = conjunction();
        while (accept("or")) {
            truth = truth.or(conjunction());
        }
        return truth;
    }

    /** conjunction = negation { AND negation } */
    private Truth conjunction() {
        Truth truth = negation();
        while (accept("and")) {
            truth = truth.and(negation());
        }
        return truth;
    }

    /** negation = [ NOT ] ( "(" disjunction ")" | predicate ) */
    private Truth negation() {
        if (accept("not")) {
            return negation().negated();
        }
        int start = at;
        if (accept("(")) {
            try {
                Truth truth = disjunction();
                expect(")");
                if (at == tokens.size() || List.of("and", "or", ")").stream().anyMatch(tokens.get(at)::is)) {
                    return truth;
                }
            } catch (NotKnown e) {
                // the bracket holds a value, as in (a + b) > 1, which is read below
            }
            at = start;
        }
        return predicate();
    }

    /**
     * predicate = value ( IS [NOT] NULL | [NOT] BETWEEN value AND value | [NOT] IN "(" value {"," value} ")" | [NOT] LIKE TEXT
     *           | SIGN value )
     */
    private Truth predicate() {
        Operand left = value();
        if (accept("is")) {
            boolean negated = accept("not");
            expect("null");
            return Truth.of(left.text().isEmpty() != negated);
        }
        boolean negated = accept("not");
        Truth truth;
        if (accept("between")) {
            Operand low = value();
            expect("and");
            truth = compared(left, ">=", low).and(compared(left, "<=", value()));
        } else if (accept("in")) {
            truth = in(left);
        } else if (accept("like")) {
            truth = like(left);
        } else if (negated) {
            throw new NotKnown();
        } else {
            truth = comparison(left);
        }
        return negated ? truth.negated() : truth;
    }

    private Truth in(Operand left) {
        expect("(");
        Truth truth = Truth.FALSE;
        do {
            truth = truth.or(compared(left, "=", value()));
        } while (accept(","));
        expect(")");
        return truth;
    }

    /** With % for anything and _ for one sign; what escapes them differs from database to database. */
    private Truth like(Operand left) {
        if (at >= tokens.size() || tokens.get(at).kind() != Kind.STRING || !isText(left.type())) {
            throw new NotKnown();
        }
        String pattern = tokens.get(at++).value();
        if (pattern.indexOf('\\') >= 0 || pattern.indexOf('[') >= 0) {
            throw new NotKnown();
        }
        var form = new StringBuilder();
        pattern.codePoints()
                .forEach(sign ->
                        form.append(sign == '%' ? ".*" : sign == '_' ? "." : Pattern.quote(Character.toString(sign))));
        return left.text()
                .map(text -> Truth.of(Pattern.compile(form.toString(), Pattern.DOTALL)
                        .matcher(text)
                        .matches()))
                .orElse(Truth.UNKNOWN);
    }

    private Truth comparison(Operand left) {
        for (String sign : List.of("<=", ">=", "<>", "!=", "<", ">", "=")) {
            if (accept(sign)) {
                return compared(left, sign, value());
            }
        }
        if (left.type() == DataType.Simple.YES_NO && left.text().isPresent()) {
            return Truth.of(left.text().get().equals("yes"));
        }
        throw new NotKnown();
    }

    private static Truth compared(Operand left, String sign, Operand right) {
        if (left.text().isEmpty() || right.text().isEmpty()) {
            return Truth.UNKNOWN;
        }
        DataType type = left.type() instanceof DataType.Undecided ? right.type() : left.type();
        int order = compare(type, left.text().get(), right.text().get());
        return Truth.of(
                switch (sign) {
                    case "=" -> order == 0;
                    case "<>", "!=" -> order != 0;
                    case "<" -> order < 0;
                    case "<=" -> order <= 0;
                    case ">" -> order > 0;
                    default -> order >= 0;
                });
    }

    private static int compare(DataType type, String left, String right) {
        if (type.isNumeric() || type instanceof DataType.Undecided && isNumber(left) && isNumber(right)) {
            return number(left).compareTo(number(right));
        }
        TypedValue one = TypedValue.of(type, left);
        TypedValue other = TypedValue.of(type, right);
        if (!one.fits() || !other.fits()) {
            throw new NotKnown();
        }
        return one.comparable(type).compareTo(other.comparable(type));
    }

    private static boolean isNumber(String text) {
        return text.strip().matches("[-+]?[0-9]+(\\.[0-9]+)?");
    }

    private static BigDecimal number(String text) {
        return new BigDecimal(text.strip());
    }

    /** value = sum { "||" sum } */
    private Operand value() {
        Operand value = sum();
        while (accept("||")) {
            value = joined(value, sum());
        }
        return value;
    }

    private static Operand joined(Operand left, Operand right) {
        if (!isText(left.type()) || !isText(right.type())) {
            throw new NotKnown(); // databases write numbers and moments in their own ways
        }
        return new Operand(left.text().flatMap(a -> right.text().map(b -> a + b)), new DataType.Text(0));
    }

    private static boolean isText(DataType type) {
        return type instanceof DataType.Text || type instanceof DataType.OneOf || type instanceof DataType.Undecided;
    }

    /** sum = product { ( "+" | "-" ) product } */
    private Operand sum() {
        Operand value = product();
        while (true) {
            if (accept("+")) {
                value = calculated(value, product(), BigDecimal::add);
            } else if (accept("-")) {
                value = calculated(value, product(), BigDecimal::subtract);
            } else {
                return value;
            }
        }
    }

    /** product = factor { ( "*" | "/" ) factor } */
    private Operand product() {
        Operand value = factor();
        while (true) {
            if (accept("*")) {
                value = calculated(value, factor(), BigDecimal::multiply);
            } else if (accept("/")) {
                value = calculated(value, factor(), (a, b) -> a.divide(b, MathContext.DECIMAL64));
            } else {
                return value;
            }
        }
    }

    private static Operand calculated(Operand left, Operand right, BinaryOperator<BigDecimal> operation) {
        if (!isNumeric(left) || !isNumeric(right)) {
            throw new NotKnown(); // days between dates and the like differ from database to database
        }
        Optional<String> result = left.text().flatMap(a -> right.text()
                .map(b -> operation.apply(number(a), number(b)).toPlainString()));
        return new Operand(result, new DataType.Decimal(1000, 500));
    }

    private static boolean isNumeric(Operand operand) {
        return operand.type().isNumeric()
                || operand.type() instanceof DataType.Undecided
                        && operand.text().filter(text -> !isNumber(text)).isEmpty();
    }

    /**
     * factor = COLUMN | LITERAL | "-" factor | NULL | FUNCTION "(" value ")" | "(" value ")"
     *        | "substring" "(" value "from" NUMBER [ "for" NUMBER ] ")" | "extract" "(" "year" "from" value ")"
     */
    private Operand factor() {
        if (accept("-")) {
            Operand zero = new Operand(Optional.of("0"), DataTypes.UNDECIDED);
            return calculated(zero, factor(), BigDecimal::subtract);
        }
        if (accept("(")) {
            Operand inner = value();
            expect(")");
            return inner;
        }
        if (at >= tokens.size()) {
            throw new NotKnown();
        }
        Token<R> token = tokens.get(at++);
        return switch (token.kind()) {
            case COLUMN -> values.apply(token.ref());
            case STRING, NUMBER -> new Operand(Optional.of(token.value()), DataTypes.UNDECIDED);
            case WORD -> word(token);
            default -> throw new NotKnown();
        };
    }

    private Operand word(Token<R> word) {
        if (word.is("null")) {
            return new Operand(Optional.empty(), DataTypes.UNDECIDED);
        }
        if (word.is("true") || word.is("false")) {
            return new Operand(Optional.of(word.is("true") ? "yes" : "no"), DataType.Simple.YES_NO);
        }
        String name = word.text().toLowerCase(Locale.ROOT);
        if (name.equals("substring")) {
            return substring();
        }
        if (name.equals("extract")) {
            return year();
        }
        if (!List.of("char_length", "character_length", "length", "lower", "upper")
                .contains(name)) {
            throw new NotKnown();
        }
        expect("(");
        Operand inner = value();
        expect(")");
        return switch (name) {
            case "lower" -> new Operand(inner.text().map(t -> t.toLowerCase(Locale.ROOT)), new DataType.Text(0));
            case "upper" -> new Operand(inner.text().map(t -> t.toUpperCase(Locale.ROOT)), new DataType.Text(0));
            default ->
                new Operand(
                        inner.text().map(t -> String.valueOf(t.codePointCount(0, t.length()))), new DataType.Whole(0));
        };
    }

    private Operand substring() {
        expect("(");
        Operand whole = value();
        expect("from");
        int from = count();
        int most = accept("for") ? count() : Integer.MAX_VALUE;
        expect(")");
        if (!isText(whole.type()) || from < 1) {
            throw new NotKnown();
        }
        return new Operand(whole.text().map(text -> cut(text, from - 1, most)), new DataType.Text(0));
    }

    private static String cut(String text, int start, int most) {
        int[] signs = text.codePoints().skip(start).limit(most).toArray();
        return new String(signs, 0, signs.length);
    }

    private int count() {
        if (at >= tokens.size() || tokens.get(at).kind() != Kind.NUMBER) {
            throw new NotKnown();
        }
        return Integer.parseInt(tokens.get(at++).text());
    }

    private Operand year() {
        expect("(");
        expect("year");
        expect("from");
        Operand moment = value();
        expect(")");
        if (moment.type() != DataType.Simple.DATE && moment.type() != DataType.Simple.MOMENT) {
            throw new NotKnown(); // which year it is depends on the zone
        }
        return new Operand(moment.text().map(text -> text.substring(0, text.indexOf('-', 1))), DataType.Simple.YEAR);
    }
}
