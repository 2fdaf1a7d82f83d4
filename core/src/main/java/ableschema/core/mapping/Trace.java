package ableschema.core.mapping;

import ableschema.core.design.ColumnRef;
import ableschema.core.design.EndRef;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.mapping.TableTrace.ColumnTrace;
import ableschema.core.schema.Column;
import ableschema.core.schema.DomainType;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Part;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;

/** Leads from each part of a schema to the thing of the design that it comes from, and back; a schema that was read has none. */
public final class Trace {

    private final Schema schema;
    private final Map<TableName, TableTrace> tables;
    private final Map<TableName, Id> domains;
    private final Map<Id, TableName> byOwner = new HashMap<>();

    Trace(Schema schema, Map<TableName, TableTrace> tables, Map<TableName, Id> domains) {
        this.schema = schema;
        this.tables = tables;
        this.domains = domains;
        tables.forEach((name, trace) -> byOwner.put(trace.owner(), name));
    }

    /** The table of an entity or many-to-many relationship. */
    public Optional<Table> tableOf(Id owner) {
        return Optional.ofNullable(byOwner.get(owner)).flatMap(schema::table);
    }

    /** The table or domain that a thing of the design became. */
    Optional<Part> partOf(Id owner) {
        return tableOf(owner).map(Table::part).or(() -> schema.domains().stream()
                .filter(domain -> owner.equals(domains.get(domain.name())))
                .map(DomainType::part)
                .findFirst());
    }

    /** What is known of a table; it must be one of the schema that this belongs to. */
    public TableTrace of(Table table) {
        TableTrace trace = tables.get(table.qualified());
        if (trace == null) {
            throw new IllegalArgumentException("there is no trace of the table " + table.qualified());
        }
        return trace;
    }

    /** The entity or many-to-many relationship that a table comes from. */
    public Id owner(Table table) {
        return of(table).owner();
    }

    /** What the design calls a table. */
    public String label(Table table) {
        return of(table).label();
    }

    /** The attribute or relationship that a column comes from. */
    public Id origin(Table table, Column column) {
        return column(table, column).origin();
    }

    /** The address of a column in the design. */
    public ColumnRef ref(Table table, Column column) {
        return column(table, column).ref();
    }

    /** What a column comes from; it must be one of the table. */
    public ColumnTrace column(Table table, Column column) {
        return of(table)
                .column(column.name())
                .orElseThrow(() -> new IllegalArgumentException(
                        "there is no trace of the column " + column.name() + " of " + table.qualified()));
    }

    /** The column of a table with this address. */
    public Optional<Column> column(Table table, ColumnRef ref) {
        return of(table).columnOf(ref).flatMap(table::column);
    }

    /** The end of a relationship that a foreign key refers to. */
    public EndRef end(Table table, ForeignKey key) {
        EndRef end = of(table).references().get(key.name());
        if (end == null) {
            throw new IllegalArgumentException(
                    "there is no trace of the foreign key " + key.name() + " of " + table.qualified());
        }
        return end;
    }

    /** The things of the design that parts come from, with the entity or relationship of each table. */
    public Set<Id> things(Collection<Part> parts) {
        var things = new HashSet<Id>();
        parts.forEach(part -> lead(part, things::add));
        return things;
    }

    /** Whether one of these parts comes from a thing. */
    public boolean leads(Collection<Part> parts, Id thing) {
        boolean[] found = {false}; // whole scripts are asked line by line, so that no set is made for each
        for (Part part : parts) {
            lead(part, id -> found[0] |= id.equals(thing));
        }
        return found[0];
    }

    private void lead(Part part, Consumer<Id> to) {
        if (part.kind() == Part.Kind.DOMAIN) {
            Optional.ofNullable(domains.get(part.table())).ifPresent(to);
            return;
        }
        TableTrace trace = tables.get(part.table());
        if (trace == null) {
            return;
        }
        switch (part.kind()) {
            case TABLE, PRIMARY_KEY -> to.accept(trace.owner());
            case COLUMN -> trace.column(part.name()).ifPresent(column -> to.accept(column.origin()));
            case FOREIGN_KEY ->
                Optional.ofNullable(trace.references().get(part.name()))
                        .ifPresent(end -> to.accept(end.relationship()));
            case ROW -> to.accept(Id.parse(part.name()));
            default -> Optional.ofNullable(trace.rules().get(part.name())).ifPresent(to);
        }
        if (part.kind() == Part.Kind.INDEX || part.kind() == Part.Kind.ROW) {
            to.accept(trace.owner());
        }
    }

    /** Whether a table is the junction of a many-to-many relationship. */
    public boolean isJunction(Table table) {
        return owner(table).kind() == IdKind.RELATIONSHIP;
    }
}
