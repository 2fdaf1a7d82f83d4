package ableschema.desktop.gloss;

import ableschema.core.design.Id;
import ableschema.core.design.Relationship;
import ableschema.core.edit.Alternatives;
import ableschema.core.edit.Alternatives.Alternative;
import ableschema.core.schema.Column;
import ableschema.core.schema.Table;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.workspace.Workspace;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.css.PseudoClass;
import javafx.scene.Node;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.layout.Region;
import javafx.scene.layout.TilePane;
import javafx.scene.layout.VBox;

/** What if it were otherwise: the tables that each rule would give, side by side; pressing one makes it so. */
final class AlternativesView extends VBox {

    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");
    private static final int MOST_COLUMNS = 7;

    private final Workspace workspace;

    private AlternativesView(Workspace workspace, String id) {
        this.workspace = workspace;
        setId(id);
    }

    /** The rules that the two ends of a relationship could have. */
    static Node of(Workspace workspace, Relationship relationship) {
        var view = new AlternativesView(workspace, "what-if");
        view.folded("What if it were otherwise?", () -> view.alternatives().of(relationship));
        return view;
    }

    /** The tables in which the kinds of an entity could be kept. */
    static Node ofKinds(Workspace workspace, Id general) {
        var view = new AlternativesView(workspace, "what-if-kinds");
        view.folded(
                "In which tables are its kinds kept?", () -> view.alternatives().ofKinds(general));
        return view;
    }

    /** What tells its pairings apart, for a many-to-many; which table refers, for a one-to-one; empty for any other. */
    static Optional<Node> ofTables(Workspace workspace, Relationship relationship) {
        if (relationship.isManyToMany()) {
            var view = new AlternativesView(workspace, "what-if-pairs");
            view.folded("May the same two be paired again?", () -> view.alternatives()
                    .ofPairing(relationship));
            return Optional.of(view);
        }
        if (relationship.isOneToOne() && !relationship.isRecursive() && !relationship.isSubtype()) {
            var view = new AlternativesView(workspace, "what-if-one");
            view.folded("Which of the two refers to the other?", () -> view.alternatives()
                    .ofOneToOne(relationship));
            return Optional.of(view);
        }
        return Optional.empty();
    }

    private Alternatives alternatives() {
        return new Alternatives(workspace.document(), workspace.ids());
    }

    /** Worked out only when it is asked for. */
    private void folded(String question, Supplier<List<Alternative>> all) {
        var link = new Hyperlink(question);
        link.setId(getId() + "-show");
        link.setOnAction(event -> {
            var tiles = new TilePane(6, 6);
            tiles.setPrefColumns(2);
            tiles.getChildren().setAll(all.get().stream().map(this::card).toList());
            getChildren().setAll(Controls.text(question, "note"), tiles);
        });
        getChildren().setAll(link);
    }

    private Node card(Alternative alternative) {
        var card = new VBox(3);
        card.getStyleClass().add("alternative");
        card.setPrefWidth(146);
        card.setMaxWidth(146);
        card.pseudoClassStateChanged(CHOSEN, alternative.current());
        Label title = Controls.text(alternative.label(), "alternative-title");
        title.setWrapText(true);
        title.setMinHeight(Region.USE_PREF_SIZE);
        card.getChildren().add(title);
        for (Table table : alternative.tables()) {
            card.getChildren().add(Controls.text(table.name(), "alternative-table"));
            table.columns().stream().limit(MOST_COLUMNS).forEach(column -> card.getChildren()
                    .add(line(table, column)));
            if (table.columns().size() > MOST_COLUMNS) {
                card.getChildren()
                        .add(Controls.text("  and " + (table.columns().size() - MOST_COLUMNS) + " more", "note"));
            }
        }
        card.setAccessibleText(alternative.label());
        Controls.pressable(card, () -> workspace.apply(alternative.edit()));
        return card;
    }

    private static Label line(Table table, Column column) {
        Label line = Controls.text("  " + said(table, column), "alternative-column");
        line.setWrapText(true);
        line.setMinHeight(Region.USE_PREF_SIZE);
        return line;
    }

    private static String said(Table table, Column column) {
        String name = column.nullable() ? "[" + column.name() + "]" : column.name();
        String target =
                table.foreignKeyOf(column).map(key -> " ↗ " + key.target()).orElse("");
        return name + (table.isInKey(column) ? " (key)" : "") + target;
    }
}
