package ableschema.engine;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.document.Document;
import ableschema.core.rows.DesignScript;
import ableschema.core.sql.dialect.Ability;
import java.sql.Connection;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Numbers that never change: given by the database alone where it can, and said where it cannot. */
class NumbersAloneTest {

    private static Document crates() {
        Document made = Said.read(
                "Each crate has no: counted 500 by 1 (key), mark: text 9.", "The no of each crate never changes.");
        return Said.filled(made, "Crate", "no,mark\n500,a\n501,b\n");
    }

    @ParameterizedTest
    @EnumSource
    void a_typed_number_is_refused_where_the_program_says_so(RealEngine engine) throws Exception {
        Document crates = crates();
        var script = DesignScript.withRows(crates.mapping(), engine.dialect());
        boolean alone = engine.dialect().can(Ability.NUMBERS_ALONE);
        assertThat(script.shortfalls().stream().anyMatch(each -> each.ability() == Ability.NUMBERS_ALONE))
                .isEqualTo(!alone);
        try (Connection connection = engine.open()) {
            assertThat(ScriptRun.of(script, connection).refusal()).isEmpty();
            assertThat(Said.isTaken(connection, "INSERT INTO crate (mark) VALUES ('c')"))
                    .isTrue();
            assertThat(Said.number(connection, "SELECT no FROM crate WHERE mark = 'c'"))
                    .isEqualTo(502);
            assertThat(Said.isTaken(connection, "INSERT INTO crate (no, mark) VALUES (900, 'd')"))
                    .isEqualTo(!alone);
        }
    }
}
