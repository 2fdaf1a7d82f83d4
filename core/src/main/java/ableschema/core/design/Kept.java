package ableschema.core.design;

import ableschema.core.carried.Carried;
import java.util.List;
import java.util.Optional;

/**
 * A statement that the design keeps as it was found, with what of the design it speaks of.
 *
 * @param uses the tables and columns whose names stand in it
 */
public record Kept(Carried statement, List<Use> uses) {

    public Kept {
        uses = List.copyOf(uses);
    }

    /**
     * A name in the statement.
     *
     * @param owner  the entity or many-to-many relationship whose table it is
     * @param column the column of that table; empty for the table itself
     * @param name   the name that the statement has for it
     */
    public record Use(Id owner, Optional<ColumnRef> column, String name) {}
}
