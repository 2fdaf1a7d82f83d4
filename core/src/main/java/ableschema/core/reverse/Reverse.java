package ableschema.core.reverse;

import ableschema.core.design.Design;
import ableschema.core.difference.Difference;
import ableschema.core.document.Diagram;
import ableschema.core.document.Document;
import ableschema.core.document.HouseRules;
import ableschema.core.mapping.Mapping;
import ableschema.core.mapping.NamingRules;
import ableschema.core.schema.Schema;
import java.util.List;

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
        var found = new Found(schema);
        NamingRules rules = Style.of(schema);
        Design plain = new Assembly(found, Pinning.nothing(found), rules.plural(), dialect).design();
        Mapping unpinned = Mapping.of(found.answered(plain), rules);
        Design named = new Assembly(found, Pinning.whereItDiffers(unpinned, found), rules.plural(), dialect).design();
        Design design = found.answered(named);
        HouseRules house = HouseRules.USUAL.withNaming(rules).withDialect(dialect);
        Document document = Document.of(title, design, List.of(Diagram.WHOLE), house);
        Schema derived = document.mapping().schema();
        List<Difference> differences = Completed.by(derived, found).differences(derived);
        return new Reversed(document, differences);
    }
}
