package ableschema.core.mapping;

import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import java.util.List;
import java.util.Map;

/**
 * The tables of a design: one for each entity, one for each many-to-many relationship, and in them the columns and
 * constraints that the other relationships ask for. After a change only those tables are derived anew of which some part
 * has changed; the others stay the same instances.
 */
public final class Mapping {

    /** What comes before the first design. */
    public static final Mapping NONE = new Mapping(NamingRules.USUAL, Map.of());

    private final NamingRules rules;
    private final Map<Id, Made> made;
    private final Schema schema;

    private Mapping(NamingRules rules, Map<Id, Made> made) {
        this.rules = rules;
        this.made = made;
        this.schema = new Schema(made.values().stream().map(Made::table).toList());
    }

    /**
     * One table and what it was derived from.
     *
     * @param parts entities and relationships, which count as instances, and names of tables
     * @param names what it called its constraints and indexes
     */
    record Made(List<Object> parts, TableColumns columns, Table table, List<Names.Given> names) {}

    /** Derives all tables of the design as it is {@link PhysicalDesign built}; a design that is not finished gives columns of the type undecided. */
    public static Schema of(Design design, NamingRules rules) {
        return NONE.after(design, rules).schema();
    }

    /** Derives the tables after a change of the design or the rules. */
    public Mapping after(Design design, NamingRules rules) {
        Design built = PhysicalDesign.of(design);
        Map<Id, Made> before = rules.equals(this.rules) ? made : Map.of();
        Map<Id, Made> now = new Derivation(built, rules, before)
                .made()
                // another name is free now, so that all that were given may change
                .or(() -> new Derivation(built, rules, Map.of()).made())
                .orElseThrow(); // where nothing is to be kept, no name is asked for again
        return new Mapping(rules, now);
    }

    public Schema schema() {
        return schema;
    }
}
