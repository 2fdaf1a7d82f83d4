package ableschema.bench;

import ableschema.core.design.IdSource;
import ableschema.core.document.Document;
import ableschema.core.store.DocumentFile;
import ableschema.core.store.FileProblem;
import ableschema.desktop.app.MainWindow;
import ableschema.desktop.workspace.Opened;
import ableschema.desktop.workspace.Workspace;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.stage.Stage;

/** A process that ends when its window has shown a few frames: the application's with a design, or one with a single word. */
public final class StartedWindow extends Application {

    private static final int FRAMES = 3;

    private static Optional<CompletableFuture<Opened>> design = Optional.empty();

    /** @param arguments the design's file; none for a window with a single word */
    public static void main(String[] arguments) throws FileProblem {
        for (String file : List.of(arguments)) {
            Document read = DocumentFile.read(Path.of(file));
            design = Optional.of(CompletableFuture.supplyAsync(() -> Opened.of(read)));
        }
        launch(StartedWindow.class);
    }

    @Override
    public void start(Stage stage) {
        if (design.isEmpty()) {
            stage.setScene(new Scene(new Label("one word"), 1280, 800));
            stage.show();
            endWhenSeen();
            return;
        }
        var workspace = new Workspace(Document.EMPTY, IdSource.random());
        new MainWindow(stage, workspace).show();
        workspace.open(design.get(), Optional.empty(), StartedWindow::endWhenSeen);
    }

    private static void endWhenSeen() {
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
