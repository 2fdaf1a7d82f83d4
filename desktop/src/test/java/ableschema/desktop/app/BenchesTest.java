package ableschema.desktop.app;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Entity;
import ableschema.core.design.Relationship;
import ableschema.core.finding.Step;
import ableschema.core.rows.RowJudge;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.fxmisc.richtext.StyleClassedTextArea;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** The steps Keys, Normal forms, SQL and the sample rows on the demo. */
class BenchesTest extends WindowFixture {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    @Test
    void a_candidate_of_ones_own_is_compared_and_chosen(FxRobot robot) {
        openDemo(robot, "alder-valley");
        choose(robot, "Queen");
        click(robot, "#step-keys");
        click(robot, "#another-key");
        enter(robot, "ring + hatched");
        assertThat(text(robot, "#rule-answer")).contains("'hatched' is no attribute of Queen");
        click(robot, "#another-key").push(KeyCode.CONTROL, KeyCode.A);
        enter(robot, "hatched in + ring");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#candidate-hatched-in-ring").tryQuery()).isPresent();
        robot.interact(() -> robot.lookup("#before-after-fold").query().requestFocus());
        robot.type(KeyCode.SPACE);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#before-after .part-name").queryAllAs(Label.class))
                .extracting(Label::getText)
                .contains("queen", "hive");
        click(robot, "#make-key");
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(workspace
                        .schema()
                        .table("queen")
                        .orElseThrow()
                        .primaryKey()
                        .orElseThrow()
                        .columns())
                .containsExactly("hatched_in", "ring");
        assertThat(workspace.schema().table("hive").orElseThrow().column("queen_hatched_in"))
                .isPresent();
        assertThat(RowJudge.judge(workspace.design())).isEmpty();
    }

    @Test
    void the_focus_follows_the_step_and_stays_with_the_route_where_it_was_there(FxRobot robot) {
        openDemo(robot, "alder-valley");
        robot.interact(window.sheet()::requestFocus);
        for (Step step : List.of(Step.BRIEF, Step.KEYS, Step.FORMS, Step.REVIEW, Step.ROWS, Step.SQL, Step.DRAW)) {
            robot.interact(() -> workspace.stepProperty().set(step));
            WaitForAsyncUtils.waitForFxEvents();
            assertThat(isInRoute(robot)).as(step.label()).isFalse();
        }

        robot.interact(() -> robot.lookup("#step-review").query().requestFocus());
        robot.interact(() -> workspace.stepProperty().set(Step.SQL));
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(isInRoute(robot)).isTrue();
    }

    private boolean isInRoute(FxRobot robot) {
        Node focused = window.scene().getFocusOwner();
        return robot.lookup(".route").query().lookupAll("*").contains(focused);
    }

    @Test
    void a_candidate_is_picked_without_the_mouse(FxRobot robot) {
        openDemo(robot, "alder-valley");
        choose(robot, "Inspection");
        robot.press(KeyCode.CONTROL).type(KeyCode.DIGIT3).release(KeyCode.CONTROL);
        WaitForAsyncUtils.waitForFxEvents();
        robot.interact(() -> robot.lookup("#candidate-hive-done-at").query().requestFocus());
        robot.type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#make-key").queryButton().getText()).isEqualTo("Make hive + done at the key ↵");
        robot.interact(() -> robot.lookup("#make-key").queryButton().requestFocus());
        robot.type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(workspace
                        .schema()
                        .table("inspection")
                        .orElseThrow()
                        .primaryKey()
                        .orElseThrow()
                        .columns())
                .containsExactly("hive_apiary_code", "hive_stand_no", "done_at");
        assertThat(RowJudge.judge(workspace.design())).isEmpty();
    }

    @Test
    void parts_are_renamed_before_they_are_made_and_bcnf_can_be_the_goal(FxRobot robot) {
        openDemo(robot, "field-log");
        choose(robot, "Field log");
        click(robot, "#step-normal-forms");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(text(robot, "#forms-redundant")).contains("70 of 280 cells");
        click(robot, "#goal-BCNF");
        WaitForAsyncUtils.waitForFxEvents();
        TextField name = robot.lookup("#part-2").queryAs(TextField.class);
        assertThat(name.getText()).isEqualTo("Keeper");
        robot.interact(() -> {
            name.requestFocus();
            name.setText("Member");
        });
        robot.interact(() -> robot.lookup("#rule-line").query().requestFocus());
        WaitForAsyncUtils.waitForFxEvents();
        click(robot, "#decompose");
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(workspace.design().entities())
                .extracting(Entity::name)
                .containsExactly("Hive", "Apiary", "Member", "Field log");
        assertThat(entity("Member").body().rows()).hasSize(4);
        assertThat(text(robot, "#rung-BCNF")).contains("✓");
    }

    @Test
    void a_dependency_is_taken_back(FxRobot robot) {
        openDemo(robot, "field-log");
        choose(robot, "Field log");
        click(robot, "#step-normal-forms");
        WaitForAsyncUtils.waitForFxEvents();
        click(robot, "✕");
        assertThat(entity("Field log").body().dependencies()).hasSize(3);
        robot.interact(workspace::undo);
        assertThat(entity("Field log").body().dependencies()).hasSize(4);
    }

    @Test
    void the_script_is_copied_with_or_without_rows_and_follows_the_dialect(FxRobot robot) {
        openDemo(robot, "alder-valley");
        click(robot, "#step-sql");
        click(robot, "#copy-script");
        assertThat(clipboard(robot)).contains("CREATE TABLE hive (").doesNotContain("INSERT");
        click(robot, "#with-rows");
        click(robot, "#dialect", "SQLite");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#with-rows").queryAs(CheckBox.class).isSelected())
                .isTrue();
        click(robot, "#copy-script");
        assertThat(clipboard(robot))
                .startsWith("-- In the rows, stand-ins")
                .contains("PRAGMA foreign_keys = ON;", "INSERT INTO hive", "'hidden 1'")
                .doesNotContain("Linden");
        click(robot, "#with-personal", "#copy-script");
        assertThat(clipboard(robot)).startsWith("PRAGMA foreign_keys = ON;").contains("Linden");
        assertThat(workspace.undoable()).contains("write for SQLite");
    }

    @Test
    void what_the_dialect_cannot_say_is_listed_and_each_entry_leads_to_its_thing(FxRobot robot) {
        openDemo(robot, "alder-valley");
        click(robot, "#step-sql", "#dialect", "SQL Server");
        assertThat(text(robot, "#shortfalls-title")).startsWith("4 things to know before it is run");
        click(robot, "#shortfalls-title");
        WaitForAsyncUtils.waitForFxEvents();
        List<Label> entries = robot.lookup("#shortfalls .pressable").queryAllAs(Label.class).stream()
                .filter(each -> each.getText().startsWith("Not in SQL Server: "))
                .toList();
        assertThat(entries).hasSize(4);
        Label keeper = entries.stream()
                .filter(each -> each.getText().contains("keeper."))
                .findFirst()
                .orElseThrow();
        robot.interact(keeper::requestFocus);
        robot.type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(workspace.selection().chosenOwner())
                .contains(entity("Keeper").id());
        click(robot, "#dialect", "PostgreSQL");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#shortfalls").query().isVisible()).isFalse();
    }

    @Test
    void choosing_a_thing_marks_its_lines_in_the_script_that_is_there(FxRobot robot) {
        openDemo(robot, "alder-valley");
        click(robot, "#step-sql");
        WaitForAsyncUtils.waitForFxEvents();
        StyleClassedTextArea script = robot.lookup("#script").queryAs(StyleClassedTextArea.class);
        var changes = new AtomicInteger();
        script.plainTextChanges().subscribe(change -> changes.incrementAndGet());
        choose(robot, "Hive");
        WaitForAsyncUtils.waitForFxEvents();
        int hive = script.getText().lines().toList().indexOf("CREATE TABLE hive (");

        assertThat(changes).as("nothing is written anew").hasValue(0);
        assertThat(script.getParagraph(hive).getParagraphStyle()).contains("of-chosen");
        choose(robot, "Keeper");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(script.getParagraph(hive).getParagraphStyle()).doesNotContain("of-chosen");
    }

    @Test
    void a_choice_of_the_dialect_changes_the_script_and_is_taken_back(FxRobot robot) {
        openDemo(robot, "alder-valley");
        click(robot, "#step-sql", "#dialect", "SQLite");
        assertThat(sql(robot, "#script")).contains("varchar(6)").doesNotContain("STRICT");
        click(robot, "#style-show", "#choice-types", "strict");
        assertThat(sql(robot, "#script")).contains("STRICT").doesNotContain("varchar(6)");
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(sql(robot, "#script")).doesNotContain("STRICT");
    }

    private static String clipboard(FxRobot robot) {
        var text = new StringBuilder();
        robot.interact(() -> text.append(Clipboard.getSystemClipboard().getString()));
        return text.toString();
    }

    @Test
    void a_server_that_does_not_run_here_is_said_so(FxRobot robot) {
        openDemo(robot, "alder-valley");
        click(robot, "#step-sql", "#try-script");
        assertThat(text(robot, "#sql-verdict")).contains("PostgreSQL runs as a server of its own");
    }

    @Test
    void rows_are_read_from_csv_and_an_unreadable_file_is_told(FxRobot robot, @TempDir Path folder) throws Exception {
        openDemo(robot, "alder-valley");
        choose(robot, "Batch");
        click(robot, "#rows-title");
        Path csv = Files.writeString(
                folder.resolve("batches.csv"),
                "Code,Filled on,Jars,Weather\nAV-2027-011,2027-09-01,40,dry\nAV-2027-012,soon,-1,wet\n");
        robot.interact(() -> window.rows().readCsv(csv));
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(entity("Batch").body().rows()).hasSize(12);
        assertThat(text(robot, "#rule-answer")).contains("2 rows read").contains("Weather");
        assertThat(text(robot, "#rows-title")).contains("1 break a rule");
        assertThat(text(robot, "#rows-judgement")).contains("filled on does not fit its type date, as 'soon'");
        robot.interact(workspace::undo);
        assertThat(entity("Batch").body().rows()).hasSize(10);
        robot.interact(() -> window.rows().readCsv(folder.resolve("gone.csv")));
        assertThat(text(robot, "#rule-answer")).contains("gone.csv").contains("there is no such file");
    }

    @Test
    void a_many_to_many_has_rows_of_its_own(FxRobot robot) {
        openDemo(robot, "alder-valley");
        Relationship gives = workspace.design().relationships().stream()
                .filter(r -> r.noun().equals("application"))
                .findFirst()
                .orElseThrow();
        robot.interact(() -> workspace.selection().choose(gives.id()));
        click(robot, "#rows-title");
        assertThat(text(robot, "#rows-title")).contains("Rows of application  12");
        click(robot, "#add-row");
        assertThat(text(robot, "#rows-title")).contains("13, 1 break a rule");
        assertThat(RowJudge.judge(workspace.design()))
                .extracting(f -> f.text())
                .contains("application, row 13: Inspection is empty, but every application must have one.");
    }

    @Test
    void what_is_answered_about_keys_is_kept_and_changes_the_advice(FxRobot robot) {
        rule(robot, "Each member has member code: text 6.");
        rule(robot, "No two members share their member code.");
        rule(robot, "Each loan has loan no: whole (key).");
        rule(robot, "Each loan is made by exactly one member; each member makes any number of loans.");
        choose(robot, "Member");
        click(robot, "#step-keys");
        assertThat(text(robot, "#key-advice")).startsWith("Our advice: member code, since it is stated");

        click(robot, "#answer-STAYS-member-code"); // yes, it changes
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(text(robot, "#key-advice"))
                .isEqualTo("Our advice: member no, since it is short and never changes, while member code changes.");
        assertThat(workspace.undoable()).contains("answer “Does it ever change?” for member code: yes");
        robot.interact(() -> robot.lookup("#answer-STAYS-member-code").query().requestFocus());
        robot.type(KeyCode.ENTER); // no
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(text(robot, "#key-advice")).startsWith("Our advice: member code");

        click(robot, "#answer-STAYS-member-code"); // not said
        robot.interact(() -> ((MenuButton) robot.lookup("#several-places").query())
                .getItems()
                .get(1)
                .fire());
        WaitForAsyncUtils.waitForFxEvents();
        click(robot, "#answer-STAYS-member-code"); // it changes, and numbers would clash now
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(text(robot, "#key-advice")).startsWith("Our advice: id, since rows are made in several places");

        click(robot, "#candidate-id");
        assertThat(robot.lookup("#key-reach").tryQuery()).isPresent();
        assertThat(robot.lookup("loan: foreign key comes").tryQuery()).isEmpty();
        click(robot, "#make-key");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(workspace.schema().table("loan").orElseThrow().column("member_id"))
                .isPresent();
        robot.interact(workspace::undo);
        assertThat(entity("Member").body().key()).isEmpty();
    }

    @Test
    void the_route_counts_what_is_open(FxRobot robot) {
        rule(robot, "Each hive has colour.");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("1 untyped").tryQuery()).isPresent();
        assertThat(robot.lookup("1 to choose").tryQuery()).isPresent();
        assertThat(robot.lookup("1 undecided").tryQuery()).isPresent();
        rule(robot, "Each hive has colour: text 20 (key).");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("all chosen").tryQuery()).isPresent();
        robot.press(KeyCode.CONTROL).type(KeyCode.DIGIT7).release(KeyCode.CONTROL);
        assertThat(sql(robot, "#script")).contains("CREATE TABLE hive");
    }

    @Test
    void names_of_constraints_follow_the_pattern_of_the_house_and_a_wrong_one_is_refused(FxRobot robot) {
        openDemo(robot, "alder-valley");
        robot.interact(() -> workspace.stepProperty().set(Step.SQL));
        WaitForAsyncUtils.waitForFxEvents();
        robot.interact(
                () -> robot.lookup("#names-show").queryAs(Hyperlink.class).fire());
        pattern(robot, "pk {table}");
        assertThat(workspace
                        .schema()
                        .table("hive")
                        .orElseThrow()
                        .primaryKey()
                        .orElseThrow()
                        .name())
                .isEqualTo("pk_hive");
        assertThat(robot.lookup("#script").queryAs(StyleClassedTextArea.class).getText())
                .contains("CONSTRAINT pk_hive");

        pattern(robot, "pk");
        assertThat(text(robot, "#rule-answer")).contains("must hold {table}");
        assertThat(workspace
                        .schema()
                        .table("hive")
                        .orElseThrow()
                        .primaryKey()
                        .orElseThrow()
                        .name())
                .isEqualTo("pk_hive");
    }

    private static void pattern(FxRobot robot, String pattern) {
        robot.interact(() -> {
            TextField field = robot.lookup("#names-key").queryAs(TextField.class);
            field.requestFocus();
            field.setText(pattern);
        });
        robot.type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
    }
}
