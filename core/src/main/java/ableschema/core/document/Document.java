package ableschema.core.document;

import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.design.Lists;
import ableschema.core.schema.Mapping;
import ableschema.core.schema.Schema;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A design with all that belongs to working on it. Positions are apart from meaning: a moved card leaves the design the
 * same instance.
 */
public record Document(String title, Design design, List<Diagram> diagrams, HouseRules rules) {

    public static final Document EMPTY = new Document("", Design.EMPTY, List.of(Diagram.WHOLE), HouseRules.USUAL);

    public Document {
        if (diagrams.isEmpty()) {
            throw new IllegalArgumentException("a document has at least one diagram");
        }
        diagrams = List.copyOf(diagrams);
    }

    public Diagram diagram() {
        return diagrams.get(0);
    }

    public Optional<Position> position(Id id) {
        return diagram().position(id);
    }

    /** The tables that follow from the design under the house rules. */
    public Schema schema() {
        return Mapping.of(design, rules.naming());
    }

    public Document with(Design design) {
        return design == this.design ? this : new Document(title, design, diagrams, rules);
    }

    public Document withTitle(String title) {
        return new Document(title, design, diagrams, rules);
    }

    public Document with(Diagram diagram) {
        return new Document(title, design, Lists.replace(diagrams, Diagram::name, diagram), rules);
    }

    public Document moved(Map<Id, Position> positions) {
        return with(diagram().with(positions));
    }

    public Document with(HouseRules rules) {
        return new Document(title, design, diagrams, rules);
    }
}
