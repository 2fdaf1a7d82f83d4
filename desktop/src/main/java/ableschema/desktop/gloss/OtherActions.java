package ableschema.desktop.gloss;

import ableschema.core.design.Id;
import ableschema.core.design.Relationship;
import ableschema.core.types.ReferenceAction;
import ableschema.desktop.workspace.Workspace;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.scene.control.Hyperlink;
import javafx.scene.layout.VBox;

/** What else the database could do with those that refer to a row, folded away; each shows before and after. */
final class OtherActions extends VBox {

    private final Hyperlink handle = new Hyperlink();
    private final VBox lines = new VBox(4);

    /**
     * @param now   what it does, which is left out
     * @param words what each does, said of this design
     * @param with  the relationship with another action
     */
    OtherActions(
            Workspace workspace,
            Id relationship,
            List<ReferenceAction> actions,
            ReferenceAction now,
            Function<ReferenceAction, String> words,
            BiFunction<Relationship, ReferenceAction, Relationship> with) {
        super(2);
        actions.stream()
                .filter(action -> action != now)
                .map(action -> new OtherwiseLine(
                        workspace,
                        words.apply(action),
                        action.name().toLowerCase(Locale.ROOT).replace('_', ' '),
                        () -> {
                            Optional<Relationship> known = workspace.design().relationship(relationship);
                            return known.map(each -> workspace.edits().changeRelationship(with.apply(each, action)));
                        }))
                .forEach(lines.getChildren()::add);
        handle.setOnAction(event -> {
            handle.setVisited(false);
            show(!lines.isVisible());
        });
        show(false);
        getChildren().setAll(handle, lines);
    }

    private void show(boolean open) {
        handle.setText((open ? "▾" : "▸") + " what else it could do, before and after");
        lines.setVisible(open);
        lines.setManaged(open);
    }
}
