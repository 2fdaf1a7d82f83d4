package ableschema.engine.trial;

import ableschema.core.carried.Carried;
import ableschema.core.carried.Carried.Kind;
import ableschema.core.ddl.CarriedText;
import ableschema.core.schema.DomainType;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import ableschema.core.sql.dialect.Dialect;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What a database has that goes, or is made anew, with the tables that a script replaces. */
record Leaning(Dialect dialect, Schema written, Schema there) {

    /** Each by what it is and its name: what refers to the tables or speaks of them, and what the script makes under the same name. */
    List<String> labels() {
        Set<String> replaced =
                written.tables().stream().map(table -> key(table.qualified())).collect(Collectors.toSet());
        Set<String> names = there.tables().stream()
                .filter(table -> replaced.contains(key(table.qualified())))
                .map(table -> CarriedText.key(table.name(), dialect))
                .collect(Collectors.toSet());
        var labels = new ArrayList<String>();
        for (Table table : there.tables()) {
            if (!replaced.contains(key(table.qualified()))) {
                references(table, replaced).forEach(labels::add);
            }
        }
        Set<String> anew = written.carried().stream().map(Carried::label).collect(Collectors.toSet());
        there.carried().stream()
                .filter(each -> each.kind() != Kind.RIGHT && each.kind() != Kind.DESCRIPTION)
                .filter(each -> anew.contains(each.label()) || speaksOf(each, names))
                .map(Carried::label)
                .distinct()
                .forEach(labels::add);
        Set<String> types =
                written.domains().stream().map(type -> key(type.name())).collect(Collectors.toSet());
        there.domains().stream()
                .map(DomainType::name)
                .filter(name -> types.contains(key(name)))
                .forEach(name -> labels.add("named type " + name));
        return labels;
    }

    private static Stream<String> references(Table table, Set<String> replaced) {
        return table.foreignKeys().stream()
                .filter(key -> replaced.contains(key(key.target())))
                .map(key -> reference(table, key));
    }

    private static String reference(Table table, ForeignKey key) {
        return "foreign key " + (key.name().isEmpty() ? "" : key.name() + " ") + "of " + table.qualified();
    }

    private boolean speaksOf(Carried each, Set<String> names) {
        return CarriedText.names(each.sql(), dialect).stream().anyMatch(names::contains);
    }

    private static String key(TableName name) {
        return name.toString().toLowerCase(Locale.ROOT);
    }
}
