package ableschema.core.ddl;

import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/** The tokens of one statement of an SQL text; filled again for the next one, so that a long script needs no room for all. */
final class Tokens {

    /** What a token is. */
    enum Kind {
        WORD,
        /** A name between quotes. */
        NAME,
        STRING,
        NUMBER,
        SYMBOL
    }

    /** Longer tokens do not come again. */
    private static final int LONGEST_KNOWN = 40;

    private final String text;
    private final Lexis lexis;

    /** Words that came already, by what they are made of: most come again, and what is the same string is compared at once. */
    private final @Nullable String[] known = new String[4096];

    private Kind[] kinds = new Kind[256];
    private int[] starts = new int[256];
    private int[] ends = new int[256];
    private int count;
    private int dataStart;
    private int dataEnd;
    private boolean client;
    private boolean cut;

    /** Up to where the line ends are counted. */
    private int counted;

    private int line = 1;

    Tokens(String text, Lexis lexis) {
        this.text = text;
        this.lexis = lexis;
    }

    void clear() {
        count = 0;
        dataStart = 0;
        dataEnd = 0;
        client = false;
        cut = false;
    }

    void add(Kind kind, int start, int end) {
        if (count == kinds.length) {
            kinds = Arrays.copyOf(kinds, 2 * count);
            starts = Arrays.copyOf(starts, 2 * count);
            ends = Arrays.copyOf(ends, 2 * count);
        }
        kinds[count] = kind;
        starts[count] = start;
        ends[count++] = end;
    }

    /** Takes away all tokens from this one on. */
    void cut(int from) {
        count = from;
    }

    /** Marks this as a command of a client program, which no database sees. */
    void markClient() {
        client = true;
    }

    /** Marks that the statement goes on behind its last token, nobody knows how far. */
    void markCut() {
        cut = true;
    }

    boolean isCut() {
        return cut;
    }

    boolean isClient() {
        return client;
    }

    /** The rows that stand behind a COPY. */
    void setData(int start, int end) {
        dataStart = start;
        dataEnd = end;
    }

    String data() {
        return text.substring(dataStart, dataEnd);
    }

    int count() {
        return count;
    }

    Kind kind(int token) {
        return kinds[token];
    }

    int start(int token) {
        return starts[token];
    }

    int end(int token) {
        return ends[token];
    }

    /** @param word in small letters of ASCII */
    boolean is(int token, String word) {
        return token < count && kinds[token] == Kind.WORD && matches(token, word);
    }

    private boolean matches(int token, String word) {
        int length = word.length();
        int start = starts[token];
        if (ends[token] - start != length) {
            return false;
        }
        for (int i = 0; i < length; i++) {
            char c = text.charAt(start + i);
            if (c != word.charAt(i) && (c < 'A' || c > 'Z' || c + 32 != word.charAt(i))) {
                return false;
            }
        }
        return true;
    }

    boolean is(int token, char symbol) {
        return token < count && kinds[token] == Kind.SYMBOL && text.charAt(starts[token]) == symbol;
    }

    /** How much deeper in brackets of any kind what follows stands: 1, 0 or -1. */
    int depth(int token) {
        if (kinds[token] != Kind.SYMBOL) {
            return 0;
        }
        char symbol = text.charAt(starts[token]);
        return symbol == '(' || symbol == '[' ? 1 : symbol == ')' || symbol == ']' ? -1 : 0;
    }

    /** A token as it stands. */
    String text(int token) {
        return stretch(starts[token], ends[token]);
    }

    private String stretch(int start, int end) {
        if (end - start > LONGEST_KNOWN) {
            return text.substring(start, end);
        }
        int hash = 0;
        for (int i = start; i < end; i++) {
            hash = 31 * hash + text.charAt(i);
        }
        int place = (hash ^ hash >>> 12) & known.length - 1;
        String found = known[place];
        if (found == null || found.length() != end - start || !text.startsWith(found, start)) {
            found = text.substring(start, end);
            known[place] = found;
        }
        return found;
    }

    /** The stretch from one token up to another, as it stands. */
    String text(int from, int to) {
        return from >= to ? "" : stretch(starts[from], ends[to - 1]);
    }

    /** What stands between two tokens. */
    String between(int one, int next) {
        return text.substring(ends[one], starts[next]);
    }

    /** Whether nothing stands between a token and the next. */
    boolean touchesNext(int token) {
        return token + 1 < count && ends[token] == starts[token + 1];
    }

    /** What a text between quotes says. */
    String string(int token) {
        String sql = text(token);
        if (sql.startsWith("E'") || sql.startsWith("e'")) {
            return Literal.escapedWithNumbers(sql);
        }
        boolean escaping = lexis.backslash() && !sql.startsWith("$");
        return escaping ? Literal.escaped(sql) : Literal.of(sql);
    }

    /** A name without its quotes; a word as it stands. */
    String unquoted(int token) {
        if (kinds[token] != Kind.NAME && kinds[token] != Kind.STRING) {
            return text(token);
        }
        boolean numbered = (text.charAt(starts[token]) | 0x20) == 'u' && ends[token] - starts[token] > 3;
        if (numbered) {
            return Literal.of(text(token));
        }
        char closing = text.charAt(ends[token] - 1);
        String inside = stretch(starts[token] + 1, Math.max(starts[token] + 1, ends[token] - 1));
        return inside.indexOf(closing) < 0
                ? inside
                : inside.replace(String.valueOf(closing) + closing, String.valueOf(closing));
    }

    /** The line of a token, from 1; asked for rarely, and from the front to the end. */
    int line(int token) {
        return lineAt(count == 0 ? counted : starts[Math.min(token, count - 1)]);
    }

    int lineAt(int place) {
        if (place < counted) { // seldom: what is told late
            counted = 0;
            line = 1;
        }
        for (; counted < place; counted++) {
            char c = text.charAt(counted);
            if (c == '\n' || c == '\r' && (counted + 1 >= text.length() || text.charAt(counted + 1) != '\n')) {
                line++;
            }
        }
        return line;
    }
}
