package ableschema.desktop.keys;

import static ableschema.desktop.controls.Controls.text;

import ableschema.core.design.Attribute;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.KeyPart;
import ableschema.core.design.KeyQuestion;
import ableschema.core.design.Notes;
import ableschema.core.document.Document;
import ableschema.core.edit.ChangeNotes;
import ableschema.core.finding.Step;
import ableschema.core.keys.KeyAdvice;
import ableschema.core.keys.KeyCandidate;
import ableschema.core.keys.KeyCandidates;
import ableschema.core.keys.KeyReach;
import ableschema.core.mapping.Keys;
import ableschema.core.mapping.Mapping;
import ableschema.core.words.Nouns;
import ableschema.core.words.PartNames;
import ableschema.core.words.Sentences;
import ableschema.desktop.controls.BeforeAfterFold;
import ableschema.desktop.controls.Choice;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.controls.Ends;
import ableschema.desktop.workspace.Outcomes;
import ableschema.desktop.workspace.Refresh;
import ableschema.desktop.workspace.Workspace;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What tells one row from another: the candidates side by side on the same points, and what each would do to children. */
public final class KeysBench extends ScrollPane {

    private static final String NOT_SAID = "not said";
    private static final int MOST_CLASHES = 3;
    private static final int MOST_REACHED = 12;

    private final Workspace workspace;
    private final VBox content = new VBox();
    private final BeforeAfterFold fold = new BeforeAfterFold();
    private final Outcomes outcomes;
    private Optional<String> picked = Optional.empty();
    private List<KeyPart> named = List.of();

    public KeysBench(Workspace workspace) {
        this.workspace = workspace;
        this.outcomes = new Outcomes(workspace);
        setId("keys-bench");
        getStyleClass().add("bench-scroll");
        content.getStyleClass().add("bench");
        setContent(content);
        setFitToWidth(true);
        Refresh refresh = Refresh.of(workspace, Step.KEYS, this, this::show);
        workspace.selection().chosenProperty().addListener((o, before, now) -> {
            picked = Optional.empty();
            named = List.of();
            refresh.later();
        });
    }

    private Optional<Entity> entity() {
        return workspace
                .selection()
                .chosenEntity()
                .or(() -> keyless().findFirst())
                .or(() -> workspace.design().entities().stream().findFirst());
    }

    private Stream<Entity> keyless() {
        var keys = new Keys(workspace.design());
        return workspace.design().entities().stream().filter(e -> e.body().key().isEmpty() || keys.isInCircle(e));
    }

    private void show() {
        content.getChildren().clear();
        entity().ifPresentOrElse(this::show, () -> content.getChildren()
                .add(text("There is no entity yet. Draw one first, such as Apiary.", "hint")));
    }

    private void show(Entity entity) {
        String noun = Nouns.inSentence(entity.name());
        var title = text("What tells one " + noun + " from another?", "bench-title");
        title.setWrapText(true);
        title.setMinHeight(Region.USE_PREF_SIZE);
        HBox.setHgrow(title, Priority.ALWAYS);
        title.setMaxWidth(Double.MAX_VALUE);
        var open = text(open(), "note");
        open.setMinWidth(Region.USE_PREF_SIZE);
        var header = new HBox(8, title, open, step("‹", -1), step("›", 1));
        header.setAlignment(Pos.CENTER_LEFT);
        content.getChildren().add(header);
        content.getChildren()
                .add(text(
                        entity.name() + " · " + entity.kind() + " · "
                                + entity.body().rows().size() + " sample rows",
                        "note"));
        List<KeyCandidate> candidates =
                KeyCandidates.of(workspace.design(), entity, workspace.dialect(), named, workspace.ids());
        KeyCandidate shown = candidates.stream()
                .filter(c -> picked.filter(c.name()::equals).isPresent())
                .findFirst()
                .or(() -> candidates.stream().filter(KeyCandidate::current).findFirst())
                .orElse(candidates.get(0));
        Optional<KeyAdvice> advice = KeyAdvice.of(candidates);
        var table = new CandidateTable(
                candidates, shown, advice.map(KeyAdvice::candidate), this::pick, (candidate, point) -> point.asks()
                        .ifPresent(question -> turn(candidate, question)));
        content.getChildren().addAll(places(entity), Controls.sideways(table));
        advice.ifPresent(each -> content.getChildren().add(said(each)));
        clashes(shown).ifPresent(content.getChildren()::add);
        content.getChildren().add(consequences(entity, shown));
        if (!shown.current()) {
            fold.show(show -> outcomes.of(shown.choice(), show), workspace.dialect());
            content.getChildren().addAll(fold.handle(), fold);
        }
    }

    private String open() {
        long open = keyless().count();
        return open == 0
                ? "every entity has a key"
                : open + " of " + workspace.design().entities().size() + " undecided";
    }

    private Button step(String sign, int by) {
        var button = new Button(sign);
        button.getStyleClass().setAll("step-through");
        button.setAccessibleText(by < 0 ? "entity before" : "next entity");
        button.setOnAction(event -> entity().ifPresent(current -> {
            List<Entity> all = workspace.design().entities();
            workspace
                    .selection()
                    .choose(all.get(Math.floorMod(all.indexOf(current) + by, all.size()))
                            .id());
        }));
        return button;
    }

    /** A field for a candidate that was not found: names of attributes and of parents. */
    private Node another(Entity entity) {
        var field = new TextField();
        field.setId("another-key");
        List<String> own = entity.body().attributes().stream()
                .map(Attribute::name)
                .limit(2)
                .toList();
        field.setPromptText("another: " + (own.size() < 2 ? "name + day" : String.join(" + ", own)));
        field.setPrefColumnCount(14);
        field.setOnAction(event -> {
            try {
                List<KeyPart> parts = new PartNames(workspace.design(), entity.id()).read(field.getText());
                workspace.selection().choose(entity.id());
                var sentences = new Sentences(workspace.design());
                named = parts;
                picked = Optional.of(
                        String.join(" + ", parts.stream().map(sentences::called).toList()));
                show();
            } catch (IllegalArgumentException e) {
                workspace.notices().complain(String.valueOf(e.getMessage()));
            }
        });
        return field;
    }

    /** The question about the entity as a whole. */
    private Node places(Entity entity) {
        Optional<Boolean> answer = workspace.design().notes().answer(entity.id(), KeyQuestion.SEVERAL_PLACES);
        Choice choice = Choice.of(
                answer.map(yes -> yes ? "yes" : "no").orElse(NOT_SAID),
                List.of(NOT_SAID, "yes", "no"),
                each -> each,
                each -> answer(
                        List.of(entity.id()),
                        KeyQuestion.SEVERAL_PLACES,
                        each.equals(NOT_SAID) ? Optional.empty() : Optional.of(each.equals("yes"))));
        choice.setId("several-places");
        var asked = new HBox(8, text(KeyQuestion.SEVERAL_PLACES.text(), "note"), choice);
        asked.setAlignment(Pos.CENTER_LEFT);
        asked.setMinWidth(Region.USE_PREF_SIZE);
        var line = new FlowPane(24, 4, asked, another(entity)); // one below the other where there is no room
        line.setRowValignment(VPos.CENTER);
        return line;
    }

    /** From not said to yes, to no, and to not said again; of a candidate of several attributes for all of them. */
    private void turn(KeyCandidate candidate, KeyQuestion question) {
        List<Id> attributes = candidate.parts().stream()
                .filter(ColumnRef.Own.class::isInstance)
                .map(part -> ((ColumnRef.Own) part).id())
                .toList();
        Optional<Boolean> now = workspace.design().notes().answer(attributes.get(0), question);
        answer(
                attributes,
                question,
                now.isEmpty() ? Optional.of(true) : now.filter(yes -> yes).map(yes -> false));
    }

    private void answer(List<Id> about, KeyQuestion question, Optional<Boolean> yes) {
        Notes notes = workspace.design().notes();
        for (Id each : about) {
            notes = notes.withAnswer(each, question, yes);
        }
        String names = Sentences.listed(about.stream().map(this::called).toList());
        workspace.apply(new ChangeNotes(
                notes,
                "answer “" + question.text() + "” for " + names + ": "
                        + yes.map(y -> y ? "yes" : "no").orElse(NOT_SAID)));
    }

    private String called(Id thing) {
        return workspace.design().attribute(thing).map(Attribute::name).orElseGet(() -> workspace
                .design()
                .nameOf(thing));
    }

    private static Node said(KeyAdvice advice) {
        var since = text("Our advice: " + advice.candidate().name() + ", since " + advice.since() + ".", "advised");
        since.setId("key-advice");
        since.setWrapText(true);
        var box = new VBox(2, since);
        if (!advice.against().isEmpty()) {
            var against = text("Against it: " + advice.against() + ".", "note");
            against.setWrapText(true);
            box.getChildren().add(against);
        }
        return box;
    }

    /** Which rows a candidate does not tell apart. */
    private static Optional<Node> clashes(KeyCandidate shown) {
        if (shown.clashes().isEmpty()) {
            return Optional.empty();
        }
        var box = new VBox(2);
        box.setId("key-clashes");
        shown.clashes().stream()
                .limit(MOST_CLASHES)
                .map(each -> "Rows "
                        + Sentences.listed(each.rows().stream()
                                .limit(6)
                                .map(String::valueOf)
                                .toList())
                        + (each.rows().size() > 6 ? " and more" : "") + " are alike: "
                        + String.join(" · ", each.values()))
                .forEach(line -> box.getChildren().add(text(line, "fails")));
        int more = shown.clashes().size() - MOST_CLASHES;
        if (more > 0) {
            box.getChildren().add(text("and " + more + " more of these", "note"));
        }
        return Optional.of(box);
    }

    /** What follows in this table and in all that refer to it, over every level. */
    private Optional<Node> reach(Entity entity, KeyCandidate shown) {
        List<KeyReach> reaches = KeyReach.of(shown.choice(), workspace.document(), workspace.mapping(), entity.id());
        if (shown.current() || reaches.isEmpty()) {
            return Optional.empty();
        }
        var box = new VBox(2, text("What follows, undone in one step", "note"));
        box.setId("key-reach");
        for (KeyReach each : reaches.stream().limit(MOST_REACHED).toList()) {
            String rows = each.rows() == 0 ? "" : each.rows() == 1 ? "; 1 row" : "; " + each.rows() + " rows";
            var line = text(each.table() + ": " + String.join("; ", each.changes()) + rows, "answer");
            line.setWrapText(true);
            line.setPadding(new Insets(0, 0, 0, 12 * Math.min(each.level(), 6)));
            box.getChildren().add(line);
        }
        if (reaches.size() > MOST_REACHED) {
            box.getChildren().add(text("and " + (reaches.size() - MOST_REACHED) + " more tables", "note"));
        }
        return Optional.of(box);
    }

    private void pick(KeyCandidate candidate) {
        picked = Optional.of(candidate.name());
        show();
    }

    private Node consequences(Entity entity, KeyCandidate shown) {
        var box = new VBox(8);
        box.getStyleClass().add("consequences");
        var what = text("If it is " + shown.name(), "candidate-name");
        what.setWrapText(true);
        var gets = text("what every child gets", "note");
        gets.setMinWidth(Region.USE_PREF_SIZE);
        var said = new HBox(10, what, gets);
        said.setAlignment(Pos.CENTER_LEFT);
        var title = new Ends(said, make(entity, shown));
        VBox.setMargin(title, new Insets(0, 0, 8, 0)); // the verbs of the picture below stand above its lines
        box.getChildren().add(title);
        Document after = shown.choice().applyTo(workspace.document());
        Mapping mapping = after.mapping(workspace.mapping());
        boolean referred = mapping.trace()
                .tableOf(entity.id())
                .filter(table -> mapping.schema().referencesTo(table).findAny().isPresent())
                .isPresent();
        if (referred) {
            var picture = new ChildrenPicture(after, mapping, entity.id(), Math.max(400, getWidth() - 44));
            box.getChildren().add(picture);
            if (picture.left() > 0) {
                box.getChildren()
                        .add(text("and " + picture.left() + " more tables refer to it, each in the same way", "note"));
            }
        } else {
            boolean circle = after.design()
                    .entity(entity.id())
                    .filter(new Keys(after.design())::isInCircle)
                    .isPresent();
            box.getChildren()
                    .add(text(
                            circle
                                    ? "This key leads back to " + entity.name() + ", so that no table can refer to it."
                                    : "No table refers to " + entity.name() + " yet.",
                            "hint"));
        }
        reach(entity, shown).ifPresent(box.getChildren()::add);
        return box;
    }

    private Button make(Entity entity, KeyCandidate shown) {
        var make = new Button(shown.current() ? shown.name() + " is the key" : "Make " + shown.name() + " the key ↵");
        make.setId("make-key");
        make.getStyleClass().add("main-action");
        make.setDefaultButton(!shown.current());
        make.setDisable(shown.current());
        make.setOnAction(event -> {
            picked = Optional.empty();
            workspace.selection().choose(entity.id());
            workspace.apply(shown.choice());
        });
        return make;
    }
}
