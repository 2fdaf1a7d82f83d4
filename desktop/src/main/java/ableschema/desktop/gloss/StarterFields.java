package ableschema.desktop.gloss;

import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.document.HouseRules;
import ableschema.core.document.Starter;
import ableschema.core.edit.ChangeRules;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.controls.Fields;
import ableschema.desktop.workspace.Workspace;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;

/** Sets of attributes that this house begins entities with: made from one entity, given to another. */
final class StarterFields extends FlowPane {

    private final Workspace workspace;
    private final Id owner;

    StarterFields(Workspace workspace, Entity entity) {
        super(6, 4);
        this.workspace = workspace;
        this.owner = entity.id();
        setId("starters");
        HouseRules rules = workspace.document().rules();
        for (Starter starter : rules.starters()) {
            String id = starter.name().replace(' ', '-');
            Button away = Controls.button("no-starter-" + id, "×", () -> takeAway(starter));
            away.getStyleClass().setAll("header-button");
            away.setAccessibleText("take away the starter " + starter.name());
            Tooltip.install(away, new Tooltip("take this starter away; entities keep their attributes"));
            getChildren()
                    .add(new HBox(Controls.button("starter-" + id, "+ " + starter.name(), () -> give(starter)), away));
        }
        if (!entity.body().attributes().isEmpty()) {
            TextField name = Fields.text("new-starter", "", "keep these attributes as a starter called …", this::keep);
            name.setPrefColumnCount(24);
            getChildren().add(name);
        }
    }

    /** What the fields for an entity show. */
    static Object shownOf(Workspace workspace, Entity entity) {
        return List.of(
                entity.id(),
                workspace.document().rules().starters(),
                entity.body().attributes().isEmpty());
    }

    /** The entity as it is now, which may have changed since these fields were made. */
    private Entity entity() {
        return workspace.design().entity(owner).orElseThrow(); // fields of what is gone are shown no more
    }

    private void keep(String name) {
        Starter starter = Starter.of(name, entity().body().attributes(), workspace.design(), workspace.ids());
        workspace.apply(new ChangeRules(workspace.document().rules().with(starter), "keep the starter " + name));
    }

    private void takeAway(Starter starter) {
        workspace.apply(new ChangeRules(
                workspace.document().rules().without(starter), "take away the starter " + starter.name()));
    }

    private void give(Starter starter) {
        Entity entity = entity();
        var all = new ArrayList<>(entity.body().attributes());
        all.addAll(starter.attributesFor(entity.body(), workspace.ids()));
        workspace.apply(workspace
                .edits()
                .setAttributes(entity.id(), all, "give " + entity.name() + " the starter " + starter.name()));
    }
}
