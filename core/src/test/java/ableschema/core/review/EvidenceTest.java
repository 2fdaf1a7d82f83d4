package ableschema.core.review;

import static ableschema.core.review.RuleFixture.found;
import static ableschema.core.review.RuleFixture.mended;
import static ableschema.core.review.RuleFixture.said;
import static ableschema.core.review.RuleFixture.texts;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.finding.Finding;
import ableschema.core.types.DataType;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What rules say of the rows there are: how many, which, and what would become of them. */
class EvidenceTest {

    @Test
    void codes_of_another_form_are_counted_and_two_of_them_shown() {
        DesignFixture one =
                said("Each valve has code: text 6 (key; pattern V-00).").filled("Valve", "code\nV-07\nV7");
        assertThat(texts(one, "departs-from-pattern")).containsExactly("Valve: 1 value of code is not as in V-00.");
        assertThat(found(one, "departs-from-pattern").get(0).evidence()).isEqualTo("“V7”");

        DesignFixture three = one.filled("Valve", "code\nV-07\nV7\nv-1\nW-07");
        assertThat(texts(three, "departs-from-pattern")).containsExactly("Valve: 3 values of code are not as in V-00.");
        assertThat(found(three, "departs-from-pattern").get(0).evidence()).isEqualTo("“V7”, “v-1”");
        assertThat(texts(one.filled("Valve", "code\nV-07\nV-42"), "departs-from-pattern"))
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            0074     | “0074” would be kept as 74
            000      | “000” would be kept as 0
            04-7711  | “04-7711” is no number at all
            """)
    void what_a_number_would_make_of_a_code_is_said(String value, String evidence) {
        DesignFixture made =
                said("Each keeper has no: whole (key), badge: whole.").filled("Keeper", "badge\n12\n" + value);

        assertThat(found(made, "code-as-number").get(0).evidence()).isEqualTo(evidence);
        assertThat(mended(made, "code-as-number").attribute("Keeper", "badge").type())
                .isInstanceOf(DataType.Text.class);
        assertThat(found(made.filled("Keeper", "badge\n12\n74"), "code-as-number"))
                .isEmpty();
    }

    /** Values that are no keys there speak against a reference, unless some are. */
    @Test
    void an_undeclared_reference_that_never_repeats_stays_where_it_is() {
        DesignFixture made =
                said("Each pump has no: whole (key). Each valve has code: text 4 (key), [pump no]: whole (unique).");
        DesignFixture declared = mended(made, "undeclared-reference");

        assertThat(declared.table("valve").foreignKeys())
                .extracting(key -> key.columns())
                .containsExactly(List.of("pump_no"));
        assertThat(declared.table("pump").columns()).hasSize(1);
    }

    @Test
    void an_undeclared_reference_says_how_many_rows_would_find_theirs() {
        DesignFixture made = said("Each pump has no: whole (key). Each valve has code: text 4 (key), pump no: whole.")
                .filled("Pump", "no\n1\n2")
                .filled("Valve", "pump no\n1\n2\n1\n7");
        Finding finding = found(made, "undeclared-reference").get(0);

        assertThat(finding.evidence()).startsWith("3 of 4 values are keys there; not: “7”; ");
        assertThat(found(made.filled("Valve", "pump no\n1\n2"), "undeclared-reference")
                        .get(0)
                        .evidence())
                .startsWith("2 of 2 values are keys there; ")
                .doesNotContain("not:");
        assertThat(found(made.filled("Valve", "pump no\n8\n9"), "undeclared-reference"))
                .isEmpty();
        assertThat(found(made.filled("Valve", "pump no"), "undeclared-reference")
                        .get(0)
                        .evidence())
                .doesNotContain("values are keys");
    }

    @Test
    void what_refers_already_is_no_undeclared_reference_and_a_word_within_a_name_names_nothing() {
        assertThat(texts(
                        said("Each pump has no: whole (key). Each valve has code: text 4 (key), spare pump no: whole."
                                + " Each valve is fed by exactly one pump; each pump feeds any number of valves."),
                        "undeclared-reference"))
                .isEmpty();
        assertThat(texts(
                        said(
                                "Each pump has no: whole (key). Each valve has code: text 4 (key), trumpumpno: whole, turnip no: whole."),
                        "undeclared-reference"))
                .isEmpty();
        assertThat(texts(
                        said(
                                "Each pump has no: whole (key). Each valve has code: text 4 (key), \"sparePumpNo\": whole."),
                        "undeclared-reference"))
                .containsExactly("Valve: sparePumpNo looks like a reference to Pump, and is none.");
    }

    @Test
    void numbers_that_run_out_are_counted_on_in_room_for_a_century() {
        DesignFixture made = said("Each reading has no: counted (key), kelvin: whole."
                + " There are about 0 readings, and 300,000,000 more each year.");
        DataType.Counted wider = (DataType.Counted)
                mended(made, "runs-out").attribute("Reading", "no").type();
        assertThat(wider.last()).isEqualTo(1L + 100 * 300_000_000L);

        assertThat(texts(
                        said("Each reading has no: counted (key), kelvin: whole."
                                + " There are about 0 readings, and 100,000,000 more each year."),
                        "runs-out"))
                .isEmpty(); // in 21 years
    }

    @Test
    void an_age_becomes_the_day_of_birth_and_what_is_overdue_the_day_it_is_reckoned_from() {
        DesignFixture keeper =
                said("Each keeper has no: whole (key), age: whole 120.").filled("Keeper", "age\n44");
        DesignFixture born = keeper.with(f -> {
            var remedy = found(keeper, "goes-stale").get(0).remedies().get(0);
            return remedy.edit(f.design(), f.ids());
        });
        assertThat(born.attribute("Keeper", "born on").type()).isEqualTo(DataType.Simple.DATE);
        assertThat(born.entity("Keeper")
                        .body()
                        .rows()
                        .get(0)
                        .value(born.attribute("Keeper", "born on").id()))
                .isEmpty();

        DesignFixture loan = said("Each loan has no: whole (key), days overdue: whole.");
        assertThat(mended(loan, "goes-stale").attribute("Loan", "overdue").type())
                .isEqualTo(DataType.Simple.DATE);
    }

    @Test
    void the_numbers_of_a_code_become_two_digits_longer_and_its_type_with_them() {
        DesignFixture made = said("Each reading has code: text 5 (key; pattern R-000), kelvin: whole."
                + " There are about 0 readings, and 300 more each year.");
        DesignFixture mended = mended(made, "runs-out");

        assertThat(mended.attribute("Reading", "code").pattern()).isEqualTo("R-00000");
        assertThat(mended.attribute("Reading", "code").type()).isEqualTo(new DataType.Text(7));
    }
}
