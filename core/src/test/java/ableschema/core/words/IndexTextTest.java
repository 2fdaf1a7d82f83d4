package ableschema.core.words;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.design.Design;
import ableschema.core.design.Index;
import ableschema.core.rows.DesignScript;
import ableschema.core.sql.Statement;
import ableschema.core.sql.dialect.Dialects;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** By what rows are searched and sorted: as it is said, kept and written. */
class IndexTextTest {

    private static final String CRATE = "Each crate has mark: text 20 (key), [left on]: date, weight: decimal 8,2,"
            + " full: yes/no, \"where\": text 19.";

    private static DesignFixture indexed(String sentence) {
        return design(CRATE, sentence);
    }

    private static List<String> said(Design design) {
        return DesignText.of(design)
                .text()
                .lines()
                .filter(line -> line.contains("is often"))
                .toList();
    }

    private static List<String> written(DesignFixture made, String dialect) {
        var script = DesignScript.definitions(
                made.document().mapping(), Dialects.named(dialect).orElseThrow());
        return script.statements().stream()
                .filter(Statement::isExecutable)
                .map(Statement::executable)
                .filter(sql -> sql.contains("INDEX"))
                .toList();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            Each crate is often searched by its left on falling, weight. | (left_on DESC, weight)
            Each crate is often sorted by its weight.                    | (weight)
            Each crate is often searched and sorted by its weight.       | (weight)
            Each crate is often searched by its lower(mark).             | ((lower(mark)))
            Each crate is often searched by its weight where left on is null. | (weight) WHERE left_on is null
            Each crate is often searched by its weight * 2 falling, mark where weight > 5 and full = true (unique). | ((weight * 2) DESC, mark) WHERE weight > 5 and "full" = TRUE
            Each crate is often searched by its "where" where "where" <> 'x, (unique)'. | ("where") WHERE "where" <> 'x, (unique)'
            """)
    void what_is_said_is_kept_and_written(String sentence, String columns) {
        DesignFixture made = indexed(sentence);

        assertThat(said(made.design())).containsExactly(sentence);
        assertThat(written(made, "postgresql")).singleElement().asString().endsWith(columns);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            No two crates have the same mark whatever its letter case    | Each crate is often searched by its lower(mark) (unique).
            The mark of a crate must be unique regardless of case.       | Each crate is often searched by its lower(mark) (unique).
            Each crate is searched by its weight times 2, length of mark | Each crate is often searched by its weight * 2, char_length(mark).
            Crates are often sorted by weight            | Each crate is often sorted by its weight.
            Crates are mostly looked up by their mark in any letter case | Each crate is often searched by its lower(mark).
            Each crate is sorted and searched by its weight descending   | Each crate is often searched and sorted by its weight falling.
            Each crate is searched by its weight, but only for those where left on is empty | Each crate is often searched by its weight where left on is null.
            """)
    void other_ways_to_say_it_mean_the_same(String typed, String kept) {
        var read = DesignReader.read(CRATE + "\n" + typed);

        assertThat(read.problems()).isEmpty();
        assertThat(said(read.document().design())).containsExactly(kept);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            Each crate is often searched by its colour.                  | 'colour' is no attribute of Crate
            Each crate is often searched by its weight where colour = 1. | 'colour' is no attribute of Crate
            Each crate is often searched by its lower(mark.              | expected ')'
            Each crate is often searched by its (2 + 3).                 | expected the name of an attribute, or something made of one
            Each crate is often searched by its weight sometimes.        | expected a comma, 'falling', 'where …', '(unique)' or the end
            Each crate is often searched by its weight where.            | expected a comma
            Each crate is often searched by its weight, weight.          | a column stands twice in this index
            Each crate is often searched by its mark + 1.                | mark holds text 20
            """)
    void nonsense_is_pointed_at(String typed, String problem) {
        var read = DesignReader.read(CRATE + "\n" + typed);

        assertThat(read.problems()).singleElement().asString().contains(problem);
    }

    @Test
    void an_index_that_is_asked_for_twice_is_asked_for_by_both() {
        DesignFixture made = design(
                CRATE, "Each crate is often searched by its weight.", "Each crate is often sorted by its weight.");

        assertThat(made.entity("Crate").body().indexes())
                .singleElement()
                .extracting(Index::purpose)
                .isEqualTo(Index.Purpose.BOTH);
    }

    @Test
    void where_a_dialect_cannot_it_writes_what_it_can_and_says_so() {
        DesignFixture some = indexed("Each crate is often searched by its weight where full = true.");
        DesignFixture unique = indexed("Each crate is often searched by its weight where full = true (unique).");
        DesignFixture made = indexed("Each crate is often searched by its lower(mark) (unique).");

        assertThat(written(some, "mariadb"))
                .singleElement()
                .asString()
                .endsWith("(weight)")
                .doesNotContain("WHERE");
        assertThat(written(unique, "mariadb")).isEmpty();
        assertThat(written(made, "h2")).isEmpty();
        assertThat(written(made, "mysql")).singleElement().asString().contains("((lower(");
        assertThat(written(unique, "sqlserver")).singleElement().asString().contains("WHERE");
        assertThat(written(
                        indexed("Each crate is often searched by its mark where weight > 5 or full = true."),
                        "sqlserver"))
                .singleElement()
                .asString()
                .doesNotContain("WHERE");
    }

    @Test
    void an_index_goes_with_the_column_that_its_condition_speaks_of() {
        DesignFixture made = indexed("Each crate is often searched by its weight where left on is null.");
        DesignFixture less = made.with(f -> new ableschema.core.edit.Edits(f.design(), f.ids())
                .remove(List.of(f.attribute("Crate", "left on").id())));

        assertThat(less.entity("Crate").body().indexes()).isEmpty();
    }
}
