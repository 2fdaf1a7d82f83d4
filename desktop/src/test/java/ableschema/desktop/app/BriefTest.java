package ableschema.desktop.app;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.IdSource;
import ableschema.core.design.Judgement.Verdict;
import ableschema.core.design.Question;
import ableschema.core.design.Relationship;
import ableschema.core.document.Document;
import ableschema.core.finding.Step;
import ableschema.core.store.DocumentFile;
import ableschema.core.words.Sentences;
import ableschema.desktop.workspace.Workspace;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

class BriefTest extends WindowFixture {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    private void go(FxRobot robot, Step step) {
        robot.interact(() -> workspace.stepProperty().set(step));
        WaitForAsyncUtils.waitForFxEvents();
    }

    /** Presses what may lie out of sight in a scrolled page. */
    private static void press(FxRobot robot, String query) {
        robot.interact(() -> robot.lookup(query).queryAs(ButtonBase.class).fire());
        WaitForAsyncUtils.waitForFxEvents();
    }

    private static void fill(FxRobot robot, String query, String text) {
        robot.interact(() -> robot.lookup(query).queryAs(TextInputControl.class).setText(text));
        WaitForAsyncUtils.waitForFxEvents();
    }

    @Test
    void a_question_is_open_until_attributes_answer_it_and_shows_its_select(FxRobot robot) {
        drawTwo(robot);
        go(robot, Step.BRIEF);
        click(robot, "#ask");
        enter(robot, "Which hives stand where?");

        Question asked = workspace.design().notes().brief().questions().get(0);
        assertThat(text(robot, "#step-brief .note")).isEqualTo("1 question open");
        press(robot, "#answers-" + asked.id().code());
        String code = workspace
                .design()
                .entity("Apiary")
                .orElseThrow()
                .body()
                .attribute("name")
                .orElseThrow()
                .id()
                .code();
        String no = workspace
                .design()
                .entity("Hive")
                .orElseThrow()
                .body()
                .attribute("stand no")
                .orElseThrow()
                .id()
                .code();
        press(robot, "#tick-" + code);
        press(robot, "#tick-" + no);

        assertThat(text(robot, ".question-sql")).contains("FROM apiary").contains("LEFT JOIN hive ON hive.apiary_code");
        assertThat(text(robot, "#step-brief .note")).isEqualTo("1 question");
    }

    @Test
    void nouns_of_what_was_told_become_entities_of_their_kinds_and_nothing_else(FxRobot robot) {
        go(robot, Step.BRIEF);
        fill(robot, "#told", "At an inspection the keeper notes the strength of the colony.");
        press(robot, "#noun-keeper");
        press(robot, "#noun-inspection");
        press(robot, "#make-entities");

        assertThat(workspace.design().entities())
                .extracting(e -> e.name() + " " + e.kind())
                .containsExactly("Keeper person", "Inspection event");
        assertThat(workspace.design().notes().brief().told()).startsWith("At an inspection");
        assertThat(robot.lookup("#kinds .label").queryAllAs(Labeled.class))
                .extracting(Labeled::getText)
                .containsSubsequence("person", "Keeper", "event", "Inspection", "place")
                .contains("none yet: where does it happen?", "none yet: what is used, made or looked after?")
                .doesNotContain("none yet: what happens, and when?");
    }

    @Test
    void what_told_sentences_say_is_taken_up_one_by_one_and_the_other_direction_is_asked(FxRobot robot) {
        go(robot, Step.BRIEF);
        fill(robot, "#told", "A forage plant grows at an apiary. Each apiary has a code and a name. It was cold.");
        Bounds before = onScreen(robot, "#noun-apiary");
        press(robot, "#noun-forage-plant");
        assertThat(onScreen(robot, "#noun-apiary")).isEqualTo(before);

        assertThat(robot.lookup("Several apiaries for one forage plant?").tryQuery())
                .isPresent();
        press(robot, "#told-1-several");
        Relationship grows = workspace.design().relationships().get(0);
        assertThat(new Sentences(workspace.design()).of(grows))
                .startsWith("Each forage plant grows at at least one apiary");
        assertThat(robot.lookup("#told-1-several").tryQuery()).isEmpty();
        press(robot, "#told-1");
        assertThat(entity("Apiary").body().attributes())
                .extracting(each -> each.name())
                .containsExactly("code", "name");
        assertThat(robot.lookup("#told-1").tryQuery()).isEmpty();
        robot.interact(workspace::undo);
        assertThat(robot.lookup("#told-1").tryQuery()).isPresent();
    }

    @Test
    void a_pasted_sheet_becomes_an_entity_with_suggested_types(FxRobot robot) {
        go(robot, Step.BRIEF);
        fill(robot, "#pasted-table", "HiveCode\tVisited on\tStrength\nAV-1\t2027-04-12\t7\nAV-2\t2027-04-13\t\n");
        fill(robot, "#pasted-name", "Visit");
        press(robot, "#make-entity");

        assertThat(entity("Visit").body().attributes())
                .extracting(a -> a.name() + ": " + a.type() + (a.optional() ? "?" : ""))
                .containsExactly("hive code: text 10", "visited on: date", "strength: whole 10?");
        assertThat(entity("Visit").body().rows()).hasSize(2);
    }

    @Test
    void an_entity_set_aside_leaves_the_sheet_and_the_tables_and_is_taken_back(FxRobot robot) {
        drawTwo(robot);
        Document before = workspace.document();
        choose(robot, "Apiary");
        press(robot, "#park");

        assertThat(robot.lookup("#card-apiary").queryAll()).isEmpty();
        assertThat(workspace.schema().tables()).hasSize(1);
        go(robot, Step.BRIEF);
        press(robot, "#take-back-" + entity("Apiary").id().code());
        assertThat(robot.lookup("#card-apiary").queryAll()).hasSize(1);
        assertThat(workspace.design()).isEqualTo(before.design());
    }

    @Test
    void a_sentence_is_confirmed_or_wrong_with_a_remark_and_shows_on_the_sheet(FxRobot robot) {
        drawTwo(robot);
        go(robot, Step.BRIEF);
        press(robot, "#brief-sentences");
        List<Node> verdicts = List.copyOf(robot.lookup(".verdict").queryAll());
        robot.interact(() -> ((ButtonBase) verdicts.get(1)).fire()); // the first sentence is wrong
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(workspace.design().notes().judgements()).hasSize(1);
        assertThat(workspace.design().notes().judgements().get(0).verdict()).isEqualTo(Verdict.WRONG);
        assertThat(robot.lookup(".wrong-sign").queryAll()).hasSize(1);
        robot.interact(workspace::undo);
        assertThat(robot.lookup(".wrong-sign").queryAll()).isEmpty();
    }

    @Test
    void changes_that_were_not_saved_are_offered_after_a_crash(FxRobot robot, @TempDir Path folder) throws Exception {
        drawTwo(robot);
        Path file = folder.resolve("valley" + DocumentFile.ENDING);
        robot.interact(() -> window.files().saveAs(file));
        var autosave = new Autosave(workspace, folder);
        robot.interact(autosave::begin);
        rule(robot, "Each keeper looks after any number of hives.");
        WaitForAsyncUtils.waitFor(
                10, TimeUnit.SECONDS, () -> autosave.left().isEmpty() && Files.exists(autosave.file()));

        // what another run finds that opens the file as it was saved
        var another = new Workspace(Document.EMPTY, IdSource.seeded(2));
        var recovery = new RecoveryBar(another, new Autosave(another, folder));
        Document saved = DocumentFile.read(file);
        robot.interact(() -> another.open(saved, Optional.of(file)));
        robot.interact(recovery::offer);
        assertThat(recovery.isVisible()).isTrue();
        robot.interact(() -> ((ButtonBase) recovery.lookup("#take-recovered")).fire());
        assertThat(another.design().entity("Keeper")).isPresent();
        robot.interact(another::undo);
        assertThat(another.design().entity("Keeper")).isEmpty();

        robot.interact(() -> window.files().save());
        WaitForAsyncUtils.waitFor(10, TimeUnit.SECONDS, () -> !Files.exists(autosave.file()));
    }

    @Test
    void anything_is_found_and_done_by_name(FxRobot robot) {
        drawTwo(robot);
        robot.interact(workspace.selection()::chooseNothing);
        robot.press(KeyCode.CONTROL).type(KeyCode.K).release(KeyCode.CONTROL);
        WaitForAsyncUtils.waitForFxEvents();
        enter(robot, "stand no");
        assertThat(workspace.selection().chosenProperty().get())
                .contains(entity("Hive")
                        .body()
                        .attribute("stand no")
                        .orElseThrow()
                        .id());

        robot.press(KeyCode.CONTROL).type(KeyCode.K).release(KeyCode.CONTROL);
        WaitForAsyncUtils.waitForFxEvents();
        enter(robot, "go to norm");
        assertThat(workspace.stepProperty().get()).isEqualTo(Step.FORMS);

        robot.type(KeyCode.F1);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#shortcut-sheet").queryAll()).hasSize(1);
        assertThat(robot.lookup("#shortcut-sheet .keys").queryAll()).hasSizeGreaterThan(25);
        robot.type(KeyCode.ESCAPE);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#shortcut-sheet").queryAll()).isEmpty();
    }
}
