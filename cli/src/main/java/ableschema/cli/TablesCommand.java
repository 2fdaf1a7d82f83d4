package ableschema.cli;

import ableschema.core.design.Attribute;
import ableschema.core.design.Mark;
import ableschema.core.document.Document;
import ableschema.core.expression.Expression;
import ableschema.core.mapping.Mapping;
import ableschema.core.schema.Column;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Identity;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.store.DocumentFile;
import ableschema.core.store.FileProblem;
import ableschema.core.types.ReferenceAction;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** {@code able tables}: the tables that follow from a design. */
@Command(name = "tables", description = "Lists the tables that follow from a design.", mixinStandardHelpOptions = true)
final class TablesCommand implements Callable<Integer> {

    @Parameters(paramLabel = "FILE", description = "The design.")
    private Path file = Path.of("");

    @Option(names = "--json", description = "Prints JSON.")
    private boolean json;

    @Option(
            names = "--dialect",
            paramLabel = "D",
            converter = DialectName.class,
            description = "one of ${COMPLETION-CANDIDATES}; without it, types of ISO/IEC 9075",
            completionCandidates = DialectName.Names.class)
    private Dialect dialect = Dialects.STANDARD;

    private Document document = Document.EMPTY;
    private Mapping mapping = Mapping.NONE;
    private Schema schema = Mapping.NONE.schema();

    @Mixin
    private Output output = new Output();

    @Override
    public Integer call() throws FileProblem {
        document = DocumentFile.read(file);
        mapping = document.mapping();
        schema = mapping.schema();
        output.write(file, json ? Json.pretty(Map.of("tables", list(schema.tables(), this::table))) + "\n" : text());
        return Exit.DONE;
    }

    private String text() {
        var text = new StringBuilder();
        for (Table table : schema.tables()) {
            text.append(table.qualified()).append('\n');
            for (Column column : table.columns()) {
                text.append("  ")
                        .append(table.isInKey(column) ? "key " : "    ")
                        .append(column.name())
                        .append("  ")
                        .append(dialect.definedType(table, schema.resolved(column), schema.resolved(column.type())))
                        .append(column.nullable() ? "" : "  not null")
                        .append(table.foreignKeyOf(column)
                                .map(f -> "  -> " + f.target())
                                .orElse(""))
                        .append('\n');
            }
        }
        return text.toString();
    }

    private static <T> List<Object> list(List<T> things, Function<T, Object> each) {
        return things.stream().map(each).toList();
    }

    private Object table(Table table) {
        var json = new LinkedHashMap<String, @Nullable Object>();
        json.put("name", table.qualified().toString());
        json.put("columns", list(table.columns(), column -> column(table, column)));
        json.put(
                "primaryKey",
                table.primaryKey()
                        .map(key -> Json.ordered("name", key.name(), "columns", key.columns()))
                        .orElse(null));
        json.put("foreignKeys", list(table.foreignKeys(), this::foreignKey));
        json.put("uniques", list(table.uniques(), u -> Json.ordered("name", u.name(), "columns", u.columns())));
        json.put(
                "checks",
                list(
                        table.checks(),
                        c -> Json.ordered(
                                "name", c.name(), "expression", c.expression().written(name -> name))));
        json.put("indexes", list(table.indexes(), TablesCommand::index));
        document.design()
                .notes()
                .volume(mapping.trace().owner(table))
                .ifPresent(volume ->
                        json.put("expected", Json.ordered("first", volume.first(), "eachYear", volume.eachYear())));
        return json;
    }

    private Object column(Table table, Column column) {
        Expression<String> defaultValue = column.defaultValue();
        Optional<Attribute> attribute = document.design()
                .attribute(mapping.trace().origin(table, column))
                .filter(each -> mapping.trace().ref(table, column).equals(each.ref()));
        Map<String, @Nullable Object> json = Json.ordered(
                "name",
                column.name(),
                "type",
                dialect.definedType(table, schema.resolved(column), schema.resolved(column.type())),
                "nullable",
                column.nullable(),
                "default",
                defaultValue.isPresent() ? defaultValue.written(name -> name) : null,
                "identity",
                column.identity().map(TablesCommand::identity).orElse(null));
        attribute
                .filter(each -> !each.marks().isEmpty())
                .ifPresent(each -> json.put(
                        "marks", each.marks().stream().map(Mark::toString).toList()));
        attribute.filter(each -> !each.pattern().isEmpty()).ifPresent(each -> json.put("pattern", each.pattern()));
        return json;
    }

    private Object foreignKey(ForeignKey key) {
        return Json.ordered(
                "name",
                key.name(),
                "columns",
                key.columns(),
                "references",
                Json.ordered("table", key.target().toString(), "columns", key.targetColumns()),
                "onDelete",
                action(key.onDelete()),
                "onUpdate",
                action(key.onUpdate()));
    }

    private static String action(ReferenceAction action) {
        return action.sql().toLowerCase(Locale.ROOT);
    }

    private static Map<String, Object> identity(Identity counted) {
        Map<String, Object> json = Json.ordered("start", counted.start(), "step", counted.step());
        if (counted.alone()) {
            json.put("alone", true);
        }
        return json;
    }

    private static Map<String, Object> index(Table.TableIndex index) {
        List<String> columns = index.columns().stream()
                .map(part -> part.value().written(name -> name) + (part.descending() ? " desc" : ""))
                .toList();
        Map<String, Object> json = Json.ordered("name", index.name(), "columns", columns, "unique", index.unique());
        if (index.only().isPresent()) {
            json.put("only", index.only().written(name -> name));
        }
        return json;
    }
}
