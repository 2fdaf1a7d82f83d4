package ableschema.core.ddl;

import ableschema.core.ddl.Tokens.Kind;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;

/** Reads the tokens of an expression as items: texts without what says how they are written, names as columns where they are some. */
final class ItemReader {

    private static final String SIGNS = "+-*/<>=~!@#%^&|?:";

    private ItemReader() {}

    /** @param column gives the column that a name means; empty for a name that is none */
    static List<Item> read(Cursor at, Function<String, Optional<String>> column) {
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
                    operator(symbol(tokens, token), items);
                    at.skipTo(token + (symbol(tokens, token).length()));
                }
                default -> {
                    if (at.is("operator") && tokens.is(token + 1, '(')) {
                        qualifiedOperator(at, items);
                    } else {
                        items.add(named(at, column));
                    }
                }
            }
        }
        return items;
    }

    /** OPERATOR(public.~): the schema says where it was made. */
    private static void qualifiedOperator(Cursor at, List<Item> items) {
        at.skip();
        Tokens tokens = at.tokens();
        Cursor inside = at.inside();
        while (inside.isName() && tokens.is(inside.at() + 1, '.')) {
            inside.skip();
            inside.skip();
        }
        operator(inside.text().replaceAll("\\s", ""), items);
    }

    private static Item string(Tokens tokens, int token) {
        String sql = tokens.text(token);
        char prefix = (char) (sql.charAt(0) | 0x20);
        boolean binary = (prefix == 'x' || prefix == 'b') && sql.length() > 1 && sql.charAt(1) == '\'';
        boolean sequence = token > 1 && tokens.is(token - 2, "nextval");
        String named = sequence ? tokens.string(token).replaceFirst("^public\\.", "") : tokens.string(token);
        String text = binary ? sql : "'" + named.replace("'", "''") + "'";
        return new Item(text, Kind.STRING, Optional.empty());
    }

    /** What one database prints as an operator of its own has a word elsewhere. */
    private static void operator(String sign, List<Item> items) {
        switch (sign) {
            case "~~" -> items.add(Item.word("like"));
            case "!~~" -> {
                items.add(Item.word("not"));
                items.add(Item.word("like"));
            }
            default -> items.add(Item.symbol(sign));
        }
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

    /** The operator that begins here, of as many signs as stand side by side (PostgreSQL, 4.1.3): a sign of a number is none. */
    private static String symbol(Tokens tokens, int token) {
        String one = tokens.text(token);
        if (SIGNS.indexOf(one) < 0) {
            return one;
        }
        var operator = new StringBuilder(one);
        int last = token;
        while (tokens.touchesNext(last)
                && tokens.kind(last + 1) == Kind.SYMBOL
                && SIGNS.indexOf(tokens.text(last + 1)) >= 0) {
            operator.append(tokens.text(++last));
        }
        boolean plain = operator.chars().noneMatch(sign -> "~!@#%^&|?".indexOf(sign) >= 0);
        while (plain && operator.length() > 1 && "+-".indexOf(operator.charAt(operator.length() - 1)) >= 0) {
            operator.setLength(operator.length() - 1);
        }
        return operator.toString();
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
        boolean word = !quoted && ExpressionReader.isWord(text.toLowerCase(Locale.ROOT));
        Optional<String> found = word ? Optional.empty() : column.apply(name);
        return new Item(
                found.isPresent() || quoted ? text : text.toLowerCase(Locale.ROOT),
                quoted ? Kind.NAME : Kind.WORD,
                found);
    }
}
