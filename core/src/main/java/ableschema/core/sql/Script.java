package ableschema.core.sql;

import ableschema.core.schema.Part;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Shortfall;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Statements in an order that works.
 *
 * @param shortfalls what the dialect cannot say, each of which stands in the script as a comment too
 */
public record Script(Dialect dialect, List<Statement> statements, List<Shortfall> shortfalls) {

    public Script {
        statements = List.copyOf(statements);
        shortfalls = List.copyOf(shortfalls);
    }

    /** The whole script; statements of one kind stand together, and an empty line separates tables and kinds. */
    public String text() {
        var text = new StringBuilder(statements.size() * 400);
        lines().forEach(line -> text.append(line.text()).append('\n'));
        return text.toString();
    }

    private static boolean isApart(@Nullable Statement before, Statement each) {
        if (before == null) {
            return false;
        }
        boolean introduced = before.kind() == Statement.Kind.COMMENT
                && !before.defines().contains(Part.WHOLE)
                && !each.defines().isEmpty();
        return !introduced && (each.kind() == Statement.Kind.TABLE || each.kind() != before.kind());
    }

    /** All lines, with the empty ones between statements; the line with index 0 is line 1 of the text. */
    public Stream<Line> lines() {
        var lines = new ArrayList<Line>();
        Statement before = null;
        for (Statement each : statements) {
            if (isApart(before, each)) {
                lines.add(new Line("", List.of()));
            }
            lines.addAll(each.lines());
            before = each;
        }
        return lines.stream();
    }

    /** The number of the line, counted from 1, that each statement begins with. */
    public Map<Statement, Integer> firstLines() {
        var numbers = new LinkedHashMap<Statement, Integer>();
        int line = 1;
        Statement before = null;
        for (Statement each : statements) {
            line += isApart(before, each) ? 1 : 0;
            numbers.putIfAbsent(each, line);
            line += each.lines().size();
            before = each;
        }
        return numbers;
    }

    /** The statements that an engine runs. */
    public Stream<Statement> executable() {
        return statements.stream().filter(Statement::isExecutable);
    }

    /** A statement of one script beside that of another which defines the same; one of them may be missing. */
    public record Pair(Optional<Statement> here, Optional<Statement> there) {
        public boolean isSame() {
            return here.isPresent()
                    && there.isPresent()
                    && here.get().text().equals(there.get().text());
        }
    }

    /** Sets this script beside another, statement by statement, by what they define; what defines nothing, by its text. */
    public List<Pair> beside(Script other) {
        Map<Object, Deque<Statement>> there = new LinkedHashMap<>();
        other.statements.forEach(each ->
                there.computeIfAbsent(key(each), k -> new ArrayDeque<>()).add(each));
        var pairs = new ArrayList<Pair>();
        for (Statement each : statements) {
            pairs.add(new Pair(
                    Optional.of(each), Optional.ofNullable(there.get(key(each))).map(Deque::poll)));
        }
        there.values().stream()
                .flatMap(Deque::stream)
                .forEach(each -> pairs.add(new Pair(Optional.empty(), Optional.of(each))));
        return pairs;
    }

    private static Object key(Statement statement) {
        return statement.defines().isEmpty()
                ? List.of(statement.kind(), statement.text())
                : List.of(statement.kind(), statement.defines().get(0));
    }
}
