package ableschema.core.design;

import static java.util.stream.Collectors.joining;

import ableschema.core.types.DataType;
import ableschema.core.types.TypedValue;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * A check or a default: standard SQL in which columns stand by their address, such as {@code {a:k3f9q2} between 1 and
 * 10}. A brace that is meant as such is doubled.
 */
public record Expression(List<Piece> pieces) {

    /** There is no expression. */
    public static final Expression NONE = new Expression(List.of());

    private static final Pattern PIECE = Pattern.compile("\\{\\{|}}|\\{([^{}]*)}|[^{}]+");

    private static final Pattern PLAIN_NUMBER = Pattern.compile("-?(?:0|[1-9][0-9]*)(?:\\.[0-9]+)?");

    public Expression {
        pieces = List.copyOf(pieces);
    }

    /** A stretch of text, or a column. */
    public sealed interface Piece {}

    /** SQL as it stands. */
    public record Text(String text) implements Piece {}

    /** A column by its address. */
    public record Column(ColumnRef ref) implements Piece {}

    /** Reads the text form; an {@link IllegalArgumentException} names an address or brace that is wrong. */
    public static Expression parse(String text) {
        var pieces = new ArrayList<Piece>();
        Matcher matcher = PIECE.matcher(text);
        int at = 0;
        while (matcher.find() && matcher.start() == at) {
            pieces.add(piece(matcher));
            at = matcher.end();
        }
        if (at < text.length()) {
            throw new IllegalArgumentException("a brace stands alone in '" + text + "'; write it twice if it is meant");
        }
        return new Expression(pieces);
    }

    private static Piece piece(Matcher matcher) {
        if (matcher.group(1) != null) {
            return new Column(ColumnRef.parse(matcher.group(1)));
        }
        String text = matcher.group();
        return new Text(text.equals("{{") || text.equals("}}") ? text.substring(1) : text);
    }

    public static Expression of(Piece... pieces) {
        return new Expression(List.of(pieces));
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

    public boolean isPresent() {
        return !pieces.isEmpty();
    }

    public Stream<ColumnRef> columns() {
        return pieces.stream().filter(Column.class::isInstance).map(piece -> ((Column) piece).ref());
    }

    /** Writes the expression with each column as the function names it. */
    public String written(Function<ColumnRef, String> names) {
        return pieces.stream()
                .map(piece -> piece instanceof Column column ? names.apply(column.ref()) : ((Text) piece).text())
                .collect(joining());
    }

    @Override
    public String toString() {
        return pieces.stream()
                .map(piece -> piece instanceof Column column
                        ? "{" + column.ref() + "}"
                        : ((Text) piece).text().replace("{", "{{").replace("}", "}}"))
                .collect(joining());
    }
}
