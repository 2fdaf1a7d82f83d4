package ableschema.desktop.sheet;

import ableschema.core.design.Attribute;
import ableschema.core.design.Cardinality;
import ableschema.core.design.End;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.Relationship;
import ableschema.core.document.District;
import ableschema.core.words.Sentences;
import ableschema.desktop.marks.FxMarks;
import ableschema.desktop.workspace.Workspace;
import ableschema.diagram.picture.Ink;
import ableschema.diagram.picture.View;
import java.util.LinkedHashSet;
import java.util.Optional;
import java.util.Set;
import javafx.geometry.Point2D;
import javafx.scene.Cursor;
import javafx.scene.control.Label;
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

    private final SheetView sheet;
    private final Workspace workspace;
    private final SheetEntry entry;
    private final SheetKeys keys;
    private final Label reading = new Label();
    private Drag drag = Drag.NONE;
    private Optional<Point2D> lastClick = Optional.empty();

    SheetGestures(SheetView sheet, Workspace workspace) {
        this.sheet = sheet;
        this.workspace = workspace;
        this.entry = new SheetEntry(sheet, workspace);
        this.keys = new SheetKeys(sheet, workspace, entry);
    }

    SheetKeys keys() {
        return keys;
    }

    void install() {
        reading.setId("reading");
        reading.getStyleClass().add("reading");
        reading.setMouseTransparent(true);
        reading.setVisible(false);
        sheet.addOver(reading);
        sheet.addEventHandler(MouseEvent.MOUSE_PRESSED, this::press);
        sheet.addEventHandler(MouseEvent.MOUSE_DRAGGED, event -> drag.to(place(event), event));
        sheet.addEventHandler(MouseEvent.MOUSE_RELEASED, event -> {
            drag.end(place(event), event);
            drag = Drag.NONE;
        });
        sheet.addEventHandler(MouseEvent.MOUSE_MOVED, this::hover);
        sheet.addEventHandler(ScrollEvent.SCROLL, this::scroll);
        sheet.addEventHandler(KeyEvent.KEY_PRESSED, keys::pressed);
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
            Optional<Id> line = sheet.at(place);
            Optional<District> district = line.isPresent() ? Optional.empty() : sheet.districtTitledAt(place);
            if (event.getButton() == MouseButton.PRIMARY && district.isPresent()) {
                pressTitle(district.get(), place);
                return;
            }
            if (event.isShiftDown() && line.isEmpty()) {
                drag = new RubberBand(sheet, workspace, place);
                return;
            }
            drag = new Pan(event);
            line.ifPresentOrElse(workspace.selection()::choose, workspace.selection()::chooseNothing);
            lastClick = line.isPresent() ? Optional.empty() : Optional.of(FreePlaces.snapped(place));
            if (line.isPresent() && event.getClickCount() == 2) {
                workspace.design().relationship(line.get()).ifPresent(entry::openSentences);
            }
            return;
        }
        CardNode node = card.get();
        Point2D inside = place.subtract(node.getLayoutX(), node.getLayoutY());
        if (event.isShortcutDown()) {
            workspace.selection().toggle(node.id());
            return;
        }
        Optional<Id> far = node.farAt(inside.getY());
        if (far.isPresent()) {
            workspace.selection().choose(far.get());
            if (event.getClickCount() == 2) {
                workspace.design().relationship(far.get()).ifPresent(each -> goToOther(each, node.id()));
            }
            return;
        }
        boolean relates = node.isEdge(inside.getX(), inside.getY()) && isEntity(node);
        Optional<Id> line = node.entryAt(inside.getY()).filter(this::isAttribute);
        Optional<Attribute> taken = line.filter(id -> workspace
                        .selection()
                        .chosenProperty()
                        .get()
                        .filter(id::equals)
                        .isPresent())
                .flatMap(workspace.design()::attribute);
        drag = relates
                ? new Relating(node, place)
                : taken.<Drag>map(attribute -> new ReorderAttribute(sheet, workspace, node, attribute))
                        .orElseGet(() -> new CarryCards(sheet, workspace, node, place));
        boolean inGroup = workspace.selection().groupProperty().get().size() > 1
                && workspace.selection().groupProperty().get().contains(node.id());
        if (!inGroup || event.getClickCount() == 2) {
            workspace.selection().choose(line.orElse(node.id()));
        }
        if (event.getClickCount() == 2) {
            workspace.design().entity(node.id()).ifPresent(entity -> entry.addAttributes(entity));
        }
    }

    /** Chooses all cards of a district, to be moved, named or drawn apart together. */
    private void pressTitle(District district, Point2D place) {
        Set<Id> shown = new LinkedHashSet<>(district.cards());
        shown.removeIf(id -> sheet.card(id).isEmpty());
        workspace.selection().chooseAll(shown);
        shown.stream()
                .findFirst()
                .flatMap(sheet::card)
                .ifPresent(node -> drag = new CarryCards(sheet, workspace, node, place));
    }

    private void goToOther(Relationship relationship, Id card) {
        Id other = relationship.first().entity().equals(card)
                ? relationship.second().entity()
                : relationship.first().entity();
        workspace.selection().choose(other);
        sheet.centre(other);
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
        read(place);
    }

    /** Reads the sentence of the relationship under the pointer, from the end that is nearer to it. */
    private void read(Point2D place) {
        Optional<String> sentence = sheet.at(place)
                .flatMap(workspace.design()::relationship)
                .map(r -> new Sentences(workspace.design()).reading(r, sheet.nearerEnd(r, place)))
                .map(reading -> "Each " + reading + ".");
        reading.setVisible(sentence.isPresent());
        sentence.ifPresent(text -> {
            reading.setText(text);
            reading.relocate(place.getX() + 12, place.getY() + 14);
            reading.toFront();
        });
    }

    private void scroll(ScrollEvent event) {
        if (event.isShortcutDown()) {
            sheet.zoom(event.getDeltaY() > 0 ? 1.1 : 1 / 1.1, event.getX(), event.getY());
        } else {
            sheet.pan(event.getDeltaX(), event.getDeltaY());
        }
        event.consume();
    }

    private void keyTyped(KeyEvent event) {
        String typed = event.getCharacter();
        boolean printable = !typed.isEmpty() && !Character.isISOControl(typed.codePointAt(0)) && !typed.isBlank();
        if (event.getTarget() == sheet && printable && !event.isShortcutDown() && !event.isAltDown()) {
            workspace.selection().chooseNothing();
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
        public void to(Point2D at, MouseEvent event) {
            sheet.pan(event.getSceneX() - x, event.getSceneY() - y);
            x = event.getSceneX();
            y = event.getSceneY();
            lastClick = Optional.empty();
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
        public void to(Point2D at, MouseEvent event) {
            rubber.setEndX(at.getX());
            rubber.setEndY(at.getY());
        }

        @Override
        public void end(Point2D at, MouseEvent event) {
            sheet.removeOver(rubber);
            boolean moved =
                    Math.hypot(rubber.getEndX() - rubber.getStartX(), rubber.getEndY() - rubber.getStartY()) > 12;
            cardAt(at).filter(to -> moved && isEntity(to)).ifPresent(to -> relate(from.id(), to.id()));
        }
    }

    private void relate(Id first, Id second) {
        boolean recursive = first.equals(second);
        var relationship = Relationship.between(
                workspace.ids().next(IdKind.RELATIONSHIP),
                new End(first, "has", recursive ? Cardinality.AT_MOST_ONE : Cardinality.EXACTLY_ONE, ""),
                new End(second, "belongs to", Cardinality.ANY_NUMBER, ""));
        workspace.apply(workspace.edits().addRelationship(relationship));
        workspace.selection().choose(relationship.id());
        if (workspace.viewProperty().get() == View.CONCEPT) {
            entry.openSentences(relationship);
        }
    }
}
