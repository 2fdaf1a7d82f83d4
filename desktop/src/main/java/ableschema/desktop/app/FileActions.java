package ableschema.desktop.app;

import ableschema.core.document.Document;
import ableschema.core.store.DocumentFile;
import ableschema.core.store.FileProblem;
import ableschema.desktop.workspace.Workspace;
import java.io.File;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.Alert;
import javafx.scene.control.ButtonBar;
import javafx.scene.control.ButtonType;
import javafx.stage.FileChooser;
import javafx.stage.Window;

/** Opening, saving and beginning anew, without losing what is not saved. */
public final class FileActions {

    private final Workspace workspace;
    private final Window window;
    private Runnable opened = () -> {};

    FileActions(Workspace workspace, Window window) {
        this.workspace = workspace;
        this.window = window;
    }

    /** Reads a file to put it in place of what is open; says why if it cannot, and then nothing changes. */
    public boolean open(Path file) {
        try {
            workspace.open(DocumentFile.read(file), Optional.of(file), () -> {
                workspace.notices().say("opened " + file.getFileName());
                opened.run();
            });
            return true;
        } catch (FileProblem e) {
            workspace.notices().complain(String.valueOf(e.getMessage()));
            return false;
        }
    }

    /** Has something done each time when a file has been opened. */
    void onOpened(Runnable action) {
        opened = action;
    }

    void chooseAndOpen() {
        if (mayLeave()) {
            File chosen = chooser().showOpenDialog(window);
            if (chosen != null) {
                open(chosen.toPath());
            }
        }
    }

    /** Asks for a file of SQL; what is not saved is asked about once it is read. */
    void chooseSql(Consumer<Path> reading) {
        var chooser = new FileChooser();
        chooser.getExtensionFilters()
                .addAll(
                        new FileChooser.ExtensionFilter("SQL", "*.sql", "*.ddl", "*.txt", "*.dump"),
                        new FileChooser.ExtensionFilter("any file", "*"));
        File chosen = chooser.showOpenDialog(window);
        if (chosen != null) {
            reading.accept(chosen.toPath());
        }
    }

    void begin() {
        if (mayLeave()) {
            workspace.open(Document.EMPTY, Optional.empty());
        }
    }

    /** Saves to the file it came from, or asks for one. */
    boolean save() {
        return workspace.file().map(this::saveAs).orElseGet(this::chooseAndSave);
    }

    boolean chooseAndSave() {
        FileChooser chooser = chooser();
        chooser.setInitialFileName("design" + DocumentFile.ENDING);
        File chosen = chooser.showSaveDialog(window);
        return chosen != null && saveAs(withEnding(chosen.toPath()));
    }

    private static Path withEnding(Path file) {
        return file.toString().endsWith(DocumentFile.ENDING)
                ? file
                : file.resolveSibling(file.getFileName() + DocumentFile.ENDING);
    }

    /** Writes the document; says why if it cannot, and then the file is as it was. */
    public boolean saveAs(Path file) {
        try {
            DocumentFile.write(file, workspace.document());
            workspace.saved(file);
            return true;
        } catch (FileProblem e) {
            workspace.notices().complain(String.valueOf(e.getMessage()));
            return false;
        }
    }

    private static FileChooser chooser() {
        var chooser = new FileChooser();
        chooser.getExtensionFilters()
                .add(new FileChooser.ExtensionFilter("Able Schema design", "*" + DocumentFile.ENDING));
        return chooser;
    }

    /** Asks what to do with changes that are not saved; says whether the document may be left. */
    boolean mayLeave() {
        if (workspace.isSaved()) {
            return true;
        }
        var save = new ButtonType("Save", ButtonBar.ButtonData.YES);
        var leave = new ButtonType("Leave without saving", ButtonBar.ButtonData.NO);
        var stay = new ButtonType("Stay", ButtonBar.ButtonData.CANCEL_CLOSE);
        var question = new Alert(Alert.AlertType.NONE, "The design has changes that are not saved.", save, leave, stay);
        question.initOwner(window);
        question.setTitle("Able Schema");
        ButtonType answer = question.showAndWait().orElse(stay);
        return answer == leave || (answer == save && save());
    }
}
