package ableschema.desktop.controls;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.layout.Pane;

/**
 * Parts of a pane that are shown again and again: a part is made anew only when what it shows is not equal to what it showed,
 * as making nodes, styling them and laying them out takes far longer than comparing. What a part does when it is used must
 * therefore look things up in the design of that moment.
 */
public final class Parts {

    private final Pane pane;
    private final List<Node> next = new ArrayList<>();
    private Map<String, Part> known = new HashMap<>();
    private Map<String, Part> shown = new HashMap<>();

    private record Part(Object shows, Kept node) {}

    /** @param pane whose children are these parts and nothing else */
    public Parts(Pane pane) {
        this.pane = pane;
    }

    /**
     * Adds the next part.
     *
     * @param name  tells it from the other parts, also from one time to the next
     * @param shows all that its looks depend on, compared by {@code equals}
     */
    public void add(String name, Object shows, Supplier<? extends Node> made) {
        Part before = known.get(name);
        Part part = before != null && before.shows().equals(shows) ? before : new Part(shows, new Kept(made.get()));
        shown.put(name, part);
        next.add(part.node());
    }

    /**
     * Adds the next part, which can be brought up to date and so stays where it is.
     *
     * @param update has the part show what it is to show now
     */
    public <N extends Node> void add(String name, Object shows, Supplier<N> made, Class<N> kind, Consumer<N> update) {
        Part before = known.get(name);
        if (before == null || !kind.isInstance(before.node().node())) {
            add(name, shows, made);
            return;
        }
        if (!before.shows().equals(shows)) {
            update.accept(kind.cast(before.node().node()));
        }
        shown.put(name, new Part(shows, before.node()));
        next.add(before.node());
    }

    /** Adds a part that depends on too much to be compared, and so is made anew each time. */
    public void addAnew(Node node) {
        next.add(node);
    }

    /** Puts what was added in place; what was there and is there again stays where it is. */
    public void show() {
        List<Node> children = pane.getChildren();
        Set<Node> wanted = Collections.newSetFromMap(new IdentityHashMap<>());
        wanted.addAll(next);
        for (int i = children.size() - 1; i >= 0; i--) {
            if (!wanted.contains(children.get(i))) {
                children.remove(i);
            }
        }
        for (int i = 0; i < next.size(); i++) {
            Node node = next.get(i);
            if (i >= children.size() || children.get(i) != node) {
                children.remove(node);
                children.add(i, node);
            }
        }
        known = shown;
        shown = new HashMap<>();
        next.clear();
    }
}
