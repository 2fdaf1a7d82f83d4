package ableschema.core.words;

/**
 * Names and texts between double quotes, which may hold any character: a quote is doubled, a backslash and a line break
 * are written as {@code \\} and {@code \n}.
 */
final class Quoted {

    /**
     * Stands in a masked text for each character of a quoted stretch. It is one of the first 256, as the JVM reads texts of these
     * alone faster than others.
     */
    static final char MASK = '\u0001';

    private Quoted() {}

    static String of(String text) {
        return '"'
                + text.replace("\\", "\\\\")
                        .replace("\n", "\\n")
                        .replace("\r", "\\r")
                        .replace("\"", "\"\"")
                + '"';
    }

    static boolean is(String token) {
        return token.length() > 1 && end(token, 0) == token.length();
    }

    /** What a token says: what stands between its quotes, or the token itself without the space around it. */
    static String plain(String token) {
        String given = token.strip();
        if (!is(given)) {
            return given;
        }
        var text = new StringBuilder();
        for (int i = 1; i < given.length() - 1; i++) {
            char c = given.charAt(i);
            if (c == '"') {
                i++; // it is written twice
            } else if (c == '\\' && i + 1 < given.length() - 1) {
                i++;
                c = unescaped(given.charAt(i));
            }
            text.append(c);
        }
        return text.toString();
    }

    private static char unescaped(char letter) {
        return switch (letter) {
            case 'n' -> '\n';
            case 'r' -> '\r';
            default -> letter;
        };
    }

    /** The text with every quoted stretch blotted out, place by place; a quote that is never closed stays. */
    static String masked(String text) {
        int at = text.indexOf('"');
        if (at < 0) {
            return text;
        }
        var masked = new StringBuilder(text);
        while (at >= 0) {
            int end = end(text, at);
            for (int i = at; i < end; i++) {
                masked.setCharAt(i, MASK);
            }
            at = text.indexOf('"', Math.max(end, at + 1));
        }
        return masked.toString();
    }

    /** Where the quoted stretch that begins here ends; 0 if none begins here or it is never closed. */
    static int end(String text, int start) {
        if (start >= text.length() || text.charAt(start) != '"') {
            return 0;
        }
        for (int i = start + 1; i < text.length(); i++) {
            if (text.charAt(i) == '"') {
                if (i + 1 < text.length() && text.charAt(i + 1) == '"') {
                    i++;
                } else {
                    return i + 1;
                }
            }
        }
        return 0;
    }
}
