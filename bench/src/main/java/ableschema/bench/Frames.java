package ableschema.bench;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Semaphore;
import java.util.function.Supplier;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.stage.Stage;

/** A window of 1280×800 that does something before each frame and tells when the frame is due to be done again. */
final class Frames {

    private static boolean started;

    private final Semaphore frame = new Semaphore(0);
    private Stage stage;
    private AnimationTimer timer;
    private Runnable step = () -> {};

    /** Opens the window; the scene is made on the window's thread. */
    static Frames open(Supplier<Scene> scene) {
        if (!started) {
            started = true;
            var up = new CountDownLatch(1);
            Platform.startup(up::countDown);
            await(up);
        }
        var frames = new Frames();
        on(() -> {
            Platform.setImplicitExit(false);
            frames.stage = new Stage();
            frames.stage.setScene(scene.get());
            frames.stage.setWidth(1280);
            frames.stage.setHeight(800);
            frames.stage.show();
            frames.timer = new AnimationTimer() {
                @Override
                public void handle(long now) {
                    frames.frame.release();
                    frames.step.run();
                }
            };
        });
        return frames;
    }

    static Scene scene(Parent root) {
        return new Scene(root, 1280, 800);
    }

    /** Has a step done before every frame from now on. */
    void each(Runnable step) {
        on(() -> {
            this.step = step;
            timer.start();
        });
    }

    /** Waits until the next frame begins: a frame begins when the one before is on the screen. */
    void next() throws InterruptedException {
        frame.drainPermits();
        frame.acquire();
    }

    /** Does something once and waits until its frame is on the screen. */
    void once(Runnable action) throws InterruptedException {
        on(action);
        frame.drainPermits();
        frame.acquire(2); // the first frame may have begun before the action
    }

    /** Hides this window, as another is shown; its frames go on. */
    void hide() {
        on(stage::hide);
    }

    void close() {
        on(() -> {
            timer.stop();
            stage.close();
        });
    }

    /** Runs something on the window's thread and waits for it. */
    static void on(Runnable action) {
        var done = new CompletableFuture<Boolean>();
        Platform.runLater(() -> {
            try {
                action.run();
                done.complete(true);
            } catch (RuntimeException e) {
                done.completeExceptionally(e);
            }
        });
        done.join();
    }

    private static void await(CountDownLatch latch) {
        try {
            latch.await();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("interrupted while waiting for the window", e);
        }
    }
}
