package ableschema.core.edit;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ableschema.core.DesignFixture;
import ableschema.core.design.Relationship;
import ableschema.core.design.SubtypeLayout;
import ableschema.core.document.Edit;
import ableschema.core.schema.Column;
import ableschema.core.schema.Table;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Kinds of an entity, in a table each or in one. */
class SubtypeEditsTest {

    private static final DesignFixture COLONIES = design(
            "Each colony has code: text 6 (key), colour: text 20.",
            "Each nuc has label: text 9 (key), no of frames: whole 9.",
            "Each swarm has found on: date.",
            "Each nuc travels in exactly one box; each box carries any number of nucs.",
            "Each box has no: whole 99 (key).");

    private static DesignFixture kinds(SubtypeLayout layout) {
        return COLONIES.with(made -> new SubtypeEdits(made.design(), made.ids())
                        .makeKindOf(made.entity("Nuc"), made.entity("Colony"), layout))
                .with(made -> new SubtypeEdits(made.design(), made.ids())
                        .makeKindOf(made.entity("Swarm"), made.entity("Colony"), layout));
    }

    @Test
    void a_table_for_each_kind_shares_the_key_and_keeps_its_own_as_an_alternate() {
        Table nuc = kinds(SubtypeLayout.OWN_TABLE).table("nuc");

        assertThat(nuc.primaryKey().orElseThrow().columns()).containsExactly("colony_code");
        assertThat(nuc.uniques()).extracting(unique -> unique.columns()).containsExactly(List.of("label"));
        assertThat(nuc.foreignKeys()).extracting(key -> key.target().name()).containsExactlyInAnyOrder("colony", "box");
    }

    @Test
    void in_one_table_what_only_a_kind_has_may_be_empty_and_its_references_move_along() {
        DesignFixture made = kinds(SubtypeLayout.ONE_TABLE);
        Table colony = made.table("colony");

        assertThat(made.document().mapping().schema().tables())
                .extracting(Table::name)
                .containsExactly("colony", "box");
        assertThat(colony.columns())
                .filteredOn(Column::nullable)
                .extracting(Column::name)
                .contains("label", "no_of_frames", "found_on", "box_no")
                .doesNotContain("code", "colour");
        assertThat(colony.foreignKeys()).extracting(key -> key.target().name()).containsExactly("box");
    }

    @Test
    void to_and_fro_between_the_layouts_nothing_is_lost() {
        DesignFixture own = kinds(SubtypeLayout.OWN_TABLE);
        DesignFixture back = own.with(made -> layOut(made, SubtypeLayout.ONE_TABLE))
                .with(made -> layOut(made, SubtypeLayout.OWN_TABLE));

        assertThat(back.design()).isEqualTo(own.design());
    }

    private static Edit layOut(DesignFixture made, SubtypeLayout layout) {
        return new SubtypeEdits(made.design(), made.ids())
                .layOut(made.entity("Colony").id(), layout);
    }

    @Test
    void a_relationship_that_is_there_becomes_one_of_kind_with_its_id() {
        DesignFixture made =
                COLONIES.with("Each colony leads to at most one swarm; each swarm comes from exactly one colony.");
        Relationship from = made.design().relationships().get(1);
        DesignFixture after = made.with(
                each -> new SubtypeEdits(each.design(), each.ids()).turnIntoKind(from, SubtypeLayout.OWN_TABLE));

        Relationship kind = after.design().relationship(from.id()).orElseThrow();
        assertThat(kind.isSubtype()).isTrue();
        assertThat(kind.second().verb()).isEqualTo(SubtypeEdits.IS);
        assertThat(after.design().relationships()).hasSameSizeAs(made.design().relationships());
        assertThat(after.table("swarm").primaryKey().orElseThrow().columns()).containsExactly("colony_code");
    }

    @Test
    void a_kind_of_a_kind_is_a_kind_and_nothing_becomes_one_of_its_own_kinds() {
        DesignFixture made = kinds(SubtypeLayout.OWN_TABLE).with("Each cast is a kind of swarm.");
        var edits = new SubtypeEdits(made.design(), made.ids());

        assertThat(edits.isKindOf(
                        made.entity("Cast").id(), made.entity("Colony").id()))
                .isTrue();
        assertThat(edits.isKindOf(
                        made.entity("Colony").id(), made.entity("Cast").id()))
                .isFalse();
        assertThat(edits.isKindOf(made.entity("Box").id(), made.entity("Colony").id()))
                .isFalse();
        assertThatThrownBy(() -> made.with("Each colony is a kind of cast."))
                .hasMessageContaining("each cast is a kind of colony already");
    }
}
