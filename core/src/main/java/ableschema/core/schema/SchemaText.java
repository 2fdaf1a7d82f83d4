package ableschema.core.schema;

import static java.util.stream.Collectors.joining;

import ableschema.core.expression.Expression;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;

/** What a schema says, place by place, for comparison. */
final class SchemaText {

    private final Map<String, List<String>> places = new TreeMap<>();

    SchemaText(Schema schema) {
        schema.domains().forEach(this::say);
        schema.tables().forEach(this::say);
        schema.carried().forEach(each -> say(each.dialect() + " " + each.label(), each.sql()));
    }

    Map<String, List<String>> places() {
        return places;
    }

    private void say(String place, String text) {
        places.computeIfAbsent(place, p -> new ArrayList<>()).add(text);
    }

    private void say(DomainType domain) {
        say(
                "domain " + domain.name(),
                domain.base()
                        + said(" check ", text(domain.check()))
                        + said(" default ", text(domain.defaultValue()))
                        + said(" comment ", domain.comment())
                        + options(domain.options()));
    }

    private void say(Table table) {
        String name = table.qualified().toString();
        say("table " + name, "there" + said(" comment ", table.comment()) + options(table.options()));
        int place = 0;
        for (Column column : table.columns()) {
            say(name + "." + column.name(), "column " + ++place + " " + text(column));
        }
        table.primaryKey().ifPresent(key -> say(name + " primary key", key.name() + " " + key.columns()));
        table.foreignKeys().forEach(key -> say(name + " foreign key " + key.name(), text(key)));
        table.uniques()
                .forEach(
                        unique -> say(name + " unique " + unique.name(), unique.columns() + options(unique.options())));
        table.checks()
                .forEach(check ->
                        say(name + " check " + check.name(), text(check.expression()) + options(check.options())));
        table.indexes().forEach(index -> say(name + " index " + index.name(), text(index)));
    }

    private static String text(Column column) {
        return column.type()
                + (column.nullable() ? "" : " not null")
                + column.identity()
                        .map(identity -> " numbered from " + identity.start() + " by " + identity.step()
                                + (identity.alone() ? " alone" : ""))
                        .orElse("")
                + (column.filling().isPresent()
                        ? " " + column.filling().kind().name().toLowerCase(Locale.ROOT) + " "
                                + text(column.filling().expression())
                        : "")
                + said(" comment ", column.comment())
                + options(column.options());
    }

    private static String text(ForeignKey key) {
        return key.columns() + " to " + key.target() + " " + key.targetColumns() + " on delete "
                + key.onDelete().sql() + " on update " + key.onUpdate().sql()
                + (key.wholeOrEmpty() ? " whole or empty" : "")
                + (key.deferred() ? " deferred" : "")
                + options(key.options());
    }

    private static String text(Table.TableIndex index) {
        return (index.unique() ? "unique " : "")
                + index.columns().stream()
                        .map(part -> part.value().asColumn().orElseGet(() -> text(part.value()))
                                + (part.descending() ? " descending" : ""))
                        .collect(joining(", "))
                + (index.only().isPresent() ? " where " + text(index.only()) : "")
                + options(index.options());
    }

    /** The expression, with the dialect where it is not the standard's. */
    private static String text(Expression<?> expression) {
        return expression.isPresent() && !expression.isStandard()
                ? expression + " in " + expression.dialect()
                : expression.toString();
    }

    private static String said(String label, String text) {
        return text.isEmpty() ? "" : label + text;
    }

    private static String options(Map<String, String> options) {
        return options.isEmpty() ? "" : " options " + new TreeMap<>(options);
    }
}
