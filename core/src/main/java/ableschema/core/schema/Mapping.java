package ableschema.core.schema;

import ableschema.core.design.Design;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.Relationship;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * Derives the tables of a design: one for each entity, one for each many-to-many relationship, and in them the columns
 * and constraints that the other relationships ask for.
 */
public final class Mapping {

    private final Design design;
    private final NamingRules rules;
    private final Names names = new Names();
    private final Map<Id, String> tableNames = new LinkedHashMap<>();

    private Mapping(Design design, NamingRules rules) {
        this.design = design;
        this.rules = rules;
    }

    /** Derives all tables of the design as it is {@link Built built}; a design that is not finished gives columns of the type undecided. */
    public static Schema of(Design design, NamingRules rules) {
        return new Mapping(Built.of(design), rules).schema();
    }

    private Schema schema() {
        nameTables();
        var keys = new Keys(design);
        var columns = new LinkedHashMap<Id, TableColumns>();
        tableNames.keySet().forEach(owner -> columns.put(owner, TableColumns.of(owner, design, keys, rules)));
        var tables = new ArrayList<Table>();
        columns.forEach((owner, its) -> tables.add(table(owner, its, columns, keys)));
        return new Schema(tables);
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

    private Table table(Id owner, TableColumns columns, Map<Id, TableColumns> all, Keys keys) {
        String name = tableNames.getOrDefault(owner, "");
        var constraints = new TableConstraints(name, owner, columns, design, keys, rules, names);
        Entity entity = design.entity(owner).orElse(null);
        String namespace = entity == null
                ? design.relationship(owner).map(r -> r.pins().namespace()).orElse("")
                : entity.pins().namespace();
        return new Table(
                namespace,
                name,
                design.nameOf(owner),
                entity == null ? "" : entity.definition(),
                columns.list(),
                constraints.primaryKey(),
                constraints.foreignKeys(end -> target(end, all)),
                constraints.uniques(),
                constraints.checks(),
                constraints.indexes(),
                owner);
    }

    private TableConstraints.Target target(EndRef end, Map<Id, TableColumns> all) {
        Id entity = design.target(end).orElseThrow().id(); // referencesOf gives only ends of the design
        return new TableConstraints.Target(tableNames.getOrDefault(entity, ""), all.get(entity));
    }
}
