package ableschema.engine;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Attribute;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.IdSource;
import ableschema.core.design.Relationship;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import ableschema.core.edit.Edits;
import ableschema.core.review.Review;
import ableschema.core.review.Subject;
import ableschema.core.rows.DesignScript;
import ableschema.core.rows.RowJudge;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import ableschema.core.sql.Script;
import ableschema.core.sql.dialect.Ability;
import ableschema.core.store.DocumentFile;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Laws that hold for any design, tried on many. */
class AnyDesignTest {

    private static final int DESIGNS = 20;
    private static final int DESIGNS_WHERE_SLOW = 10;
    private static final int DESIGNS_OF_MANY_EDITS = 15;

    @ParameterizedTest
    @EnumSource
    void its_script_is_accepted_and_the_rows_it_writes_arrive(RealEngine engine) throws Exception {
        int designs = engine == RealEngine.SQLITE ? DESIGNS : DESIGNS_WHERE_SLOW;
        for (long seed = 1; seed <= designs; seed++) {
            Document document = RandomDesign.of(seed);
            Schema schema = document.mapping().schema();
            Script definitions = DesignScript.definitions(document.mapping(), engine.dialect());
            try (Connection connection = engine.open()) {
                assertThat(ScriptRun.of(definitions, connection).refusal())
                        .as("design %d: %s", seed, definitions.text())
                        .isEmpty();
            }
            Script script = DesignScript.withRowsAsEntered(document.mapping(), engine.dialect());
            if (isLoadable(schema)) {
                boolean leavesRules = script.shortfalls().stream()
                        .anyMatch(each ->
                                each.ability() == Ability.MADE_INDEXES || each.ability() == Ability.PARTIAL_INDEXES);
                assertThat(RandomDesign.leavesOut(script) && !leavesRules)
                        .as("design %d: %s", seed, script.text())
                        .isFalse();
                try (Connection connection = engine.open()) {
                    ScriptRun run = ScriptRun.of(script, connection);
                    assertThat(run.refusal())
                            .as("design %d: %s", seed, script.text())
                            .isEmpty();
                    for (Table table : schema.tables()) {
                        assertThat(count(connection, engine, table))
                                .as("design %d, %s", seed, table.name())
                                .isEqualTo(3);
                    }
                    Catalogues.compare(connection, engine, schema, "design " + seed);
                }
            }
        }
    }

    /** Whether no references that must be there run in a circle, since no order of inserts could fill such tables. */
    private static boolean isLoadable(Schema schema) {
        var loaded = new HashSet<TableName>();
        boolean more = true;
        while (more) {
            more = false;
            for (Table table : schema.tables()) {
                boolean ready = table.foreignKeys().stream()
                        .filter(key -> !key.target().equals(table.qualified()))
                        .filter(key -> key.columns().stream()
                                .noneMatch(
                                        name -> table.column(name).orElseThrow().nullable()))
                        .allMatch(key -> loaded.contains(key.target()));
                more |= ready && loaded.add(table.qualified());
            }
        }
        return loaded.size() == schema.tables().size();
    }

    private static int count(Connection connection, RealEngine engine, Table table) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery(
                        "SELECT count(*) FROM " + engine.dialect().quoted(table.name()))) {
            rows.next();
            return rows.getInt(1);
        }
    }

    @Test
    void its_rows_are_accepted_by_the_judge_too() {
        for (long seed = 1; seed <= DESIGNS; seed++) {
            assertThat(RowJudge.judge(RandomDesign.of(seed).design()))
                    .as("design %d", seed)
                    .isEmpty();
        }
    }

    @Test
    void it_is_the_same_after_a_file(@TempDir Path folder) throws Exception {
        for (long seed = 1; seed <= DESIGNS; seed++) {
            Document document = RandomDesign.of(seed);
            Path file = folder.resolve("design.able.json");
            DocumentFile.write(file, document);
            Document read = DocumentFile.read(file);

            assertThat(read).as("design %d", seed).isEqualTo(document);
            assertThat(read.design().sameMeaning(document.design())).isEmpty();
        }
    }

    @Test
    void what_is_left_when_something_goes_or_is_mended_can_be_saved_and_opened() {
        for (long seed = 1; seed <= DESIGNS_OF_MANY_EDITS; seed++) {
            Document document = RandomDesign.of(seed);
            Design design = document.design();
            IdSource ids = IdSource.seeded(1_000 + seed);
            var edits = new Edits(design, ids);
            Stream<Edit> removals = Stream.concat(
                            Stream.concat(
                                    design.entities().stream().map(Entity::id),
                                    design.relationships().stream().map(Relationship::id)),
                            design.bodies()
                                    .flatMap(body -> body.attributes().stream().map(Attribute::id)))
                    .map(id -> edits.remove(List.of(id)));
            Stream<Edit> remedies = Review.of(Subject.of(document, document.mapping())).open().stream()
                    .flatMap(finding -> finding.remedies().stream())
                    .map(remedy -> remedy.edit(design, ids));
            String where = "design " + seed;
            Stream.concat(removals, remedies).forEach(edit -> {
                String printed = DocumentFile.print(edit.applyTo(document));
                assertThat(DocumentFile.print(DocumentFile.parse(printed)))
                        .as("%s: %s", where, edit.name())
                        .isEqualTo(printed);
            });
        }
    }

    @Test
    void every_foreign_key_matches_a_key_in_number_and_type() {
        for (long seed = 1; seed <= DESIGNS; seed++) {
            Schema schema = RandomDesign.of(seed).mapping().schema();
            for (Table table : schema.tables()) {
                table.foreignKeys().forEach(key -> {
                    Table target = schema.table(key.target()).orElseThrow();
                    assertThat(keys(target)).contains(key.targetColumns());
                    for (int i = 0; i < key.columns().size(); i++) {
                        var own = table.column(key.columns().get(i)).orElseThrow();
                        var referred = target.column(key.targetColumns().get(i)).orElseThrow();
                        assertThat(own.type()).isEqualTo(referred.type().asReferenced());
                        assertThat(own.identity()).isEmpty();
                    }
                });
            }
        }
    }

    private static List<List<String>> keys(Table table) {
        var keys = new ArrayList<List<String>>();
        keys.add(table.primaryKey().orElseThrow().columns());
        table.uniques().forEach(unique -> keys.add(unique.columns()));
        return keys;
    }
}
