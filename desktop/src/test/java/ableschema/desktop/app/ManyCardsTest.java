package ableschema.desktop.app;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Attribute;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.Relationship;
import ableschema.core.document.Detail;
import ableschema.core.document.Document;
import ableschema.core.document.Position;
import ableschema.core.schema.Table;
import ableschema.diagram.picture.View;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import javafx.scene.image.PixelReader;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** What is done with several cards at once, with parts of the picture, and with the picture as a whole. */
class ManyCardsTest extends WindowFixture {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    private void chooseAll(FxRobot robot, String... names) {
        Set<Id> ids = new LinkedHashSet<>();
        for (String name : names) {
            ids.add(entity(name).id());
        }
        robot.interact(() -> {
            workspace.selection().chooseAll(ids);
            window.sheet().requestFocus();
        });
        WaitForAsyncUtils.waitForFxEvents();
    }

    private static void with(FxRobot robot, KeyCode held, KeyCode key) {
        robot.press(held).type(key).release(held);
        WaitForAsyncUtils.waitForFxEvents();
    }

    private Position at(String name) {
        return workspace.document().position(entity(name).id()).orElseThrow();
    }

    @Test
    void a_rubber_band_chooses_what_it_touches_and_the_cards_move_together(FxRobot robot) {
        openDemo(robot, "alder-valley");
        robot.interact(() -> window.sheet().fit());
        Bounds apiary = onScreen(robot, "#card-apiary");
        Bounds hive = onScreen(robot, "#card-hive");
        robot.press(KeyCode.SHIFT);
        robot.moveTo(apiary.getMinX() - 14, apiary.getMinY() - 14)
                .press(MouseButton.PRIMARY)
                .moveTo(hive.getMinX() + 30, hive.getMinY() + 30)
                .release(MouseButton.PRIMARY);
        robot.release(KeyCode.SHIFT);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(workspace.selection().groupProperty().get())
                .containsExactlyInAnyOrder(entity("Apiary").id(), entity("Hive").id());

        Position before = at("Apiary");
        Position other = at("Hive");
        robot.drag(hive.getMinX() + 40, hive.getMinY() + 18, MouseButton.PRIMARY)
                .moveBy(0, 37)
                .release(MouseButton.PRIMARY);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(at("Apiary").y() - before.y())
                .isEqualTo(at("Hive").y() - other.y())
                .isPositive();
        assertThat(workspace.undoable().orElseThrow()).isEqualTo("move Hive and 1 more");
    }

    @Test
    void chosen_cards_become_a_district_and_what_leaves_it_is_named_on_the_cards(FxRobot robot) {
        openDemo(robot, "alder-valley");
        robot.interact(() -> window.sheet().zoom(1 / window.sheet().zoom(), 0, 0));
        double before = onScreen(robot, "#card-hive").getHeight();
        chooseAll(robot, "Hive");
        with(robot, KeyCode.ALT, KeyCode.D);
        chooseAll(robot, "Apiary");
        with(robot, KeyCode.ALT, KeyCode.D);

        assertThat(workspace.document().diagram().districts())
                .extracting(each -> each.name())
                .containsExactly("Hive", "Apiary");
        assertThat(onScreen(robot, "#card-hive").getHeight()).isGreaterThan(before);
        robot.interact(workspace::undo);
        assertThat(onScreen(robot, "#card-hive").getHeight()).isEqualTo(before);
    }

    @Test
    void a_card_out_of_view_has_no_node_but_is_chosen_and_carried_with_the_others(FxRobot robot) {
        openDemo(robot, "alder-valley");
        robot.interact(() -> {
            window.sheet().zoom(1 / window.sheet().zoom(), 0, 0);
            window.sheet().pan(-9000, 0);
        });
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#card-hive").tryQuery()).isEmpty();

        robot.interact(() -> workspace.selection().choose(entity("Hive").id()));
        assertThat(robot.lookup("#card-hive").tryQuery()).isPresent();
        robot.interact(() -> workspace.selection().chooseNothing());
        robot.interact(() -> window.sheet().centre(entity("Hive").id()));
        assertThat(robot.lookup("#card-hive").tryQuery()).isPresent();
        with(robot, KeyCode.CONTROL, KeyCode.A);
        assertThat(workspace.selection().groupProperty().get()).hasSize(9);
    }

    @Test
    void keys_choose_move_duplicate_and_delete_several(FxRobot robot) {
        openDemo(robot, "alder-valley");
        chooseAll(robot, "Apiary", "Hive");
        Position before = at("Hive");
        with(robot, KeyCode.CONTROL, KeyCode.RIGHT);
        assertThat(at("Hive").x()).isEqualTo(before.x() + 4);

        with(robot, KeyCode.CONTROL, KeyCode.D);
        assertThat(workspace.design().entities()).hasSize(11);
        assertThat(workspace.design().relationshipsOf(entity("Hive 2").id())).hasSize(1);
        robot.type(KeyCode.DELETE);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(workspace.design().entities()).hasSize(9);
        with(robot, KeyCode.CONTROL, KeyCode.A);
        assertThat(workspace.selection().groupProperty().get()).hasSize(9);
    }

    @Test
    void what_is_copied_is_pasted_into_another_design(FxRobot robot) {
        openDemo(robot, "alder-valley");
        chooseAll(robot, "Apiary", "Hive");
        with(robot, KeyCode.CONTROL, KeyCode.C);
        robot.interact(() -> workspace.open(Document.EMPTY, Optional.empty()));
        robot.interact(() -> window.sheet().requestFocus());
        with(robot, KeyCode.CONTROL, KeyCode.V);

        assertThat(workspace.design().entities()).extracting(Entity::name).containsExactly("Apiary", "Hive");
        assertThat(workspace.design().relationships()).hasSize(1);
    }

    @Test
    void ten_attributes_are_typed_reordered_duplicated_and_deleted_without_the_mouse(FxRobot robot) {
        robot.interact(() -> window.sheet().requestFocus());
        enter(robot, "Hive");
        for (int i = 1; i <= 10; i++) {
            enter(robot, "field " + i);
        }
        robot.type(KeyCode.ESCAPE);
        chooseAttribute(robot, "field 10");
        for (int i = 0; i < 8; i++) {
            with(robot, KeyCode.ALT, KeyCode.UP);
        }
        assertThat(names()).startsWith("field 1", "field 10", "field 2");
        with(robot, KeyCode.CONTROL, KeyCode.D);
        assertThat(names()).startsWith("field 1", "field 10", "field 10 2", "field 2");
        robot.type(KeyCode.DELETE);
        WaitForAsyncUtils.waitForFxEvents();
        chooseAttribute(robot, "field 3");
        robot.type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        enter(robot, "between");
        assertThat(names())
                .containsExactly(
                        "field 1",
                        "field 10",
                        "field 2",
                        "field 3",
                        "between",
                        "field 4",
                        "field 5",
                        "field 6",
                        "field 7",
                        "field 8",
                        "field 9");
        Table hive = workspace.schema().table("hive").orElseThrow();
        assertThat(hive.columns())
                .extracting(column -> workspace.trace().column(hive, column).label())
                .containsExactlyElementsOf(names());
    }

    private void chooseAttribute(FxRobot robot, String name) {
        Id id = entity("Hive").body().attribute(name).orElseThrow().id();
        robot.interact(() -> {
            workspace.selection().choose(id);
            window.sheet().requestFocus();
        });
    }

    private List<String> names() {
        return entity("Hive").body().attributes().stream().map(Attribute::name).toList();
    }

    @Test
    void a_part_picture_has_places_of_its_own_and_is_taken_away(FxRobot robot) {
        openDemo(robot, "alder-valley");
        chooseAll(robot, "Keeper", "Inspection");
        with(robot, KeyCode.CONTROL, KeyCode.P);

        assertThat(workspace.document().diagram().name()).isEqualTo("around Keeper");
        assertThat(robot.lookup(".entity-card").queryAll()).hasSize(2);
        chooseAll(robot, "Keeper");
        with(robot, KeyCode.CONTROL, KeyCode.RIGHT);
        Position moved = at("Keeper");
        robot.interact(() -> workspace.viewPicture("whole"));
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup(".entity-card").queryAll()).hasSize(9);
        assertThat(at("Keeper")).isNotEqualTo(moved);
        robot.interact(workspace::undo);
        assertThat(workspace.document().diagram().name()).isEqualTo("around Keeper");
    }

    private static void pick(FxRobot robot, String item) {
        click(robot, "#pictures");
        WaitForAsyncUtils.waitForFxEvents();
        robot.clickOn(item);
        WaitForAsyncUtils.waitForFxEvents();
    }

    @Test
    void a_part_picture_is_renamed_and_grows_and_shrinks(FxRobot robot) {
        openDemo(robot, "alder-valley");
        chooseAll(robot, "Keeper");
        with(robot, KeyCode.CONTROL, KeyCode.P);
        click(robot, "#pictures");
        WaitForAsyncUtils.waitForFxEvents();
        robot.interact(
                () -> robot.lookup("#picture-name").queryAs(TextField.class).setText("people"));
        click(robot, "#picture-name").type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(workspace.document().diagram().name()).isEqualTo("people");

        pick(robot, "+ the neighbours of what is chosen");
        assertThat(robot.lookup(".entity-card").queryAll()).hasSize(2);
        chooseAll(robot, "Inspection");
        pick(robot, "leave what is chosen out of this picture");
        assertThat(robot.lookup(".entity-card").queryAll()).hasSize(1);

        rule(robot, "Each keeper owns any number of suits; each suit belongs to exactly one keeper.");
        assertThat(robot.lookup(".entity-card").queryAll())
                .as("what is made here is shown here")
                .hasSize(2);
        robot.interact(() -> window.goTo(entity("Queen").id()));
        assertThat(workspace.document().diagram().name())
                .as("found where it is")
                .isEqualTo("whole");
        assertThat(robot.lookup(".entity-card").queryAll()).hasSize(10);
        assertThat(at("Suit")).as("has a place of its own here too").isNotEqualTo(new Position(0, 0));

        pick(robot, "show what is chosen in people too");
        robot.interact(() -> workspace.viewPicture("people"));
        assertThat(robot.lookup(".entity-card").queryAll()).hasSize(3);
    }

    @Test
    void only_neighbours_are_shown_until_all_are_wanted_again(FxRobot robot) {
        openDemo(robot, "alder-valley");
        chooseAll(robot, "Keeper");
        with(robot, KeyCode.ALT, KeyCode.N);
        assertThat(robot.lookup(".entity-card").queryAll()).hasSize(2);
        click(robot, "#show-all");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup(".entity-card").queryAll()).hasSize(9);
    }

    @Test
    void the_paper_after_moving_and_zooming_is_as_painted_afresh(FxRobot robot) {
        openDemo(robot, "alder-valley");
        robot.interact(() -> {
            window.sheet().fit();
            window.sheet().pan(-37, 21);
            window.sheet().zoom(1.3, 300, 200);
            window.sheet().zoom(1.1, 500, 300);
        });
        robot.sleep(250); // a zoom rests after a moment
        robot.interact(() -> window.sheet().pan(64, -9));
        robot.interact(() -> window.sheet().pan(-11, 50));
        for (int i = 0; i < 90; i++) { // goes round the roll that the paper is painted on
            robot.interact(() -> window.sheet().pan(-16, -9));
        }
        robot.interact(() -> {
            workspace.selection().choose(entity("Queen").id());
            window.sheet().pan(16 * 80, 9 * 85);
        });
        robot.interact(() -> workspace.selection().choose(entity("Hive").id()));
        WritableImage shifted = look(robot);
        robot.interact(() -> window.sheet().paintAfresh());
        WritableImage fresh = look(robot);

        assertThat(different(shifted, fresh)).isZero();
    }

    private WritableImage look(FxRobot robot) {
        var image = new AtomicReference<WritableImage>();
        robot.interact(() -> image.set(window.sheet().snapshot(null, null)));
        return image.get();
    }

    private static long different(WritableImage one, WritableImage other) {
        PixelReader a = one.getPixelReader();
        PixelReader b = other.getPixelReader();
        long different = 0;
        for (int y = 0; y < one.getHeight(); y++) {
            for (int x = 0; x < one.getWidth(); x++) {
                different += a.getArgb(x, y) == b.getArgb(x, y) ? 0 : 1;
            }
        }
        return different;
    }

    @Test
    void the_level_of_detail_leaves_cards_and_lines_where_they_are(FxRobot robot) {
        openDemo(robot, "alder-valley");
        Bounds before = onScreen(robot, "#card-hive");
        click(robot, "#detail-names");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(workspace.document().diagram().detail()).isEqualTo(Detail.NAMES);
        assertThat(onScreen(robot, "#card-hive")).isEqualTo(before);
        with(robot, KeyCode.ALT, KeyCode.DIGIT3);
        assertThat(workspace.document().diagram().detail()).isEqualTo(Detail.EVERYTHING);
    }

    @Test
    void another_rule_is_chosen_among_the_tables_that_each_would_give(FxRobot robot) {
        drawTwo(robot);
        Document before = workspace.document();
        robot.interact(() -> workspace
                .selection()
                .choose(workspace.design().relationships().get(0).id()));
        WaitForAsyncUtils.waitForFxEvents();
        robot.interact(
                () -> robot.lookup("#what-if-show").queryAs(ButtonBase.class).fire());
        assertThat(robot.lookup(".alternative").queryAll()).hasSize(4);
        robot.interact(() -> ((Node) robot.lookup(".alternative").nth(3).query())
                .getOnMouseClicked()
                .handle(null));
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(workspace.schema().tables()).hasSize(3);
        robot.interact(workspace::undo);
        assertThat(workspace.document()).isEqualTo(before);
    }

    @Test
    void a_line_reads_its_sentence_from_the_end_that_is_pointed_at(FxRobot robot) {
        openDemo(robot, "alder-valley");
        robot.interact(() -> window.sheet().fit());
        Bounds apiary = onScreen(robot, "#card-apiary");
        Bounds hive = onScreen(robot, "#card-hive");
        double level = apiary.getCenterY();
        robot.moveTo(apiary.getMaxX() + 12, level);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(text(robot, "#reading")).isEqualTo("Each apiary shelters any number of hives.");
        robot.moveTo(hive.getMinX() - 10, level);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(text(robot, "#reading")).isEqualTo("Each hive stands in exactly one apiary.");
    }

    @Test
    void a_chosen_relationship_marks_the_columns_it_joins_on_both_tables_and_beside_its_line(FxRobot robot) {
        openDemo(robot, "alder-valley");
        Relationship of = workspace.design().relationships().stream()
                .filter(r -> r.first().verb().equals("is looked at in"))
                .findFirst()
                .orElseThrow();
        robot.interact(() -> {
            workspace.viewProperty().set(View.TABLES);
            workspace.selection().choose(of.id());
        });
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(text(robot, ".joined-words"))
                .isEqualTo("inspection.hive_apiary_code = hive.apiary_code\ninspection.hive_stand_no = hive.stand_no");
        Bounds inspection = onScreen(robot, "#card-inspection");
        Bounds hive = onScreen(robot, "#card-hive");
        assertThat(robot.lookup(".joined-row").queryAll().stream()
                        .map(row -> row.localToScreen(row.getBoundsInLocal()))
                        .map(row -> inspection.contains(row) ? "inspection" : hive.contains(row) ? "hive" : "nowhere"))
                .containsExactlyInAnyOrder("inspection", "inspection", "hive", "hive");
        Bounds words = onScreen(robot, ".joined-words");
        assertThat(words.intersects(inspection) || words.intersects(hive)).isFalse();

        choose(robot, "Hive");
        assertThat(robot.lookup(".joined-row").queryAll()).isEmpty();
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#references .label").queryAllAs(Labeled.class))
                .extracting(Labeled::getText)
                .contains("→ queen by queen_ring", "← inspection by hive_apiary_code, hive_stand_no");
    }

    @Test
    void the_dark_set_paints_window_and_sheet_dark(FxRobot robot) {
        openDemo(robot, "alder-valley");
        robot.interact(() -> workspace.darkProperty().set(true));
        WritableImage dark = look(robot);
        assertThat(dark.getPixelReader().getColor(5, 5).getBrightness()).isLessThan(0.25);
        robot.interact(() -> workspace.darkProperty().set(false));
        assertThat(look(robot).getPixelReader().getColor(5, 5).getBrightness()).isGreaterThan(0.9);
    }

    @Test
    void a_fixed_card_stays_where_it_is_when_all_are_tidied_up(FxRobot robot) throws Exception {
        openDemo(robot, "alder-valley");
        chooseAll(robot, "Queen");
        with(robot, KeyCode.ALT, KeyCode.F);
        Position fixed = at("Queen");
        Position free = at("Batch");
        robot.interact(workspace.selection()::chooseNothing);
        click(robot, "#tidy");
        WaitForAsyncUtils.waitFor(20, TimeUnit.SECONDS, () -> !at("Batch").equals(free));

        assertThat(at("Queen")).isEqualTo(fixed);
        chooseAll(robot, "Queen");
        with(robot, KeyCode.ALT, KeyCode.F);
        assertThat(workspace.document().diagram().pinned()).isEmpty();
    }
}
