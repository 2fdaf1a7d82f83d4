package ableschema.core.mapping;

import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.design.Kept;
import ableschema.core.schema.Column;
import ableschema.core.schema.Remark;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The tables of a design: one for each entity, one for each many-to-many relationship, and in them the columns and
 * constraints that the other relationships ask for; with the trace of all of it, and what could not be had. After a change
 * only those tables are derived anew of which some part has changed; the others stay the same instances.
 */
public final class Mapping {

    /** What comes before the first design. */
    public static final Mapping NONE =
            new Mapping(Design.EMPTY, NamingRules.USUAL, false, PhysicalDesign.EMPTY, Domains.NONE, Map.of());

    private final Design source;
    private final NamingRules rules;
    private final boolean reasons;
    private final PhysicalDesign physical;
    private final Map<Id, Made> made;
    private final Domains domains;
    private final Schema schema;
    private final Trace trace;

    private Mapping(
            Design source,
            NamingRules rules,
            boolean reasons,
            PhysicalDesign physical,
            Domains domains,
            Map<Id, Made> made) {
        this.source = source;
        this.rules = rules;
        this.reasons = reasons;
        this.physical = physical;
        this.made = made;
        this.domains = domains;
        this.schema = new Schema(
                domains.types(),
                made.values().stream().map(Made::table).toList(),
                source.notes().kept().stream().map(Kept::statement).toList());
        Map<TableName, TableTrace> traces = new HashMap<>();
        made.values().forEach(each -> traces.put(each.table().qualified(), each.trace()));
        this.trace = new Trace(schema, traces, domains.traces());
    }

    /**
     * One table and what it was derived from.
     *
     * @param parts entities and relationships, which count as instances, and names of tables
     * @param names what it called its constraints and indexes
     */
    record Made(
            List<Object> parts,
            TableColumns columns,
            Table table,
            TableTrace trace,
            List<Names.Given> names,
            List<Gap> gaps,
            List<String> undecided) {}

    /** Derives all tables of the design as it is {@link PhysicalDesign built}; what is not finished gives columns of the type undecided. */
    public static Mapping of(Design design, NamingRules rules) {
        return NONE.after(design, rules, false);
    }

    /**
     * Derives the tables after a change of the design or the rules.
     *
     * @param reasons whether comments say why things are as they are
     */
    public Mapping after(Design design, NamingRules rules, boolean reasons) {
        boolean sameRules = (rules == this.rules || rules.equals(this.rules)) && reasons == this.reasons;
        if (design == source && sameRules && this != NONE) {
            return this;
        }
        PhysicalDesign built = PhysicalDesign.of(design, physical);
        Design tables = built.design();
        Optional<Set<Id>> touched = sameRules ? BodyChange.owners(physical.design(), tables, made) : Optional.empty();
        Domains named = touched.isPresent() ? domains : new Domains(tables, rules);
        Map<Id, Made> before = sameRules ? made : Map.of();
        Map<Id, Made> now = touched.flatMap(
                        owners -> new Derivation(tables, rules, reasons, named, before).madeAgain(owners))
                .or(() -> new Derivation(tables, rules, reasons, named, before).made())
                // another name is free now, so that all that were given may change
                .or(() -> new Derivation(tables, rules, reasons, named, Map.of()).made())
                .orElseThrow(); // where nothing is to be kept, no name is asked for again
        return new Mapping(design, rules, reasons, built, named, now);
    }

    public Schema schema() {
        return schema;
    }

    public Trace trace() {
        return trace;
    }

    /** The design as its tables see it: without what is set aside, kinds that share a table laid into one. */
    public Design physical() {
        return physical.design();
    }

    /** What the design says and the tables do not have. */
    public List<Gap> gaps() {
        var gaps = new ArrayList<>(physical.gaps());
        gaps.addAll(domains.gaps());
        made.values().forEach(each -> gaps.addAll(each.gaps()));
        return gaps;
    }

    /** The gaps as remarks on the tables and domains that lack something. */
    public List<Remark> remarks() {
        return gaps().stream()
                .flatMap(gap -> trace.partOf(gap.owner()).stream().map(part -> new Remark(part, gap.text())))
                .toList();
    }

    /** What keeps definitions from being written, in words; empty if nothing does. */
    public List<String> undecided() {
        return made.values().stream().flatMap(each -> each.undecided().stream()).toList();
    }

    /** What is undecided in one table. */
    static List<String> undecided(Table table, TableTrace traced) {
        var open = new ArrayList<String>();
        if (table.columns().isEmpty()) {
            open.add(traced.label() + " has no attributes yet");
        }
        for (Column column : table.columns()) {
            if (column.isUndecided()) {
                TableTrace.ColumnTrace from = traced.column(column.name()).orElseThrow(); // each column is traced
                open.add(traced.label() + ": " + from.label()
                        + (from.ref().attribute().isPresent()
                                ? " has no type yet"
                                : " refers to an entity that has no key yet"));
            }
        }
        return open;
    }
}
