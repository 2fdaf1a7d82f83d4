package ableschema.desktop.app;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Row;
import ableschema.core.edit.ChangeBody;
import ableschema.core.edit.ChangeRules;
import ableschema.core.rows.RowEntry;
import ableschema.core.rows.RowTable;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import javafx.event.Event;
import javafx.scene.Node;
import javafx.scene.control.ListView;
import javafx.scene.control.TableView;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.stage.Stage;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** Sample rows filled with the keyboard alone, by somebody who does not wait for the screen. */
class RowsTest extends WindowFixture {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    @BeforeEach
    void vessels(FxRobot robot) {
        rule(robot, "Each vessel has imo: text 7 (key), name: text 20.");
        rule(robot, "Each stay has number: counted (key), berth: text 20, days: whole.");
        rule(robot, "Each stay is made by exactly one vessel; each vessel makes any number of stays.");
    }

    private void openRows(FxRobot robot, String entity) {
        choose(robot, entity);
        robot.interact(() -> {
            if (robot.lookup("#rows-table").tryQuery().filter(Node::isVisible).isEmpty()) {
                window.rows().toggle();
            }
        });
        WaitForAsyncUtils.waitForFxEvents();
    }

    /** Types keys one after the other without a frame between them; ⇥, ⏎ and ⎋ are Tab, Enter and Escape. */
    private void hurry(FxRobot robot, String keys) {
        robot.interact(() -> keys.codePoints().mapToObj(Character::toString).forEach(key -> {
            switch (key) {
                case "⇥" -> press(KeyCode.TAB, false, false);
                case "⇤" -> press(KeyCode.TAB, true, false);
                case "⏎" -> press(KeyCode.ENTER, false, false);
                case "⎋" -> press(KeyCode.ESCAPE, false, false);
                default ->
                    Event.fireEvent(
                            window.scene().getFocusOwner(),
                            new KeyEvent(KeyEvent.KEY_TYPED, key, "", KeyCode.UNDEFINED, false, false, false, false));
            }
        }));
        WaitForAsyncUtils.waitForFxEvents();
    }

    private void press(KeyCode code, boolean shift, boolean command) {
        Event.fireEvent(
                window.scene().getFocusOwner(),
                new KeyEvent(KeyEvent.KEY_PRESSED, "", "", code, shift, command, false, false));
    }

    private List<String> rows(String entity) {
        var entry = new RowEntry(workspace.design(), entity(entity).id(), workspace.ids());
        return entity(entity).body().rows().stream()
                .map(row -> cells(entry, row))
                .toList();
    }

    private static String cells(RowEntry entry, Row row) {
        return String.join(
                "|", entry.columns().stream().map(c -> entry.shown(row, c)).toList());
    }

    private void fillVessels(FxRobot robot) {
        openRows(robot, "Vessel");
        click(robot, "#add-row");
        hurry(robot, "9301234⇥Heron⇥9301246⇥Hoopoe⇥9301258⇥Lapwing⏎⎋");
    }

    @Test
    void cells_are_typed_one_after_the_other_and_nothing_is_lost(FxRobot robot) {
        fillVessels(robot);

        assertThat(rows("Vessel")).containsExactly("9301234|Heron", "9301246|Hoopoe", "9301258|Lapwing");
        assertThat(text(robot, "#rows-judgement")).isEqualTo("every row is accepted");

        hurry(robot, "⇥"); // the table is left, as any other control
        assertThat(rows("Vessel")).hasSize(3);
    }

    @Test
    void what_the_database_gives_or_computes_is_not_typed(FxRobot robot) {
        rule(robot, "Each crate has no: counted 500 by 1 (key), price: decimal 8,2, [double]: decimal 9,2.");
        rule(robot, "The no of each crate never changes.");
        rule(robot, "The double of each crate is computed from price * 2.");
        openRows(robot, "Crate");
        click(robot, "#add-row");
        hurry(robot, "7⇥");
        assertThat(text(robot, "#rule-answer")).contains("only the database gives the numbers of no");
        hurry(robot, "10.50⇥9⏎⎋");

        assertThat(rows("Crate")).first().asString().isEqualTo("500|10.50|21.00");
        robot.interact(() ->
                workspace.apply(new ChangeRules(workspace.document().rules().withDialect("mysql"), "write for MySQL")));
        WaitForAsyncUtils.waitForFxEvents();
        click(robot, "#add-row");
        hurry(robot, "7⇥1⏎⎋");
        assertThat(rows("Crate")).anyMatch(row -> row.startsWith("7|1"));
    }

    @Test
    void a_reference_is_completed_and_a_cell_above_repeated(FxRobot robot) {
        fillVessels(robot);
        openRows(robot, "Stay");
        click(robot, "#add-row");
        hurry(robot, "⇥N");
        hurry(robot, "orth⇥3⇥Ho");
        hurry(robot, "⇥");
        hurry(robot, "⇥");
        robot.interact(() -> press(KeyCode.D, false, true));
        hurry(robot, "⇥14⇥9301258⏎⎋");

        assertThat(rows("Stay")).containsExactly("1|North|3|Hoopoe · 9301246", "2|North|14|Lapwing · 9301258");
    }

    @Test
    void cells_are_pasted_from_the_one_in_focus_on(FxRobot robot) {
        fillVessels(robot);
        TableView<?> table = robot.lookup("#rows-table").queryTableView();
        robot.interact(() -> {
            var content = new ClipboardContent();
            content.putString("Plover\nCrane\nRuff\n");
            Clipboard.getSystemClipboard().setContent(content);
            table.requestFocus();
            table.getFocusModel().focus(1);
            focusCell(table, 1, 1);
            press(KeyCode.V, false, true);
        });
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(rows("Vessel")).containsExactly("9301234|Heron", "9301246|Plover", "9301258|Crane", "|Ruff");
        assertThat(workspace.undoable()).contains("paste cells into Vessel");
    }

    private static <T> void focusCell(TableView<T> table, int row, int column) {
        table.getSelectionModel().clearAndSelect(row, table.getColumns().get(column));
        table.getFocusModel().focus(row, table.getColumns().get(column));
    }

    @Test
    void what_is_being_typed_stays_when_the_rows_change_under_it(FxRobot robot) {
        fillVessels(robot);
        robot.interact(() -> focusCell(robot.lookup("#rows-table").queryTableView(), 0, 1));
        hurry(robot, "Bittern");
        robot.interact(() -> workspace.apply(workspace.edits().define(entity("Vessel"), "A ship that calls.")));
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(rows("Vessel").get(0)).isEqualTo("9301234|Bittern");
    }

    @Test
    void a_long_file_is_read_while_the_window_goes_on(FxRobot robot, @TempDir Path folder) throws Exception {
        openRows(robot, "Vessel");
        var lines = new StringBuilder("imo,name\n");
        for (int i = 0; i < 6000; i++) {
            lines.append(1_000_000 + i).append(",Number ").append(i).append('\n');
        }
        Path file = Files.writeString(folder.resolve("vessels.csv"), lines);
        robot.interact(() -> window.rows().readCsv(file));
        WaitForAsyncUtils.waitFor(
                20, TimeUnit.SECONDS, () -> entity("Vessel").body().rows().size() == 6000);
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(text(robot, "#rule-answer")).contains("6000 rows read");
    }

    @Test
    void the_step_rows_lists_all_that_can_have_rows_and_shows_those_of_the_chosen_one(FxRobot robot) {
        fillVessels(robot);
        robot.interact(() -> {
            addTwice("9301234");
            workspace.selection().chooseNothing();
        });
        click(robot, "#step-rows");
        ListView<?> holders = robot.lookup("#row-holders").queryListView();

        assertThat(holders.getItems()).hasSize(2); // Stay and Vessel
        assertThat(workspace.selection().chosenEntity())
                .map(each -> each.name())
                .contains("Vessel");
        assertThat(robot.lookup("4 rows").tryQuery()).isPresent();
        assertThat(robot.lookup("1 ✕").tryQuery()).isPresent();
        TableView<?> table = robot.lookup("#rows-table").queryTableView();
        assertThat(table.getItems()).hasSize(4);
        assertThat(table.getHeight()).isGreaterThan(400);

        robot.interact(() -> holders.getSelectionModel().select(0));
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(text(robot, "#rows-title")).startsWith("Rows of Stay");
        click(robot, "#add-row");
        hurry(robot, "⇥North⇥3⇥Ho⏎");
        for (String letter : List.of("⇥", "S", "⇥", "4", "⇥", "H", "o", "⏎", "⎋")) {
            hurry(robot, letter); // and the same at leisure
        }
        assertThat(rows("Stay")).containsExactly("1|North|3|Hoopoe · 9301246", "2|S|4|Hoopoe · 9301246");

        click(robot, "#step-draw"); // where they fold below the sheet, as before
        assertThat(robot.lookup("#rows-table").queryTableView().getHeight()).isEqualTo(220);
    }

    /** Adds a vessel whose number another has. */
    private void addTwice(String value) {
        var edits = new RowEntry(workspace.design(), entity("Vessel").id(), workspace.ids());
        List<Row> read = new RowTable(edits)
                .read("imo,name\n" + value + ",Ruff\n", false, List.of())
                .rows();
        List<Row> all = new ArrayList<>(entity("Vessel").body().rows());
        all.addAll(read);
        workspace.apply(
                new ChangeBody(entity("Vessel").id(), entity("Vessel").body().withRows(all), "add a row twice"));
    }
}
