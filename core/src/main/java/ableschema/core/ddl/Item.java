package ableschema.core.ddl;

import ableschema.core.ddl.Tokens.Kind;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** One token of an expression on its way to standard SQL; a column has the name that it has in its table. */
record Item(String text, Kind kind, Optional<String> column) {

    private static final Set<String> KEYWORDS =
            Set.of("and", "or", "not", "between", "in", "when", "then", "else", "like", "case", "is", "from", "for");

    static Item symbol(String text) {
        return new Item(text, Kind.SYMBOL, Optional.empty());
    }

    static Item word(String text) {
        return new Item(text, Kind.WORD, Optional.empty());
    }

    boolean is(String symbolOrWord) {
        return (kind == Kind.SYMBOL || kind == Kind.WORD) && column.isEmpty() && text.equalsIgnoreCase(symbolOrWord);
    }

    boolean isValue() {
        return column.isPresent() || kind == Kind.STRING || kind == Kind.NUMBER;
    }

    /** Whether this is a word of the language between values. */
    boolean isKeyword() {
        return kind == Kind.WORD && column.isEmpty() && KEYWORDS.contains(text);
    }

    /** Whether a bracket behind this holds its arguments. */
    boolean isFunction() {
        return column.isEmpty() && (kind == Kind.WORD || kind == Kind.NAME) && !isKeyword();
    }

    /** Whether a bracket behind this belongs to it: to a function, or to IN. */
    boolean isCall() {
        return isFunction() || is("in");
    }

    /** The place of the bracket that closes the one at a place; the last place where none does. */
    static int closing(List<Item> items, int open) {
        int depth = 0;
        for (int i = open; i < items.size(); i++) {
            depth += items.get(i).is("(") ? 1 : items.get(i).is(")") ? -1 : 0;
            if (depth == 0) {
                return i;
            }
        }
        return items.size() - 1;
    }

    /** The place of the bracket that opens the one at a place; the first place where none does. */
    static int opening(List<Item> items, int close) {
        int depth = 0;
        for (int i = close; i >= 0; i--) {
            depth += items.get(i).is(")") ? 1 : items.get(i).is("(") ? -1 : 0;
            if (depth == 0) {
                return i;
            }
        }
        return 0;
    }
}
