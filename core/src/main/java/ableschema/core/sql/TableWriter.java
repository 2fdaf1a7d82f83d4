package ableschema.core.sql;

import static java.util.stream.Collectors.joining;

import ableschema.core.design.Id;
import ableschema.core.schema.Column;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Table;
import ableschema.core.sql.Dialect.Ability;
import ableschema.core.sql.SqlWriter.Element;
import ableschema.core.types.ReferenceAction;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;

/** Writes the statements that define one table. */
final class TableWriter {

    private final Dialect dialect;
    private final Table table;

    TableWriter(Dialect dialect, Table table) {
        this.dialect = dialect;
        this.table = table;
    }

    String name() {
        return qualified(table.name());
    }

    private String qualified(String name) {
        return table.namespace().isEmpty() || !dialect.can(Ability.NAMESPACES)
                ? dialect.quoted(name)
                : dialect.quoted(table.namespace()) + "." + dialect.quoted(name);
    }

    /** The CREATE TABLE statement, with those foreign keys that are wanted inside it. */
    Statement create(Predicate<ForeignKey> inside, References references) {
        var elements = new ArrayList<Element>();
        int nameWidth = width(column -> dialect.quoted(column.name()));
        int typeWidth = width(column -> dialect.type(column.type()));
        table.columns().forEach(column -> elements.add(column(column, nameWidth, typeWidth)));
        primaryKey().ifPresent(elements::add);
        table.uniques()
                .forEach(unique ->
                        elements.add(constraint(unique.origin(), unique.name(), "UNIQUE " + listed(unique.columns()))));
        table.checks()
                .forEach(check -> elements.add(constraint(
                        check.origin(),
                        check.name(),
                        "CHECK ("
                                + dialect.translated(
                                        check.expression().written(ref -> dialect.quoted(table.nameOf(ref))))
                                + ")")));
        table.foreignKeys().stream()
                .filter(inside)
                .forEach(key -> elements.add(new Element(foreignKey(key, references), origins(key))));
        return new SqlWriter(table.origin())
                .list("CREATE TABLE " + name() + " (", elements, ")")
                .closed(Statement.Kind.TABLE);
    }

    private int width(Function<Column, String> text) {
        return table.columns().stream()
                .mapToInt(column -> text.apply(column).length())
                .filter(length -> length <= 30)
                .max()
                .orElse(0);
    }

    private Element column(Column column, int nameWidth, int typeWidth) {
        String clauses = clauses(column);
        String type = dialect.type(column.type());
        String definition = padded(dialect.quoted(column.name()), nameWidth)
                + " "
                + (clauses.isEmpty() ? type : padded(type, typeWidth) + " " + clauses);
        boolean described =
                !dialect.can(Ability.DESCRIPTIONS) && !column.comment().isEmpty();
        var origins = Set.of(column.origin());
        return described
                ? new Element(List.of("-- " + SqlWriter.onOneLine(column.comment()), definition), origins)
                : new Element(List.of(definition), origins);
    }

    private String clauses(Column column) {
        var clauses = new ArrayList<String>();
        boolean numbered = isNumberedHere(column);
        if (numbered && dialect.declaresKeyWithIdentity()) {
            clauses.add("NOT NULL CONSTRAINT "
                    + dialect.quoted(table.primaryKey().orElseThrow().name()) + " "
                    + dialect.identity(column.identity().orElseThrow()));
        } else {
            if (numbered) {
                clauses.add(dialect.identity(column.identity().orElseThrow()));
            }
            if (column.defaultValue().isPresent()) {
                clauses.add("DEFAULT "
                        + dialect.translated(column.defaultValue().written(ref -> dialect.quoted(table.nameOf(ref)))));
            }
            if (!column.nullable()) {
                clauses.add("NOT NULL");
            }
        }
        return String.join(" ", clauses);
    }

    /** Whether this database can number this column; SQLite numbers none but the only column of a key. */
    boolean isNumberedHere(Column column) {
        boolean aloneInKey = table.primaryKey()
                .filter(key -> key.columns().equals(List.of(column.name())))
                .isPresent();
        return column.identity().isPresent() && (aloneInKey || !dialect.declaresKeyWithIdentity());
    }

    private Optional<Element> primaryKey() {
        boolean declared = dialect.declaresKeyWithIdentity()
                && table.columns().stream().anyMatch(column -> isNumberedHere(column));
        return table.primaryKey()
                .filter(key -> !declared)
                .map(key -> constraint(table.origin(), key.name(), "PRIMARY KEY " + listed(key.columns())));
    }

    /** Knows the names of other tables, with their namespaces. */
    interface References {
        String qualified(String table);
    }

    private List<String> foreignKey(ForeignKey key, References references) {
        return List.of(
                "CONSTRAINT " + dialect.quoted(key.name()),
                "  FOREIGN KEY " + listed(key.columns()),
                "  REFERENCES " + references.qualified(key.target()) + " " + listed(key.targetColumns())
                        + action(" ON DELETE ", key.onDelete())
                        + action(" ON UPDATE ", key.onUpdate()));
    }

    private static String action(String when, ReferenceAction action) {
        return action == ReferenceAction.RESTRICT ? "" : when + action.sql();
    }

    Statement addForeignKey(ForeignKey key, References references) {
        List<String> clause = foreignKey(key, references);
        var writer = new SqlWriter(origins(key).toArray(Id[]::new));
        writer.line("ALTER TABLE " + name() + " ADD " + clause.get(0));
        clause.stream().skip(1).forEach(writer::line);
        return writer.closed(Statement.Kind.FOREIGN_KEY);
    }

    private Set<Id> origins(ForeignKey key) {
        return Set.of(key.origin().relationship());
    }

    List<Statement> indexes() {
        return table.indexes().stream()
                .map(index -> new SqlWriter(table.origin(), index.origin())
                        .line("CREATE " + (index.unique() ? "UNIQUE " : "") + "INDEX " + dialect.quoted(index.name())
                                + " ON " + name() + " ("
                                + index.columns().stream()
                                        .map(part -> dialect.quoted(part.name()) + (part.descending() ? " DESC" : ""))
                                        .collect(joining(", "))
                                + ")")
                        .closed(Statement.Kind.INDEX))
                .toList();
    }

    /** What people should know of the table and its columns, as statements or, where there are none, as a comment. */
    List<Statement> descriptions() {
        var statements = new ArrayList<Statement>();
        boolean asStatements = dialect.can(Ability.DESCRIPTIONS);
        if (!table.comment().isEmpty()) {
            statements.add(
                    asStatements
                            ? description("TABLE " + name(), table.comment(), table.origin())
                            : SqlWriter.comment(table.label() + ": " + table.comment(), table.origin()));
        }
        if (asStatements) {
            table.columns().stream()
                    .filter(column -> !column.comment().isEmpty())
                    .forEach(column -> statements.add(description(
                            "COLUMN " + name() + "." + dialect.quoted(column.name()),
                            column.comment(),
                            column.origin())));
        }
        return statements;
    }

    private Statement description(String of, String text, Id origin) {
        return new SqlWriter(table.origin(), origin)
                .line("COMMENT ON " + of + " IS " + dialect.text(SqlWriter.onOneLine(text)))
                .closed(Statement.Kind.DESCRIPTION);
    }

    String listed(List<String> columns) {
        return columns.stream().map(dialect::quoted).collect(joining(", ", "(", ")"));
    }

    private Element constraint(Id origin, String name, String rule) {
        return Element.of(origin, "CONSTRAINT " + dialect.quoted(name), "  " + rule);
    }

    private static String padded(String text, int width) {
        return text + " ".repeat(Math.max(0, width - text.length()));
    }
}
