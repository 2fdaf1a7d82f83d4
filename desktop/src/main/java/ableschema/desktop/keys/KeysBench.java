package ableschema.desktop.keys;

import static ableschema.desktop.controls.Controls.text;

import ableschema.core.design.Entity;
import ableschema.core.design.KeyPart;
import ableschema.core.document.Document;
import ableschema.core.finding.Step;
import ableschema.core.keys.KeyCandidate;
import ableschema.core.keys.KeyCandidate.Point;
import ableschema.core.keys.KeyCandidate.Verdict;
import ableschema.core.keys.KeyCandidates;
import ableschema.core.mapping.Mapping;
import ableschema.core.words.Nouns;
import ableschema.core.words.PartNames;
import ableschema.core.words.Sentences;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.workspace.Refresh;
import ableschema.desktop.workspace.Workspace;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.css.PseudoClass;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What tells one row from another: the candidates side by side on the same points, and what each would do to children. */
public final class KeysBench extends ScrollPane {

    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");

    private final Workspace workspace;
    private final VBox content = new VBox();
    private Optional<String> picked = Optional.empty();
    private List<KeyPart> named = List.of();

    public KeysBench(Workspace workspace) {
        this.workspace = workspace;
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
        return workspace.design().entities().stream().filter(e -> e.body().key().isEmpty());
    }

    private void show() {
        content.getChildren().clear();
        entity().ifPresentOrElse(this::show, () -> content.getChildren()
                .add(text("There is no entity yet. Draw one first, such as Apiary.", "hint")));
    }

    private void show(Entity entity) {
        String noun = Nouns.inSentence(entity.name());
        var title = text("What tells one " + noun + " from another?", "bench-title");
        var space = Controls.space();
        var header = new HBox(8, title, space, text(open(), "note"), step("‹", -1), step("›", 1));
        header.setAlignment(Pos.CENTER_LEFT);
        content.getChildren().add(header);
        content.getChildren()
                .add(text(
                        entity.name() + " · " + entity.kind() + " · "
                                + entity.body().rows().size() + " sample rows",
                        "note"));
        List<KeyCandidate> candidates = KeyCandidates.of(workspace.design(), entity, named, workspace.ids());
        KeyCandidate shown = candidates.stream()
                .filter(c -> picked.filter(c.name()::equals).isPresent())
                .findFirst()
                .or(() -> candidates.stream().filter(KeyCandidate::current).findFirst())
                .orElse(candidates.get(0));
        content.getChildren().addAll(Controls.sideways(table(candidates, shown)), another(entity));
        content.getChildren().add(consequences(entity, shown));
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

    private GridPane table(List<KeyCandidate> candidates, KeyCandidate shown) {
        var grid = new GridPane();
        grid.getStyleClass().add("candidates");
        grid.getColumnConstraints().add(column());
        candidates.forEach(each -> grid.getColumnConstraints().add(column()));
        for (int c = 0; c < candidates.size(); c++) {
            KeyCandidate candidate = candidates.get(c);
            boolean lit = candidate == shown;
            grid.add(head(candidate, lit), c + 1, 0);
            for (int p = 0; p < candidate.points().size(); p++) {
                Point point = candidate.points().get(p);
                if (c == 0) {
                    grid.add(cell(text(point.question(), "note"), false), 0, p + 1);
                }
                Node answer = cell(answer(point), lit);
                answer.setOnMouseClicked(event -> pick(candidate));
                grid.add(answer, c + 1, p + 1);
            }
        }
        return grid;
    }

    /** A field for a candidate that was not found: names of attributes and of parents. */
    private Node another(Entity entity) {
        var field = new TextField();
        field.setId("another-key");
        field.setPromptText("another candidate, such as: hive + done at");
        field.setPrefColumnCount(26);
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
        return new HBox(field);
    }

    /** As wide as what stands in it, which is never cut; what does not fit beside the others is scrolled to. */
    private static ColumnConstraints column() {
        var column = new ColumnConstraints();
        column.setMinWidth(Region.USE_PREF_SIZE);
        column.setHgrow(Priority.ALWAYS);
        return column;
    }

    private void pick(KeyCandidate candidate) {
        picked = Optional.of(candidate.name());
        show();
    }

    private Node head(KeyCandidate candidate, boolean lit) {
        var name = text(candidate.name(), "candidate-name");
        name.setUnderline(true);
        var box = new VBox(
                2, name, text(candidate.current() ? candidate.note() + " · the key now" : candidate.note(), "note"));
        box.getStyleClass().add("candidate-head");
        box.setMaxWidth(Double.MAX_VALUE);
        box.pseudoClassStateChanged(CHOSEN, lit);
        box.setId("candidate-" + candidate.name().replaceAll("[^\\p{L}\\p{Nd}]+", "-"));
        Controls.pressable(box, () -> pick(candidate));
        return box;
    }

    private static Node cell(Node inside, boolean lit) {
        var box = new HBox(inside);
        box.setAlignment(Pos.CENTER_LEFT);
        box.getStyleClass().add("candidate-cell");
        box.setMaxWidth(Double.MAX_VALUE);
        box.pseudoClassStateChanged(CHOSEN, lit);
        return box;
    }

    private static Node answer(Point point) {
        String sign = point.verdict() == Verdict.GOOD ? "✓" : point.verdict() == Verdict.BAD ? "✕" : "–";
        String style = point.verdict() == Verdict.GOOD ? "holds" : point.verdict() == Verdict.BAD ? "fails" : "neither";
        var box = new HBox(
                6, text(sign, style), text(point.answer(), point.verdict() == Verdict.BAD ? "fails" : "answer"));
        box.setAlignment(Pos.CENTER_LEFT);
        return box;
    }

    private Node consequences(Entity entity, KeyCandidate shown) {
        var box = new VBox(8);
        box.getStyleClass().add("consequences");
        var title =
                new HBox(10, text("If it is " + shown.name(), "candidate-name"), text("what every child gets", "note"));
        title.setAlignment(Pos.BASELINE_LEFT);
        title.setPadding(new Insets(0, 0, 8, 0)); // the verbs of the picture below stand above its lines
        box.getChildren().add(title);
        Document after = shown.choice().applyTo(workspace.document());
        Mapping mapping = after.mapping(workspace.mapping());
        boolean referred = mapping.trace()
                .tableOf(entity.id())
                .filter(table -> mapping.schema().referencesTo(table).findAny().isPresent())
                .isPresent();
        box.getChildren()
                .add(
                        referred
                                ? new ChildrenPicture(after, mapping, entity.id(), Math.max(400, getWidth() - 44))
                                : text("No table refers to " + entity.name() + " yet.", "hint"));
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
        var line = new HBox(make);
        line.setAlignment(Pos.CENTER_RIGHT);
        box.getChildren().add(line);
        return box;
    }
}
