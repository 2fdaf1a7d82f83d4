package ableschema.desktop.brief;

import ableschema.core.brief.BriefEdits;
import ableschema.core.brief.NounCandidates;
import ableschema.core.brief.NounCandidates.Candidate;
import ableschema.core.design.EntityKind;
import ableschema.desktop.controls.Choice;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.workspace.Workspace;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.TextArea;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Plain sentences as they were told, and the words in them that may become entities, each with its kind. */
final class NounPicker extends VBox {

    private final Workspace workspace;
    private final TextArea told = new TextArea();
    private final FlowPane words = new FlowPane(8, 6);
    private final Button make;
    private final Map<String, EntityKind> picked = new LinkedHashMap<>();
    private final FlowPane kindsOfPicked = new FlowPane(14, 6);
    private final ToldList said;
    private final Map<String, EntityKind> kinds = new LinkedHashMap<>();

    NounPicker(Workspace workspace) {
        super(8);
        this.workspace = workspace;
        this.said = new ToldList(workspace, this::keep);
        told.setId("told");
        told.setWrapText(true);
        told.setPrefRowCount(3);
        told.setPromptText(
                "Each keeper looks after several hives. At an inspection the keeper notes how strong the hive is.");
        told.textProperty().addListener((o, before, now) -> list());
        told.focusedProperty().addListener((o, before, focused) -> {
            if (!focused) {
                keep();
            }
        });
        make = Controls.button("make-entities", "Pick words", this::makeEntities);
        make.getStyleClass().add("main-action");
        getChildren().addAll(Controls.text("What was told?", "bench-title"), told, words, kindsOfPicked, make, said);
        list();
    }

    private BriefEdits edits() {
        return new BriefEdits(workspace.design(), workspace.ids());
    }

    private void keep() {
        if (!told.getText().equals(workspace.design().notes().brief().told())) {
            workspace.apply(edits().setTold(told.getText()));
        }
    }

    /** Takes over what the design says, unless it is being typed. */
    void refresh() {
        String kept = workspace.design().notes().brief().told();
        if (!told.isFocused() && !told.getText().equals(kept)) {
            told.setText(kept);
        }
        list();
    }

    private void list() {
        said.show(told.getText());
        List<Candidate> candidates = NounCandidates.of(told.getText(), workspace.design(), said.offers());
        picked.keySet().retainAll(candidates.stream().map(Candidate::noun).toList());
        candidates.stream().filter(Candidate::known).forEach(candidate -> picked.remove(candidate.noun()));
        words.getChildren().setAll(candidates.stream().map(this::word).toList());
        kindsOfPicked
                .getChildren()
                .setAll(picked.entrySet().stream()
                        .map(each -> kindOf(each.getKey(), each.getValue()))
                        .toList());
        make.setVisible(!candidates.isEmpty());
        make.setManaged(!candidates.isEmpty());
        say();
    }

    private void say() {
        make.setDisable(picked.isEmpty());
        make.setText(
                picked.isEmpty()
                        ? "Pick the words that are entities"
                        : "Make " + (picked.size() == 1 ? "an entity of " : picked.size() + " entities: ")
                                + String.join(", ", picked.keySet()));
    }

    private Node word(Candidate candidate) {
        var button = new ToggleButton(candidate.noun());
        button.setId("noun-" + candidate.noun().replace(' ', '-'));
        button.getStyleClass().add("noun");
        button.setDisable(candidate.known());
        button.setSelected(picked.containsKey(candidate.noun()) || candidate.known());
        button.setOnAction(event -> {
            if (button.isSelected()) {
                picked.put(candidate.noun(), kinds.getOrDefault(candidate.noun(), candidate.kind()));
            } else {
                picked.remove(candidate.noun());
            }
            list();
        });
        return button;
    }

    /** The kind of a picked word, to be changed; it stands apart, so that picking a word moves no other. */
    private Node kindOf(String noun, EntityKind now) {
        var kind = Choice.of(now, EntityKind.USUAL, EntityKind::toString, chosen -> {
            kinds.put(noun, chosen);
            picked.put(noun, chosen);
            list();
        });
        kind.setId("kind-" + noun.replace(' ', '-'));
        var pair = new HBox(4, Controls.text(noun, "answer"), kind);
        pair.setAlignment(Pos.CENTER_LEFT);
        return pair;
    }

    private void makeEntities() {
        keep();
        var made = new LinkedHashMap<>(picked);
        picked.clear();
        workspace.apply(edits().makeEntities(made));
        list();
    }
}
