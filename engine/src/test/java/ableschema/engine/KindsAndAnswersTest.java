package ableschema.engine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ableschema.core.brief.Answer;
import ableschema.core.design.IdSource;
import ableschema.core.design.Question;
import ableschema.core.design.SubtypeLayout;
import ableschema.core.document.Document;
import ableschema.core.edit.SubtypeEdits;
import ableschema.core.rows.DesignScript;
import ableschema.core.store.DocumentFile;
import ableschema.core.words.DesignReader;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Kinds in both layouts, and the statements that answer questions, put to real engines. */
class KindsAndAnswersTest {

    private static final String WORDS =
            """
            Colony is a thing.
            Nuc is a thing.
            Swarm is a thing.
            Each nuc is a kind of colony.
            Each swarm is a kind of colony.
            Each colony has code: text 6 (key), set up on: date.
            Each nuc has frames: whole 10 (between 3 and 6).
            Each swarm has ring: text 8 (unique), [taken at]: text 40.
            Each keeper has no: whole (key).
            Each keeper caught any number of swarms; each swarm was caught by exactly one keeper.
            Each colony is told by its code.
            Each nuc is told by its colony.
            Each swarm is told by its colony.
            """;

    private static Document kinds(SubtypeLayout layout) {
        DesignReader.Result read = DesignReader.read(WORDS);
        assertThat(read.problems()).isEmpty();
        Document document = read.document();
        var colony = document.design().entity("Colony").orElseThrow().id();
        return new SubtypeEdits(document.design(), IdSource.seeded(1))
                .layOut(colony, layout)
                .applyTo(document);
    }

    /** An engine in which the tables of the kinds stand. */
    private static Connection built(RealEngine engine, SubtypeLayout layout) throws Exception {
        Connection connection = engine.open();
        ScriptRun run = ScriptRun.of(DesignScript.definitions(kinds(layout).mapping(), engine.dialect()), connection);
        assertThat(run.refusal()).isEmpty();
        return connection;
    }

    private static void run(Connection connection, String sql) throws SQLException {
        try (Statement statement = connection.createStatement()) {
            statement.execute(sql);
        }
    }

    @ParameterizedTest
    @EnumSource
    void kinds_in_one_table_are_held_to_what_their_kind_must_have(RealEngine engine) throws Exception {
        try (Connection connection = built(engine, SubtypeLayout.ONE_TABLE)) {
            run(connection, "insert into keeper (no) values (1)");
            run(connection, "insert into colony (code, set_up_on, kind) values ('A1', '2027-04-01', 'Colony')");
            run(connection, "insert into colony (code, set_up_on, kind, frames) values ('N1', '2027-04-01', 'Nuc', 5)");
            assertThatThrownBy(() -> run(
                            connection,
                            "insert into colony (code, set_up_on, kind) values ('N2', '2027-04-01', 'Nuc')"))
                    .isInstanceOf(SQLException.class);
            assertThatThrownBy(() -> run(
                            connection,
                            "insert into colony (code, set_up_on, kind) values ('B1', '2027-04-01', 'Bee')"))
                    .isInstanceOf(SQLException.class);
        }
    }

    @ParameterizedTest
    @EnumSource
    void a_kind_of_its_own_table_needs_its_general_row(RealEngine engine) throws Exception {
        try (Connection connection = built(engine, SubtypeLayout.OWN_TABLE)) {
            run(connection, "insert into colony (code, set_up_on) values ('A1', '2027-04-01')");
            run(connection, "insert into nuc (colony_code, frames) values ('A1', 5)");
            assertThatThrownBy(() -> run(connection, "insert into nuc (colony_code, frames) values ('Z9', 5)"))
                    .isInstanceOf(SQLException.class);
            assertThatThrownBy(() -> run(connection, "insert into nuc (colony_code, frames) values ('A1', 4)"))
                    .isInstanceOf(SQLException.class);
        }
    }

    @ParameterizedTest
    @EnumSource
    void every_question_of_the_demo_is_answered_by_its_select(RealEngine engine) throws Exception {
        Document demo = DocumentFile.read(Path.of("../demo/alder-valley.able.json"));
        try (Connection connection = engine.open()) {
            ScriptRun run = ScriptRun.of(DesignScript.withRows(demo.mapping(), engine.dialect()), connection);
            assertThat(run.refusal()).isEmpty();
            int answered = 0;
            for (Question question : demo.design().notes().brief().questions()) {
                Answer answer = Answer.of(question, demo.mapping(), engine.dialect());
                if (!answer.isOpen()) {
                    assertThat(answer.isJoined()).as(question.text()).isTrue();
                    assertThat(rows(connection, answer.select()))
                            .as(answer.select())
                            .isPositive();
                    answered++;
                }
            }
            assertThat(answered).isEqualTo(3);
        }
    }

    private static int rows(Connection connection, String select) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet result = statement.executeQuery(select.replace(";", ""))) {
            int rows = 0;
            while (result.next()) {
                rows++;
            }
            return rows;
        }
    }
}
