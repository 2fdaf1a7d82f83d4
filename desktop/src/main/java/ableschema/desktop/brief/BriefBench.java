package ableschema.desktop.brief;

import ableschema.core.brief.BriefEdits;
import ableschema.core.brief.EventRules;
import ableschema.core.design.Brief;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.Question;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Step;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.controls.Fields;
import ableschema.desktop.workspace.Refresh;
import ableschema.desktop.workspace.Workspace;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** The first step: what the database is for, what people must find out from it, and what was told; beside it the sentences. */
public final class BriefBench extends VBox {

    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");

    private final Workspace workspace;
    private final VBox top = new VBox(8);
    private final VBox asked = new VBox(4);
    private final VBox aside = new VBox(4);
    private final NounPicker nouns;
    private final KindsList kinds;
    private final Set<Id> opened = new HashSet<>();
    private final Refresh refresh;

    public BriefBench(Workspace workspace) {
        this.workspace = workspace;
        this.nouns = new NounPicker(workspace);
        this.kinds = new KindsList(workspace);
        setId("brief-bench");
        var begin = begin();
        var sentences = new SentencesList(workspace);
        var pages = new StackPane(begin, sentences);
        VBox.setVgrow(pages, Priority.ALWAYS);
        Button first = Controls.button("brief-begin", "Beginning", () -> {});
        Button second = Controls.button("brief-sentences", "Sentences", () -> {});
        choosing(first, begin, second, sentences);
        choosing(second, sentences, first, begin);
        first.fire();
        var header = new HBox(10, first, second);
        header.getStyleClass().add("sheet-header");
        header.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(header, pages);
        this.refresh = Refresh.of(workspace, Step.BRIEF, this, this::build);
    }

    private static void choosing(Button button, Node page, Button other, Node otherPage) {
        button.getStyleClass().setAll("header-button");
        button.setOnAction(event -> {
            page.setVisible(true);
            otherPage.setVisible(false);
            button.pseudoClassStateChanged(CHOSEN, true);
            other.pseudoClassStateChanged(CHOSEN, false);
        });
    }

    private ScrollPane begin() {
        var body = new VBox(top, nouns, kinds, new TablePaste(workspace), asked, aside);
        body.getStyleClass().add("bench");
        var scroll = new ScrollPane(body);
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add("bench-scroll");
        return scroll;
    }

    private BriefEdits edits() {
        return new BriefEdits(workspace.design(), workspace.ids());
    }

    private void build() {
        Brief brief = workspace.design().notes().brief();
        top.getChildren().clear();
        top.getChildren()
                .addAll(
                        Controls.text("What is it for?", "bench-title"),
                        Fields.paragraph(
                                "purpose",
                                brief.purpose(),
                                "Who keeps which facts, and why: so that keepers know what was done to each hive, and when.",
                                typed -> workspace.apply(edits().setPurpose(typed))),
                        Controls.text("What must people be able to find out?", "bench-title"));
        for (Question question : brief.questions()) {
            top.getChildren().add(new QuestionCard(workspace, question, opened.contains(question.id()), this::toggle));
        }
        top.getChildren().add(ask());
        buildAsked();
        buildAside();
        nouns.refresh();
        kinds.refresh();
    }

    private void toggle(Id question) {
        if (!opened.remove(question)) {
            opened.add(question);
        }
        refresh.later();
    }

    private Node ask() {
        var field = new TextField();
        field.setId("ask");
        field.setPromptText("Which hives has a keeper treated since spring?");
        field.setOnAction(event -> {
            String text = field.getText().strip();
            if (!text.isEmpty()) {
                field.clear();
                workspace.apply(edits().ask(text));
            }
        });
        return field;
    }

    private void buildAsked() {
        List<Finding> findings = workspace.review().open().stream()
                .filter(each ->
                        each.rule() == EventRules.WITHOUT_MOMENT || each.rule() == EventRules.WITHOUT_PARTICIPANT)
                .toList();
        asked.getChildren().clear();
        if (!findings.isEmpty()) {
            asked.getChildren().add(Controls.text("To be asked of events", "bench-title"));
        }
        for (Finding finding : findings) {
            var line = Controls.text(finding.text(), "neither");
            line.setWrapText(true);
            Controls.pressable(line, () -> {
                workspace.selection().choose(finding.place().owner());
                workspace.stepProperty().set(Step.DRAW);
            });
            asked.getChildren().add(line);
        }
    }

    private void buildAside() {
        aside.getChildren().clear();
        List<Entity> parked =
                workspace.design().entities().stream().filter(Entity::parked).toList();
        if (!parked.isEmpty()) {
            aside.getChildren().add(Controls.text("Set aside for now", "bench-title"));
        }
        for (Entity entity : parked) {
            Button back = Controls.button(
                    "take-back-" + entity.id().code(),
                    "take back",
                    () -> workspace.apply(workspace.edits().setParked(entity, false)));
            var line = new HBox(10, Controls.text(entity.name(), "answer"), back);
            line.setAlignment(Pos.CENTER_LEFT);
            aside.getChildren().add(line);
        }
    }
}
