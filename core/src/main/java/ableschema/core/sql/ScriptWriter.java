package ableschema.core.sql;

import static java.util.stream.Collectors.groupingBy;

import ableschema.core.schema.Column;
import ableschema.core.schema.DomainType;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Part;
import ableschema.core.schema.Remark;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import ableschema.core.sql.dialect.Ability;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Shortfall;
import ableschema.core.sql.dialect.Traits.TextComparison;
import ableschema.core.types.DataType;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * Writes the definitions of a whole schema, complete and in an order that works: settings, one transaction where the database
 * can, namespaces, named types, tables parents first, foreign keys that close circles, indexes, descriptions, rows.
 */
public final class ScriptWriter {

    private final Dialect dialect;
    private final Schema schema;
    private final Map<Part, List<Remark>> remarks;
    private final TableOrder order;
    private final TableNames names;
    private final Map<TableName, TableWriter> writers = new HashMap<>();
    private final List<Statement> statements = new ArrayList<>();
    private final List<Shortfall> shortfalls = new ArrayList<>();

    private ScriptWriter(Schema schema, List<Remark> remarks, Dialect dialect) {
        this.dialect = dialect;
        this.schema = schema;
        this.remarks = remarks.stream().collect(groupingBy(Remark::place));
        this.order = TableOrder.of(schema);
        this.names = new TableNames(dialect, schema);
    }

    /** The definitions without rows; an {@link IllegalArgumentException} says what is not decided. */
    public static Script definitions(Schema schema, List<Remark> remarks, Dialect dialect) {
        return withRows(schema, remarks, List.of(), dialect);
    }

    /** The definitions, then rows; those that no order could insert become comments. */
    public static Script withRows(Schema schema, List<Remark> remarks, List<RowData> rows, Dialect dialect) {
        requireDecided(schema);
        var writer = new ScriptWriter(schema, remarks, dialect);
        writer.write(rows);
        return new Script(dialect, writer.statements, writer.shortfalls);
    }

    private static void requireDecided(Schema schema) {
        List<String> undecided = schema.tables().stream()
                .filter(table -> !table.isDecided())
                .map(table -> table.qualified().toString())
                .toList();
        if (!undecided.isEmpty()) {
            throw new IllegalArgumentException("definitions need the type of every column, which is not decided in "
                    + String.join(", ", undecided));
        }
    }

    /** The statements of one table, also where something in it is undecided; all its foreign keys stand inside. */
    public static List<Statement> of(Table table, Schema schema, Dialect dialect) {
        var names = new TableNames(dialect, new Schema(schema.domains(), List.of()));
        var writer = new TableWriter(dialect, schema, table, names, key -> false);
        var statements = new ArrayList<Statement>();
        writer.remark().ifPresent(statements::add);
        statements.add(writer.create(key -> true));
        statements.addAll(writer.indexes());
        statements.addAll(writer.descriptions());
        return statements;
    }

    private void write(List<RowData> rows) {
        for (Table table : schema.tables()) {
            writers.put(
                    table.qualified(), new TableWriter(dialect, schema, table, names, key -> isDeferred(table, key)));
        }
        boolean whole = dialect.can(Ability.TRANSACTIONAL_DEFINITIONS);
        writeWholeShortfalls();
        dialect.settings().forEach(setting -> statement(Statement.Kind.SETTING, setting));
        if (whole) {
            statement(Statement.Kind.BEGIN, dialect.begin());
        }
        writeNamespaces();
        writeDomains();
        writeTables();
        List<Statement> inserts = new RowWriter(dialect, schema, order, writers, this::isDeferred).statements(rows);
        if (!inserts.isEmpty() && !whole) {
            statement(Statement.Kind.BEGIN, dialect.begin());
        }
        statements.addAll(inserts);
        if (whole || !inserts.isEmpty()) {
            statement(Statement.Kind.COMMIT, dialect.commit());
        }
    }

    private void statement(Statement.Kind kind, String sql) {
        statements.add(new SqlWriter().line(sql).closed(kind));
    }

    /** Whether a foreign key is checked at the end: rows must refer to each other in a circle, or to themselves. */
    private boolean isDeferred(Table table, ForeignKey key) {
        boolean circle = order.isLater(key) || key.target().equals(table.qualified());
        return circle && !TableOrder.isOptional(table, key);
    }

    private void shortfall(Ability ability, Part place, String instead) {
        say(new Shortfall(dialect.label(), ability, place, instead));
    }

    private void say(Shortfall shortfall) {
        shortfalls.add(shortfall);
        statements.add(SqlWriter.comment(shortfall.text(), shortfall.place()));
    }

    /** What holds of the whole script, said once at its head. */
    private void writeWholeShortfalls() {
        if (!dialect.can(Ability.TRANSACTIONAL_DEFINITIONS)) {
            shortfall(
                    Ability.TRANSACTIONAL_DEFINITIONS,
                    Part.WHOLE,
                    "where a statement is refused, those before it stay");
        }
        if (!dialect.can(Ability.HELD_TYPES)) {
            shortfall(
                    Ability.HELD_TYPES, Part.WHOLE, "as chosen, any value goes into any column, and longer texts too");
        }
        boolean keyedText = schema.tables().stream()
                .anyMatch(table -> keyed(table).anyMatch(name -> table.column(name)
                        .map(Column::type)
                        .filter(type -> schema.resolved(type) instanceof DataType.Text)
                        .isPresent()));
        if (dialect.traits().comparison() != TextComparison.EXACT && keyedText) {
            shortfall(
                    Ability.EXACT_TEXT,
                    Part.WHOLE,
                    "texts that differ only in letter case"
                            + (dialect.traits().comparison() == TextComparison.NO_CASE ? "" : " or accents")
                            + " are the same to keys, unless the database compares otherwise");
        }
    }

    private static Stream<String> keyed(Table table) {
        return Stream.concat(
                table.primaryKey().stream().flatMap(key -> key.columns().stream()),
                table.uniques().stream().flatMap(unique -> unique.columns().stream()));
    }

    private void writeNamespaces() {
        var namespaces = new TreeSet<String>();
        schema.tables().forEach(table -> namespaces.add(table.namespace()));
        schema.domains().forEach(domain -> namespaces.add(domain.name().namespace()));
        namespaces.remove("");
        for (String namespace : namespaces) {
            if (dialect.can(Ability.NAMESPACES)) {
                statement(Statement.Kind.NAMESPACE, dialect.namespace(namespace));
            } else {
                shortfall(Ability.NAMESPACES, Part.WHOLE, "the tables of " + namespace + " stand beside the others");
            }
        }
    }

    private void writeDomains() {
        for (DomainType domain : schema.domains()) {
            remarkOn(domain.part());
            if (dialect.can(Ability.DOMAINS)) {
                statements.add(new SqlWriter(domain.part())
                        .line(dialect.domain(domain, names.of(domain.name())))
                        .closed(Statement.Kind.DOMAIN));
            } else {
                shortfall(
                        Ability.DOMAINS,
                        domain.part(),
                        "what it holds, its check and its default stand with each column of it");
            }
        }
    }

    private void writeTables() {
        boolean later = dialect.can(Ability.ADD_CONSTRAINTS);
        Predicate<ForeignKey> inside = later ? key -> !order.isLater(key) : key -> true;
        for (Table table : order.tables()) {
            TableWriter writer = writer(table);
            writer.remark().ifPresent(statements::add);
            remarkOn(table.part());
            boolean deferring = dialect.can(Ability.DEFERRED_CONSTRAINTS);
            List<ForeignKey> undeferred = deferring
                    ? List.of()
                    : table.foreignKeys().stream()
                            .filter(key -> isDeferred(table, key))
                            .toList();
            writer.shortfalls().found(undeferred).forEach(this::say);
            statements.add(writer.create(inside));
        }
        for (Table table : order.tables()) {
            table.foreignKeys().stream()
                    .filter(inside.negate())
                    .forEach(key -> statements.add(writer(table).addForeignKey(key)));
        }
        order.tables().forEach(table -> statements.addAll(writer(table).indexes()));
        order.tables().forEach(table -> statements.addAll(writer(table).descriptions()));
        order.tables().forEach(table -> statements.addAll(writer(table).startOfNumbering()));
    }

    private void remarkOn(Part part) {
        remarks.getOrDefault(part, List.of()).forEach(remark -> statements.add(SqlWriter.comment(said(remark), part)));
    }

    private static String said(Remark remark) {
        return Character.toUpperCase(remark.text().charAt(0)) + remark.text().substring(1) + ".";
    }

    private TableWriter writer(Table table) {
        return Optional.ofNullable(writers.get(table.qualified())).orElseThrow(); // made for each table at first
    }
}
