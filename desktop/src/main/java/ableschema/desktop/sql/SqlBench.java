package ableschema.desktop.sql;

import static ableschema.desktop.controls.Controls.button;
import static java.util.stream.Collectors.joining;

import ableschema.core.design.Id;
import ableschema.core.document.Document;
import ableschema.core.document.HouseRules;
import ableschema.core.edit.ChangeRules;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Step;
import ableschema.core.mapping.Mapping;
import ableschema.core.mapping.Trace;
import ableschema.core.review.Rules;
import ableschema.core.rows.DesignScript;
import ableschema.core.rows.StandIns;
import ableschema.core.sql.Script;
import ableschema.core.sql.Statement;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.store.FileProblem;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.gloss.SqlLines;
import ableschema.desktop.workspace.Refresh;
import ableschema.desktop.workspace.Workspace;
import ableschema.engine.trial.Trial;
import java.io.File;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
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
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;

/** The whole script for the chosen dialect; a line chooses its thing, and the chosen thing marks its lines. */
public final class SqlBench extends VBox {

    private static final int WRITTEN_AT_ONCE = 100;
    private static final String ALONE = "compare with …";

    private final Workspace workspace;
    private final ComboBox<Dialect> dialects = new ComboBox<>(FXCollections.observableArrayList(Dialects.ALL));
    private final CheckBox rows = new CheckBox("with sample rows");
    private final CheckBox personal = new CheckBox("personal values too");
    private final SqlLines text;
    private final StyleFold style;
    private final FindBar find;
    private final ScriptTrial trial;
    private final BesideView beside = new BesideView();
    private final ComboBox<String> others = new ComboBox<>();
    private final Region pane;
    private final Label changed = new Label();
    private final ShortfallList shortfalls;
    private final NamesFold names;
    private final Label verdict = new Label();
    private Optional<Script> script = Optional.empty();
    private Optional<Heard> heard = Optional.empty();

    /** The lines of the script that was last saved or run, and of which kind it was; none are marked while there is none. */
    private Set<String> before = Set.of();

    private String beforeFor = "";

    public SqlBench(Workspace workspace) {
        this.workspace = workspace;
        this.text = new SqlLines(workspace.selection()::choose);
        this.shortfalls = new ShortfallList(workspace);
        this.names = new NamesFold(workspace);
        this.style = new StyleFold(workspace);
        this.find = new FindBar(text);
        this.trial = new ScriptTrial(workspace, verdict::setText);
        getStyleClass().add("bench");
        setId("sql-bench");
        text.setId("script");
        verdict.setId("sql-verdict");
        verdict.getStyleClass().add("note");
        verdict.setWrapText(true);
        text.number(line -> "");
        changed.setId("sql-changed");
        changed.getStyleClass().add("note");
        this.pane = text.scrolled();
        VBox.setVgrow(pane, Priority.ALWAYS);
        VBox.setVgrow(beside, Priority.ALWAYS);
        var folds = new FlowPane(20, 4, style, names);
        var foot = new HBox(
                12, find, changed, Controls.space(), button("copy-part", "Copy the chosen part", this::copyPart));
        foot.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(header(), folds, shortfalls, pane, beside, foot, verdict);
        showBeside(false);
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
        others.setId("beside-dialect");
        others.getItems().add(ALONE);
        Dialects.ALL.forEach(each -> others.getItems().add(each.label()));
        others.setValue(ALONE);
        others.setAccessibleText("another dialect beside it");
        others.setOnAction(event -> show());
        var options = new FlowPane(12, 6, title, dialects, others, rows, personal);
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

    private void show() {
        dialects.setValue(Dialects.named(workspace.dialect().name()).orElse(Dialects.STANDARD));
        style.refresh();
        names.refresh();
        shortfalls.show(Stream.concat(undecided(), workspace.review().of(Step.SQL).stream())
                .toList());
        Mapping mapping = workspace.mapping();
        Dialect dialect = workspace.dialect();
        boolean hides = rows.isSelected()
                && !StandIns.hidden(workspace.document().design()).isEmpty();
        personal.setVisible(hides);
        personal.setManaged(hides);
        Contents contents = contents();
        Optional<Dialect> other = other();
        Set<String> known = beforeFor.equals(kind(dialect, contents)) ? before : Set.of();
        Trace trace = workspace.trace();
        Supplier<Written> writing = () -> {
            Script own = write(mapping, dialect, contents);
            return new Written(
                    own,
                    SqlLines.Prepared.of(own.lines().toList(), trace, Optional.empty(), known),
                    other.map(each -> BesideView.Sides.of(own, write(mapping, each, contents))));
        };
        if (mapping.schema().tables().size() <= WRITTEN_AT_ONCE) {
            show(writing.get());
            return;
        }
        workspace
                .jobs()
                .run(
                        "writing the script",
                        progress -> writing.get(),
                        () -> workspace.mapping() == mapping
                                && other.equals(other())
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

    /** The dialect whose script is wanted beside it. */
    private Optional<Dialect> other() {
        return Dialects.ALL.stream()
                .filter(each -> each.label().equals(others.getValue()))
                .map(each -> each.choosing(workspace.document().rules().choices()))
                .findFirst();
    }

    /** The script with its lines, and that of another dialect, where one is wanted beside it. */
    private record Written(Script script, SqlLines.Prepared lines, Optional<BesideView.Sides> other) {}

    private void show(Written both) {
        Script written = both.script();
        script = Optional.of(written);
        showBeside(both.other().isPresent());
        both.other().ifPresent(beside::show);
        text.show(both.lines());
        verdict.setText(trial.saidOf(written));
        heard.filter(each -> each.of() == workspace.document()
                        && each.trial()
                                .script()
                                .dialect()
                                .name()
                                .equals(written.dialect().name()))
                .ifPresent(each -> trial.heard(each.trial(), written));
        text.number(trial::sign);
        int lines = text.countChanged();
        changed.setText(
                lines == 0
                        ? ""
                        : lines + (lines == 1 ? " line" : " lines") + " changed since it was last saved or run");
        mark();
    }

    private void showBeside(boolean two) {
        for (Node each : List.of(pane, find)) {
            each.setVisible(!two);
            each.setManaged(!two);
        }
        beside.setVisible(two);
        beside.setManaged(two);
    }

    /** Puts the cursor where one finds. */
    public void find() {
        others.setValue(ALONE);
        find.focus();
    }

    /** Scripts of which lines can be told to have changed. */
    private static String kind(Dialect dialect, Contents contents) {
        return dialect.name() + " " + contents;
    }

    /** From now on lines that differ are marked. */
    private void remember(Script done) {
        before = SqlLines.texts(done.lines().toList());
        beforeFor = kind(done.dialect(), contents());
        changed.setText("");
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

    /** What a server said of a design, with the design. */
    private record Heard(Document of, Trial trial) {}

    /** Shows what a server said of the design as it is, at the lines of its script. */
    public void heard(Trial said) {
        heard = Optional.of(new Heard(workspace.document(), said));
        if (workspace.stepProperty().get() == Step.SQL) {
            show();
        }
    }

    private void tryIt() {
        script.ifPresent(
                tried -> trial.of(tried, () -> script.filter(tried::equals).isPresent(), refused -> {
                    text.number(trial::sign);
                    refused.ifPresentOrElse(
                            line -> text.showParagraphAtTop(Math.max(0, line - 3)), () -> remember(tried));
                }));
    }

    private void copy() {
        script.ifPresent(written -> copy(written.text(), written.statements().size()));
    }

    /** Copies what the script says of the chosen thing. */
    private void copyPart() {
        Optional<Id> chosen = workspace.selection().chosenProperty().get();
        if (script.isEmpty() || chosen.isEmpty()) {
            verdict.setText("choose a table first, on the sheet or by a click on its lines");
            return;
        }
        List<Statement> part = script.get().statements().stream()
                .filter(each -> workspace.trace().leads(each.defines(), chosen.get()))
                .toList();
        if (part.isEmpty()) {
            verdict.setText("the script has nothing of it");
        } else {
            copy(part.stream().map(Statement::text).collect(joining("\n\n")) + "\n", part.size());
        }
    }

    private void copy(String sql, int statements) {
        var content = new ClipboardContent();
        content.putString(sql);
        Clipboard.getSystemClipboard().setContent(content);
        verdict.setText("copied " + statements + (statements == 1 ? " statement" : " statements"));
    }

    private void save() {
        script.ifPresent(written -> {
            var chooser = new FileChooser();
            chooser.setInitialFileName("schema-" + written.dialect().name() + ".sql");
            File target = chooser.showSaveDialog(getScene().getWindow());
            if (target != null) {
                try {
                    workspace.export(target.toPath(), written.text());
                    remember(written);
                    show();
                    verdict.setText("saved as " + target.getName());
                } catch (FileProblem e) {
                    workspace.notices().complain(String.valueOf(e.getMessage()));
                }
            }
        });
    }
}
