package ableschema.desktop.gloss;

import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Table;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.workspace.Workspace;
import javafx.scene.control.Label;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Everything that a table refers to and everything that refers to it, with the columns by which it does. */
final class ReferenceList extends VBox {

    private final Workspace workspace;

    ReferenceList(Workspace workspace, Table table) {
        super(3);
        this.workspace = workspace;
        setId("references");
        for (ForeignKey key : table.foreignKeys()) {
            add("→ " + key.target() + " by " + String.join(", ", key.columns()), table, key);
        }
        for (Table other : workspace.schema().tables()) {
            for (ForeignKey key : other.foreignKeys()) {
                if (key.target().equals(table.qualified())) {
                    add("← " + other.qualified() + " by " + String.join(", ", key.columns()), other, key);
                }
            }
        }
    }

    boolean isEmpty() {
        return getChildren().isEmpty();
    }

    private void add(String text, Table table, ForeignKey key) {
        Label line = Controls.text(text, "type-note");
        line.setWrapText(true);
        line.setMinHeight(Region.USE_PREF_SIZE);
        Controls.pressable(line, () -> workspace
                .selection()
                .choose(workspace.trace().end(table, key).relationship()));
        getChildren().add(line);
    }
}
