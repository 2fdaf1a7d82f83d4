package ableschema.core.rows;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.design.Id;
import ableschema.core.types.ReferenceAction;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** What the actions of references reach, over several levels. */
class DeletionTest {

    private static DesignFixture piers() {
        return design(
                        "Each pier has code: text 4 (key).",
                        "Each berth has no: whole (key).",
                        "Each stay has no: whole (key).",
                        "Each fee has no: whole (key).",
                        "Each lamp has no: whole (key).",
                        "Each berth lies at exactly one pier; each pier has any number of berths (on delete cascade).",
                        "Each stay is at at most one berth; each berth serves any number of stays (on delete set null).",
                        "Each fee is for exactly one berth; each berth brings any number of fees (on delete cascade).",
                        "Each lamp lights exactly one fee; each fee pays any number of lamps.")
                .filled("Pier", "code\nA\nB\n")
                .filled("Berth", "no,pier\n1,A\n2,A\n3,B\n")
                .filled("Stay", "no,berth\n1,1\n2,3\n")
                .filled("Fee", "no,berth\n1,1\n2,3\n")
                .filled("Lamp", "no,fee\n1,2\n");
    }

    private static Id row(DesignFixture made, String entity, int place) {
        return made.entity(entity).body().rows().get(place).id();
    }

    @Test
    void the_reach_over_all_levels_follows_from_the_diagram_alone() {
        DesignFixture piers = piers();
        assertThat(Deletion.reach(
                        piers.document().mapping(), piers.entity("Pier").id()))
                .extracting(reach -> reach.level() + " " + piers.design().nameOf(reach.owner()) + " " + reach.does())
                .containsExactly("1 Berth CASCADE", "2 Stay SET_NULL", "2 Fee CASCADE", "3 Lamp NO_ACTION");
        assertThat(Deletion.reach(
                        piers.document().mapping(), piers.entity("Fee").id()))
                .containsExactly(new Reach(1, piers.entity("Lamp").id(), ReferenceAction.NO_ACTION));
    }

    @Test
    void rows_go_stay_without_or_refuse() {
        DesignFixture piers = piers();
        Deletion ofA = Deletion.of(piers.document().mapping(), row(piers, "Pier", 0));
        assertThat(ofA.isRefused()).isFalse();
        assertThat(ofA.deleted())
                .isEqualTo(Map.of(
                        piers.entity("Pier").id(), Set.of(row(piers, "Pier", 0)),
                        piers.entity("Berth").id(), Set.of(row(piers, "Berth", 0), row(piers, "Berth", 1)),
                        piers.entity("Fee").id(), Set.of(row(piers, "Fee", 0))));
        assertThat(ofA.emptied()).isEqualTo(Map.of(piers.entity("Stay").id(), Set.of(row(piers, "Stay", 0))));
        assertThat(ofA.disputed()).isEmpty();

        Deletion ofB = Deletion.of(piers.document().mapping(), row(piers, "Pier", 1));
        assertThat(ofB.isRefused()).isTrue();
        assertThat(ofB.refusing()).isEqualTo(Map.of(piers.entity("Lamp").id(), Set.of(row(piers, "Lamp", 0))));
    }

    @Test
    void a_row_that_goes_by_another_way_is_in_dispute() {
        DesignFixture two = design(
                        "Each pier has code: text 4 (key).",
                        "Each berth has no: whole (key).",
                        "Each berth lies at exactly one pier; each pier has any number of berths (on delete cascade).",
                        "Each berth is lit from exactly one pier; each pier lights any number of berths (second as light).")
                .filled("Pier", "code\nA\n");
        DesignFixture berth = two.filled("Berth", "no,pier,light\n1,A,A\n");
        Deletion ofA = Deletion.of(berth.document().mapping(), row(berth, "Pier", 0));

        assertThat(ofA.isRefused()).isFalse();
        assertThat(ofA.disputed().keySet())
                .containsExactly(berth.entity("Berth").id());
    }

    @Test
    void it_is_said_level_by_level_and_on_the_sample_rows() {
        DesignFixture piers = piers();
        var said = new ReachText(piers.design(), piers.document().mapping());

        assertThat(said.deleting(piers.entity("Pier").id()))
                .containsExactly(
                        "at once: berths go too",
                        "2 levels down: stays stay without it; fees go too",
                        "3 levels down: lamps hold it back");
        assertThat(said.deleting(piers.entity("Lamp").id())).isEmpty();
        assertThat(said.deletingRows(piers.entity("Pier").id()))
                .isEqualTo("of 2 sample rows 1 could go, and with it 2 berths and 1 fee; 1 is held back by 1 lamp");
        assertThat(said.deletingRows(piers.entity("Fee").id()))
                .isEqualTo("of 2 sample rows 1 could go; 1 is held back by 1 lamp");
        DesignFixture lit = piers.filled("Lamp", "no,fee\n1,2\n2,1\n3,1\n");
        assertThat(new ReachText(lit.design(), lit.document().mapping())
                        .deletingRows(lit.entity("Fee").id()))
                .isEqualTo("none of the 2 sample rows could go, for 3 lamps");
        assertThat(said.deletingRows(piers.entity("Lamp").id())).isEqualTo("of 1 sample row 1 could go");
    }

    @Test
    void of_a_hub_only_some_tables_are_named() {
        DesignFixture hub = design("Each pier has code: text 4 (key).");
        for (int i = 0; i < 11; i++) {
            hub = hub.with(
                    "Each \"part " + i + "\" has no: whole (key).",
                    "Each \"part " + i + "\" is of exactly one pier; each pier has any number of \"part " + i + "\".");
        }
        assertThat(new ReachText(hub.design(), hub.document().mapping())
                        .deleting(hub.entity("Pier").id()))
                .singleElement()
                .asString()
                .startsWith("at once: ")
                .endsWith(" and 3 more hold it back");
    }

    @Test
    void of_very_many_rows_nothing_is_worked_out_while_somebody_waits() {
        String lamps =
                IntStream.range(0, 2_001).mapToObj(i -> i + ",2\n").collect(Collectors.joining("", "no,fee\n", ""));
        DesignFixture many = piers().filled("Lamp", lamps);

        assertThat(new ReachText(many.design(), many.document().mapping())
                        .deletingRows(many.entity("Pier").id()))
                .isEmpty();
    }
}
