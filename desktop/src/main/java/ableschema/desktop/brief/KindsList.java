package ableschema.desktop.brief;

import ableschema.core.design.Entity;
import ableschema.core.design.EntityKind;
import ableschema.core.finding.Step;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.workspace.Workspace;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** The entities by kind, so that one sees whether a kind has been missed. */
final class KindsList extends VBox {

    private static final double KIND_WIDTH = 96;
    private static final int MOST_OF_A_KIND = 60;

    /** What to ask where there is none of a kind. */
    private static final Map<EntityKind, String> QUESTIONS = Map.of(
            EntityKind.PERSON, "none yet: who does something, or is it done for?",
            EntityKind.EVENT, "none yet: what happens, and when?",
            EntityKind.PLACE, "none yet: where does it happen?",
            EntityKind.THING, "none yet: what is used, made or looked after?");

    private final Workspace workspace;

    KindsList(Workspace workspace) {
        super(4);
        this.workspace = workspace;
        setId("kinds");
    }

    /** Shows the entities as they are now; with none at all there is nothing to show. */
    void refresh() {
        getChildren().clear();
        Map<EntityKind, List<Entity>> byKind = byKind();
        if (byKind.values().stream().allMatch(List::isEmpty)) {
            return;
        }
        getChildren().add(Controls.text("Has a kind been missed?", "bench-title"));
        byKind.forEach((kind, entities) -> getChildren().add(row(kind, entities)));
    }

    /** The usual kinds even where they are empty, then those that the designer has named, then those not yet said. */
    private Map<EntityKind, List<Entity>> byKind() {
        List<Entity> all = workspace.design().inScope().entities();
        var byKind = new LinkedHashMap<EntityKind, List<Entity>>();
        Stream<EntityKind> own = all.stream().map(Entity::kind).filter(EntityKind::isSaid);
        Stream.concat(EntityKind.USUAL.stream(), own).distinct().forEach(kind -> byKind.put(kind, ofKind(all, kind)));
        List<Entity> unsaid = ofKind(all, EntityKind.UNSAID);
        if (!unsaid.isEmpty()) {
            byKind.put(EntityKind.UNSAID, unsaid);
        }
        return byKind;
    }

    private static List<Entity> ofKind(List<Entity> all, EntityKind kind) {
        return all.stream().filter(entity -> entity.kind().equals(kind)).toList();
    }

    private Node row(EntityKind kind, List<Entity> entities) {
        Label name = Controls.text(kind.toString(), "note");
        name.setMinWidth(KIND_WIDTH);
        var names = new FlowPane(12, 2);
        names.setPrefWrapLength(560);
        for (Entity entity : entities.subList(0, Math.min(MOST_OF_A_KIND, entities.size()))) {
            Label each = Controls.text(entity.name(), "answer");
            Controls.pressable(each, () -> {
                workspace.selection().choose(entity.id());
                workspace.stepProperty().set(Step.DRAW);
            });
            names.getChildren().add(each);
        }
        if (entities.size() > MOST_OF_A_KIND) {
            names.getChildren().add(Controls.text("and " + (entities.size() - MOST_OF_A_KIND) + " more", "neither"));
        }
        if (entities.isEmpty()) {
            names.getChildren().add(Controls.text(QUESTIONS.getOrDefault(kind, ""), "neither"));
        }
        var row = new HBox(8, name, names);
        row.setAlignment(Pos.BASELINE_LEFT);
        return row;
    }
}
