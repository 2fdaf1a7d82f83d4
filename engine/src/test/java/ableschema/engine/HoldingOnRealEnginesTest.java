package ableschema.engine;

import static ableschema.engine.Said.attribute;
import static ableschema.engine.Said.filled;
import static ableschema.engine.Said.read;
import static ableschema.engine.Said.run;
import static ableschema.engine.Said.text;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ableschema.core.design.IdSource;
import ableschema.core.document.Document;
import ableschema.core.holding.Declared;
import ableschema.core.holding.Fullness;
import ableschema.core.holding.ListedValues;
import ableschema.core.holding.ListedValues.Form;
import ableschema.core.mapping.Mapping;
import ableschema.core.rows.DesignScript;
import ableschema.core.rows.RowJudge;
import java.math.BigDecimal;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What is said of types, and what lists are turned into, held against what real engines do. */
class HoldingOnRealEnginesTest {

    private static final IdSource IDS = IdSource.seeded(8);

    private static void refused(Connection connection, String sql) {
        assertThatThrownBy(() -> run(connection, sql)).as(sql).isInstanceOf(SQLException.class);
    }

    private static final String TEMPER = "list (calm, nervous, cross)";

    /** Whatever keeps the values takes the same rows, has the same default, and refuses the same value. */
    @ParameterizedTest
    @EnumSource
    void each_form_of_a_list_takes_and_refuses_the_same(RealEngine engine) throws Exception {
        Document list = filled(
                read("Each hive has code: text 6 (key), [temper]: " + TEMPER + " (default calm)."),
                "Hive",
                "code,temper\nA1,calm\nA2,cross\nA3,\n");
        for (Form form : Form.values()) {
            if (form == Form.ANYTHING) {
                continue;
            }
            Document made = form == Form.LIST
                    ? list
                    : ListedValues.of(list.design(), attribute(list, "Hive", "temper"))
                            .orElseThrow()
                            .as(form, IDS)
                            .applyTo(list);
            Mapping mapping = made.mapping();
            String column = form == Form.TABLE ? "temper_name" : "temper";
            try (Connection connection = engine.open()) {
                ScriptRun run = ScriptRun.of(DesignScript.withRowsAsEntered(mapping, engine.dialect()), connection);
                assertThat(run.refusal()).as("%s in %s", form, engine).isEmpty();
                assertThat(text(connection, "select " + column + " from hive where code = 'A2'"))
                        .isEqualTo("cross");
                run(connection, "insert into hive (code) values ('B1')");
                assertThat(text(connection, "select " + column + " from hive where code = 'B1'"))
                        .as("the default, as %s", form)
                        .isEqualTo("calm");
                run(connection, "insert into hive (code, " + column + ") values ('B2', 'nervous')");
                refused(connection, "insert into hive (code, " + column + ") values ('B3', 'wild')");
            }
        }
    }

    @ParameterizedTest
    @EnumSource
    void what_is_said_of_values_that_do_not_fit_is_what_happens(RealEngine engine) throws Exception {
        Document document = read("Each jar has no: whole (key), label: text 5, net: decimal 6,2.");
        boolean rounds =
                said(document, "net", engine).contains("Further decimal places are rounded away without a word.");
        assertThat(said(document, "label", engine)).contains("A longer one is refused, not cut.");
        try (Connection connection = engine.open()) {
            assertThat(ScriptRun.of(DesignScript.definitions(document.mapping(), engine.dialect()), connection)
                            .refusal())
                    .isEmpty();
            run(connection, "insert into jar values (1, 'abcde', 9999.99)");
            refused(connection, "insert into jar values (2, 'abcdef', 1)");
            refused(connection, "insert into jar values (3, 'a', 10000)");
            if (rounds) {
                run(connection, "insert into jar values (4, 'a', 1.239)");
                assertThat(new BigDecimal(text(connection, "select net from jar where no = 4")))
                        .isEqualByComparingTo("1.24");
            } else {
                refused(connection, "insert into jar values (4, 'a', 1.239)");
            }
        }
    }

    private static List<String> said(Document document, String attribute, RealEngine engine) {
        return Fullness.of(document.design(), attribute(document, "Jar", attribute), engine.dialect(), 2027)
                .said();
    }

    @ParameterizedTest
    @EnumSource
    void the_range_that_is_shown_is_the_range_there_is(RealEngine engine) throws Exception {
        Document document = read("Each jar has no: counted (key), small: whole 10, large: whole 5000000000.");
        try (Connection connection = engine.open()) {
            assertThat(ScriptRun.of(DesignScript.definitions(document.mapping(), engine.dialect()), connection)
                            .refusal())
                    .isEmpty();
            for (String column : List.of("small", "large")) {
                Fullness full =
                        Fullness.of(document.design(), attribute(document, "Jar", column), engine.dialect(), 2027);
                String other = column.equals("small") ? "large" : "small";
                for (String end : List.of(full.low(), full.high())) {
                    String plain = end.replace(",", "");
                    run(connection, "insert into jar (" + column + ", " + other + ") values (" + plain + ", 1)");
                    refused(connection, "insert into jar (" + column + ", " + other + ") values (" + plain + "0, 1)");
                }
            }
        }
    }

    @ParameterizedTest
    @EnumSource
    void numbers_that_need_a_wide_column_get_one_and_so_do_references_to_them(RealEngine engine) throws Exception {
        Document document = read(
                "Each jar has no: counted to 5000000000 (key).",
                "Each label has code: text 4 (key).",
                "Each label sticks on exactly one jar; each jar bears any number of labels.");
        try (Connection connection = engine.open()) {
            assertThat(ScriptRun.of(DesignScript.definitions(document.mapping(), engine.dialect()), connection)
                            .refusal())
                    .isEmpty();
            run(connection, "insert into jar (no) values (5000000000)");
            run(connection, "insert into label (code, jar_no) values ('a', 5000000000)");
            assertThat(text(connection, "select jar_no from label")).isEqualTo("5000000000");
        }
    }

    @ParameterizedTest
    @EnumSource
    void a_declared_reference_takes_its_rows_and_refuses_an_orphan(RealEngine engine) throws Exception {
        Document berths = filled(
                read("Each berth has no: whole (key).", "Each stay has code: text 4 (key), [berth no]: whole."),
                "Berth",
                "no\n1\n2\n");
        Document stays = filled(berths, "Stay", "code,berth no\na,1\nb,1\nc,\n");
        Document declared = Declared.of(
                        stays.design(),
                        attribute(stays, "Stay", "berth no"),
                        stays.design().entity("Berth").orElseThrow())
                .orElseThrow()
                .edit(IDS)
                .applyTo(stays);
        assertThat(RowJudge.judge(declared.design())).isEmpty();
        try (Connection connection = engine.open()) {
            assertThat(ScriptRun.of(DesignScript.withRowsAsEntered(declared.mapping(), engine.dialect()), connection)
                            .refusal())
                    .isEmpty();
            assertThat(text(connection, "select count(*) from stay where berth_no = 1"))
                    .isEqualTo("2");
            refused(connection, "insert into stay (code, berth_no) values ('d', 7)");
        }
    }
}
