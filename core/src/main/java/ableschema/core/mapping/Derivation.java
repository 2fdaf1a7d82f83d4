package ableschema.core.mapping;

import ableschema.core.design.Design;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Relationship;
import ableschema.core.mapping.Mapping.Made;
import ableschema.core.schema.Table;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/** One derivation of all tables, in which those are kept of which no part has changed. */
final class Derivation {

    private final Design design;
    private final NamingRules rules;
    private final Map<Id, Made> before;
    private final Keys keys;
    private final Names names = new Names();
    private final Map<Id, String> tableNames = new LinkedHashMap<>();
    private final Map<Id, List<Object>> parts = new LinkedHashMap<>();
    private final Map<Id, TableColumns> columns = new LinkedHashMap<>();

    Derivation(Design design, NamingRules rules, Map<Id, Made> before) {
        this.design = design;
        this.rules = rules;
        this.before = before;
        this.keys = new Keys(design);
    }

    /** The tables in the designer's order; empty where a kept one could not have its names again. */
    Optional<Map<Id, Made>> made() {
        nameTables();
        tableNames.keySet().forEach(keys::of); // in one order, as circles are cut where they are first met
        tableNames.keySet().forEach(owner -> parts.put(owner, partsOf(owner)));
        tableNames
                .keySet()
                .forEach(owner -> columns.put(
                        owner,
                        kept(owner).map(Made::columns).orElseGet(() -> TableColumns.of(owner, design, keys, rules))));
        names.givenSince();
        var made = new LinkedHashMap<Id, Made>();
        for (Id owner : tableNames.keySet()) {
            Optional<Made> kept = kept(owner);
            if (kept.isPresent() && !names.giveAgain(kept.get().names())) {
                return Optional.empty();
            }
            made.put(owner, kept.orElseGet(() -> derived(owner)));
            names.givenSince();
        }
        return Optional.of(made);
    }

    private void nameTables() {
        for (Entity entity : design.entities()) {
            tableNames.put(entity.id(), names.free(entity.pins().nameOr(rules.table(entity, design.plural()))));
        }
        for (Relationship each : design.relationships()) {
            if (each.isManyToMany()) {
                tableNames.put(each.id(), names.free(each.pins().nameOr(pairingName(each))));
            }
        }
    }

    private String pairingName(Relationship pairing) {
        return pairing.noun().isEmpty()
                ? rules.style()
                        .of(
                                design.at(pairing.first()).name(),
                                design.at(pairing.second()).name())
                : rules.table(pairing.noun(), design.plural());
    }

    /** All that a table follows from: its owner, what that refers to, and whatever is in the keys of those. */
    private List<Object> partsOf(Id owner) {
        var found = new ArrayList<Object>();
        found.add(tableNames.getOrDefault(owner, ""));
        found.add(design.entity(owner).<Object>map(entity -> entity).orElseGet(() -> relationship(owner)));
        var seen = new HashSet<Id>();
        design.referencesOf(owner).forEach(end -> addReference(end, new HashSet<>(), seen, found));
        return found;
    }

    private void addReference(EndRef end, Set<Id> path, Set<Id> seen, List<Object> found) {
        Entity target = design.target(end).orElseThrow(); // referencesOf gives only ends of the design
        found.add(relationship(end.relationship()));
        found.add(tableNames.getOrDefault(target.id(), ""));
        found.add(target);
        if (path.contains(target.id())) {
            // where a circle of keys is cut depends on the other tables too: such a table is never kept
            found.add(new Object());
        } else if (seen.add(target.id())) {
            path.add(target.id());
            target.body().key().stream()
                    .map(KeyPart::through)
                    .flatMap(Optional::stream)
                    .filter(design.referencesOf(target.id())::contains)
                    .forEach(each -> addReference(each, path, seen, found));
            path.remove(target.id());
        }
    }

    private Relationship relationship(Id id) {
        return design.relationship(id).orElseThrow(); // tables come from entities and relationships of the design
    }

    private Optional<Made> kept(Id owner) {
        return Optional.ofNullable(before.get(owner))
                .filter(earlier -> isSame(earlier.parts(), parts.getOrDefault(owner, List.of())));
    }

    private static boolean isSame(List<Object> before, List<Object> now) {
        if (before.size() != now.size()) {
            return false;
        }
        for (int i = 0; i < now.size(); i++) {
            boolean same = now.get(i) instanceof String name ? name.equals(before.get(i)) : now.get(i) == before.get(i);
            if (!same) {
                return false;
            }
        }
        return true;
    }

    private Made derived(Id owner) {
        TableColumns its = Objects.requireNonNull(columns.get(owner), "columns of each table come first");
        Table table = table(owner, its);
        return new Made(parts.getOrDefault(owner, List.of()), its, table, names.givenSince());
    }

    private Table table(Id owner, TableColumns its) {
        String name = tableNames.getOrDefault(owner, "");
        var constraints = new TableConstraints(name, owner, its, design, keys, rules, names);
        Entity entity = design.entity(owner).orElse(null);
        String namespace = entity == null
                ? relationship(owner).pins().namespace()
                : entity.pins().namespace();
        return new Table(
                namespace,
                name,
                design.nameOf(owner),
                entity == null ? "" : entity.definition(),
                its.list(),
                constraints.primaryKey(),
                constraints.foreignKeys(this::target),
                constraints.uniques(),
                constraints.checks(),
                constraints.indexes(),
                owner);
    }

    private TableConstraints.Target target(EndRef end) {
        Id entity = design.target(end).orElseThrow().id(); // referencesOf gives only ends of the design
        return new TableConstraints.Target(tableNames.getOrDefault(entity, ""), columns.get(entity));
    }
}
