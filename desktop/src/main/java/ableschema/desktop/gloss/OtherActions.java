package ableschema.desktop.gloss;

import ableschema.core.design.Id;
import ableschema.core.design.Relationship;
import ableschema.core.document.Edit;
import ableschema.core.types.ReferenceAction;
import ableschema.desktop.workspace.Workspace;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
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
        handle.setOnAction(event -> {
            handle.setVisited(false);
            boolean open = lines.getChildren().isEmpty();
            lines.getChildren().clear();
            if (open) {
                actions.stream()
                        .filter(action -> action != now)
                        .map(action -> new OtherwiseLine(
                                workspace,
                                words.apply(action),
                                action.name().toLowerCase(Locale.ROOT).replace('_', ' '),
                                () -> changed(workspace, relationship, each -> with.apply(each, action))))
                        .forEach(lines.getChildren()::add);
            }
            sayWhether(open);
        });
        sayWhether(false);
        getChildren().setAll(handle, lines);
    }

    private static Optional<Edit> changed(Workspace workspace, Id relationship, UnaryOperator<Relationship> change) {
        return workspace.design().relationship(relationship).map(each -> workspace
                .edits()
                .changeRelationship(change.apply(each)));
    }

    private void sayWhether(boolean open) {
        handle.setText((open ? "▾" : "▸") + " what else it could do, before and after");
    }
}
