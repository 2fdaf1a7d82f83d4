package ableschema.desktop.review;

import ableschema.core.design.Id;
import ableschema.core.document.Edit;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Remedy;
import ableschema.core.finding.Step;
import ableschema.core.review.Outcome;
import ableschema.core.review.PlaceText;
import ableschema.core.review.ReviewEdits;
import ableschema.core.review.Rules;
import ableschema.core.review.Terms;
import ableschema.desktop.controls.BeforeAfter;
import ableschema.desktop.controls.Choice;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.controls.TermText;
import ableschema.desktop.workspace.Outcomes;
import ableschema.desktop.workspace.Workspace;
import java.util.List;
import java.util.Optional;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** One finding: why, where, before and after, and the ways on: mend it, set it aside with a reason, go to the next. */
final class FindingView extends VBox {

    /** Of more tables it takes longer to work out what a remedy would do. */
    private final Workspace workspace;

    private final Outcomes outcomes;
    private final Runnable next;
    private final VBox body = new VBox(10);
    private final VBox outcome = new VBox();
    /** The ways on, in view whatever stands above them. */
    private final FlowPane ways = new FlowPane(10, 6);

    private Optional<Finding> shown = Optional.empty();
    private Optional<Remedy> remedy = Optional.empty();
    private String given = "";

    /** The edit of which it is being worked out what it would do. */
    FindingView(Workspace workspace, Runnable next) {
        super(10);
        this.workspace = workspace;
        this.outcomes = new Outcomes(workspace);
        this.next = next;
        setId("finding");
        body.getStyleClass().add("finding");
        outcome.setMinWidth(0);
        var scroll = new ScrollPane(body);
        scroll.setFitToWidth(true);
        scroll.setMinWidth(0);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        getChildren().addAll(scroll, ways);
    }

    void showNothing(String said) {
        shown = Optional.empty();
        remedy = Optional.empty();
        body.getChildren().setAll(Controls.text(said, "hint"));
        ways.getChildren().clear();
    }

    /** Shows a finding; of the same one again, the remedy that was picked stays. */
    void show(Finding finding) {
        boolean same = shown.filter(
                        each -> each.rule() == finding.rule() && each.place().equals(finding.place()))
                .isPresent();
        shown = Optional.of(finding);
        String picked = remedy.map(Remedy::title).orElse("");
        remedy = finding.remedies().stream()
                .filter(each -> same && each.title().equals(picked))
                .findFirst()
                .or(() -> finding.remedies().stream().findFirst());
        if (!same || remedy.filter(each -> each.title().equals(picked)).isEmpty()) {
            given = remedy.map(Remedy::proposal).orElse("");
        }
        build(finding);
    }

    private void build(Finding finding) {
        body.getChildren().clear();
        Label title = Controls.text(finding.rule().title(), "bench-title");
        title.setId("finding-title");
        title.setWrapText(true);
        title.setMinHeight(Region.USE_PREF_SIZE);
        var text = new TermText(finding.text() + " " + finding.rule().why(), terms(finding));
        text.setId("finding-why");
        body.getChildren().addAll(title, text, where(finding));
        if (finding.remedies().isEmpty()) {
            Label none = Controls.text(
                    "There is no remedy to press here: it is mended in the step "
                            + finding.step().label() + ", or set aside.",
                    "note");
            none.setWrapText(true);
            none.setMinHeight(Region.USE_PREF_SIZE);
            body.getChildren().add(none);
        } else {
            outcome.getChildren().clear();
            body.getChildren().addAll(remedies(finding), outcome);
            // what it would do takes longer to work out, so that the finding itself is shown first
            Platform.runLater(() -> shown.filter(each -> each == finding).ifPresent(this::showOutcome));
        }
        showWays(finding);
    }

    private Terms terms(Finding finding) {
        return new Terms(
                workspace.mapping(), workspace.trace().tableOf(finding.place().owner()));
    }

    /** Its place, which leads to the sheet. */
    private Node where(Finding finding) {
        PlaceText place = PlaceText.of(finding.place(), workspace.design(), workspace.mapping());
        var evidence = Controls.text(sentence(finding.evidence()), "note");
        evidence.setWrapText(true);
        evidence.setMinHeight(Region.USE_PREF_SIZE);
        Id owner = finding.place().owner();
        if (!workspace.design().knows(owner)) {
            return evidence;
        }
        var link = new Hyperlink("show " + place.label() + " on the sheet");
        link.setId("show-on-sheet");
        link.setOnAction(event -> {
            workspace.stepProperty().set(Step.DRAW);
            workspace.selection().choose(owner);
        });
        return finding.evidence().isEmpty() ? link : new VBox(2, evidence, link);
    }

    private static String sentence(String words) {
        String end = words.isEmpty() || words.endsWith(".") ? "" : ".";
        return words.isEmpty() ? "" : Character.toUpperCase(words.charAt(0)) + words.substring(1) + end;
    }

    private Node remedies(Finding finding) {
        var line = new FlowPane(10, 4);
        line.setAlignment(Pos.CENTER_LEFT);
        line.setId("remedies");
        line.setMinWidth(0);
        line.getChildren().add(Controls.text("Remedy", "section"));
        Choice choice = Choice.of(
                remedy.map(Remedy::title).orElse(""),
                finding.remedies().stream().map(Remedy::title).toList(),
                title -> title,
                title -> pick(finding, title));
        choice.setId("remedy");
        line.getChildren().add(choice);
        remedy.filter(each -> !each.asks().isEmpty()).ifPresent(each -> {
            var field = new TextField(given);
            field.setId("remedy-given");
            field.setPrefColumnCount(12);
            field.setOnAction(event -> adjust(finding, field.getText().strip()));
            field.focusedProperty().addListener((o, before, focused) -> {
                if (!focused && !field.getText().strip().equals(given)) {
                    adjust(finding, field.getText().strip());
                }
            });
            line.getChildren().addAll(Controls.text(each.asks(), "note"), field);
        });
        return line;
    }

    private void pick(Finding finding, String title) {
        remedy = finding.remedies().stream()
                .filter(each -> each.title().equals(title))
                .findFirst();
        given = remedy.map(Remedy::proposal).orElse("");
        build(finding);
    }

    private void adjust(Finding finding, String text) {
        if (text.isEmpty()) {
            workspace
                    .notices()
                    .complain("the remedy needs a " + remedy.map(Remedy::asks).orElse("text") + " to go on");
        } else {
            given = text;
            showOutcome(finding); // and nothing else: a button may be about to be released
        }
    }

    private void showOutcome(Finding finding) {
        outcomes.of(edit(finding), this::showOutcome);
    }

    private void showOutcome(Outcome would) {
        outcome.getChildren().setAll(new BeforeAfter(would, workspace.dialect()));
    }

    private Edit edit(Finding finding) {
        Remedy picked = remedy.orElse(finding.remedies().get(0));
        return picked.making().edit(workspace.design(), workspace.ids(), given);
    }

    private void showWays(Finding finding) {
        var reason = new TextField();
        reason.setId("set-aside");
        reason.setPromptText("set aside, because …");
        reason.setPrefColumnCount(14);
        reason.setOnAction(event -> setAside(finding, reason.getText().strip()));
        ways.setAlignment(Pos.CENTER_LEFT);
        ways.setMinWidth(0);
        ways.setMinHeight(Region.USE_PREF_SIZE);
        ways.getChildren().setAll(reason, Controls.button("next-finding", "Next", next));
        if (!finding.remedies().isEmpty()) {
            Button mend = Controls.button("mend", "Mend it ↵", this::mend);
            mend.getStyleClass().add("main-action");
            ways.getChildren().add(mend);
            List<Finding> alike = alike(finding);
            if (alike.size() > 1) {
                ways.getChildren()
                        .add(Controls.button(
                                "mend-all", "Mend all " + alike.size() + " of these", () -> mendAll(alike)));
            }
        }
    }

    /** All findings of the rule that the picked remedy could mend as it stands. */
    private List<Finding> alike(Finding finding) {
        String title = remedy.map(Remedy::title).orElse("");
        return workspace.review().open().stream()
                .filter(each -> each.rule() == finding.rule())
                .filter(each ->
                        each.remedies().stream().anyMatch(one -> one.title().equals(title)))
                .toList();
    }

    private void mendAll(List<Finding> alike) {
        workspace.apply(ReviewEdits.mendAll(
                workspace.document(), alike, remedy.map(Remedy::title).orElse(""), workspace.ids()));
    }

    /** Carries out the picked remedy of what is shown. */
    void mend() {
        shown.filter(each -> !each.remedies().isEmpty()).ifPresent(each -> {
            Edit edit = edit(each);
            workspace.apply(edit);
            workspace.notices().say("mended: " + edit.name());
        });
    }

    private void setAside(Finding finding, String reason) {
        if (reason.isEmpty()) {
            workspace.notices().complain("say why this is as it should be, so that the next reader knows");
        } else {
            workspace.apply(ReviewEdits.setAside(workspace.design(), finding, reason));
        }
    }

    /** What was set aside, with its reason and the way back. */
    void show(Entry.Aside entry) {
        showNothing("");
        String title = Rules.named(entry.aside().rule())
                .map(rule -> rule.title())
                .orElse("There is no rule " + entry.aside().rule());
        String state = entry.finding()
                .map(Finding::text)
                .orElse(
                        "Nothing of the kind is found there any more: the rule or the place is gone, or it was mended.");
        Label text = Controls.text(state, "answer");
        text.setWrapText(true);
        Label because = Controls.text("Set aside, because: " + entry.aside().reason(), "note");
        because.setWrapText(true);
        body.getChildren().setAll(Controls.text(title, "bench-title"), text, because);
        ways.getChildren()
                .setAll(Controls.button(
                        "take-back",
                        entry.finding().isPresent() ? "Take back" : "Drop it",
                        () -> workspace.apply(ReviewEdits.takeBack(workspace.design(), entry.aside()))));
    }
}
