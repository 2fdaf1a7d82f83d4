package ableschema.core.sql.dialect;

import ableschema.core.expression.Expression;
import ableschema.core.expression.Token;
import java.util.List;
import java.util.Optional;

/** Reads the simple defaults: a literal, or one of the functions that give a moment or a uuid. */
final class Defaults {

    private Defaults() {}

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
