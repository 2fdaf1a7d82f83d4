package ableschema.core.sql;

import static java.util.stream.Collectors.joining;

import ableschema.core.design.Id;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** One statement, closed by its semicolon, or one comment that stands by itself. */
public record Statement(Kind kind, List<Line> lines) {

    public Statement {
        lines = List.copyOf(lines);
    }

    /** What a statement is for. */
    public enum Kind {
        COMMENT,
        SETTING,
        NAMESPACE,
        TABLE,
        FOREIGN_KEY,
        INDEX,
        DESCRIPTION,
        ROW
    }

    public String text() {
        return lines.stream().map(Line::text).collect(joining("\n"));
    }

    /** The statement as JDBC takes it, without the closing semicolon. */
    public String executable() {
        String text = text();
        return text.endsWith(";") ? text.substring(0, text.length() - 1) : text;
    }

    public boolean isExecutable() {
        return kind != Kind.COMMENT;
    }

    public Set<Id> origins() {
        return lines.stream().flatMap(line -> line.origins().stream()).collect(Collectors.toSet());
    }
}
