package ableschema.core.words;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.design.Check;
import ableschema.core.finding.Finding;
import ableschema.core.rows.RowJudge;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Rules over several columns, as people write them, what they come to, and where nonsense is pointed at. */
class CheckTextTest {

    private static final DesignFixture STAYS = design(
            "Each berth has pier: text 3 (key), no: whole (key).",
            "Each stay has no: counted (key), arrived: moment, [departed]: moment, draught m: decimal 4,1,"
                    + " depth m: decimal 4,1, [fee]: decimal 8,2, state: list (booked, moored, \"gone away\"),"
                    + " tug: yes/no, remark: text 40, [closed on]: date.",
            "Each stay occupies exactly one berth; each berth has any number of stays.");

    private static Understanding read(String rule) {
        return new RuleLine(STAYS.design(), Optional.empty(), STAYS.ids())
                .readCheck(STAYS.entity("Stay").id(), rule);
    }

    private static Check check(Understanding read) {
        assertThat(read).isInstanceOf(Understanding.Understood.class);
        List<Check> checks = ((Understanding.Understood) read)
                .edit()
                .applyTo(STAYS.document())
                .design()
                .entity("Stay")
                .orElseThrow()
                .body()
                .checks();
        return checks.get(checks.size() - 1);
    }

    private static String sql(String rule) {
        var names = new ColumnNames(STAYS.design(), STAYS.entity("Stay").id());
        return check(read(rule)).expression().written(column -> names.said(column)
                .orElse("?"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            textBlock =
                    """
            departed after arrived                             | departed > arrived
            departed must be after arrived                     | departed > arrived
            departed is not before arrived                     | departed >= arrived
            departed is empty or departed > arrived            | departed is null or departed > arrived
            draught m at most depth m - 0.5                    | draught m <= depth m - 0.5
            (draught m + 1) * 2 < depth m                      | (draught m + 1) * 2 < depth m
            fee is there only where state is 'gone away'       | not (fee is not null) or (state = 'gone away')
            if state is moored then tug                        | not (state = 'moored') or (tug)
            state is one of booked, gone away                  | state in ('booked', 'gone away')
            state not in ('booked', 'moored') and not tug      | state not in ('booked', 'moored') and not tug
            tug is no or draught m >= 2                        | tug = false or draught m >= 2
            closed on at least 2020-01-01                      | closed on >= '2020-01-01'
            arrived between 2020-01-01 00:00 and 2030-12-31 23:59 | arrived between '2020-01-01 00:00' and '2030-12-31 23:59'
            length of remark more than 3                       | char_length(remark) > 3
            upper(remark) = remark                             | upper(remark) = remark
            remark <> 'it''s'                                  | remark <> 'it''s'
            berth pier is not 'A'                              | berth pier <> 'A'
            "draught m" > -1.5                                 | draught m > -1.5
            not (departed is not null and fee is null)         | not (departed is not null and fee is null)
            DRAUGHT_M < depth_m                                | draught m < depth m
            the draught m must be at least 1 and at most 5     | draught m >= 1 and draught m <= 5
            state must be booked or moored                     | state = 'booked' or state = 'moored'
            fee only if state is gone away                     | not (fee is not null) or (state = 'gone away')
            departed can not be earlier than arrived           | departed >= arrived
            departed cannot be before its arrived              | departed >= arrived
            remark contains 'it''s'                            | remark like '%it''s%'
            remark must not contain 'x' or state starts with 'b' | remark not like '%x%' or state like 'b%'
            remark ends with '.' and remark like 'A_%'         | remark like '%.' and remark like 'A_%'
            """)
    void rules_are_read_as_standard_sql(String rule, String sql) {
        assertThat(sql(rule)).isEqualTo(sql);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            textBlock =
                    """
            departed after ^arived^                 | no attribute of Stay; is arrived meant
            ^leaves^ after arrived                  | no attribute of Stay
            departed ^arrived^                      | a comparison
            departed after arrived o^r^             | or a value
            draught m > ^'deep'^                    | draught m holds decimal 4,1
            departed > ^draught m^                  | never equal to
            state is ^sunk^                         | no attribute of Stay
            state = ^'sunk'^                        | none of booked, moored, gone away
            remark contains ^'100%'^                | each in its own way
            remark like ^'[a-z]%'^                  | % and _ alone go
            remark contains ^calm^                  | a text between quotes
            ^arrived^ contains '2027'               | only a text has parts
            departed > ^today^                      | stays the same
            ^arrived^ + 1 > departed                | each in its own way
            state is not booked or ^moored^         | not one of
            remark = ^calm^                         | a text stands between quotes: 'calm'
            draught m between 1 ^or^ 2              | 'and' and the other end
            (draught m > 1^^                        | ')'
            if tug ^draught^ m > 1                  | 'then'
            draught m > 1 ^;^ drop                  | or the end of the rule
            """)
    void nonsense_is_pointed_at(String marked, String why) {
        String rule = marked.replace("^", "");
        var not = (Understanding.NotUnderstood) read(rule);

        assertThat(not.problem()).contains(why);
        String pointed = rule.substring(0, not.start()) + "^" + rule.substring(not.start(), not.end()) + "^"
                + rule.substring(not.end());
        if (!marked.contains("^^")) {
            assertThat(pointed).isEqualTo(marked);
        }
    }

    @Test
    void a_rule_is_kept_said_and_read_again_and_follows_a_rename() {
        DesignFixture ruled = STAYS.with("Of each stay: departed is null or departed > arrived.");
        DesignFixture renamed = ruled.with(f -> new ableschema.core.edit.Edits(f.design(), f.ids())
                .changeAttribute(f.attribute("Stay", "departed").withName("left at")));

        assertThat(said(renamed)).contains("Of each stay: left at is null or left at > arrived.");
        assertThat(DesignReader.read(DesignText.of(renamed.design()).text())
                        .document()
                        .design()
                        .sameMeaning(renamed.design()))
                .isEmpty();
        assertThat(renamed.table("stay").checks())
                .singleElement()
                .satisfies(check -> assertThat(check.expression().toString()).contains("left_at"));
    }

    private static List<String> said(DesignFixture fixture) {
        return DesignText.of(fixture.design()).sentences().stream()
                .map(Sentence::text)
                .collect(Collectors.toList());
    }

    @Test
    void rows_are_judged_by_it() {
        DesignFixture rows = design("Each loan has no: whole (key), lent: date, [back]: date.")
                .with("Of each loan: back must be after lent.")
                .filled("Loan", "no,lent,back\n1,2027-01-02,2027-01-01\n2,2027-01-02,\n3,2027-01-02,2027-01-09\n");

        assertThat(RowJudge.judge(rows.design()))
                .extracting(Finding::text)
                .singleElement()
                .asString()
                .contains("1");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            For each stay, departed must be after arrived.      | Of each stay: departed must be after arrived.
            Stays are often searched by their arrived falling.  | Each stay is often searched by its arrived falling.
            In every stay, draught m is less than depth m.      | Of each stay: draught m is less than depth m.
            """)
    void people_say_it_for_each(String said, String read) {
        SpokenLine.Heard heard = new SpokenLine(STAYS.design(), Optional.empty(), STAYS.ids()).read(said);

        assertThat(heard.readAs()).containsExactly(read);
        assertThat(heard.understanding()).isInstanceOf(Understanding.Understood.class);
    }

    @Test
    void saying_it_again_adds_nothing_and_rewording_keeps_the_rule() {
        DesignFixture ruled =
                STAYS.with("Of each stay: draught m < depth m.").with("Of each stay: draught m < depth m.");
        Check before = ruled.entity("Stay").body().checks().get(0);
        assertThat(ruled.entity("Stay").body().checks()).hasSize(1);

        Sentence sentence = DesignText.of(ruled.design()).sentences().stream()
                .filter(each -> each.part() == Sentence.Part.CHECKS)
                .findFirst()
                .orElseThrow();
        var again = (Understanding.Understood) new RuleLine(ruled.design(), Optional.empty(), ruled.ids())
                .readInstead(sentence, "Of each stay: draught m + 1 < depth m.");
        List<Check> after = ruled.with(again.edit()).entity("Stay").body().checks();
        assertThat(after).hasSize(1);
        assertThat(after.get(0).id()).isEqualTo(before.id());
        assertThat(after.get(0).expression()).isNotEqualTo(before.expression());
    }

    @Property(tries = 2000)
    void whatever_is_typed_is_read_or_refused_in_a_moment(@ForAll long seed) {
        var random = new Random(seed);
        String[] words = {
            "departed",
            "arrived",
            "draught m",
            "state",
            "tug",
            "and",
            "or",
            "not",
            "(",
            ")",
            "is",
            "null",
            "empty",
            "between",
            "in",
            ",",
            "'x'",
            "5",
            "-",
            "+",
            ">",
            "<=",
            "after",
            "at least",
            "if",
            "then",
            "only where",
            "one of",
            "\"",
            "'",
            "é"
        };
        var rule = new StringBuilder();
        for (int i = random.nextInt(14); i >= 0; i--) {
            rule.append(words[random.nextInt(words.length)]).append(random.nextInt(6) == 0 ? "" : " ");
        }
        Understanding read = read(rule.toString());
        if (read instanceof Understanding.NotUnderstood not) {
            assertThat(not.start()).isBetween(0, rule.length());
            assertThat(not.end()).isBetween(not.start(), rule.length());
        } else if (read instanceof Understanding.Understood) {
            var text = new CheckText(STAYS.design(), STAYS.entity("Stay").id());
            assertThat(text.said(check(read).expression())).as(rule.toString()).isPresent();
        }
    }

    @Test
    void documents_are_compared_with_nothing() {
        DesignFixture told = design("Each visit has no: whole (key), form: json, other: json.");
        for (String rule : new String[] {"form = other", "form > '5'", "form one of '1', '2'"}) {
            Understanding read = new RuleLine(told.design(), Optional.empty(), told.ids())
                    .readCheck(told.entity("Visit").id(), rule);
            assertThat(((Understanding.NotUnderstood) read).problem()).startsWith("form holds json, which databases");
        }
    }

    @Test
    void deep_brackets_and_long_rules_neither_crash_nor_wait() {
        assertThat(read("(".repeat(3000) + "tug")).isInstanceOf(Understanding.NotUnderstood.class);
        assertThat(read("tug" + " and tug".repeat(3000))).isInstanceOf(Understanding.Understood.class);
    }
}
