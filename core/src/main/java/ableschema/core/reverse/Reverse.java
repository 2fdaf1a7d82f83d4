package ableschema.core.reverse;

import ableschema.core.ddl.ReadRows;
import ableschema.core.ddl.SqlRead;
import ableschema.core.design.Design;
import ableschema.core.design.Notes;
import ableschema.core.design.Volume;
import ableschema.core.difference.Difference;
import ableschema.core.document.Diagram;
import ableschema.core.document.Document;
import ableschema.core.document.HouseRules;
import ableschema.core.mapping.Mapping;
import ableschema.core.mapping.NamingRules;
import ableschema.core.schema.Column;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import ableschema.core.types.DataType;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** Makes a design of a schema that was read from SQL or from a database. */
public final class Reverse {

    private Reverse() {}

    /**
     * Makes the design whose tables are those of the schema.
     *
     * @param title   what the design is called
     * @param dialect the dialect that the schema was read from, which becomes that of the design
     */
    public static Reversed of(Schema schema, String title, String dialect) {
        return of(
                schema,
                List.of(),
                title,
                HouseRules.USUAL.withNaming(Style.of(schema)).withDialect(dialect),
                dialect);
    }

    /** The same for all that was read from a text or a database. */
    public static Reversed of(SqlRead read, String title) {
        HouseRules house = HouseRules.USUAL
                .withNaming(Style.of(read.schema()))
                .withDialect(read.dialect().name());
        return of(read.schema(), read.rows(), title, house, read.dialect().name());
    }

    /** The same for a database whose tables have so many rows, from which they are expected to begin. */
    public static Reversed of(SqlRead read, String title, Map<TableName, Long> sizes) {
        Reversed reversed = of(read, title);
        var found = new Found(AlternateKeys.asConstraints(read.schema()));
        Design design = reversed.document().design();
        Notes notes = design.notes();
        for (Map.Entry<TableName, Long> each : sizes.entrySet()) {
            if (each.getValue() > 0 && read.schema().table(each.getKey()).isPresent()) {
                notes = notes.withVolume(found.owner(found.table(each.getKey())), new Volume(each.getValue(), 0));
            }
        }
        return new Reversed(reversed.document().with(design.with(notes)), reversed.differences());
    }

    /** The same for a design that has its house rules already: what they would not give is pinned. */
    public static Reversed under(HouseRules house, SqlRead read, String title) {
        return of(read.schema(), read.rows(), title, house, read.dialect().name());
    }

    private static Reversed of(Schema schema, List<ReadRows> rows, String title, HouseRules house, String dialect) {
        Schema keyed = AlternateKeys.asConstraints(schema);
        var apart = new HashSet<TableName>();
        Attempt best = of(new Found(keyed), schema, rows, title, house, dialect);
        Attempt next = best;
        while (apart.addAll(ofOtherColumns(keyed, next.derived()))) {
            next = of(new Found(keyed, apart), schema, rows, title, house, dialect);
            best = next.differences().size() < best.differences().size() ? next : best;
        }
        return new Reversed(best.document(), best.differences());
    }

    /** A design of the schema, the tables that follow from it, and in what they differ. */
    private record Attempt(Document document, Schema derived, List<Difference> differences) {}

    /** Tables of which keys lead round in a circle through other tables, so that no reference can bring a column of them first. */
    private static Set<TableName> ofOtherColumns(Schema found, Schema derived) {
        return found.tables().stream()
                .filter(table -> derived.table(table.qualified())
                        .filter(other -> !typed(other).equals(typed(table)))
                        .isPresent())
                .map(Table::qualified)
                .collect(Collectors.toSet());
    }

    /** The columns by their names; those that lead round in a circle come to no type. */
    private static Map<String, Boolean> typed(Table table) {
        return table.columns().stream()
                .collect(Collectors.toMap(
                        Column::name, column -> !(column.type() instanceof DataType.Undecided), (one, twin) -> one));
    }

    private static Attempt of(
            Found found, Schema schema, List<ReadRows> rows, String title, HouseRules house, String dialect) {
        NamingRules rules = house.naming();
        Design plain = new Assembly(found, Pinning.nothing(found), dialect).design();
        Mapping unpinned = Mapping.of(found.answered(plain), rules);
        Design named = new Assembly(found, Pinning.whereItDiffers(unpinned, found), dialect).design();
        Design filled = new FoundRows(found, rows).in(found.answered(named));
        Design design = filled.with(filled.notes().withKept(new KeptStatements(found).all()));
        Document document = Document.of(title, design, List.of(Diagram.WHOLE), house);
        Schema derived = document.mapping().schema();
        List<Difference> differences = Completed.by(derived, found, schema).differences(derived);
        return new Attempt(document, derived, differences);
    }
}
