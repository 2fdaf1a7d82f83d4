package ableschema.engine;

import static java.util.stream.Collectors.joining;
import static java.util.stream.Collectors.toSet;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Attribute;
import ableschema.core.design.Design;
import ableschema.core.design.Domain;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.Row;
import ableschema.core.document.Document;
import ableschema.core.mapping.Mapping;
import ableschema.core.rows.DesignScript;
import ableschema.core.rows.ScriptRows;
import ableschema.core.schema.Column;
import ableschema.core.schema.Part;
import ableschema.core.schema.Table;
import ableschema.core.sql.RowData;
import ableschema.core.sql.Script;
import ableschema.core.sql.Statement;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.types.DataType;
import ableschema.core.types.TypedValue;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Savepoint;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What is said of a row beforehand, put to real engines: they take what was accepted, and refuse what was refused. */
class JudgeAgainstEngineTest {

    private static final int DESIGNS = 200;
    private static final int DESIGNS_ON_A_SERVER = 15;
    private static final int CHANGES = 6;

    /** Types of which some engine reads more notations than the one that is kept. */
    private static final Set<DataType.Simple> CONVERTED = Set.of(
            DataType.Simple.JSON,
            DataType.Simple.YES_NO,
            DataType.Simple.YEAR,
            DataType.Simple.TIME,
            DataType.Simple.MOMENT,
            DataType.Simple.MOMENT_ANYWHERE);

    private static final List<String> VALUES = List.of(
            "",
            "-1",
            "7",
            "301",
            "32768",
            "-32768",
            "-32769",
            "-2147483649",
            "99999999999",
            "1.25",
            "12345678.5",
            "word",
            "a text that is longer than forty characters are",
            "yes",
            "2027-02-30",
            "2027-04-11",
            "25:00",
            "09:31",
            "2027-04-12 09:31",
            "2027-04-12 09:31+02:00",
            "5f2c1f6e-8a34-4c52-9d57-0b6b1a2c3d41",
            "sage",
            "0aff00");

    /**
     * A row that no other refers to, changed in one cell or one reference, and the design with it.
     *
     * @param converted whether an engine may make another value of a text that is none of the type, as 2 of 1.25
     */
    private record Changed(Document document, String what, boolean converted) {}

    @ParameterizedTest
    @EnumSource
    void the_judge_and_the_engine_agree_of_rows_that_were_changed(RealEngine engine) throws Exception {
        int refused = 0;
        int accepted = 0;
        var disagreed = new ArrayList<String>();
        int designs = engine.isServer() ? DESIGNS_ON_A_SERVER : DESIGNS;
        for (long seed = 1; seed <= designs; seed++) {
            Document document = RandomDesign.of(seed);
            var random = new Random(seed);
            List<Id> leaves = leaves(document.design());
            if (leaves.isEmpty()) {
                continue;
            }
            Id leaf = leaves.get(random.nextInt(leaves.size()));
            try (Connection connection = engine.open()) {
                if (engine == RealEngine.SQLITE) {
                    run(connection, "PRAGMA foreign_keys = ON"); // heard outside transactions only
                }
                connection.setAutoCommit(false);
                if (!builtWithout(leaf, document.mapping(), engine, connection)) {
                    continue;
                }
                connection.commit();
                for (int i = 0; i < CHANGES; i++) {
                    Changed changed = changed(document, leaf, random);
                    Mapping mapping = changed.document().mapping(document.mapping());
                    boolean said = isRefused(mapping, engine);
                    Optional<String> answer = tried(leaf, mapping, engine, connection);
                    refused += said ? 1 : 0;
                    accepted += said ? 0 : 1;
                    boolean mayDiffer = said && answer.isEmpty() && changed.converted();
                    if (said != answer.isPresent() && !mayDiffer) {
                        disagreed.add("design " + seed + ": " + changed.what() + ", said to be "
                                + (said ? "refused" : "accepted") + "; " + answer.orElse("it was taken"));
                    }
                }
            }
        }
        assertThat(disagreed).isEmpty();
        assertThat(refused).isGreaterThan(designs / 2);
        assertThat(accepted).isGreaterThan(designs / 2);
    }

    private static List<Id> leaves(Design design) {
        Set<Id> referred = rows(design)
                .flatMap(row -> row.references().values().stream())
                .filter(Row.ToRow.class::isInstance)
                .map(to -> ((Row.ToRow) to).row())
                .collect(toSet());
        return design.entities().stream()
                .filter(entity -> !isKind(design, entity))
                .flatMap(entity -> entity.body().rows().stream())
                .map(Row::id)
                .filter(row -> !referred.contains(row))
                .toList();
    }

    /** The rows of kinds stand in two tables, or in that of the general entity. */
    private static boolean isKind(Design design, Entity entity) {
        return design.relationshipsOf(entity.id()).anyMatch(each -> each.isSubtype());
    }

    private static Stream<Row> rows(Design design) {
        return Stream.concat(
                design.entities().stream().flatMap(each -> each.body().rows().stream()),
                design.relationships().stream().flatMap(each -> each.body().rows().stream()));
    }

    private static boolean isOf(Statement statement, Id row) {
        return statement.lines().stream()
                .flatMap(line -> line.parts().stream())
                .anyMatch(part -> part.kind() == Part.Kind.ROW && part.name().equals(row.toString()));
    }

    /** Runs all but the one row; false where that row is left out or set in two steps, as in a circle of references. */
    private static boolean builtWithout(Id row, Mapping mapping, RealEngine engine, Connection connection)
            throws SQLException {
        Script script = DesignScript.withRowsAsEntered(mapping, engine.dialect());
        List<Statement> own =
                script.statements().stream().filter(each -> isOf(each, row)).toList();
        if (own.size() != 1 || !own.get(0).isExecutable() || RandomDesign.leavesOut(script)) {
            return false;
        }
        for (Statement statement : script.statements()) {
            boolean transaction = statement.kind() == Statement.Kind.BEGIN || statement.kind() == Statement.Kind.COMMIT;
            if (statement.isExecutable() && !transaction && statement != own.get(0)) {
                run(connection, statement.executable());
            }
        }
        return true;
    }

    private static void run(Connection connection, String sql) throws SQLException {
        try (java.sql.Statement statement = connection.createStatement()) {
            statement.execute(sql);
        }
    }

    private static Changed changed(Document document, Id row, Random random) {
        Design design = document.design();
        Entity entity = design.entities().stream()
                .filter(each -> each.body().rows().stream().anyMatch(r -> r.id().equals(row)))
                .findFirst()
                .orElseThrow();
        List<Row> rows = entity.body().rows();
        Row before = rows.stream().filter(r -> r.id().equals(row)).findFirst().orElseThrow();
        Row other = rows.get(random.nextInt(rows.size()));
        List<EndRef> ends = List.copyOf(design.referencesOf(entity.id()));
        Row after;
        String what;
        boolean converted = false;
        if (!ends.isEmpty() && random.nextInt(4) == 0) {
            EndRef end = ends.get(random.nextInt(ends.size()));
            Optional<Row.Reference> to = random.nextBoolean() ? Optional.empty() : other.reference(end);
            after = before.with(end, to);
            what = "reference " + end + " to " + to;
        } else {
            List<Attribute> given = entity.body().attributes().stream()
                    .filter(each -> !each.filling().isComputed())
                    .toList();
            Attribute attribute = given.get(random.nextInt(given.size()));
            String value = random.nextInt(3) == 0
                    ? other.value(attribute.id()).orElse("")
                    : VALUES.get(random.nextInt(VALUES.size()));
            after = before.with(attribute.id(), value);
            DataType type = design.domain(attribute.type()).map(Domain::base).orElse(attribute.type());
            converted = !TypedValue.of(type, value).fits() && isConverted(type, value);
            what = attribute.name() + " (" + attribute.type() + ") = '" + value + "'";
        }
        List<Row> changed =
                rows.stream().map(r -> r.id().equals(row) ? after : r).toList();
        return new Changed(
                document.with(design.withBody(entity.id(), entity.body().withRows(changed))), what, converted);
    }

    private static boolean isConverted(DataType type, String value) {
        boolean whole = value.matches("-?[0-9]+");
        boolean number = value.matches("-?[0-9]+\\.[0-9]+");
        return type instanceof DataType.Bytes
                || type instanceof DataType.Simple simple && CONVERTED.contains(simple)
                || type == DataType.Simple.DATE && value.matches("\\d{4}-\\d\\d-\\d\\d .+") // its time is cut off
                || whole && type instanceof DataType.Counted // the number of a row of SQLite has eight bytes
                || number && (type instanceof DataType.Whole || type instanceof DataType.Counted);
    }

    /** Whether any row is left out: of two that say the same, that is the later one. */
    private static boolean isRefused(Mapping mapping, RealEngine engine) {
        return RandomDesign.leavesOut(DesignScript.withRowsAsEntered(mapping, engine.dialect()));
    }

    /** Inserts the row, whatever is said of it, and takes it back; what the engine answers where it refuses it. */
    private static Optional<String> tried(Id row, Mapping mapping, RealEngine engine, Connection connection)
            throws SQLException {
        String insert = insert(row, mapping, engine);
        Savepoint before = connection.setSavepoint();
        try {
            run(connection, insert);
            if (engine.dialect() == Dialects.POSTGRESQL) {
                run(connection, "SET CONSTRAINTS ALL IMMEDIATE");
            }
            return Optional.empty();
        } catch (SQLException e) {
            return Optional.of(insert + " -> " + e.getMessage());
        } finally {
            connection.rollback(before);
        }
    }

    private static String insert(Id row, Mapping mapping, RealEngine engine) {
        RowData data = ScriptRows.of(mapping).stream()
                .filter(each -> each.id().equals(row.toString()))
                .findFirst()
                .orElseThrow();
        Table table = mapping.schema().table(data.table()).orElseThrow();
        List<Column> columns = table.columns().stream()
                .filter(column -> !column.filling().isComputed())
                .filter(column -> data.values().containsKey(column.name()) || !isFilled(column, mapping))
                .toList();
        String values = columns.stream()
                .map(column -> engine.dialect()
                        .literal(
                                mapping.schema().resolved(column.type()),
                                Optional.ofNullable(data.values().get(column.name()))))
                .collect(joining(", "));
        return "INSERT INTO " + engine.dialect().column(table.name()) + " "
                + engine.dialect().listed(columns.stream().map(Column::name).toList()) + " VALUES (" + values + ")";
    }

    private static boolean isFilled(Column column, Mapping mapping) {
        return column.identity().isPresent()
                || column.defaultValue().isPresent()
                || mapping.schema()
                        .domain(column.type())
                        .filter(domain -> domain.defaultValue().isPresent())
                        .isPresent();
    }
}
