package ableschema.core.holding;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ableschema.core.DesignFixture;
import ableschema.core.design.Attribute;
import ableschema.core.design.Mark;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.types.DataType;
import ableschema.core.types.ReadableCode;
import ableschema.core.words.DesignText;
import java.util.Arrays;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The type follows from what is held; how full a column is follows from type, rows and growth. */
class HoldingTest {

    private static final int NOW = 2027;

    private static Attribute attribute(DesignFixture fixture) {
        return fixture.attribute("Catch", "a");
    }

    private static DesignFixture holding(String type) {
        return design("Each catch has no: whole (key), a: " + type + ".");
    }

    private static DesignFixture say(DesignFixture fixture, Holding holding) {
        return fixture.with(Holdings.say(fixture.design(), fixture.ids(), attribute(fixture), holding));
    }

    private static Fullness full(DesignFixture fixture, Dialect dialect) {
        return Fullness.of(fixture.design(), attribute(fixture), dialect, NOW);
    }

    @ParameterizedTest
    @EnumSource(
            value = Holding.class,
            mode = EnumSource.Mode.EXCLUDE,
            names = {"CLOSED", "GROWING"})
    void what_is_said_to_be_held_is_told_from_the_type_again(Holding holding) {
        DesignFixture said = say(holding("text 40"), holding);

        assertThat(Holdings.of(said.design(), attribute(said))).contains(holding);
        assertThat(holding.alike()).contains(holding);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            text 40  | MONEY     | 12.5;7;1999.95 | decimal 12,2
            text 40  | MEASURED  | 12.125;7.5     | decimal 10,3
            text 40  | COUNT     | 12;7;1999      | whole 10000
            whole    | CODE      | 12;7           | text 20
            whole    | MEASURED  | 12;7           | decimal 10,3
            real     | MONEY     |                | decimal 12,2
            text 12  | CODE      | 0049;007       | text 12
            text     | FEW_WORDS | a;b            | text 80
            date     | MOMENT_ANYWHERE |          | moment anywhere
            decimal 8,4 | MONEY  |                | decimal 8,4
            """)
    void sizes_that_are_known_are_kept(String type, Holding holding, String values, String then) {
        String rows = values == null ? "" : values.replace(";", "\n9,");
        DesignFixture before = holding(type);
        if (values != null) {
            String[] each = values.split(";");
            String csv = "no,a\n"
                    + String.join(
                            "\n",
                            Arrays.stream(each)
                                    .map(v -> v.length() + "" + v.charAt(0) + "," + v)
                                    .toList());
            before = before.filled("Catch", csv + "\n");
        }
        assertThat(attribute(say(before, holding)).type()).hasToString(then);
    }

    @Test
    void money_is_marked_and_no_longer_where_it_is_a_count() {
        DesignFixture money = say(holding("decimal 8,2"), Holding.MONEY);

        assertThat(attribute(money).marks()).containsExactly(Mark.MONEY);
        assertThat(attribute(say(money, Holding.COUNT)).marks()).isEmpty();
    }

    @Test
    void what_is_personal_stays_personal_whatever_it_holds() {
        DesignFixture personal = design("Each catch has no: whole (key), a: text 40 (personal).");

        assertThat(attribute(say(personal, Holding.CODE)).marks()).containsExactlyInAnyOrder(Mark.CODE, Mark.PERSONAL);
    }

    @Test
    void a_rule_of_numbers_is_written_as_a_rule_of_texts_where_the_type_is_one() {
        DesignFixture ruled = design("Each catch has no: whole (key), a: whole 10 (between 1 and 10).");
        DesignFixture code = say(ruled, Holding.CODE);

        assertThat(code.table("catch").checks().get(0).expression().toString()).contains("'1'");
    }

    @Test
    void a_list_is_lifted_where_anything_else_is_held() {
        DesignFixture list = design("Each catch has no: whole (key), a: list (cod, eel).");

        assertThat(Holdings.of(list.design(), attribute(list))).contains(Holding.CLOSED);
        assertThat(attribute(say(list, Holding.FEW_WORDS)).type()).isEqualTo(new DataType.Text(80));
    }

    @Test
    void numbers_run_out_in_the_year_that_growth_and_width_give() {
        DesignFixture counted =
                holding("counted").with("There are about 47,483,647 catches, and 100,000,000 more each year.");

        assertThat(full(counted, Dialects.POSTGRESQL).said()).contains("Its numbers run out in 2048, after 21 years.");
        assertThat(Fullness.yearsLeft(counted.design(), attribute(counted), Dialects.POSTGRESQL))
                .contains(21L);
        assertThat(Fullness.yearsLeft(counted.design(), attribute(counted), Dialects.SQLITE))
                .as("eight bytes there")
                .isEmpty();
    }

    @Test
    void by_tens_they_run_out_ten_times_sooner_and_a_wider_column_holds_them() {
        DesignFixture counted =
                holding("counted 1 by 10").with("There are about 0 catches, and 10,000,000 more each year.");
        DesignFixture wider = holding("counted 1 by 10 to 9000000000")
                .with("There are about 0 catches, and 10,000,000 more each year.");

        assertThat(Fullness.yearsLeft(counted.design(), attribute(counted), Dialects.POSTGRESQL))
                .contains(21L);
        assertThat(full(wider, Dialects.POSTGRESQL).column()).isEqualTo("bigint");
        assertThat(Fullness.yearsLeft(wider.design(), attribute(wider), Dialects.POSTGRESQL))
                .isEmpty();
    }

    @Test
    void the_range_is_that_of_the_dialect_and_the_rows_are_told() {
        DesignFixture counts = holding("whole 10").filled("Catch", "no,a\n1,2\n2,9\n");
        Fullness full = full(counts, Dialects.POSTGRESQL);

        assertThat(full.column()).isEqualTo("smallint");
        assertThat(full.bytes()).isEqualTo(2);
        assertThat(full.low()).isEqualTo("-32,768");
        assertThat(full.high()).isEqualTo("32,767");
        assertThat(full.seen()).isEqualTo("2 to 9 in 2 rows");
        assertThat(full.share().orElseThrow()).isBetween(0.0002, 0.0003);
    }

    @Test
    void texts_tell_what_does_not_fit_and_what_becomes_of_it() {
        DesignFixture texts = holding("text 4").filled("Catch", "no,a\n1,cod\n2,turbot\n");

        assertThat(full(texts, Dialects.POSTGRESQL).said())
                .contains("A longer one is refused, not cut.", "1 sample row is longer already.");
        assertThat(full(holding("text"), Dialects.POSTGRESQL).high()).isEmpty();
    }

    @Test
    void a_decimal_holds_no_more_than_its_digits() {
        Fullness full = full(holding("decimal 6,2"), Dialects.SQLITE);

        assertThat(full.high()).isEqualTo("9999.99");
        assertThat(full.said()).contains("A value with further decimal places is refused.");
    }

    @Test
    void what_ten_years_take_is_told_where_the_rows_are_known() {
        DesignFixture days = holding("date").with("There are about 0 catches, and 9,000 more each year.");

        assertThat(full(days, Dialects.POSTGRESQL).said())
                .containsExactly("90,000 rows in 10 years take about 360 kB here.");
        assertThat(Optional.of(full(holding("date"), Dialects.POSTGRESQL).said()))
                .hasValueSatisfying(said -> assertThat(said).isEmpty());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            H-0000      | H-0001      | H-9999      | 6  | 12
            000         | 001         | 999         | 3  | 1
            AV-yyyy-000 | AV-2027-001 | AV-2027-999 | 11 |
            AV-yyyy-00  | AV-2027-01  | AV-2027-99  | 10 | 0
            0/x         | 1/x         | 9/x         | 3  | 0
            """)
    void a_code_tells_its_first_its_last_and_when_it_runs_out(
            String pattern, String first, String last, int length, Long years) {
        var code = ReadableCode.read(pattern);

        assertThat(code.code(1, NOW)).isEqualTo(first);
        assertThat(code.code(code.largest(), NOW)).isEqualTo(last);
        assertThat(code.length()).isEqualTo(length);
        assertThat(code.yearsLeft(0, 800)).isEqualTo(Optional.ofNullable(years));
        assertThat(code.isCode(first)).isTrue();
        assertThat(code.isCode(first + "1")).isFalse();
    }

    @ParameterizedTest
    @CsvSource({"H-", "H-00-00", "''"})
    void a_pattern_without_one_number_is_none(String pattern) {
        assertThatThrownBy(() -> ReadableCode.read(pattern)).hasMessageContaining("H-0000");
    }

    @Test
    void codes_that_depart_are_told_and_the_column_shows_first_and_last() {
        DesignFixture codes = design("Each catch has no: whole (key), a: text 6 (unique; pattern C-0000; code).")
                .filled("Catch", "no,a\n1,C-0001\n2,c7\n");
        Fullness full = full(codes, Dialects.POSTGRESQL);

        assertThat(full.low()).isEqualTo("C-0001");
        assertThat(full.high()).isEqualTo("C-9999");
        assertThat(full.said()).contains("1 sample row has another form.");
        assertThat(codes.review().open()).anyMatch(each -> each.rule().id().equals("departs-from-pattern"));
        assertThat(DesignText.of(codes.design()).text()).contains("text 6 (unique; pattern \"C-0000\"; code)");
    }
}
