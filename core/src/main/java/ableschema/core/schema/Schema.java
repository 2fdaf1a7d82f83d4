package ableschema.core.schema;

import ableschema.core.carried.Carried;
import ableschema.core.difference.Difference;
import ableschema.core.types.DataType;
import ableschema.core.types.DataTypes;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Tables and named types, in their order: derived from a design, or read from SQL or a database. It knows nothing of where it
 * comes from.
 */
public final class Schema {

    private final List<DomainType> domains;
    private final List<Table> tables;
    private final List<Carried> carried;
    private final Map<TableName, Table> byName = new HashMap<>();

    /** An {@link IllegalArgumentException} names a table that is there twice. */
    public Schema(List<DomainType> domains, List<Table> tables) {
        this(domains, tables, List.of());
    }

    /** The same with what the database has beside its tables. */
    public Schema(List<DomainType> domains, List<Table> tables, List<Carried> carried) {
        this.carried = List.copyOf(carried);
        this.domains = List.copyOf(domains);
        this.tables = List.copyOf(tables);
        for (Table table : this.tables) {
            if (byName.put(table.qualified(), table) != null) {
                throw new IllegalArgumentException("two tables are called " + table.qualified());
            }
        }
    }

    public List<DomainType> domains() {
        return domains;
    }

    public List<Table> tables() {
        return tables;
    }

    /** What stands beside the tables, in an order that works. */
    public List<Carried> carried() {
        return carried;
    }

    /** The same with other tables. */
    public Schema withTables(List<Table> tables) {
        return new Schema(domains, tables, carried);
    }

    public Optional<Table> table(TableName name) {
        return Optional.ofNullable(byName.get(name));
    }

    /** The first table of that name in any namespace. */
    public Optional<Table> table(String name) {
        return tables.stream().filter(t -> t.name().equals(name)).findFirst();
    }

    /** Foreign keys of all tables that refer to this one. */
    public Stream<ForeignKey> referencesTo(Table table) {
        return tables.stream().flatMap(t -> t.foreignKeys().stream()).filter(f -> f.target()
                .equals(table.qualified()));
    }

    /** The named type that a type names, if it names one. */
    public Optional<DomainType> domain(DataType type) {
        return type instanceof DataType.InDomain in
                ? domains.stream()
                        .filter(d -> d.name().toString().equals(in.domain()))
                        .findFirst()
                : Optional.empty();
    }

    /** What a type holds in the end; undecided where it names a type that is not there. */
    public DataType resolved(DataType type) {
        return type instanceof DataType.InDomain
                ? domain(type).map(DomainType::base).orElse(DataTypes.UNDECIDED)
                : type;
    }

    /** A column as it is kept: with what its type holds in the end. */
    public Column resolved(Column column) {
        DataType base = resolved(column.type());
        return base == column.type()
                ? column
                : new Column(
                        column.name(),
                        base,
                        column.nullable(),
                        column.filling(),
                        column.identity(),
                        column.comment(),
                        column.options());
    }

    /** Says in what the other schema differs, whatever the order of the tables; empty if both are the same. */
    public List<Difference> differences(Schema other) {
        return Difference.between(new SchemaText(this).places(), new SchemaText(other).places());
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Schema schema
                && domains.equals(schema.domains)
                && tables.equals(schema.tables)
                && carried.equals(schema.carried);
    }

    @Override
    public int hashCode() {
        return 31 * (31 * domains.hashCode() + tables.hashCode()) + carried.hashCode();
    }

    @Override
    public String toString() {
        return tables.size() + " tables, " + domains.size() + " domains";
    }
}
