package ableschema.desktop.app;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.finding.Finding;
import ableschema.core.finding.Severity;
import ableschema.core.finding.Step;
import java.util.List;
import javafx.event.ActionEvent;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.control.MenuButton;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** What speaks against a design is read, mended, set aside and taken back, by keys as well as by the mouse. */
class ReviewBenchTest extends WindowFixture {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    private void toReview(FxRobot robot, String... sentences) {
        for (String each : sentences) {
            rule(robot, each);
        }
        robot.interact(workspace.selection()::chooseNothing);
        robot.press(KeyCode.CONTROL).type(KeyCode.DIGIT5).release(KeyCode.CONTROL);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(workspace.stepProperty().get()).isEqualTo(Step.REVIEW);
    }

    private static ListView<?> list(FxRobot robot) {
        return robot.lookup("#findings").queryListView();
    }

    private static void choose(FxRobot robot, int place) {
        robot.interact(() -> {
            list(robot).requestFocus();
            list(robot).getSelectionModel().select(place);
        });
        WaitForAsyncUtils.waitForFxEvents();
    }

    private static void fire(FxRobot robot, String button) {
        robot.interact(() -> robot.lookup(button).queryButton().fire());
        WaitForAsyncUtils.waitForFxEvents();
    }

    private List<String> open() {
        return workspace.review().open().stream().map(Finding::text).toList();
    }

    @Test
    void the_chosen_finding_shows_what_its_remedy_would_do_and_enter_mends_it(FxRobot robot) {
        toReview(
                robot,
                "Each valve has no: whole (key), size: whole (between 1 and 9; default 12).",
                "Each pump has maker: text 20.",
                "Each pump feeds any number of valves; each valve is fed by exactly one pump.");

        assertThat(text(robot, "#review-summary")).isEqualTo("2 must be mended");
        assertThat(text(robot, "#finding-title")).isEqualTo("Default that its own check refuses");
        assertThat(robot.lookup("#sql-change").lookup(".goes").queryAllAs(Labeled.class))
                .extracting(Labeled::getText)
                .containsExactly("-   size integer DEFAULT 12 NOT NULL,");
        assertThat(list(robot).isFocused()).as("keys go on in the list").isTrue();
        robot.type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(entity("Valve")
                        .body()
                        .attribute("size")
                        .orElseThrow()
                        .defaultValue()
                        .isPresent())
                .isFalse();
        assertThat(text(robot, "#finding-title")).as("the next one").isEqualTo("No key");
        assertThat(workspace.selection().chosenEntity()).contains(entity("Pump"));

        robot.interact(workspace::undo);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(text(robot, "#review-summary")).isEqualTo("2 must be mended");
        robot.interact(() -> list(robot).requestFocus());
        robot.type(KeyCode.UP);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(text(robot, "#finding-title")).isEqualTo("Default that its own check refuses");
        robot.type(KeyCode.DOWN);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(text(robot, "#finding-title")).as("headings are passed over").isEqualTo("No key");
    }

    @Test
    void a_finding_is_set_aside_with_a_reason_listed_and_taken_back(FxRobot robot) {
        toReview(robot, "Each valve has no: whole (key), pin: text 4.");
        click(robot, "#set-aside");
        robot.type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(text(robot, "#rule-answer")).startsWith("say why");
        type(robot, "it is printed on the valve");
        robot.type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(open()).isEmpty();
        assertThat(text(robot, "#review-summary")).isEqualTo("1 set aside, each with its reason");
        fire(robot, "#show-aside");
        assertThat(robot.lookup("Set aside, because: it is printed on the valve")
                        .tryQuery())
                .isPresent();
        fire(robot, "#take-back");
        assertThat(open()).hasSize(1);
        robot.interact(workspace::undo);
        assertThat(open()).isEmpty();
    }

    @Test
    void several_of_one_rule_are_mended_at_once_and_undone_at_once(FxRobot robot) {
        toReview(
                robot,
                "Each valve has maker: text 9.",
                "Each pump has maker: text 9.",
                "Each pump feeds any number of valves; each valve is fed by exactly one pump.");
        fire(robot, "#by-rule");
        assertThat(text(robot, "#mend-all")).isEqualTo("Mend all 2 of these");
        fire(robot, "#mend-all");

        assertThat(workspace.review().of(Severity.MUST_MEND)).isEmpty();
        assertThat(entity("Pump").body().attribute("pump no")).isPresent();
        robot.interact(workspace::undo);
        assertThat(workspace.review().of(Severity.MUST_MEND)).hasSize(2);
    }

    @Test
    void what_the_remedy_makes_is_named_before(FxRobot robot) {
        toReview(robot, "Each valve has no: whole (key), seal 1: text 9, [seal 2]: text 9.");
        robot.interact(() -> {
            TextField field = robot.lookup("#remedy-given").queryAs(TextField.class);
            assertThat(field.getText()).isEqualTo("Valve seal");
            field.requestFocus();
            field.setText("Gasket");
            field.getOnAction().handle(new ActionEvent());
        });
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#before-after").lookup("gasket").tryQuery()).isPresent();
        fire(robot, "#mend");
        assertThat(entity("Gasket").body().attributes())
                .extracting(a -> a.name())
                .containsExactly("place", "seal");
    }

    @Test
    void findings_are_shown_by_severity_and_step_and_the_route_counts_what_must_be_mended(FxRobot robot) {
        toReview(robot, "Each valve has maker, pin: text 4.", "Each seal has no: whole (key).");
        assertThat(robot.lookup("#step-review").lookup("1 to mend").tryQuery()).isPresent();
        assertThat(list(robot).getItems()).hasSize(5 + 2);
        robot.interact(() -> robot.lookup("#filter-severity")
                .queryAs(MenuButton.class)
                .getItems()
                .get(3)
                .fire());
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(text(robot, "#finding-title")).isEqualTo("No type yet");
        assertThat(list(robot).getItems()).hasSize(2);
        choose(robot, 1);
        click(robot, "#show-on-sheet");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(workspace.stepProperty().get()).isEqualTo(Step.DRAW);
        assertThat(workspace.selection().chosenEntity()).contains(entity("Valve"));
    }

    @Test
    void terms_say_what_they_mean_with_the_designers_own_names(FxRobot robot) {
        toReview(
                robot,
                "Each valve has no: whole (key).",
                "Each pump has code: text 4 (key), order: text 9.",
                "Each pump feeds at least one valve; each valve is fed by exactly one pump.");
        choose(robot, 3);
        assertThat(text(robot, "#finding-title")).isEqualTo("Left to the application");
        assertThat(robot.lookup("#finding-why").lookup(".term").queryAllAs(Labeled.class))
                .filteredOn(term -> term.getText().equals("foreign key"))
                .extracting(term -> term.getTooltip().getText())
                .containsExactly("A foreign key is a column whose value must be the key of a row in another table."
                        + " What stands in valve.pump_code must stand in pump.code.");
    }

    @Test
    void the_gloss_says_what_there_is_to_say_about_a_thing_and_leads_to_its_remedy(FxRobot robot) {
        rule(robot, "Each valve has no: whole (key), pin: text 4.");
        rule(robot, "Each pump has maker: text 20.");
        rule(robot, "Each pump feeds any number of valves; each valve is fed by exactly one pump.");
        choose(robot, "Valve");
        WaitForAsyncUtils.waitForFxEvents();
        robot.interact(() ->
                robot.lookup("#gloss-findings").lookup(".pressable").query().requestFocus());
        robot.type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(workspace.stepProperty().get()).isEqualTo(Step.REVIEW);
        assertThat(text(robot, "#finding-title")).isEqualTo("Secret kept as plain text");
        choose(robot, "Pump");
        robot.interact(() -> workspace.stepProperty().set(Step.DRAW));
        WaitForAsyncUtils.waitForFxEvents();
        robot.press(KeyCode.CONTROL).type(KeyCode.DIGIT5).release(KeyCode.CONTROL);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(text(robot, "#finding-title")).isEqualTo("No key");
    }
}
