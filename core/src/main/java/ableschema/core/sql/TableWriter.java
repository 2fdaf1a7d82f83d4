package ableschema.core.sql;

import static java.util.stream.Collectors.joining;
import static java.util.stream.Collectors.toSet;

import ableschema.core.expression.Expression;
import ableschema.core.schema.Column;
import ableschema.core.schema.DomainType;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Part;
import ableschema.core.schema.Part.Kind;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.sql.SqlWriter.Element;
import ableschema.core.sql.dialect.Ability;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.DialectOption;
import ableschema.core.sql.dialect.ScriptStyle.Existing;
import ableschema.core.sql.dialect.ScriptStyle.Letters;
import ableschema.core.sql.dialect.TypeForm;
import ableschema.core.types.DataType;
import ableschema.core.types.DataTypes;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;

/** Writes the statements that define one table. */
final class TableWriter {

    private static final int WIDEST_NAME = 30;

    private final Dialect dialect;
    private final Schema schema;
    private final Table table;
    private final TableNames names;
    private final TableShortfalls shortfalls;
    private final ReferenceClauses references;

    TableWriter(Dialect dialect, Schema schema, Table table, TableNames names, Predicate<ForeignKey> deferred) {
        this.dialect = dialect;
        this.schema = schema;
        this.table = IncludedColumns.of(table, dialect);
        this.names = names;
        this.shortfalls = new TableShortfalls(dialect, schema, this.table);
        this.references = new ReferenceClauses(dialect, this.table, names, deferred);
    }

    Table table() {
        return table;
    }

    TableShortfalls shortfalls() {
        return shortfalls;
    }

    String name() {
        return names.of(table.qualified());
    }

    /** The CREATE TABLE statement, with those foreign keys that are wanted inside it. */
    Statement create(Predicate<ForeignKey> inside) {
        var elements = new ArrayList<Element>();
        var columns = new ArrayList<ColumnText>();
        table.columns().forEach(column -> columns.add(text(column)));
        int nameWidth = width(columns.stream().map(ColumnText::name).toList());
        int typeWidth = width(columns.stream().map(ColumnText::type).toList());
        columns.forEach(column -> elements.add(column.element(nameWidth, typeWidth)));
        primaryKey().ifPresent(elements::add);
        table.uniques().stream()
                .filter(unique -> !shortfalls.isFiltered(unique.columns(), unique.options()))
                .filter(unique -> shortfalls.canBeUnique(unique.columns()))
                .forEach(unique ->
                        elements.add(constraint(table.part(Kind.UNIQUE, unique.name()), dialect.unique(unique))));
        ofNumbers()
                .ifPresent(index -> elements.add(new Element(
                        table.part(Kind.INDEX, index.name()),
                        List.of((index.unique() ? "UNIQUE " : "") + "KEY "
                                + names.of(table.part(Kind.INDEX, index.name())) + " (" + indexed(index) + ")"
                                + dialect.indexEnd(index)))));
        Set<Table.CheckConstraint> beside = table.columns().stream()
                .flatMap(column -> beside(column).stream())
                .collect(toSet());
        for (Table.CheckConstraint check : table.checks()) {
            if (isWritten(check) && !beside.contains(check)) {
                elements.add(constraint(
                        table.part(Kind.CHECK, check.name()),
                        "CHECK (" + written(check.expression()) + ")" + dialect.ruleEnd(Kind.CHECK, check.options())));
            }
        }
        for (Column column : table.columns()) {
            if (!column.nullable() && isComputedUnmarked(column)) {
                elements.add(new Element(
                        table.part(Kind.COLUMN, column.name()),
                        List.of("CHECK (" + dialect.column(column.name()) + " IS NOT NULL)")));
            }
            if (isComputed(column) && rawType(column).isEmpty()) {
                conditions(column, schema.resolved(column.type()))
                        .forEach(condition -> elements.add(new Element(
                                table.part(Kind.COLUMN, column.name()), List.of("CHECK (" + condition + ")"))));
            }
        }
        for (ForeignKey key : table.foreignKeys()) {
            if (inside.test(key)) {
                elements.add(new Element(table.part(Kind.FOREIGN_KEY, key.name()), references.clause(key)));
            }
            references
                    .wholeOrEmpty(key)
                    .ifPresent(check -> elements.add(
                            new Element(table.part(Kind.FOREIGN_KEY, key.name()), List.of("CHECK (" + check + ")"))));
        }
        return new SqlWriter(table.part())
                .list(
                        "CREATE TABLE " + ifMissing(dialect.tableIfMissing()) + name() + " (",
                        elements,
                        ")" + dialect.tableEnd(table))
                .closed(Statement.Kind.TABLE);
    }

    private static int width(List<String> texts) {
        int width = 0;
        for (String text : texts) {
            width = text.length() <= WIDEST_NAME ? Math.max(width, text.length()) : width;
        }
        return width;
    }

    private String written(Expression<String> expression) {
        return dialect.written(expression, this::type);
    }

    /** What a column holds in the end. */
    private DataType type(String column) {
        return table.column(column).map(found -> schema.resolved(found.type())).orElse(DataTypes.UNDECIDED);
    }

    /** The definition of a column in its parts, before they are set under each other. */
    private record ColumnText(
            Part part, String name, String type, String clauses, List<String> comments, List<String> checks) {
        Element element(int nameWidth, int typeWidth) {
            var lines = new ArrayList<>(comments);
            String rest = clauses.isEmpty() ? type : padded(type, typeWidth) + " " + clauses;
            lines.add(rest.isEmpty() ? name : padded(name, nameWidth) + " " + rest);
            checks.forEach(check -> lines.add("  CHECK (" + check + ")"));
            return new Element(part, lines);
        }
    }

    private ColumnText text(Column column) {
        DataType base = schema.resolved(column.type());
        String type = dialect.numberedType(column, rawType(column).orElseGet(() -> writtenType(column, base)));
        String clauses = clauses(column, base);
        boolean computed = isComputed(column);
        if (computed) {
            boolean virtual = dialect.has(column.options(), DialectOption.VIRTUAL)
                    || !dialect.can(Ability.CHECK_NUMBERED) && shortfalls.isFromNumbered(column);
            DataType known = rawType(column).isPresent() ? DataTypes.UNDECIDED : base; // what is found stays as it is
            type = dialect.computed(type, written(column.filling().expression()), known, !virtual)
                    .strip();
        }
        boolean described =
                !dialect.can(Ability.DESCRIPTIONS) && !column.comment().isEmpty();
        return new ColumnText(
                table.part(Kind.COLUMN, column.name()),
                dialect.column(column.name()),
                dialect.style().letters() == Letters.CAPITAL && !computed && !isNamed(column)
                        ? LetterCase.capitals(type)
                        : type,
                clauses,
                described ? List.of("-- " + SqlWriter.onOneLine(column.comment())) : List.of(),
                besides(column, base));
    }

    /** The conditions that stand in the definition of a column. */
    private List<String> besides(Column column, DataType base) {
        List<String> held = isComputed(column) || isHeldAlready(column) ? List.of() : conditions(column, base);
        return Stream.concat(held.stream(), beside(column).stream().map(check -> written(check.expression())))
                .toList();
    }

    /** The rule that stands in the definition of its column, as it was found. */
    private Optional<Table.CheckConstraint> beside(Column column) {
        return !column.options().isEmpty() && dialect.has(column.options(), DialectOption.CHECK_BESIDE)
                ? table.checks().stream()
                        .filter(check ->
                                isWritten(check) && check.expression().columns().allMatch(column.name()::equals))
                        .findFirst()
                : Optional.empty();
    }

    private boolean isWritten(Table.CheckConstraint check) {
        return dialect.understands(check.expression()) && shortfalls.canCheck(check.expression());
    }

    private boolean isComputed(Column column) {
        return column.filling().isComputed()
                && dialect.understands(column.filling().expression())
                && shortfalls.canCompute(column);
    }

    /** A number that is the row's own, or a type as it was found, needs no conditions. */
    private boolean isHeldAlready(Column column) {
        return rawType(column).isPresent() || dialect.declaresKeyWithIdentity() && shortfalls.isNumbered(column);
    }

    private Optional<String> rawType(Column column) {
        return dialect.foundType(column);
    }

    private boolean isNamed(Column column) {
        return column.type() instanceof DataType.InDomain && dialect.can(Ability.DOMAINS);
    }

    private String writtenType(Column column, DataType base) {
        if (isNamed(column)) {
            return schema.domain(column.type())
                    .map(domain -> names.of(domain.name()))
                    .orElse("undecided");
        }
        return dialect.columnType(table, schema.resolved(column), base);
    }

    /** Conditions that hold a column to its type, and those of its domain where that has no name here. */
    private List<String> conditions(Column column, DataType base) {
        Optional<DomainType> domain = schema.domain(column.type());
        if (domain.isPresent() && dialect.can(Ability.DOMAINS)) {
            return List.of();
        }
        String name = dialect.column(column.name());
        var conditions = new ArrayList<>(
                isComputed(column)
                        ? dialect.holdingComputed(base, name)
                        : dialect.holding(base, name, column.nullable()));
        domain.map(DomainType::check)
                .filter(check -> check.isPresent() && dialect.understands(check))
                .ifPresent(check -> conditions.add(written(check.map(value -> column.name()))));
        return conditions;
    }

    private String clauses(Column column, DataType base) {
        var clauses = new StringBuilder();
        boolean numbered = shortfalls.isNumbered(column);
        if (numbered && dialect.declaresKeyWithIdentity()) {
            add(
                    clauses,
                    "NOT NULL CONSTRAINT "
                            + names.of(table.part(
                                    Kind.PRIMARY_KEY,
                                    table.primaryKey().orElseThrow().name()))
                            + " " // only a key is numbered so
                            + identity(column, base));
        } else {
            if (numbered) {
                add(clauses, identity(column, base));
            }
            shortfalls.filled(column).ifPresent(sql -> add(clauses, defaultName(column) + "DEFAULT " + sql));
            if (!column.nullable() && !isComputedUnmarked(column)) {
                add(clauses, "NOT NULL");
            }
            if (isKeyBeside(column)) {
                table.primaryKey()
                        .filter(shortfalls::canBeKey)
                        .ifPresent(key ->
                                add(clauses, dialect.keyBeside(names.plain(table.part(Kind.PRIMARY_KEY, key.name())))));
            }
        }
        return clauses.append(dialect.columnEnd(column)).toString().strip();
    }

    private String defaultName(Column column) {
        return dialect.option(column.options(), DialectOption.DEFAULT_NAME)
                .map(name -> "CONSTRAINT " + dialect.column(name) + " ")
                .orElse("");
    }

    /** Whether a check has to hold that a computed column is never empty. */
    private boolean isComputedUnmarked(Column column) {
        return column.filling().isComputed() && !dialect.takesComputedNotNull();
    }

    private static void add(StringBuilder clauses, String clause) {
        clauses.append(clauses.isEmpty() || clause.isEmpty() ? "" : " ").append(clause);
    }

    private String identity(Column column, DataType base) {
        TypeForm form = dialect.form(base);
        return dialect.identity(column, column.identity().orElseThrow(), form); // only columns with one are numbered
    }

    private Optional<Element> primaryKey() {
        boolean declared =
                dialect.declaresKeyWithIdentity() && table.columns().stream().anyMatch(shortfalls::isNumbered)
                        || table.columns().stream().anyMatch(this::isKeyBeside);
        return table.primaryKey()
                .filter(key -> !declared || !shortfalls.canBeKey(key))
                .map(key -> constraint(
                        table.part(Kind.PRIMARY_KEY, key.name()),
                        (shortfalls.canBeKey(key) ? "PRIMARY KEY (" : "UNIQUE (")
                                + key.columns().stream().map(this::keyed).collect(joining(", ")) + ")"
                                + dialect.keyEnd(table)));
    }

    /** Whether a column says that it is the key; more than that stands behind the columns. */
    private boolean isKeyBeside(Column column) {
        return dialect.style().keysBeside()
                && table.isKey(column)
                && dialect.keyEnd(table).isEmpty();
    }

    /** A column as a part of the key, which may be over the beginning of its text alone, and in falling order. */
    private String keyed(String name) {
        Map<String, String> options = table.column(name).map(Column::options).orElse(Map.of());
        return dialect.column(name)
                + dialect.option(options, DialectOption.KEY_LENGTH)
                        .map(length -> "(" + length + ")")
                        .orElse("")
                + (dialect.has(options, DialectOption.KEY_ORDER) ? " DESC" : "");
    }

    /** The index that a numbered column leads must stand in the table, where the database wants one and no key does. */
    private Optional<Table.TableIndex> ofNumbers() {
        return dialect.can(Ability.NUMBER_UNINDEXED)
                ? Optional.empty()
                : table.columns().stream()
                        .filter(shortfalls::isNumbered)
                        .map(Column::name)
                        .filter(name -> !leadsKey(name))
                        .flatMap(name -> table.indexes().stream()
                                .filter(index ->
                                        index.columnNames().stream().limit(1).anyMatch(name::equals)))
                        .filter(shortfalls::canIndex)
                        .findFirst();
    }

    private boolean leadsKey(String name) {
        return table.primaryKey().stream().anyMatch(key -> key.columns().get(0).equals(name))
                || table.uniques().stream()
                        .anyMatch(unique -> unique.columns().get(0).equals(name));
    }

    Statement addForeignKey(ForeignKey key) {
        List<String> clause = references.clause(key);
        var writer = new SqlWriter(table.part(Kind.FOREIGN_KEY, key.name()));
        writer.line("ALTER TABLE " + name() + " ADD " + clause.get(0));
        clause.stream().skip(1).forEach(writer::line);
        return writer.closed(Statement.Kind.FOREIGN_KEY);
    }

    List<Statement> indexes() {
        var statements = new ArrayList<Statement>();
        for (Table.UniqueConstraint unique : table.uniques()) {
            if (shortfalls.isFiltered(unique.columns(), unique.options()) && shortfalls.canBeUnique(unique.columns())) {
                statements.add(new SqlWriter(table.part(Kind.UNIQUE, unique.name()))
                        .line("CREATE UNIQUE INDEX " + ifMissing(dialect.indexIfMissing())
                                + names.of(table.part(Kind.UNIQUE, unique.name())) + " ON " + name() + " "
                                + dialect.listed(unique.columns()) + filter(unique.columns()))
                        .closed(Statement.Kind.INDEX));
            }
        }
        Optional<Table.TableIndex> inside = ofNumbers();
        table.indexes().stream()
                .filter(shortfalls::canIndex)
                .filter(index -> inside.filter(index::equals).isEmpty())
                .forEach(index -> statements.add(index(index)));
        return statements;
    }

    private String ifMissing(Optional<String> words) {
        return dialect.style().existing() == Existing.SKIP ? words.orElse("") : "";
    }

    private String filter(List<String> columns) {
        return " WHERE " + notEmpty(columns);
    }

    private String notEmpty(List<String> columns) {
        return columns.stream()
                .filter(name -> table.column(name).filter(Column::nullable).isPresent())
                .map(name -> dialect.column(name) + " IS NOT NULL")
                .collect(joining(" AND "));
    }

    /** The rows that an index is over, where it is not over all. */
    private String rowsOf(Table.TableIndex index) {
        boolean filtered = index.unique() && shortfalls.isFiltered(index.columnNames(), index.options());
        boolean some = index.only().isPresent() && dialect.takesIndexOver(index.only());
        String notEmpty = filtered ? notEmpty(index.columnNames()) : "";
        String condition = some ? written(index.only()) : "";
        return notEmpty.isEmpty() && condition.isEmpty()
                ? ""
                : " WHERE " + notEmpty + (filtered && some ? " AND (" + condition + ")" : condition);
    }

    private String indexed(Table.IndexedColumn part, Map<String, Long> beginnings) {
        String value = part.value()
                .asColumn()
                .map(name ->
                        dialect.column(name) + (beginnings.containsKey(name) ? "(" + beginnings.get(name) + ")" : ""))
                .orElseGet(() -> dialect.indexed(written(part.value())));
        return part.descending() ? value + " DESC" : value;
    }

    private String indexed(Table.TableIndex index) {
        Map<String, Long> beginnings = shortfalls.beginnings(index);
        return index.columns().stream().map(part -> indexed(part, beginnings)).collect(joining(", "));
    }

    private Statement index(Table.TableIndex index) {
        String columns = indexed(index);
        return new SqlWriter(table.part(Kind.INDEX, index.name()))
                .line("CREATE " + (index.unique() ? "UNIQUE " : "") + dialect.indexKind(index) + "INDEX "
                        + ifMissing(dialect.indexIfMissing()) + names.of(table.part(Kind.INDEX, index.name()))
                        + " ON " + name()
                        + dialect.indexMethod(index) + " (" + columns + ")"
                        + dialect.indexEnd(index)
                        + rowsOf(index))
                .closed(Statement.Kind.INDEX);
    }

    /** What people should know of the table, as a comment before it where the database takes no descriptions. */
    Optional<Statement> remark() {
        return table.comment().isEmpty() || dialect.can(Ability.DESCRIPTIONS)
                ? Optional.empty()
                : Optional.of(SqlWriter.comment(table.name() + ": " + table.comment(), table.part()));
    }

    /** What people should know of the table and its columns, as statements of their own. */
    List<Statement> descriptions() {
        var statements = new ArrayList<Statement>();
        if (!dialect.can(Ability.DESCRIPTIONS) || dialect.describesInside()) {
            return statements;
        }
        if (!table.comment().isEmpty()) {
            statements.add(description(Optional.empty(), table.comment(), table.part()));
        }
        for (Column column : table.columns()) {
            if (!column.comment().isEmpty()) {
                statements.add(
                        description(Optional.of(column), column.comment(), table.part(Kind.COLUMN, column.name())));
            }
        }
        return statements;
    }

    private Statement description(Optional<Column> column, String text, Part part) {
        var writer = new SqlWriter(part);
        String described = text.lines().map(SqlWriter::described).collect(joining("\n"));
        dialect.description(table, column, name(), described).lines().forEach(writer::line);
        return writer.closed(Statement.Kind.DESCRIPTION);
    }

    /** Statements that have the numbering of the new table begin where it should. */
    List<Statement> startOfNumbering() {
        var statements = new ArrayList<Statement>();
        for (Column column : table.columns()) {
            if (shortfalls.isNumbered(column)) {
                Optional<String> start =
                        dialect.startNumbering(table, name(), column.identity().orElseThrow()); // numbered ones have it
                Stream.of(start, dialect.ofNumbered(name(), column))
                        .flatMap(Optional::stream)
                        .map(sql -> new SqlWriter(table.part(Kind.COLUMN, column.name())).line(sql))
                        .forEach(writer -> statements.add(writer.closed(Statement.Kind.SETTING)));
            }
        }
        return statements;
    }

    private Element constraint(Part part, String rule) {
        return new Element(part, List.of("CONSTRAINT " + names.of(part), "  " + rule));
    }

    private static String padded(String text, int width) {
        return text.length() >= width ? text : text + " ".repeat(width - text.length());
    }
}
