package ableschema.desktop.app;

import ableschema.core.design.Id;
import ableschema.core.document.Detail;
import ableschema.core.document.Document;
import ableschema.core.edit.ChangeRules;
import ableschema.core.finding.Step;
import ableschema.core.store.DocumentFile;
import ableschema.desktop.actions.Actions;
import ableschema.desktop.brief.BriefBench;
import ableschema.desktop.controls.Late;
import ableschema.desktop.find.FindView;
import ableschema.desktop.find.ShortcutSheet;
import ableschema.desktop.forms.FormsBench;
import ableschema.desktop.gloss.GlossView;
import ableschema.desktop.keys.KeysBench;
import ableschema.desktop.list.ListBench;
import ableschema.desktop.marks.FxFonts;
import ableschema.desktop.read.ConnectSheet;
import ableschema.desktop.read.PartsOffer;
import ableschema.desktop.read.ReadSummary;
import ableschema.desktop.read.SqlImport;
import ableschema.desktop.review.ReviewBench;
import ableschema.desktop.route.RouteView;
import ableschema.desktop.rows.RowsBench;
import ableschema.desktop.rows.RowsGrid;
import ableschema.desktop.rule.RuleLineView;
import ableschema.desktop.sheet.SheetView;
import ableschema.desktop.sql.SqlBench;
import ableschema.desktop.workspace.Workspace;
import ableschema.diagram.picture.View;
import java.nio.file.Path;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;

/** The window: the route at the left, the step's work in the middle, the gloss at the right, the rule line at the foot. */
public final class MainWindow {

    private final Stage stage;
    private final Workspace workspace;
    private final FileActions files;
    private final Autosave autosave;
    private final SheetView sheet;
    private final RowsGrid rows;
    private final SheetHeader header;
    private final Actions actions = new Actions();
    private final StackPane layers = new StackPane();
    private final RecoveryBar recovery;
    private final Map<Step, Node> benches = new EnumMap<>(Step.class);
    private final PictureExport pictures;
    private final SqlImport sql;
    private final Late<SqlBench> script;
    private final Folding route;
    private final Folding gloss;
    private final Scene scene;

    public MainWindow(Stage stage, Workspace workspace) {
        FxFonts.register();
        this.stage = stage;
        this.workspace = workspace;
        this.files = new FileActions(workspace, stage);
        this.autosave = new Autosave(workspace, Autosave.usualFolder());
        this.sheet = new SheetView(workspace);
        this.rows = new RowsGrid(workspace);
        this.header = new SheetHeader(workspace, sheet);
        this.recovery = new RecoveryBar(workspace, autosave);
        this.pictures = new PictureExport(workspace, stage);
        this.script = new Late<>(() -> new SqlBench(workspace));
        this.sql = new SqlImport(workspace, files::mayLeave, this::showRead);
        sheet.onSql(sql::paste);
        Node middle = middle();
        this.route = new Folding(new RouteView(workspace, benches.keySet()), true, "route");
        this.gloss = new Folding(new GlossView(workspace), false, "gloss");
        this.scene = new Scene(new Region(), 1280, 800);
        scene.getStylesheets()
                .add(Objects.requireNonNull(MainWindow.class.getResource("able.css"), "able.css")
                        .toExternalForm());
        scene.setRoot(layers(middle)); // now that its style is known, so that it is styled once
        listActions();
        actions.installIn(scene);
        scene.getAccelerators().put(KeyCombination.valueOf("Shortcut+Y"), workspace::redo);
        workspace
                .darkProperty()
                .addListener(
                        (o, before, dark) -> layers.pseudoClassStateChanged(PseudoClass.getPseudoClass("dark"), dark));
        stage.setScene(scene);
        takeDrops();
        workspace.documentProperty().addListener((o, before, now) -> title());
        workspace.notices().noticeProperty().addListener((o, before, now) -> title());
        title();
        stage.setOnCloseRequest(event -> {
            if (files.mayLeave()) {
                autosave.forget();
            } else {
                event.consume();
            }
        });
    }

    private void title() {
        stage.setTitle(workspace.called() + (workspace.isSaved() ? "" : " (changed)") + " — Able Schema");
    }

    /** Keeps each change in a file of its own until the next save, and offers what an earlier run left. */
    public void keepChanges() {
        recovery.offer();
        files.onOpened(recovery::offer);
        autosave.begin();
    }

    public void show() {
        stage.show();
        sheet.requestFocus();
        FirstUse.prepare();
    }

    public Scene scene() {
        return scene;
    }

    public FileActions files() {
        return files;
    }

    public PictureExport pictures() {
        return pictures;
    }

    public RowsGrid rows() {
        return rows;
    }

    public SheetView sheet() {
        return sheet;
    }

    public Actions actions() {
        return actions;
    }

    private StackPane layers(Node middle) {
        layers.getChildren().add(parts(middle));
        layers.setAlignment(Pos.TOP_CENTER);
        return layers;
    }

    private BorderPane parts(Node middle) {
        var root = new BorderPane();
        root.getStyleClass().add("window");
        root.setCenter(middle);
        root.setLeft(route);
        root.setRight(gloss);
        root.setBottom(new VBox(recovery, new RuleLineView(workspace)));
        return root;
    }

    private Node middle() {
        Node list = Late.shown(() -> new ListBench(workspace));
        var drawing = new VBox(header, sheet, list, rows);
        VBox.setVgrow(sheet, Priority.ALWAYS);
        VBox.setVgrow(list, Priority.ALWAYS);
        for (Node each : List.of(sheet, list)) {
            each.managedProperty().bind(each.visibleProperty());
        }
        list.visibleProperty().bind(workspace.listedProperty());
        sheet.visibleProperty().bind(workspace.listedProperty().not());
        benches.put(Step.BRIEF, Late.shown(() -> new BriefBench(workspace)));
        benches.put(Step.DRAW, drawing);
        benches.put(Step.KEYS, Late.shown(() -> new KeysBench(workspace)));
        benches.put(Step.FORMS, Late.shown(() -> new FormsBench(workspace)));
        benches.put(Step.REVIEW, Late.shown(() -> new ReviewBench(workspace)));
        benches.put(Step.ROWS, Late.shown(() -> new RowsBench(workspace, rows, drawing)));
        benches.put(Step.SQL, Late.shown(script::get));
        var middle = new StackPane();
        middle.getChildren().addAll(benches.values());
        middle.getStyleClass().add("middle");
        Runnable showStep = () -> benches.forEach((step, bench) ->
                bench.setVisible(step == workspace.stepProperty().get()));
        workspace.stepProperty().addListener((o, before, now) -> {
            boolean within = StepFocus.isWithin(middle);
            showStep.run();
            if (within) {
                StepFocus.enter(now == Step.DRAW && sheet.isVisible() ? sheet : benches.getOrDefault(now, middle));
            }
        });
        showStep.run();
        return middle;
    }

    /** Everything that can be done by name, and the keys that work wherever the focus is. */
    private void listActions() {
        actions.add("find or do anything", "Shortcut+K", this::find);
        actions.add("all shortcuts", "F1", () -> showOver(new ShortcutSheet(actions)));
        actions.add("undo", "Shortcut+Z", workspace::undo);
        actions.add("do again", "Shortcut+Shift+Z", workspace::redo);
        actions.add("save", "Shortcut+S", files::save);
        actions.add("save as another file", "Shortcut+Shift+S", files::chooseAndSave);
        actions.add("open a design", "Shortcut+O", files::chooseAndOpen);
        actions.add("read SQL definitions from a file", "Shortcut+Shift+O", () -> files.chooseSql(sql::open));
        actions.add("read a live database, or try the design there", "Shortcut+Shift+L", this::connect);
        actions.add("find in the script", "Shortcut+F", this::findInScript);
        actions.add("write the picture to a file (SVG, PNG, PDF)", "Shortcut+Shift+E", pictures::choose);
        actions.add("copy the picture", "Shortcut+Shift+C", pictures::copy);
        actions.add("fold the route away, or bring it back", "Alt+R", route::toggle);
        actions.add("fold the gloss away, or bring it back", "Alt+G", gloss::toggle);
        actions.add("begin a new design", "Shortcut+N", files::begin);
        int number = 0;
        for (Step step : benches.keySet()) {
            number++;
            actions.add("go to " + step.label(), "Shortcut+" + number, () -> workspace
                    .stepProperty()
                    .set(step));
        }
        actions.add("go to the rule line", "Shortcut+L", () -> scene.lookup("#rule-line")
                .requestFocus());
        actions.add("go to the sheet", "Shortcut+E", sheet::requestFocus);
        actions.add("show or hide the rows below the sheet", "Shortcut+R", rows::toggle);
        actions.add("bring everything into view", "Shortcut+0", sheet::fit);
        actions.add("nearer", "Shortcut+EQUALS", sheet::zoomIn);
        actions.add("farther", "Shortcut+MINUS", sheet::zoomOut);
        actions.add("concept or tables", "Shortcut+T", this::otherView);
        for (Detail detail : Detail.values()) {
            actions.add(
                    "show " + detail.name().toLowerCase(Locale.ROOT) + " on the cards",
                    "Alt+" + (detail.ordinal() + 1),
                    () -> header.setDetail(detail));
        }
        actions.add("read the chosen table as a list, or see the drawing again", "Alt+L", () -> workspace
                .listedProperty()
                .set(!workspace.listedProperty().get()));
        actions.add("overview", "Shortcut+M", sheet::toggleOverview);
        actions.add("tidy up", "Shortcut+U", header::tidy);
        actions.add("another notation for the ends", header::nextNotation);
        actions.add("make a part-picture of what is chosen", "Shortcut+P", header::addPart);
        actions.add("make part-pictures by schema, name or neighbourhood", new PartsOffer(workspace)::make);
        actions.add("light or dark", "Shortcut+Shift+D", () -> workspace
                .darkProperty()
                .set(!workspace.darkProperty().get()));
        actions.add("set the chosen entity aside for now", () -> workspace
                .selection()
                .chosenEntity()
                .ifPresent(entity -> workspace.apply(workspace.edits().setParked(entity, true))));
        actions.add("write reasons into the comments of the SQL, or no longer", () -> {
            var rules = workspace.document().rules();
            workspace.apply(new ChangeRules(rules.withReasonsInSql(!rules.reasonsInSql()), "reasons in the SQL"));
        });
        actions.add("draw all lines between districts, or only name them at their ends", () -> {
            var rules = workspace.document().rules();
            workspace.apply(new ChangeRules(rules.withFarLines(!rules.farLines()), "lines between districts"));
        });
        actions.add("stop what is being worked out", workspace.jobs()::stopAll);
        sheet.list(actions);
    }

    private void otherView() {
        View other = workspace.viewProperty().get() == View.CONCEPT ? View.TABLES : View.CONCEPT;
        workspace.viewProperty().set(other);
    }

    private void find() {
        var find = new FindView(workspace, actions, this::goTo, this::closeOver);
        showOver(find);
        find.begin();
    }

    /** Chooses a thing and brings it into the middle of the sheet. */
    public void goTo(Id thing) {
        workspace.stepProperty().set(Step.DRAW);
        workspace.listedProperty().set(false);
        workspace.selection().focusProperty().set(Optional.empty());
        workspace.selection().choose(thing);
        Id owner = workspace.selection().chosenOwner().orElse(thing);
        Document document = workspace.document();
        if (!document.diagram().shows(document.design(), owner)) {
            document.diagrams().stream()
                    .filter(each -> each.shows(document.design(), owner))
                    .findFirst()
                    .ifPresent(each -> workspace.viewPicture(each.name()));
        }
        sheet.centre(thing);
        sheet.requestFocus();
    }

    private void findInScript() {
        workspace.stepProperty().set(Step.SQL);
        script.get().find();
    }

    private void connect() {
        var connect = new ConnectSheet(workspace, sql);
        connect.onClose(this::closeOver);
        connect.onTried(said -> script.get().heard(said));
        showOver(connect);
        connect.begin();
    }

    private void showRead(ReadSummary summary) {
        summary.onClose(this::closeOver);
        showOver(summary);
    }

    /** A file that is dropped on the window is opened: a design, or else SQL. */
    private void takeDrops() {
        scene.setOnDragOver(event -> {
            if (event.getDragboard().hasFiles()) {
                event.acceptTransferModes(TransferMode.COPY);
            }
        });
        scene.setOnDragDropped(event -> {
            event.setDropCompleted(event.getDragboard().hasFiles());
            event.getDragboard().getFiles().stream().limit(1).forEach(file -> drop(file.toPath()));
            event.consume();
        });
    }

    /** Opens a file as if it had been dropped here. */
    public void drop(Path file) {
        if (!file.toString().endsWith(DocumentFile.ENDING)) {
            sql.open(file);
        } else if (files.mayLeave()) {
            files.open(file);
        }
    }

    private void showOver(Node node) {
        closeOver();
        StackPane.setMargin(node, new Insets(70, 0, 0, 0));
        var shade = new Region();
        shade.getStyleClass().add("shade");
        shade.setOnMousePressed(event -> closeOver());
        layers.getChildren().addAll(shade, node);
        node.setFocusTraversable(true);
        node.requestFocus();
        node.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ESCAPE) {
                closeOver();
                event.consume();
            }
        });
    }

    private void closeOver() {
        if (layers.getChildren().size() > 1) {
            layers.getChildren().remove(1, layers.getChildren().size());
            sheet.requestFocus();
        }
    }
}
