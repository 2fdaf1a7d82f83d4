package ableschema.core.sql;

import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.mapping.PhysicalDesign;
import ableschema.core.schema.Column;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.sql.Dialect.Ability;
import ableschema.core.types.DataType;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;

/** Writes the definitions of a whole schema, complete and in an order that works. */
public final class ScriptWriter {

    private final Dialect dialect;
    private final Schema schema;
    private final Map<String, TableWriter> writers = new HashMap<>();
    private final List<Statement> statements = new ArrayList<>();

    private ScriptWriter(Dialect dialect, Schema schema) {
        this.dialect = dialect;
        this.schema = schema;
        schema.tables().forEach(table -> writers.put(table.name(), new TableWriter(dialect, table)));
    }

    /** The definitions without rows; asks {@link Schema#undecided} to be empty. */
    public static Script definitions(Schema schema, Dialect dialect) {
        requireDecided(schema);
        var writer = new ScriptWriter(dialect, schema);
        writer.define();
        return new Script(dialect, writer.statements);
    }

    /** The definitions, then the sample rows of the design that break no rule. */
    public static Script withRows(Schema schema, Design design, Dialect dialect) {
        requireDecided(schema);
        var writer = new ScriptWriter(dialect, schema);
        TableOrder order = writer.define();
        writer.statements.addAll(new RowWriter(dialect, PhysicalDesign.of(design), order, writer.writers).statements());
        return new Script(dialect, writer.statements);
    }

    private static void requireDecided(Schema schema) {
        if (!schema.undecided().isEmpty()) {
            throw new IllegalArgumentException(
                    "definitions need every type and key: " + String.join("; ", schema.undecided()));
        }
    }

    /** The statements of one table, also where something in it is undecided; all its foreign keys stand inside. */
    public static List<Statement> of(Table table, Schema schema, Dialect dialect) {
        var writer = new ScriptWriter(dialect, schema);
        writer.writeTable(table, key -> true);
        writer.writeIndexesAndDescriptions(table);
        return writer.statements;
    }

    private TableOrder define() {
        TableOrder order = TableOrder.of(schema);
        dialect.settings()
                .forEach(setting -> statements.add(new SqlWriter().line(setting).closed(Statement.Kind.SETTING)));
        writeNamespaces();
        writeNotes();
        Predicate<ForeignKey> inside =
                dialect.can(Ability.ADD_CONSTRAINTS) ? key -> !order.later().contains(key) : key -> true;
        order.tables().forEach(table -> writeTable(table, inside));
        for (Table table : order.tables()) {
            table.foreignKeys().stream()
                    .filter(inside.negate())
                    .forEach(key -> statements.add(writer(table).addForeignKey(key, this::qualified)));
        }
        order.tables().forEach(this::writeIndexesAndDescriptions);
        return order;
    }

    private TableWriter writer(Table table) {
        return writers.getOrDefault(table.name(), new TableWriter(dialect, table));
    }

    private String qualified(String table) {
        TableWriter writer = writers.get(table);
        return writer == null ? dialect.quoted(table) : writer.name();
    }

    private void writeTable(Table table, Predicate<ForeignKey> inside) {
        TableWriter writer = writer(table);
        if (!dialect.can(Ability.DESCRIPTIONS)) {
            statements.addAll(writer.descriptions());
        }
        statements.add(writer.create(inside, this::qualified));
    }

    private void writeIndexesAndDescriptions(Table table) {
        TableWriter writer = writer(table);
        statements.addAll(writer.indexes());
        if (dialect.can(Ability.DESCRIPTIONS)) {
            statements.addAll(writer.descriptions());
        }
    }

    private void writeNamespaces() {
        List<String> namespaces = schema.tables().stream()
                .map(Table::namespace)
                .filter(namespace -> !namespace.isEmpty())
                .distinct()
                .toList();
        for (String namespace : namespaces) {
            statements.add(
                    dialect.can(Ability.NAMESPACES)
                            ? new SqlWriter()
                                    .line("CREATE SCHEMA IF NOT EXISTS " + dialect.quoted(namespace))
                                    .closed(Statement.Kind.NAMESPACE)
                            : SqlWriter.comment(dialect + " has no schemas within a database: the tables of "
                                    + namespace + " stand beside the others"));
        }
    }

    /** Says what this database does not hold, and what is written instead. */
    private void writeNotes() {
        if (!dialect.can(Ability.TEXT_LENGTHS)
                && schema.tables().stream().flatMap(t -> t.columns().stream()).anyMatch(ScriptWriter::hasLength)) {
            statements.add(SqlWriter.comment(
                    dialect + " does not hold the length of a text: varchar(40) takes longer ones too"));
        }
        for (Table table : schema.tables()) {
            for (Column column : table.columns()) {
                column.identity().ifPresent(counted -> writeNumberingNotes(table, column, counted));
            }
        }
    }

    private void writeNumberingNotes(Table table, Column column, DataType.Counted counted) {
        Id[] origins = {table.origin(), column.origin()};
        if (!writer(table).isNumberedHere(column)) {
            statements.add(SqlWriter.comment(
                    dialect + " numbers no column but a primary key of one column: " + table.name() + "."
                            + column.name() + " must be given by whoever inserts",
                    origins));
        } else if (!dialect.can(Ability.RESTART_IDENTITY) && (counted.start() != 1 || counted.step() != 1)) {
            statements.add(SqlWriter.comment(
                    dialect + " numbers on from the largest value by 1, not from " + counted.start() + " by "
                            + counted.step() + ": " + table.name() + "." + column.name(),
                    origins));
        }
    }

    private static boolean hasLength(Column column) {
        return column.type() instanceof DataType.Text text && text.max() > 0;
    }
}
