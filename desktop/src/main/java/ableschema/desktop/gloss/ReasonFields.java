package ableschema.desktop.gloss;

import ableschema.core.design.Body;
import ableschema.core.design.Id;
import ableschema.core.design.Topic;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.controls.Fields;
import ableschema.desktop.workspace.Workspace;
import javafx.scene.layout.VBox;

/** Why something is as it is, for those who come later: of an entity, its key, a relationship or the chosen attribute. */
final class ReasonFields extends VBox {

    private final Workspace workspace;

    ReasonFields(Workspace workspace, Id owner) {
        super(4);
        this.workspace = workspace;
        setId("reasons");
        getChildren().add(Controls.text("WHY IT IS SO", "section"));
        add("reason", Topic.of(owner), "why " + workspace.design().nameOf(owner) + " is as it is");
        boolean keyed = workspace.design().entity(owner).isPresent()
                && !workspace.design().body(owner).orElse(Body.EMPTY).key().isEmpty();
        if (keyed) {
            add("reason-key", Topic.keyOf(owner), "why this is its key");
        }
        workspace
                .selection()
                .chosenProperty()
                .get()
                .flatMap(workspace.design()::attribute)
                .ifPresent(attribute ->
                        add("reason-attribute", Topic.of(attribute.id()), "why " + attribute.name() + " is as it is"));
    }

    private void add(String id, Topic topic, String prompt) {
        getChildren()
                .add(Fields.paragraph(
                        id,
                        workspace.design().notes().reason(topic),
                        prompt,
                        typed -> workspace.apply(workspace.edits().setReason(topic, typed))));
    }
}
