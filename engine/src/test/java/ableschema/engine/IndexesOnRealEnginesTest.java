package ableschema.engine;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.document.Document;
import ableschema.core.rows.DesignScript;
import ableschema.core.rows.RowJudge;
import ableschema.core.sql.dialect.Ability;
import java.sql.Connection;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Unique indexes over some rows or over what is made of columns: held as the program says, or said to be left out. */
class IndexesOnRealEnginesTest {

    private static final String CRATE =
            "Each crate has no: whole (key), mark: text 20, [left on]: date, weight: whole, full: yes/no.";

    private static final List<String> UNIQUE = List.of(
            "lower(mark) (unique)",
            "mark where left on is null (unique)",
            "mark where full = true and weight >= 5 (unique)",
            "weight + 1, full (unique)",
            "mark where weight in (1, 2) or full = false (unique)");

    private static final List<String> ROWS = List.of(
            "1,alder,,1,yes",
            "2,Alder,2027-01-01,2,no",
            "3,alder,2027-01-01,7,yes",
            "4,alder,2027-05-01,7,no",
            "5,birch,,1,yes",
            "6,birch,,9,yes",
            "7,BIRCH,,2,no");

    @ParameterizedTest
    @EnumSource
    void what_must_be_unique_is_refused_where_the_program_says_so(RealEngine engine) throws Exception {
        int refused = 0;
        for (String index : UNIQUE) {
            Document made = Said.read(CRATE, "Each crate is often searched by its " + index + ".");
            Document filled =
                    Said.filled(made, "Crate", "no,mark,left on,weight,full\n" + String.join("\n", ROWS) + "\n");
            boolean held = DesignScript.definitions(made.mapping(), engine.dialect()).shortfalls().stream()
                    .noneMatch(each ->
                            each.ability() == Ability.PARTIAL_INDEXES || each.ability() == Ability.MADE_INDEXES);
            List<String> broken = RowJudge.judge(filled.design()).stream()
                    .map(finding -> finding.names().get("row"))
                    .toList();
            refused += broken.size();
            try (Connection connection = engine.open()) {
                var run = ScriptRun.of(DesignScript.definitions(made.mapping(), engine.dialect()), connection);
                assertThat(run.refusal()).as(index).isEmpty();
                for (int row = 1; row <= ROWS.size(); row++) {
                    boolean wanted = !held || !broken.contains(String.valueOf(row));
                    assertThat(Said.isTaken(connection, insert(made, row, engine)))
                            .as("%s: %s with row %d", engine, index, row)
                            .isEqualTo(wanted);
                }
            }
        }
        assertThat(refused).isGreaterThan(8);
    }

    private static String insert(Document made, int row, RealEngine engine) {
        return Said.insert(
                Said.filled(made, "Crate", "no,mark,left on,weight,full\n" + ROWS.get(row - 1) + "\n"), engine);
    }
}
