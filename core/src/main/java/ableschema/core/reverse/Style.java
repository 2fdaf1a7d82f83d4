package ableschema.core.reverse;

import ableschema.core.mapping.NamePatterns;
import ableschema.core.mapping.NameStyle;
import ableschema.core.mapping.NamingRules;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.ToLongFunction;
import java.util.stream.Stream;

/** Finds the naming rules that give most of the names in a schema, so that few need to be pinned. */
final class Style {

    private static final List<String> KEYS = List.of("{table} key", "{table} pkey", "{table} pk", "pk {table}");
    private static final List<String> REFERENCES = List.of(
            "{table} {verb} {target}",
            "{table} {columns} fkey",
            "fk {table} {columns}",
            "fk {table} {target}",
            "{table} {columns} fk");
    private static final List<String> UNIQUES = List.of(
            "{table} {columns} unique",
            "{table} {columns} key",
            "uq {table} {columns}",
            "uk {table} {columns}",
            "{table} {columns} uk");
    private static final List<String> CHECKS =
            List.of("{table} {columns} check", "ck {table} {columns}", "chk {table} {columns}");
    private static final List<String> INDEXES = List.of(
            "{table} {columns} index",
            "{table} {columns} idx",
            "idx {table} {columns}",
            "ix {table} {columns}",
            "{table} {columns} ix");

    private final Schema schema;

    private Style(Schema schema) {
        this.schema = schema;
    }

    static NamingRules of(Schema schema) {
        var style = new Style(schema);
        return new NamingRules(style.joining(), style.isPlural(), false)
                .with(style.patterns())
                .withPrefix(new Prefix(schema).before())
                .withNamesRepeat(style.namesRepeat());
    }

    private NameStyle joining() {
        long camel = columns(name -> isJoined(name) && Character.isLowerCase(name.charAt(0)));
        long pascal = columns(name -> isJoined(name) && Character.isUpperCase(name.charAt(0)));
        long snake = columns(name -> name.equals(name.toLowerCase(Locale.ROOT)) && name.indexOf('_') > 0);
        if (pascal > Math.max(camel, snake)) {
            return NameStyle.PASCAL;
        }
        return camel > snake ? NameStyle.CAMEL : NameStyle.SNAKE;
    }

    private long columns(Predicate<String> named) {
        return schema.tables().stream()
                .flatMap(table -> table.columns().stream())
                .filter(column -> named.test(column.name()))
                .count();
    }

    /** Whether a name has small letters and capitals, and no underscore. */
    private static boolean isJoined(String name) {
        return name.indexOf('_') < 0
                && !name.equals(name.toLowerCase(Locale.ROOT))
                && !name.equals(name.toUpperCase(Locale.ROOT));
    }

    /** Whether a name of a constraint or index stands in two tables of one schema, or is that of a table there. */
    private boolean namesRepeat() {
        Set<String> seen = new HashSet<>();
        schema.tables()
                .forEach(
                        table -> seen.add(table.namespace() + "." + table.name().toLowerCase(Locale.ROOT)));
        return schema.tables().stream().anyMatch(table -> Stream.of(
                        table.primaryKey().stream().map(Table.PrimaryKey::name),
                        table.foreignKeys().stream().map(ForeignKey::name),
                        table.uniques().stream().map(Table.UniqueConstraint::name),
                        table.checks().stream().map(Table.CheckConstraint::name),
                        table.indexes().stream().map(Table.TableIndex::name))
                .flatMap(names -> names)
                .filter(name -> !name.isEmpty())
                .anyMatch(name -> !seen.add(table.namespace() + "." + name.toLowerCase(Locale.ROOT))));
    }

    private boolean isPlural() {
        long plural = schema.tables().stream()
                .map(table -> Phrases.of(table.name()))
                .filter(phrase -> !Phrases.singular(phrase).equals(phrase))
                .count();
        return 2 * plural > schema.tables().size();
    }

    private NamePatterns patterns() {
        NamePatterns usual = NamePatterns.USUAL;
        return new NamePatterns(
                best(
                        KEYS,
                        pattern -> count(pattern, table -> table.primaryKey().stream()
                                .map(key -> Map.entry(key.name(), Map.of()))
                                .toList())),
                best(
                        REFERENCES,
                        pattern -> count(pattern, table -> table.foreignKeys().stream()
                                .map(key -> Map.entry(
                                        key.name(),
                                        Map.of(
                                                "columns",
                                                String.join(" ", key.columns()),
                                                "target",
                                                key.target().name(),
                                                "verb",
                                                "\u0000")))
                                .toList())),
                best(
                        UNIQUES,
                        pattern -> count(pattern, table -> table.uniques().stream()
                                .map(each ->
                                        Map.entry(each.name(), Map.of("columns", String.join(" ", each.columns()))))
                                .toList())),
                best(
                        CHECKS,
                        pattern -> count(pattern, table -> table.checks().stream()
                                .map(each -> Map.entry(
                                        each.name(),
                                        Map.of(
                                                "columns",
                                                String.join(
                                                        " ",
                                                        each.expression()
                                                                .columns()
                                                                .distinct()
                                                                .toList()))))
                                .toList())),
                best(
                        INDEXES,
                        pattern -> count(pattern, table -> table.indexes().stream()
                                .map(each ->
                                        Map.entry(each.name(), Map.of("columns", String.join(" ", each.columnNames()))))
                                .toList())));
    }

    /** The names of a table that a pattern is to give, with what stands in its places. */
    private interface Wanted {
        List<? extends Map.Entry<String, ? extends Map<?, ?>>> of(Table table);
    }

    private long count(String pattern, Wanted wanted) {
        long count = 0;
        NameStyle style = NameStyle.SNAKE;
        for (Table table : schema.tables()) {
            for (Map.Entry<String, ? extends Map<?, ?>> each : wanted.of(table)) {
                Map<String, String> places = new HashMap<>();
                each.getValue().forEach((place, value) -> places.put(String.valueOf(place), String.valueOf(value)));
                places.put("table", table.name());
                count += style.of(NamePatterns.filled(pattern, places)).equals(each.getKey()) ? 1 : 0;
            }
        }
        return count;
    }

    private static String best(List<String> patterns, ToLongFunction<String> count) {
        String best = patterns.get(0);
        long most = 0;
        for (String pattern : patterns) {
            long found = count.applyAsLong(pattern);
            if (found > most) {
                most = found;
                best = pattern;
            }
        }
        return best;
    }
}
