package ableschema.desktop.sheet;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Id;
import ableschema.desktop.workspace.Workspace;
import java.util.List;
import javafx.geometry.Point2D;
import javafx.scene.input.MouseEvent;
import javafx.scene.shape.Line;

/** Puts the chosen attribute, taken by its line on the card, in another place among its fellows. */
final class ReorderAttribute implements Drag {

    private static final double LINE = 20;

    private final SheetView sheet;
    private final Workspace workspace;
    private final CardNode card;
    private final Attribute attribute;
    private final Line mark = new Line();
    private boolean moved;

    ReorderAttribute(SheetView sheet, Workspace workspace, CardNode card, Attribute attribute) {
        this.sheet = sheet;
        this.workspace = workspace;
        this.card = card;
        this.attribute = attribute;
        mark.getStyleClass().add("guide");
        mark.setMouseTransparent(true);
    }

    @Override
    public void to(Point2D place, MouseEvent event) {
        if (!moved) {
            moved = true;
            sheet.addOver(mark);
        }
        double y = card.getLayoutY() + Math.round((place.getY() - card.getLayoutY()) / LINE) * LINE - 4;
        mark.setStartX(card.getLayoutX() + 8);
        mark.setEndX(card.getLayoutX() + card.getPrefWidth() - 8);
        mark.setStartY(y);
        mark.setEndY(y);
    }

    @Override
    public void end(Point2D place, MouseEvent event) {
        if (!moved) {
            return;
        }
        sheet.removeOver(mark);
        List<Id> order = workspace
                .design()
                .ownerOf(attribute.id())
                .flatMap(workspace.design()::body)
                .orElse(Body.EMPTY)
                .attributes()
                .stream()
                .map(Attribute::id)
                .toList();
        card.entryAt(place.getY() - card.getLayoutY())
                .filter(order::contains)
                .filter(over -> !over.equals(attribute.id()))
                .ifPresent(over -> workspace.apply(workspace.edits().moveAttribute(attribute, order.indexOf(over))));
    }
}
