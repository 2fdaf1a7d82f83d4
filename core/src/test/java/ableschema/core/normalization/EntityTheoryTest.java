package ableschema.core.normalization;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.design.IdSource;
import ableschema.core.design.Row;
import ableschema.core.edit.ChangeBody;
import ableschema.core.edit.Edits;
import ableschema.core.rows.RowEntry;
import ableschema.core.rows.RowTable;
import ableschema.core.theory.NormalForm;
import ableschema.core.theory.Violation;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class EntityTheoryTest {

    private static EntityTheory theory(DesignFixture fixture, String entity) {
        return EntityTheory.of(fixture.design(), fixture.entity(entity));
    }

    private static List<List<String>> keys(EntityTheory theory) {
        return theory.analysis().keys().found().stream()
                .map(theory.analysis().relation()::names)
                .toList();
    }

    @Test
    void a_chosen_key_and_a_unique_rule_are_stated_dependencies_but_an_optional_unique_is_not() {
        DesignFixture made =
                design("Each keeper has no: whole (key), phone: text 20 (unique), [mail]: text 60 (unique), name.");

        assertThat(keys(theory(made, "Keeper"))).containsExactly(List.of("no"), List.of("phone"));
        assertThat(theory(made, "Keeper").analysis().normalForm()).isEqualTo(NormalForm.BOYCE_CODD);
    }

    @Test
    void references_take_part_under_the_name_of_their_entity_or_role() {
        DesignFixture made = design(
                "Each apiary has code: text 6 (key).",
                "Each hive has stand no: whole, colour.",
                "Each hive stands in exactly one apiary; each apiary shelters any number of hives.");
        DesignFixture weak = made.with(f -> new Edits(f.design(), f.ids())
                .setIdentifying(f.design().relationships().get(0), true));
        EntityTheory theory = theory(weak, "Hive");

        assertThat(theory.analysis().relation().attributes()).containsExactly("apiary", "stand no", "colour");
        assertThat(keys(theory)).containsExactly(List.of("apiary"));
    }

    @Test
    void two_things_of_one_name_are_told_apart() {
        DesignFixture made = design(
                "Each apiary has code: text 6 (key).",
                "Each hive has apiary: text 40.",
                "Each hive stands in exactly one apiary; each apiary shelters any number of hives.");

        assertThat(theory(made, "Hive").analysis().relation().attributes()).containsExactly("apiary", "apiary 2");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            a, b -> c; a -> d   | SECOND     | d hangs on a alone, a part of the key
            a -> b, c; c -> d   | THIRD      | d hangs on c, which is no key
            a, b -> c, d; c -> b | BOYCE_CODD | c decides b, yet is no key of R.
            """)
    void the_reason_says_which_form_fails_and_what_hangs_on_what(String given, NormalForm form, String why) {
        DesignFixture made =
                design("Each r has a: whole, b: whole, c: whole, d: whole.").where("R", given.split("; "));
        EntityTheory theory = theory(made, "R");
        Violation worst = theory.analysis().violations().get(0);

        assertThat(worst.form()).isEqualTo(form);
        assertThat(new ViolationText(theory, new Redundancy(theory)).why(worst)).startsWith(why);
        assertThat(new ViolationText(theory, new Redundancy(theory)).consequence(worst))
                .isEmpty();
    }

    @Test
    void an_empty_value_decides_nothing_and_repeats_nothing() {
        DesignFixture made = design("Each log has day: date (key), hive: text 5 (optional), colour: text 9 (optional).")
                .where("Log", "hive -> colour");
        var entry = new RowEntry(made.design(), made.entity("Log").id(), made.ids());
        List<Row> rows = new RowTable(entry)
                .read(
                        "day,hive,colour\n2027-01-01,,white\n2027-01-02,,sage\n2027-01-03,A,sage\n2027-01-04,A,\n2027-01-05,A,sage\n",
                        false,
                        List.of())
                .rows();
        DesignFixture filled = made.with(new ChangeBody(
                made.entity("Log").id(), made.entity("Log").body().withRows(rows), "fill"));
        EntityTheory theory = theory(filled, "Log");
        var redundancy = new Redundancy(theory);

        assertThat(redundancy.count()).isEqualTo(1);
        assertThat(redundancy.isRedundant(
                        rows.get(4), filled.attribute("Log", "colour").ref()))
                .isTrue();
        assertThat(redundancy
                        .mostRepeated(theory.analysis().violations().get(0))
                        .times())
                .isEqualTo(3);
    }

    @Test
    void parts_are_named_by_their_determinant_and_never_like_an_entity_there_is() {
        DesignFixture made = design(
                        "Each hive has code: text 5 (key).",
                        "Each log has day: date (key), hive code: text 5, colour, keeper no: whole, keeper name.")
                .where("Log", "hive code -> colour", "keeper no -> keeper name");
        EntityTheory theory = theory(made, "Log");
        Proposal proposal = Proposal.of(
                made.design(),
                theory,
                theory.analysis().decomposition(NormalForm.THIRD).orElseThrow(),
                IdSource.seeded(2));

        assertThat(proposal.parts()).extracting(Proposal.Part::name).containsExactly("Hive 2", "Keeper", "Log");
        assertThat(proposal.parts().get(2).id()).isEqualTo(made.entity("Log").id());
        Proposal renamed = proposal.renamed(proposal.parts().get(0).id(), "Colony");
        assertThat(renamed.parts()).extracting(Proposal.Part::name).containsExactly("Colony", "Keeper", "Log");
        assertThat(renamed.references(renamed.parts().get(2)))
                .extracting(Proposal.Part::name)
                .containsExactlyInAnyOrder("Colony", "Keeper");
    }
}
