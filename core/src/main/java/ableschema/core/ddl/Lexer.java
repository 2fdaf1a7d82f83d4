package ableschema.core.ddl;

import ableschema.core.ddl.Lexis.Client;
import ableschema.core.ddl.Tokens.Kind;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * Cuts an SQL text into statements and these into tokens. Any text is taken: what is not closed ends with the text, and what
 * is no token is a symbol.
 */
final class Lexer {

    /** What begins with a digit and is a number though letters are in it. */
    private static final Pattern NUMBER = Pattern.compile("(?i)0x[0-9a-f]*|0b[01]*|[0-9]+e[0-9]+");

    private static final Set<String> LINE_COMMANDS = Set.of(
            "prompt",
            "rem",
            "remark",
            "spool",
            "whenever",
            "define",
            "undefine",
            "set",
            "exit",
            "connect",
            "show",
            "column");

    private final String text;
    private final Lexis lexis;
    private final int length;
    private int at;
    private boolean newLine = true;
    private boolean conditional;
    private String delimiter = ";";
    private int unclosed = -1;
    private String unclosedWhat = "";

    /** The statement that is being read. */
    private Tokens tokens;

    private int depth;
    private final Bodies bodies = new Bodies();

    Lexer(String text, Lexis lexis) {
        this.text = text;
        this.lexis = lexis;
        this.length = text.length();
    }

    /** Reads the next statement; false where there is none left. */
    boolean next(Tokens into) {
        tokens = into;
        tokens.clear();
        depth = 0;
        bodies.begin(lexis.client());
        while (true) {
            skipSpace();
            if (at >= length) {
                return ended();
            }
            if (newLine && clientLine()) {
                if (tokens.count() > 0) {
                    return true;
                }
                continue;
            }
            if (text.startsWith(delimiter, at) && !bodies.isOpen()) {
                at += delimiter.length();
                if (tokens.count() > 0) {
                    takeData();
                    return true;
                }
                continue;
            }
            if (newLine && beginsAnother()) {
                return true;
            }
            newLine = false;
            token();
        }
    }

    /** Reads the tokens of all that is left, with the marks that end statements. */
    void all(Tokens into) {
        tokens = into;
        bodies.begin(Client.NONE);
        for (skipSpace(); at < length; skipSpace()) {
            token();
        }
    }

    /** At the end of the text: a body that is not closed ends with its first statement, so that it hides nothing behind it. */
    private boolean ended() {
        int rewound = bodies.rewind();
        if (rewound > 0) {
            while (tokens.count() > 0 && tokens.start(tokens.count() - 1) >= rewound) {
                tokens.cut(tokens.count() - 1);
            }
            at = rewound;
            tokens.markCut();
        }
        if (depth > 0 && unclosed < 0 && tokens.count() > 0) {
            unclosed = tokens.start(0);
            unclosedWhat = "a statement";
        }
        return tokens.count() > 0;
    }

    /** Where something begins that has no end in the text; below 0 where all is closed. */
    int unclosed() {
        return unclosed;
    }

    /** What has no end in the text. */
    String unclosedWhat() {
        return unclosedWhat;
    }

    private void noteUnclosed(int start, String what) {
        if (unclosed < 0) {
            unclosed = start;
            unclosedWhat = what;
        }
    }

    private void skipSpace() {
        while (at < length) {
            char c = text.charAt(at);
            if (c == '\n' || c == '\r') {
                newLine = true;
                at++;
            } else if (c <= ' ' || c == '\uFEFF' || c > 127 && Character.isWhitespace(c) || c == '\u00a0') {
                at++;
            } else if (c == '-' && follows('-') || c == '#' && lexis.hash()) {
                at = lineEnd();
            } else if (c == '/' && follows('*')) {
                comment();
            } else if (c == '*' && conditional && follows('/')) {
                conditional = false;
                at += 2;
            } else {
                return;
            }
        }
    }

    private boolean follows(char next) {
        return at + 1 < length && text.charAt(at + 1) == next;
    }

    private int lineEnd() {
        int end = at;
        while (end < length && text.charAt(end) != '\n' && text.charAt(end) != '\r') {
            end++;
        }
        return end;
    }

    /** What stands in a comment for certain versions only is read as if it stood there plainly. */
    private void comment() {
        int inside = at + 2;
        if (lexis.client() == Client.DELIMITER) {
            int mark = text.startsWith("M!", inside) ? 2 : text.startsWith("!", inside) ? 1 : 0;
            if (mark > 0) {
                at = inside + mark;
                while (at < length && Character.isDigit(text.charAt(at))) {
                    at++;
                }
                boolean never = at - inside - mark == 6 && text.charAt(inside + mark) == '9';
                if (never) { // of a version that there is not, as what a dump tells the client: /*M!999999\- … */
                    at = end("*/", at);
                } else {
                    conditional = true;
                }
                return;
            }
        }
        int start = at;
        at = lexis.nested() ? nestedEnd(inside) : end("*/", inside);
        if (at >= length && !text.endsWith("*/")) {
            noteUnclosed(start, "a comment");
        }
    }

    private int end(String closing, int from) {
        int found = text.indexOf(closing, from);
        return found < 0 ? length : found + closing.length();
    }

    private int nestedEnd(int from) {
        int open = 1;
        int place = from;
        while (place < length && open > 0) {
            if (text.startsWith("/*", place)) {
                open++;
                place += 2;
            } else if (text.startsWith("*/", place)) {
                open--;
                place += 2;
            } else {
                place++;
            }
        }
        return place;
    }

    /** Reads a line that is for the client program; false where this is none. Ends the statement before it. */
    private boolean clientLine() {
        boolean begun = tokens.count() > 0;
        return switch (lexis.client()) {
            case NONE -> false;
            case BACKSLASH -> text.charAt(at) == '\\' && !begun && command(lineEnd());
            case POINT -> text.charAt(at) == '.' && !begun && command(lineEnd());
            case DELIMITER -> isWord("delimiter") && changeDelimiter();
            case GO -> isAlone("go", true) && skipTo(lineEnd());
            case SLASH -> isAlone("/", false) ? skipTo(lineEnd()) : !begun && isLineCommand() && command(lineEnd());
        };
    }

    private boolean skipTo(int place) {
        at = place;
        return true;
    }

    /** Takes a line as a statement of its own. */
    private boolean command(int end) {
        tokens.add(Kind.SYMBOL, at, Math.max(end, at + 1));
        tokens.markClient();
        return skipTo(end);
    }

    private boolean isWord(String word) {
        return text.regionMatches(true, at, word, 0, word.length())
                && (at + word.length() >= length || !isWordPart(text.charAt(at + word.length())));
    }

    /** Whether nothing else stands on the line, but perhaps a number. */
    private boolean isAlone(String word, boolean counted) {
        if (!text.regionMatches(true, at, word, 0, word.length())) {
            return false;
        }
        for (int place = at + word.length(); place < lineEnd(); place++) {
            char c = text.charAt(place);
            if (c > ' ' && !(counted && (Character.isDigit(c) || c == ';') && place > at + word.length())) {
                return c == '-' && text.startsWith("--", place);
            }
        }
        return true;
    }

    private boolean isLineCommand() {
        if (text.charAt(at) == '@') {
            return true;
        }
        int end = at;
        while (end < length && Character.isLetter(text.charAt(end)) && end < at + 10) {
            end++;
        }
        if (end < length && isWordPart(text.charAt(end))) {
            return false;
        }
        String word = text.substring(at, end).toLowerCase(Locale.ROOT);
        // a setting of the database ends with a semicolon, one of the client does as a rule not
        return LINE_COMMANDS.contains(word)
                && !text.substring(at, lineEnd()).strip().endsWith(";");
    }

    private boolean changeDelimiter() {
        int end = lineEnd();
        String wanted = text.substring(at + "delimiter".length(), end).strip();
        delimiter = wanted.isEmpty() ? ";" : wanted.split("\\s")[0];
        return skipTo(end);
    }

    /** Rows that stand behind a COPY, up to a line with a backslash and a point. */
    private void takeData() {
        if (lexis.client() != Client.BACKSLASH || !tokens.is(0, "copy") || !readsFromInput()) {
            return;
        }
        int start = Math.min(length, lineEnd() + 1);
        int place = start;
        while (place < length) {
            int end = text.indexOf('\n', place);
            end = end < 0 ? length : end;
            if (text.startsWith("\\.", place)
                    && text.substring(place, end).strip().equals("\\.")) {
                tokens.setData(start, place);
                at = end;
                return;
            }
            place = end + 1;
        }
        tokens.setData(start, length);
        at = length;
    }

    private boolean readsFromInput() {
        for (int i = 1; i + 1 < tokens.count(); i++) {
            if (tokens.is(i, "from") && tokens.is(i + 1, "stdin")) {
                return true;
            }
        }
        return false;
    }

    /** Whether a statement begins here though nothing has ended the one before. */
    private boolean beginsAnother() {
        if (tokens.count() == 0 || bodies.isBody()) {
            return false;
        }
        char first = (char) (text.charAt(at) | 0x20);
        if (first != 'c' && first != 'a' && first != 'd' && first != 'i' && first != 'e') {
            return false;
        }
        int last = tokens.count() - 1;
        if (tokens.is(last, "grant") || tokens.is(last, "revoke") || tokens.is(last, ',') || tokens.is(last, "on")) {
            return depth > 0 && isWord("create") && second("table");
        }
        if (isWord("create")) {
            return second("table") || depth == 0 && !tokens.is(last, "or");
        }
        return depth == 0
                && (isWord("alter") && second("table")
                        || isWord("drop") && second("table") && !tokens.is(0, "alter")
                        || isWord("comment") && second("on") && tokens.is(0, "comment")
                        || isWord("insert")
                                && (second("into") || lexis.client() == Client.GO)
                                && !tokens.is(0, "with")
                                && !tokens.is(0, "explain")
                        || lexis.client() == Client.GO
                                && (isWord("exec") || isWord("execute"))
                                && !tokens.is(0, "insert"));
    }

    /** Whether this is the word behind the one that stands here. */
    private boolean second(String word) {
        int place = at;
        while (place < length && isWordPart(text.charAt(place))) {
            place++;
        }
        while (place < length && text.charAt(place) <= ' ') {
            place++;
        }
        return text.regionMatches(true, place, word, 0, word.length())
                && (place + word.length() >= length || !isWordPart(text.charAt(place + word.length())));
    }

    private void token() {
        int start = at;
        char c = text.charAt(at);
        boolean lone = (c == '@' || c == '#') && (at + 1 >= length || !isWordPart(text.charAt(at + 1)));
        if ((c | 0x20) == 'u' && follows('&') && at + 2 < length && "'\"".indexOf(text.charAt(at + 2)) >= 0) {
            at += 2; // with characters by their numbers
            char closing = text.charAt(at);
            quoted(closing == '"' ? Kind.NAME : Kind.STRING, start, closing, false);
        } else if (isWordStart(c) && !lone) {
            word(start);
        } else if (c == '\'') {
            quoted(Kind.STRING, start, '\'', lexis.backslash());
        } else if (c == '"') {
            quoted(lexis.doubleQuoted() ? Kind.STRING : Kind.NAME, start, '"', lexis.doubleQuoted());
        } else if (c == '`') {
            quoted(Kind.NAME, start, '`', false);
        } else if (c == '[' && lexis.brackets()) {
            quoted(Kind.NAME, start, ']', false);
        } else if (c >= '0' && c <= '9' || c == '.' && at + 1 < length && Character.isDigit(text.charAt(at + 1))) {
            number(start);
        } else {
            symbol(start, c);
        }
    }

    private void symbol(int start, char c) {
        if (c == '$') {
            int end = dollarQuoted(start);
            if (end > 0) {
                at = end;
                tokens.add(Kind.STRING, start, at);
                return;
            }
        }
        depth = c == '(' ? depth + 1 : c == ')' ? Math.max(0, depth - 1) : depth;
        at++;
        if (c == ';') {
            bodies.semicolon(at);
        }
        tokens.add(Kind.SYMBOL, start, at);
    }

    private int dollarQuoted(int start) {
        int end = start + 1;
        while (end < length && text.charAt(end) != '$' && isWordPart(text.charAt(end))) {
            end++;
        }
        if (end >= length || text.charAt(end) != '$') {
            return 0;
        }
        String tag = text.substring(start, end + 1);
        int closing = text.indexOf(tag, end + 1);
        return closing < 0 ? 0 : closing + tag.length();
    }

    private void word(int start) {
        boolean own = isWordPart(delimiter.charAt(0)); // it may touch the last word, as in END$$
        while (at < length && isWordPart(text.charAt(at)) && !(own && at > start && text.startsWith(delimiter, at))) {
            at++;
        }
        if (at < length && text.charAt(at) == '\'' && prefixed(start)) {
            return;
        }
        tokens.add(Kind.WORD, start, at);
        bodies.word(tokens);
    }

    /** A text with a letter before it that says how it is meant. */
    private boolean prefixed(int start) {
        String prefix = text.substring(start, at).toLowerCase(Locale.ROOT);
        switch (prefix) {
            case "e" -> quoted(Kind.STRING, start, '\'', true);
            case "n", "x", "b" -> quoted(Kind.STRING, start, '\'', lexis.backslash());
            case "q", "nq" -> alternative(start);
            default -> {
                return false;
            }
        }
        return true;
    }

    /** A text between a quote with a sign of choice and its counterpart, as in {@code q'[it's]'}. */
    private void alternative(int start) {
        int open = at + 1;
        char sign = open < length ? text.charAt(open) : '\'';
        int pair = "([{<".indexOf(sign);
        String closing = (pair < 0 ? sign : ")]}>".charAt(pair)) + "'";
        at = end(closing, Math.min(open + 1, length));
        tokens.add(Kind.STRING, start, at);
    }

    /** Up to the closing sign, which stands twice where it is part of the text. */
    private void quoted(Kind kind, int start, char closing, boolean backslash) {
        int place = at + 1;
        while (place < length) {
            char c = text.charAt(place);
            if (c == '\\' && backslash) {
                place += 2;
            } else if (c != closing) {
                place++;
            } else if (place + 1 < length && text.charAt(place + 1) == closing) {
                place += 2;
            } else {
                break;
            }
        }
        if (place >= length) {
            noteUnclosed(start, kind == Kind.NAME ? "a name between quotes" : "a text between quotes");
        }
        at = Math.min(length, place + 1);
        tokens.add(kind, start, at);
    }

    private void number(int start) {
        if (lexis.client() == Client.DELIMITER && isNameWithDigits(start)) {
            word(start);
            return;
        }
        while (at < length) {
            char c = text.charAt(at);
            boolean exponent = (c == '+' || c == '-') && (text.charAt(at - 1) | 0x20) == 'e' && !isHex(start);
            boolean ended = at > start && isWordPart(delimiter.charAt(0)) && text.startsWith(delimiter, at);
            if (ended || !isWordPart(c) && c != '.' && !exponent) {
                break;
            }
            at++;
        }
        tokens.add(Kind.NUMBER, start, at);
    }

    /** Whether a name begins with digits, as MySQL has it: {@code 4x4_drive}, but not {@code 4e4} or {@code 0x4f}. */
    private boolean isNameWithDigits(int start) {
        int end = start;
        boolean digits = true;
        boolean own = isWordPart(delimiter.charAt(0));
        while (end < length && isWordPart(text.charAt(end)) && !(own && text.startsWith(delimiter, end))) {
            char c = text.charAt(end++);
            digits &= c >= '0' && c <= '9';
        }
        if (digits || end >= length || text.charAt(end) == '.' && end + 1 < length && text.charAt(end + 1) <= '9') {
            return false;
        }
        String word = text.substring(start, Math.min(end, start + 40));
        boolean signed = word.matches("(?i)[0-9]+e") && (text.charAt(end) == '+' || text.charAt(end) == '-');
        return !signed && !NUMBER.matcher(word).matches();
    }

    private boolean isHex(int start) {
        return start + 1 < length && (text.charAt(start + 1) | 0x20) == 'x';
    }

    private static boolean isWordStart(char c) {
        return c >= 'a' && c <= 'z'
                || c >= 'A' && c <= 'Z'
                || c == '_'
                || c == '@'
                || c == '#'
                || c > 127 && (Character.isLetter(c) || Character.isSurrogate(c));
    }

    private static boolean isWordPart(char c) {
        return c >= 'a' && c <= 'z'
                || c >= 'A' && c <= 'Z'
                || c >= '0' && c <= '9'
                || c == '_'
                || c == '$'
                || c == '@'
                || c == '#'
                || c > 127 && (Character.isLetterOrDigit(c) || Character.isSurrogate(c));
    }
}
