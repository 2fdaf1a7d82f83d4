package ableschema.core.review;

import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.Judgement;
import ableschema.core.design.KeyAnswer;
import ableschema.core.design.Relationship;
import ableschema.core.design.SubtypeLayout;
import ableschema.core.design.Volume;
import ableschema.core.mapping.PhysicalDesign;
import ableschema.core.schema.Table;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Finds the entities and relationships of which something that rules look at is another instance than before: themselves,
 * their relationships, what was said of them, or their tables, which are made anew with all that they refer to.
 */
final class Changes {

    private final Subject before;
    private final Subject now;
    private final Set<Id> changed = new HashSet<>();

    /** The owners of tables that differ, where a glance at all tables in their order tells; empty where it does not. */
    private final Optional<Set<Id>> differing;

    private Changes(Subject before, Subject now) {
        this.before = before;
        this.now = now;
        this.differing = differing();
    }

    private Optional<Set<Id>> differing() {
        List<Table> earlier = before.schema().tables();
        List<Table> later = now.schema().tables();
        boolean shared =
                now.design().relationships().stream().anyMatch(each -> each.subtype() == SubtypeLayout.ONE_TABLE);
        if (shared || earlier.size() != later.size()) {
            return Optional.empty();
        }
        var owners = new HashSet<Id>();
        for (int i = 0; i < later.size(); i++) {
            if (earlier.get(i) != later.get(i)) {
                owners.add(before.trace().owner(earlier.get(i)));
                owners.add(now.trace().owner(later.get(i)));
            }
        }
        return Optional.of(owners);
    }

    static Set<Id> between(Subject before, Subject now) {
        var changes = new Changes(before, now);
        changes.addChanged();
        changes.addRelationships();
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
        addExpected();
        addAnswered();
    }

    private boolean hasSameTable(Id owner) {
        return differing
                .map(owners -> !owners.contains(owner))
                .orElseGet(() ->
                        table(before, owner).orElse(null) == table(now, owner).orElse(null));
    }

    /** Its table; of a kind that has none, that of the general entity. */
    private static Optional<Table> table(Subject subject, Id owner) {
        Optional<Table> own = subject.table(owner);
        return own.isPresent() || subject.design().entity(owner).isEmpty()
                ? own
                : subject.table(PhysicalDesign.tableHolder(subject.design(), owner));
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

    /** Whether a key changes decides what references to it should do. */
    private void addAnswered() {
        List<KeyAnswer> earlier = before.document().design().notes().answers();
        List<KeyAnswer> later = now.document().design().notes().answers();
        if (earlier != later && !earlier.equals(later)) {
            Stream.concat(earlier.stream(), later.stream())
                    .filter(each -> !earlier.contains(each) || !later.contains(each))
                    .forEach(each ->
                            changed.add(now.design().ownerOf(each.about()).orElse(each.about())));
        }
    }

    /** How many rows are expected decides when numbers run out. */
    private void addExpected() {
        Map<Id, Volume> earlier = before.document().design().notes().volumes();
        Map<Id, Volume> later = now.document().design().notes().volumes();
        if (earlier != later && !earlier.equals(later)) {
            Stream.of(earlier, later)
                    .flatMap(each -> each.keySet().stream())
                    .filter(id -> !Objects.equals(earlier.get(id), later.get(id)))
                    .forEach(changed::add);
        }
    }

    /** The names of entities stand in what is found of their relationships. */
    private void addRelationships() {
        for (Id each : Set.copyOf(changed)) {
            now.relationshipsOf(each).forEach(relationship -> changed.add(relationship.id()));
        }
    }
}
