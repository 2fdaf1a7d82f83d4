package ableschema.desktop.sheet;

import ableschema.core.design.Id;
import ableschema.core.document.Position;
import ableschema.core.edit.MoveCards;
import ableschema.desktop.workspace.Workspace;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.picture.Picture.PlacedCard;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.geometry.Point2D;
import javafx.scene.input.MouseEvent;
import javafx.scene.shape.Line;

/** Carries a card, with all that are chosen along with it; near the edge or middle of another card it keeps to that line. */
final class CarryCards implements Drag {

    private static final double DRAG_FROM = 4;
    private static final double PULL = 6;

    private final SheetView sheet;
    private final Workspace workspace;
    private final CardNode held;
    private final Point2D grip;
    private final Point2D start;
    private final Map<CardNode, Point2D> offsets = new LinkedHashMap<>();
    private final Guides guides;
    private boolean moved;

    CarryCards(SheetView sheet, Workspace workspace, CardNode held, Point2D place) {
        this.sheet = sheet;
        this.workspace = workspace;
        this.held = held;
        this.guides = new Guides(sheet);
        this.start = place;
        this.grip = place.subtract(corner(held));
    }

    private static Point2D corner(CardNode node) {
        return new Point2D(node.getLayoutX(), node.getLayoutY());
    }

    @Override
    public void to(Point2D place, MouseEvent event) {
        if (!moved && place.distance(start) > DRAG_FROM) {
            moved = true;
            begin();
        }
        if (moved) {
            guides.clear();
            Point2D at = aligned(FreePlaces.snapped(place.subtract(grip)), event.isAltDown());
            offsets.forEach((node, offset) -> node.relocate(at.getX() + offset.getX(), at.getY() + offset.getY()));
        }
    }

    private void begin() {
        Set<Id> carried = new LinkedHashSet<>();
        carried.add(held.id());
        if (workspace.selection().groupProperty().get().contains(held.id())) {
            carried.addAll(workspace.selection().groupProperty().get());
        }
        Point2D from = corner(held);
        for (Id id : carried) {
            sheet.card(id).ifPresent(node -> offsets.put(node, corner(node).subtract(from)));
        }
        sheet.lift(carried);
    }

    /** The corner moved a little so that left, middle or right, or top, middle or bottom lie on those of another card. */
    private Point2D aligned(Point2D corner, boolean free) {
        if (free) {
            return corner;
        }
        double x = corner.getX();
        double y = corner.getY();
        double bestX = PULL;
        double bestY = PULL;
        Line guideX = null;
        Line guideY = null;
        Set<Id> carried = offsets.keySet().stream().map(CardNode::id).collect(Collectors.toSet());
        for (PlacedCard placed : sheet.placedCards().values()) {
            if (carried.contains(placed.card().id())) {
                continue;
            }
            Area other = placed.area();
            for (double part : new double[] {0, 0.5, 1}) {
                double lineX = other.x() + other.width() * part;
                double offX = lineX - corner.getX() - held.getPrefWidth() * part;
                if (Math.abs(offX) < bestX) {
                    bestX = Math.abs(offX);
                    x = corner.getX() + offX;
                    guideX = new Line(lineX, Math.min(other.y(), corner.getY()), lineX, bottom(other, corner));
                }
                double lineY = other.y() + other.height() * part;
                double offY = lineY - corner.getY() - held.getPrefHeight() * part;
                if (Math.abs(offY) < bestY) {
                    bestY = Math.abs(offY);
                    y = corner.getY() + offY;
                    guideY = new Line(Math.min(other.x(), corner.getX()), lineY, right(other, corner), lineY);
                }
            }
        }
        guides.show(guideX);
        guides.show(guideY);
        return new Point2D(x, y);
    }

    private double bottom(Area other, Point2D corner) {
        return Math.max(other.bottom(), corner.getY() + held.getPrefHeight());
    }

    private double right(Area other, Point2D corner) {
        return Math.max(other.right(), corner.getX() + held.getPrefWidth());
    }

    @Override
    public void end(Point2D place, MouseEvent event) {
        if (!moved) {
            return;
        }
        guides.clear();
        Map<Id, Position> positions = new LinkedHashMap<>();
        offsets.keySet().forEach(node -> positions.put(node.id(), new Position(node.getLayoutX(), node.getLayoutY())));
        sheet.putDown();
        String name = held.title();
        int more = positions.size() - 1;
        workspace.apply(new MoveCards(positions, "move " + name + (more == 0 ? "" : " and " + more + " more")));
    }
}
