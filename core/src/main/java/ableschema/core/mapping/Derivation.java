package ableschema.core.mapping;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Design;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Pins;
import ableschema.core.design.Relationship;
import ableschema.core.design.Unique;
import ableschema.core.mapping.Mapping.Made;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import ableschema.core.types.DataType;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** One derivation of all tables, in which those are kept of which no part has changed. */
final class Derivation {

    private final Design design;
    private final NamingRules rules;
    private final ReasonComments reasons;
    private final Map<Id, Made> before;
    private final Keys keys;
    private final Domains domains;
    private final Map<String, Names> spaces = new HashMap<>();
    private final Map<Id, Names> ruleSpaces = new HashMap<>();
    private final Map<Id, TableName> tableNames = new LinkedHashMap<>();
    private final Map<Id, List<Object>> parts = new LinkedHashMap<>();
    private final Map<Id, TableColumns> columns = new LinkedHashMap<>();
    private final List<Gap> nameGaps = new ArrayList<>();

    Derivation(Design design, NamingRules rules, boolean reasons, Domains domains, Map<Id, Made> before) {
        this.design = design;
        this.rules = rules;
        this.reasons = new ReasonComments(reasons, design.notes());
        this.before = before;
        this.keys = new Keys(design);
        this.domains = domains;
    }

    /** The tables in the designer's order; empty where a kept one could not have its names again. */
    Optional<Map<Id, Made>> made() {
        nameTables();
        for (Id owner : tableNames.keySet()) {
            parts.put(owner, partsOf(owner));
            columns.put(
                    owner,
                    kept(owner)
                            .map(Made::columns)
                            .orElseGet(() -> TableColumns.of(owner, design, keys, rules, domains)));
        }
        var made = new LinkedHashMap<Id, Made>();
        for (Id owner : tableNames.keySet()) {
            Optional<Made> kept = kept(owner);
            Names names = ruleSpace(owner);
            names.givenSince();
            if (kept.isPresent() && !names.giveAgain(kept.get().names())) {
                return Optional.empty();
            }
            made.put(owner, kept.orElseGet(() -> derived(owner, names)));
        }
        return Optional.of(made);
    }

    /** The tables after a change that leaves all names as they are and concerns these owners; empty where it asks for other names. */
    Optional<Map<Id, Made>> madeAgain(Set<Id> touched) {
        before.forEach((owner, made) -> {
            tableNames.put(owner, made.table().qualified());
            columns.put(owner, made.columns());
        });
        touched.forEach(owner -> parts.put(owner, partsOf(owner)));
        touched.forEach(owner -> columns.put(owner, TableColumns.of(owner, design, keys, rules, domains)));
        var again = new LinkedHashMap<>(before);
        for (Id owner : touched) {
            Names names = Names.again(before.get(owner).names());
            again.put(owner, derived(owner, names));
            if (names.strayed()) {
                return Optional.empty();
            }
        }
        return Optional.of(again);
    }

    private Names space(Id owner) {
        return spaces.computeIfAbsent(pinsOf(owner).namespace(), namespace -> new Names());
    }

    /** Where the names of a table's constraints and indexes must differ. */
    private Names ruleSpace(Id owner) {
        return rules.namesRepeat() ? ruleSpaces.computeIfAbsent(owner, each -> new Names(true)) : space(owner);
    }

    private Pins pinsOf(Id owner) {
        return design.entity(owner).map(Entity::pins).orElseGet(() -> relationship(owner)
                .pins());
    }

    private void nameTables() {
        var wanted = new LinkedHashMap<Id, String>();
        design.entities().forEach(entity -> wanted.put(entity.id(), rules.table(entity, design.plural())));
        design.relationships().stream()
                .filter(Relationship::isManyToMany)
                .forEach(each -> wanted.put(each.id(), pairingName(each)));
        for (Id owner : wanted.keySet()) {
            space(owner).reserve(pinsOf(owner).name());
            TableConstraints.reserve(owner, design, ruleSpace(owner));
        }
        wanted.forEach((owner, name) -> {
            Pins pins = pinsOf(owner);
            String given = space(owner).pinnedOr(pins.name(), name);
            tableNames.put(owner, new TableName(pins.namespace(), given));
            if (!pins.name().isEmpty() && !pins.name().equals(given)) {
                nameGaps.add(new Gap(
                        Gap.Kind.PINNED_NAME,
                        owner,
                        owner,
                        "the name " + pins.name() + " is pinned for another table too, so that this one is called "
                                + given));
            }
        });
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
        found.add(tableName(owner));
        found.add(design.entity(owner).<Object>map(entity -> entity).orElseGet(() -> relationship(owner)));
        reasons.of(owner, design).forEach(found::add);
        addDomains(owner, found);
        addAnswers(owner, found);
        var seen = new HashSet<Id>();
        design.referencesOf(owner).forEach(end -> addReference(owner, end, seen, found));
        return found;
    }

    private TableName tableName(Id owner) {
        return Objects.requireNonNull(tableNames.get(owner), "each owner has a table");
    }

    private void addDomains(Id owner, List<Object> found) {
        if (design.domains().isEmpty()) {
            return;
        }
        for (Attribute attribute : design.body(owner).orElse(Body.EMPTY).attributes()) {
            design.domain(attribute.type()).ifPresent(found::add);
        }
    }

    /** What was said of numbers, by which the database alone gives them. */
    private void addAnswers(Id owner, List<Object> found) {
        if (design.notes().answers().isEmpty()) {
            return;
        }
        for (Attribute attribute : design.body(owner).orElse(Body.EMPTY).attributes()) {
            if (attribute.type() instanceof DataType.Counted && design.notes().isNeverChanged(attribute.id())) {
                found.add("alone " + attribute.id());
            }
        }
    }

    private void addReference(Id owner, EndRef end, Set<Id> seen, List<Object> found) {
        Entity target = design.target(end).orElseThrow(); // referencesOf gives only ends of the design
        found.add(relationship(end.relationship()));
        found.add(tableName(target.id()));
        found.add(target);
        found.add(keys.isCut(owner, end) ? "cut" : "");
        addDomains(target.id(), found);
        if (seen.add(target.id())) {
            List<EndRef> further = design.referencesOf(target.id());
            // of two references to the same entity the columns are called by their verbs, be they in the key or not
            further.forEach(each -> found.add(relationship(each.relationship())));
            Stream.concat(
                            target.body().key().stream(),
                            target.body().uniques().stream().map(Unique::parts).flatMap(List::stream))
                    .map(KeyPart::through)
                    .flatMap(Optional::stream)
                    .filter(further::contains)
                    .distinct()
                    .forEach(each -> addReference(target.id(), each, seen, found));
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
            Object part = now.get(i);
            boolean named = part instanceof TableName || part instanceof String;
            if (part != before.get(i) && !(named && part.equals(before.get(i)))) {
                return false;
            }
        }
        return true;
    }

    private Made derived(Id owner, Names names) {
        TableColumns its = Objects.requireNonNull(columns.get(owner), "columns of each table come first");
        TableName name = tableName(owner);
        var constraints = new TableConstraints(name.name(), owner, its, design, keys, rules, names);
        var options = new HashMap<>(pinsOf(owner).options());
        String comment = Objects.requireNonNullElse(options.remove(Pins.COMMENT), "");
        Table table = new Table(
                name,
                design.entity(owner).map(Entity::definition).orElse(comment),
                its.list(),
                constraints.primaryKey(),
                constraints.foreignKeys(this::target),
                constraints.uniques(),
                constraints.checks(),
                constraints.indexes(),
                options);
        var trace = new TableTrace(
                owner, design.nameOf(owner), its.traces(), constraints.references(), constraints.origins());
        var gaps = new ArrayList<>(its.gaps());
        gaps.addAll(constraints.gaps());
        nameGaps.stream().filter(gap -> gap.owner().equals(owner)).forEach(gaps::add);
        return new Made(
                parts.getOrDefault(owner, List.of()),
                its,
                reasons.on(table, trace),
                trace,
                names.givenSince(),
                gaps,
                Mapping.undecided(table, trace));
    }

    private TableConstraints.Target target(EndRef end) {
        Id entity = design.target(end).orElseThrow().id(); // referencesOf gives only ends of the design
        return new TableConstraints.Target(
                tableName(entity), Objects.requireNonNull(columns.get(entity), "columns of each table come first"));
    }
}
