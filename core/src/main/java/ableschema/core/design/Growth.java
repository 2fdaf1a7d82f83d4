package ableschema.core.design;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a design has more than the one before, where nothing is gone from its place and no relationship is another.
 *
 * @param changed the entities that were there and say something else now, as they were and, in the same order, as they are
 */
record Growth(
        List<Entity> entities,
        List<Relationship> relationships,
        Map<Id, Id> ownerOfAttribute,
        List<Entity> changed,
        List<Entity> changedTo) {

    /** Empty where something is gone, stands elsewhere or is another relationship. */
    static Optional<Growth> between(Design before, Design now) {
        int known = before.entities().size();
        Optional<List<Relationship>> relationships = added(before.relationships(), now.relationships());
        if (relationships.isEmpty() || now.entities().size() < known) {
            return Optional.empty();
        }
        Map<Id, Id> owners = new HashMap<>();
        List<Entity> changed = new ArrayList<>();
        List<Entity> changedTo = new ArrayList<>();
        boolean allSame = before.entities() == now.entities();
        for (int i = 0; !allSame && i < known; i++) {
            Entity one = before.entities().get(i);
            Entity two = now.entities().get(i);
            if (one != two) {
                if (!one.id().equals(two.id()) || !grows(one, two, owners)) {
                    return Optional.empty();
                }
                changed.add(one);
                changedTo.add(two);
            }
        }
        List<Entity> entities = now.entities().subList(known, now.entities().size());
        entities.forEach(each -> register(each.id(), each.body().attributes(), owners));
        relationships.get().forEach(each -> register(each.id(), each.body().attributes(), owners));
        return Optional.of(new Growth(entities, relationships.get(), owners, changed, changedTo));
    }

    private static Optional<List<Relationship>> added(List<Relationship> before, List<Relationship> now) {
        if (before == now) {
            return Optional.of(List.of());
        }
        boolean same = before.size() <= now.size();
        for (int i = 0; same && i < before.size(); i++) {
            same = before.get(i) == now.get(i);
        }
        return same ? Optional.of(now.subList(before.size(), now.size())) : Optional.empty();
    }

    /** Whether all attributes stay where they are; takes up those that are new behind them. */
    private static boolean grows(Entity one, Entity two, Map<Id, Id> owners) {
        List<Attribute> known = one.body().attributes();
        List<Attribute> all = two.body().attributes();
        boolean same = known.size() <= all.size();
        for (int i = 0; same && i < known.size(); i++) {
            same = known.get(i).id().equals(all.get(i).id());
        }
        if (same) {
            register(two.id(), all.subList(known.size(), all.size()), owners);
        }
        return same;
    }

    private static void register(Id owner, List<Attribute> attributes, Map<Id, Id> owners) {
        attributes.forEach(each -> owners.put(each.id(), owner));
    }
}
