package ableschema.desktop.app;

import ableschema.core.design.IdSource;
import ableschema.core.document.Document;
import ableschema.core.store.FileProblem;
import ableschema.desktop.workspace.Opened;
import ableschema.desktop.workspace.Workspace;
import ableschema.diagram.text.Face;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.stage.Stage;

/**
 * The desktop application on one document. With the system property {@code able.close-when-seen} it ends when its window has
 * shown the document, so that what a start needs can be learned and measured.
 */
public final class AbleApp extends Application {

    private static final int FRAMES = 3;

    private static CompletableFuture<Document> first = CompletableFuture.completedFuture(Document.EMPTY);
    private static Optional<Path> from = Optional.empty();

    /** Reads the document that the window is opened on. */
    @FunctionalInterface
    public interface Reading {
        Document read() throws FileProblem;
    }

    /** Whether the window closes by itself. */
    public static boolean closesWhenSeen() {
        return Boolean.getBoolean("able.close-when-seen");
    }

    /**
     * Opens the window on a document, which is read while the window is being made, and returns when it is closed.
     *
     * @throws FileProblem where it cannot be read, and no window was shown
     * @throws UnsupportedOperationException where there is no display
     */
    public static void open(Reading reading, Optional<Path> file) throws FileProblem {
        first = CompletableFuture.supplyAsync(() -> {
            Face.values(); // the shipped letters, which the window wants at once
            try {
                return reading.read();
            } catch (FileProblem e) {
                throw new CompletionException(e);
            }
        });
        from = file;
        try {
            launch(AbleApp.class);
        } finally {
            sayUnread(); // what is wrong with the file comes before what is wrong with the display
        }
    }

    private static void sayUnread() throws FileProblem {
        try {
            first.join();
        } catch (CompletionException e) {
            if (e.getCause() instanceof FileProblem problem) {
                throw problem;
            }
            throw e;
        }
    }

    @Override
    public void start(Stage stage) {
        CompletableFuture<Opened> seen = first.thenApplyAsync(Opened::toBeSeen);
        var workspace = new Workspace(Document.EMPTY, IdSource.random());
        var window = new MainWindow(stage, workspace);
        if (first.handle((read, problem) -> problem != null).join()) {
            Platform.exit(); // said where the command ends
            return;
        }
        window.show();
        workspace.open(seen, from, closesWhenSeen() ? AbleApp::closeWhenSeen : window::keepChanges);
    }

    private static void closeWhenSeen() {
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
