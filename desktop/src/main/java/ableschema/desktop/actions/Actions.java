package ableschema.desktop.actions;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.scene.Scene;
import javafx.scene.input.KeyCombination;

/** The list of all actions of the window; keys given with one work wherever the focus is. */
public final class Actions {

    private final List<Action> all = new ArrayList<>();
    private final Map<KeyCombination, Runnable> accelerators = new LinkedHashMap<>();

    /** Adds an action with keys such as {@code Shortcut+Z}. */
    public void add(String name, String keys, Runnable run) {
        all.add(new Action(name, readable(keys), run));
        accelerators.put(KeyCombination.valueOf(keys), run);
    }

    /** Adds an action that has no keys of its own. */
    public void add(String name, Runnable run) {
        all.add(new Action(name, "", run));
    }

    /** Adds an action whose keys another part of the window looks after. */
    public void addKnown(String name, String keys, Runnable run) {
        all.add(new Action(name, keys, run));
    }

    public List<Action> all() {
        return Collections.unmodifiableList(all);
    }

    public void installIn(Scene scene) {
        scene.getAccelerators().putAll(accelerators);
    }

    private static String readable(String keys) {
        return keys.replace("Shortcut", "Ctrl").replace("EQUALS", "+").replace("MINUS", "−");
    }
}
