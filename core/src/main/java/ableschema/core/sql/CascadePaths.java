package ableschema.core.sql;

import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Part.Kind;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import ableschema.core.sql.dialect.Ability;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Shortfall;
import ableschema.core.types.ReferenceAction;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Some databases refuse a foreign key whose action would let a deletion, or a change of a key, come to one table by two ways, or in a
 * circle. Of such ways the later one, in the order of the tables, stands without its action.
 *
 * @param schema     the schema with those actions that can stand
 * @param shortfalls the foreign keys that lost theirs, with the two ways, and those that are left out
 */
record CascadePaths(Schema schema, List<Shortfall> shortfalls) {

    static CascadePaths of(Schema schema, Dialect dialect) {
        CascadePaths left = LostReferences.left(schema, dialect);
        return dialect.can(Ability.SEVERAL_CASCADES) ? left : new Cut(left.schema(), dialect).paths(left.shortfalls());
    }

    /** Those of one table. */
    List<Shortfall> of(Table table) {
        return shortfalls.stream()
                .filter(each -> each.place().table().equals(table.qualified()))
                .toList();
    }

    private static boolean acts(ReferenceAction action) {
        return action != ReferenceAction.NO_ACTION && action != ReferenceAction.RESTRICT;
    }

    private static final class Cut {
        private final Schema schema;
        private final Dialect dialect;
        private final Ways deletions;
        private final Ways updates;
        private final List<Shortfall> shortfalls = new ArrayList<>();

        Cut(Schema schema, Dialect dialect) {
            this.schema = schema;
            this.dialect = dialect;
            List<TableName> tables =
                    schema.tables().stream().map(Table::qualified).toList();
            this.deletions = new Ways(tables);
            this.updates = new Ways(tables);
        }

        CascadePaths paths(List<Shortfall> before) {
            shortfalls.addAll(before);
            List<Table> tables = schema.tables().stream().map(this::cut).toList();
            return new CascadePaths(schema.withTables(tables), List.copyOf(shortfalls));
        }

        private Table cut(Table table) {
            List<ForeignKey> keys =
                    table.foreignKeys().stream().map(key -> cut(table, key)).toList();
            return keys.equals(table.foreignKeys()) ? table : table.withForeignKeys(keys);
        }

        private ForeignKey cut(Table table, ForeignKey key) {
            ForeignKey kept = key;
            if (acts(dialect.deleting(key.onDelete())) && isSecond(table, key, deletions, "delete")) {
                kept = kept.withOnDelete(ReferenceAction.NO_ACTION);
            }
            if (acts(dialect.updating(key.onUpdate())) && isSecond(table, key, updates, "update")) {
                kept = kept.withOnUpdate(ReferenceAction.NO_ACTION);
            }
            return kept;
        }

        private boolean isSecond(Table table, ForeignKey key, Ways ways, String event) {
            Optional<String> second = ways.add(key.target(), table.qualified());
            second.ifPresent(why -> shortfalls.add(new Shortfall(
                    dialect.label(),
                    Ability.SEVERAL_CASCADES,
                    table.part(Kind.FOREIGN_KEY, key.name()),
                    "on " + event + " it is NO ACTION, since it would run " + why)));
            return second.isPresent();
        }
    }

    /** The ways taken so far; from no table do two lead to another. */
    private static final class Ways {
        private final List<TableName> tables;
        private final Map<TableName, Integer> places = new HashMap<>();
        private final List<List<Integer>> next = new ArrayList<>();
        private final List<BitSet> reached = new ArrayList<>();

        Ways(List<TableName> tables) {
            this.tables = tables;
            for (TableName table : tables) {
                places.put(table, places.size());
                next.add(new ArrayList<>());
                var itself = new BitSet();
                itself.set(reached.size());
                reached.add(itself);
            }
        }

        /** Takes a way from parent to child; empty where it can be taken, else by which ways it would run. */
        Optional<String> add(TableName parent, TableName child) {
            Integer from = places.get(parent);
            Integer to = places.get(child);
            if (from == null || to == null) {
                return Optional.empty(); // refers to nothing that is here
            }
            if (reached.get(to).get(from)) {
                return Optional.of("in a circle: " + said(Stream.concat(Stream.of(from), way(to, from).stream())));
            }
            for (int start = 0; start < tables.size(); start++) {
                if (reached.get(start).get(from) && reached.get(start).intersects(reached.get(to))) {
                    var both = (BitSet) reached.get(to).clone();
                    both.and(reached.get(start));
                    int end = both.nextSetBit(0);
                    return Optional.of("by two ways: " + said(way(start, end).stream()) + " and "
                            + said(Stream.concat(way(start, from).stream(), way(to, end).stream())));
                }
            }
            next.get(from).add(to);
            for (BitSet each : reached) {
                if (each.get(from)) {
                    each.or(reached.get(to));
                }
            }
            return Optional.empty();
        }

        private String said(Stream<Integer> way) {
            return String.join(
                    " > ", way.map(place -> tables.get(place).toString()).toList());
        }

        /** The one way from a table to another that it reaches, both included. */
        private List<Integer> way(int start, int end) {
            int[] before = new int[tables.size()];
            Arrays.fill(before, -1);
            var waiting = new ArrayDeque<>(List.of(start));
            while (!waiting.isEmpty()) {
                int at = waiting.poll();
                for (int child : next.get(at)) {
                    before[child] = at;
                    waiting.add(child);
                }
            }
            var way = new ArrayDeque<Integer>();
            for (int at = end; at != start; at = before[at]) {
                way.addFirst(at);
            }
            way.addFirst(start);
            return List.copyOf(way);
        }
    }
}
