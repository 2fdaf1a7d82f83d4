package ableschema.core.words;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.design.IdSource;
import ableschema.core.design.Relationship;
import ableschema.core.document.Document;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A sentence edited in place edits the thing it came from. */
class RewordingTest {

    private static final DesignFixture HIVES = design(
            "Hive is a thing: One colony.",
            "Each hive has code: text 6 (key), row: whole 50, stand: whole 50, colour, paint.",
            "Each apiary has name: text 40 (key).",
            "Each hive stands in exactly one apiary; each apiary shelters any number of hives.",
            "No two hives share their row and stand.",
            "Hive: colour -> paint",
            "About colour of hive: as the keeper sees it",
            "Each nuc is a kind of hive.");

    private static Sentence said(DesignFixture made, String sentence) {
        return DesignText.of(made.design()).sentences().stream()
                .filter(each -> each.text().equals(sentence))
                .findFirst()
                .orElseThrow(() -> new AssertionError("not said: " + sentence));
    }

    private static Understanding reworded(DesignFixture made, String before, String now) {
        return new RuleLine(made.design(), Optional.empty(), made.ids()).readInstead(said(made, before), now);
    }

    private static DesignFixture changed(DesignFixture made, String before, String now) {
        Understanding reading = reworded(made, before, now);
        assertThat(reading).isInstanceOf(Understanding.Understood.class);
        return made.with(((Understanding.Understood) reading).edit());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            Hive is a thing: One colony.                 | Colony is a thing: One colony.
            Hive is a thing: One colony.                 | Hive is a place: A spot.
            Hive is a thing: One colony.                 | Hive is a thing.
            No two hives share their row and stand.      | No two hives share their row and colour.
            Hive: colour -> paint                        | Hive: row, colour -> stand
            About colour of hive: as the keeper sees it  | About colour of hive: as painted
            About colour of hive: as the keeper sees it  | About paint of hive: as the keeper sees it
            Each nuc is a kind of hive.                     | Each nuc is a kind of hive (in one table).
            Each nuc is a kind of hive.                     | Each nuc is a kind of apiary.
            """)
    void the_new_sentence_is_said_in_place_of_the_old_one(String before, String now) {
        List<String> were = texts(HIVES.design());
        List<String> are = texts(changed(HIVES, before, now).design());

        assertThat(are).contains(now).hasSameSizeAs(were);
        assertThat(are.contains(before)).isFalse();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            Each hive has code: text 6 (key), [paint]: text 9 (default white).   | Each hive has code: text 6 (key), paint: text 9 (default white).
            Each hive has code: text 6 (key), [paint]: text 9 (default white).   | Each hive has code: text 6 (key), [paint]: text 9.
            Each hive has code: text 6 (unique), row: whole 50 (greater than 0). | Each hive has code: text 6, row: whole 50 (between 1 and 9).
            Each hive has code: text 6 (unique), row: whole 50 (greater than 0). | Each hive has code: text 6 (unique), row: whole 50.
            Each hive has code: text 6 (key), row: whole 50.                     | Each hive has row: whole 50 (key), code.
            """)
    void what_a_sentence_of_attributes_no_longer_says_is_gone(String before, String now) {
        DesignFixture made = changed(design(before), before, now);

        assertThat(texts(made.design())).contains(now);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Each hive stands in at most one apiary; each apiary shelters any number of hives (on delete set null).",
                "Each hive sees any number of apiaries; each apiary sees any number of hives (called stay).",
                "Each hive stands in exactly one apiary; each apiary shelters any number of hives (second as home)."
            })
    void what_a_sentence_of_a_relationship_no_longer_says_is_gone(String sentence) {
        DesignFixture made = design(sentence);
        String said = texts(made.design()).stream()
                .filter(text -> text.contains("("))
                .findFirst()
                .orElseThrow();
        String now = said.substring(0, said.indexOf(" (")) + ".";

        assertThat(texts(changed(made, said, now).design())).contains(now).doesNotContain(said);
    }

    @Test
    void rules_that_are_said_again_are_the_same_rules() {
        String before = "Each hive has code: text 6 (unique), row: whole 50 (greater than 0), paint.";
        DesignFixture made = design(before);
        DesignFixture after = changed(
                made, before, "Each hive has paint: text 9, row: whole 50 (greater than 0), code: text 6 (unique).");

        assertThat(after.entity("Hive").body().uniques())
                .isEqualTo(made.entity("Hive").body().uniques());
        assertThat(after.entity("Hive").body().checks())
                .isEqualTo(made.entity("Hive").body().checks());
    }

    private static List<String> texts(Design design) {
        return DesignText.of(design).sentences().stream().map(Sentence::text).toList();
    }

    @Test
    void what_is_reworded_keeps_its_id_and_with_it_its_reason() {
        DesignFixture renamed = changed(HIVES, "Hive is a thing: One colony.", "Colony is a thing: One colony.");
        DesignFixture unique =
                changed(HIVES, "No two hives share their row and stand.", "No two hives share their row and paint.");
        DesignFixture dependency = changed(HIVES, "Hive: colour -> paint", "Hive: paint -> colour");

        assertThat(renamed.entity("Colony").id()).isEqualTo(HIVES.entity("Hive").id());
        assertThat(unique.entity("Hive").body().uniques())
                .extracting(each -> each.id())
                .containsExactlyElementsOf(idsOf(HIVES));
        assertThat(dependency.entity("Hive").body().dependencies())
                .extracting(each -> each.id())
                .containsExactly(
                        HIVES.entity("Hive").body().dependencies().get(0).id());
    }

    private static List<Id> idsOf(DesignFixture made) {
        return made.entity("Hive").body().uniques().stream()
                .map(each -> each.id())
                .toList();
    }

    @Test
    void a_rule_on_rows_can_become_the_key() {
        DesignFixture made = changed(
                HIVES, "No two hives share their row and stand.", "Each hive is identified by its row and stand.");

        assertThat(made.entity("Hive").body().key()).hasSize(2);
        assertThat(made.entity("Hive").body().uniques()).isEmpty();
    }

    @Test
    void a_rule_can_become_a_relationship() {
        DesignFixture made = changed(
                HIVES,
                "No two hives share their row and stand.",
                "Each hive faces exactly one meadow; each meadow feeds any number of hives.");

        assertThat(made.entity("Hive").body().uniques()).isEmpty();
        assertThat(texts(made.design()))
                .contains("Each hive faces exactly one meadow; each meadow feeds any number of hives.");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            No two hives share their row and stand. | No two apiaries share their name.  | this sentence is about Hive
            No two hives share their row and stand. | No two hives share their age.      | 'age' is no attribute of Hive
            Hive is a thing: One colony.            | Apiary is a thing.                 | there is another of that name
            """)
    void what_is_said_of_something_else_is_refused(String before, String now, String problem) {
        Understanding reading = reworded(HIVES, before, now);

        assertThat(reading).isInstanceOf(Understanding.NotUnderstood.class);
        assertThat(((Understanding.NotUnderstood) reading).problem()).contains(problem);
    }

    @Property(tries = 200)
    void a_sentence_said_again_as_it_is_changes_nothing(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        Design design = AnyWords.of(seed);
        Document document = Document.EMPTY.with(design);
        for (Sentence said : DesignText.of(design).sentences()) {
            Understanding reading =
                    new RuleLine(design, Optional.empty(), IdSource.seeded(seed)).readInstead(said, said.text());

            assertThat(reading).as(said.text()).isInstanceOf(Understanding.Understood.class);
            assertThat(((Understanding.Understood) reading)
                            .edit()
                            .applyTo(document)
                            .design()
                            .sameMeaning(design))
                    .as(said.text())
                    .isEmpty();
        }
    }

    @Test
    void a_relationships_sentence_said_anew_changes_that_relationship() {
        DesignFixture made = design(
                "Each hive stands in exactly one apiary; each apiary shelters any number of hives.",
                "Each hive was founded in exactly one apiary; each apiary founded any number of hives.");
        Relationship first = made.design().relationships().get(0);
        Understanding reading = new RuleLine(made.design(), Optional.empty(), made.ids())
                .readInstead(
                        said(made, "Each hive stands in exactly one apiary; each apiary shelters any number of hives."),
                        "Each hive rests in at most one apiary; each apiary keeps any number of hives.");

        DesignFixture changed = made.with(((Understanding.Understood) reading).edit());
        assertThat(changed.design().relationships()).hasSize(2);
        assertThat(new Sentences(changed.design())
                        .of(changed.design().relationship(first.id()).orElseThrow()))
                .isEqualTo("Each hive rests in at most one apiary; each apiary keeps any number of hives.");
    }

    @Test
    void the_attributes_said_anew_are_renamed_reordered_and_left_out() {
        DesignFixture made = design("Each hive has code: text 6 (key), colour: text 20, weight.");
        var line = new RuleLine(made.design(), Optional.empty(), made.ids());
        Sentence hive = said(made, "Each hive has code: text 6 (key), colour: text 20, weight.");
        Understanding renamed = line.readInstead(hive, "Each hive has weight, code: text 6 (key), paint: text 20.");
        Understanding shorter = line.readInstead(hive, "Each hive has colour: text 30.");

        DesignFixture after = made.with(((Understanding.Understood) renamed).edit());
        assertThat(after.entity("Hive").body().attributes())
                .extracting(a -> a.name() + " " + a.type())
                .containsExactly("weight undecided", "code text 6", "paint text 20");
        assertThat(after.attribute("Hive", "paint").id())
                .isEqualTo(made.attribute("Hive", "colour").id());
        assertThat(made.with(((Understanding.Understood) shorter).edit())
                        .entity("Hive")
                        .body()
                        .attributes())
                .extracting(a -> a.name() + " " + a.type())
                .containsExactly("colour text 30");
    }
}
