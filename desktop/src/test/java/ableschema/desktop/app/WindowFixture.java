package ableschema.desktop.app;

import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.IdSource;
import ableschema.core.document.Document;
import ableschema.core.store.DocumentFile;
import ableschema.core.store.FileProblem;
import ableschema.desktop.workspace.Workspace;
import java.nio.file.Path;
import java.util.Optional;
import javafx.event.Event;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import org.fxmisc.richtext.StyleClassedTextArea;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.util.WaitForAsyncUtils;

/** An open window on an empty design, and hands to use it with. */
@ExtendWith(ApplicationExtension.class)
abstract class WindowFixture {

    Workspace workspace = new Workspace(Document.EMPTY, IdSource.seeded(1));
    MainWindow window;

    /** Called by each test class itself, since TestFX looks for the start only there. */
    void open(Stage stage) {
        workspace = new Workspace(Document.EMPTY, IdSource.seeded(1));
        window = new MainWindow(stage, workspace);
        window.show();
    }

    /** Opens one of the demo's files. */
    void openDemo(FxRobot robot, String name) {
        robot.interact(() -> {
            try {
                workspace.open(DocumentFile.read(Path.of("../demo/" + name + ".able.json")), Optional.empty());
            } catch (FileProblem e) {
                throw new AssertionError(e);
            }
        });
        WaitForAsyncUtils.waitForFxEvents();
    }

    /** Clicks on each in turn, with a real press of the mouse, but without its way there pixel by pixel. */
    static FxRobot click(FxRobot robot, String... queries) {
        for (String query : queries) {
            robot.robotContext().getBaseRobot().moveMouse(robot.point(query).query());
            robot.clickOn(MouseButton.PRIMARY);
        }
        return robot;
    }

    static void enter(FxRobot robot, String text) {
        type(robot, text);
        robot.type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
    }

    /** Types into whatever has the focus, letter by letter but without the pauses of a person. */
    static void type(FxRobot robot, String text) {
        robot.interact(() -> text.codePoints().mapToObj(Character::toString).forEach(letter -> {
            Node target = robot.targetWindow().getScene().getFocusOwner();
            Event.fireEvent(
                    target,
                    new KeyEvent(KeyEvent.KEY_TYPED, letter, "", KeyCode.UNDEFINED, false, false, false, false));
        }));
    }

    void rule(FxRobot robot, String text) {
        click(robot, "#rule-line");
        enter(robot, text);
    }

    Entity entity(String name) {
        return workspace.design().entity(name).orElseThrow(() -> new AssertionError("no entity " + name));
    }

    void choose(FxRobot robot, String name) {
        Id id = entity(name).id();
        robot.interact(() -> workspace.selection().choose(id));
    }

    static String text(FxRobot robot, String query) {
        return robot.lookup(query).queryAs(Labeled.class).getText();
    }

    static String sql(FxRobot robot, String query) {
        WaitForAsyncUtils.waitForFxEvents();
        return robot.lookup(query).queryAs(StyleClassedTextArea.class).getText();
    }

    void drawTwo(FxRobot robot) {
        click(robot, "#sheet");
        WaitForAsyncUtils.waitForFxEvents();
        enter(robot, "Apiary");
        enter(robot, "code: text 6 (key)");
        enter(robot, "name: text 60");
        robot.type(KeyCode.ESCAPE);
        rule(robot, "Each hive stands in exactly one apiary; each apiary shelters any number of hives.");
        rule(robot, "Each hive has stand no: whole 500 (key), [colour]: text 20.");
    }

    static Bounds onScreen(FxRobot robot, String query) {
        Node node = robot.lookup(query).query();
        return node.localToScreen(node.getBoundsInLocal());
    }
}
