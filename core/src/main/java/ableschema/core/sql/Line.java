package ableschema.core.sql;

import ableschema.core.design.Id;
import java.util.Set;

/** One line of SQL, with the parts of the design that it comes from. */
public record Line(String text, Set<Id> origins) {
    public Line {
        origins = Set.copyOf(origins);
    }
}
