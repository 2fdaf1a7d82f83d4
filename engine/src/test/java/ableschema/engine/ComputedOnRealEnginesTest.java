package ableschema.engine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ableschema.core.design.Attribute;
import ableschema.core.design.Row;
import ableschema.core.document.Document;
import ableschema.core.rows.DesignScript;
import ableschema.core.rows.RowJudge;
import ableschema.core.rows.RowValues;
import ableschema.core.sql.Shortfalls;
import ableschema.core.sql.dialect.Ability;
import ableschema.core.types.TypedValue;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What engines compute, held against what the program shows beforehand in the sample rows. */
class ComputedOnRealEnginesTest {

    private static final List<String> COMPUTED = List.of(
            "total: decimal 9,2|price * copies",
            "half: decimal 9,2|price / 4",
            "tenths: decimal 9,1|price * 1",
            "more: decimal 9,1|(price + 0.15) * 2 - copies",
            "called: text 60|first || ' ' || last",
            "short: text 9|upper(last) || '-' || substring(first from 2 for 2)",
            "tail: text 20|substring(first from 3)",
            "length: whole|length of first",
            "year sold: whole|year of sold on");

    private static Document sales() {
        var sentences = new java.util.ArrayList<String>();
        sentences.add(
                "Each sale has no: whole (key), price: decimal 8,2, [copies]: whole, first: text 20, last: text 20,"
                        + " sold on: date.");
        for (String each : COMPUTED) {
            String[] parts = each.split("\\|", 2);
            sentences.add("Each sale has [" + parts[0].replace(":", "]:") + ".");
            sentences.add("The " + parts[0].substring(0, parts[0].indexOf(':')) + " of each sale is computed from "
                    + parts[1] + ".");
        }
        Document made = Said.read(sentences.toArray(String[]::new));
        return Said.filled(
                made,
                "Sale",
                "no,price,copies,first,last,sold on\n1,10.35,3,Ann,Orr,2027-05-06\n2,0.05,,Bo,Øst,1999-12-31\n"
                        + "3,7.25,2,Katharina,O'Hara,2028-01-01\n");
    }

    @ParameterizedTest
    @EnumSource
    void an_engine_computes_what_the_rows_show(RealEngine engine) throws Exception {
        Document document = sales();
        assertThat(RowJudge.judge(document.design())).isEmpty();
        boolean exact = Shortfalls.ofWhole(document.mapping().schema(), engine.dialect()).stream()
                .noneMatch(each -> each.ability() == Ability.EXACT_DECIMALS);
        assertThat(exact).isEqualTo(engine != RealEngine.SQLITE);
        var values = new RowValues(document.design());
        var sale = Said.entity(document, "Sale");
        try (Connection connection = engine.open()) {
            var run = ScriptRun.of(DesignScript.withRows(document.mapping(), engine.dialect()), connection);
            assertThat(run.refusal()).isEmpty();
            for (Row row : sale.body().rows()) {
                for (Attribute attribute : sale.body().attributes()) {
                    boolean told =
                            !exact && attribute.name().equals("tenths"); // 10.35 is a little less, and rounded down
                    if (!attribute.filling().isComputed() || told) {
                        continue;
                    }
                    String column = engine.dialect().column(attribute.name().replace(' ', '_'));
                    String no = values.values(
                                    row, List.of(sale.body().attributes().get(0).ref()))
                            .get(0);
                    String there = Said.text(connection, "SELECT " + column + " FROM sale WHERE no = " + no);
                    String shown = values.value(row, attribute.ref()).orElse("null");
                    assertThat(comparable(attribute, there))
                            .as("%s: %s of row %s", engine, attribute.name(), no)
                            .isEqualTo(comparable(attribute, shown));
                }
            }
        }
    }

    /** Where an engine has no primary key of what is computed, it is unique, and can be referred to all the same. */
    @ParameterizedTest
    @EnumSource
    void what_is_computed_can_tell_rows_apart(RealEngine engine) throws Exception {
        Document shelves = Said.read(
                "Each shelf has place: whole, number: whole (key).",
                "The number of each shelf is computed from place + 100.",
                "Each jar has code: text 4 (key).",
                "Each shelf holds any number of jars; each jar stands on exactly one shelf.");
        try (Connection connection = engine.open()) {
            var run = ScriptRun.of(DesignScript.definitions(shelves.mapping(), engine.dialect()), connection);
            assertThat(run.refusal()).isEmpty();
            try (var statement = connection.createStatement()) {
                String quoted = engine.dialect().column("number");
                statement.execute("INSERT INTO shelf (place) VALUES (1)");
                statement.execute("INSERT INTO jar (code, shelf_number) VALUES ('A', 101)");
                assertThat(Said.text(connection, "SELECT " + quoted + " FROM shelf"))
                        .isEqualTo("101");
                assertThatThrownBy(() -> statement.execute("INSERT INTO shelf (place) VALUES (1)"))
                        .isInstanceOf(SQLException.class);
                assertThatThrownBy(() -> statement.execute("INSERT INTO jar (code, shelf_number) VALUES ('B', 102)"))
                        .isInstanceOf(SQLException.class);
            }
        }
    }

    /** The first row is taken, and what is computed of each of the others is beyond its column. */
    @ParameterizedTest
    @EnumSource
    void what_comes_out_beyond_its_column_is_refused_as_the_program_says(RealEngine engine) throws Exception {
        Document document = Said.read(
                "Each crate has no: whole (key), pieces: whole, weight: decimal 8,2, mark: text 20.",
                "Each crate has [thousandfold]: whole, [heavy]: decimal 8,2, [twice]: text 10.",
                "The thousandfold of each crate is computed from pieces * 1000.",
                "The heavy of each crate is computed from weight * 100.",
                "The twice of each crate is computed from mark || mark.");
        String header = "no,pieces,weight,mark\n";
        Document taken = Said.filled(document, "Crate", header + "1,2147483,1.25,abcde\n");
        assertThat(RowJudge.judge(taken.design())).isEmpty();
        try (Connection connection = engine.open()) {
            var script = DesignScript.withRows(taken.mapping(), engine.dialect());
            assertThat(ScriptRun.of(script, connection).refusal()).isEmpty();
            for (String row : List.of("2,2147484,1.25,abcde", "2,1,99999.00,abcde", "2,1,1.25,abcdefg")) {
                assertThat(RowJudge.judge(Said.filled(document, "Crate", header + row + "\n")
                                .design()))
                        .as(row)
                        .isNotEmpty();
                String values = row.replaceFirst(",([a-z]+)$", ",'$1'");
                assertThatThrownBy(() -> Said.run(
                                connection, "INSERT INTO crate (no, pieces, weight, mark) VALUES (" + values + ")"))
                        .as("%s: %s", engine, row)
                        .isInstanceOfSatisfying(SQLException.class, e -> assertThat(Refusals.isOfRule(e))
                                .as("%s: %s", engine, e.getMessage())
                                .isTrue());
            }
        }
    }

    private static String comparable(Attribute attribute, String value) {
        return value.equals("null")
                ? value
                : TypedValue.of(attribute.type(), value).comparable(attribute.type());
    }
}
