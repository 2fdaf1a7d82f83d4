package ableschema.desktop.sql;

import ableschema.core.finding.Finding;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.workspace.Workspace;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What is open in the script and what the dialect cannot say, in one line that opens into a list; each entry leads to its thing. */
final class ShortfallList extends VBox {

    private static final double HIGHEST = 150;

    private final Workspace workspace;
    private final VBox list = new VBox(4);
    private final ScrollPane scrolled = new ScrollPane(list);
    private final Label title = new Label();
    private boolean open;

    ShortfallList(Workspace workspace) {
        super(4);
        this.workspace = workspace;
        setId("shortfalls");
        title.setId("shortfalls-title");
        title.getStyleClass().add("note");
        scrolled.setFitToWidth(true);
        scrolled.setMaxHeight(HIGHEST);
        scrolled.setMinHeight(Region.USE_PREF_SIZE);
        Controls.pressable(title, () -> {
            open = !open;
            arrange();
        });
    }

    void show(List<Finding> findings) {
        list.getChildren().clear();
        findings.forEach(each -> list.getChildren().add(entry(each)));
        arrange();
    }

    private Label entry(Finding finding) {
        Label entry = Controls.text(finding.text(), "note");
        entry.setWrapText(true);
        entry.setMinHeight(Region.USE_PREF_SIZE);
        Controls.pressable(
                entry, () -> workspace.selection().choose(finding.place().owner()));
        return entry;
    }

    private void arrange() {
        int count = list.getChildren().size();
        String sign = open ? " \u25be" : " \u25b8";
        title.setText((count == 1 ? "1 thing" : count + " things") + " to know before it is run" + sign);
        getChildren().setAll(title);
        if (open) {
            getChildren().add(scrolled);
        }
        boolean any = count > 0;
        setVisible(any);
        setManaged(any);
    }
}
