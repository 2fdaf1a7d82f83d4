package ableschema.engine;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Attribute;
import ableschema.core.design.Entity;
import ableschema.core.design.IdSource;
import ableschema.core.document.Document;
import ableschema.core.edit.ChangeBody;
import ableschema.core.rows.DesignScript;
import ableschema.core.rows.RowEntry;
import ableschema.core.rows.RowTable;
import ableschema.core.words.DesignReader;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;

/** Documents that are said in sentences and filled from CSV, and statements put to a database beside their script. */
final class Said {

    private static final IdSource IDS = IdSource.seeded(3);

    private Said() {}

    static Document read(String... sentences) {
        DesignReader.Result read = DesignReader.read(String.join("\n", sentences));
        assertThat(read.problems()).isEmpty();
        return read.document();
    }

    /** With sample rows, as they are pasted: a line of names, then the rows. */
    static Document filled(Document document, String entity, String csv) {
        Entity owner = entity(document, entity);
        var rows = new RowTable(new RowEntry(document.design(), owner.id(), IDS)).read(csv, false, List.of());
        return new ChangeBody(owner.id(), owner.body().withRows(rows.rows()), "fill").applyTo(document);
    }

    static Entity entity(Document document, String name) {
        return document.design().entity(name).orElseThrow();
    }

    static Attribute attribute(Document document, String entity, String name) {
        return entity(document, entity).body().attribute(name).orElseThrow();
    }

    static void run(Connection connection, String sql) throws SQLException {
        try (Statement statement = connection.createStatement()) {
            statement.execute(sql);
        }
    }

    /** The first value of the first row. */
    static String text(Connection connection, String sql) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet result = statement.executeQuery(sql)) {
            result.next();
            return String.valueOf(result.getString(1));
        }
    }

    static long number(Connection connection, String sql) throws SQLException {
        return Long.parseLong(text(connection, sql));
    }

    /** Whether a statement is carried out, and not refused. */
    static boolean isTaken(Connection connection, String sql) {
        try {
            run(connection, sql);
            return true;
        } catch (SQLException e) {
            return false;
        }
    }

    /** How the first row of a document is inserted. */
    static String insert(Document document, RealEngine engine) {
        return DesignScript.withRowsAsEntered(document.mapping(), engine.dialect()).statements().stream()
                .filter(each -> each.isExecutable() && each.executable().startsWith("INSERT"))
                .map(each -> each.executable())
                .findFirst()
                .orElseThrow();
    }
}
