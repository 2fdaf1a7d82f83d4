package ableschema.desktop.find;

import ableschema.core.design.Id;
import ableschema.desktop.actions.Actions;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.find.Finds.Found;
import ableschema.desktop.workspace.Workspace;
import java.util.List;
import java.util.function.Consumer;
import javafx.css.PseudoClass;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** A line in which anything can be found by its name, and done: entities, attributes, relationships, steps and actions. */
public final class FindView extends VBox {

    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");

    private final Workspace workspace;
    private final Actions actions;
    private final Consumer<Id> show;
    private final Runnable close;
    private final TextField line = new TextField();
    private final VBox list = new VBox();
    private List<Found> found = List.of();
    private int current;

    /**
     * @param show  brings a thing into view and chooses it
     * @param close takes this from the window
     */
    public FindView(Workspace workspace, Actions actions, Consumer<Id> show, Runnable close) {
        this.workspace = workspace;
        this.actions = actions;
        this.show = show;
        this.close = close;
        setId("find");
        getStyleClass().add("find");
        setMaxSize(560, Region.USE_PREF_SIZE);
        line.setId("find-line");
        line.setPromptText("find or do anything: hive, known as, tidy up");
        line.textProperty().addListener((o, before, now) -> search());
        line.addEventFilter(KeyEvent.KEY_PRESSED, this::keyPressed);
        getChildren().addAll(line, list);
        search();
    }

    /** Begins anew with an empty line. */
    public void begin() {
        line.clear();
        search();
        line.requestFocus();
    }

    private void search() {
        found = new Finds(workspace.design(), actions.all(), show).matching(line.getText());
        current = 0;
        list.getChildren().setAll(found.stream().map(this::row).toList());
        if (found.isEmpty()) {
            list.getChildren().add(Controls.text("Nothing here is called so.", "hint"));
        }
        light();
    }

    private Node row(Found each) {
        var name = new Label(each.name());
        name.setMaxWidth(390);
        var keys = Controls.text(each.keys().isEmpty() ? each.sort() : each.keys(), "note");
        var row = new HBox(8, name, Controls.space(), keys);
        row.getStyleClass().add("find-row");
        row.setOnMouseClicked(event -> carryOut(each));
        return row;
    }

    private void light() {
        for (int i = 0; i < list.getChildren().size(); i++) {
            list.getChildren().get(i).pseudoClassStateChanged(CHOSEN, i == current);
        }
    }

    private void keyPressed(KeyEvent event) {
        if (event.getCode() == KeyCode.DOWN || event.getCode() == KeyCode.UP) {
            int by = event.getCode() == KeyCode.DOWN ? 1 : -1;
            current = Math.floorMod(current + by, Math.max(1, found.size()));
            light();
        } else if (event.getCode() == KeyCode.ENTER && current < found.size()) {
            carryOut(found.get(current));
        } else if (event.getCode() == KeyCode.ESCAPE) {
            close.run();
        } else {
            return;
        }
        event.consume();
    }

    private void carryOut(Found each) {
        close.run();
        each.go().run();
    }
}
