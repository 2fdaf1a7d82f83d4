package ableschema.core.holding;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ableschema.core.DesignFixture;
import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.EndRef;
import ableschema.core.design.ForeignColumn;
import ableschema.core.design.IdSource;
import ableschema.core.design.Relationship;
import ableschema.core.finding.Finding;
import ableschema.core.holding.ListedValues.Form;
import ableschema.core.rows.DesignScript;
import ableschema.core.rows.RowJudge;
import ableschema.core.rows.RowValues;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.types.DataType;
import ableschema.core.words.DesignText;
import ableschema.core.words.Sentence;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

/** The values of an attribute kept to by a check, a list, a named list and a table, each made of each other. */
class ListedValuesTest {

    private static final IdSource IDS = IdSource.seeded(5);

    private static final DesignFixture HIVES = design(
                    "Each hive has code: text 6 (key), [temper]: list (calm, nervous, cross) (default calm), weight: decimal 6,2.",
                    "No two hives share their temper and weight.")
            .where("Hive", "code -> temper")
            .filled("Hive", "code,temper,weight\nA1,calm,1\nA2,cross,2\nA3,,3\n");

    private static DesignFixture as(DesignFixture before, Form form) {
        return before.with(listed(before).as(form, IDS));
    }

    private static ListedValues listed(DesignFixture fixture) {
        return ListedValues.of(fixture.design(), fixture.attribute("Hive", "temper"))
                .orElseThrow();
    }

    private static DesignFixture back(DesignFixture before) {
        return before.with(
                LookedUp.of(before.design(), before.design().relationships().get(0))
                        .orElseThrow()
                        .asList(IDS));
    }

    /** What the rows say of the temper, however it is kept. */
    private static List<String> tempers(DesignFixture fixture) {
        Optional<Attribute> own = fixture.entity("Hive").body().attribute("temper");
        ColumnRef column = own.map(Attribute::ref).orElseGet(() -> {
            Relationship has = fixture.design().relationships().get(0);
            EndRef end =
                    fixture.design().referencesOf(fixture.entity("Hive").id()).get(0);
            Body table = fixture.design().at(has.second()).body();
            return new ForeignColumn(end, table.attributes().get(0).ref());
        });
        var values = new RowValues(fixture.design());
        return fixture.entity("Hive").body().rows().stream()
                .map(row -> values.value(row, column).orElse(""))
                .toList();
    }

    private static List<String> said(DesignFixture fixture) {
        return DesignText.of(fixture.design()).sentences().stream()
                .map(Sentence::text)
                .toList();
    }

    @Test
    void a_list_becomes_a_lookup_table_and_the_rows_refer_to_it() {
        DesignFixture table = as(HIVES, Form.TABLE);

        assertThat(table.entity("Temper").body().rows()).hasSize(3);
        assertThat(said(table))
                .contains(
                        "Each hive has at most one temper; each temper is that of any number of hives.",
                        "No two hives share their temper and weight.",
                        "Hive: code -> temper");
        assertThat(table.table("hive")
                        .column("temper_name")
                        .orElseThrow()
                        .filling()
                        .defaultValue()
                        .isPresent())
                .isTrue();
        assertThat(RowJudge.judge(table.design())).isEmpty();
        assertThat(tempers(table)).containsExactly("calm", "cross", "");
    }

    @Test
    void what_may_be_missing_and_never_repeats_refers_to_the_table_of_its_values() {
        DesignFixture hives = design("Each hive has code: text 6 (key), [temper]: text 9 (unique).")
                .filled("Hive", "code,temper\nA1,calm\nA2,cross\nA3,\n");
        DesignFixture table = as(hives, Form.TABLE);

        assertThat(table.table("hive").columns())
                .extracting(column -> column.name())
                .containsExactly("code", "temper_name");
        assertThat(table.table("hive").uniques())
                .extracting(unique -> unique.columns())
                .containsExactly(List.of("temper_name"));
        assertThat(table.table("temper").foreignKeys()).isEmpty();
        assertThat(RowJudge.judge(table.design())).isEmpty();
        DesignFixture again = back(table);
        assertThat(again.entity("Hive").body().isUnique(again.attribute("Hive", "temper")))
                .isTrue();
        assertThat(tempers(again)).containsExactly("calm", "cross", "");
    }

    @Test
    void and_the_table_a_list_again_with_the_same_meaning() {
        DesignFixture again = back(as(HIVES, Form.TABLE));

        assertThat(again.design().entities()).hasSize(1);
        assertThat(again.attribute("Hive", "temper").type())
                .isEqualTo(new DataType.OneOf(List.of("calm", "nervous", "cross")));
        assertThat(again.attribute("Hive", "temper").optional()).isTrue();
        assertThat(said(again)).contains("No two hives share their temper and weight.", "Hive: code -> temper");
        assertThat(tempers(again)).containsExactly("calm", "cross", "");
    }

    @Property(tries = 60)
    void whatever_is_made_of_what_the_rows_say_the_same_and_none_is_worse(@ForAll long seed) {
        var random = new Random(seed);
        DesignFixture now = HIVES;
        for (int i = 0; i < 8; i++) {
            boolean table = now.entity("Hive").body().attribute("temper").isEmpty();
            if (table) {
                now = back(now);
            } else {
                List<Form> others = listed(now).others();
                now = as(now, others.get(random.nextInt(others.size())));
            }
            assertThat(tempers(now)).containsExactly("calm", "cross", "");
            assertThat(RowJudge.judge(now.design())).extracting(Finding::text).isEmpty();
            assertThat(said(now)).anyMatch(text -> text.startsWith("No two hives share their temper and weight"));
        }
    }

    @Test
    void a_value_outside_the_list_stays_refused_as_a_row_without_parent() {
        DesignFixture bad = HIVES.filled("Hive", "code,temper,weight\nA1,calm,1\nA2,wild,2\n");
        DesignFixture table = as(bad, Form.TABLE);

        assertThat(RowJudge.judge(table.design())).hasSize(1).first().asString().contains("wild");
        assertThat(tempers(table)).containsExactly("calm", "wild");
    }

    @Test
    void coded_numbers_get_a_table_with_their_meanings_and_no_list() {
        DesignFixture coded = design("Each hive has code: text 6 (key), temper: whole 9 (one of 1, 2, 3).")
                .filled("Hive", "code,temper\nA1,1\nA2,3\n");

        assertThat(listed(coded).form()).isEqualTo(Form.CHECK);
        assertThatThrownBy(() -> listed(coded).as(Form.LIST, IDS)).hasMessageContaining("meanings");
        DesignFixture table = as(coded, Form.TABLE);
        assertThat(table.attribute("Temper", "meaning").optional()).isTrue();
        assertThat(tempers(table)).containsExactly("1", "3");
        assertThat(table.table("hive").checks()).isEmpty();
    }

    @Test
    void a_table_that_is_more_than_a_list_is_not_offered_as_one() {
        DesignFixture more = as(HIVES, Form.TABLE).with("Each temper has colour: text 10.");

        assertThat(LookedUp.of(more.design(), more.design().relationships().get(0)))
                .isEmpty();
    }

    @Test
    void a_table_that_others_refer_to_stays() {
        DesignFixture shared = as(HIVES, Form.TABLE)
                .with("Each apiary has code: text 6 (key).", "Each apiary prefers exactly one temper.");
        DesignFixture list = back(shared);

        assertThat(list.design().entity("Temper")).isPresent();
        assertThat(list.design().relationships()).hasSize(1);
    }

    @Test
    void a_table_of_values_has_the_one_that_stands_where_none_is_given() {
        DesignFixture table = as(
                design("Each hive has code: text 6 (key), [temper]: text 20 (default calm).")
                        .filled("Hive", "code,temper\nA1,\n"),
                Form.TABLE);

        assertThat(table.entity("Temper").body().rows()).hasSize(1);
        assertThat(DesignScript.withRows(table.document().mapping(), Dialects.POSTGRESQL)
                        .text())
                .doesNotContain("left out");
    }

    @Test
    void no_known_value_no_list() {
        DesignFixture none = design("Each hive has code: text 6 (key), temper: text 20.");

        assertThat(listed(none).others()).containsExactly(Form.TABLE);
        assertThatThrownBy(() -> listed(none).as(Form.LIST, IDS)).hasMessageContaining("list (a, b)");
    }

    @Test
    void an_optional_attribute_of_a_pairing_cannot_refer() {
        DesignFixture pairing = design(
                "Each keeper knows any number of hives; each hive is known to any number of keepers.",
                "Each pairing \"keeper knows hive\" has temper: text 10.");
        Attribute temper =
                pairing.design().relationships().get(0).body().attributes().get(0);

        assertThat(ListedValues.of(pairing.design(), temper).orElseThrow().whyNot(Form.TABLE))
                .hasValueSatisfying(why -> assertThat(why).contains("entity first"));
    }
}
