package ableschema.desktop.rule;

import ableschema.core.finding.Step;
import ableschema.core.words.Completion;
import ableschema.core.words.SpokenLine;
import ableschema.core.words.Understanding;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.workspace.Jobs;
import ableschema.desktop.workspace.Notices.Notice;
import ableschema.desktop.workspace.Workspace;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.beans.InvalidationListener;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;

/** One line in which a rule is typed, understood as it is typed, and carried out with Enter. */
public final class RuleLineView extends HBox {

    private static final PseudoClass PROBLEM = PseudoClass.getPseudoClass("problem");
    private static final String EXAMPLE =
            "Each hive stands in exactly one apiary; each apiary shelters any number of hives.";

    private static final double MOST_WIDTH = 620;
    private static final double MARGIN = 8;

    private final Workspace workspace;
    private final TextField line = new TextField();
    private final HBox jobs = new HBox(6);
    private final Label answer = new Label();
    private final Label whole = new Label();
    private List<Completion.Proposal> proposed = List.of();

    public RuleLineView(Workspace workspace) {
        this.workspace = workspace;
        getStyleClass().add("rule-line");
        setAlignment(Pos.CENTER_LEFT);
        var sign = new Label("›");
        sign.getStyleClass().add("rule-sign");
        line.setId("rule-line");
        line.setPromptText(EXAMPLE);
        HBox.setHgrow(line, Priority.ALWAYS);
        answer.setId("rule-answer");
        answer.getStyleClass().add("rule-answer");
        answer.setMaxWidth(MOST_WIDTH);
        whole.setId("rule-whole");
        whole.getStyleClass().add("rule-whole");
        whole.setManaged(false);
        whole.setWrapText(true);
        setViewOrder(-1); // what does not fit in the line stands above it, over the sheet
        jobs.setAlignment(Pos.CENTER_RIGHT);
        workspace.jobs().running().addListener((InvalidationListener) changed -> showJobs());
        getChildren().addAll(sign, line, answer, jobs, whole);
        line.textProperty().addListener((o, before, now) -> {
            proposed = now.isBlank() ? List.of() : new Completion(workspace.design()).at(now);
            understand();
        });
        line.setOnAction(event -> carryOut());
        line.addEventFilter(KeyEvent.KEY_PRESSED, this::keyPressed);
        workspace.stepProperty().addListener((o, before, now) -> line.setPromptText(example(now)));
        workspace.notices().noticeProperty().addListener((o, before, now) -> understand());
        workspace.documentProperty().addListener((o, before, now) -> understand());
        understand();
    }

    /** Says above the line what is cut off in it. */
    @Override
    protected void layoutChildren() {
        super.layoutChildren();
        boolean cut = answer.prefWidth(-1) > answer.getWidth() + 1;
        whole.setVisible(cut);
        if (cut) {
            double width = Math.min(MOST_WIDTH, getWidth() - 2 * MARGIN);
            double height = whole.prefHeight(width);
            whole.resizeRelocate(getWidth() - width - MARGIN, -height - MARGIN, width, height);
        }
    }

    /** What is under way, each with its progress and a stop of its own. */
    private void showJobs() {
        jobs.getChildren().clear();
        for (Jobs.Job job : workspace.jobs().running()) {
            var said = Controls.text("", "rule-answer");
            said.textProperty().bind(job.saidProperty());
            Button stop = Controls.button("stop", "stop", job::stop);
            stop.setAccessibleText("stop " + job.name());
            jobs.getChildren().addAll(said, stop);
        }
    }

    /** Tab takes the first way to go on, Down brings the next to the front, Escape empties the line. */
    private void keyPressed(KeyEvent event) {
        if (event.getCode() == KeyCode.TAB && !proposed.isEmpty()) {
            line.setText(proposed.get(0).appliedTo(line.getText()));
            line.positionCaret(line.getText().length());
            event.consume();
        } else if (event.getCode() == KeyCode.DOWN && proposed.size() > 1) {
            proposed = Stream.concat(
                            proposed.stream().skip(1), proposed.stream().limit(1))
                    .toList();
            sayProposed();
            event.consume();
        } else if (event.getCode() == KeyCode.ESCAPE) {
            line.clear();
        }
    }

    private void sayProposed() {
        say(
                "Tab: "
                        + proposed.stream()
                                .map(proposal -> proposal.text().strip())
                                .limit(4)
                                .collect(Collectors.joining("  ·  ")),
                false);
    }

    private static String example(Step step) {
        return step == Step.FORMS ? "hive code, visited on -> keeper no" : EXAMPLE;
    }

    private SpokenLine.Heard heard() {
        return new SpokenLine(workspace.design(), workspace.selection().chosenOwner(), workspace.ids())
                .read(line.getText());
    }

    private void understand() {
        SpokenLine.Heard heard = heard();
        Understanding reading = heard.understanding();
        if (!heard.others().isEmpty()) {
            String all = line.getText();
            proposed = Stream.concat(Stream.of(String.join(" ", heard.readAs())), heard.others().stream())
                    .map(sentence -> new Completion.Proposal(sentence, all.length()))
                    .toList();
            say("Which? Tab, or Down and Tab: " + either(heard), false);
        } else if (reading instanceof Understanding.Understood understood) {
            say(
                    "Enter: "
                            + (heard.readAs().isEmpty()
                                    ? understood.gist()
                                    : String.join(" ", heard.readAs()) + " (" + understood.gist() + ")"),
                    false);
        } else if (!proposed.isEmpty()) {
            sayProposed();
        } else if (reading instanceof Understanding.NotUnderstood not) {
            say(pointing(not), true);
        } else {
            sayNotice();
        }
    }

    private static String either(SpokenLine.Heard heard) {
        return Stream.concat(Stream.of(String.join(" ", heard.readAs())), heard.others().stream())
                .collect(Collectors.joining("  or  "));
    }

    private void sayNotice() {
        Notice notice = workspace.notices().noticeProperty().get();
        if (!notice.text().isEmpty()) {
            say(notice.text(), notice.problem());
        } else {
            say(workspace.undoable().map(name -> "Ctrl+Z: undo " + name).orElse(""), false);
        }
    }

    /** The words that were not understood, between their neighbours, and what was expected. */
    private String pointing(Understanding.NotUnderstood not) {
        String text = line.getText();
        int end = Math.min(text.length(), not.end());
        int start = Math.min(not.start(), end);
        String words = text.substring(start, end).strip();
        boolean said = words.isEmpty() || not.problem().startsWith("\"" + words + "\"");
        return (said ? "" : "«" + shortened(words) + "» ") + not.problem();
    }

    private static String shortened(String words) {
        return words.length() <= 32 ? words : words.substring(0, words.offsetByCodePoints(0, 24)) + "…";
    }

    private void say(String text, boolean problem) {
        answer.setText(text);
        whole.setText(text.replace("  or  ", "\nor "));
        whole.pseudoClassStateChanged(PROBLEM, problem);
        answer.pseudoClassStateChanged(PROBLEM, problem);
    }

    private void carryOut() {
        SpokenLine.Heard heard = heard();
        Understanding reading = heard.understanding();
        if (!heard.others().isEmpty()) {
            understand(); // which is meant has to be said first
        } else if (reading instanceof Understanding.Understood understood) {
            workspace.apply(understood.edit());
            understood.subject().ifPresent(workspace.selection()::choose);
            line.clear();
        } else if (reading instanceof Understanding.NotUnderstood not) {
            line.selectRange(not.start(), Math.min(line.getText().length(), not.end()));
        }
    }
}
