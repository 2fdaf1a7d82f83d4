package ableschema.core.expression;

import static java.util.stream.Collectors.joining;

import ableschema.core.types.DataType;
import ableschema.core.types.TypedValue;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * A check, a default or a rule of computation: SQL in which columns stand by a reference of any kind, such as {@code
 * {a:k3f9q2} between 1 and 10}. A brace that is meant as such is doubled in the text form.
 *
 * @param <R>     what a column is addressed by
 * @param dialect the dialect that it was written in; empty for standard SQL, which every dialect gets translated
 */
public record Expression<R>(List<Piece<R>> pieces, String dialect) {

    private static final Expression<?> NONE = new Expression<>(List.of(), "");

    private static final Pattern PIECE = Pattern.compile("\\{\\{|}}|\\{([^{}]*)}|[^{}]+");

    private static final Pattern PLAIN_NUMBER = Pattern.compile("-?(?:0|[1-9][0-9]*)(?:\\.[0-9]+)?");

    /** Stretches of text that stand side by side are one, so that what is written alike is equal. */
    public Expression {
        pieces = joined(pieces);
    }

    private static <R> List<Piece<R>> joined(List<Piece<R>> pieces) {
        var joined = new ArrayList<Piece<R>>();
        for (Piece<R> piece : pieces) {
            int last = joined.size() - 1;
            if (piece instanceof Text<R> more && last >= 0 && joined.get(last) instanceof Text<R> text) {
                joined.set(last, new Text<>(text.text() + more.text()));
            } else {
                joined.add(piece);
            }
        }
        return List.copyOf(joined);
    }

    /** A stretch of text, or a column. */
    public sealed interface Piece<R> {}

    /** SQL as it stands. */
    public record Text<R>(String text) implements Piece<R> {}

    /** A column by its address. */
    public record Column<R>(R ref) implements Piece<R> {}

    /** There is no expression. */
    @SuppressWarnings("unchecked") // without pieces there is nothing of the type
    public static <R> Expression<R> none() {
        return (Expression<R>) NONE;
    }

    /** Standard SQL without columns. */
    public static <R> Expression<R> text(String sql) {
        return sql.isEmpty() ? none() : of(new Text<>(sql));
    }

    /** A column as it is. */
    public static <R> Expression<R> column(R ref) {
        return of(new Column<>(ref));
    }

    @SafeVarargs
    @SuppressWarnings("varargs") // the pieces are only copied
    public static <R> Expression<R> of(Piece<R>... pieces) {
        return new Expression<>(List.of(pieces), "");
    }

    /**
     * Reads the text form; an {@link IllegalArgumentException} names an address or brace that is wrong.
     *
     * @param reading reads what stands between braces
     */
    public static <R> Expression<R> parse(String text, Function<String, R> reading) {
        var pieces = new ArrayList<Piece<R>>();
        Matcher matcher = PIECE.matcher(text);
        int at = 0;
        while (matcher.find() && matcher.start() == at) {
            pieces.add(piece(matcher, reading));
            at = matcher.end();
        }
        if (at < text.length()) {
            throw new IllegalArgumentException("a brace stands alone in '" + text + "'; write it twice if it is meant");
        }
        return pieces.isEmpty() ? none() : new Expression<>(pieces, "");
    }

    private static <R> Piece<R> piece(Matcher matcher, Function<String, R> reading) {
        if (matcher.group(1) != null) {
            return new Column<>(reading.apply(matcher.group(1)));
        }
        String text = matcher.group();
        return new Text<>(text.equals("{{") || text.equals("}}") ? text.substring(1) : text);
    }

    /** The literal of a value as standard SQL: a number bare, anything else between quotes. */
    public static String literal(DataType type, String value) {
        TypedValue read = TypedValue.of(type, value);
        if (type == DataType.Simple.YES_NO && read.fits()) {
            return read.canonical().equals("yes") ? "true" : "false";
        }
        if (type.isNumeric() && read.fits()) {
            return PLAIN_NUMBER.matcher(value).matches() ? value : read.canonical();
        }
        return "'" + value.replace("'", "''") + "'";
    }

    /** The column that this is, where it is one and nothing else. */
    public Optional<R> asColumn() {
        return pieces.size() == 1 && pieces.get(0) instanceof Column<R> column
                ? Optional.of(column.ref())
                : Optional.empty();
    }

    public boolean isPresent() {
        return !pieces.isEmpty();
    }

    /** Whether it is standard SQL, which can be translated. */
    public boolean isStandard() {
        return dialect.isEmpty();
    }

    /** This expression as one written in a dialect; empty for standard SQL. */
    public Expression<R> in(String dialect) {
        return dialect.equals(this.dialect) ? this : new Expression<>(pieces, dialect);
    }

    public Stream<R> columns() {
        return pieces.stream().filter(Column.class::isInstance).map(piece -> ((Column<R>) piece).ref());
    }

    /** Returns this expression with each column addressed as the function says. */
    public <S> Expression<S> map(Function<? super R, ? extends S> address) {
        if (pieces.isEmpty()) {
            return none();
        }
        var mapped = new ArrayList<Piece<S>>();
        for (Piece<R> piece : pieces) {
            mapped.add(
                    piece instanceof Column<R> column
                            ? new Column<>(address.apply(column.ref()))
                            : new Text<>(((Text<R>) piece).text()));
        }
        return new Expression<>(mapped, dialect);
    }

    /** Writes the expression with each column as the function names it. */
    public String written(Function<? super R, String> names) {
        return pieces.stream()
                .map(piece -> piece instanceof Column<R> column ? names.apply(column.ref()) : ((Text<R>) piece).text())
                .collect(joining());
    }

    @Override
    public String toString() {
        return pieces.stream()
                .map(piece -> piece instanceof Column<R> column
                        ? "{" + column.ref() + "}"
                        : ((Text<R>) piece).text().replace("{", "{{").replace("}", "}}"))
                .collect(joining());
    }

    /** The value that this is, where it is a literal of standard SQL and no more: {@code 'white'}, {@code -5}, {@code true}. */
    public Optional<String> literal() {
        List<Token<R>> tokens = Token.of(this).stream()
                .filter(token -> token.kind() != Token.Kind.SPACE)
                .toList();
        boolean negative =
                tokens.size() == 2 && tokens.get(0).is("-") && tokens.get(1).kind() == Token.Kind.NUMBER;
        if (negative) {
            return Optional.of("-" + tokens.get(1).text());
        }
        boolean literal = tokens.size() == 1
                && (tokens.get(0).kind() == Token.Kind.STRING
                        || tokens.get(0).kind() == Token.Kind.NUMBER
                        || tokens.get(0).is("true")
                        || tokens.get(0).is("false"));
        return literal && isStandard() ? Optional.of(tokens.get(0).value()) : Optional.empty();
    }
}
