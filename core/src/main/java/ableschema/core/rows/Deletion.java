package ableschema.core.rows;

import ableschema.core.design.Id;
import ableschema.core.mapping.Mapping;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import ableschema.core.types.ReferenceAction;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What becomes of other rows when one is deleted, by the actions of the references to it, over however many levels.
 *
 * @param deleted  the rows that go, the one itself among them, by the owner of their table
 * @param emptied  the rows that stay and lose their reference, or get its default
 * @param refusing the rows on account of which nothing is deleted at all; where there are any, none of the others changes
 * @param disputed rows that would refuse if they were not deleted themselves, by another reference or as the row itself refers to
 *                 itself; some databases refuse all the same, by the order in which they look
 */
public record Deletion(
        Map<Id, Set<Id>> deleted, Map<Id, Set<Id>> emptied, Map<Id, Set<Id>> refusing, Map<Id, Set<Id>> disputed) {

    /** Whether nothing is deleted, as rows refer to it that may not be left behind. */
    public boolean isRefused() {
        return !refusing.isEmpty();
    }

    /** Every table that deleting a row of the owner's may reach; where rows go, those that refer to them are reached too. */
    public static List<Reach> reach(Mapping mapping, Id owner) {
        Map<TableName, List<Child>> referring = new HashMap<>();
        for (Table table : mapping.schema().tables()) {
            for (ForeignKey key : table.foreignKeys()) {
                referring
                        .computeIfAbsent(key.target(), name -> new ArrayList<>())
                        .add(new Child(mapping.trace().owner(table), key.onDelete()));
            }
        }
        var reached = new LinkedHashSet<Reach>();
        Map<Id, Integer> levels = new HashMap<>();
        levels.put(owner, 0);
        var pending = new ArrayDeque<>(List.of(owner));
        while (!pending.isEmpty()) {
            Id parent = pending.remove();
            int level = levels.getOrDefault(parent, 0) + 1;
            mapping.trace()
                    .tableOf(parent)
                    .map(Table::qualified)
                    .map(referring::get)
                    .ifPresent(children -> {
                        for (Child child : children) {
                            reached.add(new Reach(level, child.owner(), child.does()));
                            if (child.does() == ReferenceAction.CASCADE
                                    && levels.putIfAbsent(child.owner(), level) == null) {
                                pending.add(child.owner());
                            }
                        }
                    });
        }
        return List.copyOf(reached);
    }

    /** A table that refers to another, and what it does when a row there goes. */
    private record Child(Id owner, ReferenceAction does) {}

    /** What deleting one sample row does to the others. */
    public static Deletion of(Mapping mapping, Id row) {
        return of(new Referring(mapping), row);
    }

    static Deletion of(Referring referring, Id first) {
        Set<Id> deleted = new LinkedHashSet<>();
        Set<Id> emptied = new LinkedHashSet<>();
        Set<Id> holding = new LinkedHashSet<>();
        var pending = new ArrayDeque<>(List.of(first));
        deleted.add(first);
        while (!pending.isEmpty()) {
            for (Referring.Reference each : referring.to(pending.remove())) {
                switch (each.key().onDelete()) {
                    case CASCADE -> {
                        if (deleted.add(each.row())) {
                            pending.add(each.row());
                        }
                    }
                    case SET_NULL, SET_DEFAULT -> (each.mayBeEmpty() ? emptied : holding).add(each.row());
                    case RESTRICT, NO_ACTION -> holding.add(each.row());
                }
            }
        }
        Set<Id> refusing = new LinkedHashSet<>(holding);
        refusing.removeAll(deleted);
        holding.retainAll(deleted);
        emptied.removeAll(deleted);
        return new Deletion(
                referring.byOwner(deleted),
                referring.byOwner(emptied),
                referring.byOwner(refusing),
                referring.byOwner(holding));
    }
}
