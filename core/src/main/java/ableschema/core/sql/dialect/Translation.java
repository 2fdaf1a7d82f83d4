package ableschema.core.sql.dialect;

import ableschema.core.expression.Expression;
import ableschema.core.expression.Token;
import ableschema.core.expression.Token.Kind;
import ableschema.core.types.DataType;
import ableschema.core.types.DataTypes;
import ableschema.core.types.TypedValue;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/**
 * Writes standard SQL as a dialect has it: functions by their templates, texts joined in its way, and the literals that a
 * column is compared with as literals of that column's type. What it does not know stands as it is.
 */
final class Translation {

    private final Dialect dialect;
    private final Function<String, DataType> types;
    private final UnaryOperator<String> names;

    Translation(Dialect dialect, Function<String, DataType> types, UnaryOperator<String> names) {
        this.dialect = dialect;
        this.types = types;
        this.names = names;
    }

    /** A piece of what is written. */
    private record Item(String text, boolean operand) {
        boolean isSpace() {
            return text.isBlank();
        }
    }

    String of(Expression<String> expression) {
        return written(signed(Token.of(expression)));
    }

    /** Numbers with the sign that stands before them, where that takes them from nothing. */
    private static List<Token<String>> signed(List<Token<String>> tokens) {
        var signed = new ArrayList<Token<String>>();
        boolean behindValue = false;
        for (Token<String> token : tokens) {
            int last = signed.size() - 1;
            if (token.kind() == Kind.NUMBER
                    && !behindValue
                    && last >= 0
                    && signed.get(last).is("-")) {
                signed.set(last, new Token<>(Kind.NUMBER, "-" + token.text(), null));
                behindValue = true;
            } else {
                signed.add(token);
                behindValue = token.kind() == Kind.SPACE || token.is("-") ? behindValue : isValue(token);
            }
        }
        return signed;
    }

    private static boolean isValue(Token<String> token) {
        return token.is(")") || token.kind() != Kind.SYMBOL && !isOperator(token);
    }

    private String written(List<Token<String>> tokens) {
        var items = new ArrayList<Item>();
        DataType compared = DataTypes.UNDECIDED;
        int at = 0;
        while (at < tokens.size()) {
            Token<String> token = tokens.get(at);
            int open = next(tokens, at + 1);
            boolean opens = open < tokens.size() && tokens.get(open).is("(");
            if (token.kind() == Kind.WORD && opens && !isOperator(token)) {
                int close = closing(tokens, open);
                items.add(new Item(call(token, tokens.subList(open + 1, Math.min(close, tokens.size()))), true));
                compared = DataTypes.UNDECIDED;
                at = close + 1;
            } else if (token.is("(")) {
                int close = closing(tokens, at);
                String inner = inBrackets(tokens.subList(at + 1, Math.min(close, tokens.size())), compared);
                items.add(new Item("(" + inner + ")", true));
                at = close + 1;
            } else if (token.is("like")
                    && open < tokens.size()
                    && tokens.get(open).kind() == Kind.STRING) {
                items.add(new Item(dialect.like(tokens.get(open).value()), false));
                at = open + 1;
            } else {
                items.add(item(token, compared));
                compared = compared(token, compared);
                at++;
            }
        }
        return joined(concatenated(items));
    }

    /** Words before a bracket that are no function. */
    private static boolean isOperator(Token<String> word) {
        return List.of("in", "and", "or", "not", "between", "when", "then", "else", "like", "is").stream()
                .anyMatch(word::is);
    }

    /** The values of a list are of the type of the column before it; any other bracket is an expression of its own. */
    private String inBrackets(List<Token<String>> tokens, DataType compared) {
        boolean literals = tokens.stream()
                .allMatch(t -> t.kind() == Kind.STRING
                        || t.kind() == Kind.NUMBER
                        || t.kind() == Kind.SPACE
                        || t.is(",")
                        || t.is("-")
                        || t.is("true")
                        || t.is("false"));
        if (!literals) {
            return written(tokens);
        }
        var text = new StringBuilder();
        tokens.forEach(token -> text.append(item(token, compared).text()));
        return text.toString();
    }

    /** The type that a literal is compared with from here on. */
    private DataType compared(Token<String> token, DataType before) {
        if (token.kind() == Kind.COLUMN) {
            return types.apply(String.valueOf(token.ref()));
        }
        boolean ends = token.is("or")
                || token.is("when")
                || token.is("then")
                || token.is("||")
                || token.is("+")
                || token.is("*")
                || token.is("/");
        return ends ? DataTypes.UNDECIDED : before;
    }

    private Item item(Token<String> token, DataType compared) {
        return switch (token.kind()) {
            case COLUMN -> new Item(names.apply(String.valueOf(token.ref())), true);
            case STRING -> new Item(literal(token.value(), compared), true);
            case NUMBER -> new Item(isOfAnother(compared) ? literal(token.text(), compared) : token.text(), true);
            case NAME -> new Item(token.text(), true);
            case WORD -> word(token, compared);
            default -> new Item(token.text(), false);
        };
    }

    /** Whether a number is compared with what is none, as its column has got another type since. */
    private boolean isOfAnother(DataType compared) {
        return compared == DataType.Simple.YES_NO
                || compared instanceof DataType.Text && !dialect.can(Ability.NUMBERS_BESIDE_TEXTS);
    }

    private Item word(Token<String> token, DataType compared) {
        if (token.is("true") || token.is("false")) {
            return new Item(dialect.truth(token.is("true")), true);
        }
        Optional<StandardFunction> function =
                StandardFunction.called(token.text()).filter(f -> f.arguments() == 0 && !token.is("now"));
        if (function.isEmpty()) {
            return new Item(token.text(), !isOperator(token) && !token.is("null"));
        }
        return new Item(
                dialect.traits().template(function.get().fitting(compared).orElse(function.get())), true);
    }

    private String literal(String value, DataType type) {
        boolean typed = !(type instanceof DataType.Undecided)
                && !type.isNumeric()
                && TypedValue.of(type, value).fits();
        return typed ? dialect.literal(type, Optional.of(value)) : dialect.text(value);
    }

    private String call(Token<String> name, List<Token<String>> inside) {
        Optional<StandardFunction> called = StandardFunction.called(name.text());
        List<List<Token<String>>> arguments = arguments(called, inside);
        if (called.isEmpty()) {
            return name.text() + "(" + written(inside) + ")";
        }
        StandardFunction function = called.get();
        if (function == StandardFunction.SUBSTRING && arguments.size() == 2) {
            function = StandardFunction.SUBSTRING_TO_END;
        }
        boolean year = function != StandardFunction.YEAR
                || inside.stream()
                        .filter(t -> t.kind() != Kind.SPACE)
                        .findFirst()
                        .filter(t -> t.is("year"))
                        .isPresent();
        if (!year || arguments.size() != function.arguments()) {
            return name.text() + "(" + written(inside) + ")";
        }
        String text = dialect.traits().template(function);
        for (int i = 0; i < arguments.size(); i++) {
            text = text.replace("{" + i + "}", written(arguments.get(i)).strip());
        }
        return text;
    }

    /** The arguments of a call, between commas or the words that stand for them. */
    private static List<List<Token<String>>> arguments(
            Optional<StandardFunction> function, List<Token<String>> inside) {
        var arguments = new ArrayList<List<Token<String>>>();
        var current = new ArrayList<Token<String>>();
        int depth = 0;
        for (Token<String> token : inside) {
            depth += token.is("(") ? 1 : token.is(")") ? -1 : 0;
            boolean parts = depth == 0 && (token.is(",") || token.is("from") || token.is("for"));
            if (parts) {
                arguments.add(List.copyOf(current));
                current.clear();
            } else {
                current.add(token);
            }
        }
        if (current.stream().anyMatch(t -> t.kind() != Kind.SPACE) || !arguments.isEmpty()) {
            arguments.add(List.copyOf(current));
        }
        boolean extract = function.filter(f -> f == StandardFunction.YEAR).isPresent();
        return extract && arguments.size() == 2 ? List.of(arguments.get(1)) : arguments;
    }

    private static int next(List<Token<String>> tokens, int at) {
        int next = at;
        while (next < tokens.size() && tokens.get(next).kind() == Kind.SPACE) {
            next++;
        }
        return next;
    }

    /** The bracket that closes the one at this place; the end where none does. */
    private static int closing(List<Token<String>> tokens, int open) {
        int depth = 0;
        for (int at = open; at < tokens.size(); at++) {
            depth += tokens.get(at).is("(") ? 1 : tokens.get(at).is(")") ? -1 : 0;
            if (depth == 0) {
                return at;
            }
        }
        return tokens.size();
    }

    private List<Item> concatenated(List<Item> items) {
        String template = dialect.traits().template(StandardFunction.CONCATENATION);
        if (template.equals(StandardFunction.CONCATENATION.standard())) {
            return items;
        }
        var done = new ArrayList<Item>();
        for (int at = 0; at < items.size(); at++) {
            if (!items.get(at).text().equals("||")) {
                done.add(items.get(at));
                continue;
            }
            while (!done.isEmpty() && done.get(done.size() - 1).isSpace()) {
                done.remove(done.size() - 1);
            }
            int right = at + 1;
            while (right < items.size() && items.get(right).isSpace()) {
                right++;
            }
            if (done.isEmpty() || right >= items.size()) {
                done.add(items.get(at));
                continue;
            }
            Item left = done.remove(done.size() - 1);
            done.add(new Item(
                    template.replace("{0}", left.text())
                            .replace("{1}", items.get(right).text()),
                    true));
            at = right;
        }
        return done;
    }

    private static String joined(List<Item> items) {
        var text = new StringBuilder();
        items.forEach(item -> text.append(item.text()));
        return text.toString();
    }
}
