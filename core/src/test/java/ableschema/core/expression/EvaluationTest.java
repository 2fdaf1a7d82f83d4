package ableschema.core.expression;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.expression.Evaluation.Operand;
import ableschema.core.types.DataType;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Conditions judged for one row: a = 3, b = 10, name = 'Wax', day = 2027-04-12, open = yes, none is empty. */
class EvaluationTest {

    private static final Map<String, Operand> ROW = Map.of(
            "a", new Operand(Optional.of("3"), new DataType.Whole(0)),
            "b", new Operand(Optional.of("10"), new DataType.Whole(0)),
            "name", new Operand(Optional.of("Wax"), new DataType.Text(20)),
            "day", new Operand(Optional.of("2027-04-12"), DataType.Simple.DATE),
            "open", new Operand(Optional.of("yes"), DataType.Simple.YES_NO),
            "at", new Operand(Optional.of("2027-04-12 09:30:00+02:00"), DataType.Simple.MOMENT_ANYWHERE),
            "none", new Operand(Optional.empty(), new DataType.Whole(0)));

    private static String judged(String condition) {
        Expression<String> expression = Expression.parse(condition, name -> name);
        return Evaluation.of(expression, column -> ROW.getOrDefault(column, ROW.get("none")))
                .map(Enum::name)
                .orElse("not judged");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '"',
            textBlock =
                    """
            {a} < {b}                                | TRUE
            {a} >= {b}                               | FALSE
            {a} = 3.0                                | TRUE
            {a} <> 3                                 | FALSE
            {a} != 4                                 | TRUE
            {b} > 9                                  | TRUE
            {a} + 7 = {b}                            | TRUE
            {b} - {a} * 3 = 1                        | TRUE
            ({a} + 1) * 2 = 8                        | TRUE
            {b} / 4 = 2.5                            | TRUE
            -{a} < 0                                 | TRUE
            {a} between 1 and 3                      | TRUE
            {a} not between 1 and 3                  | FALSE
            {a} between 4 and 9                      | FALSE
            {a} in (1, 2, 3)                         | TRUE
            {a} not in (1, 2)                        | TRUE
            {name} = 'Wax'                           | TRUE
            {name} in ('Comb', 'wax')                | FALSE
            char_length({name}) = 3                  | TRUE
            lower({name}) = 'wax' and upper({name}) = 'WAX' | TRUE
            {day} >= '2027-04-12'                    | TRUE
            {day} < '2027-4-1'                       | not judged
            {open} = true                            | TRUE
            {open}                                   | TRUE
            not {open} = false                       | TRUE
            {at} = '2027-04-12 07:30:00+00:00'       | TRUE
            {none} is null                           | TRUE
            {none} is not null                       | FALSE
            {a} is null                              | FALSE
            {none} > 1                               | UNKNOWN
            {none} > 1 or {a} = 3                    | TRUE
            {none} > 1 and {a} = 4                   | FALSE
            {none} > 1 and {a} = 3                   | UNKNOWN
            not {none} > 1                           | UNKNOWN
            {none} in (1, 2)                         | UNKNOWN
            {a} in (1, {none})                       | UNKNOWN
            {a} = null                               | UNKNOWN
            ({a} = 3 or {b} = 3) and not ({a} = {b}) | TRUE
            {a} = 1 or {a} = 2 and {b} = 10 or {b} = 10 | TRUE
            {name} like 'W%'                         | TRUE
            {name} not like '_ax'                    | FALSE
            {name} like 'w%'                         | FALSE
            {name} like 'a[b]'                       | not judged
            {name} like {name}                       | not judged
            sqrt({a}) > 1                            | not judged
            {a} =                                    | not judged
            {a} = 3 {b}                              | not judged
            {day} + 1 > '2027-04-12'                 | not judged
            {a} / 0 = 1                              | not judged
            """)
    void a_condition_is_true_false_unknown_or_not_judged(String condition, String truth) {
        assertThat(judged(condition)).as(condition).isEqualTo(truth);
    }

    @Test
    void what_was_written_for_a_dialect_is_not_judged() {
        Expression<String> expression = Expression.<String>text("1 = 2").in("mysql");

        assertThat(Evaluation.of(expression, column -> ROW.get("a"))).isEmpty();
    }

    @Test
    void tokens_written_again_are_the_expression() {
        for (String text : List.of("a  <='it''s' ||\"q\"\"\" or .5e3>=x1", "'open", "(", "a<>b--c")) {
            String again = String.join(
                    "",
                    Token.<String>of(Expression.text(text)).stream()
                            .map(Token::text)
                            .toList());
            assertThat(again).isEqualTo(text);
        }
    }
}
