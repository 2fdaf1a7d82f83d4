package ableschema.core.sql;

import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Part;
import ableschema.core.schema.Part.Kind;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.Ability;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.NameSpace;
import ableschema.core.sql.dialect.Shortfall;
import ableschema.core.sql.dialect.Traits.Folding;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * The names of constraints and indexes as a script has them. What one database lets stand in two tables, or beside a table of that
 * name, may have to be called otherwise in another: there the name of its table goes before it.
 */
final class RuleNames {

    /** A name that is made has room for a number behind it in all databases. */
    private static final int LONGEST = 60;

    private final Dialect dialect;
    private final Set<List<String>> taken = new HashSet<>();
    private final Map<Part, String> otherwise = new LinkedHashMap<>();

    RuleNames(Dialect dialect, Schema schema) {
        this.dialect = dialect;
        var wanted = new HashMap<List<String>, Integer>();
        for (Table table : schema.tables()) {
            taken.add(key(NameSpace.RELATIONS, table, table.name()));
            parts(table)
                    .forEach(part -> keys(table, part, part.name()).forEach(key -> wanted.merge(key, 1, Integer::sum)));
        }
        for (Table table : schema.tables()) {
            parts(table).filter(part -> !take(table, part, part.name())).forEach(part -> call(table, part, wanted));
        }
    }

    /** Whether something of a table is called as a table or as something else, in whatever letter case. */
    static boolean mayStandAgain(Table table, Schema schema) {
        var own = new TreeSet<>(String.CASE_INSENSITIVE_ORDER);
        boolean twice = !parts(table).map(Part::name).allMatch(own::add);
        parts(table).map(Part::name).forEach(own::add);
        return twice
                || schema.tables().stream()
                        .anyMatch(other -> own.contains(other.name())
                                || !other.qualified().equals(table.qualified())
                                        && parts(other).map(Part::name).anyMatch(own::contains));
    }

    /** What a part is called in the script. */
    String of(Part part) {
        return otherwise.getOrDefault(part, part.name());
    }

    /** What is called otherwise in this dialect. */
    List<Shortfall> shortfalls() {
        return otherwise.entrySet().stream().map(this::shortfall).toList();
    }

    /** What is called otherwise of one table. */
    List<Shortfall> shortfalls(Table table) {
        return otherwise.isEmpty()
                ? List.of()
                : parts(table)
                        .filter(otherwise::containsKey)
                        .map(part -> shortfall(Map.entry(part, of(part))))
                        .toList();
    }

    private Shortfall shortfall(Map.Entry<Part, String> named) {
        return new Shortfall(
                dialect.label(),
                Ability.NAMES_AGAIN,
                named.getKey(),
                "it is called " + dialect.quoted(named.getValue()));
    }

    private void call(Table table, Part part, Map<List<String>, Integer> wanted) {
        String longer = table.name() + "_" + part.name();
        String name = longer.substring(0, Math.min(longer.length(), LONGEST));
        String free = name;
        for (int number = 2; isWanted(table, part, free, wanted) || !take(table, part, free); number++) {
            free = name + "_" + number;
        }
        otherwise.put(part, free);
    }

    private boolean isWanted(Table table, Part part, String name, Map<List<String>, Integer> wanted) {
        return keys(table, part, name).anyMatch(wanted::containsKey);
    }

    /** Whether the name was free, and is not any more. */
    private boolean take(Table table, Part part, String name) {
        List<List<String>> keys = keys(table, part, name).toList();
        boolean free = keys.stream().noneMatch(taken::contains);
        if (free) {
            taken.addAll(keys);
        }
        return free;
    }

    private Stream<List<String>> keys(Table table, Part part, String name) {
        return dialect.traits().nameSpaces().getOrDefault(part.kind(), Set.of()).stream()
                .map(space -> key(space, table, name));
    }

    private List<String> key(NameSpace space, Table table, String name) {
        String namespace = dialect.can(Ability.NAMESPACES) ? table.namespace() : "";
        String same = dialect.traits().folding() == Folding.AS_WRITTEN ? name.toLowerCase(Locale.ROOT) : name;
        return List.of(
                space.name(), space == NameSpace.TABLE ? table.qualified().toString() : namespace, same);
    }

    /** Those that have a name, in their order. */
    private static Stream<Part> parts(Table table) {
        var parts = new ArrayList<Part>();
        table.primaryKey().ifPresent(key -> parts.add(table.part(Kind.PRIMARY_KEY, key.name())));
        table.uniques().forEach(each -> parts.add(table.part(Kind.UNIQUE, each.name())));
        table.foreignKeys().stream()
                .map(ForeignKey::name)
                .forEach(name -> parts.add(table.part(Kind.FOREIGN_KEY, name)));
        table.checks().forEach(each -> parts.add(table.part(Kind.CHECK, each.name())));
        table.indexes().forEach(each -> parts.add(table.part(Kind.INDEX, each.name())));
        return parts.stream().filter(part -> !part.name().isEmpty());
    }
}
