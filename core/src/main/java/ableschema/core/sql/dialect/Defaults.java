package ableschema.core.sql.dialect;

import ableschema.core.expression.Expression;
import ableschema.core.expression.Token;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/** Reads the simple defaults: a literal, or one of the functions that give a moment or a uuid. */
final class Defaults {

    /** A literal, a number, a word, or the moment: what stands behind DEFAULT everywhere. */
    private static final Pattern PLAIN = Pattern.compile(
            "(?i)[nxb]?'(?:[^']++|'')*+'(?:::[\\w .\"\\[\\]]+(?:\\([0-9, ]*\\))?)?|[+-]?[0-9.]+(?:e[+-]?[0-9]+)?|[\\w.]+"
                    + "|(?:now|current_timestamp|current_time|localtime|localtimestamp)\\([0-9]*\\)");

    private static final Pattern CALL = Pattern.compile("[\\w.]+\\([^()]*\\)");

    private Defaults() {}

    /**
     * What stands behind DEFAULT, between brackets where it must be.
     *
     * @param calls whether a call may stand without
     */
    static String bracketed(String sql, boolean calls) {
        boolean plain = PLAIN.matcher(sql).matches()
                || calls && CALL.matcher(sql).matches()
                || sql.startsWith("(") && sql.endsWith(")") && closing(sql) == sql.length() - 1;
        return plain ? sql : "(" + sql + ")";
    }

    /** Where the bracket closes that a text begins with; beyond its end where it never does. */
    private static int closing(String sql) {
        int depth = 0;
        boolean quoted = false;
        for (int i = 0; i < sql.length(); i++) {
            char c = sql.charAt(i);
            quoted ^= c == '\'';
            depth += quoted ? 0 : c == '(' ? 1 : c == ')' ? -1 : 0;
            if (depth == 0) {
                return i;
            }
        }
        return sql.length();
    }

    private static List<Token<String>> tokens(Expression<String> expression) {
        return Token.of(expression).stream()
                .filter(token -> token.kind() != Token.Kind.SPACE)
                .toList();
    }

    /** The function that a default calls, if that is all it does. */
    static Optional<StandardFunction> function(Expression<String> expression) {
        List<Token<String>> tokens = tokens(expression);
        boolean call =
                tokens.size() == 3 && tokens.get(1).is("(") && tokens.get(2).is(")");
        return tokens.size() == 1 || call
                ? Optional.of(tokens.get(0))
                        .filter(token -> token.kind() == Token.Kind.WORD)
                        .flatMap(token -> StandardFunction.called(token.text()))
                        .filter(function -> function.arguments() == 0)
                : Optional.empty();
    }

    /** The value of a default that is a literal. */
    static Optional<String> literal(Expression<String> expression) {
        List<Token<String>> tokens = tokens(expression);
        boolean negative =
                tokens.size() == 2 && tokens.get(0).is("-") && tokens.get(1).kind() == Token.Kind.NUMBER;
        if (negative) {
            return Optional.of("-" + tokens.get(1).text());
        }
        if (tokens.size() != 1) {
            return Optional.empty();
        }
        Token<String> token = tokens.get(0);
        return token.kind() == Token.Kind.STRING
                        || token.kind() == Token.Kind.NUMBER
                        || token.is("true")
                        || token.is("false")
                ? Optional.of(token.value())
                : Optional.empty();
    }
}
