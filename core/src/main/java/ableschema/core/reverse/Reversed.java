package ableschema.core.reverse;

import ableschema.core.difference.Difference;
import ableschema.core.document.Document;
import java.util.List;

/**
 * A design made from a schema.
 *
 * @param differences in what the tables of the design differ from those that were read; none as a rule
 */
public record Reversed(Document document, List<Difference> differences) {
    public Reversed {
        differences = List.copyOf(differences);
    }
}
