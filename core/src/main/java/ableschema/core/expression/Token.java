package ableschema.core.expression;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One token of an expression.
 *
 * @param <R>  what a column is addressed by
 * @param text the token as it stands; for a column an empty text
 * @param ref  the column that it is, or null
 */
public record Token<R>(Kind kind, String text, @Nullable R ref) {

    /** What a token is. */
    public enum Kind {
        SPACE,
        WORD,
        NUMBER,
        /** Between single quotes, with quotes in it doubled. */
        STRING,
        /** A name between double quotes. */
        NAME,
        SYMBOL,
        COLUMN
    }

    /** The tokens of an expression, spaces included, so that written one after the other they give it again. */
    public static <R> List<Token<R>> of(Expression<R> expression) {
        var tokens = new ArrayList<Token<R>>();
        for (Expression.Piece<R> piece : expression.pieces()) {
            if (piece instanceof Expression.Column<R> column) {
                tokens.add(new Token<>(Kind.COLUMN, "", column.ref()));
            } else if (piece instanceof Expression.Text<R> text) {
                scan(text.text(), tokens);
            }
        }
        return tokens;
    }

    private static <R> void scan(String text, List<Token<R>> tokens) {
        int at = 0;
        while (at < text.length()) {
            char first = text.charAt(at);
            Kind kind = kind(text, at);
            int end =
                    switch (kind) {
                        case STRING, NAME -> closed(text, at, first);
                        case SPACE -> run(text, at, Kind.SPACE);
                        case WORD -> run(text, at, Kind.WORD);
                        case NUMBER -> number(text, at);
                        default -> symbol(text, at);
                    };
            tokens.add(new Token<>(kind, text.substring(at, end), null));
            at = end;
        }
    }

    private static Kind kind(String text, int at) {
        char c = text.charAt(at);
        if (Character.isWhitespace(c)) {
            return Kind.SPACE;
        }
        if (c == '\'') {
            return Kind.STRING;
        }
        if (c == '"') {
            return Kind.NAME;
        }
        boolean digit =
                Character.isDigit(c) || c == '.' && at + 1 < text.length() && Character.isDigit(text.charAt(at + 1));
        return digit ? Kind.NUMBER : Character.isLetter(c) || c == '_' ? Kind.WORD : Kind.SYMBOL;
    }

    private static int run(String text, int at, Kind kind) {
        int end = at;
        while (end < text.length()
                && (kind(text, end) == kind || kind == Kind.WORD && Character.isDigit(text.charAt(end)))) {
            end++;
        }
        return end;
    }

    private static int number(String text, int at) {
        int end = at;
        while (end < text.length() && (Character.isLetterOrDigit(text.charAt(end)) || text.charAt(end) == '.')) {
            end++;
        }
        return end;
    }

    private static int symbol(String text, int at) {
        String two = text.substring(at, Math.min(at + 2, text.length()));
        return at + (List.of("<=", ">=", "<>", "!=", "||").contains(two) ? 2 : 1);
    }

    /** The end of what begins with a quote; the end of the text where it is not closed. */
    private static int closed(String text, int at, char quote) {
        int end = at + 1;
        while (end < text.length()) {
            if (text.charAt(end) != quote) {
                end++;
            } else if (end + 1 < text.length() && text.charAt(end + 1) == quote) {
                end += 2;
            } else {
                return end + 1;
            }
        }
        return end;
    }

    /** Whether this is the given word, whatever its letter case, or the given symbol. */
    public boolean is(String wordOrSymbol) {
        return (kind == Kind.WORD || kind == Kind.SYMBOL) && text.equalsIgnoreCase(wordOrSymbol);
    }

    /** The value of a text between quotes. */
    public String value() {
        boolean closed = text.length() > 1 && text.endsWith("'");
        return kind == Kind.STRING
                ? text.substring(1, closed ? text.length() - 1 : text.length()).replace("''", "'")
                : text;
    }
}
