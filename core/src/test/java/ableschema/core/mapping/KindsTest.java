package ableschema.core.mapping;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.design.Entity;
import ableschema.core.design.Topic;
import ableschema.core.edit.Edits;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Table;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Kinds that share the table of their general entity, what is set aside, and which tables survive which edit. */
class KindsTest {

    private static final DesignFixture VEHICLES = design(
            "Each van is a kind of vehicle (in one table).",
            "Each camper is a kind of van (in one table).",
            "Each vehicle has plate: text 9 (key), colour: text 20.",
            "Each van has load kg: whole (greater than 0), chassis: text 20, maker: text 20, kind: text 5 (default box).",
            "Each camper has beds: whole, [colour]: text 9.",
            "Each driver has no: whole (key).",
            "Each van is driven by exactly one driver; each driver drives any number of vans.",
            "Each vehicle is identified by its plate.",
            "Each van is identified by its vehicle.",
            "Each camper is identified by its van.",
            "No two vans share their chassis and maker.",
            "Each trip has no: whole (key).",
            "Each trip is made by exactly one camper; each camper makes any number of trips.");

    @Test
    void nested_kinds_lie_in_one_table_with_one_column_that_says_which() {
        Table vehicle = VEHICLES.table("vehicle");

        assertThat(VEHICLES.document().mapping().schema().tables())
                .extracting(Table::name)
                .containsExactly("vehicle", "driver", "trip");
        assertThat(vehicle.columns())
                .extracting(each -> each.name() + (each.nullable() ? "?" : ""))
                .containsExactly(
                        "plate",
                        "colour",
                        "kind_of_vehicle",
                        "load_kg?",
                        "chassis?",
                        "maker?",
                        "kind?",
                        "beds?",
                        "camper_colour?",
                        "driver_no?");
        assertThat(vehicle.column("kind").orElseThrow().defaultValue()).hasToString("'box'");
    }

    @Test
    void what_a_kind_must_have_is_checked_for_it_and_for_the_kinds_of_it() {
        assertThat(VEHICLES.table("vehicle").checks())
                .extracting(each -> each.expression().toString())
                .containsExactlyInAnyOrder(
                        "{load_kg} > 0",
                        "{kind_of_vehicle} in ('Vehicle', 'Van', 'Camper')",
                        "{kind_of_vehicle} not in ('Van', 'Camper') or {load_kg} is not null",
                        "{kind_of_vehicle} not in ('Van', 'Camper') or {chassis} is not null",
                        "{kind_of_vehicle} not in ('Van', 'Camper') or {maker} is not null",
                        "{kind_of_vehicle} not in ('Van', 'Camper') or {kind} is not null",
                        "{kind_of_vehicle} <> 'Camper' or {beds} is not null",
                        "{kind_of_vehicle} not in ('Van', 'Camper') or {driver_no} is not null");
    }

    @Test
    void a_rule_of_two_stays_one_of_two_and_references_lead_to_the_general_key() {
        assertThat(VEHICLES.table("vehicle").uniques())
                .extracting(Table.UniqueConstraint::columns)
                .containsExactly(List.of("chassis", "maker"));
        ForeignKey made = VEHICLES.table("trip").foreignKeys().get(0);
        assertThat(made.columns()).containsExactly("vehicle_plate");
        assertThat(made.targetColumns()).containsExactly("plate");
    }

    @Test
    void what_the_tables_cannot_hold_is_told() {
        assertThat(VEHICLES.gaps())
                .containsExactlyInAnyOrder(
                        "the default of kind of Van fills it in rows of other kinds too, where nothing is given",
                        "Trip refers to Vehicle: that the row is of kind Camper is left to the application");
    }

    @Test
    void a_kind_of_two_lies_with_the_first_and_refers_to_the_other() {
        DesignFixture two = design(
                "Each boat has no: whole (key).",
                "Each truck has plate: text 9 (key).",
                "Each amphibian is a kind of truck (in one table).",
                "Each amphibian is a kind of boat (in one table).",
                "Each amphibian has depth: whole.",
                "Each amphibian is identified by its truck.");

        assertThat(two.document().mapping().schema().tables())
                .extracting(Table::name)
                .containsExactly("boat", "truck");
        assertThat(two.table("truck").foreignKeys())
                .extracting(key -> key.target().name())
                .containsExactly("boat");
        assertThat(two.gaps()).anyMatch(text -> text.startsWith("Amphibian is a kind of two"));
        assertThat(two.table("truck").checks())
                .extracting(each -> each.expression().toString())
                .contains("{kind} <> 'Amphibian' or {boat_no} is not null");
    }

    @Test
    void a_key_of_which_a_part_is_set_aside_is_no_key() {
        DesignFixture made = design(
                "Each site has code: text 4 (key).",
                "Each stall has no: whole.",
                "Each stall stands on exactly one site; each site seats any number of stalls.",
                "Each stall is identified by its site and no.");
        DesignFixture aside = made.with(f -> new Edits(f.design(), f.ids()).setParked(f.entity("Site"), true));

        assertThat(made.table("stall").primaryKey().orElseThrow().columns()).containsExactly("site_code", "no");
        assertThat(aside.table("stall").primaryKey()).isEmpty();
        assertThat(aside.gaps())
                .containsExactly(
                        "a part of the key of Stall refers to Site, which is set aside, so that there is no primary key");
    }

    private static List<String> survivors(Mapping before, Mapping after) {
        return after.schema().tables().stream()
                .filter(table -> before.schema().tables().stream().anyMatch(each -> each == table))
                .map(Table::name)
                .toList();
    }

    @Test
    void tables_beside_kinds_survive_an_edit_and_so_does_the_table_of_the_kinds() {
        Mapping before = Mapping.NONE.after(VEHICLES.design(), NamingRules.USUAL, false);
        Mapping driver =
                before.after(VEHICLES.with("Each driver has name: text 40.").design(), NamingRules.USUAL, false);
        Mapping camper =
                before.after(VEHICLES.with("Each camper has stove: yes/no.").design(), NamingRules.USUAL, false);

        assertThat(survivors(before, driver))
                .as("the vehicles refer to drivers")
                .containsExactly("trip");
        assertThat(survivors(before, camper)).containsExactly("driver");
        Mapping trip = before.after(VEHICLES.with("Each trip has day: date.").design(), NamingRules.USUAL, false);
        assertThat(survivors(before, trip)).containsExactly("vehicle", "driver");
    }

    @Test
    void only_tables_whose_reason_changed_are_made_anew() {
        DesignFixture made = design("Each jar has no: whole (key).", "Each lid has no: whole (key).");
        Mapping before = Mapping.NONE.after(made.design(), NamingRules.USUAL, true);
        Entity jar = made.entity("Jar");
        var reasoned = made.design().with(made.design().notes().withReason(Topic.of(jar.id()), "It is sold."));
        Mapping after = before.after(reasoned, NamingRules.USUAL, true);

        assertThat(survivors(before, after)).containsExactly("lid");
        assertThat(after.schema().table("jar").orElseThrow().comment()).isEqualTo("Why: It is sold.");
    }

    @Test
    void tables_keyed_in_a_circle_survive_an_edit_of_another() {
        DesignFixture circle = design(
                "Each a has x: whole.",
                "Each b has y: whole.",
                "Each c has z: whole (key).",
                "Each a is in exactly one b; each b is in any number of as.",
                "Each b is of exactly one a; each a is of any number of bs.",
                "Each a is identified by its b and x.",
                "Each b is identified by its a and y.");
        Mapping before = Mapping.NONE.after(circle.design(), NamingRules.USUAL, false);
        Mapping after = before.after(circle.with("Each c has w: date.").design(), NamingRules.USUAL, false);

        assertThat(survivors(before, after)).containsExactly("a", "b");
        assertThat(circle.table("b").primaryKey().orElseThrow().columns()).hasSize(3);
        assertThat(before.undecided()).contains("A: B refers to an entity that has no key yet");
    }

    @Test
    void the_same_design_gives_the_same_mapping() {
        Mapping before = Mapping.NONE.after(VEHICLES.design(), NamingRules.USUAL, false);

        assertThat(before.after(VEHICLES.design(), NamingRules.USUAL, false)).isSameAs(before);
        assertThat(before.after(VEHICLES.design(), NamingRules.USUAL, true).schema())
                .isEqualTo(before.schema());
    }

    @Test
    void to_and_fro_between_layouts_the_general_entity_holds_the_rows_table() {
        Entity camper = VEHICLES.entity("Camper");

        assertThat(PhysicalDesign.tableHolder(VEHICLES.design(), camper.id()))
                .isEqualTo(VEHICLES.entity("Vehicle").id());
        assertThat(PhysicalDesign.tableHolder(
                        VEHICLES.design(), VEHICLES.entity("Driver").id()))
                .isEqualTo(VEHICLES.entity("Driver").id());
    }
}
