package ableschema.engine.trial;

import ableschema.core.ddl.SqlReader;
import ableschema.core.document.Document;
import ableschema.core.rows.DesignScript;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import ableschema.core.sql.Script;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.ScriptStyle.Existing;
import ableschema.engine.ScriptRun;
import ableschema.engine.catalog.Catalog;
import ableschema.engine.connect.ConnectionProblem;
import ableschema.engine.connect.DatabaseAddress;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntConsumer;
import java.util.stream.Collectors;

/**
 * What became of a design that was carried out for real. Nothing is done where tables of its names are there already, unless its
 * script leaves them as they are, or replaces them and somebody who was told what is lost has said so.
 *
 * @param script   what is carried out, as it is written for this database
 * @param standing the tables that were there under its names
 * @param leaning  what else is there that goes with them, or is made anew, where they are replaced; each by its name
 * @param run      what the database said of each statement; empty where nothing was done, because of what is there
 */
public record Execution(Script script, List<Standing> standing, List<String> leaning, Optional<ScriptRun> run) {

    public Execution {
        standing = List.copyOf(standing);
        leaning = List.copyOf(leaning);
    }

    /** A table that was there before, with how many rows. */
    public record Standing(String table, long rows) {}

    /**
     * Carries a design out, if nothing is lost by it.
     *
     * @param rows     whether its sample rows are inserted
     * @param losing   whether what its script replaces may be lost
     * @param progress told how many statements have been run or passed over
     * @throws ConnectionProblem where the database cannot be reached
     * @throws SQLException      where it stops answering
     */
    public static Execution of(
            Document document,
            DatabaseAddress address,
            String password,
            boolean rows,
            boolean losing,
            IntConsumer progress)
            throws ConnectionProblem, SQLException {
        try (Connection connection = address.openForReal(password)) {
            Dialect dialect =
                    Catalog.dialect(connection).choosing(document.rules().choices());
            Script script = rows
                    ? DesignScript.withRows(document.mapping(), dialect)
                    : DesignScript.definitions(document.mapping(), dialect);
            Schema written = SqlReader.read(script.text(), dialect).schema();
            Schema there = Catalog.read(connection).schema();
            List<Standing> standing = standing(written, there, dialect, connection);
            List<String> leaning = dialect.style().existing() == Existing.REPLACE
                    ? new Leaning(dialect, written, there).labels()
                    : List.of();
            boolean harmless = standing.isEmpty() && leaning.isEmpty()
                    || dialect.style().existing() == Existing.SKIP
                    || dialect.style().existing() == Existing.REPLACE && losing;
            return new Execution(
                    script,
                    standing,
                    leaning,
                    harmless ? Optional.of(ScriptRun.of(script, connection, progress)) : Optional.empty());
        }
    }

    /** Whether the script would take away what is there, rather than be refused. */
    public boolean replaces() {
        return script.dialect().style().existing() == Existing.REPLACE;
    }

    /** How many rows stand in the tables that were there. */
    public long rowsStanding() {
        return standing.stream().mapToLong(Standing::rows).sum();
    }

    private static List<Standing> standing(Schema written, Schema there, Dialect dialect, Connection connection)
            throws SQLException {
        Set<String> names =
                written.tables().stream().map(table -> key(table.qualified())).collect(Collectors.toSet());
        var standing = new ArrayList<Standing>();
        for (Table table : there.tables()) {
            if (names.contains(key(table.qualified()))) {
                standing.add(new Standing(table.qualified().toString(), rows(table.qualified(), dialect, connection)));
            }
        }
        return standing;
    }

    /** Where letter case tells two tables apart, one too many is listed rather than one too few. */
    private static String key(TableName table) {
        return table.toString().toLowerCase(Locale.ROOT);
    }

    private static long rows(TableName table, Dialect dialect, Connection connection) throws SQLException {
        String name = (table.namespace().isEmpty() ? "" : dialect.quoted(table.namespace()) + ".")
                + dialect.quoted(table.name());
        try (Statement statement = connection.createStatement();
                ResultSet counted = statement.executeQuery("SELECT count(*) FROM " + name)) {
            counted.next();
            return counted.getLong(1);
        }
    }
}
