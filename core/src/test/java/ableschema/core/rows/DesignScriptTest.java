package ableschema.core.rows;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Check;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.Index;
import ableschema.core.design.Pins;
import ableschema.core.design.Row;
import ableschema.core.edit.ChangeBody;
import ableschema.core.expression.Expression;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Which sample rows a script inserts, which it leaves out, and why. */
class DesignScriptTest {

    static Stream<Dialect> dialects() {
        return Dialects.ALL.stream();
    }

    private static DesignFixture changed(DesignFixture fixture, String entity, UnaryOperator<Body> change) {
        Id owner = fixture.entity(entity).id();
        return fixture.with(
                new ChangeBody(owner, change.apply(fixture.entity(entity).body()), "change"));
    }

    private static List<String> lines(DesignFixture fixture, Dialect dialect, String start) {
        return DesignScript.withRows(fixture.document().mapping(), dialect)
                .lines()
                .map(line -> line.text().strip())
                .filter(line -> line.startsWith(start))
                .toList();
    }

    private static List<String> leftOut(DesignFixture fixture, Dialect dialect) {
        return lines(fixture, dialect, "-- left out");
    }

    @ParameterizedTest
    @CsvSource({
        "standard,   vt,  VT,  2",
        "mysql,      vt,  VT,  1",
        "sqlserver,  vt,  VT,  1",
        "oracle,     vt,  VT,  2",
        "mysql,      vt,  v\u00e9t, 2",
        "mysql,      vet, v\u00e9t, 1",
        "sqlserver,  vet, v\u00e9t, 2",
        "postgresql, vet, v\u00e9t, 2"
    })
    void texts_that_the_database_holds_alike_are_inserted_once(String dialect, String one, String other, int inserted) {
        DesignFixture two = design("Each valve has code: text 6 (key), width: whole.")
                .filled("Valve", "code,width\n" + one + ",1\n" + other + ",2\n");
        Dialect written = Dialects.named(dialect).orElseThrow();

        assertThat(lines(two, written, "INSERT INTO valve")).hasSize(inserted);
        assertThat(leftOut(two, written)).hasSize(2 - inserted).allMatch(line -> line.contains(one));
    }

    @ParameterizedTest
    @MethodSource("dialects")
    void values_are_alike_once_they_are_of_their_type(Dialect dialect) {
        DesignFixture two = design("Each valve has width: decimal 6,2 (key), note: text 9.")
                .filled("Valve", "width,note\n1.5,one\n1.50,again\n1.51,other\n");

        assertThat(lines(two, dialect, "INSERT INTO valve")).hasSize(2);
        assertThat(leftOut(two, dialect))
                .containsExactly("-- left out: Valve, row 2: width 1.50 is the key of row 1 already.");
    }

    @ParameterizedTest
    @MethodSource("dialects")
    void a_unique_index_leaves_out_the_second(Dialect dialect) {
        DesignFixture indexed = changed(
                design("Each valve has no: whole (key), maker: text 9, serial: text 9 (optional)."), "Valve", body -> {
                    List<Index.Part> parts = body.attributes().stream()
                            .skip(1)
                            .map(a -> new Index.Part(a.ref(), false))
                            .toList();
                    return body.withIndexes(
                            List.of(new Index(Id.derived(IdKind.INDEX, "index"), parts, true, Pins.NONE)));
                });
        DesignFixture rows =
                indexed.filled("Valve", "no,maker,serial\n1,Birch,A\n2,Birch,A\n3,Birch,\n4,Birch,\n5,Ash,A\n");

        boolean emptiesAreAlike = dialect.equals(Dialects.ORACLE);
        assertThat(leftOut(rows, dialect)).hasSize(emptiesAreAlike ? 2 : 1);
        assertThat(lines(rows, dialect, "INSERT INTO valve")).hasSize(emptiesAreAlike ? 3 : 4);
        assertThat(lines(rows, dialect, "CREATE UNIQUE INDEX")
                        .get(0)
                        .contains("(maker, serial) WHERE serial IS NOT NULL"))
                .isEqualTo(dialect.equals(Dialects.SQL_SERVER));
        assertThat(lines(rows, dialect, "-- Not in " + dialect + ": many"))
                .as("what is held in another way is said")
                .hasSize(dialect.equals(Dialects.SQL_SERVER) || emptiesAreAlike ? 1 : 0);
    }

    @Test
    void a_check_over_two_columns_judges_rows_but_what_is_unknown_passes() {
        DesignFixture start = design("Each loan has no: whole (key), lent: date, back: date (optional).");
        Expression<ColumnRef> inOrder = Expression.parse(
                "{back} >= {lent}", name -> start.attribute("Loan", name).ref());
        DesignFixture checked = changed(
                start,
                "Loan",
                body -> body.withChecks(List.of(new Check(Id.derived(IdKind.CHECK, "in order"), inOrder, Pins.NONE))));
        DesignFixture rows = checked.filled(
                "Loan", "no,lent,back\n1,2027-04-02,2027-04-01\n2,2027-04-02,\n3,2027-04-02,2027-04-2\n");

        assertThat(leftOut(rows, Dialects.H2))
                .containsExactly(
                        "-- left out: Loan, row 1: back, lent is 2027-04-01 / 2027-04-02, but it must be so that back >= lent.",
                        "-- left out: Loan, row 3: back does not fit its type date, as '2027-04-2' is not a date such as"
                                + " 2027-04-12.");
    }

    @Test
    void what_the_database_fills_in_counts() {
        DesignFixture start = design(
                        "Each valve has valve no: counted 100 by -10 (key), size: text 4 (unique; default DN50).",
                        "Each seal has seal no: whole (key).",
                        "Each seal fits exactly one valve; each valve takes any number of seals.")
                .filled("Valve", "size\nDN20\nDN25\nDN50\nDN65\n");
        Attribute no = start.attribute("Valve", "valve no");
        Attribute size = start.attribute("Valve", "size");
        DesignFixture unfilled = changed(start, "Valve", body -> {
            var rows = new ArrayList<Row>();
            body.rows().forEach(row -> rows.add(row.with(no.id(), "")));
            rows.set(0, rows.get(0).with(no.id(), "70"));
            rows.set(1, rows.get(1).with(size.id(), ""));
            return body.withRows(rows);
        });
        DesignFixture referring = unfilled.filled("Seal", "seal no\n1\n2\n");
        List<Row> valves = referring.entity("Valve").body().rows();
        var end = referring.design().relationships().get(0).referencedSides().stream()
                .map(referring.design().relationships().get(0)::ref)
                .findFirst()
                .orElseThrow();
        DesignFixture sealed = changed(
                referring,
                "Seal",
                body -> body.withRows(List.of(
                        body.rows().get(0).with(end, Optional.of(Row.Reference.to(valves.get(1)))),
                        body.rows().get(1).with(end, Optional.of(Row.Reference.to(valves.get(2)))))));

        assertThat(lines(sealed, Dialects.POSTGRESQL, "VALUES"))
                .as("numbers go on behind the furthest; the default counts as a value of the unique column")
                .containsExactly(
                        "VALUES (70, 'DN20');", "VALUES (60, 'DN50');", "VALUES (40, 'DN65');", "VALUES (1, 60);");
        assertThat(leftOut(sealed, Dialects.POSTGRESQL))
                .containsExactly(
                        "-- left out: Valve, row 3: size DN50 stands in row 2 already, and no two rows may share it.",
                        "-- left out: a row of seal refers to a row that is left out");
        assertThat(lines(sealed, Dialects.POSTGRESQL, "ALTER TABLE valve"))
                .containsExactly("ALTER TABLE valve ALTER COLUMN valve_no RESTART WITH 30;");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "depth: whole (unique; default -5)|                 1",
                "depth: decimal 4,1 (unique; default 2.5)|          1",
                "calm: yes/no (unique; default yes)|                1",
                "made: date (unique; default 2027-04-01)|           1",
                "tag: uuid (unique; default a new uuid)|            2",
                "note: text 9 (optional; unique)|                   2"
            })
    void a_default_that_is_always_the_same_stands_once_in_what_is_unique(String attribute, int inserted) {
        DesignFixture valves =
                design("Each valve has no: whole (key), " + attribute + ".").filled("Valve", "no\n1\n2\n");

        assertThat(lines(valves, Dialects.POSTGRESQL, "INSERT INTO valve")).hasSize(inserted);
        assertThat(leftOut(valves, Dialects.POSTGRESQL)).hasSize(2 - inserted);
    }

    @Test
    void a_domain_judges_the_values_of_all_its_columns() {
        DesignFixture rows = design(
                        "The domain Pressure holds decimal 5,1 (between 0.5 and 16; default 6).",
                        "Each valve has no: whole (key), rated: domain Pressure, tested: domain Pressure (optional).")
                .filled("Valve", "no,rated,tested\n1,10,\n2,16.1,1\n3,,17\n4,,\n");

        assertThat(leftOut(rows, Dialects.MYSQL)).hasSize(2).allMatch(line -> line.contains("must be"));
        assertThat(lines(rows, Dialects.MYSQL, "VALUES")).hasSize(2).contains("VALUES (4, 6.0, 6.0);");
    }
}
