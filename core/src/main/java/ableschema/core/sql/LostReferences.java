package ableschema.core.sql;

import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Part;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.Ability;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Shortfall;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Leaves out foreign keys that cannot be said: in some databases a table without a schema before it is looked for in the schema of the
 * table that refers, and the usual one has no name that a script could know. Of those that tables can be kept without it tells.
 */
final class LostReferences {

    private final Schema schema;
    private final Dialect dialect;
    private final List<Shortfall> told = new ArrayList<>();

    private LostReferences(Schema schema, Dialect dialect) {
        this.schema = schema;
        this.dialect = dialect;
    }

    /** The schema without them, with what is to be told of each. */
    static CascadePaths left(Schema schema, Dialect dialect) {
        boolean all = dialect.can(Ability.REFERENCES_TO_USUAL_SCHEMA) && dialect.can(Ability.REFERENCES_BY_ANY_ENGINE);
        return all
                        || schema.tables().stream()
                                .allMatch(table -> table.namespace().isEmpty()
                                        && table.options().isEmpty())
                ? new CascadePaths(schema, List.of())
                : new LostReferences(schema, dialect).left();
    }

    private CascadePaths left() {
        List<Table> tables = schema.tables().stream().map(this::left).toList();
        boolean same = told.isEmpty(); // nothing is left out without a word
        return new CascadePaths(same ? schema : schema.withTables(tables), told);
    }

    private Table left(Table table) {
        List<ForeignKey> kept = table.foreignKeys().stream()
                .filter(key -> !isUnnamed(table, key))
                .toList();
        kept.forEach(key -> tellOfEngine(table, key));
        return kept.size() == table.foreignKeys().size() ? table : table.withForeignKeys(kept);
    }

    private boolean isUnnamed(Table table, ForeignKey key) {
        boolean named = table.namespace().isEmpty()
                || !key.target().namespace().isEmpty()
                || dialect.can(Ability.REFERENCES_TO_USUAL_SCHEMA)
                || !dialect.style().schema().isEmpty();
        if (!named) {
            tell(
                    Ability.REFERENCES_TO_USUAL_SCHEMA,
                    table,
                    key,
                    "it is left out; give the schema of what has none a name in the house rules, and it stands");
        }
        return !named;
    }

    /** What is kept so was found so, and stays. */
    private void tellOfEngine(Table table, ForeignKey key) {
        Optional<String> own = withoutKeys(table);
        Optional<String> target = schema.table(key.target()).flatMap(this::withoutKeys);
        own.map(name -> "it holds nothing, as " + table.name() + " is kept by " + name)
                .or(() -> target.map(
                        name -> "the database refuses it, as " + key.target().name() + " is kept by " + name))
                .ifPresent(told -> tell(Ability.REFERENCES_BY_ANY_ENGINE, table, key, told));
    }

    /** What keeps a table, where that has no foreign keys. */
    private Optional<String> withoutKeys(Table table) {
        return dialect.can(Ability.REFERENCES_BY_ANY_ENGINE)
                ? Optional.empty()
                : dialect.option(table.options(), "engine").filter(name -> !name.equalsIgnoreCase("InnoDB"));
    }

    private void tell(Ability ability, Table table, ForeignKey key, String instead) {
        told.add(new Shortfall(dialect.label(), ability, table.part(Part.Kind.FOREIGN_KEY, key.name()), instead));
    }
}
