package ableschema.desktop.app;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.Relationship;
import ableschema.core.document.Notation;
import ableschema.core.document.Position;
import ableschema.core.edit.MoveCards;
import ableschema.core.schema.Table;
import ableschema.diagram.picture.View;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import javafx.geometry.Bounds;
import javafx.geometry.VerticalDirection;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** The sheet, its views and the gloss on the worked design. */
class SheetTest extends WindowFixture {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    private Relationship between(String first, String second) {
        return workspace.design().relationships().stream()
                .filter(r -> workspace.design().at(r.first()).name().equals(first)
                        && workspace.design().at(r.second()).name().equals(second))
                .findFirst()
                .orElseThrow(() -> new AssertionError("nothing between " + first + " and " + second));
    }

    private void chooseLine(FxRobot robot, String first, String second) {
        Relationship relationship = between(first, second);
        robot.interact(() -> workspace.selection().choose(relationship.id()));
        WaitForAsyncUtils.waitForFxEvents();
    }

    private Table table(String name) {
        return workspace.schema().table(name).orElseThrow(() -> new AssertionError("no table " + name));
    }

    @Test
    void a_card_a_line_and_an_attribute_are_chosen_by_a_click_and_paper_chooses_nothing(FxRobot robot) {
        openDemo(robot, "alder-valley");
        robot.interact(() -> window.sheet().fit());
        Bounds hive = onScreen(robot, "#card-hive");
        robot.clickOn(hive.getMinX() + 40, hive.getMinY() + 18);
        assertThat(workspace.selection().chosenEntity()).map(Entity::name).contains("Hive");

        Bounds queen = onScreen(robot, "#card-queen");
        robot.clickOn(queen.getMinX() + 30, queen.getMaxY() - 40);
        assertThat(workspace.selection().chosenProperty().get().orElseThrow().kind())
                .isEqualTo(IdKind.ATTRIBUTE);
        assertThat(workspace.selection().chosenEntity()).map(Entity::name).contains("Queen");

        Bounds sheet = onScreen(robot, "#sheet");
        robot.clickOn(sheet.getMinX() + 6, sheet.getMinY() + 6);
        assertThat(workspace.selection().chosenProperty().get()).isEmpty();

        Bounds apiary = onScreen(robot, "#card-apiary");
        double middle = (apiary.getMaxX() + hive.getMinX()) / 2;
        for (double y = apiary.getMinY();
                y < apiary.getMaxY()
                        && workspace.selection().chosenProperty().get().isEmpty();
                y += 5) {
            robot.clickOn(middle, y);
        }
        assertThat(workspace.selection().chosenOwner())
                .contains(between("Apiary", "Hive").id());
    }

    @Test
    void arrow_keys_go_from_card_to_card_and_delete_removes_the_chosen_attribute(FxRobot robot) {
        openDemo(robot, "alder-valley");
        choose(robot, "Apiary");
        robot.interact(() -> window.sheet().requestFocus());
        robot.type(KeyCode.RIGHT);
        assertThat(workspace.selection().chosenEntity()).map(Entity::name).contains("Hive");
        robot.type(KeyCode.DOWN);
        assertThat(workspace.selection().chosenEntity()).map(Entity::name).contains("Inspection");

        var note = entity("Inspection").body().attribute("note").orElseThrow();
        robot.interact(() -> workspace.selection().choose(note.id()));
        robot.interact(() -> window.sheet().requestFocus());
        robot.type(KeyCode.DELETE);
        assertThat(entity("Inspection").body().attribute("note")).isEmpty();
        assertThat(table("inspection").column("note")).isEmpty();
    }

    @Test
    void an_attribute_is_moved_among_its_fellows_by_keys_and_the_sql_follows(FxRobot robot) {
        openDemo(robot, "alder-valley");
        var note = entity("Inspection").body().attribute("note").orElseThrow();
        robot.interact(() -> workspace.selection().choose(note.id()));
        robot.interact(() -> window.sheet().requestFocus());
        robot.press(KeyCode.ALT).type(KeyCode.UP).type(KeyCode.UP).release(KeyCode.ALT);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(entity("Inspection").body().attributes())
                .extracting(a -> a.name())
                .containsExactly("id", "note", "done at", "strength");
        String written = sql(robot, "#gloss-sql");
        assertThat(written.indexOf("note")).isLessThan(written.indexOf("done_at"));
        robot.press(KeyCode.ALT).type(KeyCode.DOWN).release(KeyCode.ALT);
        assertThat(workspace.undoable()).contains("move note of Inspection");
    }

    @Test
    void a_column_and_a_sentence_are_chosen_without_the_mouse(FxRobot robot) {
        openDemo(robot, "alder-valley");
        choose(robot, "Hive");
        WaitForAsyncUtils.waitForFxEvents();
        robot.interact(() -> robot.lookup("#column-colour").query().requestFocus());
        robot.type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(workspace.selection().chosenProperty().get())
                .contains(
                        entity("Hive").body().attribute("colour").orElseThrow().id());
        robot.interact(() -> robot.lookup("#attribute-owner").query().requestFocus());
        robot.type(KeyCode.SPACE);
        WaitForAsyncUtils.waitForFxEvents();
        robot.interact(() -> robot.lookup(".sentence").queryAll().stream()
                .filter(Node::isFocusTraversable)
                .findFirst()
                .orElseThrow()
                .requestFocus());
        robot.type(KeyCode.SPACE);
        assertThat(workspace.selection().chosenOwner())
                .contains(between("Apiary", "Hive").id());
    }

    @Test
    void zooming_fitting_and_panning_leave_the_design_alone(FxRobot robot) {
        openDemo(robot, "alder-valley");
        var before = workspace.document();
        robot.interact(() -> window.sheet().fit());
        double fitted = window.sheet().zoom();
        robot.press(KeyCode.CONTROL).type(KeyCode.EQUALS).type(KeyCode.EQUALS).release(KeyCode.CONTROL);
        assertThat(window.sheet().zoom()).isGreaterThan(fitted * 1.4);
        Bounds far = onScreen(robot, "#card-apiary");
        robot.moveTo("#sheet").scroll(3, VerticalDirection.DOWN);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(onScreen(robot, "#card-apiary").getMinY()).isNotEqualTo(far.getMinY());
        robot.press(KeyCode.CONTROL).type(KeyCode.DIGIT0).release(KeyCode.CONTROL);
        assertThat(window.sheet().zoom()).isEqualTo(fitted);
        for (int i = 0; i < 20; i++) {
            robot.interact(() -> window.sheet().zoomOut());
        }
        assertThat(window.sheet().zoom()).isGreaterThanOrEqualTo(0.04);
        assertThat(workspace.document()).isSameAs(before);
    }

    @Test
    void both_views_show_the_same_design_and_every_edit_works_in_both(FxRobot robot) {
        openDemo(robot, "alder-valley");
        assertThat(robot.lookup("#card-application").tryQuery()).isEmpty();
        click(robot, "#view-tables");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#card-application").tryQuery()).isPresent();
        assertThat(robot.lookup("#card-forage-plant").tryQuery()).isPresent();

        choose(robot, "Queen");
        robot.interact(() -> window.sheet().requestFocus());
        robot.type(KeyCode.F2);
        enter(robot, "Mother");
        assertThat(robot.lookup("#card-mother").tryQuery()).isPresent();
        click(robot, "#view-concept");
        assertThat(workspace.viewProperty().get()).isEqualTo(View.CONCEPT);
        assertThat(robot.lookup("#card-mother").tryQuery()).isPresent();
        assertThat(table("hive").column("mother_ring")).isPresent();
    }

    @Test
    void the_notation_is_part_of_the_document_and_can_be_undone(FxRobot robot) {
        openDemo(robot, "alder-valley");
        click(robot, "#notation");
        assertThat(workspace.document().diagram().notation()).isEqualTo(Notation.MINMAX);
        click(robot, "#notation");
        assertThat(workspace.document().diagram().notation()).isEqualTo(Notation.CHEN);
        robot.interact(workspace::undo);
        robot.interact(workspace::undo);
        assertThat(workspace.document().diagram().notation()).isEqualTo(Notation.CROWSFOOT);
    }

    @Test
    void tidying_up_is_one_step_that_moves_cards_only(FxRobot robot) throws Exception {
        openDemo(robot, "alder-valley");
        var before = workspace.document();
        click(robot, "#tidy");
        WaitForAsyncUtils.waitFor(
                20,
                TimeUnit.SECONDS,
                () -> workspace.jobs().running().isEmpty()
                        && workspace.undoable().isPresent());
        assertThat(workspace.undoable()).contains("tidy up");
        assertThat(workspace.design()).isSameAs(before.design());
        assertThat(workspace.document()).isNotEqualTo(before);
        robot.interact(workspace::undo);
        assertThat(workspace.document()).isEqualTo(before);
    }

    @Test
    void a_relationship_is_corrected_in_the_gloss(FxRobot robot) {
        openDemo(robot, "alder-valley");
        chooseLine(robot, "Hive", "Harvest");
        assertThat(table("harvest").primaryKey().orElseThrow().columns()).hasSize(3);
        click(robot, "#identifying");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(table("harvest").primaryKey().orElseThrow().columns()).containsExactly("taken_on");
        assertThat(robot.lookup("#not-emptied").queryAs(Label.class).getText())
                .isEqualTo("That it stays without is not offered: each harvest must have a hive.");
        click(robot, "#on-delete", "each harvest of it goes too");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(sql(robot, "#gloss-sql")).contains("ON DELETE CASCADE");
        assertThat(robot.lookup("#delete-reach .label").queryAllAs(Label.class))
                .extracting(Label::getText)
                .anyMatch(said -> said.startsWith("at once: ") && said.contains("harvests go too"))
                .anyMatch(said -> said.contains("16 sample rows"));
        click(robot, "#on-update", "each harvest of it changes too");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(sql(robot, "#gloss-sql")).contains("ON UPDATE CASCADE");
        assertThat(robot.lookup("#update-reach .label").queryAllAs(Label.class))
                .extracting(Label::getText)
                .anyMatch(said -> said.startsWith("at once: ") && said.contains("harvests change too"));
        click(robot, "#role-1");
        enter(robot, "source");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(table("harvest").column("source_stand_no")).isPresent();
    }

    @Test
    void a_pairing_is_named_and_gets_attributes_and_a_wider_key(FxRobot robot) {
        openDemo(robot, "alder-valley");
        chooseLine(robot, "Inspection", "Treatment");
        click(robot, "#pairing-noun").push(KeyCode.CONTROL, KeyCode.A);
        enter(robot, "dosing");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(table("dosing").primaryKey().orElseThrow().columns())
                .containsExactly("inspection_id", "treatment_name");
        click(robot, "#pairing-attribute");
        enter(robot, "turn: whole 9 (key)");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(table("dosing").primaryKey().orElseThrow().columns())
                .containsExactly("inspection_id", "treatment_name", "turn");
        rule(robot, "Each dosing has remark: text 80 (optional).");
        assertThat(table("dosing").column("remark").orElseThrow().nullable()).isTrue();
    }

    @Test
    void the_gloss_says_the_chosen_entity_and_follows_it(FxRobot robot) {
        openDemo(robot, "alder-valley");
        choose(robot, "Harvest");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(said(robot))
                .contains(
                        "Each hive yields any number of harvests; each harvest is taken from exactly one hive.",
                        "Each harvest is identified by its hive and taken on.");
        click(robot, "#entity-kind").type(KeyCode.DOWN, 4).type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(entity("Harvest").kind().name()).isEqualTo("thing");
        WaitForAsyncUtils.waitForFxEvents();
        click(robot, "#definition").push(KeyCode.CONTROL, KeyCode.A);
        enter(robot, "What one hive gave.");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(sql(robot, "#gloss-sql")).contains("COMMENT ON TABLE harvest IS 'What one hive gave.'");
    }

    private static List<String> said(FxRobot robot) {
        return Stream.concat(
                        robot.lookup(".sentence").queryAllAs(Node.class).stream()
                                .filter(Labeled.class::isInstance)
                                .map(node -> ((Labeled) node).getText()),
                        robot.lookup(".sentence-text").queryAllAs(TextInputControl.class).stream()
                                .map(TextInputControl::getText))
                .toList();
    }

    @Test
    void names_that_would_break_things_go_through_the_window(FxRobot robot) {
        click(robot, "#sheet");
        WaitForAsyncUtils.waitForFxEvents();
        enter(robot, "it's \"odd\"; DROP TABLE 🐝 خلية " + "long ".repeat(30));
        enter(robot, "\"select, (from) 'x'\": text 20 (key)");
        robot.type(KeyCode.ESCAPE);
        WaitForAsyncUtils.waitForFxEvents();

        Entity odd = workspace.design().entities().get(0);
        assertThat(odd.name()).startsWith("it's \"odd\"; DROP TABLE 🐝");
        assertThat(odd.body().attributes().get(0).name()).isEqualTo("select, (from) 'x'");
        assertThat(workspace.mapping().undecided()).isEmpty();
        assertThat(sql(robot, "#gloss-sql"))
                .contains("CREATE TABLE \"it_s_odd_drop_table_")
                .contains("select_from_x");
    }

    @Test
    void an_empty_sheet_says_what_to_do_until_something_is_on_it(FxRobot robot) {
        Labeled empty = robot.lookup("#sheet-empty").queryAs(Labeled.class);
        assertThat(empty.isVisible()).isTrue();
        assertThat(empty.getText()).contains("Click anywhere");
        drawTwo(robot);
        assertThat(empty.isVisible()).isFalse();
    }

    @Test
    void what_is_chosen_stays_in_view_when_the_rows_open(FxRobot robot) {
        openDemo(robot, "alder-valley");
        robot.interact(() -> {
            workspace.selection().choose(entity("Batch").id());
            window.sheet().requestFocus();
        });
        WaitForAsyncUtils.waitForFxEvents();
        Bounds sheet = onScreen(robot, "#sheet");
        assertThat(onScreen(robot, "#card-batch").getMaxY()).isLessThan(sheet.getMaxY());
        robot.interact(() -> window.rows().toggle());
        WaitForAsyncUtils.waitForFxEvents();

        Bounds lower = onScreen(robot, "#sheet");
        assertThat(lower.getHeight()).isLessThan(sheet.getHeight() - 100);
        assertThat(onScreen(robot, "#card-batch").getMaxY()).isLessThan(lower.getMaxY());
    }

    @Test
    void route_and_gloss_fold_away_and_come_back(FxRobot robot) {
        double before = onScreen(robot, "#sheet").getWidth();
        click(robot, "#fold-gloss", "#fold-route");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(onScreen(robot, "#sheet").getWidth()).isGreaterThan(before + 400);
        robot.press(KeyCode.ALT).type(KeyCode.G, KeyCode.R).release(KeyCode.ALT);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(onScreen(robot, "#sheet").getWidth()).isEqualTo(before);
    }

    @Test
    void the_window_is_called_after_the_design_and_says_whether_it_is_saved(FxRobot robot, @TempDir Path folder) {
        drawTwo(robot);
        assertThat(title()).isEqualTo("not saved yet (changed) — Able Schema");
        robot.interact(() -> window.files().saveAs(folder.resolve("bees.able.json")));
        assertThat(title()).isEqualTo("bees — Able Schema");
        rule(robot, "Each hive has weight: decimal 5,1.");
        assertThat(title()).isEqualTo("bees (changed) — Able Schema");
    }

    private String title() {
        return ((Stage) window.scene().getWindow()).getTitle();
    }

    @Test
    void the_picture_is_written_to_a_file_but_never_over_a_design(FxRobot robot, @TempDir Path folder)
            throws Exception {
        openDemo(robot, "alder-valley");
        for (String name : List.of("bees.svg", "bees.png", "bees.pdf")) {
            Path file = folder.resolve(name);
            robot.interact(() -> window.pictures().write(file));
            WaitForAsyncUtils.waitFor(30, TimeUnit.SECONDS, () -> Files.exists(file) && Files.size(file) > 1000);
        }
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(Files.readString(folder.resolve("bees.svg")))
                .contains("viewBox")
                .contains("Forage plant");

        Path design = Files.writeString(folder.resolve("bees.able.json"), "kept");
        robot.interact(() -> window.pictures().write(design));
        assertThat(text(robot, "#rule-answer"))
                .contains("ends in .svg, .png, .pdf")
                .contains("not written");
        assertThat(design).hasContent("kept");
        robot.interact(() -> window.pictures().write(folder.resolve("no/such/folder.svg")));
        WaitForAsyncUtils.waitFor(
                20, TimeUnit.SECONDS, () -> text(robot, "#rule-answer").contains("folder.svg"));
    }

    @Test
    void a_card_that_grows_makes_room_in_one_step_and_a_fixed_one_stays(FxRobot robot) {
        drawTwo(robot);
        Id apiary = entity("Apiary").id();
        Id hive = entity("Hive").id();
        robot.interact(() -> {
            window.sheet().zoom(1 / window.sheet().zoom(), 0, 0);
            Position at = workspace.document().position(apiary).orElseThrow();
            double below = at.y() + onScreen(robot, "#card-apiary").getHeight() + 16;
            workspace.apply(new MoveCards(Map.of(hive, new Position(at.x(), below)), "put it below"));
        });
        WaitForAsyncUtils.waitForFxEvents();
        Position before = workspace.document().position(hive).orElseThrow();
        rule(robot, "Each apiary has street: text 60, town: text 40, opened on: date, altitude: whole.");

        assertThat(onScreen(robot, "#card-apiary").intersects(onScreen(robot, "#card-hive")))
                .isFalse();
        Position pushed = workspace.document().position(hive).orElseThrow();
        assertThat(pushed.y()).isGreaterThan(before.y());
        assertThat(pushed.x()).isEqualTo(before.x());
        robot.interact(workspace::undo);
        assertThat(workspace.document().position(hive)).contains(before);
        assertThat(entity("Apiary").body().attributes()).hasSize(2);
    }
}
