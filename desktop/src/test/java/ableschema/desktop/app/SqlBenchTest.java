package ableschema.desktop.app;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.ddl.SqlReader;
import ableschema.core.design.Id;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Step;
import ableschema.core.reverse.Reverse;
import ableschema.core.review.Refused;
import ableschema.core.sql.Script;
import ableschema.core.sql.dialect.Dialects;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.text.Text;
import javafx.stage.Stage;
import org.fxmisc.richtext.StyleClassedTextArea;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** The script at work: found in, compared, tried, styled and taken out in parts. */
@ExtendWith(ApplicationExtension.class)
class SqlBenchTest extends WindowFixture {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    private StyleClassedTextArea script(FxRobot robot) {
        return robot.lookup("#script").queryAs(StyleClassedTextArea.class);
    }

    private void openScript(FxRobot robot) {
        openDemo(robot, "alder-valley");
        click(robot, "#step-sql");
        WaitForAsyncUtils.waitForFxEvents();
    }

    private void idle() throws Exception {
        WaitForAsyncUtils.waitFor(
                20, TimeUnit.SECONDS, () -> workspace.jobs().running().isEmpty());
        WaitForAsyncUtils.waitForFxEvents();
    }

    private static String clipboard(FxRobot robot) {
        var text = new StringBuilder();
        robot.interact(() -> text.append(Clipboard.getSystemClipboard().getString()));
        return text.toString();
    }

    private static String sign(HBox gutter, int place) {
        return ((Text) ((StackPane) gutter.getChildren().get(place))
                        .getChildren()
                        .get(0))
                .getText();
    }

    @Test
    void words_are_found_from_any_step_by_keys_alone(FxRobot robot) {
        openDemo(robot, "alder-valley");
        robot.push(KeyCode.CONTROL, KeyCode.F);
        WaitForAsyncUtils.waitForFxEvents();
        robot.write("CREATE table H");

        assertThat(script(robot).getSelectedText()).isEqualTo("CREATE TABLE h");
        assertThat(text(robot, "#find-places")).isEqualTo("1 of 2");
        robot.push(KeyCode.ENTER);
        assertThat(text(robot, "#find-places")).isEqualTo("2 of 2");
        robot.push(KeyCode.ENTER);
        assertThat(text(robot, "#find-places")).isEqualTo("1 of 2");
        robot.push(KeyCode.SHIFT, KeyCode.ENTER);
        assertThat(text(robot, "#find-places")).isEqualTo("2 of 2");
        robot.write("xyz");
        assertThat(text(robot, "#find-places")).isEqualTo("not in the script");
        robot.push(KeyCode.ESCAPE);
        assertThat(script(robot).getSelectedText()).isEmpty();
    }

    @Test
    void each_statement_is_signed_after_a_trial_and_what_changes_later_is_counted(FxRobot robot) throws Exception {
        openScript(robot);
        click(robot, "#dialect", "H2", "#try-script");
        idle();

        assertThat(text(robot, "#sql-verdict")).startsWith("H2 accepted all");
        assertThat(robot.lookup(".line-taken").queryAllAs(Text.class))
                .extracting(Text::getText)
                .contains("\u2713");
        assertThat(text(robot, "#sql-changed")).isEmpty();

        rule(robot, "Each hive has what faces: text 9.");
        idle();
        assertThat(text(robot, "#sql-changed")).isEqualTo("1 line changed since it was last saved or run");
        assertThat(robot.lookup(".line-taken").queryAllAs(Text.class))
                .extracting(Text::getText)
                .doesNotContain("\u2713");
    }

    @Test
    void what_a_database_refuses_is_signed_at_its_line(FxRobot robot) throws Exception {
        var read = SqlReader.read(
                "create table a (x int); create view v as select y from a; create table b (z int)", Dialects.H2);
        robot.interact(() -> workspace.open(Reverse.of(read, "refused").document(), Optional.empty()));
        click(robot, "#step-sql", "#try-script");
        idle();
        int view = script(robot).getText().lines().toList().indexOf("create view v as select y from a;");

        assertThat(text(robot, "#sql-verdict")).startsWith("H2 refused «create view v");
        assertThat(robot.lookup(".line-gutter").queryAllAs(HBox.class))
                .filteredOn(gutter -> sign(gutter, 0).equals("\u2715"))
                .extracting(gutter -> sign(gutter, 1))
                .containsExactly(String.valueOf(view + 1));
    }

    @Test
    void what_a_database_refuses_stands_on_the_sheet_until_the_design_is_another(FxRobot robot) throws Exception {
        var read = SqlReader.read(
                "create table pier (x int primary key); create table mole (y geometry(nonsense))", Dialects.H2);
        robot.interact(() -> workspace.open(Reverse.of(read, "refused").document(), Optional.empty()));
        click(robot, "#step-sql", "#try-script");
        idle();
        Id mole = workspace.design().entity("Mole").orElseThrow().id();

        assertThat(text(robot, "#sql-verdict")).startsWith("H2 refused «CREATE TABLE mole");
        assertThat(workspace.review().about(mole)).extracting(Finding::rule).contains(Refused.RULE);
        click(robot, "#step-draw");
        assertThat(robot.lookup(".wrong-sign").queryAllAs(Label.class))
                .extracting(Label::getText)
                .containsExactly("refused by the database");
        click(robot, "#step-sql");
        assertThat(text(robot, "#sql-verdict"))
                .as("of the same script it is said again")
                .startsWith("H2 refused");

        rule(robot, "Each pier has what faces: text 9.");
        idle();
        assertThat(workspace.review().of(Step.SQL)).extracting(Finding::rule).doesNotContain(Refused.RULE);
        assertThat(text(robot, "#sql-verdict")).isEmpty();
    }

    @Test
    void another_dialect_stands_beside_statement_by_statement(FxRobot robot) {
        openScript(robot);
        robot.interact(() -> robot.lookup("#beside-dialect")
                .queryAs(ComboBox.class)
                .getSelectionModel()
                .select(2));
        WaitForAsyncUtils.waitForFxEvents();
        ListView<Script.Pair> beside = robot.lookup("#beside").queryListView();

        assertThat(beside.getParent().isVisible()).isTrue();
        assertThat(script(robot).getParent().getParent().isVisible()).isFalse();
        assertThat(beside.getItems())
                .filteredOn(pair ->
                        pair.here().isPresent() && pair.here().get().text().startsWith("CREATE TABLE hive"))
                .singleElement()
                .satisfies(pair -> assertThat(pair.there().orElseThrow().text()).contains("CREATE TABLE hive"));
        robot.push(KeyCode.CONTROL, KeyCode.F);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(beside.getParent().isVisible()).as("one finds in one script").isFalse();
    }

    @Test
    void the_part_of_the_chosen_thing_is_copied(FxRobot robot) {
        openScript(robot);
        choose(robot, "Hive");
        click(robot, "#copy-part");

        assertThat(clipboard(robot))
                .startsWith("CREATE TABLE hive (")
                .contains("COMMENT ON TABLE hive")
                .doesNotContain("CREATE TABLE keeper");
        robot.interact(() -> workspace.selection().chooseNothing());
        click(robot, "#copy-part");
        assertThat(text(robot, "#sql-verdict")).startsWith("choose a table first");
    }

    @Test
    void the_schema_of_the_script_is_a_house_rule_and_is_taken_back(FxRobot robot) {
        openScript(robot);
        click(robot, "#style-show");
        click(robot, "#choice-schema");
        robot.write("valley");
        robot.push(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(script(robot).getText())
                .contains("CREATE SCHEMA IF NOT EXISTS valley;", "CREATE TABLE valley.hive (");
        assertThat(robot.lookup("#choice-schema").queryAs(TextField.class).getText())
                .isEqualTo("valley");
        click(robot, "#step-sql");
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(workspace.document().rules().choices()).doesNotContainKey("script.schema");
    }
}
