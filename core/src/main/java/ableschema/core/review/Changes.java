package ableschema.core.review;

import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.Judgement;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import java.util.ArrayDeque;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Queue;
import java.util.Set;

/**
 * Finds the entities and relationships of which something that rules look at is another instance than before: themselves,
 * their tables, their relationships and what these lead to, and what their rows refer to, however far.
 */
final class Changes {

    private final Subject before;
    private final Subject now;
    private final Set<Id> changed = new HashSet<>();

    private Changes(Subject before, Subject now) {
        this.before = before;
        this.now = now;
    }

    static Set<Id> between(Subject before, Subject now) {
        var changes = new Changes(before, now);
        changes.addChanged();
        changes.spread();
        return changes.changed;
    }

    private void addChanged() {
        for (Entity each : now.design().entities()) {
            boolean same = before.design().entity(each.id()).orElse(null) == each && hasSameTable(each.id());
            if (!same) {
                changed.add(each.id());
            }
        }
        for (Relationship each : now.design().relationships()) {
            boolean same = before.design().relationship(each.id()).orElse(null) == each && hasSameTable(each.id());
            if (!same) {
                add(each);
                before.design().relationship(each.id()).ifPresent(this::add);
            }
        }
        for (Relationship each : before.design().relationships()) {
            if (now.design().relationship(each.id()).isEmpty()) {
                add(each);
            }
        }
        addJudged(now, before);
        addJudged(before, now);
    }

    private boolean hasSameTable(Id owner) {
        return before.table(owner).orElse(null) == now.table(owner).orElse(null);
    }

    private void add(Relationship relationship) {
        changed.add(relationship.id());
        changed.add(relationship.first().entity());
        changed.add(relationship.second().entity());
    }

    private void addJudged(Subject one, Subject other) {
        List<Judgement> known = other.document().design().notes().judgements();
        List<Judgement> all = one.document().design().notes().judgements();
        if (all != known) {
            all.stream()
                    .filter(each -> !known.contains(each))
                    .map(Judgement::about)
                    .forEach(changed::add);
        }
    }

    /** From each entity to its relationships, to what refers to it, and on to all rows that its values may show in. */
    private void spread() {
        Queue<Id> open = new ArrayDeque<>(changed);
        var direct = Set.copyOf(changed);
        var seen = new HashSet<>(changed);
        while (!open.isEmpty()) {
            Id entity = open.remove();
            for (Relationship each : now.relationshipsOf(entity)) {
                if (direct.contains(entity)) {
                    changed.add(each.id());
                }
                for (Side side : each.referencedSides()) {
                    Id holder = each.referencing().orElse(each.id());
                    boolean refers = each.end(side).entity().equals(entity);
                    if (refers && (direct.contains(entity) || hasRows(holder))) {
                        changed.add(holder);
                    }
                    if (refers && seen.add(holder)) {
                        open.add(holder);
                    }
                }
            }
        }
    }

    private boolean hasRows(Id owner) {
        return Optional.of(owner)
                .flatMap(now.design()::body)
                .filter(body -> !body.rows().isEmpty())
                .isPresent();
    }
}
