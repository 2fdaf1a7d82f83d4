package ableschema.core.reverse;

import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.KeyQuestion;
import ableschema.core.design.Notes;
import ableschema.core.schema.Column;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Identity;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What each table of a schema is in a design: an entity, or a many-to-many between two others. */
final class Found {

    private final Schema schema;
    private final Map<TableName, Integer> referenced = new HashMap<>();
    private final Map<TableName, List<ForeignKey>> references = new LinkedHashMap<>();

    /** The columns of alternate keys that something refers to. */
    private final Map<TableName, Set<List<String>>> alternates = new HashMap<>();

    private final Set<TableName> junctions = new HashSet<>();

    private final Set<TableName> apart;

    Found(Schema schema) {
        this(schema, Set.of());
    }

    /** @param apart the tables of which all columns are attributes, and none is brought by a reference */
    Found(Schema schema, Set<TableName> apart) {
        this.schema = schema;
        this.apart = Set.copyOf(apart);
        for (Table table : schema.tables()) {
            List<ForeignKey> usable =
                    table.foreignKeys().stream().filter(this::leadsToKey).toList();
            references.put(table.qualified(), usable);
            usable.forEach(key -> referenced.merge(key.target(), 1, Integer::sum));
            usable.stream().filter(key -> !leadsToPrimaryKey(key)).forEach(key -> alternates
                    .computeIfAbsent(key.target(), name -> new HashSet<>())
                    .add(targetKey(key).orElseThrow())); // which is what makes it usable
        }
        for (Table table : schema.tables()) {
            if (isJunction(table)) {
                junctions.add(table.qualified());
            }
        }
    }

    Schema schema() {
        return schema;
    }

    Table table(TableName name) {
        return schema.table(name).orElseThrow(() -> new IllegalArgumentException("there is no table " + name));
    }

    /** The foreign keys of a table that a relationship can say: those that lead to a key, alternate or primary. */
    List<ForeignKey> references(Table table) {
        return references.getOrDefault(table.qualified(), List.of());
    }

    /** Whether the references of a table bring none of its columns. */
    boolean isApart(Table table) {
        return apart.contains(table.qualified());
    }

    boolean isManyToMany(Table table) {
        return junctions.contains(table.qualified());
    }

    private boolean leadsToKey(ForeignKey key) {
        return targetKey(key).isPresent();
    }

    /** The columns of the key that is referred to, in its own order. */
    Optional<List<String>> targetKey(ForeignKey key) {
        Optional<Table> target = schema.table(key.target());
        var wanted = Set.copyOf(key.targetColumns());
        if (target.isEmpty() || wanted.size() < key.targetColumns().size()) {
            return Optional.empty();
        }
        return target.get()
                .primaryKey()
                .map(Table.PrimaryKey::columns)
                .filter(columns -> Set.copyOf(columns).equals(wanted))
                .or(() -> target.get().uniques().stream()
                        .map(Table.UniqueConstraint::columns)
                        .filter(columns -> Set.copyOf(columns).equals(wanted))
                        .findFirst());
    }

    /** Whether a foreign key refers to the columns of a unique constraint, and not to the primary key. */
    boolean isReferredTo(Table table, Table.UniqueConstraint unique) {
        return alternates.getOrDefault(table.qualified(), Set.of()).contains(unique.columns());
    }

    boolean leadsToPrimaryKey(ForeignKey key) {
        return table(key.target())
                .primaryKey()
                .filter(primary -> Set.copyOf(primary.columns()).equals(Set.copyOf(key.targetColumns())))
                .isPresent();
    }

    /** The columns with which a foreign key refers, in the order of the key that it refers to. */
    List<String> ordered(ForeignKey key) {
        List<String> target = targetKey(key).orElse(key.targetColumns());
        var columns = new ArrayList<String>();
        target.forEach(
                column -> columns.add(key.columns().get(key.targetColumns().indexOf(column))));
        return columns;
    }

    /**
     * A table that only pairs two others: its key is made of the two references, perhaps widened, nothing refers to it, and it refers to
     * nothing else.
     */
    private boolean isJunction(Table table) {
        List<ForeignKey> keys = references(table);
        if (keys.size() != 2
                || table.foreignKeys().size() != 2
                || referenced.getOrDefault(table.qualified(), 0) > 0
                || table.primaryKey().isEmpty()
                || !keys.stream().allMatch(this::leadsToPrimaryKey)) {
            return false;
        }
        List<String> primary = table.primaryKey().get().columns();
        List<String> pair = pair(keys, primary);
        boolean distinct = new HashSet<>(pair).size() == pair.size();
        return distinct
                && primary.size() >= pair.size()
                && primary.subList(0, pair.size()).equals(pair)
                && keys.stream().noneMatch(key -> key.target().equals(table.qualified()))
                && keys.stream().noneMatch(key -> isUniqueBy(table, ordered(key)));
    }

    private static boolean isUniqueBy(Table table, List<String> columns) {
        return table.uniques().stream()
                .anyMatch(unique -> Set.copyOf(unique.columns()).equals(Set.copyOf(columns)));
    }

    private List<String> pair(List<ForeignKey> keys, List<String> primary) {
        var pair = new ArrayList<String>();
        inOrder(keys, primary).forEach(key -> pair.addAll(ordered(key)));
        return pair;
    }

    /** The two references of a junction, in the order in which they stand in its key. */
    List<ForeignKey> inOrder(List<ForeignKey> keys, List<String> primary) {
        boolean turned = primary.indexOf(ordered(keys.get(0)).get(0))
                > primary.indexOf(ordered(keys.get(1)).get(0));
        return turned ? List.of(keys.get(1), keys.get(0)) : keys;
    }

    /** The same design where it is said of numbers that the database alone gives that they never change. */
    Design answered(Design design) {
        Notes notes = design.notes();
        for (Table table : schema.tables()) {
            for (Column column : table.columns()) {
                if (column.identity().filter(Identity::alone).isPresent()) {
                    notes = notes.withAnswer(attribute(table, column), KeyQuestion.CHANGES, Optional.of(false));
                }
            }
        }
        return design.with(notes);
    }

    // Ids follow from the names that were found, so that reading twice gives the same design

    Id owner(Table table) {
        return isManyToMany(table)
                ? Id.derived(IdKind.RELATIONSHIP, table.qualified().toString())
                : entity(table);
    }

    static Id entity(Table table) {
        return Id.derived(IdKind.ENTITY, table.qualified().toString());
    }

    static Id attribute(Table table, Column column) {
        return Id.derived(IdKind.ATTRIBUTE, table.qualified() + "." + column.name());
    }

    /** Old databases have the same reference twice, under two names. */
    static Id relationship(Table table, ForeignKey key) {
        int alike = 0;
        for (ForeignKey each : table.foreignKeys()) {
            if (each == key) {
                break;
            }
            boolean same = each.columns().equals(key.columns())
                    && each.target().equals(key.target())
                    && each.targetColumns().equals(key.targetColumns());
            alike += same ? 1 : 0;
        }
        return Id.derived(
                IdKind.RELATIONSHIP,
                table.qualified() + "." + key.columns() + key.target() + key.targetColumns()
                        + (alike == 0 ? "" : "#" + alike));
    }

    static Id rule(IdKind kind, Table table, String name, int place) {
        return Id.derived(kind, table.qualified() + "." + name + "." + place);
    }
}
