package ableschema.desktop.find;

import ableschema.desktop.actions.Action;
import ableschema.desktop.actions.Actions;
import ableschema.desktop.controls.Controls;
import java.util.List;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** All keys on one page. */
public final class ShortcutSheet extends VBox {

    private static final int COLUMNS = 2;

    public ShortcutSheet(Actions actions) {
        setId("shortcut-sheet");
        getStyleClass().add("find");
        setMaxSize(860, Region.USE_PREF_SIZE);
        var grid = new GridPane();
        grid.setHgap(14);
        grid.setVgap(5);
        List<Action> keyed =
                actions.all().stream().filter(a -> !a.keys().isEmpty()).toList();
        int rows = (keyed.size() + COLUMNS - 1) / COLUMNS;
        for (int i = 0; i < keyed.size(); i++) {
            int column = i / rows * 2;
            grid.add(Controls.text(keyed.get(i).keys(), "keys"), column, i % rows);
            grid.add(Controls.text(keyed.get(i).name(), "answer"), column + 1, i % rows);
        }
        getChildren()
                .addAll(Controls.text("Everything by keyboard", "title"), grid, Controls.text("Escape: close", "hint"));
    }
}
