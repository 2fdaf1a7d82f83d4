package ableschema.core.sql;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Writes words of SQL in another letter case: what stands between quotes and in comments stays as it is. */
final class LetterCase {

    private final String sql;
    private final StringBuilder written;
    private int at;

    private LetterCase(String sql) {
        this.sql = sql;
        this.written = new StringBuilder(sql.length());
    }

    /** All words in capitals. */
    static String capitals(String sql) {
        return new LetterCase(sql).with(true);
    }

    /** What is in capitals, which only words of the language are, in small letters. */
    static String small(String sql) {
        return new LetterCase(sql).with(false);
    }

    /** The same statement with the words of the language in small letters. */
    static Statement small(Statement statement) {
        if (statement.kind() == Statement.Kind.COMMENT
                || statement.kind() == Statement.Kind.CARRIED
                || statement.kind() == Statement.Kind.CLIENT) {
            return statement;
        }
        String[] texts = small(statement.text()).split("\n", -1);
        List<Line> lines = new ArrayList<>();
        int text = 0;
        for (Line each : statement.lines()) { // a line may hold a text of several
            int more = (int) each.text().chars().filter(c -> c == '\n').count();
            lines.add(new Line(String.join("\n", List.of(texts).subList(text, text + more + 1)), each.parts()));
            text += more + 1;
        }
        return new Statement(statement.kind(), statement.defines(), lines, statement.end());
    }

    private String with(boolean capitals) {
        while (at < sql.length()) {
            char c = sql.charAt(at);
            if (c == '\'' || c == '"' || c == '`' || c == '[') {
                copyTo(sql.indexOf(c == '[' ? ']' : c, at + 1) + 1);
            } else if (sql.startsWith("--", at)) {
                copyTo(sql.indexOf('\n', at) + 1);
            } else if (Character.isLetter(c) || c == '_') {
                word(capitals);
            } else {
                copyTo(at + 1);
            }
        }
        return written.toString();
    }

    private void copyTo(int end) {
        int stop = end <= at ? sql.length() : end;
        written.append(sql, at, stop);
        at = stop;
    }

    private void word(boolean capitals) {
        int end = at;
        while (end < sql.length() && (Character.isLetterOrDigit(sql.charAt(end)) || sql.charAt(end) == '_')) {
            end++;
        }
        String word = sql.substring(at, end);
        boolean prefix = end < sql.length() && sql.charAt(end) == '\''; // says how the text behind it is meant
        boolean changed = !prefix && (capitals || word.equals(word.toUpperCase(Locale.ROOT)));
        written.append(!changed ? word : capitals ? word.toUpperCase(Locale.ROOT) : word.toLowerCase(Locale.ROOT));
        at = end;
    }
}
