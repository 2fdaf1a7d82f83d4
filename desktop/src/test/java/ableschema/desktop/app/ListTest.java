package ableschema.desktop.app;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Attribute;
import ableschema.core.design.Index;
import ableschema.core.expression.Expression;
import ableschema.core.structure.Field;
import ableschema.core.structure.Structure.Line;
import java.util.List;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.MenuButton;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** The structure of a table read and corrected as a list, by keyboard. */
class ListTest extends WindowFixture {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    @BeforeEach
    void berths(FxRobot robot) {
        rule(robot, "Each pier has code: text 4 (key).");
        rule(robot, "Each berth has number: whole 90, length: text 9, opened: date, note: text.");
        rule(robot, "Each berth lies at exactly one pier; each pier has any number of berths.");
        choose(robot, "Berth");
        robot.press(KeyCode.ALT).type(KeyCode.L).release(KeyCode.ALT);
        WaitForAsyncUtils.waitForFxEvents();
    }

    /** Words such as "number" stand in the list of columns too, so that the menu's own are taken. */
    private static void choose(FxRobot robot, String menu, String words) {
        robot.interact(() -> robot.lookup(menu).queryAs(MenuButton.class).getItems().stream()
                .filter(each -> each.getText().equals(words))
                .findFirst()
                .orElseThrow()
                .fire());
        WaitForAsyncUtils.waitForFxEvents();
    }

    @Test
    void a_rule_is_put_together_from_its_words(FxRobot robot) {
        choose(robot, "#rule-column", "number");
        choose(robot, "#rule-comparison", "at least");
        TextField field = robot.lookup("#another-rule").queryAs(TextField.class);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(field.isFocused()).isTrue();
        robot.interact(() -> field.replaceSelection("3 "));
        choose(robot, "#rule-joined", "or");
        choose(robot, "#rule-column", "note");
        choose(robot, "#rule-comparison", "starts with '…'");
        assertThat(field.getText()).isEqualTo("number at least 3 or note starts with '…'");
        robot.interact(() -> {
            field.replaceSelection("x");
            field.getOnAction().handle(null);
        });
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(workspace.schema().table("berth").orElseThrow().checks())
                .anyMatch(check -> check.expression().toString().equals("{number} >= 3 or {note} like 'x%'"));
    }

    @Test
    void what_is_computed_is_typed_behind_an_equals_sign(FxRobot robot) {
        focus(robot, 1, Field.DEFAULT);
        robot.type(KeyCode.ENTER);
        type(robot, "= upper(note) || '!'");
        robot.type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(attribute("length").filling().isComputed()).isTrue();
        assertThat(table(robot).getItems().get(1).field(Field.DEFAULT)).isEqualTo("= upper(note) || '!'");
        focus(robot, 1, Field.DEFAULT);
        robot.type(KeyCode.ENTER);
        type(robot, "= upper(nite)");
        robot.type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(text(robot, "#rule-answer")).contains("is note meant?");
    }

    @SuppressWarnings("unchecked") // the list shows lines
    private TableView<Line> table(FxRobot robot) {
        return robot.lookup("#column-table").queryAs(TableView.class);
    }

    private void focus(FxRobot robot, int row, Field field) {
        robot.interact(() -> {
            TableView<Line> table = table(robot);
            table.requestFocus();
            TableColumn<Line, ?> column = table.getColumns().get(field.ordinal());
            table.getSelectionModel().clearAndSelect(row, column);
            table.getFocusModel().focus(row, column);
        });
    }

    private Attribute attribute(String name) {
        return entity("Berth").body().attribute(name).orElseThrow();
    }

    @Test
    void fields_are_typed_one_after_the_other(FxRobot robot) {
        assertThat(robot.lookup("#list-bench").query().isVisible()).isTrue();
        focus(robot, 1, Field.NAME);
        robot.type(KeyCode.ENTER);
        robot.write("length m").type(KeyCode.TAB);
        robot.write("decimal 5,1").type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(attribute("length m").type()).hasToString("decimal 5,1");
        assertThat(workspace.undoable()).isPresent();

        focus(robot, 2, Field.DEFAULT);
        robot.write("today").type(KeyCode.TAB);
        robot.type(KeyCode.TAB);
        robot.write("first boat").type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(attribute("opened").comment()).isEqualTo("first boat");
        assertThat(sql(robot, "#gloss-sql")).contains("current_date");
    }

    @Test
    void a_wrong_type_is_refused_with_the_reason_and_nothing_is_lost(FxRobot robot) {
        focus(robot, 0, Field.TYPE);
        robot.write("hole 90").type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(text(robot, "#rule-answer")).contains("hole 90");
        assertThat(attribute("number").type()).hasToString("whole 90");
    }

    @Test
    void many_columns_are_corrected_at_once_and_undone_at_once(FxRobot robot) {
        focus(robot, 1, Field.REQUIRED);
        robot.press(KeyCode.SHIFT).type(KeyCode.DOWN).type(KeyCode.DOWN).release(KeyCode.SHIFT);
        robot.type(KeyCode.SPACE);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(entity("Berth").body().attributes())
                .filteredOn(Attribute::optional)
                .extracting(Attribute::name)
                .containsExactly("length", "opened", "note");

        robot.press(KeyCode.CONTROL).type(KeyCode.Z).release(KeyCode.CONTROL);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(entity("Berth").body().attributes()).noneMatch(Attribute::optional);
    }

    @Test
    void columns_are_pasted_moved_and_taken_away(FxRobot robot) {
        robot.interact(() -> {
            var content = new ClipboardContent();
            content.putString("depth m\tdecimal 4,1\nlit\tyes/no\n");
            Clipboard.getSystemClipboard().setContent(content);
            table(robot).requestFocus();
        });
        robot.press(KeyCode.CONTROL).type(KeyCode.V).release(KeyCode.CONTROL);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(attribute("lit").type()).hasToString("yes/no");

        focus(robot, 1, Field.NAME);
        robot.press(KeyCode.ALT).type(KeyCode.UP).release(KeyCode.ALT);
        focus(robot, 3, Field.NAME);
        robot.type(KeyCode.DELETE);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(entity("Berth").body().attributes())
                .extracting(Attribute::name)
                .containsExactly("length", "number", "opened", "depth m", "lit");

        click(robot, "#another-column");
        enter(robot, "shore power: yes/no (default yes)");
        assertThat(attribute("shore power").defaultValue()).isNotEqualTo(Expression.none());
    }

    @Test
    void columns_of_references_and_indexes_are_in_the_list(FxRobot robot) {
        List<String> names = table(robot).getItems().stream()
                .map(line -> line.field(Field.NAME))
                .toList();
        assertThat(names).contains("pier_code");
        focus(robot, names.indexOf("pier_code"), Field.NAME);
        robot.type(KeyCode.ENTER);
        robot.write("lies_at").type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(workspace.schema().table("berth").orElseThrow().column("lies_at"))
                .isPresent();

        robot.interact(
                () -> workspace.apply(workspace.edits().setOften(attribute("opened"), Index.Purpose.SEARCHED, true)));
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("asked for: often searched").tryQuery()).isPresent();
        robot.interact(() -> robot.lookup("#list-bench .hyperlink")
                .queryAllAs(Hyperlink.class)
                .forEach(Hyperlink::fire));
        assertThat(entity("Berth").body().indexes()).isEmpty();
    }

    @Test
    void going_to_a_thing_shows_the_drawing_again(FxRobot robot) {
        robot.interact(() -> window.goTo(entity("Pier").id()));

        assertThat(window.sheet().isVisible()).isTrue();
        assertThat(robot.lookup("#list-bench").query().isVisible()).isFalse();
    }

    @Test
    void rules_and_indexes_over_several_columns_are_typed_and_taken_away(FxRobot robot) {
        openDemo(robot, "alder-valley");
        robot.interact(() -> workspace.listedProperty().set(true));
        robot.interact(() -> workspace.selection().choose(entity("Batch").id()));
        WaitForAsyncUtils.waitForFxEvents();
        int rules = entity("Batch").body().checks().size();
        int indexes = entity("Batch").body().indexes().size();
        robot.interact(() -> robot.lookup("#another-rule").query().requestFocus());
        type(robot, "jars at leest 3 or filled on < 2040-01-01");
        robot.type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        TextField field = robot.lookup("#another-rule").queryAs(TextField.class);
        assertThat(field.getSelectedText()).isEqualTo("at");
        assertThat(text(robot, "#rule-answer")).contains("comparison");

        robot.interact(() -> field.setText("jars at least 3 or filled on < 2040-01-01"));
        robot.type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(entity("Batch").body().checks()).hasSize(rules + 1);
        assertThat(field.getText()).isEmpty();

        robot.interact(() -> robot.lookup("#another-index").query().requestFocus());
        type(robot, "filled on falling, jars");
        robot.type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(entity("Batch").body().indexes()).hasSize(indexes + 1);
        assertThat(workspace.schema().table("batch").orElseThrow().indexes())
                .anyMatch(index -> index.columnNames().equals(List.of("filled_on", "jars")));
    }
}
