package ableschema.engine.trial;

import ableschema.core.carried.Carried;
import ableschema.core.ddl.SqlReader;
import ableschema.core.difference.Difference;
import ableschema.core.document.Document;
import ableschema.core.rows.DesignScript;
import ableschema.core.schema.Schema;
import ableschema.core.sql.Script;
import ableschema.core.sql.Statement;
import ableschema.core.sql.dialect.Dialect;
import ableschema.engine.BuiltInEngine;
import ableschema.engine.ScriptRun;
import ableschema.engine.ScriptRun.Fate;
import ableschema.engine.catalog.Catalog;
import ableschema.engine.connect.ConnectionProblem;
import ableschema.engine.connect.DatabaseAddress;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.IntConsumer;

/**
 * What a real database made of a design: its script and sample rows were carried out in schemas of the trial's own, read back, and taken
 * away again.
 *
 * @param script      what was carried out, as it is written for this database
 * @param run         what the database said of each statement
 * @param leftOut     what is carried along and was not tried, as it would reach beyond the trial's schemas
 * @param differences in what the database has other definitions than were written; empty where a statement was refused
 */
public record Trial(Script script, ScriptRun run, List<Carried> leftOut, List<Difference> differences) {

    public Trial {
        leftOut = List.copyOf(leftOut);
        differences = List.copyOf(differences);
    }

    /**
     * Tries a design on a database. SQLite has no schemas: there another database in memory is made, and the file is only opened.
     *
     * @param progress told how many statements have been run or passed over
     * @throws ConnectionProblem where the database cannot be reached
     * @throws SQLException      where it stops answering, or what the trial has made cannot be taken away
     */
    public static Trial of(Document document, DatabaseAddress address, String password, IntConsumer progress)
            throws ConnectionProblem, SQLException {
        try (Connection connection = address.openToWrite(password)) {
            Dialect dialect =
                    Catalog.dialect(connection).choosing(document.rules().choicesForTrial());
            if (dialect.name().equals("sqlite")) {
                try (Connection memory = BuiltInEngine.SQLITE.open()) {
                    return on(memory, document, dialect, progress);
                }
            }
            return on(connection, document, dialect, progress);
        }
    }

    private static Trial on(Connection connection, Document document, Dialect dialect, IntConsumer progress)
            throws SQLException {
        var scratch = new Scratch("able_trial_" + UUID.randomUUID().toString().substring(0, 8), dialect);
        var along = new TriedAlong(document.design(), dialect);
        Document moved = scratch.in(document.with(along.in(document.design())));
        try {
            scratch.enter(connection);
            Script script = DesignScript.withRows(moved.mapping(), dialect);
            ScriptRun run = ScriptRun.of(script, connection, progress);
            List<Difference> differences =
                    run.refusal().isPresent() ? List.of() : differences(connection, scratch, moved, dialect);
            return new Trial(
                    DesignScript.withRows(document.mapping(), dialect),
                    run,
                    along.leftOut(document.design()),
                    differences);
        } finally {
            scratch.drop(connection);
        }
    }

    private static List<Difference> differences(Connection connection, Scratch scratch, Document moved, Dialect dialect)
            throws SQLException {
        Schema meant = SqlReader.read(
                        DesignScript.definitions(moved.mapping(), dialect).text(), dialect)
                .schema();
        boolean database = dialect.name().equals("mysql") || dialect.name().equals("mariadb");
        if (!database) {
            return Unnamed.differences(
                    scratch.out(meant), scratch.out(Catalog.read(connection).schema()));
        }
        String before = connection.getCatalog();
        connection.setCatalog(scratch.name());
        try {
            return Unnamed.differences(
                    scratch.here(meant), Catalog.read(connection).schema());
        } finally {
            connection.setCatalog(before);
        }
    }

    /** The statement of {@link #script} that was refused; empty where none was. */
    public Optional<Statement> refused() {
        Optional<Integer> line = refusedLine();
        return script.firstLines().entrySet().stream()
                .filter(each -> line.filter(each.getValue()::equals).isPresent())
                .map(Map.Entry::getKey)
                .findFirst();
    }

    /** The line of {@link #script} at which the statement begins that was refused; empty where none was. */
    public Optional<Integer> refusedLine() {
        return fates(script).entrySet().stream()
                .filter(each -> each.getValue() == Fate.REFUSED)
                .map(Map.Entry::getKey)
                .findFirst();
    }

    /**
     * What became of the statements of a script, by the line, counted from 1, at which each begins; those that were not tried are not
     * among them.
     *
     * @param shown the script that was tried, or one that has statements of it
     */
    public Map<Integer, Fate> fates(Script shown) {
        Map<String, Deque<Fate>> known = fatesByText();
        var fates = new TreeMap<Integer, Fate>();
        Map<Statement, Integer> lines = shown.firstLines();
        shown.executable().forEach(each -> {
            Fate fate = known.getOrDefault(each.text(), new ArrayDeque<>()).poll();
            if (fate != null) {
                fates.put(lines.getOrDefault(each, 0), fate);
            }
        });
        return fates;
    }

    /** By the texts of {@link #script}; in the trial they had other schemas, but the same order among those of their kind. */
    private Map<String, Deque<Fate>> fatesByText() {
        var outcomes = new HashMap<Object, Deque<Fate>>();
        run.outcomes().forEach(each -> outcomes.computeIfAbsent(key(each.statement()), any -> new ArrayDeque<>())
                .add(each.fate()));
        var known = new HashMap<String, Deque<Fate>>();
        script.executable().forEach(each -> {
            Fate fate = outcomes.getOrDefault(key(each), new ArrayDeque<>()).poll();
            if (fate != null) {
                known.computeIfAbsent(each.text(), any -> new ArrayDeque<>()).add(fate);
            }
        });
        return known;
    }

    /** What is carried along has the same text in the trial, where some of it is not tried. */
    private static Object key(Statement statement) {
        return statement.kind() == Statement.Kind.CARRIED ? statement.text() : statement.kind();
    }
}
