package ableschema.bench;

import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.stage.Stage;

/** A process that ends when its window, which holds a single word, has shown a few frames. */
public final class WordWindow extends Application {

    private static final int FRAMES = 3; // as many as the application shows

    public static void main(String[] arguments) {
        launch(WordWindow.class);
    }

    @Override
    public void start(Stage stage) {
        stage.setScene(new Scene(new Label("one word"), 1280, 800));
        stage.show();
        new AnimationTimer() {
            private int frames;

            @Override
            public void handle(long now) {
                frames++;
                if (frames == FRAMES) {
                    Runtime.getRuntime().halt(0); // without what is done when a window is closed
                }
            }
        }.start();
    }
}
