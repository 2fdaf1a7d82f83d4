package ableschema.desktop.tour;

import ableschema.core.design.Entity;
import ableschema.core.document.Document;
import ableschema.core.finding.Step;
import ableschema.core.store.FileProblem;
import ableschema.core.store.SafeFile;
import ableschema.desktop.app.MainWindow;
import ableschema.desktop.workspace.Workspace;
import ableschema.diagram.picture.View;
import java.nio.file.Path;
import java.util.Optional;
import javafx.scene.input.KeyCode;

/**
 * The whole example in the window: two entities drawn and related, the worked design with its tables, keys, rows and SQL,
 * and the field log taken apart. Leaves a picture of each stage in a folder.
 */
public final class Tour {

    private final Workspace workspace;
    private final MainWindow window;
    private final Hands hands;
    private final Path folder;
    private int stage;

    public Tour(Workspace workspace, MainWindow window, Path folder) {
        this.workspace = workspace;
        this.window = window;
        this.hands = new Hands(window.scene());
        this.folder = folder;
    }

    /** The designs that the stages leave: the field log taken apart, and the inherited database with its first faults mended. */
    public record Left(Document takenApart, Document mended) {}

    /**
     * Goes through all stages, from a thread that is not the window's.
     *
     * @param inherited a file of SQL
     */
    public Left run(Document worked, Document fieldLog, Path inherited) throws FileProblem {
        drawFromNothing();
        showWorked(worked);
        Document takenApart = takeApart(fieldLog);
        return new Left(takenApart, readInherited(inherited));
    }

    /** Old SQL is dropped on the window, looked at, reviewed, and what looks like a reference made one that is checked. */
    private Document readInherited(Path inherited) throws FileProblem {
        open(Document.EMPTY);
        hands.act(() -> window.drop(inherited));
        hands.await(() -> workspace.jobs().running().isEmpty()
                && !workspace.design().entities().isEmpty());
        look("read-sql");
        hands.press("#close-read");
        hands.act(() -> window.sheet().fit());
        look("inherited");
        go(Step.REVIEW);
        look("inherited-review");
        hands.act(this::declareReferences);
        go(Step.DRAW);
        hands.act(workspace.selection()::chooseNothing);
        hands.press("#tidy");
        hands.await(() -> workspace.jobs().running().isEmpty());
        hands.act(() -> window.sheet().fit());
        look("inherited-mended");
        return Hands.on(workspace::document);
    }

    /** One after the other, since each changes what the next is about. */
    private void declareReferences() {
        for (int left = workspace.review().open().size(); left > 0; left--) {
            workspace.review().open().stream()
                    .filter(finding -> finding.rule().id().equals("undeclared-reference"))
                    .findFirst()
                    .flatMap(finding -> finding.remedies().stream().findFirst())
                    .ifPresent(remedy -> workspace.apply(remedy.edit(workspace.design(), workspace.ids())));
        }
    }

    private void drawFromNothing() throws FileProblem {
        open(Document.EMPTY);
        hands.click("#sheet", 60, 80);
        hands.type("Apiary");
        hands.key(KeyCode.ENTER);
        hands.type("code: text 6 (key)");
        hands.key(KeyCode.ENTER);
        hands.type("name: text 60");
        hands.key(KeyCode.ENTER);
        hands.key(KeyCode.ESCAPE);
        hands.focus("#rule-line");
        hands.type("Each hive stands in exactly one apiary; each apiary shelters any number of hives.");
        hands.key(KeyCode.ENTER);
        hands.type("Each hive has stand no: whole 500 (key), [colour]: text 20, set up on: date.");
        look("draw-from-nothing");
        hands.key(KeyCode.ENTER);
        hands.type("A hive is a thing.");
        hands.key(KeyCode.ENTER);
        hands.act(() -> window.sheet().fit());
        look("two-entities");
    }

    private void showWorked(Document worked) throws FileProblem {
        open(worked);
        choose("Hive");
        look("draw");
        showAround();
        hands.act(() -> workspace.viewProperty().set(View.TABLES));
        hands.act(() -> window.sheet().fit());
        hands.act(() -> workspace.design().relationships().stream()
                .filter(r -> r.first().verb().equals("is looked at in"))
                .findFirst()
                .ifPresent(r -> workspace.selection().choose(r.id())));
        look("tables");
        choose("Hive");
        hands.act(() -> workspace.viewProperty().set(View.CONCEPT));
        go(Step.ROWS);
        look("rows");
        go(Step.DRAW);
        hands.act(() -> workspace.listedProperty().set(true));
        choose("Inspection");
        hands.act(() -> workspace
                .design()
                .entity("Inspection")
                .flatMap(each -> each.body().attribute("strength"))
                .ifPresent(each -> workspace.selection().choose(each.id())));
        look("list");
        hands.act(() -> workspace.listedProperty().set(false));
        choose("Inspection");
        go(Step.KEYS);
        look("keys");
        choose("Hive");
        go(Step.SQL);
        look("sql");
    }

    /** The beginning, the sentences, one relationship with what else it could be, finding by name, and dark paper. */
    private void showAround() throws FileProblem {
        hands.act(() -> workspace.design().relationships().stream()
                .findFirst()
                .ifPresent(r -> workspace.selection().choose(r.id())));
        hands.press("#what-if-show");
        look("what-if");
        hands.act(workspace.selection()::chooseNothing);
        go(Step.BRIEF);
        look("brief");
        hands.press("#brief-sentences");
        look("sentences");
        hands.press("#brief-begin");
        go(Step.DRAW);
        hands.act(() -> window.actions().all().get(0).run().run());
        hands.type("known");
        look("find");
        hands.key(KeyCode.ENTER);
        hands.act(() -> workspace.darkProperty().set(true));
        look("dark");
        hands.act(() -> workspace.darkProperty().set(false));
        hands.act(() -> window.sheet().fit());
        choose("Hive");
    }

    private Document takeApart(Document fieldLog) throws FileProblem {
        open(fieldLog);
        choose("Field log");
        go(Step.FORMS);
        look("normal-forms");
        go(Step.REVIEW);
        look("review");
        go(Step.FORMS);
        hands.press("#decompose");
        go(Step.DRAW);
        hands.act(workspace.selection()::chooseNothing);
        hands.act(() -> window.sheet().fit());
        look("taken-apart");
        return Hands.on(workspace::document);
    }

    private void open(Document document) {
        hands.act(() -> {
            workspace.stepProperty().set(Step.DRAW);
            workspace.open(document, Optional.empty());
            window.sheet().fit();
        });
    }

    private void choose(String entity) {
        hands.act(() -> workspace.design().entity(entity).map(Entity::id).ifPresent(workspace.selection()::choose));
    }

    private void go(Step step) {
        hands.act(() -> workspace.stepProperty().set(step));
    }

    private void look(String name) throws FileProblem {
        stage++;
        SafeFile.write(folder.resolve(stage + "-" + name + ".png"), Screenshot.png(hands.look()));
    }
}
