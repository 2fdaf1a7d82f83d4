package ableschema.core.words;

import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.design.Index;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads by which columns rows are often searched or sorted, and says it: {@code done at falling, hive stand no}. */
final class IndexText {

    private static final Pattern FALLING = Pattern.compile(
            "\\s*(?:falling|descending|desc|down|↓|latest first|largest first)(?![\\p{L}_])", Pattern.CASE_INSENSITIVE);
    private static final Pattern RISING =
            Pattern.compile("\\s*(?:rising|ascending|asc|up|↑)(?![\\p{L}_])", Pattern.CASE_INSENSITIVE);
    private static final Pattern UNIQUE = Pattern.compile("\\s*\\(unique\\)", Pattern.CASE_INSENSITIVE);
    private static final Pattern NEXT = Pattern.compile("\\s*(?:,|\\band\\b|\\+)\\s*");

    private final ColumnNames names;
    private final String called;

    IndexText(Design design, Id owner) {
        this.names = new ColumnNames(design, owner);
        this.called = design.nameOf(owner);
    }

    /** What was read. */
    record Read(List<Index.Part> parts, boolean unique) {}

    /** A {@link Misunderstanding} points at what is wrong. */
    Read read(String line, int start, int end) {
        String text = line.substring(0, end);
        var parts = new ArrayList<Index.Part>();
        int at = start;
        while (true) {
            while (at < text.length() && Character.isWhitespace(text.charAt(at))) {
                at++;
            }
            int from = at;
            ColumnNames.Found column = names.at(text, at).orElseThrow(() -> unknown(text, from));
            at = column.end();
            int falling = behind(FALLING, text, at);
            int rising = behind(RISING, text, at);
            parts.add(new Index.Part(column.ref(), falling > 0));
            at = Math.max(at, Math.max(falling, rising));
            int next = behind(NEXT, text, at);
            if (next <= 0) {
                break;
            }
            at = next;
        }
        int unique = behind(UNIQUE, text, at);
        at = Math.max(at, unique);
        String rest = text.substring(at).strip();
        if (!rest.isEmpty() && !rest.equals(".")) {
            throw new Misunderstanding(at, text.length(), "expected a comma, 'falling', '(unique)' or the end");
        }
        long different = parts.stream().map(Index.Part::column).distinct().count();
        if (different < parts.size()) {
            throw new Misunderstanding(start, end, "a column stands twice in this index");
        }
        return new Read(parts, unique > 0);
    }

    private static int behind(Pattern pattern, String text, int at) {
        Matcher matcher = pattern.matcher(text).region(at, text.length());
        return matcher.lookingAt() ? matcher.end() : 0;
    }

    private Misunderstanding unknown(String text, int at) {
        int comma = text.indexOf(',', at);
        int end = comma < 0 ? text.length() : comma;
        String found = text.substring(at, end).strip();
        return new Misunderstanding(
                Math.min(at, Math.max(0, text.length() - 1)),
                end,
                found.isEmpty() ? "expected the name of an attribute" : "'" + found + "' is no attribute of " + called);
    }

    /** Empty where a column has no name that leads to it, or the columns read back as others. */
    Optional<String> said(Index index) {
        List<String> parts = new ArrayList<>();
        for (Index.Part part : index.parts()) {
            Optional<String> name = names.said(part.column());
            if (name.isEmpty()) {
                return Optional.empty();
            }
            parts.add(name.get() + (part.descending() ? " falling" : ""));
        }
        String said = String.join(", ", parts) + (index.unique() ? " (unique)" : "");
        try {
            Read again = read(said, 0, said.length());
            return again.parts().equals(index.parts()) && again.unique() == index.unique()
                    ? Optional.of(said)
                    : Optional.empty();
        } catch (Misunderstanding e) {
            return Optional.empty(); // a name that reads as more than itself
        }
    }
}
