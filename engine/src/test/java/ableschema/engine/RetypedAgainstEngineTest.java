package ableschema.engine;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.ddl.SqlReader;
import ableschema.core.design.Attribute;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.document.Document;
import ableschema.core.expression.Expression;
import ableschema.core.reverse.Reverse;
import ableschema.core.rows.DesignScript;
import ableschema.core.types.DataTypes;
import java.sql.Connection;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Columns that were read of a script and get another type have it in the script that is written, with all that refers to them. */
class RetypedAgainstEngineTest {

    private static final int SCRIPTS = 3;
    private static final int STATEMENTS = 25;
    private static final List<String> TYPES =
            List.of("whole", "decimal 8,2", "text 40", "date", "moment", "yes/no", "text");

    /** Whether a rule, an index or something computed speaks of an attribute, and would have to be said otherwise. */
    private static boolean isSpokenOf(Design design, Attribute attribute) {
        String id = attribute.id().toString();
        return attribute.filling().isComputed()
                || design.bodies()
                        .anyMatch(body -> body.checks().toString().contains(id)
                                || body.indexes().toString().contains(id)
                                || body.attributes().stream()
                                        .anyMatch(other -> other.filling().isComputed()
                                                && other.filling().toString().contains(id)));
    }

    private static Design retyped(Design found, Random random) {
        Design design = found;
        for (Entity entity : found.entities()) {
            for (Attribute attribute : entity.body().attributes()) {
                if (random.nextInt(3) == 0 && !isSpokenOf(found, attribute)) {
                    Attribute other = attribute
                            .withDefault(Expression.none())
                            .withType(DataTypes.parse(TYPES.get(random.nextInt(TYPES.size()))));
                    design = design.withBody(
                            entity.id(),
                            design.entity(entity.id()).orElseThrow().body().replacing(other));
                }
            }
        }
        return design;
    }

    @ParameterizedTest
    @EnumSource(RealEngine.class)
    void the_script_is_taken_whatever_the_columns_become(RealEngine engine) throws Exception {
        for (long seed = 1; seed <= SCRIPTS; seed++) {
            String script =
                    ReadingAgainstEngineTest.outcome(engine, seed, STATEMENTS).script();
            Document read =
                    Reverse.of(SqlReader.read(script, engine.dialect()), "read").document();
            Document changed = read.with(retyped(read.design(), new Random(seed)));
            assertThat(changed.design().bodies().flatMap(body -> body.attributes().stream()))
                    .filteredOn(each -> !read.design()
                            .attribute(each.id())
                            .orElseThrow()
                            .type()
                            .equals(each.type()))
                    .allSatisfy(each -> assertThat(each.pins().options().keySet())
                            .as("%s is %s now", each.name(), each.type())
                            .noneMatch(option -> option.endsWith(".type")));
            try (Connection connection = engine.open()) {
                ScriptRun run = ScriptRun.of(DesignScript.definitions(changed.mapping(), engine.dialect()), connection);

                assertThat(run.refusal()).as("script %d of %s", seed, engine).isEmpty();
            }
        }
    }
}
