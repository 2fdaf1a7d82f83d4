package ableschema.core.schema;

import ableschema.core.design.Id;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The tables that follow from a design, in the designer's order. */
public record Schema(List<Table> tables) {

    public Schema {
        tables = List.copyOf(tables);
    }

    public Optional<Table> table(String name) {
        return tables.stream().filter(t -> t.name().equals(name)).findFirst();
    }

    /** The table of an entity or many-to-many relationship. */
    public Optional<Table> tableOf(Id origin) {
        return tables.stream().filter(t -> t.origin().equals(origin)).findFirst();
    }

    /** Foreign keys of other tables that refer to this one. */
    public Stream<ForeignKey> referencesTo(Table table) {
        return tables.stream().flatMap(t -> t.foreignKeys().stream()).filter(f -> f.target()
                .equals(table.name()));
    }

    /** What keeps definitions from being written, in words; empty if nothing does. */
    public List<String> undecided() {
        return tables.stream().flatMap(Table::undecided).toList();
    }
}
