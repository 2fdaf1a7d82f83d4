package ableschema.core.mapping;

import ableschema.core.design.Body;
import ableschema.core.design.Check;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.EndRef;
import ableschema.core.design.Id;
import ableschema.core.design.Index;
import ableschema.core.design.Pins;
import ableschema.core.design.Pins.Role;
import ableschema.core.design.Reference;
import ableschema.core.design.Relationship;
import ableschema.core.expression.Expression;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Table.CheckConstraint;
import ableschema.core.schema.Table.IndexedColumn;
import ableschema.core.schema.Table.PrimaryKey;
import ableschema.core.schema.Table.TableIndex;
import ableschema.core.schema.Table.UniqueConstraint;
import ableschema.core.schema.TableName;
import ableschema.core.types.DataType;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;

/** The constraints and indexes of one table, named so that an engine's message can be understood. */
final class TableConstraints {

    /** The options of what is unique; others among the pins of a reference are its own. */
    private static final Set<String> OF_UNIQUE = Set.of("empties", "include", "later", "conflict");

    private static final Set<String> OF_REFERENCE = Set.of("deferrable", "held");

    private final String table;
    private final Id owner;
    private final TableColumns columns;
    private final Design design;
    private final Body body;
    private final Keys keys;
    private final NamingRules rules;
    private final Names names;
    private final List<List<String>> served = new ArrayList<>();
    private final Map<String, EndRef> references = new HashMap<>();
    private final Map<String, Id> origins = new HashMap<>();
    private final List<Gap> gaps = new ArrayList<>();

    TableConstraints(
            String table, Id owner, TableColumns columns, Design design, Keys keys, NamingRules rules, Names names) {
        this.table = table;
        this.owner = owner;
        this.columns = columns;
        this.design = design;
        this.body = design.body(owner).orElse(Body.EMPTY);
        this.keys = keys;
        this.rules = rules;
        this.names = names;
    }

    /** The table that a foreign key leads to. */
    record Target(TableName table, TableColumns columns) {}

    /** By the name of a foreign key, the end that it refers to. */
    Map<String, EndRef> references() {
        return references;
    }

    /** By the name of a constraint or index, what asks for it. */
    Map<String, Id> origins() {
        return origins;
    }

    List<Gap> gaps() {
        return gaps;
    }

    /** Has all pinned names of a table's constraints kept for them. */
    static void reserve(Id owner, Design design, Names names) {
        Body body = design.body(owner).orElse(Body.EMPTY);
        names.reserve(pinsOf(owner, design).name(Role.KEY));
        body.uniques().forEach(each -> names.reserve(each.pins().name()));
        body.checks().forEach(each -> names.reserve(each.pins().name()));
        body.indexes().forEach(each -> names.reserve(each.pins().name()));
        for (EndRef end : design.referencesOf(owner)) {
            reference(end, design).pins().names().values().forEach(names::reserve);
        }
    }

    private static Pins pinsOf(Id owner, Design design) {
        return design.entity(owner)
                .map(entity -> entity.pins())
                .or(() -> design.relationship(owner).map(Relationship::pins))
                .orElse(Pins.NONE);
    }

    private static Reference reference(EndRef end, Design design) {
        return design.relationship(end.relationship())
                .map(r -> r.end(end.side()).reference())
                .orElse(Reference.USUAL);
    }

    Optional<PrimaryKey> primaryKey() {
        List<ColumnRef> parts = keys.of(owner);
        List<String> key = columns.names(parts);
        if (key.isEmpty() || key.size() < parts.size()) {
            return Optional.empty();
        }
        served.add(key);
        gapOfIncluded(owner, pinsOf(owner, design).options());
        return Optional.of(new PrimaryKey(
                named(owner, pinsOf(owner, design), Role.KEY, rules.patterns().key(), Map.of()), key));
    }

    List<ForeignKey> foreignKeys(Function<EndRef, Target> targets) {
        var foreignKeys = new ArrayList<ForeignKey>();
        for (EndRef end : design.referencesOf(owner)) {
            List<ColumnRef> referring = keys.referring(end);
            List<String> over = columns.names(referring);
            if (over.size() == referring.size()
                    && referring.stream().allMatch(ref -> ref.attribute().isPresent())) {
                foreignKeys.add(foreignKey(end, over, targets.apply(end)));
            }
        }
        return foreignKeys;
    }

    private ForeignKey foreignKey(EndRef end, List<String> over, Target target) {
        Relationship relationship = design.relationship(end.relationship()).orElseThrow(); // from referencesOf
        Reference reference = reference(end, design);
        String name = named(
                relationship.id(),
                reference.pins(),
                Role.ITSELF,
                rules.patterns().reference(),
                Map.of(
                        "columns", String.join(" ", over),
                        "verb", verb(relationship, end),
                        "target", named(relationship, relationship.end(end.side()))));
        references.put(name, end);
        long mayBeEmpty = columns.list().stream()
                .filter(column -> column.nullable() && over.contains(column.name()))
                .count();
        return new ForeignKey(
                name,
                over,
                target.table(),
                target.columns().names(keys.referencedBy(end)),
                reference.onDelete(),
                reference.onUpdate(),
                mayBeEmpty > 1 && !isEmptyInPart(reference),
                isDeferred(reference),
                only(OF_REFERENCE, reference.pins().options()));
    }

    private static Map<String, String> only(Set<String> names, Map<String, String> options) {
        var own = new HashMap<>(options);
        own.keySet().removeIf(option -> !names.contains(option.substring(option.indexOf('.') + 1)));
        return own;
    }

    /** Whether it waits for the end of a transaction, as in the database that this was read from. */
    private static boolean isDeferred(Reference reference) {
        return reference.pins().options().keySet().stream().anyMatch(option -> option.endsWith(".deferred"));
    }

    /** Whether a row may leave some of the columns empty, as in the database that this was read from. */
    private static boolean isEmptyInPart(Reference reference) {
        return reference.pins().options().keySet().stream().anyMatch(option -> option.endsWith(".match"));
    }

    private static String verb(Relationship relationship, EndRef end) {
        return relationship.isManyToMany()
                ? "of"
                : relationship.end(end.side().other()).verb();
    }

    private String named(Relationship relationship, End end) {
        boolean other = relationship.isManyToMany() && relationship.isRecursive() && end == relationship.second();
        String name = design.at(end).name();
        return end.role().isEmpty() ? other ? "other " + name : name : end.role();
    }

    List<UniqueConstraint> uniques() {
        var uniques = new ArrayList<UniqueConstraint>();
        body.uniques().forEach(unique -> {
            List<ColumnRef> parts = keys.columns(owner, unique.parts());
            List<String> over = columns.names(parts);
            if (over.isEmpty() || over.size() < parts.size()) {
                gap(unique.id(), "what no two may share speaks of a column that is not in this table");
            } else {
                add(uniques, over, unique.id(), unique.pins(), Role.ITSELF);
            }
        });
        for (EndRef end : design.referencesOf(owner)) {
            Optional<Relationship> oneToOne =
                    design.relationship(end.relationship()).filter(Relationship::isOneToOne);
            oneToOne.ifPresent(r -> add(
                    uniques,
                    columns.names(keys.referring(end)),
                    r.id(),
                    r.end(end.side()).reference().pins(),
                    Role.UNIQUE));
        }
        return uniques;
    }

    private void add(List<UniqueConstraint> uniques, List<String> over, Id origin, Pins pins, Role role) {
        boolean again = role == Role.ITSELF && pins.names().containsKey(role); // found so in a database
        boolean known = served.contains(over) && !again;
        if (!over.isEmpty() && !known) {
            served.add(over);
            uniques.add(new UniqueConstraint(
                    named(origin, pins, role, rules.patterns().unique(), over(over)),
                    over,
                    only(OF_UNIQUE, pins.options())));
            gapOfIncluded(origin, pins.options());
        }
    }

    List<CheckConstraint> checks() {
        var checks = new ArrayList<CheckConstraint>();
        for (Check check : body.checks()) {
            columns.named(check.expression())
                    .ifPresentOrElse(
                            expression -> checks.add(new CheckConstraint(
                                    name(check, expression),
                                    expression,
                                    check.pins().options())),
                            () -> gap(check.id(), "a check speaks of a column that is not in this table"));
        }
        return checks;
    }

    private String name(Check check, Expression<String> expression) {
        List<String> over = expression.columns().distinct().toList();
        boolean held = over.size() == 1 && check.expression().columns().anyMatch(this::isHeldToItsType);
        boolean usual = rules.patterns().check().equals(NamePatterns.USUAL.check());
        String pattern =
                held && usual ? "{table} {columns} rule" : rules.patterns().check();
        return named(check.id(), check.pins(), Role.ITSELF, pattern, over(over));
    }

    /** Some databases hold such a column to its type by a check that they name after the column themselves. */
    private boolean isHeldToItsType(ColumnRef ref) {
        return columns.column(ref)
                .filter(column -> column.type() instanceof DataType.OneOf || column.type() instanceof DataType.Bytes)
                .isPresent();
    }

    /** Columns that a key or an index takes along are kept by their names, as they were found. */
    private void gapOfIncluded(Id thing, Map<String, String> options) {
        options.forEach((option, names) -> {
            if (option.endsWith(".include") || option.endsWith(".key_include")) {
                Stream.of(names.split(", "))
                        .map(name ->
                                name.replaceFirst("^[\"\\[](.*)[\"\\]]$", "$1").replaceAll("([\"\\]])\\1", "$1"))
                        .filter(name -> columns.list().stream()
                                .noneMatch(column -> column.name().equalsIgnoreCase(name)))
                        .forEach(name -> gap(
                                thing,
                                "a key or an index takes the column " + name + " along, which is not in this table"));
            }
        });
    }

    private void gap(Id thing, String text) {
        gaps.add(new Gap(Gap.Kind.RULE_WITHOUT_COLUMN, thing, owner, text + ", so that it is left out"));
    }

    List<TableIndex> indexes() {
        var indexes = new ArrayList<TableIndex>();
        for (Index index : body.indexes()) {
            List<IndexedColumn> parts = index.parts().stream()
                    .flatMap(part -> columns.named(part.value()).stream()
                            .map(value -> new IndexedColumn(value, part.descending())))
                    .toList();
            Optional<Expression<String>> only = columns.named(index.only());
            if (parts.isEmpty() || parts.size() < index.parts().size() || only.isEmpty()) {
                gap(index.id(), "an index is on a column that is not in this table");
                continue;
            }
            // a column that comes a second time adds nothing, and some databases refuse it
            Map<Expression<String>, IndexedColumn> once = new LinkedHashMap<>();
            parts.forEach(part -> once.putIfAbsent(part.value(), part));
            List<String> over = once.keySet().stream()
                    .flatMap(Expression::columns)
                    .distinct()
                    .toList();
            String name = named(
                    index.id(), index.pins(), Role.ITSELF, rules.patterns().index(), over(over));
            var made = new TableIndex(
                    name,
                    List.copyOf(once.values()),
                    index.unique(),
                    only.get(),
                    index.pins().options());
            indexes.add(made);
            gapOfIncluded(index.id(), index.pins().options());
            if (!made.only().isPresent()) {
                served.add(made.columnNames());
            }
        }
        if (rules.indexForeignKeys()) {
            design.referencesOf(owner).forEach(end -> indexForeignKey(end).ifPresent(indexes::add));
        }
        return indexes;
    }

    private Optional<TableIndex> indexForeignKey(EndRef end) {
        List<String> over = columns.names(keys.referring(end));
        if (over.isEmpty() || served.stream().anyMatch(list -> startsWith(list, over))) {
            return Optional.empty();
        }
        served.add(over);
        List<IndexedColumn> parts =
                over.stream().map(name -> new IndexedColumn(name, false)).toList();
        Pins pins = reference(end, design).pins();
        String name =
                named(end.relationship(), pins, Role.INDEX, rules.patterns().index(), over(over));
        return Optional.of(new TableIndex(name, parts, false, Map.of()));
    }

    private static boolean startsWith(List<String> list, List<String> start) {
        return list.size() >= start.size() && list.subList(0, start.size()).equals(start);
    }

    private static Map<String, String> over(List<String> columns) {
        return Map.of("columns", String.join(" ", columns));
    }

    private String named(Id origin, Pins pins, Role role, String pattern, Map<String, String> places) {
        String pinned = pins.name(role);
        Map<String, String> all = new HashMap<>(places);
        all.put("table", table);
        String name = names.pinnedOr(pinned, rules.style().of(NamePatterns.filled(pattern, all)));
        if (!pinned.isEmpty() && !pinned.equals(name)) {
            gaps.add(new Gap(
                    Gap.Kind.PINNED_NAME,
                    origin,
                    owner,
                    "the name " + pinned + " is pinned for another thing too, so that this one is called " + name));
        }
        origins.put(name, origin);
        return name;
    }
}
