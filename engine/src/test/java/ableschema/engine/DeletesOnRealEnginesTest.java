package ableschema.engine;

import static java.util.stream.Collectors.joining;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.document.Document;
import ableschema.core.mapping.Mapping;
import ableschema.core.rows.Deletion;
import ableschema.core.rows.DesignScript;
import ableschema.core.rows.ScriptRows;
import ableschema.core.schema.Table;
import ableschema.core.sql.RowData;
import ableschema.core.sql.Statement;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Savepoint;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What a deletion is said to reach, held against what engines delete, over all levels of random designs. */
class DeletesOnRealEnginesTest {

    private static final int DESIGNS = 60;
    private static final int DESIGNS_ON_A_SERVER = 8;

    @ParameterizedTest
    @EnumSource
    void a_deletion_reaches_what_it_is_said_to(RealEngine engine) throws Exception {
        int refused = 0;
        int cascaded = 0;
        var disagreed = new ArrayList<String>();
        int designs = engine.isServer() ? DESIGNS_ON_A_SERVER : DESIGNS;
        for (long seed = 1; seed <= designs; seed++) {
            Document document = RandomDesign.of(seed);
            Mapping mapping = document.mapping();
            if (RandomDesign.leavesOut(DesignScript.withRowsAsEntered(mapping, engine.dialect()))) {
                continue;
            }
            try (Connection connection = engine.open()) {
                if (engine == RealEngine.SQLITE) {
                    run(connection, "PRAGMA foreign_keys = ON"); // heard outside transactions only
                }
                connection.setAutoCommit(false);
                build(mapping, engine, connection);
                connection.commit();
                for (RowData row : ScriptRows.of(mapping)) {
                    Deletion said = Deletion.of(mapping, Id.parse(row.id()));
                    Map<String, Integer> expected = counts(mapping);
                    if (!said.isRefused()) {
                        said.deleted().forEach((owner, rows) -> mapping.trace()
                                .tableOf(owner)
                                .ifPresent(table -> expected.merge(table.name(), -rows.size(), Integer::sum)));
                    }
                    refused += said.isRefused() ? 1 : 0;
                    cascaded += !said.isRefused() && said.deleted().size() > 1 ? 1 : 0;
                    var why = new ArrayList<String>();
                    Optional<Map<String, Integer>> left = deleted(row, mapping, engine, connection, why);
                    boolean refusedAllTheSame =
                            left.isEmpty() && !said.disputed().isEmpty();
                    boolean agrees =
                            said.isRefused() ? left.isEmpty() : refusedAllTheSame || left.equals(Optional.of(expected));
                    if (!agrees) {
                        disagreed.add("design " + seed + ", a row of " + row.table() + ": said " + said + ", left "
                                + left.map(Object::toString).orElse("all: " + why));
                    }
                }
            }
        }
        assertThat(disagreed).isEmpty();
        assertThat(refused).isPositive();
        assertThat(cascaded).isPositive();
    }

    private static Map<String, Integer> counts(Mapping mapping) {
        var counts = new TreeMap<String, Integer>();
        Design design = mapping.physical();
        mapping.schema()
                .tables()
                .forEach(table -> counts.put(
                        table.name(),
                        design.body(mapping.trace().owner(table))
                                .map(b -> b.rows().size())
                                .orElse(0)));
        return counts;
    }

    private static void build(Mapping mapping, RealEngine engine, Connection connection) throws SQLException {
        for (Statement statement :
                DesignScript.withRowsAsEntered(mapping, engine.dialect()).statements()) {
            boolean transaction = statement.kind() == Statement.Kind.BEGIN || statement.kind() == Statement.Kind.COMMIT;
            if (statement.isExecutable() && !transaction) {
                run(connection, statement.executable());
            }
        }
    }

    private static void run(Connection connection, String sql) throws SQLException {
        try (java.sql.Statement statement = connection.createStatement()) {
            statement.execute(sql);
        }
    }

    private static boolean isBroken(Connection connection) throws SQLException {
        try (java.sql.Statement statement = connection.createStatement();
                ResultSet broken = statement.executeQuery("PRAGMA foreign_key_check")) {
            return broken.next();
        }
    }

    /** How many rows each table has when the row is deleted, which is taken back; empty where it is refused. */
    private static Optional<Map<String, Integer>> deleted(
            RowData row, Mapping mapping, RealEngine engine, Connection connection, List<String> why)
            throws SQLException {
        Table table = mapping.schema().table(row.table()).orElseThrow();
        String where = table.primaryKey().orElseThrow().columns().stream()
                .map(name -> engine.dialect().column(name) + " = "
                        + engine.dialect()
                                .literal(
                                        mapping.schema()
                                                .resolved(table.column(name)
                                                        .orElseThrow()
                                                        .type()),
                                        Optional.ofNullable(row.values().get(name))))
                .collect(joining(" AND "));
        Savepoint before = connection.setSavepoint();
        try {
            run(connection, "DELETE FROM " + engine.dialect().column(table.name()) + " WHERE " + where);
            if (engine == RealEngine.POSTGRESQL) {
                run(connection, "SET CONSTRAINTS ALL IMMEDIATE");
            }
            if (engine == RealEngine.SQLITE && isBroken(connection)) {
                return Optional
                        .empty(); // a reference in a circle is checked at the commit, which there is none of here
            }
            var left = new TreeMap<String, Integer>();
            for (Table each : mapping.schema().tables()) {
                try (java.sql.Statement statement = connection.createStatement();
                        ResultSet result = statement.executeQuery(
                                "SELECT count(*) FROM " + engine.dialect().column(each.name()))) {
                    result.next();
                    left.put(each.name(), result.getInt(1));
                }
            }
            return Optional.of(left);
        } catch (SQLException e) {
            why.add(String.valueOf(e.getMessage()));
            return Optional.empty();
        } finally {
            connection.rollback(before);
        }
    }
}
