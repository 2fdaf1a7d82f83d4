package ableschema.desktop.app;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Attribute;
import ableschema.core.design.Id;
import ableschema.core.design.Relationship;
import ableschema.core.design.Topic;
import ableschema.core.document.Position;
import ableschema.core.edit.ChangeRules;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import ableschema.core.store.DocumentFile;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javafx.geometry.Bounds;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** What is said and corrected beside the sheet and in the rule line, and what is dragged on a card. */
class GlossTest extends WindowFixture {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    private static void commit(FxRobot robot, String query, String text) {
        robot.interact(() -> {
            var field = robot.lookup(query).queryAs(TextInputControl.class);
            field.requestFocus();
            field.setText(text);
        });
        robot.type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
    }

    @Test
    void tab_completes_names_verbs_quantities_and_types(FxRobot robot) {
        drawTwo(robot);
        click(robot, "#rule-line");
        type(robot, "Each hi");
        assertThat(text(robot, "#rule-answer")).startsWith("Tab: hive");
        robot.type(KeyCode.TAB);
        type(robot, "st");
        robot.type(KeyCode.TAB);
        type(robot, "at m");
        robot.type(KeyCode.TAB);
        type(robot, "ap");
        robot.type(KeyCode.TAB);
        TextField line = robot.lookup("#rule-line").queryAs(TextField.class);

        assertThat(line.getText()).isEqualTo("Each hive stands in at most one apiary");
        robot.type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        Relationship only = workspace.design().relationships().get(0);
        assertThat(workspace.design().relationships()).hasSize(1);
        assertThat(only.second().cardinality()).hasToString("0..1");
    }

    private static TextInputControl sentence(FxRobot robot, String beginning) {
        return robot.lookup(".sentence-text").queryAllAs(TextInputControl.class).stream()
                .filter(each -> each.getText().startsWith(beginning))
                .findFirst()
                .orElseThrow(() -> new AssertionError("no sentence begins with " + beginning));
    }

    @Test
    void sentences_of_attributes_and_key_are_reworded_where_they_stand(FxRobot robot) {
        drawTwo(robot);
        choose(robot, "Hive");
        WaitForAsyncUtils.waitForFxEvents();
        Id colour = entity("Hive").body().attribute("colour").orElseThrow().id();
        robot.interact(() -> {
            TextInputControl field = sentence(robot, "Each hive has");
            field.requestFocus();
            field.setText(field.getText().replace("[colour]: text 20", "paint: text 30"));
        });
        robot.type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        Attribute paint = entity("Hive").body().attribute("paint").orElseThrow();
        assertThat(paint.id()).as("renamed, not made anew").isEqualTo(colour);
        assertThat(paint.optional()).isFalse();

        robot.interact(() -> {
            TextInputControl field = sentence(robot, "Each hive has");
            field.requestFocus();
            field.setText("Each hive has paint: txt 30.");
        });
        robot.type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(text(robot, "#rule-answer")).contains("txt");
        assertThat(sentence(robot, "Each hive has").getText())
                .as("stays to be mended")
                .endsWith("txt 30.");
        robot.type(KeyCode.ESCAPE);
        assertThat(sentence(robot, "Each hive has").getText()).contains("paint: text 30");
    }

    @Test
    void a_long_sentence_takes_a_few_lines_until_it_is_edited(FxRobot robot) {
        drawTwo(robot);
        rule(
                robot,
                "Each hive has "
                        + IntStream.rangeClosed(1, 60)
                                .mapToObj(i -> "measure no " + i + ": whole 500")
                                .collect(Collectors.joining(", "))
                        + ".");
        choose(robot, "Hive");
        WaitForAsyncUtils.waitForFxEvents();
        var field = (TextArea) sentence(robot, "Each hive has");

        assertThat(field.getHeight()).isLessThan(120);
        robot.interact(field::requestFocus);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(field.getHeight()).isGreaterThan(400);
    }

    @Test
    void reasons_are_kept_with_entity_key_and_attribute(FxRobot robot) {
        drawTwo(robot);
        choose(robot, "Apiary");
        WaitForAsyncUtils.waitForFxEvents();
        commit(robot, "#reason", "Owners ask for it.");
        commit(robot, "#reason-key", "It is painted on the gate.");
        Id apiary = entity("Apiary").id();
        assertThat(workspace.design().notes().reason(Topic.of(apiary))).isEqualTo("Owners ask for it.");
        assertThat(workspace.design().notes().reason(Topic.keyOf(apiary))).isEqualTo("It is painted on the gate.");

        robot.interact(() -> workspace.apply(
                new ChangeRules(workspace.document().rules().withReasonsInSql(true), "reasons in the SQL")));
        assertThat(workspace.schema().table("apiary").orElseThrow().comment())
                .isEqualTo("Why: Owners ask for it. Key: It is painted on the gate.");
    }

    @Test
    void names_in_the_database_are_held_fast_by_typing_them_and_released_by_emptying(FxRobot robot) {
        drawTwo(robot);
        choose(robot, "Hive");
        WaitForAsyncUtils.waitForFxEvents();
        commit(robot, "#pinned-table", "T_HIVE");
        commit(robot, "#pinned-namespace", "yard");
        commit(robot, "#pinned-key", "PK_HIVE");
        Relationship stands = workspace.design().relationships().get(0);
        robot.interact(() -> workspace.selection().choose(stands.id()));
        WaitForAsyncUtils.waitForFxEvents();
        String end = "-" + (stands.referencedSide().orElseThrow().ordinal() + 1);
        commit(robot, "#pinned-foreign-key" + end, "FK_STANDS");
        commit(robot, "#pinned-index" + end, "IX_STANDS");
        Id colour = entity("Hive").body().attribute("colour").orElseThrow().id();
        robot.interact(() -> workspace.selection().choose(colour));
        WaitForAsyncUtils.waitForFxEvents();
        commit(robot, "#pinned-column", "COL");

        Table hive = workspace.schema().table(new TableName("yard", "T_HIVE")).orElseThrow();
        assertThat(hive.primaryKey().orElseThrow().name()).isEqualTo("PK_HIVE");
        assertThat(hive.foreignKeys()).extracting(ForeignKey::name).containsExactly("FK_STANDS");
        assertThat(hive.indexes()).extracting(Table.TableIndex::name).containsExactly("IX_STANDS");
        assertThat(hive.column("COL")).isPresent();
        commit(robot, "#pinned-column", "");
        assertThat(workspace.schema().table(hive.qualified()).orElseThrow().column("colour"))
                .isPresent();
    }

    @Test
    void a_domain_is_called_by_its_name_where_an_attribute_is_corrected(FxRobot robot) {
        drawTwo(robot);
        rule(robot, "The domain tint holds text 12.");
        Id colour = entity("Hive").body().attribute("colour").orElseThrow().id();
        robot.interact(() -> workspace.selection().choose(colour));
        WaitForAsyncUtils.waitForFxEvents();
        commit(robot, "#attribute-type", "domain tint");

        assertThat(workspace
                        .design()
                        .typeOf(entity("Hive").body().attribute(colour).orElseThrow()))
                .hasToString("text 12");
        assertThat(robot.lookup("#attribute-type").queryAs(TextField.class).getText())
                .isEqualTo("domain tint");
    }

    @Test
    void attributes_kept_as_a_starter_are_given_to_another_entity(FxRobot robot) {
        drawTwo(robot);
        choose(robot, "Apiary");
        WaitForAsyncUtils.waitForFxEvents();
        commit(robot, "#new-starter", "place");
        choose(robot, "Hive");
        WaitForAsyncUtils.waitForFxEvents();
        robot.interact(() -> robot.lookup("#starter-place").queryButton().fire());
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(entity("Hive").body().attributes())
                .extracting(a -> a.name() + ": " + a.type())
                .containsExactly("stand no: whole 500", "colour: text 20", "code: text 6", "name: text 60");
        assertThat(entity("Hive").body().attribute("code"))
                .map(Attribute::id)
                .isNotEqualTo(entity("Apiary").body().attribute("code").map(Attribute::id));

        assertThat(DocumentFile.parse(DocumentFile.print(workspace.document())))
                .as("it can be opened again")
                .isEqualTo(workspace.document());
        robot.interact(() -> robot.lookup("#no-starter-place").queryButton().fire());
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(workspace.document().rules().starters()).isEmpty();
        assertThat(entity("Hive").body().attributes()).hasSize(4);
    }

    @Test
    void a_relationship_becomes_a_kind_and_shares_the_key(FxRobot robot) {
        drawTwo(robot);
        rule(robot, "Each apiary holds any number of gardens; each garden is at exactly one apiary.");
        Relationship garden = workspace.design().relationships().get(1);
        robot.interact(() -> workspace.selection().choose(garden.id()));
        WaitForAsyncUtils.waitForFxEvents();
        robot.interact(() -> robot.lookup("#is-kind").queryAs(CheckBox.class).fire());
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(workspace.design().relationship(garden.id()).orElseThrow().isSubtype())
                .isTrue();
        assertThat(workspace
                        .schema()
                        .table("garden")
                        .orElseThrow()
                        .primaryKey()
                        .orElseThrow()
                        .columns())
                .containsExactly("apiary_code");
        choose(robot, "Apiary");
        WaitForAsyncUtils.waitForFxEvents();
        robot.interact(() ->
                robot.lookup("#what-if-kinds-show").queryAs(Hyperlink.class).fire());
        assertThat(robot.lookup(".alternative").queryAll()).hasSize(2);
    }

    @Test
    void an_attribute_is_dragged_to_another_place_on_its_card(FxRobot robot) {
        openDemo(robot, "alder-valley");
        robot.interact(() -> window.sheet().fit());
        Id note = entity("Inspection").body().attribute("note").orElseThrow().id();
        robot.interact(() -> workspace.selection().choose(note));
        WaitForAsyncUtils.waitForFxEvents();
        Bounds card = onScreen(robot, "#card-inspection");
        double line = 20 * window.sheet().zoom();
        double last = card.getMaxY() - 18 * window.sheet().zoom();
        robot.drag(card.getMinX() + 40, last, MouseButton.PRIMARY)
                .moveBy(0, -1.2 * line)
                .moveBy(0, -0.8 * line)
                .release(MouseButton.PRIMARY);
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(entity("Inspection").body().attributes())
                .extracting(Attribute::name)
                .containsExactly("id", "note", "done at", "strength");
    }

    @Test
    void a_carried_card_keeps_to_the_line_of_another(FxRobot robot) {
        openDemo(robot, "alder-valley");
        robot.interact(() -> window.sheet().fit());
        Position treatment =
                workspace.document().position(entity("Treatment").id()).orElseThrow();
        Position batch = workspace.document().position(entity("Batch").id()).orElseThrow();
        Bounds card = onScreen(robot, "#card-batch");
        double zoom = window.sheet().zoom();
        robot.drag(card.getMinX() + 40, card.getMinY() + 15, MouseButton.PRIMARY)
                .moveBy(-6, 3)
                .moveBy(6, (treatment.y() - batch.y()) * zoom)
                .release(MouseButton.PRIMARY);
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(workspace
                        .document()
                        .position(entity("Batch").id())
                        .orElseThrow()
                        .y())
                .as("the top of Batch on that of Treatment")
                .isEqualTo(treatment.y());
        assertThat(List.copyOf(robot.lookup(".guide").queryAll())).isEmpty();
    }

    @Test
    void the_overview_shows_all_and_brings_a_place_into_view(FxRobot robot) {
        openDemo(robot, "alder-valley");
        robot.interact(() -> window.sheet().zoom(4, 10, 10));
        robot.press(KeyCode.CONTROL).type(KeyCode.M).release(KeyCode.CONTROL);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#overview").query().isVisible()).isTrue();
        Bounds overview = onScreen(robot, "#overview");
        robot.clickOn(overview.getMaxX() - 30, overview.getMaxY() - 30);
        WaitForAsyncUtils.waitForFxEvents();
        Bounds treatment = onScreen(robot, "#card-treatment");
        Bounds sheet = onScreen(robot, "#sheet");
        assertThat(sheet.intersects(treatment)).isTrue();
    }
}
