package ableschema.core.reverse;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.ddl.SqlRead;
import ableschema.core.ddl.SqlReader;
import ableschema.core.ddl.SqlSource;
import ableschema.core.design.Design;
import ableschema.core.finding.Finding;
import ableschema.core.rows.DesignScript;
import ableschema.core.rows.RowJudge;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Rows that a script brings along become sample rows, which refer to each other as they did there. */
class FoundRowsTest {

    private static Design design(String sql, Dialect dialect, int most) {
        return Reverse.of(SqlReader.read(sql, dialect, most), "read").document().design();
    }

    static Stream<Path> withRows() {
        return SqlSource.written();
    }

    /** All rows of the kept scripts, in each dialect, are those that the script writes again. */
    @ParameterizedTest
    @MethodSource("withRows")
    void rows_are_read_as_they_were_written(Path file) {
        Dialect dialect = SqlSource.dialect(file);
        SqlRead read = SqlReader.read(SqlSource.text(file), dialect, 1000);
        var reversed = Reverse.of(read, "read");
        SqlRead again = SqlReader.read(
                DesignScript.withRowsAsEntered(reversed.document().mapping(), dialect)
                        .text(),
                dialect,
                1000);

        assertThat(again.rows().stream()
                        .map(each -> each.table() + " " + each.rows().size()))
                .containsExactlyInAnyOrderElementsOf(read.rows().stream()
                        .map(each -> each.table() + " " + each.rows().size())
                        .toList());
        assertThat(reversed.document().design().countRows())
                .isEqualTo(read.rows().stream()
                        .mapToInt(each -> each.rows().size())
                        .sum());
    }

    @Test
    void the_rows_of_the_example_break_no_rule_when_they_are_read() {
        Path file = SqlSource.written()
                .filter(each -> each.endsWith("alder-valley-postgresql.sql"))
                .findFirst()
                .orElseThrow();

        assertThat(RowJudge.judge(design(SqlSource.text(file), Dialects.POSTGRESQL, 1000)))
                .extracting(Finding::text)
                .isEmpty();
    }

    @Test
    void values_are_read_in_all_the_ways_in_which_they_are_written() {
        Design design = design(
                """
                CREATE TABLE t (id int PRIMARY KEY, name text, born date, ok boolean, price decimal(6,2), raw bytea, other int REFERENCES t);
                INSERT INTO t (id, name, born, ok, price) VALUES (1, 'it''s; (a)', DATE '2027-01-02', TRUE, -1.50), (+2, NULL, NULL, false, 0);
                INSERT INTO t VALUES (3, E'a\\tb', '2027-01-02'::date, 't', 1e2, x'0aff', 1), (4, upper('x'), now(), NULL, NULL, NULL, 9);
                COPY t (id, name, other) FROM stdin;
                5	tab\\there	3
                6	\\N	\\N
                \\.
                """,
                Dialects.POSTGRESQL,
                10);
        var rows = design.entities().get(0).body().rows();
        var attributes = design.entities().get(0).body().attributes();

        assertThat(rows).hasSize(6);
        assertThat(rows.stream().map(row -> row.value(attributes.get(1).id()).orElse("-")))
                .containsExactly("it's; (a)", "-", "a\tb", "-", "tab\there", "-");
        assertThat(rows.stream().map(row -> row.value(attributes.get(4).id()).orElse("-")))
                .containsExactly("-1.50", "0", "1e2", "-", "-", "-");
        assertThat(rows.get(0).value(attributes.get(3).id())).contains("yes");
        assertThat(rows.get(2).value(attributes.get(5).id())).contains("0aff");
        assertThat(rows.get(2).value(attributes.get(3).id())).contains("yes");
        assertThat(rows.get(2).references()).hasSize(1);
        assertThat(rows.get(3).references().values()).singleElement().asString().contains("9");
        assertThat(rows.get(5).references()).isEmpty();
    }

    @Test
    void as_many_rows_as_wanted_are_read_and_the_others_are_listed() {
        String sql = "CREATE TABLE t (a int);\n" + "INSERT INTO t VALUES (1), (2), (3);\n".repeat(4);
        SqlRead read = SqlReader.read(sql, Dialects.MYSQL, 5);

        assertThat(read.rows()).singleElement().satisfies(rows -> assertThat(rows.rows())
                .hasSize(5));
        assertThat(read.skipped()).singleElement().satisfies(each -> {
            assertThat(each.reason()).isEqualTo("7 rows are not read");
            assertThat(each.line()).isEqualTo(2);
        });
        assertThat(SqlReader.read(sql, Dialects.MYSQL, 100).skipped()).isEqualTo(List.of());
    }
}
