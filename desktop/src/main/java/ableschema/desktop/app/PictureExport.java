package ableschema.desktop.app;

import ableschema.core.document.Document;
import ableschema.core.store.SafeFile;
import ableschema.desktop.workspace.Workspace;
import ableschema.diagram.export.PictureFile;
import ableschema.diagram.export.Print;
import ableschema.diagram.layout.AutoLayout;
import ableschema.diagram.picture.PictureMaker;
import ableschema.diagram.picture.View;
import java.io.ByteArrayInputStream;
import java.io.File;
import java.nio.file.Path;
import java.util.Locale;
import java.util.function.Consumer;
import javafx.scene.image.Image;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.stage.FileChooser;
import javafx.stage.Window;

/** Gives the picture in view to others: as a file, or on the clipboard. */
public final class PictureExport {

    private static final String JOB = "writing the picture";

    private final Workspace workspace;
    private final Window window;

    PictureExport(Workspace workspace, Window window) {
        this.workspace = workspace;
        this.window = window;
    }

    void choose() {
        var chooser = new FileChooser();
        for (String ending : PictureFile.ENDINGS) {
            chooser.getExtensionFilters()
                    .add(new FileChooser.ExtensionFilter(ending.substring(1).toUpperCase(Locale.ROOT), "*" + ending));
        }
        chooser.setInitialFileName(workspace.called() + PictureFile.ENDINGS.get(0));
        File chosen = chooser.showSaveDialog(window);
        if (chosen != null) {
            write(chosen.toPath());
        }
    }

    /** Writes the picture in the format that the name ends with; says why if it cannot, and then nothing was changed. */
    public void write(Path file) {
        if (PictureFile.ENDINGS.stream().noneMatch(file.toString().toLowerCase(Locale.ROOT)::endsWith)) {
            workspace
                    .notices()
                    .complain("the name of a picture ends in " + String.join(", ", PictureFile.ENDINGS) + "; "
                            + file.getFileName() + " was not written");
            return;
        }
        make(
                print -> {
                    byte[] bytes = PictureFile.named(file, print).orElseThrow(); // the name was looked at before
                    SafeFile.write(file, bytes);
                    return bytes.length;
                },
                written -> workspace.notices().say("the picture was written to " + file.getFileName()));
    }

    /** Puts the picture on the clipboard, to be pasted into a text or a message. */
    public void copy() {
        make(PictureFile::png, png -> {
            var content = new ClipboardContent();
            content.putImage(new Image(new ByteArrayInputStream(png)));
            Clipboard.getSystemClipboard().setContent(content);
            workspace.notices().say("the picture was copied");
        });
    }

    private interface Making<T> {
        T from(Print print) throws Exception;
    }

    private <T> void make(Making<T> making, Consumer<T> done) {
        Document document = workspace.document();
        View view = workspace.viewProperty().get();
        workspace
                .jobs()
                .run(
                        JOB,
                        progress -> making.from(Print.of(
                                document,
                                PictureMaker.of(
                                        AutoLayout.completed(document),
                                        view,
                                        document.diagram().notation()),
                                document.diagram().detail())),
                        () -> true,
                        done,
                        failure -> workspace.notices().complain(String.valueOf(failure.getMessage())));
    }
}
