package ableschema.core.review;

import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.Relationship;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Rule;
import java.util.List;
import java.util.function.Consumer;

/** What finds the findings of one or a few rules. */
sealed interface Finder {

    List<Rule> rules();

    /**
     * Looks at one entity or relationship: at itself, its table, its relationships and the entities that it refers to,
     * with all that these refer to where rows are concerned. What it finds holds until one of these is another instance.
     */
    non-sealed interface OfEach extends Finder {
        default void find(Subject subject, Entity entity, Consumer<Finding> found) {}

        default void find(Subject subject, Relationship relationship, Consumer<Finding> found) {}

        /** Looks at whatever has a table: an entity or a many-to-many relationship. */
        default void find(Subject subject, Id owner, Consumer<Finding> found) {}
    }

    /** Looks at the whole, after every change of what it looks at, and has to be quick. */
    non-sealed interface OfWhole extends Finder {
        /**
         * What the findings depend on, beside what all rules look at: as long as these are the same instances, what was found
         * stays. The whole subject, if not said otherwise.
         */
        default List<Object> looksAt(Subject subject) {
            return List.of(subject);
        }

        void find(Subject subject, Consumer<Finding> found);
    }
}
