package ableschema.core.finding;

import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.KeyPart;
import java.util.List;
import java.util.Optional;

/**
 * Where something was found.
 *
 * @param owner the entity or relationship
 * @param row   the sample row, if it is about one
 * @param parts the attributes and references concerned; empty if it is about the whole
 */
public record Place(Id owner, Optional<Id> row, List<KeyPart> parts) {
    /** What stands for the whole design, where something is about no single thing of it. */
    public static final Id EVERYWHERE = Id.derived(IdKind.ENTITY, "everywhere");

    /** An entity or relationship as a whole. */
    public static Place of(Id owner) {
        return new Place(owner, Optional.empty(), List.of());
    }

    public Place {
        parts = List.copyOf(parts);
    }
}
