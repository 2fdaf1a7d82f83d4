package ableschema.desktop.gloss;

import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.design.Topic;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.controls.Fields;
import ableschema.desktop.workspace.Workspace;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.layout.VBox;

/** Why something is as it is, for those who come later: of an entity, its key, a relationship or the chosen attribute. */
final class ReasonFields extends VBox {

    /** One field: what it is the reason of, what stands there and what it asks for. */
    private record Field(String id, Topic topic, String reason, String prompt) {}

    /** What the fields of an entity or relationship show. */
    static Object shownOf(Workspace workspace, Id owner) {
        return fields(workspace, owner);
    }

    ReasonFields(Workspace workspace, Id owner) {
        super(4);
        setId("reasons");
        getChildren().add(Controls.text("WHY IT IS SO", "section"));
        for (Field each : fields(workspace, owner)) {
            getChildren()
                    .add(Fields.paragraph(
                            each.id(),
                            each.reason(),
                            each.prompt(),
                            typed -> workspace.apply(workspace.edits().setReason(each.topic(), typed))));
        }
    }

    private static List<Field> fields(Workspace workspace, Id owner) {
        Design design = workspace.design();
        var fields = new ArrayList<Field>();
        fields.add(field(design, "reason", Topic.of(owner), "why " + design.nameOf(owner) + " is as it is"));
        boolean keyed = design.entity(owner)
                .filter(entity -> !entity.body().key().isEmpty())
                .isPresent();
        if (keyed) {
            fields.add(field(design, "reason-key", Topic.keyOf(owner), "why this is its key"));
        }
        workspace
                .selection()
                .chosenProperty()
                .get()
                .flatMap(design::attribute)
                .ifPresent(attribute -> fields.add(field(
                        design,
                        "reason-attribute",
                        Topic.of(attribute.id()),
                        "why " + attribute.name() + " is as it is")));
        return fields;
    }

    private static Field field(Design design, String id, Topic topic, String prompt) {
        return new Field(id, topic, design.notes().reason(topic), prompt);
    }
}
