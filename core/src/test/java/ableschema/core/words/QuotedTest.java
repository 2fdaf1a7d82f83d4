package ableschema.core.words;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.design.Design;
import ableschema.core.design.Plural;
import ableschema.core.design.Relationship;
import ableschema.core.types.ReferenceAction;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class QuotedTest {

    @ParameterizedTest
    @ValueSource(
            strings = {"plain", "a \"quoted\" word", "\"", "back\\slash", "two\nlines", "\\n", "ends \\", "a, b; (c)"})
    void what_is_quoted_is_read_back_and_hides_all_it_holds(String text) {
        String quoted = Quoted.of(text);
        String line = "Each " + quoted + " has code.";

        assertThat(Quoted.is(quoted)).isTrue();
        assertThat(Quoted.plain(quoted)).isEqualTo(text);
        assertThat(quoted).doesNotContain("\n");
        assertThat(Quoted.masked(line))
                .hasSameSizeAs(line)
                .startsWith("Each ")
                .endsWith(" has code.")
                .doesNotContain(",");
    }

    @Test
    void a_quote_that_is_never_closed_is_a_letter_like_others() {
        assertThat(Quoted.masked("12\" wide")).isEqualTo("12\" wide");
        assertThat(Quoted.is("\"")).isFalse();
        assertThat(Quoted.plain(" 12\" ")).isEqualTo("12\"");
    }

    @ParameterizedTest
    @CsvSource({
        "hive, hives",
        "forage plant, forage plants",
        "Datum, Data",
        "nuc, nuclei",
        "frame of nuc, frames of nuc",
        "parcel of land, parcels of land",
        "logo, logos",
        "tomato, tomatoes",
        "crossroads, crossroads"
    })
    void plurals_follow_the_rules_but_for_those_taught(String one, String many) {
        var plural = new Plural(Map.of("datum", "data", "nuc", "nuclei"));

        assertThat(plural.of(one)).isEqualTo(many);
    }

    @Test
    void options_of_a_relationship_are_understood_and_said() {
        String said = "Each keeper mentors any number of keepers; each keeper is mentored by at most one keeper"
                + " (first as mentor; second as pupil; on delete set null; on update cascade).";
        Relationship r = design(said).design().relationships().get(0);

        assertThat(r.first().role()).isEqualTo("mentor");
        assertThat(r.second().role()).isEqualTo("pupil");
        assertThat(r.reference().onDelete()).isEqualTo(ReferenceAction.SET_NULL);
        assertThat(r.reference().onUpdate()).isEqualTo(ReferenceAction.CASCADE);
        assertThat(DesignText.of(design(said).design()).text()).contains(said);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            Each hive stands in exactly one apiary (on delete ^explode^).       | expected no action, restrict, cascade
            Each hive stands in exactly one apiary (^nicely^).                  | expected 'called'
            Each hive has code (key; default ^^).                              | expected
            Each hive is identified by its ^ring^.                                    | is no attribute of Hive
            No two hives share their code and ^ring^.                           | is no attribute of Hive
            ^Swarm^ is set aside.                                               | there is no entity called
            A hive is a kind of ^hive^.                                         | nothing is a kind of itself
            About ^size of hive^: how many boxes                                | expected an attribute
            Each tank has ph: text 4, ^pH^: text 4.                             | ph and pH are one name to a database
            Each hive has strength: whole 10 (^between 1 and many^).            | names a value that it can never have
            """)
    void what_is_not_understood_is_pointed_at(String marked, String problem) {
        String text = marked.replace("^", "");
        DesignFixture start = design("Each hive has code: text 6 (key).");
        Understanding reading = new RuleLine(start.design(), Optional.empty(), start.ids()).read(text);

        assertThat(reading).as(text).isInstanceOf(Understanding.NotUnderstood.class);
        var not = (Understanding.NotUnderstood) reading;
        assertThat(not.problem()).contains(problem);
        if (!marked.contains("^^")) {
            assertThat(text.substring(not.start(), not.end()).strip())
                    .contains(marked.substring(marked.indexOf('^') + 1, marked.lastIndexOf('^')));
        }
    }

    @Test
    void an_entity_that_is_not_known_yet_is_offered_as_a_new_one() {
        var reading = (Understanding.Understood) new RuleLine(Design.EMPTY, Optional.empty(), design().ids())
                .read("Each swarm settles in at most one hive.");

        assertThat(reading.gist()).contains("with the new Swarm and Hive");
    }

    @Test
    void verbs_tell_references_to_one_entity_apart() {
        DesignFixture made = design(
                "Each keeper has no: whole (key).",
                "Each hive belongs to exactly one keeper; each keeper owns any number of hives.",
                "Each hive is looked after by exactly one keeper; each keeper looks after any number of hives.",
                "Each hive is identified by its keeper \"is looked after by\".");

        assertThat(new Sentences(made.design()).key(made.entity("Hive")))
                .isEqualTo("Each hive is identified by its keeper \"is looked after by\".");
        assertThat(made.entity("Hive")
                        .body()
                        .key()
                        .get(0)
                        .through()
                        .orElseThrow()
                        .relationship())
                .isEqualTo(made.design().relationships().get(1).id());
    }
}
