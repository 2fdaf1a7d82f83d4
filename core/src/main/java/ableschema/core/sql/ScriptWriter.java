package ableschema.core.sql;

import static java.util.stream.Collectors.groupingBy;

import ableschema.core.carried.Carried;
import ableschema.core.schema.Decided;
import ableschema.core.schema.DomainType;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Part;
import ableschema.core.schema.Remark;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import ableschema.core.sql.dialect.Ability;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.ScriptStyle.Existing;
import ableschema.core.sql.dialect.ScriptStyle.Letters;
import ableschema.core.sql.dialect.Shortfall;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;

/**
 * Writes the definitions of a whole schema, complete and in an order that works: settings, one transaction where the database
 * can, namespaces, named types, tables parents first, foreign keys that close circles, indexes, descriptions, rows.
 */
public final class ScriptWriter {

    private static final int MANY = 200;

    private final Dialect dialect;
    private final CascadePaths paths;
    private final Schema schema;
    private final Map<Part, List<Remark>> remarks;
    private final TableOrder order;
    private final TableNames names;
    private final Map<TableName, TableWriter> writers = new HashMap<>();

    /** Those of the tables in the order in which they are written. */
    private final List<TableWriter> ordered = new ArrayList<>();

    private final Access access;
    private final List<Statement> statements = new ArrayList<>();
    private final List<Shortfall> shortfalls = new ArrayList<>();

    private ScriptWriter(Schema wanted, List<Remark> remarks, Dialect dialect) {
        this.dialect = dialect;
        this.paths = CascadePaths.of(WrittenOut.of(wanted, dialect), dialect);
        this.schema = paths.schema();
        this.remarks = remarks.stream().collect(groupingBy(Remark::place));
        this.order = TableOrder.of(schema);
        this.names = new TableNames(dialect, schema);
        this.access = new Access(dialect);
    }

    /** The definitions without rows; an {@link IllegalArgumentException} says what is not decided. */
    public static Script definitions(Schema schema, List<Remark> remarks, Dialect dialect) {
        return withRows(schema, remarks, List.of(), dialect);
    }

    /** The definitions, then rows; those that no order could insert become comments. */
    public static Script withRows(Schema schema, List<Remark> remarks, List<RowData> rows, Dialect dialect) {
        requireDecided(schema);
        return written(schema, remarks, rows, dialect);
    }

    /** The same of what is known to be decided. */
    public static Script withRows(Decided decided, List<Remark> remarks, List<RowData> rows, Dialect dialect) {
        return written(decided.schema(), remarks, rows, dialect);
    }

    private static Script written(Schema schema, List<Remark> remarks, List<RowData> rows, Dialect dialect) {
        var writer = new ScriptWriter(schema, remarks, dialect);
        writer.write(rows);
        return new Script(dialect, cased(writer.statements, dialect), writer.shortfalls);
    }

    private static List<Statement> cased(List<Statement> statements, Dialect dialect) {
        return dialect.style().letters() == Letters.SMALL
                ? statements.stream().map(LetterCase::small).toList()
                : statements;
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
    public static List<Statement> of(Table wanted, Schema schema, Dialect dialect) {
        Table table = WrittenOut.of(
                CascadePaths.of(schema, dialect)
                        .schema()
                        .table(wanted.qualified())
                        .orElse(wanted),
                dialect);
        // asked for with each thing that is chosen, and seldom about names that stand again
        List<Table> beside = RuleNames.mayStandAgain(wanted, schema) ? schema.tables() : List.of();
        var names = new TableNames(dialect, new Schema(schema.domains(), beside));
        var writer = new TableWriter(dialect, schema, table, names, key -> false);
        var statements = new ArrayList<Statement>();
        writer.remark().ifPresent(statements::add);
        statements.add(writer.create(key -> true));
        statements.addAll(writer.indexes());
        statements.addAll(writer.descriptions());
        return cased(statements, dialect);
    }

    private void write(List<RowData> rows) {
        for (Table table : order.tables()) {
            var writer = new TableWriter(dialect, schema, table, names, key -> order.isDeferred(table, key));
            writers.put(table.qualified(), writer);
            ordered.add(writer);
        }
        boolean whole = dialect.can(Ability.TRANSACTIONAL_DEFINITIONS);
        Shortfalls.ofScript(schema, dialect).forEach(this::say);
        remarkOn(Part.WHOLE);
        statements.addAll(access.told());
        dialect.settings().forEach(setting -> statement(Statement.Kind.SETTING, setting));
        if (whole) {
            statement(Statement.Kind.BEGIN, dialect.begin());
        }
        writeNamespaces();
        if (dialect.style().existing() == Existing.REPLACE) {
            dropExisting();
        }
        carried(each -> each.kind() == Carried.Kind.EXTENSION);
        writeDomains();
        routinesBeforeTables();
        carried(each -> each.early() && each.kind() != Carried.Kind.EXTENSION);
        writeTables();
        carried(each -> !each.early() && !each.kind().isLast());
        List<Statement> inserts = new RowWriter(dialect, schema, order, writers, order::isDeferred).statements(rows);
        if (!inserts.isEmpty() && !whole) {
            statement(Statement.Kind.BEGIN, dialect.begin());
        }
        statements.addAll(inserts);
        carried(each -> !each.early() && each.kind().isLast());
        statements.addAll(access.rights(schema, namespaces(), names));
        if (whole || !inserts.isEmpty()) {
            statement(Statement.Kind.COMMIT, dialect.commit());
        }
    }

    /** In the reverse order, so that nothing is dropped to which something refers. */
    private void dropExisting() {
        if (!dialect.can(Ability.DROP_EXISTING)) {
            return;
        }
        statements.add(
                SqlWriter.comment("Replaces what is there: tables of these names are dropped with all their rows."));
        dialect.aroundDrops().ifPresent(around -> statement(Statement.Kind.DROP, around.getKey()));
        List<Table> tables = new ArrayList<>(order.tables());
        Collections.reverse(tables);
        for (Table table : tables) {
            for (ForeignKey key : table.foreignKeys()) {
                dialect.dropReference(
                                names.of(table.qualified()), names.plain(table.part(Part.Kind.FOREIGN_KEY, key.name())))
                        .filter(sql -> order.isLater(key))
                        .ifPresent(sql -> statement(Statement.Kind.DROP, sql));
            }
        }
        for (Table table : tables) {
            dialect.dropTable(names.of(table.qualified()))
                    .ifPresent(sql ->
                            statements.add(new SqlWriter(table.part()).line(sql).closed(Statement.Kind.DROP)));
        }
        dialect.aroundDrops().ifPresent(around -> statement(Statement.Kind.DROP, around.getValue()));
        if (dialect.can(Ability.DOMAINS)) {
            schema.domains()
                    .forEach(domain ->
                            statement(Statement.Kind.DROP, dialect.dropDomain(domain, names.of(domain.name()))));
        }
    }

    private void statement(Statement.Kind kind, String sql) {
        statements.add(new SqlWriter().line(sql).closed(kind));
    }

    private void say(Shortfall shortfall) {
        shortfalls.add(shortfall);
        statements.add(SqlWriter.comment(shortfall.text(), shortfall.place()));
    }

    private void writeNamespaces() {
        for (String namespace : namespaces()) {
            if (dialect.can(Ability.NAMESPACES)) {
                statement(Statement.Kind.NAMESPACE, dialect.namespace(namespace));
            } else {
                say(Shortfalls.ofNamespace(namespace, dialect));
            }
        }
        if (!dialect.style().schema().isEmpty()) {
            dialect.entering(dialect.style().schema()).ifPresent(sql -> statement(Statement.Kind.SETTING, sql));
        }
    }

    private Set<String> namespaces() {
        Set<String> namespaces = Shortfalls.namespaces(schema);
        if (!dialect.style().schema().isEmpty() && dialect.can(Ability.NAMESPACES)) {
            namespaces.add(dialect.style().schema());
        }
        return namespaces;
    }

    private void writeDomains() {
        for (DomainType domain : schema.domains()) {
            remarkOn(domain.part());
            if (dialect.can(Ability.DOMAINS)) {
                String sql = dialect.domain(domain, names.of(domain.name()));
                boolean skip = dialect.style().existing() == Existing.SKIP;
                statements.add(new SqlWriter(domain.part())
                        .line(skip ? dialect.unlessThere(sql) : sql)
                        .closed(Statement.Kind.DOMAIN));
            } else {
                say(Shortfalls.ofDomain(domain, dialect));
            }
        }
    }

    private void writeTables() {
        boolean later = dialect.can(Ability.ADD_CONSTRAINTS);
        boolean after =
                later && dialect.style().referencesAfter() && dialect.style().existing() != Existing.SKIP;
        Predicate<ForeignKey> inside = later ? key -> !after && !order.isLater(key) : key -> true;
        for (Defined each : ofTables(writer -> defined(writer, inside))) {
            each.table().remark().ifPresent(statements::add);
            remarkOn(each.table().table().part());
            each.shortfalls().forEach(this::say);
            statements.add(each.statement());
        }
        for (TableWriter writer : ordered) {
            for (ForeignKey key : writer.table().foreignKeys()) {
                if (!inside.test(key)) {
                    statements.add(writer.addForeignKey(key));
                }
            }
        }
        ofTables(TableWriter::indexes).forEach(statements::addAll);
        ofTables(TableWriter::descriptions).forEach(statements::addAll);
        ofTables(TableWriter::startOfNumbering).forEach(statements::addAll);
    }

    /** The definition of a table, with what the dialect cannot say of it. */
    private record Defined(TableWriter table, List<Shortfall> shortfalls, Statement statement) {}

    private Defined defined(TableWriter writer, Predicate<ForeignKey> inside) {
        Table table = writer.table();
        List<ForeignKey> undeferred = table.foreignKeys().stream()
                .filter(key -> !dialect.can(Ability.DEFERRED_CONSTRAINTS) && order.isDeferred(table, key))
                .toList();
        var shortfalls = new ArrayList<>(writer.shortfalls().found(undeferred));
        shortfalls.addAll(paths.of(table));
        shortfalls.addAll(names.shortfalls(table));
        return new Defined(writer, shortfalls, writer.create(inside));
    }

    /** What is made of each table, in their order; of many tables side by side, as none depends on another. */
    private <T> List<T> ofTables(Function<TableWriter, T> made) {
        return (ordered.size() < MANY ? ordered.stream() : ordered.parallelStream())
                .map(made)
                .toList();
    }

    private void carried(Predicate<Carried> here) {
        statements.addAll(new CarriedWriter(dialect).statements(schema.carried(), here));
    }

    /** What routines speak of is made later. */
    private void routinesBeforeTables() {
        boolean routines = schema.carried().stream()
                .anyMatch(each -> each.early() && each.kind() == Carried.Kind.ROUTINE && dialect.writes(each));
        if (routines) {
            dialect.beforeRoutines().forEach(setting -> statement(Statement.Kind.SETTING, setting));
        }
    }

    private void remarkOn(Part part) {
        remarks.getOrDefault(part, List.of()).forEach(remark -> statements.add(SqlWriter.comment(said(remark), part)));
    }

    private static String said(Remark remark) {
        return Character.toUpperCase(remark.text().charAt(0)) + remark.text().substring(1) + ".";
    }
}
