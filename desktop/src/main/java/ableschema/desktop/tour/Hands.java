package ableschema.desktop.tour;

import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.event.Event;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ButtonBase;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.robot.Robot;

/** Types, clicks and looks in a window from another thread, and waits until the window has answered. */
final class Hands {

    private static final int PATIENCE_SECONDS = 30;

    private final Scene scene;
    private final Robot robot;

    Hands(Scene scene) {
        this.scene = scene;
        this.robot = on(Robot::new);
    }

    /** Asks something on the window's thread. */
    static <T> T on(Supplier<T> question) {
        var answer = new CompletableFuture<T>();
        Platform.runLater(() -> {
            try {
                answer.complete(question.get());
            } catch (RuntimeException e) {
                answer.completeExceptionally(e);
            }
        });
        try {
            return answer.get(PATIENCE_SECONDS, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("the tour was interrupted", e);
        } catch (ExecutionException | TimeoutException e) {
            throw new IllegalStateException("the window did not answer", e);
        }
    }

    /** Does something on the window's thread and waits until it is shown. */
    void act(Runnable action) {
        on(() -> {
            action.run();
            return true;
        });
        settle();
    }

    /** Waits for what the last action has put off, and for the window to be laid out. */
    private void settle() {
        for (int i = 0; i < 3; i++) {
            on(() -> {
                scene.getRoot().applyCss();
                scene.getRoot().layout();
                return true;
            });
        }
    }

    /** Waits until the window says so; an {@link IllegalStateException} if it never does. */
    void await(Supplier<Boolean> done) {
        for (int i = 0; i < 10 * PATIENCE_SECONDS; i++) {
            if (on(done)) {
                settle();
                return;
            }
            try {
                Thread.sleep(100);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new IllegalStateException("the tour was interrupted", e);
            }
        }
        throw new IllegalStateException("what was waited for did not come");
    }

    private Node found(String query) {
        Node node = scene.lookup(query);
        if (node == null) {
            throw new IllegalStateException("there is no " + query + " in the window");
        }
        return node;
    }

    void press(String query) {
        act(() -> {
            if (found(query) instanceof ButtonBase button) {
                button.fire();
            }
        });
    }

    void click(String query, double right, double down) {
        on(() -> {
            Bounds bounds = found(query).localToScreen(found(query).getBoundsInLocal());
            robot.mouseMove(bounds.getMinX() + right, bounds.getMinY() + down);
            robot.mouseClick(MouseButton.PRIMARY);
            return true;
        });
        settle();
    }

    void focus(String query) {
        act(() -> found(query).requestFocus());
    }

    void type(String text) {
        text.codePoints()
                .forEach(letter -> act(() -> {
                    Node target = scene.getFocusOwner();
                    String character = Character.toString(letter);
                    Event.fireEvent(
                            target,
                            new KeyEvent(
                                    KeyEvent.KEY_TYPED, character, "", KeyCode.UNDEFINED, false, false, false, false));
                }));
    }

    void key(KeyCode code) {
        act(() -> {
            for (var kind : List.of(KeyEvent.KEY_PRESSED, KeyEvent.KEY_RELEASED)) {
                Node target = scene.getFocusOwner();
                Event.fireEvent(target, new KeyEvent(kind, "", "", code, false, false, false, false));
            }
        });
    }

    /** The window as it looks now. */
    WritableImage look() {
        settle();
        return on(() -> scene.snapshot(null));
    }
}
