package ableschema.core.reverse;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Cardinality;
import ableschema.core.design.Check;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.Domain;
import ableschema.core.design.End;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.EntityKind;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.Index;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Pins;
import ableschema.core.design.Pins.Role;
import ableschema.core.design.Reference;
import ableschema.core.design.ReferenceColumn;
import ableschema.core.design.Relationship;
import ableschema.core.design.SubtypeLayout;
import ableschema.core.design.Unique;
import ableschema.core.schema.Column;
import ableschema.core.schema.DomainType;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import ableschema.core.sql.dialect.DialectOption;
import ableschema.core.types.DataType;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Puts a design together from what was found; how much of it is pinned is asked of a {@link Pinning}. */
final class Assembly {

    private final Found found;
    private final ColumnRefs refs;
    private final Pinning pinning;
    private final String dialect;
    private final Map<TableName, String> names = new HashMap<>();

    /** @param dialect where the schema was read from */
    Assembly(Found found, Pinning pinning, String dialect) {
        this.dialect = dialect;
        this.found = found;
        this.refs = new ColumnRefs(found);
        this.pinning = pinning;
        nameAll();
    }

    /** Two tables of one name get their schemas before it. */
    private void nameAll() {
        Set<String> taken = new HashSet<>();
        var prefix = new Prefix(found.schema());
        for (Table table : found.schema().tables()) {
            String phrase = Phrases.singular(Phrases.of(prefix.without(table.name())));
            String name = phrase;
            if (taken.contains(key(name))) {
                name = Phrases.of(table.namespace().isEmpty() ? table.name() : table.namespace() + "_" + table.name());
            }
            for (int number = 2; !taken.add(key(name)); number++) {
                name = phrase + " " + number;
            }
            names.put(table.qualified(), Phrases.titled(name));
        }
    }

    private static String key(String name) {
        return name.toLowerCase(Locale.ROOT);
    }

    private String name(Table table) {
        return names.getOrDefault(table.qualified(), table.name());
    }

    Design design() {
        Schema schema = found.schema();
        var entities = new ArrayList<Entity>();
        var relationships = new ArrayList<Relationship>();
        for (Table table : schema.tables()) {
            if (found.isManyToMany(table)) {
                relationships.add(manyToMany(table));
            } else {
                entities.add(entity(table));
                found.references(table).forEach(key -> relationships.add(relationship(table, key)));
            }
        }
        return Design.EMPTY
                .withDomains(schema.domains().stream().map(this::domain).toList())
                .withAll(entities, relationships);
    }

    private Domain domain(DomainType type) {
        String phrase = Phrases.of(type.name().name());
        return new Domain(
                domainId(type.name().toString()),
                phrase,
                type.base(),
                type.check().map(any -> Domain.Value.VALUE),
                type.defaultValue().map(any -> Domain.Value.VALUE),
                type.comment(),
                new Pins(Map.of(Role.ITSELF, type.name().name()), type.name().namespace(), 0, type.options()));
    }

    private static Id domainId(String name) {
        return Id.derived(IdKind.DOMAIN, name);
    }

    private Entity entity(Table table) {
        Pins pins = new Pins(Map.of(), table.namespace(), 0, table.options());
        return new Entity(
                Found.entity(table),
                name(table),
                EntityKind.UNSAID,
                table.comment(),
                false,
                body(table, key(table)),
                pinning.table(table, pins));
    }

    /** The parts of a key: a whole reference where all its columns stand side by side. */
    private List<KeyPart> key(Table table) {
        List<String> columns = table.primaryKey().map(Table.PrimaryKey::columns).orElse(List.of());
        var parts = new ArrayList<KeyPart>();
        int at = 0;
        while (at < columns.size()) {
            Optional<ForeignKey> whole = wholeAt(table, columns, at);
            if (whole.isPresent()) {
                parts.add(new KeyPart.WholeReference(refs.end(table, whole.get())));
                at += whole.get().columns().size();
            } else {
                parts.add(refs.of(table, columns.get(at++)));
            }
        }
        return parts;
    }

    private Optional<ForeignKey> wholeAt(Table table, List<String> columns, int at) {
        return found.references(table).stream()
                .filter(key -> {
                    List<String> own = found.ordered(key);
                    int end = at + own.size();
                    return end <= columns.size()
                            && columns.subList(at, end).equals(own)
                            && own.stream().allMatch(name -> refs.of(table, name)
                                    .through()
                                    .filter(refs.end(table, key)::equals)
                                    .isPresent());
                })
                .findFirst();
    }

    private Body body(Table table, List<KeyPart> key) {
        List<Attribute> attributes = table.columns().stream()
                .filter(column -> refs.of(table, column.name()) instanceof ColumnRef.Own)
                .map(column -> attribute(table, column))
                .toList();
        return Body.EMPTY
                .withAttributes(attributes)
                .withKey(key)
                .withUniques(uniques(table))
                .withChecks(checks(table))
                .withIndexes(indexes(table));
    }

    private Attribute attribute(Table table, Column column) {
        DataType type = column.identity()
                .<DataType>map(numbers -> new DataType.Counted(
                        numbers.start(),
                        numbers.step(),
                        column.type() instanceof DataType.Whole whole && whole.largest() > Integer.MAX_VALUE
                                ? whole.largest()
                                : 0))
                .orElse(
                        column.type() instanceof DataType.InDomain named
                                ? new DataType.InDomain(domainId(named.domain()).toString())
                                : column.type());
        return new Attribute(
                Found.attribute(table, column),
                attributeName(table, column),
                type,
                column.nullable(),
                column.filling().map(name -> refs.of(table, name)),
                column.comment(),
                Set.of(),
                "",
                pinning.column(table, column.name(), refs.of(table, column.name()), optioned(column)));
    }

    private static Pins optioned(Column column) {
        return new Pins(Map.of(), "", 0, column.options());
    }

    /** Names that differ only by what separates their words stay two. */
    private static String attributeName(Table table, Column column) {
        String phrase = Phrases.of(column.name());
        boolean twice = table.columns().stream()
                .anyMatch(other -> !other.name().equals(column.name())
                        && Phrases.of(other.name()).equals(phrase));
        return twice ? column.name() : phrase;
    }

    private List<Unique> uniques(Table table) {
        var uniques = new ArrayList<Unique>();
        for (int i = 0; i < table.uniques().size(); i++) { // two that are the same are two
            Table.UniqueConstraint each = table.uniques().get(i);
            if (oneToOne(table, each).isEmpty() || found.isReferredTo(table, each)) {
                Id id = unique(table, each, i);
                String name = each.name().isEmpty() && isTheKey(table, each)
                        ? table.name() + "_" + String.join("_", each.columns())
                                + "_unique" // by which it stays beside the key
                        : each.name();
                Pins pins = pinning.rule(table, id, name);
                uniques.add(
                        new Unique(id, parts(table, each.columns()), new Pins(pins.names(), "", 0, each.options())));
            }
        }
        return uniques;
    }

    /** Whether a constraint says once more what the key says. */
    private static boolean isTheKey(Table table, Table.UniqueConstraint unique) {
        return table.primaryKey()
                .filter(key -> key.columns().equals(unique.columns()))
                .isPresent();
    }

    private static Id unique(Table table, Table.UniqueConstraint unique, int place) {
        return Found.rule(IdKind.UNIQUE, table, unique.name() + unique.columns(), place);
    }

    private List<KeyPart> parts(Table table, List<String> columns) {
        return columns.stream().<KeyPart>map(name -> refs.of(table, name)).toList();
    }

    /** The reference that is one to one by this constraint. */
    private Optional<ForeignKey> oneToOne(Table table, Table.UniqueConstraint unique) {
        return found.isManyToMany(table)
                ? Optional.empty()
                : found.references(table).stream()
                        .filter(key -> found.ordered(key).equals(unique.columns()) && !isKey(table, key))
                        .findFirst();
    }

    private boolean isKey(Table table, ForeignKey key) {
        return table.primaryKey()
                .filter(primary -> primary.columns().equals(found.ordered(key)))
                .isPresent();
    }

    private List<Check> checks(Table table) {
        var checks = new ArrayList<Check>();
        for (Table.CheckConstraint each : table.checks()) {
            Id id = Found.rule(IdKind.CHECK, table, each.name(), checks.size());
            Pins pins = pinning.rule(table, id, each.name()).withOptions(each.options());
            checks.add(new Check(id, each.expression().map(name -> refs.of(table, name)), pins));
        }
        return checks;
    }

    private List<Index> indexes(Table table) {
        var indexes = new ArrayList<Index>();
        for (Table.TableIndex each : table.indexes()) {
            Id id = Found.rule(IdKind.INDEX, table, each.name(), indexes.size());
            List<Index.Part> parts = each.columns().stream()
                    .map(part -> new Index.Part(
                            part.value().<ColumnRef>map(name -> refs.of(table, name)), part.descending()))
                    .toList();
            Pins pins = pinning.rule(table, id, each.name());
            indexes.add(new Index(
                    id,
                    parts,
                    each.unique(),
                    Index.Purpose.SEARCHED,
                    each.only().map(name -> refs.of(table, name)),
                    new Pins(pins.names(), "", 0, each.options())));
        }
        return indexes;
    }

    private Relationship relationship(Table table, ForeignKey key) {
        Table target = found.table(key.target());
        boolean shared = isKey(table, key);
        Optional<Table.UniqueConstraint> unique = table.uniques().stream()
                .filter(each -> oneToOne(table, each).filter(key::equals).isPresent())
                .findFirst();
        boolean identifying = table.primaryKey()
                .filter(primary -> primary.columns().containsAll(key.columns()))
                .isPresent();
        Roles roles = Roles.of(
                table,
                key,
                found.ordered(key),
                found.targetKey(key).orElse(List.of()),
                name(target).toLowerCase(Locale.ROOT),
                identifying);
        Reference reference = // what something refers to stands in the table under its name
                reference(table, key, unique.filter(each -> !found.isReferredTo(table, each)));
        boolean optional = key.columns().stream()
                .anyMatch(name -> table.column(name).filter(Column::nullable).isPresent());
        var one = new End(
                Found.entity(target),
                roles.inverse(),
                optional ? Cardinality.AT_MOST_ONE : Cardinality.EXACTLY_ONE,
                roles.role(),
                reference);
        var many = new End(
                Found.entity(table),
                roles.verb(),
                shared || unique.isPresent() ? Cardinality.AT_MOST_ONE : Cardinality.ANY_NUMBER,
                "");
        return Relationship.between(Found.relationship(table, key), one, many);
    }

    private Reference reference(Table table, ForeignKey key, Optional<Table.UniqueConstraint> unique) {
        EndRef end = refs.end(table, key);
        Pins pins = pinning.reference(
                table, end, key, unique.map(Table.UniqueConstraint::name).orElse(""));
        long mayBeEmpty = key.columns().stream()
                .filter(name -> table.column(name).filter(Column::nullable).isPresent())
                .count();
        if (mayBeEmpty > 1 && !key.wholeOrEmpty()) {
            pins = pins.withOption(dialect + ".match", "simple");
        }
        pins = pins.withOptions(unique.map(Table.UniqueConstraint::options).orElse(Map.of()))
                .withOptions(key.options());
        if (key.deferred()) {
            pins = pins.withOption(dialect + "." + DialectOption.DEFERRED, "yes");
        }
        return new Reference(key.onDelete(), key.onUpdate(), targetKey(key), referenceColumns(table, key, end), pins);
    }

    private Optional<Id> targetKey(ForeignKey key) {
        if (found.leadsToPrimaryKey(key)) {
            return Optional.empty();
        }
        Table target = found.table(key.target());
        List<String> columns = found.targetKey(key).orElse(List.of());
        return target.uniques().stream()
                .filter(each -> each.columns().equals(columns))
                .map(each -> unique(target, each, target.uniques().indexOf(each)))
                .findFirst();
    }

    /** What is to be said of single columns; nothing of those that are as they would be anyway. */
    private List<ReferenceColumn> referenceColumns(Table table, ForeignKey key, EndRef end) {
        Table target = found.table(key.target());
        List<String> columns = found.ordered(key);
        List<String> targets = found.targetKey(key).orElse(List.of());
        var said = new ArrayList<ReferenceColumn>();
        for (int i = 0; i < columns.size(); i++) {
            String name = columns.get(i);
            ReferenceColumn plain = ReferenceColumn.to(refs.of(target, targets.get(i)));
            ColumnRef mine = refs.column(table, key, targets.get(i));
            ColumnRef column = refs.of(table, name);
            ReferenceColumn told = column.equals(mine)
                    ? told(
                            plain,
                            table,
                            table.column(name).orElseThrow(),
                            mine) // a foreign key has columns of its table
                    : plain.withSameAs(column);
            if (!told.equals(plain)) {
                said.add(told);
            }
        }
        return said;
    }

    private ReferenceColumn told(ReferenceColumn plain, Table table, Column column, ColumnRef ref) {
        return plain.withPins(pinning.column(table, column.name(), ref, optioned(column)))
                .withComment(column.comment())
                .withDefault(column.defaultValue().map(name -> refs.of(table, name)));
    }

    private Relationship manyToMany(Table table) {
        List<String> primary = table.primaryKey().map(Table.PrimaryKey::columns).orElse(List.of());
        List<ForeignKey> pair = found.inOrder(found.references(table), primary);
        int paired = pair.get(0).columns().size() + pair.get(1).columns().size();
        List<KeyPart> widening = parts(table, primary.subList(paired, primary.size()));
        End first = end(table, pair.get(0));
        End second = end(table, pair.get(1));
        var options = new HashMap<>(table.options());
        if (!table.comment().isEmpty()) {
            options.put(Pins.COMMENT, table.comment());
        }
        Pins pins = new Pins(Map.of(), table.namespace(), 0, options);
        return new Relationship(
                found.owner(table),
                first.withVerb("goes with"),
                second.withVerb("goes with"),
                name(table),
                SubtypeLayout.NONE,
                body(table, widening),
                pinning.table(table, pins));
    }

    private End end(Table table, ForeignKey key) {
        Table target = found.table(key.target());
        return new End(Found.entity(target), "", Cardinality.ANY_NUMBER, "", reference(table, key, Optional.empty()));
    }
}
