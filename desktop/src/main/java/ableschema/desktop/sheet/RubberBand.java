package ableschema.desktop.sheet;

import ableschema.core.design.Id;
import ableschema.desktop.workspace.Workspace;
import ableschema.diagram.geometry.Area;
import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Point2D;
import javafx.scene.input.MouseEvent;
import javafx.scene.shape.Rectangle;

/** Chooses all cards that a band drawn over the paper touches. */
final class RubberBand implements Drag {

    private final SheetView sheet;
    private final Workspace workspace;
    private final Point2D start;
    private final Rectangle band = new Rectangle();

    RubberBand(SheetView sheet, Workspace workspace, Point2D start) {
        this.sheet = sheet;
        this.workspace = workspace;
        this.start = start;
        band.getStyleClass().add("rubber-band");
        band.setMouseTransparent(true);
        sheet.addOver(band);
    }

    @Override
    public void to(Point2D place, MouseEvent event) {
        band.setX(Math.min(start.getX(), place.getX()));
        band.setY(Math.min(start.getY(), place.getY()));
        band.setWidth(Math.abs(place.getX() - start.getX()));
        band.setHeight(Math.abs(place.getY() - start.getY()));
    }

    @Override
    public void end(Point2D place, MouseEvent event) {
        sheet.removeOver(band);
        List<Id> touched = new ArrayList<>();
        var area = new Area(band.getX(), band.getY(), band.getWidth(), band.getHeight());
        sheet.placedCards().forEach((id, card) -> {
            if (card.area().meets(area)) {
                touched.add(id);
            }
        });
        workspace.selection().chooseAll(touched);
    }
}
