package ableschema.core.sql;

import ableschema.core.design.Id;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** Gathers the lines of one statement; knows the commas of a list in brackets and the closing semicolon. */
final class SqlWriter {

    private final List<Line> lines = new ArrayList<>();
    private final Set<Id> always;

    /** Starts a statement all of whose lines come from these parts of the design. */
    SqlWriter(Id... always) {
        this.always = new LinkedHashSet<>(List.of(always));
    }

    SqlWriter line(String text, Id... origins) {
        var all = new LinkedHashSet<>(always);
        all.addAll(List.of(origins));
        lines.add(new Line(text, all));
        return this;
    }

    /** Writes elements between an opening line and a closing bracket, each on lines of its own, with commas between. */
    SqlWriter list(String opening, List<Element> elements, String closing) {
        line(opening);
        for (int i = 0; i < elements.size(); i++) {
            Element element = elements.get(i);
            int last = element.lines().size() - 1;
            for (int j = 0; j <= last; j++) {
                String comma = j == last && i < elements.size() - 1 ? "," : "";
                line("  " + element.lines().get(j) + comma, element.origins().toArray(Id[]::new));
            }
        }
        return line(closing);
    }

    /** One element of a list, perhaps over several lines. */
    record Element(List<String> lines, Set<Id> origins) {
        static Element of(Id origin, String... lines) {
            return new Element(List.of(lines), Set.of(origin));
        }
    }

    Statement closed(Statement.Kind kind) {
        int last = lines.size() - 1;
        Line closing = lines.get(last);
        var closed = new ArrayList<>(lines);
        closed.set(last, new Line(closing.text() + ";", closing.origins()));
        return new Statement(kind, closed);
    }

    /** A comment that stands by itself; what would end the comment's line is written as a space. */
    static Statement comment(String text, Id... origins) {
        return new Statement(
                Statement.Kind.COMMENT,
                List.of(new Line("-- " + onOneLine(text), new LinkedHashSet<>(List.of(origins)))));
    }

    /** The text with all that an engine may take for the end of a line, or for an end of the text, as spaces. */
    static String onOneLine(String text) {
        return text.replaceAll("[\\p{Cntrl}\\u2028\\u2029]+", " ").strip();
    }
}
