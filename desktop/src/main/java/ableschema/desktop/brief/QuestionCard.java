package ableschema.desktop.brief;

import ableschema.core.brief.Answer;
import ableschema.core.brief.BriefEdits;
import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.design.Question;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.controls.Fields;
import ableschema.desktop.workspace.Workspace;
import java.util.Locale;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** One question: what answers it, whether that is joined by relationships, and the SELECT. */
final class QuestionCard extends VBox {

    private static final int MOST = 24;

    private final Workspace workspace;
    private final Question question;
    private final FlowPane attributes = new FlowPane(12, 4);

    QuestionCard(Workspace workspace, Question question, boolean open, Consumer<Id> toggle) {
        this.workspace = workspace;
        this.question = question;
        getStyleClass().add("question");
        setId("question-" + question.id().code());
        TextField text = Fields.text(
                "text-" + question.id().code(),
                question.text(),
                "a question",
                typed -> workspace.apply(typed.isEmpty() ? edits().drop(question) : edits().reword(question, typed)));
        HBox.setHgrow(text, Priority.ALWAYS);
        Button answers = Controls.button(
                "answers-" + question.id().code(),
                open ? "done" : "what answers it",
                () -> toggle.accept(question.id()));
        Button drop =
                Controls.button("drop-" + question.id().code(), "drop", () -> workspace.apply(edits().drop(question)));
        var line = new HBox(8, text, answers, drop);
        line.setAlignment(Pos.CENTER_LEFT);
        Answer answer = Answer.of(question, workspace.mapping(), workspace.dialect());
        getChildren().addAll(line, state(answer));
        if (open) {
            addChoice();
        }
        if (!answer.isOpen()) {
            Label sql = Controls.text(answer.select(), "question-sql");
            sql.setMinHeight(Region.USE_PREF_SIZE);
            sql.setWrapText(true);
            getChildren().add(sql);
        }
    }

    private BriefEdits edits() {
        return new BriefEdits(workspace.design(), workspace.ids());
    }

    private static Label state(Answer answer) {
        Label state = answer.isOpen()
                ? Controls.text("Open: nothing in the design answers it yet.", "neither")
                : answer.isJoined()
                        ? Controls.text("Answered, and joined by relationships.", "holds")
                        : Controls.text(
                                "No relationship leads to " + String.join(", ", answer.apart())
                                        + ": relate it on the sheet.",
                                "fails");
        state.setWrapText(true);
        return state;
    }

    private void addChoice() {
        var filter = new TextField();
        filter.setId("filter-" + question.id().code());
        filter.setPromptText("find attributes: known as, treatment");
        filter.textProperty().addListener((o, before, now) -> list(now));
        list("");
        getChildren().addAll(filter, attributes);
    }

    /** Those that answer already, then those that match what is typed. */
    private void list(String typed) {
        Design design = workspace.design();
        String[] words = typed.strip().toLowerCase(Locale.ROOT).split("\\s+");
        Stream<Id> answering =
                question.answers().stream().filter(id -> design.attribute(id).isPresent());
        Stream<Id> others = Stream.concat(
                        design.inScope().entities().stream().map(e -> e.id()),
                        design.relationships().stream()
                                .filter(r -> r.isManyToMany())
                                .map(r -> r.id()))
                .flatMap(owner -> design.body(owner).orElse(Body.EMPTY).attributes().stream())
                .map(Attribute::id)
                .filter(id -> !question.answers().contains(id))
                .filter(id -> Stream.of(words).allMatch(called(id).toLowerCase(Locale.ROOT)::contains));
        attributes
                .getChildren()
                .setAll(Stream.concat(answering, others)
                        .limit(MOST)
                        .map(this::tick)
                        .toList());
    }

    private String called(Id attribute) {
        Design design = workspace.design();
        String owner = design.ownerOf(attribute).map(design::nameOf).orElse("");
        return design.attribute(attribute).map(Attribute::name).orElse("?") + " of " + owner;
    }

    private CheckBox tick(Id attribute) {
        var box = new CheckBox(called(attribute));
        box.setId("tick-" + attribute.code());
        box.setMnemonicParsing(false);
        box.setSelected(question.answers().contains(attribute));
        box.setOnAction(event -> workspace.apply(edits().setAnswer(question, attribute, box.isSelected())));
        return box;
    }
}
