package ableschema.core.words;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.design.Relationship;
import ableschema.core.edit.Edits;
import ableschema.core.store.DocumentFile;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class SentencesTest {

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Each hive stands in exactly one apiary; each apiary shelters any number of hives.",
                "Each queen heads at most one hive; each hive is headed by at most one queen.",
                "Each keeper mentors any number of keepers; each keeper is mentored by at most one keeper.",
                "Each forage plant grows at at least one apiary; each apiary offers between two and six forage plants.",
                "Each batch blends exactly three harvests; each harvest goes into at most four batches.",
                "Each hive has at least 20 frames; each frame belongs to exactly one hive.",
                "Each hive \"in\" exactly one apiary; each apiary \"with\" any number of hives."
            })
    void a_rule_said_back_is_the_rule_that_was_said(String rule) {
        DesignFixture once = design(rule);
        String said =
                new Sentences(once.design()).of(once.design().relationships().get(0));
        DesignFixture again = design(said);

        assertThat(once.design().sameMeaning(again.design())).isEmpty();
        assertThat(new Sentences(again.design())
                        .of(again.design().relationships().get(0)))
                .isEqualTo(said);
    }

    @Test
    void the_rules_of_the_demo_said_to_an_empty_design_give_the_same_relationships() throws Exception {
        var demo = DocumentFile.read(Path.of("../demo/alder-valley.able.json")).design();
        var sentences = new Sentences(demo);
        DesignFixture again =
                design(demo.relationships().stream().map(sentences::of).toArray(String[]::new));

        assertThat(again.design().relationships()).hasSize(10);
        assertThat(again.design().relationships().stream().map((Relationship r) -> new Sentences(again.design()).of(r)))
                .containsExactlyElementsOf(
                        demo.relationships().stream().map(sentences::of).toList());
    }

    @Test
    void a_key_is_said_with_its_parents_and_roles() {
        DesignFixture made = design(
                "Each apiary has code: text 6 (key).",
                "Each hive has stand no: whole (key), colour.",
                "Each hive stands in exactly one apiary; each apiary shelters any number of hives.");
        DesignFixture weak = made.with(f -> new Edits(f.design(), f.ids())
                .setIdentifying(f.design().relationships().get(0), true));

        assertThat(new Sentences(weak.design()).key(weak.entity("Hive")))
                .isEqualTo("Each hive is identified by its apiary and stand no.");
        assertThat(DesignText.of(made.design()).text()).contains("\nEach hive has stand no: whole (key), colour.\n");
        assertThat(new Sentences(design("Each hive has colour.").design())
                        .key(design("Each hive has colour.").entity("Hive")))
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "hives, hive",
        "apiaries, apiary",
        "batches, batch",
        "boxes, box",
        "bees, bee",
        "glass, glass",
        "hive, hive",
        "forage plants, forage plant"
    })
    void the_likeliest_singular_comes_first(String plural, String singular) {
        assertThat(Nouns.of(ableschema.core.design.Design.EMPTY)
                        .singulars(plural)
                        .get(0))
                .isEqualTo(singular);
    }

    @Test
    void words_are_listed_as_a_sentence_does() {
        assertThat(Sentences.listed(List.of())).isEmpty();
        assertThat(Sentences.listed(List.of("a"))).isEqualTo("a");
        assertThat(Sentences.listed(List.of("a", "b", "c"))).isEqualTo("a, b and c");
    }

    @ParameterizedTest
    @CsvSource({"hive, hive, 0", "exctly, exactly, 1", "'', bee, 3", "postgre, postgresql, 3", "lest, least, 1"})
    void the_distance_of_words_counts_letters(String one, String other, int distance) {
        assertThat(Spelling.distance(one, other)).isEqualTo(distance);
        assertThat(Spelling.distance(other, one)).isEqualTo(distance);
    }
}
