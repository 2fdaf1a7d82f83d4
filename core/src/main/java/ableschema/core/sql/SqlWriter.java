package ableschema.core.sql;

import ableschema.core.schema.Part;
import java.util.ArrayList;
import java.util.List;

/** Gathers the lines of one statement; knows the commas of a list in brackets and the closing mark. */
final class SqlWriter {

    private static final String END = ";";

    private final List<Line> lines = new ArrayList<>();
    private final List<Part> defines;

    /** Starts a statement that defines these parts, of which all of its lines speak. */
    SqlWriter(Part... defines) {
        this.defines = List.of(defines);
    }

    SqlWriter line(String text) {
        lines.add(new Line(text, defines));
        return this;
    }

    SqlWriter line(String text, Part part) {
        lines.add(new Line(text, about(part)));
        return this;
    }

    private List<Part> about(Part part) {
        if (defines.contains(part)) {
            return defines;
        }
        if (defines.size() == 1) {
            return List.of(defines.get(0), part);
        }
        var all = new ArrayList<>(defines);
        all.add(part);
        return all;
    }

    /** Writes elements between an opening line and a closing bracket, each on lines of its own, with commas between. */
    SqlWriter list(String opening, List<Element> elements, String closing) {
        line(opening);
        for (int i = 0; i < elements.size(); i++) {
            Element element = elements.get(i);
            int last = element.lines().size() - 1;
            List<Part> about = about(element.part());
            for (int j = 0; j <= last; j++) {
                String comma = j == last && i < elements.size() - 1 ? "," : "";
                lines.add(new Line("  " + element.lines().get(j) + comma, about));
            }
        }
        return line(closing);
    }

    /** One element of a list, perhaps over several lines. */
    record Element(Part part, List<String> lines) {}

    Statement closed(Statement.Kind kind) {
        int last = lines.size() - 1;
        Line closing = lines.get(last);
        lines.set(last, new Line(closing.text() + END, closing.parts()));
        return new Statement(kind, defines, List.copyOf(lines), END);
    }

    /** A comment that stands by itself; what would end the comment's line is written as a space. */
    static Statement comment(String text, Part... about) {
        List<Part> parts = List.of(about);
        return new Statement(Statement.Kind.COMMENT, parts, List.of(new Line("-- " + onOneLine(text), parts)), "");
    }

    /** A line of a description as it was written, but for what no script holds. */
    static String described(String line) {
        return line.replaceAll("[[\\p{Cntrl}\\x{80}-\\x{9f}\\u2028\\u2029]&&[^\\t]]+", " ");
    }

    /** The text with all that an engine may take for the end of a line, or for an end of the text, as spaces. */
    static String onOneLine(String text) {
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (Character.isISOControl(c) || c == '\u2028' || c == '\u2029') {
                return text.replaceAll("[\\p{Cntrl}\\x{80}-\\x{9f}\\u2028\\u2029]+", " ")
                        .strip();
            }
        }
        return text.strip();
    }
}
