package ableschema.core.sql;

import static java.util.stream.Collectors.joining;

import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/** Statements in an order that works. */
public record Script(Dialect dialect, List<Statement> statements) {

    public Script {
        statements = List.copyOf(statements);
    }

    /** The whole script; statements of one kind stand together, and an empty line separates tables and kinds. */
    public String text() {
        return lines().map(Line::text).collect(joining("\n", "", "\n"));
    }

    /** All lines, with the empty ones between statements. */
    public Stream<Line> lines() {
        Stream.Builder<Line> lines = Stream.builder();
        Statement before = null;
        for (Statement each : statements) {
            if (before != null && (each.kind() == Statement.Kind.TABLE || each.kind() != before.kind())) {
                lines.add(new Line("", Set.of()));
            }
            each.lines().forEach(lines::add);
            before = each;
        }
        return lines.build();
    }

    /** The statements that an engine runs. */
    public Stream<Statement> executable() {
        return statements.stream().filter(Statement::isExecutable);
    }
}
