package ableschema.core.ddl;

import ableschema.core.ddl.Tokens.Kind;
import ableschema.core.expression.Expression;
import ableschema.core.expression.Expression.Piece;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.StandardFunction;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * Reads the expressions of checks, defaults and computed columns. What a database adds when it prints them (casts, brackets,
 * introducers) is taken away where that changes nothing; what remains is standard SQL, or else belongs to the dialect.
 */
final class ExpressionReader {

    /** Longer expressions are kept as they are; nobody reads them as rules. */
    private static final int LONGEST = 3000;

    private static final Set<String> WORDS = Set.of(
            "and",
            "or",
            "not",
            "is",
            "null",
            "between",
            "in",
            "like",
            "true",
            "false",
            "case",
            "when",
            "then",
            "else",
            "end",
            "escape",
            "current_date",
            "current_timestamp",
            "current_time",
            "extract",
            "from",
            "for",
            "substring",
            "year",
            "month",
            "day",
            "coalesce",
            "nullif",
            "lower",
            "upper",
            "trim",
            "abs",
            "round",
            "char_length",
            "mod",
            "floor",
            "ceil");

    private static final Set<String> OPERATORS =
            Set.of("=", "<>", "!=", "<", ">", "<=", ">=", "+", "-", "*", "/", "(", ")", ",", "||");

    /** A cast to one of these changes no text. */
    private static final Set<String> TEXTS = Set.of("text", "varchar", "char", "name", "citext");

    private final Dialect dialect;
    private final boolean doublePipeIsOr;

    /** What a function of this dialect with one argument is called in standard SQL. */
    private final Map<String, String> standard = new HashMap<>();

    ExpressionReader(Dialect dialect) {
        this.dialect = dialect;
        this.doublePipeIsOr = dialect.name().equals("mysql") || dialect.name().equals("mariadb");
        standard.put("character_length", "char_length");
        String length = dialect.traits().template(StandardFunction.LENGTH);
        standard.put(length.substring(0, Math.max(0, length.indexOf('('))).toLowerCase(Locale.ROOT), "char_length");
        if (dialect.name().equals("postgresql") || dialect.name().equals("h2")) { // elsewhere it may count bytes
            standard.put("length", "char_length");
        }
    }

    /** One item of an expression on its way to standard SQL. */
    private record Item(String text, Kind kind, Optional<String> column) {
        static Item symbol(String text) {
            return new Item(text, Kind.SYMBOL, Optional.empty());
        }

        boolean is(String symbolOrWord) {
            return (kind == Kind.SYMBOL || kind == Kind.WORD) && text.equalsIgnoreCase(symbolOrWord);
        }

        boolean isValue() {
            return column.isPresent() || kind == Kind.STRING || kind == Kind.NUMBER;
        }
    }

    /**
     * Reads all that is left.
     *
     * @param column gives the column that a name means; empty for a name that is none
     */
    Expression<String> read(Cursor at, Function<String, Optional<String>> column) {
        List<Item> items = items(at, column);
        if (items.size() > LONGEST) {
            return expression(items, dialect.name());
        }
        items = unwrapped(inLists(withoutCasts(items)));
        boolean isStandard = isStandard(items);
        if (isStandard) {
            items = items.stream().map(this::renamed).toList();
        }
        return expression(items, isStandard ? "" : dialect.name());
    }

    private List<Item> items(Cursor at, Function<String, Optional<String>> column) {
        var items = new ArrayList<Item>();
        Tokens tokens = at.tokens();
        while (!at.atEnd()) {
            int token = at.at();
            switch (tokens.kind(token)) {
                case STRING -> {
                    dropIntroducer(items);
                    dropTypeName(items);
                    items.add(string(tokens, token));
                    at.skip();
                }
                case NUMBER -> {
                    items.add(new Item(tokens.text(token), Kind.NUMBER, Optional.empty()));
                    at.skip();
                }
                case SYMBOL -> {
                    items.add(Item.symbol(symbol(tokens, token)));
                    at.skipTo(token + (symbol(tokens, token).length()));
                }
                default -> items.add(named(at, column));
            }
        }
        return items;
    }

    private Item string(Tokens tokens, int token) {
        String sql = tokens.text(token);
        char prefix = (char) (sql.charAt(0) | 0x20);
        boolean binary = (prefix == 'x' || prefix == 'b') && sql.length() > 1 && sql.charAt(1) == '\'';
        String text = binary ? sql : "'" + tokens.string(token).replace("'", "''") + "'";
        return new Item(text, Kind.STRING, Optional.empty());
    }

    /** The character set that is named before a text. */
    private static void dropIntroducer(List<Item> items) {
        int last = items.size() - 1;
        if (last >= 0
                && items.get(last).kind() == Kind.WORD
                && items.get(last).text().startsWith("_")) {
            items.remove(last);
        }
    }

    /** The type that is named before the text of a day or moment. */
    private static void dropTypeName(List<Item> items) {
        int last = items.size() - 1;
        if (last >= 0
                && items.get(last).column().isEmpty()
                && (items.get(last).is("date")
                        || items.get(last).is("timestamp")
                        || items.get(last).is("time"))) {
            items.remove(last);
        }
    }

    private static String symbol(Tokens tokens, int token) {
        String one = tokens.text(token);
        if (!tokens.touchesNext(token) || tokens.kind(token + 1) != Kind.SYMBOL) {
            return one;
        }
        String two = one + tokens.text(token + 1);
        return Set.of("<=", ">=", "<>", "!=", "||", "::", "->", "~*", "!~").contains(two) ? two : one;
    }

    private static Item named(Cursor at, Function<String, Optional<String>> column) {
        int token = at.at();
        boolean quoted = at.isKind(Kind.NAME);
        String text = at.tokens().text(token);
        String name = at.name();
        if (at.is('(')) {
            return new Item(quoted ? text : text.toLowerCase(Locale.ROOT), Kind.WORD, Optional.empty());
        }
        while (at.is('.')) { // a table or schema before the name
            at.skip();
            if (!at.isName()) {
                break;
            }
            name = at.name();
            if (at.is('(')) {
                return new Item(name, Kind.WORD, Optional.empty());
            }
        }
        Optional<String> found = !quoted
                        && WORDS.contains(text.toLowerCase(Locale.ROOT))
                        && !text.equalsIgnoreCase("year")
                        && !text.equalsIgnoreCase("month")
                        && !text.equalsIgnoreCase("day")
                ? Optional.empty()
                : column.apply(name);
        return new Item(
                found.isPresent() || quoted ? text : text.toLowerCase(Locale.ROOT),
                quoted ? Kind.NAME : Kind.WORD,
                found);
    }

    /** A cast of a literal, and of a text to a text, says nothing that the column's type does not. */
    private static List<Item> withoutCasts(List<Item> items) {
        var kept = new ArrayList<Item>();
        for (int i = 0; i < items.size(); i++) {
            if (!items.get(i).is("::")) {
                kept.add(items.get(i));
                continue;
            }
            int type = i + 1;
            String name = type < items.size() ? items.get(type).text() : "";
            int end = castEnd(items, type);
            if (isHarmless(kept, SqlType.of(name, List.of(), false, "", "").name())) {
                i = end - 1;
            } else {
                kept.add(items.get(i));
            }
        }
        return kept;
    }

    private static int castEnd(List<Item> items, int type) {
        int end = type + 1;
        while (end < items.size()
                && items.get(end).kind() == Kind.WORD
                && Set.of("varying", "precision", "without", "with", "time", "zone")
                        .contains(items.get(end).text())) {
            end++;
        }
        if (end < items.size() && items.get(end).is("(")) {
            end = closing(items, end) + 1;
        }
        while (end + 1 < items.size()
                && items.get(end).is("[")
                && items.get(end + 1).is("]")) {
            end += 2;
        }
        return Math.min(end, items.size());
    }

    /** Whether what was just read may lose its cast. */
    private static boolean isHarmless(List<Item> before, String type) {
        int last = before.size() - 1;
        if (last < 0) {
            return false;
        }
        Item operand = before.get(last);
        if (operand.is(")")) {
            int open = opening(before, last);
            boolean single = last - open == 2;
            operand = single ? before.get(open + 1) : operand;
            if (!single) {
                return TEXTS.contains(type)
                                && (open == 0 || before.get(open - 1).kind() != Kind.WORD)
                        || isArray(before, open);
            }
        }
        boolean literal = operand.kind() == Kind.STRING || operand.kind() == Kind.NUMBER || operand.is("null");
        return literal || operand.is("]") || operand.column().isPresent() && TEXTS.contains(type);
    }

    private static boolean isArray(List<Item> items, int open) {
        return open + 1 < items.size() && items.get(open + 1).is("array");
    }

    private static int opening(List<Item> items, int close) {
        int depth = 0;
        for (int i = close; i >= 0; i--) {
            depth += items.get(i).is(")") ? 1 : items.get(i).is("(") ? -1 : 0;
            if (depth == 0) {
                return i;
            }
        }
        return 0;
    }

    private static int closing(List<Item> items, int open) {
        int depth = 0;
        for (int i = open; i < items.size(); i++) {
            depth += items.get(i).is("(") ? 1 : items.get(i).is(")") ? -1 : 0;
            if (depth == 0) {
                return i;
            }
        }
        return items.size() - 1;
    }

    /** {@code = ANY (ARRAY[…])} is how one database prints IN. */
    private static List<Item> inLists(List<Item> items) {
        var done = new ArrayList<Item>();
        for (int i = 0; i < items.size(); i++) {
            boolean any = items.get(i).is("=")
                    && i + 2 < items.size()
                    && items.get(i + 1).is("any")
                    && items.get(i + 2).is("(");
            int close = any ? closing(items, i + 2) : 0;
            List<Item> values = any ? items.subList(i + 3, close) : List.of();
            while (!values.isEmpty() && values.get(0).is("(") && closing(values, 0) == values.size() - 1) {
                values = values.subList(1, values.size() - 1);
            }
            boolean array = values.size() > 2
                    && values.get(0).is("array")
                    && values.get(1).is("[")
                    && values.get(values.size() - 1).is("]");
            if (!array) {
                done.add(items.get(i));
                continue;
            }
            done.add(new Item("in", Kind.WORD, Optional.empty()));
            done.add(Item.symbol("("));
            values.subList(2, values.size() - 1).stream()
                    .filter(item -> !item.is("(") && !item.is(")"))
                    .forEach(done::add);
            done.add(Item.symbol(")"));
            i = close;
        }
        return done;
    }

    /** Without brackets around all of it, or around a single value. */
    private static List<Item> unwrapped(List<Item> items) {
        List<Item> inside = items;
        while (inside.size() > 2 && inside.get(0).is("(") && closing(inside, 0) == inside.size() - 1) {
            inside = inside.subList(1, inside.size() - 1);
        }
        var done = new ArrayList<Item>();
        for (int i = 0; i < inside.size(); i++) {
            boolean single = inside.get(i).is("(")
                    && i + 2 < inside.size()
                    && inside.get(i + 1).isValue()
                    && inside.get(i + 2).is(")")
                    && (done.isEmpty() || !isCall(done.get(done.size() - 1)));
            int close = inside.get(i).is("(") ? closing(inside, i) : 0;
            if (single) {
                done.add(inside.get(i + 1));
                i += 2;
            } else if (close > i && isOnePart(inside, i, close)) {
                done.addAll(inside.subList(i + 1, close));
                i = close;
            } else {
                done.add(inside.get(i));
            }
        }
        return done.size() < inside.size() ? unwrapped(done) : done;
    }

    /** Whether a pair of brackets holds one comparison among others that are joined by AND or OR. */
    private static boolean isOnePart(List<Item> items, int open, int close) {
        boolean before = open == 0
                || items.get(open - 1).is("and")
                || items.get(open - 1).is("or")
                || items.get(open - 1).is("(") && (open < 2 || !isCall(items.get(open - 2)));
        boolean behind = close == items.size() - 1
                || items.get(close + 1).is("and")
                || items.get(close + 1).is("or")
                || items.get(close + 1).is(")");
        boolean ranged = open > 1 && items.get(open - 1).is("and") && isRanged(items, open - 1);
        return before
                && behind
                && !ranged
                && items.subList(open + 1, close).stream().noneMatch(item -> item.is("and") || item.is("or"));
    }

    /** Whether an AND belongs to a BETWEEN. */
    private static boolean isRanged(List<Item> items, int and) {
        for (int i = and - 1; i >= 0 && and - i < 12; i--) {
            if (items.get(i).is("between")) {
                return true;
            }
            if (items.get(i).is("and") || items.get(i).is("or")) {
                return false;
            }
        }
        return false;
    }

    private static boolean isCall(Item before) {
        return before.column().isEmpty()
                && (before.kind() == Kind.NAME
                        || before.kind() == Kind.WORD
                                && !Set.of("and", "or", "not", "between", "when", "then", "else", "case", "like")
                                        .contains(before.text()));
    }

    private boolean isStandard(List<Item> items) {
        for (int i = 0; i < items.size(); i++) {
            Item item = items.get(i);
            boolean call = i + 1 < items.size() && items.get(i + 1).is("(");
            boolean good = item.column().isPresent()
                    || switch (item.kind()) {
                        case STRING -> item.text().startsWith("'");
                        case NUMBER -> item.text().indexOf('x') < 0;
                        case SYMBOL -> OPERATORS.contains(item.text()) && !(doublePipeIsOr && item.is("||"));
                        case WORD -> WORDS.contains(item.text()) || call && standard.containsKey(item.text());
                        case NAME -> false;
                    };
            if (!good) {
                return false;
            }
        }
        return true;
    }

    private Item renamed(Item item) {
        return item.kind() == Kind.WORD && item.column().isEmpty() && standard.containsKey(item.text())
                ? new Item(standard.getOrDefault(item.text(), item.text()), Kind.WORD, Optional.empty())
                : item.is("!=") ? Item.symbol("<>") : item;
    }

    /** With single spaces, none within brackets and before commas. */
    private static Expression<String> expression(List<Item> items, String of) {
        var pieces = new ArrayList<Piece<String>>();
        var text = new StringBuilder();
        Item before = Item.symbol("(");
        boolean sign = false;
        for (Item item : items) {
            boolean tight = before.is("(")
                    || before.is(".")
                    || before.is("::")
                    || before.is("[")
                    || sign
                    || item.is(")")
                    || item.is(",")
                    || item.is(".")
                    || item.is("::")
                    || item.is("]")
                    || item.is("[")
                    || item.is("(") && isFunction(before);
            text.append(tight ? "" : " ");
            if (item.column().isPresent()) {
                end(text, pieces);
                pieces.add(new Expression.Column<>(item.column().get()));
            } else {
                text.append(item.text());
            }
            sign = item.is("-") && (before.kind() == Kind.SYMBOL && !before.is(")") || isKeyword(before));
            before = item;
        }
        end(text, pieces);
        return pieces.isEmpty() ? Expression.none() : new Expression<>(pieces, of);
    }

    private static void end(StringBuilder text, List<Piece<String>> pieces) {
        if (text.length() > 0) {
            pieces.add(new Expression.Text<>(text.toString()));
            text.setLength(0);
        }
    }

    private static boolean isKeyword(Item item) {
        return item.kind() == Kind.WORD
                && item.column().isEmpty()
                && Set.of("and", "or", "not", "between", "in", "when", "then", "else", "like", "case", "is")
                        .contains(item.text());
    }

    private static boolean isFunction(Item before) {
        return before.column().isEmpty()
                && (before.kind() == Kind.WORD || before.kind() == Kind.NAME)
                && !isKeyword(before);
    }
}
