package ableschema.core.design;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Stream;

/** Makes sure that no two things of a design have the same id; after a change it looks only for what is new. */
final class UsedIds {

    private final Design design;

    UsedIds(Design design) {
        this.design = design;
    }

    /** An {@link IllegalArgumentException} names an id that is used twice. */
    void requireOnce(Optional<Design> before) {
        var owners = new HashSet<Id>();
        owners(design).forEach(id -> add(owners, id));
        if (before.isPresent()) {
            List<Body> gone = new ArrayList<>();
            List<Body> come = new ArrayList<>();
            changed(before.get().entities(), design.entities(), Entity::body, gone, come);
            changed(before.get().relationships(), design.relationships(), Relationship::body, gone, come);
            requireFreshOnce(before.get(), gone, come);
        } else {
            var seen = new HashSet<Id>();
            each(EnumSet.allOf(IdKind.class), id -> add(seen, id));
        }
    }

    /** The same for a design that has grown from another. */
    void requireOnceMore(Design before, Growth growth) {
        var owners = new HashSet<Id>();
        Stream.concat(
                        growth.entities().stream().map(Entity::id),
                        growth.relationships().stream().map(Relationship::id))
                .forEach(id -> {
                    add(owners, id);
                    requireUnknown(before, id);
                });
        if (before.domains() != design.domains()) {
            var all = new HashSet<Id>();
            owners(design).forEach(id -> add(all, id));
        }
        List<Body> come = new ArrayList<>();
        growth.changedTo().forEach(each -> come.add(each.body()));
        growth.entities().forEach(each -> come.add(each.body()));
        growth.relationships().forEach(each -> come.add(each.body()));
        requireFreshOnce(before, growth.changed().stream().map(Entity::body).toList(), come);
    }

    private static void requireUnknown(Design before, Id id) {
        if (before.knows(id)) {
            throw new IllegalArgumentException("two things have the id " + id);
        }
    }

    /** An attribute that is new is looked up; of all else that is new there is little. */
    private void requireFreshOnce(Design before, List<Body> gone, List<Body> come) {
        Set<Id> fresh = fresh(gone, come);
        fresh.stream().filter(id -> id.kind() == IdKind.ATTRIBUTE).forEach(id -> requireUnknown(before, id));
        fresh.removeIf(id -> id.kind() == IdKind.ATTRIBUTE);
        if (!fresh.isEmpty()) {
            var seen = new HashSet<Id>();
            each(kinds(fresh), id -> {
                if (fresh.contains(id)) {
                    add(seen, id);
                }
            });
        }
    }

    private static void add(Set<Id> seen, Id id) {
        if (!seen.add(id)) {
            throw new IllegalArgumentException("two things have the id " + id);
        }
    }

    private static Set<IdKind> kinds(Set<Id> ids) {
        var kinds = EnumSet.noneOf(IdKind.class);
        ids.forEach(id -> kinds.add(id.kind()));
        return kinds;
    }

    /** The ids that stand in changed bodies and stood in none of the bodies that they take the place of. */
    private static Set<Id> fresh(List<Body> gone, List<Body> come) {
        var all = EnumSet.allOf(IdKind.class);
        var old = new HashSet<Id>();
        gone.forEach(body -> each(body, all, old::add));
        var fresh = new HashSet<Id>();
        come.forEach(body -> each(body, all, id -> {
            if (!old.remove(id)) {
                add(fresh, id);
            }
        }));
        return fresh;
    }

    /** Gathers the bodies that are other instances; most lists differ in few places, so they are compared place by place. */
    private static <T> void changed(
            List<T> before, List<T> now, Function<T, Body> body, List<Body> gone, List<Body> come) {
        int shared = Math.min(before.size(), now.size());
        for (int i = 0; i < shared; i++) {
            Body one = body.apply(before.get(i));
            Body other = body.apply(now.get(i));
            if (one != other) {
                gone.add(one);
                come.add(other);
            }
        }
        before.subList(shared, before.size()).forEach(each -> gone.add(body.apply(each)));
        now.subList(shared, now.size()).forEach(each -> come.add(body.apply(each)));
    }

    private static Stream<Id> owners(Design design) {
        return Stream.of(
                        design.entities().stream().map(Entity::id),
                        design.relationships().stream().map(Relationship::id),
                        design.domains().stream().map(Domain::id))
                .flatMap(ids -> ids);
    }

    private static Stream<Body> bodies(Design design) {
        return Stream.concat(
                        design.entities().stream().map(Entity::body),
                        design.relationships().stream().map(Relationship::body))
                .filter(body -> body != Body.EMPTY);
    }

    private void each(Set<IdKind> kinds, Consumer<Id> seen) {
        bodies(design).forEach(body -> each(body, kinds, seen));
    }

    private static void each(Body body, Set<IdKind> kinds, Consumer<Id> seen) {
        if (kinds.contains(IdKind.ATTRIBUTE)) {
            body.attributes().forEach(attribute -> seen.accept(attribute.id()));
        }
        body.uniques().forEach(unique -> seen.accept(unique.id()));
        body.checks().forEach(check -> seen.accept(check.id()));
        body.indexes().forEach(index -> seen.accept(index.id()));
        body.dependencies().forEach(dependency -> seen.accept(dependency.id()));
        body.refused().forEach(dependency -> seen.accept(dependency.id()));
        if (kinds.contains(IdKind.ROW)) {
            body.rows().forEach(row -> seen.accept(row.id()));
        }
    }
}
