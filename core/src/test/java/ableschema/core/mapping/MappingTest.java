package ableschema.core.mapping;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.design.Cardinality;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import ableschema.core.edit.ChangeEntity;
import ableschema.core.edit.Edits;
import ableschema.core.edit.PutRelationship;
import ableschema.core.schema.Column;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import java.util.List;
import org.junit.jupiter.api.Test;

class MappingTest {

    private static final DesignFixture APIARIES = design(
            "Each apiary has code: text 6 (key), name: text 60.",
            "Each hive has stand no: whole 500 (key), colour: text 20 (optional).",
            "Each hive stands in exactly one apiary; each apiary shelters any number of hives.");

    private static List<String> columns(Table table) {
        return table.columns().stream()
                .map(c -> c.name() + " " + c.type() + (c.nullable() ? " null" : ""))
                .toList();
    }

    @Test
    void the_many_side_refers_to_the_one_side_with_the_type_of_its_key() {
        Table hive = APIARIES.table("hive");

        assertThat(columns(hive)).containsExactly("stand_no whole 500", "colour text 20 null", "apiary_code text 6");
        assertThat(hive.foreignKeys().get(0).target()).isEqualTo(TableName.of("apiary"));
        assertThat(hive.foreignKeys().get(0).name()).isEqualTo("hive_stands_in_apiary");
        assertThat(hive.indexes()).extracting(Table.TableIndex::name).containsExactly("hive_apiary_code_index");
    }

    @Test
    void turning_the_relationship_round_moves_the_foreign_key_across() {
        Relationship before = APIARIES.design().relationships().get(0);
        Relationship turned = before.with(Side.FIRST, before.first().withCardinality(Cardinality.AT_MOST_ONE))
                .with(Side.SECOND, before.second().withCardinality(Cardinality.ANY_NUMBER));
        DesignFixture changed = APIARIES.with(new PutRelationship(turned, "turn"));

        assertThat(changed.table("hive").foreignKeys()).isEmpty();
        assertThat(columns(changed.table("apiary"))).contains("hive_stand_no whole 500 null");
    }

    @Test
    void a_weak_entity_takes_its_parents_key_into_its_own() {
        DesignFixture weak = APIARIES.with(f -> new Edits(f.design(), f.ids())
                .setIdentifying(f.design().relationships().get(0), true));
        Table hive = weak.table("hive");

        assertThat(hive.primaryKey().orElseThrow().columns()).containsExactly("apiary_code", "stand_no");
        assertThat(hive.indexes())
                .as("the key's own index serves the foreign key")
                .isEmpty();
        DesignFixture deeper =
                weak.with("Each hive yields any number of harvests; each harvest is taken from exactly one hive.");
        assertThat(columns(deeper.table("harvest")))
                .containsExactly("hive_apiary_code text 6", "hive_stand_no whole 500");
    }

    @Test
    void a_foreign_key_is_never_numbered_by_itself() {
        DesignFixture made = design(
                "Each keeper has keeper no: counted 101 (key).",
                "Each keeper mentors any number of keepers; each keeper is mentored by at most one keeper.");
        Relationship mentors = made.design().relationships().get(0);
        DesignFixture named = made.with(
                new PutRelationship(mentors.with(Side.FIRST, mentors.first().withRole("mentor")), "name the role"));

        assertThat(columns(named.table("keeper"))).containsExactly("keeper_no whole", "mentor_no whole null");
        assertThat(columns(made.table("keeper")))
                .containsExactly("keeper_no whole", "mentored_by_keeper_no whole null");
    }

    @Test
    void many_to_many_becomes_a_junction_table_with_both_keys() {
        DesignFixture made = APIARIES.with(
                "Each plant has name: text 40 (key).",
                "Each apiary offers any number of plants; each plant grows at any number of apiaries.");
        Table junction = made.table("apiary_plant");

        assertThat(junction.primaryKey().orElseThrow().columns()).containsExactly("apiary_code", "plant_name");
        assertThat(junction.foreignKeys())
                .extracting(key -> key.target().name())
                .containsExactly("apiary", "plant");
        assertThat(junction.indexes())
                .extracting(Table.TableIndex::name)
                .containsExactly("apiary_plant_plant_name_index");
    }

    @Test
    void one_to_one_is_a_unique_foreign_key_where_the_partner_must_be() {
        DesignFixture made = design(
                "Each queen has ring: text 8 (key).",
                "Each hive has code: text 6 (key).",
                "Each queen heads at most one hive; each hive is headed by exactly one queen.");
        Table hive = made.table("hive");

        assertThat(columns(hive)).containsExactly("code text 6", "queen_ring text 8");
        assertThat(hive.uniques()).extracting(Table.UniqueConstraint::columns).containsExactly(List.of("queen_ring"));
    }

    @Test
    void what_is_undecided_is_derived_as_such() {
        DesignFixture open = design(
                "Each apiary has name.",
                "Each hive has stand no: whole (key).",
                "Each hive stands in exactly one apiary; each apiary shelters any number of hives.");

        assertThat(columns(open.table("hive"))).containsExactly("stand_no whole", "apiary undecided");
        assertThat(open.document().mapping().undecided())
                .containsExactlyInAnyOrder(
                        "Apiary: name has no type yet", "Hive: Apiary refers to an entity that has no key yet");
    }

    @Test
    void entities_that_are_keyed_by_each_other_do_not_hang_it() {
        DesignFixture made = design("Each a has x: whole (key).", "Each b has y: whole (key).")
                .with(
                        "Each a is in exactly one b; each b is in any number of as.",
                        "Each b is of exactly one a; each a is of any number of bs.");
        DesignFixture circle = made.with(f -> new Edits(f.design(), f.ids())
                        .setIdentifying(f.design().relationships().get(0), true))
                .with(f -> new Edits(f.design(), f.ids())
                        .setIdentifying(f.design().relationships().get(1), true));

        assertThat(circle.document().mapping().undecided()).isNotEmpty();
    }

    @Test
    void names_are_kept_apart_and_short_enough_for_every_dialect() {
        String longName = "x".repeat(200);
        DesignFixture made = design("Each hive has code: text 6 (key), \"code!\": text 7, \"" + longName
                + "1\": date, \"" + longName + "2\": date.");
        List<String> names =
                made.table("hive").columns().stream().map(Column::name).toList();

        assertThat(names).doesNotHaveDuplicates().allMatch(name -> name.length() <= 63);
        assertThat(names).contains("code", "code_2");
    }

    @Test
    void a_changed_key_carries_through_to_all_that_refer_to_it() {
        DesignFixture renumbered = APIARIES.with("Each apiary has no: counted.")
                .with(f -> new Edits(f.design(), f.ids())
                        .chooseKey(
                                f.entity("Apiary").id(),
                                List.<KeyPart>of(f.attribute("Apiary", "no").ref())));

        assertThat(columns(renumbered.table("hive")))
                .contains("apiary_no whole")
                .doesNotContain("apiary_code text 6");
        assertThat(renumbered.table("hive").columns())
                .noneMatch(c -> c.identity().isPresent());
    }

    @Test
    void pinned_names_stand_as_they_are_and_trace_leads_back() {
        var hive = APIARIES.entity("Hive");
        DesignFixture pinned = APIARIES.with(
                new ChangeEntity(hive.withPins(hive.pins().withName("tblHive").withNamespace("bees")), "pin"));
        Table table = pinned.table("tblHive");

        assertThat(table.namespace()).isEqualTo("bees");
        Trace trace = pinned.document().mapping().trace();
        assertThat(trace.owner(table)).isEqualTo(hive.id());
        assertThat(trace.origin(table, table.column("apiary_code").orElseThrow()))
                .isEqualTo(APIARIES.design().relationships().get(0).id());
    }
}
