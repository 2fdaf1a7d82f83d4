package ableschema.desktop.app;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Entity;
import ableschema.core.design.Relationship;
import ableschema.core.document.Document;
import ableschema.core.finding.Step;
import ableschema.core.mapping.Keys;
import ableschema.core.rows.DesignScript;
import ableschema.core.rows.RowJudge;
import ableschema.core.rows.RowValues;
import ableschema.engine.BuiltInEngine;
import ableschema.engine.ScriptRun;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.TableView;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** The window used as a person uses it: typed, clicked, dragged, undone, saved and opened again. */
class WindowTest extends WindowFixture {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    @Test
    void from_an_empty_window_to_sql_that_an_engine_takes(FxRobot robot) throws Exception {
        drawTwo(robot);
        choose(robot, "Hive");

        assertThat(sql(robot, "#gloss-sql"))
                .contains("CREATE TABLE hive", "CONSTRAINT hive_stands_in_apiary", "colour      varchar(20)");
        click(robot, "#step-sql");
        assertThat(sql(robot, "#script")).contains("CREATE TABLE apiary");
        click(robot, "#dialect", "H2");
        click(robot, "#try-script");
        WaitForAsyncUtils.waitFor(
                10, TimeUnit.SECONDS, () -> text(robot, "#sql-verdict").contains("accepted all 3 statements"));
        assertThat(workspace.dialect().name()).isEqualTo("h2");
        try (Connection connection = BuiltInEngine.H2.open()) {
            assertThat(ScriptRun.of(DesignScript.definitions(workspace.mapping(), workspace.dialect()), connection)
                            .refusal())
                    .isEmpty();
        }
    }

    @Test
    void every_step_is_undone_and_done_again_to_the_same_document(FxRobot robot) {
        drawTwo(robot);
        Document after = workspace.document();
        int steps = 0;
        while (workspace.undoable().isPresent()) {
            robot.interact(workspace::undo);
            steps++;
        }
        assertThat(steps).isEqualTo(5);
        assertThat(workspace.design().entities()).isEmpty();
        for (int i = 0; i < steps; i++) {
            robot.interact(workspace::redo);
        }
        assertThat(workspace.document()).isEqualTo(after);
        click(robot, "#sheet").press(KeyCode.CONTROL).type(KeyCode.Z).release(KeyCode.CONTROL);
        assertThat(workspace.document()).isNotEqualTo(after);
    }

    @Test
    void a_drag_from_a_cards_edge_relates_two_entities_and_opens_their_sentences(FxRobot robot) {
        rule(robot, "Each keeper has keeper no: counted (key).");
        rule(robot, "Each hive has code: text 6 (key).");
        WaitForAsyncUtils.waitForFxEvents();
        Bounds keeper = onScreen(robot, "#card-keeper");
        Bounds hive = onScreen(robot, "#card-hive");
        robot.drag(keeper.getMaxX() - 2, keeper.getMinY() + 20).dropTo(hive.getMinX() + 40, hive.getMinY() + 20);
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(workspace.design().relationships()).hasSize(1);
        click(robot, "#verb-1").push(KeyCode.CONTROL, KeyCode.A);
        enter(robot, "looks after");
        Relationship made = workspace.design().relationships().get(0);
        assertThat(made.first().verb()).isEqualTo("looks after");
        click(robot, "#quantity-1", "at most one");
        assertThat(workspace.design().relationships().get(0).second().cardinality())
                .hasToString("0..1");
    }

    @Test
    void a_moved_card_stays_where_it_was_put_after_saving_and_opening(FxRobot robot, @TempDir Path folder) {
        drawTwo(robot);
        Bounds card = onScreen(robot, "#card-apiary");
        robot.drag(card.getMinX() + 60, card.getMinY() + 20).dropBy(100, 160);
        var position = workspace.document().position(entity("Apiary").id());
        Path file = folder.resolve("mine.able.json");
        robot.interact(() -> window.files().saveAs(file));
        Document saved = workspace.document();
        robot.interact(() -> workspace.open(Document.EMPTY, Optional.empty()));
        robot.interact(() -> window.files().open(file));

        assertThat(workspace.document()).isEqualTo(saved);
        assertThat(workspace.document().position(entity("Apiary").id())).isEqualTo(position);
        assertThat(workspace.isSaved()).isTrue();
    }

    @Test
    void a_damaged_file_is_refused_in_words_and_nothing_is_lost(FxRobot robot, @TempDir Path folder) throws Exception {
        drawTwo(robot);
        Document before = workspace.document();
        Path bad = Files.writeString(folder.resolve("bad.able.json"), "{\"version\": 1,\n \"entities\": [");
        robot.interact(() -> window.files().open(bad));
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(workspace.document()).isSameAs(before);
        assertThat(text(robot, "#rule-answer")).contains("bad.able.json").contains("line 2");
        robot.interact(() -> window.files().saveAs(folder));
        assertThat(text(robot, "#rule-answer")).contains("it is a folder");
    }

    @Test
    void a_line_of_several_sentences_is_read_whole_before_it_is_carried_out(FxRobot robot) {
        drawTwo(robot);
        click(robot, "#rule-line");
        type(robot, "An inspection is made by a keeper and concerns one hive. Each keeper has one home apiary.");
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(robot.lookup("#rule-whole").query().isVisible()).isTrue();
        assertThat(text(robot, "#rule-whole"))
                .contains("Each inspection is made by exactly one keeper.")
                .contains("(second as home apiary).")
                .endsWith("Each keeper has exactly one home apiary.");
        robot.type(KeyCode.ENTER);
        assertThat(workspace.design().entities()).hasSize(2); // which is meant has to be said first
        robot.type(KeyCode.TAB, KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(workspace.design().entities())
                .extracting(each -> each.name())
                .containsExactlyInAnyOrder("Hive", "Apiary", "Inspection", "Keeper");
        assertThat(robot.lookup("#rule-whole").query().isVisible()).isFalse();
        robot.interact(() -> workspace.undo());
        assertThat(workspace.design().entities()).hasSize(2);
    }

    @Test
    void rename_delete_and_what_is_not_understood(FxRobot robot) {
        drawTwo(robot);
        choose(robot, "Hive");
        robot.interact(() -> window.sheet().requestFocus());
        robot.type(KeyCode.F2);
        enter(robot, "Colony");
        assertThat(workspace.schema().table("colony")).isPresent();
        click(robot, "#rule-line");
        type(robot, "Each colony stands in exctly one apiary.");
        assertThat(text(robot, "#rule-answer")).startsWith("\"exctly\", did you mean");
        robot.type(KeyCode.ENTER);
        type(robot, "exactly");
        robot.type(KeyCode.ESCAPE);
        choose(robot, "Colony");
        robot.interact(() -> window.sheet().requestFocus());
        robot.type(KeyCode.DELETE);
        assertThat(workspace.design().entities()).extracting(Entity::name).containsExactly("Apiary");
        assertThat(workspace.design().relationships()).isEmpty();
    }

    @Test
    void rows_are_typed_pasted_and_judged(FxRobot robot) {
        drawTwo(robot);
        choose(robot, "Apiary");
        click(robot, "#rows-title", "#add-row");
        TableView<?> table = robot.lookup("#rows-table").queryTableView();
        robot.clickOn(table).type(KeyCode.HOME);
        robot.interact(() -> {
            var content = new ClipboardContent();
            content.putString("code\tname\nAV-01\tMill bank\nAV-01\tHigh copse\n");
            Clipboard.getSystemClipboard().setContent(content);
        });
        click(robot, "#paste-rows");

        assertThat(entity("Apiary").body().rows()).hasSize(3);
        assertThat(text(robot, "#rows-title")).contains("2 break a rule");
        assertThat(RowJudge.judge(workspace.design()))
                .extracting(f -> f.text())
                .anyMatch(said -> said.contains("is the key of row 2 already"));
        robot.interact(() -> {
            table.getSelectionModel().clearSelection();
            table.getSelectionModel().select(0);
        });
        click(robot, "#delete-rows");
        assertThat(entity("Apiary").body().rows()).hasSize(2);
    }

    @Test
    void a_cell_is_typed_over_and_a_parent_picked_by_name(FxRobot robot) {
        drawTwo(robot);
        openDemo(robot, "alder-valley");
        choose(robot, "Hive");
        click(robot, "#rows-title");
        WaitForAsyncUtils.waitForFxEvents();
        Node cell = robot.lookup("Mill bank · AV-01").query();
        robot.doubleClickOn(cell);
        robot.push(KeyCode.CONTROL, KeyCode.A);
        enter(robot, "High c");
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(robot.lookup("Mill bank · AV-01").tryQuery()).isEmpty();
        var first = entity("Hive").body().rows().get(0);
        assertThat(new RowValues(workspace.design())
                        .values(
                                first,
                                new Keys(workspace.design()).of(entity("Hive").id())))
                .first()
                .isEqualTo("AV-02");
    }

    @Test
    void a_wide_entity_is_taken_apart_by_its_dependencies(FxRobot robot) {
        rule(
                robot,
                "Each log has hive code: text 5 (key), visited on: date (key), apiary: text 40, landowner: text 60.");
        click(robot, "#step-normal-forms");
        rule(robot, "hive code -> apiary");
        rule(robot, "apiary -> landowner");
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(text(robot, "#rung-2NF")).contains("✕");
        assertThat(text(robot, "#forms-reason")).startsWith("apiary and landowner hang on hive code alone");
        assertThat(text(robot, "#forms-proof"))
                .contains("nothing lost when joined")
                .contains("all dependencies kept");
        click(robot, "#decompose");
        assertThat(workspace.design().entities()).extracting(Entity::name).containsExactly("Hive", "Apiary", "Log");
        assertThat(workspace.design().relationships()).hasSize(2);
        robot.interact(workspace::undo);
        assertThat(workspace.design().entities()).extracting(Entity::name).containsExactly("Log");
    }

    @Test
    void a_key_is_chosen_among_candidates_and_carries_through(FxRobot robot) {
        drawTwo(robot);
        choose(robot, "Apiary");
        click(robot, "#step-keys", "#candidate-apiary-no", "#make-key");
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(workspace.schema().table("hive").orElseThrow().column("apiary_no"))
                .isPresent();
        assertThat(workspace.schema().table("apiary").orElseThrow().uniques())
                .as("the old key stays unique")
                .hasSize(1);
    }

    @Test
    void an_attribute_is_corrected_in_the_gloss(FxRobot robot) {
        drawTwo(robot);
        choose(robot, "Hive");
        click(robot, "#column-colour");
        WaitForAsyncUtils.waitForFxEvents();
        click(robot, "#attribute-rule");
        enter(robot, "one of white, sage");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(sql(robot, "#gloss-sql")).contains("CHECK (colour in ('white', 'sage'))");
        click(robot, "#attribute-default");
        enter(robot, "white");
        WaitForAsyncUtils.waitForFxEvents();
        click(robot, "#attribute-required");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(sql(robot, "#gloss-sql")).contains("DEFAULT 'white' NOT NULL");
        click(robot, "#attribute-type");
        robot.push(KeyCode.CONTROL, KeyCode.A);
        enter(robot, "txt 4");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(text(robot, "#rule-answer")).contains("'txt 4' is no type");
    }

    @Test
    void going_from_field_to_field_keeps_what_was_typed_in_each(FxRobot robot) {
        drawTwo(robot);
        choose(robot, "Hive");
        click(robot, "#column-colour");
        WaitForAsyncUtils.waitForFxEvents();
        click(robot, "#attribute-name").push(KeyCode.CONTROL, KeyCode.A);
        type(robot, "paint");
        robot.type(KeyCode.TAB);
        WaitForAsyncUtils.waitForFxEvents();
        robot.push(KeyCode.CONTROL, KeyCode.A);
        type(robot, "text 12");
        robot.type(KeyCode.TAB);
        WaitForAsyncUtils.waitForFxEvents();
        type(robot, "one of white, sage");
        robot.type(KeyCode.TAB);
        WaitForAsyncUtils.waitForFxEvents();

        var paint = entity("Hive").body().attribute("paint").orElseThrow();
        assertThat(paint.type()).hasToString("text 12");
        assertThat(entity("Hive").body().checks()).hasSize(1);
        assertThat(workspace.undoable()).contains("paint must be one of white, sage");
    }

    @Test
    void what_is_undecided_holds_back_only_itself(FxRobot robot) {
        rule(robot, "Each hive has code: text 6 (key), colour.");
        robot.interact(() -> workspace.stepProperty().set(Step.SQL));
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(sql(robot, "#script"))
                .contains("CREATE TABLE hive (", "-- The column colour is left out, as it has no type yet.");
        assertThat(text(robot, "#shortfalls-title")).startsWith("1 thing to know before it is run");
        click(robot, "#shortfalls-title");
        assertThat(robot.lookup("Hive: colour has no type yet.").tryQuery()).isPresent();
        assertThat(sql(robot, "#gloss-sql")).contains("colour undecided");
    }
}
