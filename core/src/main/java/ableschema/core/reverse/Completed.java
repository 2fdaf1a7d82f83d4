package ableschema.core.reverse;

import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;

/** A schema that was read, with the names that its nameless constraints get, so that it can be compared with what is derived. */
final class Completed {

    private final Found found;
    private final Schema derived;

    private Completed(Found found, Schema derived) {
        this.found = found;
        this.derived = derived;
    }

    /** @param schema as it was read */
    static Schema by(Schema derived, Found found, Schema schema) {
        var completed = new Completed(found, derived);
        return schema.withTables(schema.tables().stream().map(completed::table).toList());
    }

    private Table table(Table table) {
        Optional<Table> now = derived.table(table.qualified());
        if (now.isEmpty()) {
            return table;
        }
        Table model = now.get();
        return new Table(
                table.qualified(),
                table.comment(),
                table.columns(),
                table.primaryKey()
                        .map(key -> new Table.PrimaryKey(
                                named(
                                        key.name(),
                                        model.primaryKey().stream().toList(),
                                        any -> true,
                                        Table.PrimaryKey::name),
                                key.columns())),
                table.foreignKeys().stream().map(key -> key(key, model)).toList(),
                table.uniques().stream()
                        .map(each -> new Table.UniqueConstraint(
                                named(
                                        each.name(),
                                        model.uniques(),
                                        other -> other.columns().equals(each.columns()),
                                        Table.UniqueConstraint::name),
                                each.columns(),
                                each.options()))
                        .toList(),
                checks(table, model),
                table.indexes().stream()
                        .map(each -> new Table.TableIndex(
                                named(
                                        each.name(),
                                        model.indexes(),
                                        other -> other.columns().equals(each.columns()),
                                        Table.TableIndex::name),
                                each.columns(),
                                each.unique(),
                                each.only(),
                                each.options()))
                        .toList(),
                table.options());
    }

    private static <T> String named(String name, List<T> models, Predicate<T> same, Function<T, String> nameOf) {
        return name.isEmpty()
                ? models.stream().filter(same).map(nameOf).findFirst().orElse("")
                : name;
    }

    /** Two checks that say the same are two; each gets a name of its own. */
    private static List<Table.CheckConstraint> checks(Table table, Table model) {
        var left = new ArrayList<>(model.checks());
        var checks = new ArrayList<Table.CheckConstraint>();
        for (Table.CheckConstraint each : table.checks()) {
            String name = named(
                    each.name(),
                    left,
                    other -> other.expression().equals(each.expression()),
                    Table.CheckConstraint::name);
            left.removeIf(other -> other.name().equals(name));
            checks.add(each.named(name));
        }
        return checks;
    }

    /** With its columns in the order of the key that it refers to. */
    private ForeignKey key(ForeignKey key, Table model) {
        List<String> columns = found.ordered(key);
        List<String> targets = found.targetKey(key).orElse(key.targetColumns());
        String name = named(
                key.name(),
                model.foreignKeys(),
                other -> other.columns().equals(columns) && other.target().equals(key.target()),
                ForeignKey::name);
        return key.named(name).over(columns).to(key.target(), targets);
    }
}
