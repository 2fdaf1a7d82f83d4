package ableschema.desktop.app;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Attribute;
import ableschema.core.design.Id;
import ableschema.core.design.Mark;
import ableschema.core.design.Volume;
import ableschema.core.rows.RowJudge;
import ableschema.core.types.DataType;
import ableschema.core.types.ReferenceAction;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** The chosen attribute: what it holds, how full its column is, and what it could be otherwise. */
class HoldingTest extends WindowFixture {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    private void choose(FxRobot robot, String entity, String attribute) {
        robot.interact(
                () -> workspace.selection().choose(attribute(entity, attribute).id()));
        WaitForAsyncUtils.waitForFxEvents();
    }

    private Attribute attribute(String entity, String name) {
        return entity(entity).body().attribute(name).orElseThrow();
    }

    private static void press(FxRobot robot, String line) {
        press(robot, "#otherwise", line);
    }

    private static void press(FxRobot robot, String within, String line) {
        Node found = robot.lookup(within).lookup(".otherwise-result").queryAllAs(Label.class).stream()
                .filter(each -> each.getText().startsWith(line))
                .findFirst()
                .map(Node::getParent)
                .orElseThrow(() -> new AssertionError("no line " + line));
        robot.interact(found::requestFocus);
        robot.type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
    }

    /** What opens and closes the before and after of one way in which something could be otherwise. */
    private static void unfold(FxRobot robot, String within, String way) {
        Hyperlink handle = robot.lookup(within).lookup(".otherwise-handle").queryAllAs(Hyperlink.class).stream()
                .filter(each -> each.getAccessibleText().contains(way))
                .findFirst()
                .orElseThrow();
        robot.interact(handle::fire);
        WaitForAsyncUtils.waitForFxEvents();
    }

    private static List<String> sqlThatComes(FxRobot robot, String within) {
        return robot.lookup(within).lookup("#sql-change").lookup(".comes").queryAllAs(Label.class).stream()
                .map(Label::getText)
                .toList();
    }

    @Test
    void what_it_holds_gives_the_type_and_one_undo_takes_it_back(FxRobot robot) {
        openDemo(robot, "alder-valley");
        choose(robot, "Inspection", "strength");
        assertThat(robot.lookup("#holding-count").queryAs(ToggleButton.class).isSelected())
                .isTrue();

        robot.interact(() ->
                robot.lookup("#holding-measured").queryAs(ToggleButton.class).fire());
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(attribute("Inspection", "strength").type()).isInstanceOf(DataType.Decimal.class);
        assertThat(robot.lookup("#attribute-type").queryAs(TextField.class).getText())
                .startsWith("decimal");
        robot.interact(workspace::undo);
        assertThat(attribute("Inspection", "strength").type()).isEqualTo(new DataType.Whole(10));
    }

    @Test
    void a_list_of_values_becomes_a_table_and_a_list_again_by_the_keyboard(FxRobot robot) {
        openDemo(robot, "alder-valley");
        int entities = workspace.design().entities().size();
        choose(robot, "Hive", "colour");
        press(robot, "a list");
        assertThat(attribute("Hive", "colour").type()).isInstanceOf(DataType.OneOf.class);

        press(robot, "a lookup table");
        assertThat(workspace.design().entities()).hasSize(entities + 1);
        assertThat(entity("Colour").body().rows()).isNotEmpty();
        assertThat(RowJudge.judge(workspace.design())).isEmpty();

        robot.interact(() -> workspace.design().relationships().stream()
                .filter(each -> each.second().verb().equals("is that of"))
                .findFirst()
                .ifPresent(each -> workspace.selection().choose(each.id())));
        WaitForAsyncUtils.waitForFxEvents();
        press(robot, "a list in place");
        assertThat(workspace.design().entities()).hasSize(entities);
        assertThat(attribute("Hive", "colour").type()).isInstanceOf(DataType.OneOf.class);
    }

    @Test
    void before_and_after_are_seen_before_anything_is_changed(FxRobot robot) {
        openDemo(robot, "alder-valley");
        var before = workspace.document();
        choose(robot, "Hive", "colour");
        unfold(robot, "#otherwise", "values come and go");
        assertThat(sqlThatComes(robot, "#otherwise")).anyMatch(line -> line.contains("CREATE TABLE colour"));
        assertThat(workspace.document()).isSameAs(before);

        unfold(robot, "#otherwise", "values come and go");
        assertThat(robot.lookup("#otherwise").lookup("#before-after").tryQuery())
                .isEmpty();
    }

    @Test
    void what_else_a_reference_could_do_is_seen_before_it_is_made(FxRobot robot) {
        rule(robot, "Each pier has code: text 4 (key).");
        rule(robot, "Each berth has no: whole (key).");
        rule(robot, "Each berth lies at exactly one pier; each pier has any number of berths.");
        Id lies = workspace.design().relationships().get(0).id();
        robot.interact(() -> workspace.selection().choose(lies));
        WaitForAsyncUtils.waitForFxEvents();
        robot.interact(robot.lookup("#delete-otherwise").lookup(".hyperlink").queryAs(Hyperlink.class)::fire);
        unfold(robot, "#delete-otherwise", "each berth of it goes too");
        assertThat(sqlThatComes(robot, "#delete-otherwise")).anyMatch(line -> line.contains("ON DELETE CASCADE"));
        assertThat(workspace
                        .design()
                        .relationship(lies)
                        .orElseThrow()
                        .reference()
                        .onDelete())
                .isEqualTo(ReferenceAction.NO_ACTION);

        press(robot, "#delete-otherwise", "cascade");
        assertThat(workspace
                        .design()
                        .relationship(lies)
                        .orElseThrow()
                        .reference()
                        .onDelete())
                .isEqualTo(ReferenceAction.CASCADE);
    }

    @Test
    void the_parts_of_a_code_become_computed_columns(FxRobot robot) {
        rule(robot, "Each batch has code: text 11 (key; pattern \"AV-yyyy-000\").");
        choose(robot, "Batch", "code");
        press(robot, "2 computed columns");

        assertThat(attribute("Batch", "code year").filling().isComputed()).isTrue();
        assertThat(sql(robot, "#gloss-sql")).contains("GENERATED ALWAYS AS (substring(code from 4 for 4))");
    }

    @Test
    void the_expected_rows_tell_when_numbers_run_out(FxRobot robot) {
        rule(robot, "Each reading has no: counted (key), kelvin: whole 400.");
        choose(robot, "Reading", "no");
        robot.interact(() -> {
            TextField field = robot.lookup("#rows-each-year").queryAs(TextField.class);
            field.requestFocus();
            field.setText("300,000,000");
        });
        robot.type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(workspace.design().notes().volume(entity("Reading").id())).contains(new Volume(0, 300_000_000));
        assertThat(robot.lookup(".fullness-said").queryAllAs(Label.class))
                .extracting(Label::getText)
                .anyMatch(text -> text.contains("after 7 years"));
        assertThat(workspace.review().open()).anyMatch(each -> each.rule().id().equals("runs-out"));
    }

    @Test
    void a_column_that_means_another_table_is_made_a_reference_to_it(FxRobot robot) {
        rule(robot, "Each berth has no: whole (key).");
        rule(robot, "Each call has code: text 6 (key), place: whole.");
        choose(robot, "Call", "place");
        MenuButton choice = robot.lookup("#otherwise-reference").queryAs(MenuButton.class);
        robot.interact(() -> choice.getItems().get(0).fire());
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(workspace.schema().table("call").orElseThrow().foreignKeys())
                .singleElement()
                .satisfies(key -> assertThat(key.columns()).containsExactly("place"));
        assertThat(text(robot, "#rule-answer")).contains("may repeat");
    }

    @Test
    void marks_are_set_beside_the_type_and_the_owner_is_one_press_away(FxRobot robot) {
        openDemo(robot, "alder-valley");
        choose(robot, "Apiary", "name");
        robot.interact(() ->
                robot.lookup("#attribute-personal").queryAs(CheckBox.class).fire());
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(attribute("Apiary", "name").marks()).containsExactly(Mark.PERSONAL);

        robot.interact(() -> robot.lookup("#attribute-owner").query().requestFocus());
        robot.type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(workspace.selection().chosenProperty().get())
                .contains(entity("Apiary").id());
        assertThat(robot.lookup("#definition").tryQuery()).isPresent();
    }

    @Test
    void whether_a_pair_may_recur_is_asked_and_shown_as_tables(FxRobot robot) {
        rule(robot, "Each keeper has no: whole (key).");
        rule(robot, "Each hive has code: text 6 (key).");
        rule(robot, "Each keeper watches any number of hives; each hive is watched by any number of keepers.");
        robot.interact(() -> workspace
                .selection()
                .choose(workspace.design().relationships().get(0).id()));
        WaitForAsyncUtils.waitForFxEvents();
        robot.interact(() ->
                robot.lookup("#what-if-pairs-show").queryAs(Hyperlink.class).fire());
        Node number = robot.lookup("#what-if-pairs").lookup(".alternative").queryAll().stream()
                .filter(each -> each.getAccessibleText().contains("with a number"))
                .findFirst()
                .orElseThrow();
        robot.interact(number::requestFocus);
        robot.type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(workspace.design().entity("Keeper hive")).isPresent();
        assertThat(workspace.design().relationships()).hasSize(2);
        robot.interact(workspace::undo);
        assertThat(workspace.design().relationships()).hasSize(1);
    }
}
