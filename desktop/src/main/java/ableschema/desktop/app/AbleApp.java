package ableschema.desktop.app;

import ableschema.core.design.IdSource;
import ableschema.core.document.Document;
import ableschema.desktop.workspace.Opened;
import ableschema.desktop.workspace.Workspace;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import javafx.application.Application;
import javafx.stage.Stage;

/** The desktop application on one document. */
public final class AbleApp extends Application {

    private static CompletableFuture<Opened> first = CompletableFuture.completedFuture(Opened.of(Document.EMPTY));
    private static Optional<Path> from = Optional.empty();

    /** Opens the window on a document that has been read, and returns when it is closed. */
    public static void open(Document document, Optional<Path> file) {
        first = CompletableFuture.supplyAsync(() -> Opened.of(document)); // while the window is being made
        from = file;
        launch(AbleApp.class);
    }

    @Override
    public void start(Stage stage) {
        var workspace = new Workspace(Document.EMPTY, IdSource.random());
        var window = new MainWindow(stage, workspace);
        window.show();
        workspace.open(first, from, window::keepChanges);
    }
}
