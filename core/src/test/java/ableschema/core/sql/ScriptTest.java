package ableschema.core.sql;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.rows.DesignScript;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class ScriptTest {

    private static final DesignFixture VALVES = design(
            "Each valve has no: counted (key), size: text 4 (unique).",
            "Each seal has no: whole (key), made: date.",
            "Each seal fits exactly one valve; each valve takes any number of seals.");

    static Stream<Dialect> dialects() {
        return Dialects.ALL.stream();
    }

    private static Script script(DesignFixture fixture, Dialect dialect) {
        return DesignScript.definitions(fixture.document().mapping(), dialect);
    }

    private static String first(Optional<Statement> statement) {
        return statement.map(each -> each.lines().get(0).text()).orElse("nothing");
    }

    @ParameterizedTest
    @MethodSource("dialects")
    void a_statement_knows_the_line_it_begins_with_and_its_end(Dialect dialect) {
        Script script = script(VALVES, dialect);
        List<String> lines = script.text().lines().toList();

        assertThat(script.lines().map(Line::text)).containsExactlyElementsOf(lines);
        assertThat(script.firstLines()).hasSameSizeAs(script.statements());
        script.firstLines().forEach((statement, number) -> assertThat(lines.get(number - 1))
                .isEqualTo(statement.lines().get(0).text()));
        assertThat(script.executable()).allMatch(each -> each.text().equals(each.executable() + each.end()));
        assertThat(script.text())
                .doesNotStartWith("\n")
                .endsWith("\n")
                .doesNotEndWith("\n\n")
                .doesNotContain("\n\n\n");
    }

    @Test
    void two_scripts_stand_side_by_side_by_what_they_define() {
        Script before = script(VALVES, Dialects.POSTGRESQL);
        Script after = script(
                VALVES.with("Each seal has width: whole.").with("Each gasket has no: whole (key)."),
                Dialects.POSTGRESQL);

        List<Script.Pair> pairs = before.beside(after);

        assertThat(pairs)
                .filteredOn(Script.Pair::isSame)
                .extracting(pair -> first(pair.here()))
                .contains("BEGIN;", "CREATE TABLE valve (", "COMMIT;");
        assertThat(pairs)
                .filteredOn(pair -> !pair.isSame())
                .extracting(pair -> first(pair.here()) + " | " + first(pair.there()))
                .containsExactly("CREATE TABLE seal ( | CREATE TABLE seal (", "nothing | CREATE TABLE gasket (");
        assertThat(after.beside(before))
                .filteredOn(pair -> pair.there().isEmpty())
                .extracting(pair -> first(pair.here()))
                .containsExactly("CREATE TABLE gasket (");
        assertThat(before.beside(before)).hasSameSizeAs(before.statements()).allMatch(Script.Pair::isSame);
    }
}
