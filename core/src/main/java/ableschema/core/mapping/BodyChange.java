package ableschema.core.mapping;

import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.mapping.Mapping.Made;
import java.util.Collections;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The commonest change: a few entities have other attributes, checks, indexes or rows, while names, keys and relationships
 * stay. Then only the tables that follow from these entities need to be looked at.
 */
final class BodyChange {

    private BodyChange() {}

    /** The owners of the tables that may differ; empty where more has changed than that. */
    static Optional<Set<Id>> owners(Design before, Design now, Map<Id, Made> made) {
        if (before.relationships() != now.relationships()
                || before.domains() != now.domains()
                || before.notes() != now.notes()
                || before.entities().size() != now.entities().size()) {
            return Optional.empty();
        }
        Set<Object> changed = Collections.newSetFromMap(new IdentityHashMap<>());
        for (int i = 0; i < now.entities().size(); i++) {
            Entity earlier = before.entities().get(i);
            Entity later = now.entities().get(i);
            if (earlier != later) {
                if (!isOfBody(earlier, later)) {
                    return Optional.empty();
                }
                changed.add(earlier);
            }
        }
        var owners = new HashSet<Id>();
        made.forEach((owner, table) -> {
            for (Object part : table.parts()) {
                if (changed.contains(part)) {
                    owners.add(owner);
                }
            }
        });
        return Optional.of(owners);
    }

    private static boolean isOfBody(Entity earlier, Entity later) {
        return earlier.id().equals(later.id())
                && earlier.name().equals(later.name())
                && earlier.kind().equals(later.kind())
                && earlier.pins().equals(later.pins())
                && earlier.pins().name().isEmpty()
                && earlier.parked() == later.parked()
                && earlier.body().key().equals(later.body().key())
                && hasSameIds(earlier, later);
    }

    /** Keys that others refer to must be the same rules on the same attributes. */
    private static boolean hasSameIds(Entity earlier, Entity later) {
        return earlier.body().uniques().equals(later.body().uniques())
                && ids(earlier).equals(ids(later));
    }

    private static List<Id> ids(Entity entity) {
        return entity.body().attributes().stream().map(each -> each.id()).toList();
    }
}
