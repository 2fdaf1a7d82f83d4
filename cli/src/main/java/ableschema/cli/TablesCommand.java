package ableschema.cli;

import ableschema.core.design.Expression;
import ableschema.core.document.Document;
import ableschema.core.schema.Column;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.sql.Dialect;
import ableschema.core.sql.Dialects;
import ableschema.core.store.DocumentFile;
import ableschema.core.store.FileProblem;
import ableschema.core.types.ReferenceAction;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
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
            description = "postgresql, sqlite or h2; without it, types of ISO/IEC 9075")
    private Dialect dialect = Dialects.STANDARD;

    @Mixin
    private Output output = new Output();

    @Override
    public Integer call() throws FileProblem {
        Document document = DocumentFile.read(file);
        Schema schema = document.schema();
        output.write(json ? Json.pretty(Map.of("tables", list(schema.tables(), this::table))) + "\n" : text(schema));
        return Exit.DONE;
    }

    private String text(Schema schema) {
        var text = new StringBuilder();
        for (Table table : schema.tables()) {
            text.append(table.name()).append('\n');
            for (Column column : table.columns()) {
                text.append("  ")
                        .append(table.isInKey(column) ? "key " : "    ")
                        .append(column.name())
                        .append("  ")
                        .append(dialect.type(column.type()))
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
        json.put("name", table.name());
        json.put("columns", list(table.columns(), column -> column(table, column)));
        json.put(
                "primaryKey",
                table.primaryKey()
                        .map(key -> ordered("name", key.name(), "columns", key.columns()))
                        .orElse(null));
        json.put("foreignKeys", list(table.foreignKeys(), this::foreignKey));
        json.put("uniques", list(table.uniques(), u -> ordered("name", u.name(), "columns", u.columns())));
        json.put(
                "checks",
                list(
                        table.checks(),
                        c -> ordered(
                                "name", c.name(), "expression", c.expression().written(table::nameOf))));
        json.put(
                "indexes",
                list(
                        table.indexes(),
                        i -> ordered(
                                "name",
                                i.name(),
                                "columns",
                                i.columns().stream()
                                        .map(Table.IndexedColumn::name)
                                        .toList(),
                                "unique",
                                i.unique())));
        return json;
    }

    private Object column(Table table, Column column) {
        Expression defaultValue = column.defaultValue();
        return ordered(
                "name",
                column.name(),
                "type",
                dialect.type(column.type()),
                "nullable",
                column.nullable(),
                "default",
                defaultValue.isPresent() ? defaultValue.written(table::nameOf) : null,
                "identity",
                column.identity()
                        .map(counted -> ordered("start", counted.start(), "step", counted.step()))
                        .orElse(null));
    }

    private Object foreignKey(ForeignKey key) {
        return ordered(
                "name",
                key.name(),
                "columns",
                key.columns(),
                "references",
                ordered("table", key.target(), "columns", key.targetColumns()),
                "onDelete",
                action(key.onDelete()),
                "onUpdate",
                action(key.onUpdate()));
    }

    private static String action(ReferenceAction action) {
        return action.sql().toLowerCase(Locale.ROOT);
    }

    private static Map<String, @Nullable Object> ordered(@Nullable Object... namesAndValues) {
        var map = new LinkedHashMap<String, @Nullable Object>();
        for (int i = 0; i < namesAndValues.length; i += 2) {
            map.put(String.valueOf(namesAndValues[i]), namesAndValues[i + 1]);
        }
        return map;
    }
}
