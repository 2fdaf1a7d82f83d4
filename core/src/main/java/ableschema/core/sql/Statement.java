package ableschema.core.sql;

import static java.util.stream.Collectors.joining;

import ableschema.core.schema.Part;
import java.util.List;

/**
 * One statement, or one comment that stands by itself.
 *
 * @param defines what it defines, or adds to; empty for settings and comments on the whole
 * @param end     the mark that closes it; empty for a comment
 */
public record Statement(Kind kind, List<Part> defines, List<Line> lines, String end) {

    /** What a statement is for. */
    public enum Kind {
        COMMENT,
        SETTING,
        BEGIN,
        /** Takes away what is there already. */
        DROP,
        NAMESPACE,
        DOMAIN,
        TABLE,
        FOREIGN_KEY,
        INDEX,
        DESCRIPTION,
        /** Stands beside the tables and is written back as it was found. */
        CARRIED,
        /** Gives rights to a user. */
        RIGHTS,
        /** A command of the client program, which no database sees. */
        CLIENT,
        ROW,
        COMMIT
    }

    public String text() {
        return lines.size() == 1
                ? lines.get(0).text()
                : lines.stream().map(Line::text).collect(joining("\n"));
    }

    /** The statement as JDBC takes it, without its end mark. */
    public String executable() {
        String text = text();
        return text.substring(0, text.length() - end.length());
    }

    public boolean isExecutable() {
        return kind != Kind.COMMENT && kind != Kind.CLIENT;
    }
}
