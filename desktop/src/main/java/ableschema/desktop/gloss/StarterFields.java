package ableschema.desktop.gloss;

import ableschema.core.design.Attribute;
import ableschema.core.design.Entity;
import ableschema.core.design.IdKind;
import ableschema.core.document.HouseRules;
import ableschema.core.document.Starter;
import ableschema.core.edit.ChangeRules;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.controls.Fields;
import ableschema.desktop.workspace.Workspace;
import java.util.ArrayList;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;

/** Sets of attributes that this house begins entities with: made from one entity, given to another. */
final class StarterFields extends FlowPane {

    private final Workspace workspace;
    private final Entity entity;

    StarterFields(Workspace workspace, Entity entity) {
        super(6, 4);
        this.workspace = workspace;
        this.entity = entity;
        setId("starters");
        HouseRules rules = workspace.document().rules();
        for (Starter starter : rules.starters()) {
            getChildren()
                    .add(Controls.button(
                            "starter-" + starter.name().replace(' ', '-'), "+ " + starter.name(), () -> give(starter)));
        }
        if (!entity.body().attributes().isEmpty()) {
            TextField name = Fields.text("new-starter", "", "keep these attributes as a starter called …", this::keep);
            name.setPrefColumnCount(24);
            getChildren().add(name);
        }
    }

    private void keep(String name) {
        var starter = new Starter(name, entity.body().attributes());
        workspace.apply(new ChangeRules(workspace.document().rules().with(starter), "keep the starter " + name));
    }

    private void give(Starter starter) {
        var all = new ArrayList<>(entity.body().attributes());
        for (Attribute each : starter.attributes()) {
            if (entity.body().attribute(each.name()).isEmpty()) {
                all.add(Attribute.named(workspace.ids().next(IdKind.ATTRIBUTE), each.name())
                        .withType(each.type())
                        .withOptional(each.optional())
                        .withDefault(each.defaultValue())
                        .withComment(each.comment()));
            }
        }
        workspace.apply(workspace
                .edits()
                .setAttributes(entity.id(), all, "give " + entity.name() + " the starter " + starter.name()));
    }
}
