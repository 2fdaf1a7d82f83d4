package ableschema.core.ddl;

import ableschema.core.ddl.Tokens.Kind;
import ableschema.core.schema.TableName;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** A place among the tokens of a statement, or of a part of it. */
final class Cursor {

    private final Tokens tokens;
    private final Names names;
    private final int end;
    private int at;

    Cursor(Tokens tokens, Names names, int start, int end) {
        this.tokens = tokens;
        this.names = names;
        this.at = start;
        this.end = end;
    }

    Names names() {
        return names;
    }

    Tokens tokens() {
        return tokens;
    }

    int at() {
        return at;
    }

    int end() {
        return end;
    }

    boolean atEnd() {
        return at >= end;
    }

    /** Skips a token; at the end it stays there, as statements may be cut anywhere. */
    void skip() {
        at = Math.min(at + 1, end);
    }

    void skipTo(int token) {
        at = token;
    }

    boolean is(String word) {
        return at < end && tokens.is(at, word);
    }

    boolean is(String word, String second) {
        return is(word) && at + 1 < end && tokens.is(at + 1, second);
    }

    boolean is(char symbol) {
        return at < end && tokens.is(at, symbol);
    }

    boolean isKind(Kind kind) {
        return at < end && tokens.kind(at) == kind;
    }

    /** Whether one of several words stands here. */
    boolean isAny(String... words) {
        for (String word : words) {
            if (is(word)) {
                return true;
            }
        }
        return false;
    }

    boolean accept(String word) {
        boolean found = is(word);
        at += found ? 1 : 0;
        return found;
    }

    boolean accept(String word, String second) {
        boolean found = is(word, second);
        at += found ? 2 : 0;
        return found;
    }

    boolean accept(char symbol) {
        boolean found = is(symbol);
        at += found ? 1 : 0;
        return found;
    }

    /** Skips one of several words, if it stands here. */
    boolean acceptAny(String... words) {
        boolean found = isAny(words);
        at += found ? 1 : 0;
        return found;
    }

    /** Skips IF EXISTS or IF NOT EXISTS. */
    void skipCondition() {
        if (accept("if")) {
            accept("not");
            accept("exists");
        }
    }

    void expect(char symbol) {
        if (!accept(symbol)) {
            throw new Unread("'" + symbol + "' was expected" + here());
        }
    }

    void expect(String word) {
        if (!accept(word)) {
            throw new Unread("'" + word.toUpperCase(Locale.ROOT) + "' was expected" + here());
        }
    }

    /** Where this is, for a message. */
    String here() {
        return atEnd() ? " at its end" : " before '" + shortened(tokens.text(at)) + "'";
    }

    private static String shortened(String text) {
        String line = text.lines().findFirst().orElse("");
        return line.length() > 30 ? line.substring(0, 30) + "…" : line;
    }

    boolean isName() {
        return isKind(Kind.WORD) || isKind(Kind.NAME) || isKind(Kind.STRING);
    }

    /** A single name. */
    String name() {
        if (!isName()) {
            throw new Unread("a name was expected" + here());
        }
        return names.of(tokens, at++);
    }

    /** A name whose last part counts, as in {@code shop.item_key}. */
    String lastName() {
        String name = name();
        while (is('.') && at + 1 < end) {
            at++;
            name = name();
        }
        return name;
    }

    /** A name with a schema before it, or without; of {@code server.database.schema.table} the last two count. */
    TableName qualified() {
        String namespace = "";
        String name = name();
        while (accept('.')) {
            namespace = is('.') ? "" : name;
            name = is('.') ? name : name();
        }
        return new TableName(names.namespace(namespace), name);
    }

    /** The text between quotes that stands here. */
    String string() {
        if (!isKind(Kind.STRING)) {
            throw new Unread("a text between quotes was expected" + here());
        }
        return tokens.string(at++);
    }

    /** The bracket that closes the one at a place; the end where none does. */
    int closing(int open) {
        int depth = 0;
        for (int i = open; i < end; i++) {
            if (tokens.kind(i) == Kind.SYMBOL) {
                depth += tokens.is(i, '(') ? 1 : tokens.is(i, ')') ? -1 : 0;
                if (depth == 0) {
                    return i;
                }
            }
        }
        return end;
    }

    /** What stands between the brackets here; this cursor moves behind them. */
    Cursor inside() {
        if (!is('(')) {
            throw new Unread("'(' was expected" + here());
        }
        int closing = closing(at);
        if (closing >= end) {
            throw new Unread("a bracket is not closed");
        }
        var inside = new Cursor(tokens, names, at + 1, closing);
        at = closing + 1;
        return inside;
    }

    /** The same tokens from here up to a place; this cursor moves there. */
    Cursor upTo(int place) {
        var part = new Cursor(tokens, names, at, place);
        at = place;
        return part;
    }

    /** What is left, part by part between the commas that stand in no brackets. */
    List<Cursor> parts() {
        var parts = new ArrayList<Cursor>();
        int start = at;
        int depth = 0;
        for (int i = at; i < end; i++) {
            if (tokens.kind(i) != Kind.SYMBOL) {
                continue;
            }
            depth += tokens.depth(i);
            if (depth == 0 && tokens.is(i, ',')) {
                parts.add(new Cursor(tokens, names, start, i));
                start = i + 1;
            }
        }
        if (start < end) {
            parts.add(new Cursor(tokens, names, start, end));
        }
        at = end;
        return parts;
    }

    /** A whole number, with its sign. */
    long number() {
        boolean negative = accept('-');
        accept('+');
        if (!isKind(Kind.NUMBER)) {
            throw new Unread("a number was expected" + here());
        }
        try {
            long value = Long.parseLong(tokens.text(at++));
            return negative ? -value : value;
        } catch (NumberFormatException e) {
            throw new Unread("a whole number was expected, not " + tokens.text(at - 1));
        }
    }

    /** All that is left, as it stands. */
    String text() {
        return tokens.text(at, end);
    }
}
