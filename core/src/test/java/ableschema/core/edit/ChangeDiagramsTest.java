package ableschema.core.edit;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.design.Id;
import ableschema.core.document.Document;
import java.util.List;
import org.junit.jupiter.api.Test;

class ChangeDiagramsTest {

    private static final DesignFixture MADE = design(
            "Each hive stands in exactly one apiary; each apiary shelters any number of hives.",
            "Each queen heads at most one hive; each hive is headed by at most one queen.");

    private static Id id(String entity) {
        return MADE.entity(entity).id();
    }

    private static Document partOf(String... entities) {
        List<Id> ids = List.of(entities).stream().map(ChangeDiagramsTest::id).toList();
        return ChangeDiagrams.add(MADE.document(), "bees", ids).applyTo(MADE.document());
    }

    @Test
    void a_part_picture_is_renamed_and_no_two_have_one_name() {
        Document part = partOf("Hive");
        Document named = ChangeDiagrams.rename(part, "honey").applyTo(part);
        Document clash = ChangeDiagrams.rename(part, "whole").applyTo(part);

        assertThat(named.diagram().name()).isEqualTo("honey");
        assertThat(named.diagram().part()).containsExactly(id("Hive"));
        assertThat(named.diagrams()).extracting(each -> each.name()).containsExactly("whole", "honey");
        assertThat(clash.diagrams()).extracting(each -> each.name()).containsExactly("whole", "whole 2");
    }

    @Test
    void entities_join_and_leave_the_part_picture_in_view() {
        Document part = partOf("Hive");
        Document more = ChangeDiagrams.show(part, part.diagram(), List.of(id("Queen"), id("Hive")))
                .applyTo(part);
        Document less = ChangeDiagrams.hide(more, List.of(id("Hive"))).applyTo(more);

        assertThat(more.diagram().part()).containsExactly(id("Hive"), id("Queen"));
        assertThat(less.diagram().part()).containsExactly(id("Queen"));
        assertThat(less.design().entities()).hasSize(3);
    }

    @Test
    void nothing_changes_where_all_is_so_already() {
        Document part = partOf("Hive");

        assertThat(ChangeDiagrams.rename(part, "bees").applyTo(part)).isSameAs(part);
        assertThat(ChangeDiagrams.show(part, part.diagram(), List.of(id("Hive")))
                        .applyTo(part))
                .isSameAs(part);
        assertThat(ChangeDiagrams.hide(part, List.of(id("Hive"))).applyTo(part)).isSameAs(part);
    }

    @Test
    void a_relationship_is_shown_where_both_its_entities_are() {
        Document part = partOf("Hive", "Apiary");
        Id stands = MADE.design().relationships().get(0).id();
        Id heads = MADE.design().relationships().get(1).id();

        assertThat(part.diagram().shows(part.design(), stands)).isTrue();
        assertThat(part.diagram().shows(part.design(), heads)).isFalse();
        assertThat(part.diagram().shows(part.design(), id("Queen"))).isFalse();
        assertThat(part.viewing("whole").diagram().shows(part.design(), heads)).isTrue();
    }

    @Test
    void the_last_entity_stays_as_a_part_of_nothing_would_be_the_whole() {
        Document part = partOf("Hive");

        assertThat(ChangeDiagrams.hide(part, List.of(id("Hive")))
                        .applyTo(part)
                        .diagram()
                        .part())
                .containsExactly(id("Hive"));
    }

    @Test
    void an_entity_made_while_a_part_picture_is_in_view_is_in_it() {
        Document part = partOf("Hive");
        Document more = DesignFixture.of(part)
                .with("Each keeper tends any number of hives; each hive is tended by exactly one keeper.")
                .document();

        Id keeper = more.design().entity("Keeper").orElseThrow().id();
        assertThat(more.diagram().part()).containsExactly(id("Hive"), keeper);
        assertThat(more.viewing("whole").diagram().part()).isEmpty();
    }
}
