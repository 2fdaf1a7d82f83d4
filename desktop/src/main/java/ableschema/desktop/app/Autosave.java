package ableschema.desktop.app;

import ableschema.core.document.Document;
import ableschema.core.store.DocumentFile;
import ableschema.core.store.FileProblem;
import ableschema.desktop.workspace.Workspace;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import javafx.animation.PauseTransition;
import javafx.util.Duration;
import org.slf4j.LoggerFactory;

/**
 * Keeps what is not saved yet in a file of its own, a moment after each change. The file goes when the design is saved or
 * the window is closed; one that is found at the start was left by a crash.
 */
public final class Autosave {

    private static final Duration PAUSE = Duration.seconds(1);

    private final Workspace workspace;
    private final Path folder;
    private Optional<Path> kept = Optional.empty();
    private final PauseTransition pause = new PauseTransition(PAUSE);
    private final ExecutorService writing = Executors.newSingleThreadExecutor(work -> {
        var thread = new Thread(work, "able-autosave");
        thread.setDaemon(true);
        return thread;
    });

    /** @param folder where designs that have no file yet are kept; the others are kept beside their file */
    public Autosave(Workspace workspace, Path folder) {
        this.workspace = workspace;
        this.folder = folder;
        pause.setOnFinished(event -> keep());
    }

    static Path usualFolder() {
        return Path.of(System.getProperty("user.home", "."), ".able-schema");
    }

    /** Begins to keep changes. */
    public void begin() {
        workspace.documentProperty().addListener((o, before, now) -> {
            if (workspace.isSaved()) {
                pause.stop();
                forget();
            } else {
                pause.playFromStart();
            }
        });
        workspace.notices().noticeProperty().addListener((o, before, now) -> {
            if (workspace.isSaved()) {
                pause.stop();
                forget();
            }
        });
    }

    /** Where the open design is kept. */
    public Path file() {
        return workspace
                .file()
                .map(path -> path.toAbsolutePath().resolveSibling("." + path.getFileName() + ".unsaved"))
                .orElse(folder.resolve("new" + DocumentFile.ENDING + ".unsaved"));
    }

    private void keep() {
        Path file = file();
        kept = Optional.of(file);
        Document document = workspace.document();
        writing.execute(() -> {
            try {
                Files.createDirectories(file.getParent());
                DocumentFile.write(file, document);
            } catch (FileProblem | IOException e) {
                LoggerFactory.getLogger(Autosave.class).warn("what is not saved could not be kept in {}", file, e);
            }
        });
    }

    /** What a crash left of the open design, where it differs from it; empty for nothing. */
    public Optional<Document> left() {
        Path file = file();
        if (!Files.exists(file)) {
            return Optional.empty();
        }
        try {
            Document left = DocumentFile.read(file);
            String now = DocumentFile.print(workspace.document());
            return Optional.of(left)
                    .filter(document -> !DocumentFile.print(document).equals(now));
        } catch (FileProblem e) {
            LoggerFactory.getLogger(Autosave.class).warn("what a crash left cannot be read", e);
            return Optional.empty();
        }
    }

    /** Takes away what was kept in this run, as it has been saved or is not wanted. */
    public void forget() {
        kept.ifPresent(this::remove);
        kept = Optional.empty();
    }

    /** Takes away what a crash left of the open design. */
    void dropLeft() {
        remove(file());
    }

    private void remove(Path file) {
        writing.execute(() -> {
            try {
                Files.deleteIfExists(file);
            } catch (IOException e) {
                LoggerFactory.getLogger(Autosave.class).warn("{} could not be taken away", file, e);
            }
        });
    }
}
