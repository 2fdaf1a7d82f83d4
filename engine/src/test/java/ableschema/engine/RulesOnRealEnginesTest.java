package ableschema.engine;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.document.Document;
import ableschema.core.rows.DesignScript;
import ableschema.core.rows.RowJudge;
import java.sql.Connection;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Rules over several columns, as they are typed: each row is taken or refused as the program says beforehand. */
class RulesOnRealEnginesTest {

    private static final List<String> RULES = List.of(
            "departed is empty or departed after arrived",
            "departed is not before arrived",
            "fee is there only where state is 'gone away'",
            "if state is moored then tug",
            "state is one of booked, gone away",
            "not (departed is empty and fee is empty)",
            "draught m at most depth m - 0.5",
            "(draught m + 1) * 2 < depth m",
            "length of remark more than 3",
            "upper(remark) <> remark",
            "remark contains 'ord' or remark like '_b_'",
            "remark does not end with '''s'",
            "remark starts with 'a' or remark is not like '%*%'",
            "remark starts with 'a'",
            "not (remark contains '*' or remark like '%?' or remark ends with 'ord')",
            "tug is no or draught m >= 2",
            "closed on at least 2020-01-01 or closed on is empty",
            "arrived between 2020-01-01 00:00 and 2030-12-31 23:59",
            "remark <> 'it''s'");

    private static final List<String> ROWS = List.of(
            "1,2027-05-01 10:00,2027-05-02 10:00,3.5,9.0,,moored,yes,a longer word,2021-01-01",
            "2,2027-05-01 10:00,2027-04-02 10:00,3.5,3.9,12.50,gone away,no,abc,2019-12-31",
            "3,2027-05-01 10:00,,1.0,4.0,,booked,yes,ABCD,",
            "4,2019-12-31 23:59,2027-05-02 10:00,1.0,4.5,3.00,moored,no,it's,2020-01-01",
            "5,2030-12-31 23:59,2030-12-31 23:59,0.5,1.0,,gone away,no,Word,");

    private static final String COLUMNS =
            "Each stay has no: whole (key), arrived: moment, [departed]: moment, draught m: decimal 4,1,"
                    + " depth m: decimal 4,1, [fee]: decimal 8,2, state: list (booked, moored, \"gone away\"),"
                    + " tug: yes/no, remark: text 40, [closed on]: date.";

    /** How a row is written where no rule speaks against it. */
    private static String insert(String row, RealEngine engine) {
        return Said.insert(with(Said.read(COLUMNS), row), engine);
    }

    private static Document with(Document document, String row) {
        String names = "no,arrived,departed,draught m,depth m,fee,state,tug,remark,closed on\n";
        return Said.filled(document, "Stay", names + row + "\n");
    }

    @ParameterizedTest
    @EnumSource
    void a_row_is_taken_exactly_where_the_program_says_so(RealEngine engine) throws Exception {
        int refused = 0;
        int byLetterCase = 0;
        for (String rule : RULES) {
            Document ruled = Said.read(COLUMNS + "\nOf each stay: " + rule + ".");
            try (Connection connection = engine.open()) {
                var script = DesignScript.definitions(ruled.mapping(), engine.dialect());
                String text = script.text();
                ScriptRun made = ScriptRun.of(script, connection);
                assertThat(made.refusal()).as(rule).isEmpty();
                for (String row : ROWS) {
                    boolean good = RowJudge.judge(with(ruled, row).design()).isEmpty();
                    refused += good ? 0 : 1;
                    boolean taken = Said.isTaken(connection, insert(row, engine));
                    if (taken != good && engine == RealEngine.MARIADB) {
                        assertThat(rule)
                                .as("it holds texts the same that differ in letter case")
                                .contains("remark");
                        assertThat(text).contains("are the same to rules");
                        byLetterCase++;
                    } else {
                        assertThat(taken)
                                .as("%s: %s with %s", engine, rule, row)
                                .isEqualTo(good);
                    }
                }
            }
        }
        assertThat(refused).as("rows that a rule refuses").isBetween(15, ROWS.size() * RULES.size() - 15);
        assertThat(byLetterCase).isEqualTo(engine == RealEngine.MARIADB ? 5 : 0);
    }
}
