package ableschema.cli;

import ableschema.core.design.IdSource;
import ableschema.core.document.Detail;
import ableschema.core.document.Document;
import ableschema.core.rows.DesignScript;
import ableschema.core.sql.Script;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.store.DocumentFile;
import ableschema.core.store.FileProblem;
import ableschema.core.store.SafeFile;
import ableschema.desktop.app.MainWindow;
import ableschema.desktop.tour.Tour;
import ableschema.desktop.workspace.Workspace;
import ableschema.diagram.export.PictureFile;
import ableschema.diagram.export.Print;
import ableschema.diagram.layout.AutoLayout;
import ableschema.diagram.picture.Picture;
import ableschema.diagram.picture.PictureMaker;
import ableschema.diagram.picture.View;
import ableschema.engine.BuiltInEngine;
import ableschema.engine.ScriptRun;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import javafx.application.Platform;
import javafx.stage.Stage;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** {@code able demo}: the whole example from end to end; its pictures, SQL and documents are left in a folder. */
@Command(
        name = "demo",
        description = "Shows the whole example and leaves its pictures, SQL and documents in a folder.",
        mixinStandardHelpOptions = true)
final class DemoCommand implements Callable<Integer> {

    @Option(names = "-o", paramLabel = "FOLDER", description = "Where to leave them; ${DEFAULT-VALUE} if not said.")
    private Path folder = Path.of("able-demo");

    @Spec
    private CommandSpec spec = CommandSpec.create();

    @Override
    public Integer call() throws FileProblem, SQLException {
        Document worked = Demo.WORKED.read();
        Document fieldLog = Demo.FIELD_LOG.read();
        makeFolder();
        say("driving the window " + (Window.isOffscreen() ? "offscreen" : "on your display")
                + " through the example; this takes about half a minute ...");
        Tour.Left left = tour(worked, fieldLog);
        Document apart = left.takenApart();
        boolean accepted = writeSql("alder-valley", worked) & writeSql("field-log-taken-apart", apart);
        writePictures(worked);
        DocumentFile.write(folder.resolve("field-log-taken-apart" + DocumentFile.ENDING), apart);
        DocumentFile.write(folder.resolve("inherited-mended" + DocumentFile.ENDING), left.mended());
        spec.commandLine().getOut().println(folder.toAbsolutePath().normalize());
        return accepted ? Exit.DONE : Exit.ERRORS;
    }

    private void say(String text) {
        PrintWriter err = spec.commandLine().getErr();
        err.println("able: " + text);
        err.flush();
    }

    private void makeFolder() throws FileProblem {
        try {
            Files.createDirectories(folder);
        } catch (IOException e) {
            throw FileProblem.writing(folder, e);
        }
    }

    private Tour.Left tour(Document worked, Document fieldLog) throws FileProblem {
        var opened = new CompletableFuture<Tour>();
        Platform.startup(() -> {
            var workspace = new Workspace(Document.EMPTY, IdSource.seeded(2027));
            var window = new MainWindow(new Stage(), workspace);
            window.show();
            new Thread(() -> opened.complete(new Tour(workspace, window, folder)), "able-tour").start();
        });
        try {
            return opened.get().run(worked, fieldLog, Demo.inherited());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("the demo was interrupted", e);
        } catch (ExecutionException e) {
            throw new IllegalStateException("the window could not be opened", e);
        }
    }

    /** Writes the SQL for every dialect and puts it to the engines that are built in; says what each answered. */
    private boolean writeSql(String name, Document document) throws FileProblem, SQLException {
        boolean accepted = true;
        for (Dialect dialect : Dialects.ALL) {
            Script script = DesignScript.withRows(document.mapping(), dialect);
            SafeFile.write(folder.resolve(name + "-" + dialect.name() + ".sql"), script.text());
            for (BuiltInEngine engine : BuiltInEngine.ALL) {
                accepted &= engine.dialect() != dialect || isAccepted(name, script, engine);
            }
        }
        return accepted;
    }

    private boolean isAccepted(String name, Script script, BuiltInEngine engine) throws SQLException {
        try (Connection connection = engine.open()) {
            ScriptRun run = ScriptRun.of(script, connection);
            say(name + " on " + engine.dialect() + ": "
                    + run.refusal()
                            .map(refusal -> "refused, " + refusal.reason())
                            .orElse(run.accepted() + " statements accepted, rows included"));
            return run.refusal().isEmpty();
        }
    }

    private void writePictures(Document document) throws FileProblem {
        Document placed = AutoLayout.completed(document);
        for (View view : View.values()) {
            Picture picture = PictureMaker.of(placed, view, placed.diagram().notation());
            String name = view == View.CONCEPT ? "alder-valley-concept.svg" : "alder-valley-tables.svg";
            SafeFile.write(folder.resolve(name), PictureFile.svg(Print.of(document, picture, Detail.EVERYTHING)));
        }
    }
}
