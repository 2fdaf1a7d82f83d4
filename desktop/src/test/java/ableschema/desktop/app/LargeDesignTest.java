package ableschema.desktop.app;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Attribute;
import ableschema.core.design.Cardinality;
import ableschema.core.design.End;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.Relationship;
import ableschema.core.document.Document;
import ableschema.core.edit.AddEntity;
import ableschema.core.finding.Step;
import ableschema.diagram.LargeDesign;
import ableschema.diagram.picture.View;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** The window with a design of a thousand entities, in the shape of a real schema, answers in every step. */
class LargeDesignTest extends WindowFixture {

    /**
     * In milliseconds of the processor, with code that was never run before. A watch against freezes, which are of another
     * order: what grows with the design takes seconds at this size. How long things take is no matter of a test.
     */
    private static final double FREEZE = 1_500;

    @Start
    void start(Stage stage) {
        open(stage);
    }

    private void settle() throws Exception {
        WaitForAsyncUtils.waitFor(60, TimeUnit.SECONDS, () -> workspace.jobs().isIdle());
        WaitForAsyncUtils.waitForFxEvents();
    }

    @Test
    void no_step_freezes_with_a_thousand_entities(FxRobot robot) throws Exception {
        Map<String, Double> took = walk(robot, LargeDesign.grouped(3, 1000, 8));

        assertThat(took.entrySet())
                .as("milliseconds that the window does not answer")
                .allSatisfy(
                        each -> assertThat(each.getValue()).as(each.getKey()).isLessThan(FREEZE));
    }

    /** What each thing took when it was done first, with all that is worked out for it. */
    private Map<String, Double> walk(FxRobot robot, Document document) throws Exception {
        var took = new LinkedHashMap<String, Double>();
        try (var watch = new WindowWatch()) {
            note(took, watch, robot, "open", () -> workspace.open(document, Optional.empty()));
            Id entity = workspace.design().entities().get(11).id();
            Id other = workspace.design().entities().get(12).id();
            for (Step step : Step.values()) {
                note(took, watch, robot, "go to " + step, () -> workspace
                        .stepProperty()
                        .set(step));
                note(took, watch, robot, "choose in " + step, () -> workspace
                        .selection()
                        .choose(entity));
                note(took, watch, robot, "choose another in " + step, () -> workspace
                        .selection()
                        .choose(other));
                note(took, watch, robot, "rename in " + step, () -> rename(entity));
            }
            sentences(took, watch, robot);
            Id related = workspace.design().relationships().get(3).id();
            note(took, watch, robot, "choose a relationship", () -> workspace
                    .selection()
                    .choose(related));
            otherwise(took, watch, robot, entity);
            note(took, watch, robot, "read as a list", () -> workspace
                    .listedProperty()
                    .set(true));
            note(took, watch, robot, "choose in the list", () -> workspace
                    .selection()
                    .choose(other));
            note(took, watch, robot, "rename in the list", () -> rename(entity));
            note(took, watch, robot, "go to a card", () -> window.goTo(entity));
            note(took, watch, robot, "see it whole", () -> window.sheet().fit());
            for (View view : new View[] {View.TABLES, View.CONCEPT}) {
                note(took, watch, robot, "see it as " + view, () -> workspace
                        .viewProperty()
                        .set(view));
            }
            note(took, watch, robot, "relate", () -> relate(entity, other));
            note(took, watch, robot, "undo", () -> workspace.undo());
            note(took, watch, robot, "add", this::add);
            note(took, watch, robot, "delete", () -> workspace.undo());
        }
        return took;
    }

    private void note(Map<String, Double> took, WindowWatch watch, FxRobot robot, String what, Runnable action)
            throws Exception {
        WaitForAsyncUtils.waitForFxEvents();
        watch.longest();
        robot.interact(action);
        settle();
        took.merge(what, watch.longest(), Math::max);
    }

    private void sentences(Map<String, Double> took, WindowWatch watch, FxRobot robot) throws Exception {
        robot.interact(() -> workspace.stepProperty().set(Step.BRIEF));
        Button sentences = robot.lookup("#brief-sentences").queryButton();
        note(took, watch, robot, "read all sentences", sentences::fire);
        assertThat(robot.lookup("#sentences-list .list-view").queryListView().getItems())
                .hasSizeGreaterThan(2000);
    }

    /** What another type and another key would change, which is worked out over the whole design. */
    private void otherwise(Map<String, Double> took, WindowWatch watch, FxRobot robot, Id entity) throws Exception {
        Id attribute = attribute(entity).id();
        robot.interact(() -> {
            workspace.stepProperty().set(Step.DRAW);
            workspace.selection().choose(attribute);
        });
        WaitForAsyncUtils.waitForFxEvents();
        note(
                took,
                watch,
                robot,
                "unfold before and after in the gloss",
                robot.lookup(".otherwise-handle").queryAs(ButtonBase.class)::fire);
        robot.interact(() -> {
            workspace.stepProperty().set(Step.KEYS);
            workspace.selection().choose(entity);
        });
        WaitForAsyncUtils.waitForFxEvents();
        List<Node> candidates = List.copyOf(robot.lookup(".candidate-head").queryAll());
        robot.interact(() -> candidates.get(candidates.size() - 1).requestFocus());
        robot.type(KeyCode.ENTER);
        ToggleButton fold = robot.lookup("#before-after-fold").queryAs(ToggleButton.class);
        robot.interact(() -> fold.setSelected(false));
        note(took, watch, robot, "unfold before and after of a key", fold::fire);
        assertThat(robot.lookup("#before-after").tryQuery()).isPresent();
    }

    private void rename(Id entity) {
        Attribute attribute = attribute(entity);
        String name = attribute.name().equals("renamed") ? "renamed again" : "renamed";
        workspace.apply(workspace.edits().changeAttribute(attribute.withName(name)));
    }

    private Attribute attribute(Id entity) {
        return workspace
                .design()
                .entity(entity)
                .orElseThrow()
                .body()
                .attributes()
                .get(2);
    }

    private void relate(Id one, Id other) {
        workspace.apply(workspace
                .edits()
                .addRelationship(Relationship.between(
                        workspace.ids().next(IdKind.RELATIONSHIP),
                        new End(one, "holds", Cardinality.EXACTLY_ONE, ""),
                        new End(other, "is held by", Cardinality.ANY_NUMBER, ""))));
    }

    private void add() {
        Entity made = Entity.named(workspace.ids().next(IdKind.ENTITY), "One more");
        workspace.apply(new AddEntity(made, Optional.empty()));
    }
}
