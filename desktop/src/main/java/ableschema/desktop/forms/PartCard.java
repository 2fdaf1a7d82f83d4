package ableschema.desktop.forms;

import ableschema.core.design.KeyPart;
import ableschema.core.normalization.EntityTheory;
import ableschema.core.normalization.Proposal;
import ableschema.core.theory.AttributeSet;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** A part that an entity would become: its name, which can be changed, its rows, its key and its other attributes. */
final class PartCard extends VBox {

    PartCard(Proposal proposal, Proposal.Part part, Consumer<String> renamed) {
        getStyleClass().add("part-card");
        var name = new TextField(part.name());
        name.setId("part-" + proposal.parts().indexOf(part));
        name.getStyleClass().add("part-name");
        name.setPrefColumnCount(7);
        name.setTooltip(new Tooltip("the name can be changed before the part is made"));
        name.focusedProperty().addListener((o, before, focused) -> {
            if (!focused && !name.getText().isBlank() && !name.getText().strip().equals(part.name())) {
                renamed.accept(name.getText().strip());
            }
        });
        name.setOnAction(event -> getParent().requestFocus());
        var rows = new Label(part.rows() + " rows");
        rows.getStyleClass().add("note");
        rows.setMinWidth(Region.USE_PREF_SIZE);
        var head = new HBox(8, name, rows);
        head.setAlignment(Pos.BASELINE_LEFT);
        getChildren().add(head);
        var references = proposal.references(part).stream()
                .map(Proposal.Part::key)
                .reduce(AttributeSet.EMPTY, AttributeSet::union);
        EntityTheory theory = proposal.theory();
        theory.parts(part.key()).forEach(item -> line(theory, item, references, true));
        var hairline = new Region();
        hairline.getStyleClass().add("hairline");
        getChildren().add(hairline);
        theory.parts(part.attributes().minus(part.key())).forEach(item -> line(theory, item, references, false));
    }

    private void line(EntityTheory theory, KeyPart item, AttributeSet references, boolean inKey) {
        boolean refers = references.contains(theory.items().indexOf(item));
        var label = new Label(theory.name(item) + (refers ? " ↗" : ""));
        label.setUnderline(inKey);
        getChildren().add(label);
    }
}
