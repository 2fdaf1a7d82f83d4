package ableschema.core.words;

import ableschema.core.design.Attribute;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.expression.Evaluation;
import ableschema.core.expression.Expression;
import ableschema.core.types.DataType;
import ableschema.core.types.DataTypes;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * Reads what must hold within each row, over one or several columns, and says it again. What is kept is standard SQL:
 *
 * <pre>
 * rule        = either | "if" either "then" either | either "only" ("if" | "where" | "when") either
 * either      = both { "or" both }
 * both        = negation { "and" negation }
 * negation    = ["not"] ( "(" either ")" | comparison )
 * comparison  = value ( SIGN value | WORDS value | "is" ["not"] ("null" | "empty" | "there")
 *             | ["not"] ("like" | "contains" | "starts with" | "ends with") 'text'
 *             | ["not"] "between" value "and" value | ["not"] ("in" "(" values ")" | "one of" values) )
 * value       = product { ("+" | "-") product }      product = factor { ("*" | "/") factor }
 * factor      = NAME | 'text' | NUMBER | DATE | "yes" | "no" | "length of" NAME | FUNCTION "(" value ")" | "(" value ")"
 * </pre>
 */
public final class CheckText {

    private final Design design;
    private final ColumnNames names;
    private final String called;

    public CheckText(Design design, Id owner) {
        this.design = design;
        this.names = new ColumnNames(design, owner);
        this.called = design.nameOf(owner);
    }

    /** The columns that a rule can speak of, as it names them. */
    public List<String> columns() {
        return names.offered();
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

    /**
     * Reads what the database is to compute an attribute from; a {@link Misunderstanding} points at what is wrong, or at what a database
     * computes nothing from.
     */
    Expression<ColumnRef> readComputed(Attribute computed, String text, int start, int end) {
        ReadValue read = readValue(text, start, end);
        if (!text.substring(read.end(), end).isBlank()) {
            throw new Misunderstanding(read.end(), end, "expected an operator such as + or ||, or the end");
        }
        read.value().columns().forEach(column -> column.attribute()
                .flatMap(design::attribute)
                .flatMap(source -> problem(computed, column, source))
                .ifPresent(problem -> {
                    throw new Misunderstanding(start, end, problem);
                }));
        return read.value();
    }

    private static Optional<String> problem(Attribute computed, ColumnRef column, Attribute source) {
        if (column.equals(computed.ref())) {
            return Optional.of(computed.name() + " cannot be computed from itself");
        }
        boolean own = column instanceof ColumnRef.Own;
        if (own && source.filling().isComputed()) {
            return Optional.of(source.name() + " is itself computed, and nothing is computed from that");
        }
        return own && source.type() instanceof DataType.Counted
                ? Optional.of(source.name() + " is counted by the database, and nothing is computed from that")
                : Optional.empty();
    }

    /** What is typed behind an equals sign as a computation of an attribute; an {@link IllegalArgumentException} says what is wrong. */
    public Expression<ColumnRef> computed(Attribute attribute, String text) {
        try {
            return readComputed(attribute, text, 0, text.length());
        } catch (Misunderstanding e) {
            throw new IllegalArgumentException(e.getMessage(), e);
        }
    }

    /** A computation in words that read back as the same; empty where there are none. */
    public Optional<String> saidComputed(Attribute computed) {
        Expression<ColumnRef> value = computed.filling().expression();
        return computed.filling().isComputed()
                ? written(value).filter(said -> readsAs(value, () -> readComputed(computed, said, 0, said.length())))
                : Optional.empty();
    }

    /** Why a rule, or what is made of columns, cannot be had with the types of its columns; empty where nothing is known against it. */
    public Optional<String> misfit(Expression<ColumnRef> expression, boolean isRule) {
        Optional<String> said = written(expression);
        if (said.isEmpty()) {
            return Optional.empty();
        }
        try {
            if (isRule) {
                read(said.get(), 0, said.get().length());
            } else {
                readValue(said.get(), 0, said.get().length());
            }
            return Optional.empty();
        } catch (Misunderstanding e) {
            return Optional.ofNullable(e.getMessage()).filter(problem -> e.isOfTypes());
        }
    }

    /**
     * Why what an attribute is computed from cannot be had with its own type, or with those of the columns; empty where nothing is known
     * against it.
     */
    public Optional<String> misfitComputed(Attribute computed) {
        Expression<ColumnRef> value = computed.filling().expression();
        return misfit(value, false).or(() -> misfit(computed, value));
    }

    private Optional<String> misfit(Attribute computed, Expression<ColumnRef> value) {
        DataType own = design.resolved(computed.type());
        boolean takesText = own instanceof DataType.Text || own instanceof DataType.OneOf;
        if (takesText || own instanceof DataType.Undecided) {
            return Optional.empty(); // numbers and days are written as texts where a text is wanted
        }
        DataType made = Evaluation.valueOf(
                        value, column -> new Evaluation.Operand(Optional.empty(), design.resolved(names.type(column))))
                .map(Evaluation.Operand::type)
                .orElse(DataTypes.UNDECIDED);
        boolean fits = made instanceof DataType.Undecided
                || made.isNumeric() && own.isNumeric()
                || made.getClass() == own.getClass() && (!(made instanceof DataType.Simple) || made.equals(own));
        String what = made.isNumeric() ? "a number" : made instanceof DataType.Text ? "a text" : made.toString();
        return fits
                ? Optional.empty()
                : Optional.of("what is computed is " + what + ", and " + computed.name() + " holds " + own);
    }

    /** A rule in words that read back as the same rule; empty where there are none. */
    public Optional<String> said(Expression<ColumnRef> rule) {
        return written(rule).filter(said -> readsAs(rule, () -> read(said, 0, said.length())));
    }

    /** Standard SQL with its columns by the names that they have in a rule; empty where one has none. */
    Optional<String> written(Expression<ColumnRef> expression) {
        boolean nameable = expression.isStandard()
                && expression.columns().allMatch(column -> names.said(column).isPresent());
        return nameable
                ? Optional.of(expression.written(
                                column -> names.said(column).orElseThrow())) // each has one, as was asked
                        .filter(text -> text.indexOf('\n') < 0)
                : Optional.empty();
    }

    private static boolean readsAs(Expression<ColumnRef> wanted, Supplier<Expression<ColumnRef>> reading) {
        try {
            return reading.get().equals(wanted);
        } catch (Misunderstanding e) {
            return false; // it says more than is read here, and so is not said
        }
    }
}
