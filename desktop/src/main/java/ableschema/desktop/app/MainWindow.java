package ableschema.desktop.app;

import ableschema.core.document.Notation;
import ableschema.core.edit.ChangeDiagram;
import ableschema.core.edit.MoveCards;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.forms.FormsBench;
import ableschema.desktop.gloss.GlossView;
import ableschema.desktop.keys.KeysBench;
import ableschema.desktop.marks.FxFonts;
import ableschema.desktop.route.RouteView;
import ableschema.desktop.rows.RowsGrid;
import ableschema.desktop.rule.RuleLineView;
import ableschema.desktop.sheet.SheetView;
import ableschema.desktop.sql.SqlBench;
import ableschema.desktop.workspace.Step;
import ableschema.desktop.workspace.Workspace;
import ableschema.diagram.layout.AutoLayout;
import ableschema.diagram.picture.View;
import java.util.Locale;
import java.util.Objects;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCombination;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;

/** The window: the route at the left, the step's work in the middle, the gloss at the right, the rule line at the foot. */
public final class MainWindow {

    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");

    private final Stage stage;
    private final Workspace workspace;
    private final FileActions files;
    private final SheetView sheet;
    private final RowsGrid rows;
    private final Scene scene;

    public MainWindow(Stage stage, Workspace workspace) {
        FxFonts.register();
        this.stage = stage;
        this.workspace = workspace;
        this.files = new FileActions(workspace, stage);
        this.sheet = new SheetView(workspace);
        this.rows = new RowsGrid(workspace);
        this.scene = new Scene(parts(), 1280, 800);
        scene.getStylesheets()
                .add(Objects.requireNonNull(MainWindow.class.getResource("able.css"), "able.css")
                        .toExternalForm());
        installKeys();
        stage.setScene(scene);
        stage.setTitle("Able Schema");
        stage.setOnCloseRequest(event -> {
            if (!files.mayLeave()) {
                event.consume();
            }
        });
    }

    public void show() {
        stage.show();
        sheet.requestFocus();
    }

    public Scene scene() {
        return scene;
    }

    public FileActions files() {
        return files;
    }

    public RowsGrid rows() {
        return rows;
    }

    public SheetView sheet() {
        return sheet;
    }

    private BorderPane parts() {
        var root = new BorderPane();
        root.getStyleClass().add("window");
        root.setLeft(new RouteView(workspace));
        root.setCenter(middle());
        root.setRight(new GlossView(workspace));
        root.setBottom(new RuleLineView(workspace));
        return root;
    }

    private Node middle() {
        var drawing = new VBox(sheetHeader(), sheet, rows);
        VBox.setVgrow(sheet, Priority.ALWAYS);
        var keys = new KeysBench(workspace);
        var forms = new FormsBench(workspace);
        var sql = new SqlBench(workspace);
        var middle = new StackPane(drawing, keys, forms, sql);
        middle.getStyleClass().add("middle");
        Runnable showStep = () -> {
            Step step = workspace.stepProperty().get();
            drawing.setVisible(step == Step.DRAW);
            keys.setVisible(step == Step.KEYS);
            forms.setVisible(step == Step.FORMS);
            sql.setVisible(step == Step.SQL);
        };
        workspace.stepProperty().addListener((o, before, now) -> showStep.run());
        showStep.run();
        return middle;
    }

    private Node sheetHeader() {
        var concept = viewButton("Concept", View.CONCEPT);
        var tables = viewButton("Tables", View.TABLES);
        var space = Controls.space();
        var notation = headerButton("notation", "", this::nextNotation);
        var zoom = new Label();
        zoom.getStyleClass().add("note");
        Runnable say = () -> {
            notation.setText(words(workspace.document().diagram().notation()));
            zoom.setText(Math.round(sheet.zoom() * 100) + " %");
        };
        workspace.documentProperty().addListener((o, before, now) -> say.run());
        sheet.onZoom(say);
        say.run();
        var header = new HBox(
                10,
                concept,
                tables,
                space,
                notation,
                headerButton("tidy", "tidy up", this::tidy),
                headerButton("fit", "fit", sheet::fit),
                zoom);
        header.setAlignment(Pos.CENTER_LEFT);
        header.getStyleClass().add("sheet-header");
        return header;
    }

    private Button viewButton(String label, View view) {
        Button button = headerButton("view-" + label.toLowerCase(Locale.ROOT), label, () -> workspace
                .viewProperty()
                .set(view));
        Runnable light = () ->
                button.pseudoClassStateChanged(CHOSEN, workspace.viewProperty().get() == view);
        workspace.viewProperty().addListener((o, before, now) -> light.run());
        light.run();
        return button;
    }

    private static Button headerButton(String id, String label, Runnable action) {
        Button button = Controls.button(id, label, action);
        button.getStyleClass().setAll("header-button");
        return button;
    }

    private static String words(Notation notation) {
        return switch (notation) {
            case CROWSFOOT -> "crow's foot";
            case MINMAX -> "min..max";
            case CHEN -> "Chen";
        };
    }

    private void nextNotation() {
        Notation[] all = Notation.values();
        Notation next = all[(workspace.document().diagram().notation().ordinal() + 1) % all.length];
        workspace.apply(new ChangeDiagram(
                workspace.document().diagram().withNotation(next), "draw the ends as " + words(next)));
    }

    private void tidy() {
        var document = workspace.document();
        workspace
                .background()
                .run(
                        "placing the cards",
                        () -> AutoLayout.of(document),
                        positions -> {
                            workspace.apply(new MoveCards(positions, "tidy up"));
                            sheet.fit();
                        },
                        failure -> workspace.complain("the cards could not be placed: " + failure.getMessage()));
    }

    /** The keys of the whole window; what a text field understands itself never comes here. */
    private void installKeys() {
        on("Shortcut+Z", workspace::undo);
        on("Shortcut+Shift+Z", workspace::redo);
        on("Shortcut+Y", workspace::redo);
        on("Shortcut+S", files::save);
        on("Shortcut+Shift+S", files::chooseAndSave);
        on("Shortcut+O", files::chooseAndOpen);
        on("Shortcut+N", files::begin);
        on("Shortcut+0", sheet::fit);
        on("Shortcut+EQUALS", sheet::zoomIn);
        on("Shortcut+MINUS", sheet::zoomOut);
        on("Shortcut+L", () -> scene.lookup("#rule-line").requestFocus());
        on("Shortcut+E", sheet::requestFocus);
        on("Shortcut+R", rows::toggle);
        for (Step step : Step.values()) {
            on(
                    "Shortcut+" + (step.ordinal() + 1),
                    () -> workspace.stepProperty().set(step));
        }
    }

    private void on(String keys, Runnable action) {
        scene.getAccelerators().put(KeyCombination.valueOf(keys), action);
    }
}
