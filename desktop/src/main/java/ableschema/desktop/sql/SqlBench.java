package ableschema.desktop.sql;

import static ableschema.desktop.controls.Controls.button;

import ableschema.core.document.HouseRules;
import ableschema.core.edit.ChangeRules;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Step;
import ableschema.core.mapping.Mapping;
import ableschema.core.review.Rules;
import ableschema.core.rows.DesignScript;
import ableschema.core.rows.StandIns;
import ableschema.core.sql.Script;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.store.FileProblem;
import ableschema.desktop.controls.Choice;
import ableschema.desktop.gloss.SqlLines;
import ableschema.desktop.workspace.Refresh;
import ableschema.desktop.workspace.Workspace;
import ableschema.engine.BuiltInEngine;
import ableschema.engine.ScriptRun;
import java.io.File;
import java.sql.Connection;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.collections.FXCollections;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;

/** The whole script for the chosen dialect; a line chooses its thing, and the chosen thing marks its lines. */
public final class SqlBench extends VBox {

    private static final int WRITTEN_AT_ONCE = 100;

    private final Workspace workspace;
    private final ComboBox<Dialect> dialects = new ComboBox<>(FXCollections.observableArrayList(Dialects.ALL));
    private final CheckBox rows = new CheckBox("with sample rows");
    private final CheckBox personal = new CheckBox("personal values too");
    private final SqlLines text;
    private final HBox choices = new HBox(6);
    private final ShortfallList shortfalls;
    private final NamesFold names;
    private final Label verdict = new Label();
    private Optional<Script> script = Optional.empty();

    public SqlBench(Workspace workspace) {
        this.workspace = workspace;
        this.text = new SqlLines(workspace.selection()::choose);
        this.shortfalls = new ShortfallList(workspace);
        this.names = new NamesFold(workspace);
        getStyleClass().add("bench");
        setId("sql-bench");
        text.setId("script");
        verdict.setId("sql-verdict");
        verdict.getStyleClass().add("note");
        verdict.setWrapText(true);
        var pane = text.scrolled();
        VBox.setVgrow(pane, Priority.ALWAYS);
        getChildren().addAll(header(), names, shortfalls, pane, verdict);
        Refresh.of(workspace, Step.SQL, this, this::show);
        workspace.selection().chosenProperty().addListener((o, before, now) -> markIfInView());
    }

    private Node header() {
        var title = new Label("SQL");
        title.getStyleClass().add("bench-title");
        dialects.setId("dialect");
        dialects.setOnAction(event -> chooseDialect(dialects.getValue()));
        rows.setId("with-rows");
        rows.setOnAction(event -> show());
        personal.setId("with-personal");
        personal.setTooltip(new Tooltip("personal and secret values as they were entered; else stand-ins are written"));
        personal.setOnAction(event -> show());
        title.setMinWidth(USE_PREF_SIZE);
        var options = new FlowPane(12, 6, title, dialects, choices, rows, personal);
        options.setRowValignment(VPos.CENTER);
        options.setMinWidth(0); // in a narrow window they stand below each other, rather than being cut
        HBox.setHgrow(options, Priority.ALWAYS);
        var buttons = new HBox(
                12,
                button("try-script", "Try it", this::tryIt),
                button("copy-script", "Copy", this::copy),
                button("save-script", "Save as …", this::save));
        buttons.setMinWidth(USE_PREF_SIZE);
        return new HBox(12, options, buttons);
    }

    private void chooseDialect(Dialect dialect) {
        HouseRules rules = workspace.document().rules();
        if (!rules.dialect().equals(dialect.name())) {
            workspace.apply(new ChangeRules(rules.withDialect(dialect.name()), "write for " + dialect.label()));
        }
    }

    /** What the dialect leaves open to the house. */
    private void showChoices(Dialect dialect) {
        choices.getChildren().clear();
        choices.setAlignment(Pos.CENTER_LEFT);
        dialect.choices().forEach((choice, values) -> {
            String name = choice.substring(choice.indexOf('.') + 1);
            String current = workspace.document().rules().choices().getOrDefault(choice, values.get(0));
            Choice each = Choice.of(current, values, value -> said(name, value), value -> choose(choice, value));
            each.setId("choice-" + name);
            choices.getChildren().add(each);
        });
    }

    /** A choice in words; one of a dialect alone by its name. */
    private static String said(String name, String value) {
        return switch (name + " " + value) {
            case "keys after" -> "keys after the columns";
            case "keys beside" -> "keys beside their column";
            case "references inside" -> "foreign keys inside";
            case "references after" -> "foreign keys afterwards";
            case "names plain" -> "quotes where needed";
            case "names quoted" -> "all names in quotes";
            case "existing stop" -> "stop at what exists";
            case "existing skip" -> "skip what exists";
            case "existing replace" -> "replace what exists";
            default -> name + ": " + value;
        };
    }

    private void choose(String choice, String value) {
        workspace.apply(new ChangeRules(
                workspace.document().rules().withChoice(choice, value), "choose " + value + " for " + choice));
    }

    private void show() {
        dialects.setValue(Dialects.named(workspace.dialect().name()).orElse(Dialects.STANDARD));
        showChoices(workspace.dialect());
        names.refresh();
        verdict.setText("");
        shortfalls.show(Stream.concat(undecided(), workspace.review().of(Step.SQL).stream())
                .toList());
        Mapping mapping = workspace.mapping();
        Dialect dialect = workspace.dialect();
        boolean hides = rows.isSelected()
                && !StandIns.hidden(workspace.document().design()).isEmpty();
        personal.setVisible(hides);
        personal.setManaged(hides);
        Contents contents = contents();
        if (mapping.schema().tables().size() <= WRITTEN_AT_ONCE) {
            show(write(mapping, dialect, contents));
            return;
        }
        workspace
                .jobs()
                .run(
                        "writing the script",
                        progress -> write(mapping, dialect, contents),
                        () -> workspace.mapping() == mapping
                                && workspace.dialect().equals(dialect)
                                && contents() == contents,
                        this::show,
                        failure -> verdict.setText("the script could not be written: " + failure.getMessage()));
    }

    /** What a script holds. */
    private enum Contents {
        DEFINITIONS,
        ROWS,
        ROWS_AS_ENTERED
    }

    private Contents contents() {
        return !rows.isSelected()
                ? Contents.DEFINITIONS
                : personal.isSelected() ? Contents.ROWS_AS_ENTERED : Contents.ROWS;
    }

    private static Script write(Mapping mapping, Dialect dialect, Contents contents) {
        return switch (contents) {
            case DEFINITIONS -> DesignScript.definitions(mapping, dialect);
            case ROWS -> DesignScript.withRows(mapping, dialect);
            case ROWS_AS_ENTERED -> DesignScript.withRowsAsEntered(mapping, dialect);
        };
    }

    private void show(Script written) {
        script = Optional.of(written);
        text.show(written.lines().toList(), workspace.trace(), Optional.empty(), Set.of());
        mark();
    }

    private void markIfInView() {
        if (workspace.stepProperty().get() == Step.SQL) {
            mark();
        }
    }

    /** Marks what is chosen in the script that is there, and brings its first line into view. */
    private void mark() {
        int first = text.mark(workspace.selection().chosenProperty().get());
        if (first >= 0) {
            // what was written just now has its lines laid out first
            Platform.runLater(() -> text.showParagraphAtTop(
                    Math.min(Math.max(0, first - 2), text.getParagraphs().size() - 1)));
        }
    }

    /** What keeps a part of the script from being written. */
    private Stream<Finding> undecided() {
        return workspace.review().open().stream().filter(each -> Rules.UNDECIDED.contains(each.rule()));
    }

    private void tryIt() {
        if (script.isEmpty()) {
            return;
        }
        Script tried = script.get();
        Optional<BuiltInEngine> engine = BuiltInEngine.ALL.stream()
                .filter(e -> e.dialect().name().equals(tried.dialect().name()))
                .findFirst();
        if (engine.isEmpty()) {
            verdict.setText(
                    tried.dialect().label()
                            + " runs as a server of its own: copy or save the script and run it there. H2 and SQLite can be tried here.");
            return;
        }
        workspace
                .jobs()
                .run(
                        "trying the script on " + tried.dialect().label(),
                        progress -> {
                            try (Connection connection = engine.get().open()) {
                                long all = tried.executable().count();
                                return ScriptRun.of(tried, connection, done -> {
                                    if (done % 10 == 0) {
                                        progress.done(done, all);
                                    }
                                });
                            }
                        },
                        () -> script.filter(tried::equals).isPresent(),
                        run -> verdict.setText(said(tried, run)),
                        failure -> verdict.setText("the trial could not start: " + failure.getMessage()));
    }

    private static String said(Script script, ScriptRun run) {
        return run.refusal()
                .map(refusal -> script.dialect().label() + " refused «"
                        + refusal.statement().lines().get(0).text() + "»: " + refusal.reason()
                        + (run.accepted() == 0 ? " Nothing of it stays." : " What came before it stays."))
                .orElse(script.dialect().label() + " accepted all " + run.accepted() + " statements.");
    }

    private void copy() {
        script.ifPresent(written -> {
            var content = new ClipboardContent();
            content.putString(written.text());
            Clipboard.getSystemClipboard().setContent(content);
            verdict.setText("copied " + written.statements().size() + " statements");
        });
    }

    private void save() {
        script.ifPresent(written -> {
            var chooser = new FileChooser();
            chooser.setInitialFileName("schema-" + written.dialect().name() + ".sql");
            File target = chooser.showSaveDialog(getScene().getWindow());
            if (target != null) {
                try {
                    workspace.export(target.toPath(), written.text());
                    verdict.setText("saved as " + target.getName());
                } catch (FileProblem e) {
                    workspace.notices().complain(String.valueOf(e.getMessage()));
                }
            }
        });
    }
}
