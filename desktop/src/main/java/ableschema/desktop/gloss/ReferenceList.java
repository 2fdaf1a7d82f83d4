package ableschema.desktop.gloss;

import ableschema.core.design.Id;
import ableschema.core.mapping.Trace;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Table;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.workspace.Workspace;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Everything that a table refers to and everything that refers to it, with the columns by which it does. */
final class ReferenceList extends VBox {

    /** One line, and the relationship that it comes from. */
    record Reference(String text, Id relationship) {}

    ReferenceList(Workspace workspace, List<Reference> references) {
        super(3);
        setId("references");
        for (Reference each : references) {
            Label line = Controls.text(each.text(), "type-note");
            line.setWrapText(true);
            line.setMinHeight(Region.USE_PREF_SIZE);
            Controls.pressable(line, () -> workspace.selection().choose(each.relationship()));
            getChildren().add(line);
        }
    }

    static List<Reference> of(Workspace workspace, Table table) {
        var references = new ArrayList<Reference>();
        for (ForeignKey key : table.foreignKeys()) {
            references.add(reference("→ " + key.target(), workspace.trace(), table, key));
        }
        for (Table other : workspace.schema().tables()) {
            for (ForeignKey key : other.foreignKeys()) {
                if (key.target().equals(table.qualified())) {
                    references.add(reference("← " + other.qualified(), workspace.trace(), other, key));
                }
            }
        }
        return references;
    }

    private static Reference reference(String from, Trace trace, Table table, ForeignKey key) {
        return new Reference(
                from + " by " + String.join(", ", key.columns()),
                trace.end(table, key).relationship());
    }
}
