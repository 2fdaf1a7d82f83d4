package ableschema.desktop.sheet;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Cardinality;
import ableschema.core.design.End;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.Relationship;
import ableschema.core.document.Position;
import ableschema.core.edit.MoveCards;
import ableschema.desktop.marks.FxMarks;
import ableschema.desktop.workspace.Workspace;
import ableschema.diagram.picture.Ink;
import ableschema.diagram.picture.View;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Point2D;
import javafx.scene.Cursor;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.shape.Line;

/**
 * What is done on the sheet by hand: choosing, moving, relating by a drag from a card's edge, panning and zooming, and
 * typing on empty paper.
 */
final class SheetGestures {

    private static final double DRAG_FROM = 4;

    private final SheetView sheet;
    private final Workspace workspace;
    private final SheetEntry entry;
    private Drag drag = Drag.NONE;
    private Optional<Point2D> lastClick = Optional.empty();

    SheetGestures(SheetView sheet, Workspace workspace) {
        this.sheet = sheet;
        this.workspace = workspace;
        this.entry = new SheetEntry(sheet, workspace);
    }

    /** What a press of the mouse began. */
    private interface Drag {
        Drag NONE = new Drag() {};

        default void to(MouseEvent event) {}

        default void end(MouseEvent event) {}
    }

    void install() {
        sheet.addEventHandler(MouseEvent.MOUSE_PRESSED, this::press);
        sheet.addEventHandler(MouseEvent.MOUSE_DRAGGED, event -> drag.to(event));
        sheet.addEventHandler(MouseEvent.MOUSE_RELEASED, event -> {
            drag.end(event);
            drag = Drag.NONE;
        });
        sheet.addEventHandler(MouseEvent.MOUSE_MOVED, this::hover);
        sheet.addEventHandler(ScrollEvent.SCROLL, this::scroll);
        sheet.addEventHandler(KeyEvent.KEY_PRESSED, this::keyPressed);
        sheet.addEventHandler(KeyEvent.KEY_TYPED, this::keyTyped);
    }

    private Point2D place(MouseEvent event) {
        Point2D local = sheet.sceneToLocal(event.getSceneX(), event.getSceneY());
        return sheet.toPicture(local.getX(), local.getY());
    }

    private Optional<CardNode> cardAt(Point2D place) {
        return sheet.at(place).flatMap(sheet::card);
    }

    private void press(MouseEvent event) {
        if (entry.contains(event.getTarget())) {
            return;
        }
        entry.close();
        sheet.requestFocus();
        Point2D place = place(event);
        Optional<CardNode> card = cardAt(place);
        if (event.getButton() != MouseButton.PRIMARY || card.isEmpty()) {
            drag = new Pan(event);
            Optional<Id> line = sheet.at(place);
            line.ifPresentOrElse(workspace::choose, workspace::chooseNothing);
            lastClick = line.isPresent() ? Optional.empty() : Optional.of(SheetView.snapped(place));
            if (line.isPresent() && event.getClickCount() == 2) {
                workspace.design().relationship(line.get()).ifPresent(entry::openSentences);
            }
            return;
        }
        CardNode node = card.get();
        Point2D inside = place.subtract(node.getLayoutX(), node.getLayoutY());
        boolean relates = node.isEdge(inside.getX(), inside.getY()) && isEntity(node);
        drag = relates ? new Relating(node, place) : new Moving(node, place);
        workspace.choose(node.entryAt(inside.getY()).filter(this::isAttribute).orElse(node.id()));
        if (event.getClickCount() == 2) {
            workspace.design().entity(node.id()).ifPresent(entity -> entry.addAttributes(entity));
        }
    }

    private boolean isEntity(CardNode node) {
        return workspace.design().entity(node.id()).isPresent();
    }

    private boolean isAttribute(Id id) {
        return id.kind() == IdKind.ATTRIBUTE;
    }

    private void hover(MouseEvent event) {
        Point2D place = place(event);
        boolean edge = cardAt(place)
                .filter(node -> isEntity(node)
                        && node.isEdge(place.getX() - node.getLayoutX(), place.getY() - node.getLayoutY()))
                .isPresent();
        sheet.setCursor(edge ? Cursor.CROSSHAIR : Cursor.DEFAULT);
    }

    private void scroll(ScrollEvent event) {
        if (event.isShortcutDown()) {
            sheet.zoom(event.getDeltaY() > 0 ? 1.1 : 1 / 1.1, event.getX(), event.getY());
        } else {
            sheet.pan(event.getDeltaX(), event.getDeltaY());
        }
        event.consume();
    }

    private void keyPressed(KeyEvent event) {
        if (event.getTarget() != sheet) {
            return;
        }
        Optional<Entity> entity = workspace.chosenEntity();
        if (event.getCode() == KeyCode.DELETE || event.getCode() == KeyCode.BACK_SPACE) {
            workspace
                    .chosenProperty()
                    .get()
                    .ifPresent(id -> workspace.apply(workspace.edits().remove(List.of(id))));
        } else if (event.getCode() == KeyCode.F2) {
            entity.ifPresent(entry::rename);
        } else if (event.getCode() == KeyCode.ENTER || event.getCode() == KeyCode.INSERT) {
            entity.ifPresent(entry::addAttributes);
            if (entity.isEmpty()) {
                workspace
                        .chosenOwner()
                        .flatMap(workspace.design()::relationship)
                        .ifPresent(entry::openSentences);
            }
        } else if (event.getCode() == KeyCode.ESCAPE) {
            workspace.chooseNothing();
        } else if (event.isAltDown() && (event.getCode() == KeyCode.UP || event.getCode() == KeyCode.DOWN)) {
            moveAttribute(event.getCode() == KeyCode.UP ? -1 : 1);
        } else if (event.getCode().isArrowKey() && !event.isShortcutDown()) {
            step(event.getCode());
        } else {
            return;
        }
        event.consume();
    }

    /** Moves the chosen attribute up or down among its fellows. */
    private void moveAttribute(int by) {
        workspace.chosenProperty().get().flatMap(workspace.design()::attribute).ifPresent(attribute -> {
            List<Attribute> all = workspace
                    .design()
                    .ownerOf(attribute.id())
                    .flatMap(workspace.design()::body)
                    .map(Body::attributes)
                    .orElse(List.of());
            workspace.apply(workspace.edits().moveAttribute(attribute, all.indexOf(attribute) + by));
        });
    }

    /** Chooses the next card in the direction of an arrow key, or the first if none is chosen. */
    private void step(KeyCode arrow) {
        Optional<CardNode> from = workspace.chosenOwner().flatMap(sheet::card);
        double dx = arrow == KeyCode.LEFT ? -1 : arrow == KeyCode.RIGHT ? 1 : 0;
        double dy = arrow == KeyCode.UP ? -1 : arrow == KeyCode.DOWN ? 1 : 0;
        sheet.cardNodes().values().stream()
                .filter(node -> from.isEmpty() || ahead(from.get(), node, dx, dy) > 0)
                .min((a, b) ->
                        from.isEmpty() ? 0 : Double.compare(cost(from.get(), a, dx, dy), cost(from.get(), b, dx, dy)))
                .ifPresent(node -> workspace.choose(node.id()));
    }

    private static double ahead(CardNode from, CardNode to, double dx, double dy) {
        return (to.getLayoutX() - from.getLayoutX()) * dx + (to.getLayoutY() - from.getLayoutY()) * dy;
    }

    private static double cost(CardNode from, CardNode to, double dx, double dy) {
        double aside = Math.abs((to.getLayoutX() - from.getLayoutX()) * dy)
                + Math.abs((to.getLayoutY() - from.getLayoutY()) * dx);
        return ahead(from, to, dx, dy) + 2 * aside;
    }

    private void keyTyped(KeyEvent event) {
        String typed = event.getCharacter();
        boolean printable = !typed.isEmpty() && !Character.isISOControl(typed.codePointAt(0)) && !typed.isBlank();
        if (event.getTarget() == sheet && printable && !event.isShortcutDown() && !event.isAltDown()) {
            workspace.chooseNothing();
            entry.newEntity(lastClick.map(sheet::freePlaceNear).orElseGet(sheet::freePlace), typed);
            lastClick = Optional.empty();
            event.consume();
        }
    }

    /** Moves the paper. */
    private final class Pan implements Drag {
        private double x;
        private double y;

        Pan(MouseEvent start) {
            x = start.getSceneX();
            y = start.getSceneY();
        }

        @Override
        public void to(MouseEvent event) {
            sheet.pan(event.getSceneX() - x, event.getSceneY() - y);
            x = event.getSceneX();
            y = event.getSceneY();
            lastClick = Optional.empty();
        }
    }

    /** Moves a card. */
    private final class Moving implements Drag {
        private final CardNode node;
        private final Point2D grip;
        private final Point2D start;
        private boolean moved;

        Moving(CardNode node, Point2D place) {
            this.node = node;
            this.start = place;
            this.grip = place.subtract(node.getLayoutX(), node.getLayoutY());
        }

        @Override
        public void to(MouseEvent event) {
            Point2D place = place(event);
            moved |= place.distance(start) > DRAG_FROM;
            if (moved) {
                Point2D corner = SheetView.snapped(place.subtract(grip));
                node.relocate(corner.getX(), corner.getY());
            }
        }

        @Override
        public void end(MouseEvent event) {
            if (moved) {
                workspace.apply(new MoveCards(
                        Map.of(node.id(), new Position(node.getLayoutX(), node.getLayoutY())),
                        "move " + node.placed().card().title()));
            }
        }
    }

    /** Draws a line from a card to another and relates the two. */
    private final class Relating implements Drag {
        private final CardNode from;
        private final Line rubber = new Line();

        Relating(CardNode from, Point2D place) {
            this.from = from;
            rubber.setStartX(place.getX());
            rubber.setStartY(place.getY());
            rubber.setEndX(place.getX());
            rubber.setEndY(place.getY());
            rubber.setStroke(FxMarks.colour(Ink.PINE));
            rubber.setStrokeWidth(2);
            rubber.getStrokeDashArray().setAll(6.0, 5.0);
            rubber.setMouseTransparent(true);
            sheet.addOver(rubber);
        }

        @Override
        public void to(MouseEvent event) {
            Point2D place = place(event);
            rubber.setEndX(place.getX());
            rubber.setEndY(place.getY());
        }

        @Override
        public void end(MouseEvent event) {
            sheet.removeOver(rubber);
            boolean moved =
                    Math.hypot(rubber.getEndX() - rubber.getStartX(), rubber.getEndY() - rubber.getStartY()) > 12;
            cardAt(place(event)).filter(to -> moved && isEntity(to)).ifPresent(to -> relate(from.id(), to.id()));
        }
    }

    private void relate(Id first, Id second) {
        boolean recursive = first.equals(second);
        var relationship = Relationship.between(
                workspace.ids().next(IdKind.RELATIONSHIP),
                new End(first, "has", recursive ? Cardinality.AT_MOST_ONE : Cardinality.EXACTLY_ONE, ""),
                new End(second, "belongs to", Cardinality.ANY_NUMBER, ""));
        workspace.apply(workspace.edits().addRelationship(relationship));
        workspace.choose(relationship.id());
        if (workspace.viewProperty().get() == View.CONCEPT) {
            entry.openSentences(relationship);
        }
    }
}
