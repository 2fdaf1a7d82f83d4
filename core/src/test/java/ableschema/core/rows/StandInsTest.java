package ableschema.core.rows;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.design.Design;
import ableschema.core.design.IdSource;
import ableschema.core.design.Row;
import ableschema.core.document.Document;
import ableschema.core.edit.ChangeBody;
import ableschema.core.sql.dialect.Dialects;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is personal or secret stays at home when rows are given away. */
class StandInsTest {

    private static final IdSource IDS = IdSource.seeded(5);

    private static final DesignFixture CREW = DesignFixture.design(
            "The domain depth holds whole 90 (at least 20).",
            "Each sailor has [email]: text 30 (key; personal), name: text 12 (personal), born on: date (personal; at least"
                    + " 1990-01-01), [pin]: text 2 (secret), rank: list (mate, cook) (personal), code: text 6 (pattern \"S-0000\";"
                    + " personal), knots: whole 40 (at least 10; personal), dived: domain depth (personal), boat: text 20.",
            "Each watch has no: whole (key).",
            "Each watch is kept by exactly one sailor; each sailor keeps any number of watches.");

    private static Document filled() {
        Document document = CREW.document();
        document = filled(
                document,
                "Sailor",
                "email,name,born on,pin,rank,code,knots,dived,boat\n"
                        + "ann@sea.example,Ann,1999-04-03,77,mate,S-1234,31,41,Heron\n"
                        + "bo@sea.example,Bo,1998-04-03,,cook,S-4321,32,42,Heron\n"
                        + "cy@sea.example,Ann,1999-04-03,78,mate,S-5555,33,43,Tern\n");
        return filled(document, "Watch", "no,sailor\n1,bo@sea.example\n2,bo@sea.example\n3,dee@sea.example\n");
    }

    private static Document filled(Document document, String name, String csv) {
        var owner = document.design().entity(name).orElseThrow();
        var rows = new RowTable(new RowEntry(document.design(), owner.id(), IDS)).read(csv, false, List.of());
        return new ChangeBody(owner.id(), owner.body().withRows(rows.rows()), "fill").applyTo(document);
    }

    private static List<String> column(Document document, String name) {
        var design = StandIns.in(document.design());
        var attribute = CREW.attribute("Sailor", name);
        return design.entity("Sailor").orElseThrow().body().rows().stream()
                .map(row -> row.value(attribute.id()).orElse(""))
                .toList();
    }

    @Test
    void what_was_the_same_stays_the_same_and_what_differed_differs() {
        assertThat(column(filled(), "name")).containsExactly("hidden 1", "hidden 2", "hidden 1");
        assertThat(column(filled(), "email")).doesNotHaveDuplicates().allMatch(each -> each.startsWith("hidden"));
        assertThat(column(filled(), "pin")).containsExactly("1", "", "2");
        assertThat(column(filled(), "boat")).containsExactly("Heron", "Heron", "Tern");
    }

    @Test
    void types_patterns_and_rules_are_kept() {
        assertThat(column(filled(), "code")).containsExactly("S-0001", "S-0002", "S-0003");
        assertThat(column(filled(), "knots")).containsExactly("10", "11", "12");
        assertThat(column(filled(), "dived")).containsExactly("20", "21", "22");
        assertThat(column(filled(), "rank")).allMatch(List.of("mate", "cook")::contains);
        assertThat(column(filled(), "born on")).doesNotContain("1999-04-03", "1998-04-03");
        Document other = filled();
        assertThat(RowJudge.judge(StandIns.in(other.design()))).hasSameSizeAs(RowJudge.judge(other.design()));
    }

    @Test
    void rules_over_several_columns_are_kept_where_that_is_possible() {
        DesignFixture stays = DesignFixture.design(
                "Each guest has no: whole (key), born on: date (personal), came on: date, left on: date (personal), nights: whole 90,"
                        + " age: whole 120 (personal).",
                "Of each guest: left on must be after came on.",
                "Of each guest: born on must be before left on.",
                "Of each guest: age must be greater than nights.");
        Document document = filled(
                stays.document(),
                "Guest",
                "no,born on,came on,left on,nights,age\n"
                        + "1,1950-01-02,2024-05-01,2024-05-09,8,74\n"
                        + "2,1961-03-04,2025-07-01,2025-07-30,29,63\n");
        assertThat(RowJudge.judge(document.design())).isEmpty();
        Design given = StandIns.in(document.design());

        assertThat(RowJudge.judge(given)).isEmpty();
        assertThat(given.entity("Guest").orElseThrow().body().rows())
                .flatExtracting(row -> row.values().values())
                .contains("2024-05-01", "29")
                .doesNotContain("1950-01-02", "1961-03-04", "2024-05-09", "2025-07-30", "74", "63");
    }

    @Test
    void a_script_gives_none_of_it_away_and_says_so() {
        String script =
                DesignScript.withRows(filled().mapping(), Dialects.POSTGRESQL).text();

        assertThat(script)
                .doesNotContain("sea.example", "Ann", "77", "1999-04-03", "S-1234")
                .contains("Heron", "stand-ins take the place of what is personal or secret: sailor.email, sailor.name");
        assertThat(DesignScript.withRowsAsEntered(filled().mapping(), Dialects.POSTGRESQL)
                        .text())
                .contains("ann@sea.example", "Bo", "dee@sea.example");
    }

    @Test
    void a_key_of_which_there_is_no_row_is_hidden_too() {
        List<Row> watches = StandIns.in(filled().design())
                .entity("Watch")
                .orElseThrow()
                .body()
                .rows();

        assertThat(watches.get(2).references().values())
                .singleElement()
                .isInstanceOfSatisfying(
                        Row.RawKey.class, raw -> assertThat(raw.values()).noneMatch(each -> each.contains("dee")));
    }

    @Test
    void a_design_without_such_marks_is_as_it_was() {
        var plain = DesignFixture.design("Each sail has no: whole (key).").design();

        assertThat(StandIns.in(plain)).isSameAs(plain);
    }
}
