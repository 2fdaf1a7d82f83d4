package ableschema.desktop.sheet;

import ableschema.core.design.Id;
import ableschema.core.document.Detail;
import ableschema.desktop.marks.FxMarks;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.picture.Card;
import ableschema.diagram.picture.CardMarks;
import ableschema.diagram.picture.Mark;
import ableschema.diagram.picture.Picture.PlacedCard;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.css.PseudoClass;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Rectangle;

/** A card on the sheet: the place where it is painted, found by tests, style sheets and screen readers; drawn by itself only while it is carried. */
final class CardNode extends Pane {

    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");
    private static final double EDGE = 7;
    private static final double TITLE_BASE = 28;

    private PlacedCard placed;
    private Detail detail;
    private boolean chosen;
    private boolean pinned;
    private final Rectangle outline = new Rectangle();
    private final Polygon corner = new Polygon(0, 0, 9, 0, 0, 9);

    CardNode(PlacedCard placed, Detail detail) {
        this.placed = placed;
        this.detail = detail;
        getStyleClass().add("entity-card");
        setAccessibleRole(AccessibleRole.BUTTON);
        styleSigns();
        fit();
    }

    /** Stands for the card as it is now. */
    void show(PlacedCard card, Detail shown) {
        detail = shown;
        if (placed != card) {
            placed = card;
            fit();
        }
    }

    private void fit() {
        setId("card-" + placed.card().title().toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{Nd}]+", "-"));
        relocate(placed.area().x(), placed.area().y());
        setPrefSize(placed.area().width(), placed.area().height());
        outline.setWidth(placed.area().width() + 10);
        outline.setHeight(placed.area().height() + 10);
        setAccessibleText("Entity " + placed.card().title());
    }

    /** Draws the card itself, to be carried over the paper, or leaves that to the paper again. */
    void lift(boolean lifted) {
        getChildren().setAll(signs());
        if (lifted) {
            var marks = new FxMarks(false);
            var own = new Area(0, 0, placed.area().width(), placed.area().height());
            CardMarks.of(placed.card(), own, detail)
                    .forEach(mark -> getChildren().add(marks.node(mark)));
            toFront();
        }
        setCache(lifted);
    }

    private void styleSigns() {
        outline.setX(-5);
        outline.setY(-5);
        outline.setArcWidth(16);
        outline.setArcHeight(16);
        outline.setFill(null);
        outline.getStyleClass().add("card-outline");
        outline.setStrokeWidth(2);
        outline.setMouseTransparent(true);
        corner.getStyleClass().add("pinned-corner");
        corner.setMouseTransparent(true);
    }

    /** What is drawn around and on it by itself; mostly nothing, as there are many cards. */
    private List<Node> signs() {
        return Stream.<Node>of(outline, corner)
                .filter(sign -> sign == outline ? chosen : pinned)
                .toList();
    }

    private void showSigns() {
        getChildren().removeAll(outline, corner);
        getChildren().addAll(0, signs());
    }

    /** The relationship to another district whose line on the card lies at this height. */
    Optional<Id> farAt(double y) {
        return detail == Detail.EVERYTHING
                ? placed.card().farAt(y).map(Card.Entry::origin).filter(id -> !id.equals(id()))
                : Optional.empty();
    }

    String title() {
        return placed.card().title();
    }

    Id id() {
        return placed.card().id();
    }

    /** Shows that automatic layout leaves it where it is. */
    void setPinned(boolean now) {
        if (pinned != now) {
            pinned = now;
            showSigns();
        }
    }

    void setChosen(boolean now) {
        if (chosen != now) {
            chosen = now;
            pseudoClassStateChanged(CHOSEN, now);
            showSigns();
        }
    }

    /** Whether a point of this card, counted from its corner, is so near its edge that a drag from it starts a line. */
    boolean isEdge(double x, double y) {
        return x < EDGE || y < EDGE || x > getPrefWidth() - EDGE || y > getPrefHeight() - EDGE;
    }

    /** The attribute or relationship whose line on the card lies at this height. */
    Optional<Id> entryAt(double y) {
        var own = new Area(0, 0, placed.area().width(), placed.area().height());
        return CardMarks.of(placed.card(), own, detail).stream()
                .filter(mark -> mark instanceof Mark.Label label
                        && label.start().y() > TITLE_BASE
                        && Math.abs(label.start().y() - 5 - y) < 10)
                .map(Mark::origin)
                .findFirst();
    }
}
