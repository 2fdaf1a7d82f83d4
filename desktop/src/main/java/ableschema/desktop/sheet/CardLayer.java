package ableschema.desktop.sheet;

import ableschema.core.design.Id;
import ableschema.core.document.Detail;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.picture.Picture.PlacedCard;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.application.Platform;
import javafx.scene.Group;
import javafx.scene.Node;

/** The nodes of the cards that are in view or near it; every frame goes through all nodes of a window, so the others are left out. */
final class CardLayer extends Group {

    private static final int ADDED_AT_ONCE = 120;

    /** From so far that this many are in view they are only painted, but for what is chosen or carried. */
    private static final int MOST_IN_VIEW = 400;

    private final Map<Id, CardNode> nodes = new HashMap<>();
    private final Set<Id> lifted = new HashSet<>();
    private Map<Id, PlacedCard> cards = Map.of();
    private Detail detail = Detail.EVERYTHING;
    private Set<Id> chosen = Set.of();
    private Set<Id> pinned = Set.of();

    /** What can be moved to without having to look which cards come near. */
    private Area around = new Area(0, 0, 0, 0);

    private boolean adding;

    /** Stands for these cards from now on; {@link #light} follows. */
    void show(Map<Id, PlacedCard> shown, Detail wanted) {
        cards = shown;
        detail = wanted;
        nodes.keySet().retainAll(shown.keySet());
        nodes.forEach((id, node) -> node.show(shown.get(id), wanted));
    }

    /** Looks at another part of the picture. */
    void look(Area seen) {
        boolean far = seen.x() < around.x()
                || seen.y() < around.y()
                || seen.right() > around.right()
                || seen.bottom() > around.bottom();
        boolean wide = around.width() > 8 * seen.width();
        if (far || wide) {
            around = new Area(
                    seen.x() - seen.width() / 2, seen.y() - seen.height() / 2, 2 * seen.width(), 2 * seen.height());
            fill();
        }
    }

    /** Has the nodes in the window that are to be there; many new ones a few at a time, so that it answers in between. */
    private void fill() {
        var gone = new HashSet<Node>(getChildren());
        var added = new ArrayList<CardNode>();
        boolean more = false;
        boolean near = inView() <= MOST_IN_VIEW;
        for (Map.Entry<Id, PlacedCard> each : cards.entrySet()) {
            boolean special = lifted.contains(each.getKey()) || chosen.contains(each.getKey());
            if (special || near && each.getValue().area().meets(around)) {
                CardNode node = node(each.getKey(), each.getValue());
                if (!gone.remove(node)) {
                    boolean soon = special || added.size() < ADDED_AT_ONCE;
                    more |= !soon;
                    if (soon) {
                        added.add(node);
                    }
                }
            }
        }
        getChildren().removeAll(gone);
        getChildren().addAll(added);
        if (more && !adding) {
            adding = true;
            Platform.runLater(() -> {
                adding = false;
                fill();
            });
        }
    }

    private long inView() {
        return cards.values().stream().filter(card -> card.area().meets(around)).count();
    }

    private CardNode node(Id id, PlacedCard placed) {
        return nodes.computeIfAbsent(id, each -> {
            var made = new CardNode(placed, detail);
            made.setChosen(chosen.contains(id));
            made.setPinned(pinned.contains(id));
            return made;
        });
    }

    /** The node of a card that the picture shows, be it in view or not. */
    Optional<CardNode> card(Id id) {
        return Optional.ofNullable(cards.get(id)).map(placed -> node(id, placed));
    }

    void light(Set<Id> nowChosen, Set<Id> nowPinned) {
        chosen = nowChosen;
        pinned = nowPinned;
        nodes.forEach((id, node) -> {
            node.setChosen(nowChosen.contains(id));
            node.setPinned(nowPinned.contains(id));
        });
        fill();
    }

    /** Takes cards off the paper, to be carried, wherever they are. */
    void lift(Set<Id> ids) {
        lifted.addAll(ids);
        fill();
        List.copyOf(ids).forEach(id -> card(id).ifPresent(node -> node.lift(true)));
    }

    /** Puts all cards back on the paper. */
    void putDown() {
        lifted.forEach(id -> card(id).ifPresent(node -> node.lift(false)));
        lifted.clear();
        fill();
    }

    /** The cards that are being carried. */
    Set<Id> lifted() {
        return lifted;
    }
}
