package ableschema.engine.trial;

import ableschema.core.difference.Difference;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Identity;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.types.ReferenceAction;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;

/**
 * Compares what was written with what a database has: what was given no name has one that the database chose, and where the numbers of a
 * column began is not known any more once there are rows.
 */
final class Unnamed {

    private Unnamed() {}

    static List<Difference> differences(Schema written, Schema had) {
        return plain(written, written).differences(plain(had, written));
    }

    /** The same schema without the names that were not given in the model. */
    private static Schema plain(Schema schema, Schema model) {
        return new Schema(
                schema.domains(),
                schema.tables().stream()
                        .map(table -> plain(table, names(model, table)))
                        .toList());
    }

    private static Set<String> names(Schema model, Table table) {
        var names = new HashSet<String>();
        model.table(table.qualified()).ifPresent(found -> {
            found.primaryKey().ifPresent(key -> names.add(key.name()));
            found.foreignKeys().forEach(each -> names.add(each.name()));
            found.uniques().forEach(each -> names.add(each.name()));
            found.checks().forEach(each -> names.add(each.name()));
        });
        return names;
    }

    private static Table plain(Table table, Set<String> given) {
        Function<String, String> known = name -> given.contains(name) ? name : "";
        return new Table(
                table.qualified(),
                table.comment(),
                table.columns().stream()
                        .map(each -> each.identity().isPresent()
                                ? each.withIdentity(new Identity(
                                        1,
                                        each.identity().get().step(),
                                        each.identity().get().alone()))
                                : each)
                        .toList(),
                table.primaryKey().map(key -> new Table.PrimaryKey(known.apply(key.name()), key.columns())),
                table.foreignKeys().stream()
                        .map(key -> new ForeignKey(
                                known.apply(key.name()),
                                key.columns(),
                                key.target(),
                                key.targetColumns(),
                                same(key.onDelete()),
                                same(key.onUpdate()),
                                key.wholeOrEmpty())) // which of a circle waits depends on the order of the tables
                        .toList(),
                table.uniques().stream()
                        .map(each ->
                                new Table.UniqueConstraint(known.apply(each.name()), each.columns(), each.options()))
                        .toList(),
                table.checks().stream()
                        .map(each -> each.named(known.apply(each.name())))
                        .toList(),
                table.indexes(),
                table.options());
    }

    /** Some catalogues do not tell the two apart, as they mean the same there. */
    private static ReferenceAction same(ReferenceAction action) {
        return action == ReferenceAction.RESTRICT ? ReferenceAction.NO_ACTION : action;
    }
}
