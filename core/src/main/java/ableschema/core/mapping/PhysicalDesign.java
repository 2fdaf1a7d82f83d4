package ableschema.core.mapping;

import ableschema.core.design.Design;
import ableschema.core.design.Relationship;
import ableschema.core.design.SubtypeLayout;
import java.util.Optional;

/**
 * A design as it is built: without what is parked, and with the kinds that share one table laid into the entity that
 * they are kinds of. Where there is neither, it is the design itself, the same instance.
 */
public final class PhysicalDesign {

    private PhysicalDesign() {}

    public static Design of(Design design) {
        Design built = design.inScope();
        for (Optional<Relationship> next = innermost(built); next.isPresent(); next = innermost(built)) {
            built = new OneTable(built, next.get()).design();
        }
        return built;
    }

    /** A kind that shares its general entity's table and of which nothing else is such a kind. */
    private static Optional<Relationship> innermost(Design design) {
        return design.relationships().stream()
                .filter(r -> sharesTable(r)
                        && design.relationships().stream()
                                .noneMatch(other -> sharesTable(other)
                                        && other.first()
                                                .entity()
                                                .equals(r.second().entity())))
                .findFirst();
    }

    private static boolean sharesTable(Relationship r) {
        return r.subtype() == SubtypeLayout.ONE_TABLE && !r.isRecursive();
    }
}
