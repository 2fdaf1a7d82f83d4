package ableschema.core.sql;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.rows.DesignScript;
import ableschema.core.schema.Column;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.types.DataType;
import ableschema.core.types.ReferenceAction;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Where a database refuses that a deletion comes to one table by two ways, the script has one. */
class CascadePathsTest {

    private static final String TABLES =
            "Each pier has no: whole (key). Each berth has no: whole (key)." + " Each stay has no: whole (key).";

    private static DesignFixture harbour(String... rules) {
        var lines = new ArrayList<>(List.of(TABLES.split("(?<=\\.) ")));
        lines.addAll(List.of(rules));
        return design(lines.toArray(String[]::new));
    }

    private static final DesignFixture TWO_WAYS = harbour(
            "Each berth lies at exactly one pier; each pier has any number of berths (on delete cascade).",
            "Each stay is at exactly one berth; each berth has any number of stays (on delete cascade).",
            "Each stay is billed by exactly one pier; each pier bills any number of stays (on delete cascade).");

    private static Script script(DesignFixture made, String dialect) {
        return DesignScript.definitions(
                made.document().mapping(), Dialects.named(dialect).orElseThrow());
    }

    @Test
    void the_second_way_stands_without_its_action_and_both_are_named() {
        assertThat(script(TWO_WAYS, "sqlserver").text().split("ON DELETE CASCADE"))
                .hasSize(3);
        assertThat(script(TWO_WAYS, "sqlserver").shortfalls())
                .extracting(each -> each.text())
                .anyMatch(text -> text.contains("by two ways: pier > berth > stay and pier > stay"));
        assertThat(script(TWO_WAYS, "postgresql").text().split("ON DELETE CASCADE"))
                .hasSize(4);
        assertThat(Shortfalls.ofWhole(TWO_WAYS.schema(), Dialects.SQL_SERVER))
                .extracting(each -> each.place().name())
                .contains(TWO_WAYS.table("stay").foreignKeys().get(1).name());
        assertThat(Shortfalls.ofWhole(TWO_WAYS.schema(), Dialects.POSTGRESQL))
                .noneMatch(each -> each.text().contains("ways"));
    }

    @Test
    void a_circle_and_a_reference_to_itself_are_cut() {
        DesignFixture itself = harbour(
                "Each pier is behind at most one pier; each pier hides any number of piers (on delete cascade).");

        assertThat(script(itself, "sqlserver").text()).doesNotContain("CASCADE\n");
        assertThat(script(itself, "sqlserver").shortfalls())
                .extracting(each -> each.text())
                .anyMatch(text -> text.contains("in a circle: pier > pier"));
    }

    /** Held against counting all ways from every table, on random tables. */
    @Test
    void no_two_ways_are_left_and_none_is_cut_that_could_stand() {
        for (int seed = 0; seed < 300; seed++) {
            Schema schema = random(new Random(seed));
            Schema cut = CascadePaths.of(schema, Dialects.SQL_SERVER).schema();

            assertThat(mostWays(edges(cut))).as("seed %d", seed).isLessThanOrEqualTo(1);
            for (int i = 0; i < schema.tables().size(); i++) {
                for (int j = 0; j < schema.tables().get(i).foreignKeys().size(); j++) {
                    ForeignKey wanted = schema.tables().get(i).foreignKeys().get(j);
                    ForeignKey kept = cut.tables().get(i).foreignKeys().get(j);
                    if (!wanted.equals(kept)) {
                        var more = edges(cut);
                        more.computeIfAbsent(wanted.target(), t -> new ArrayList<>())
                                .add(schema.tables().get(i).qualified());
                        assertThat(mostWays(more))
                                .as("seed %d, cut %s", seed, wanted)
                                .isGreaterThan(1);
                    }
                }
            }
        }
    }

    private static Schema random(Random random) {
        int count = 2 + random.nextInt(6);
        var tables = new ArrayList<Table>();
        for (int i = 0; i < count; i++) {
            var keys = new ArrayList<ForeignKey>();
            for (int k = random.nextInt(3); k > 0; k--) {
                keys.add(new ForeignKey(
                        "f" + i + "_" + k,
                        List.of("id"),
                        TableName.of("t" + random.nextInt(count)),
                        List.of("id"),
                        random.nextInt(4) == 0 ? ReferenceAction.NO_ACTION : ReferenceAction.CASCADE,
                        ReferenceAction.NO_ACTION,
                        false));
            }
            Column id = Column.of("id", new DataType.Whole(0));
            tables.add(Table.of(TableName.of("t" + i), List.of(id)).withForeignKeys(keys));
        }
        return new Schema(List.of(), tables);
    }

    private static Map<TableName, List<TableName>> edges(Schema schema) {
        var edges = new HashMap<TableName, List<TableName>>();
        schema.tables().forEach(table -> table.foreignKeys().stream()
                .filter(key -> key.onDelete() == ReferenceAction.CASCADE)
                .forEach(key -> edges.computeIfAbsent(key.target(), t -> new ArrayList<>())
                        .add(table.qualified())));
        return edges;
    }

    /** The most ways by which one table comes to another; a circle comes to itself by more than one. */
    private static int mostWays(Map<TableName, List<TableName>> edges) {
        int most = 0;
        for (TableName start : edges.keySet()) {
            var count = new HashMap<TableName, Integer>(Map.of(start, 1));
            walk(start, edges, count, 0);
            most = Math.max(most, count.values().stream().max(Integer::compare).orElse(0));
        }
        return most;
    }

    private static void walk(
            TableName at, Map<TableName, List<TableName>> edges, Map<TableName, Integer> count, int depth) {
        for (TableName next : Optional.ofNullable(edges.get(at)).orElse(List.of())) {
            count.merge(next, 1, Integer::sum);
            if (depth < 8) {
                walk(next, edges, count, depth + 1);
            }
        }
    }
}
