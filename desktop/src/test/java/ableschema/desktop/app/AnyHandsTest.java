package ableschema.desktop.app;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Id;
import ableschema.core.finding.Step;
import ableschema.core.store.DocumentFile;
import ableschema.diagram.picture.View;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import javafx.event.Event;
import javafx.event.EventType;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBox;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.stage.Stage;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** Hands that press, choose and type whatever is there: nothing fails, and what they leave can be saved and opened again. */
class AnyHandsTest extends WindowFixture {

    private static final int ACTIONS = 100;
    private static final int BETWEEN_SAVES = 20;

    private static final List<String> TYPED = List.of(
            "Each boat has a name.",
            "date",
            "text 20",
            "-1",
            "'",
            "\"",
            "yes",
            "2027-04-11",
            "é🐝",
            "one of a, b",
            "key");

    private static final List<KeyCode> KEYS = List.of(
            KeyCode.ENTER,
            KeyCode.TAB,
            KeyCode.ESCAPE,
            KeyCode.UP,
            KeyCode.DOWN,
            KeyCode.LEFT,
            KeyCode.RIGHT,
            KeyCode.DELETE,
            KeyCode.BACK_SPACE,
            KeyCode.F2,
            KeyCode.SPACE,
            KeyCode.HOME,
            KeyCode.END,
            KeyCode.F6,
            KeyCode.F1);

    private static final List<KeyCode> COMMANDS = List.of(
            KeyCode.Z, KeyCode.Y, KeyCode.A, KeyCode.D, KeyCode.C, KeyCode.V, KeyCode.X, KeyCode.M, KeyCode.DOWN);

    private final List<String> done = new ArrayList<>();
    private final List<Throwable> failures = new ArrayList<>();
    private Random random = new Random(0);

    @Start
    void start(Stage stage) {
        open(stage);
    }

    private <T> T any(List<T> of) {
        return of.get(random.nextInt(of.size()));
    }

    @ParameterizedTest
    @ValueSource(longs = 1)
    void whatever_they_do_nothing_fails_and_all_can_be_opened_again(long seed, FxRobot robot) {
        openDemo(robot, "alder-valley");
        random = new Random(seed);
        robot.interact(() -> Thread.currentThread().setUncaughtExceptionHandler((thread, e) -> note(e)));
        for (int i = 1; i <= ACTIONS; i++) {
            robot.interact(() -> {
                try {
                    done.add(act());
                } catch (RuntimeException e) {
                    note(e);
                }
            });
            WaitForAsyncUtils.waitForFxEvents(1);
            assertThat(failures).as(String.join(", ", done)).isEmpty();
            if (i % BETWEEN_SAVES == 0) {
                String saved = DocumentFile.print(workspace.document());
                assertThat(DocumentFile.print(DocumentFile.parse(saved)))
                        .as(String.join(", ", done))
                        .isEqualTo(saved);
            }
        }
    }

    /** Without a monitor there is no dialog that asks for a file. */
    private void note(Throwable e) {
        if (!(e instanceof UnsupportedOperationException)) {
            failures.add(e);
        }
    }

    private String act() {
        switch (random.nextInt(10)) {
            case 0 -> {
                workspace.stepProperty().set(any(List.of(Step.values())));
                return "go to " + workspace.stepProperty().get();
            }
            case 1 -> {
                workspace.viewProperty().set(any(List.of(View.values())));
                return "view";
            }
            case 2 -> {
                List<Id> all = Stream.concat(
                                workspace.design().entities().stream().map(each -> each.id()),
                                workspace.design().relationships().stream().map(each -> each.id()))
                        .toList();
                if (!all.isEmpty()) {
                    workspace.selection().choose(any(all));
                }
                return "choose";
            }
            case 3, 4, 5 -> {
                return press(any(within(window.scene().getRoot())));
            }
            case 6 -> {
                String text = any(TYPED);
                text.codePoints()
                        .mapToObj(Character::toString)
                        .forEach(letter -> fire(KeyEvent.KEY_TYPED, letter, KeyCode.UNDEFINED, false));
                fire(KeyEvent.KEY_PRESSED, "", KeyCode.ENTER, false);
                return "type " + text;
            }
            default -> {
                boolean command = random.nextInt(3) == 0;
                KeyCode code = any(command ? COMMANDS : KEYS);
                fire(KeyEvent.KEY_PRESSED, "", code, command);
                fire(KeyEvent.KEY_RELEASED, "", code, command);
                return (command ? "command " : "") + code;
            }
        }
    }

    private String press(Node node) {
        node.requestFocus();
        if (node instanceof ButtonBase button) {
            button.fire();
        } else if (node instanceof ComboBox<?> choice && !choice.getItems().isEmpty()) {
            choice.getSelectionModel().select(random.nextInt(choice.getItems().size()));
        }
        return "press " + node.getClass().getSimpleName() + " " + node.getId();
    }

    private static List<Node> within(Node node) {
        if (!node.isVisible() || node.isDisabled()) {
            return List.of();
        }
        var all = new ArrayList<Node>();
        if (node.isFocusTraversable()) {
            all.add(node);
        }
        if (node instanceof Parent parent) {
            List.copyOf(parent.getChildrenUnmodifiable()).forEach(child -> all.addAll(within(child)));
        }
        return all;
    }

    private void fire(EventType<KeyEvent> type, String letter, KeyCode code, boolean command) {
        Node focused = window.scene().getFocusOwner();
        Event.fireEvent(
                focused == null ? window.scene().getRoot() : focused,
                new KeyEvent(type, letter, "", code, false, command, false, false));
    }
}
