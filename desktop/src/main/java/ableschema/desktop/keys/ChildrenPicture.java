package ableschema.desktop.keys;

import ableschema.core.design.Id;
import ableschema.core.document.Detail;
import ableschema.core.document.Document;
import ableschema.core.document.Notation;
import ableschema.core.document.Position;
import ableschema.core.mapping.Mapping;
import ableschema.desktop.marks.FxMarks;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.picture.Card;
import ableschema.diagram.picture.Contents;
import ableschema.diagram.picture.ContentsMaker;
import ableschema.diagram.picture.Link;
import ableschema.diagram.picture.Picture;
import ableschema.diagram.picture.PictureMaker;
import ableschema.diagram.picture.View;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.scene.Group;
import javafx.scene.layout.Pane;

/** A table and those that refer to it, each with its key and the columns by which it refers. */
final class ChildrenPicture extends Pane {

    private static final double BETWEEN = 84;
    private static final double BELOW = 16;
    /** More lines than these side by side cannot be told apart. */
    private static final int MOST = 4;

    private final int left;

    /**
     * @param after the document as it would be
     * @param mapping its tables
     */
    ChildrenPicture(Document after, Mapping mapping, Id parent, double width) {
        Contents all = new ContentsMaker().of(after, mapping, View.TABLES);
        List<Link> every = all.links().stream()
                .filter(link -> !link.isLoop() && link.first().card().equals(parent))
                .toList();
        List<Link> links = every.subList(0, Math.min(MOST, every.size()));
        this.left = every.size() - links.size();
        Set<Id> shown = links.stream().map(link -> link.second().card()).collect(Collectors.toSet());
        shown.add(parent);
        Set<Id> through = links.stream().map(Link::relationship).collect(Collectors.toSet());
        List<Card> cards = all.cards().stream()
                .filter(card -> shown.contains(card.id()))
                .map(card -> shortened(card, card.id().equals(parent), through))
                .toList();
        Picture picture =
                PictureMaker.of(new Contents(cards, links), positions(cards, parent, width), Notation.CROWSFOOT);
        var marks = new FxMarks(false);
        var drawn = new Group();
        picture.marks(Detail.EVERYTHING).forEach(mark -> drawn.getChildren().add(marks.node(mark)));
        Area bounds = picture.bounds();
        double above = Math.max(0, -bounds.y()); // what a line or its words need above the cards
        drawn.setLayoutY(above);
        getChildren().add(drawn);
        setMinHeight(above + bounds.bottom() + 4);
        setPrefHeight(above + bounds.bottom() + 4);
    }

    /** How many more there are than are drawn. */
    int left() {
        return left;
    }

    private static Card shortened(Card card, boolean parent, Set<Id> through) {
        List<Card.Entry> others = parent
                ? List.of()
                : card.others().stream()
                        .filter(entry -> through.contains(entry.origin()))
                        .toList();
        return new Card(card.id(), card.title(), card.kind(), card.ink(), false, card.key(), others);
    }

    /** The parent at the left, its children in as many columns as there is room for. */
    private static Map<Id, Position> positions(List<Card> cards, Id parent, double width) {
        var positions = new LinkedHashMap<Id, Position>();
        double left = cards.stream()
                .filter(card -> card.id().equals(parent))
                .mapToDouble(Card::width)
                .sum();
        positions.put(parent, new Position(0, 0));
        double x = left + BETWEEN;
        double y = 0;
        double widest = 0;
        for (Card card : cards) {
            if (!card.id().equals(parent)) {
                boolean full = y > 0 && y + card.height() > 250 && x + widest + 24 + card.width() < width;
                if (full) {
                    x += widest + 24;
                    y = 0;
                    widest = 0;
                }
                positions.put(card.id(), new Position(x, y));
                y += card.height() + BELOW;
                widest = Math.max(widest, card.width());
            }
        }
        return positions;
    }
}
