package ableschema.desktop.gloss;

import ableschema.core.design.Attribute;
import ableschema.core.design.Id;
import ableschema.core.design.Volume;
import ableschema.core.edit.ChangeNotes;
import ableschema.core.holding.Fullness;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.controls.Fields;
import ableschema.desktop.workspace.Workspace;
import java.time.Year;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** How much of what its column can hold an attribute uses, how many rows are expected, and when it runs out. */
final class FullnessView extends VBox {

    private static final double WIDTH = 308;
    /** What is there at all is to be seen. */
    private static final double LEAST = 3;

    private final Workspace workspace;
    private final Id owner;

    /** @param full measured once, as that reads all sample rows */
    FullnessView(Workspace workspace, Attribute attribute, Fullness full) {
        super(5);
        this.workspace = workspace;
        this.owner = workspace.design().ownerOf(attribute.id()).orElseThrow(); // it is shown as it is in the design
        setId("fullness");
        if (!full.high().isEmpty() || !full.low().isEmpty()) {
            getChildren().addAll(bar(full), ends(full));
        } else if (!full.seen().isEmpty()) {
            getChildren().add(wrapped(full.seen(), "note"));
        }
        full.said().forEach(each -> getChildren().add(wrapped(each, "fullness-said")));
        getChildren().add(expected());
    }

    static Fullness of(Workspace workspace, Attribute attribute) {
        return Fullness.of(
                workspace.design(), attribute, workspace.dialect(), Year.now().getValue());
    }

    static Object shownOf(Workspace workspace, Attribute attribute, Fullness full) {
        return List.of(attribute.id(), full, volume(workspace, attribute));
    }

    private static Volume volume(Workspace workspace, Attribute attribute) {
        return workspace
                .design()
                .ownerOf(attribute.id())
                .flatMap(owner -> workspace.design().notes().volume(owner))
                .orElse(Volume.NONE);
    }

    /** What stands right of the heading: "PostgreSQL smallint, 2 bytes". */
    static String column(Workspace workspace, Fullness full) {
        String bytes = full.bytes() <= 0 ? "" : ", " + full.bytes() + (full.bytes() == 1 ? " byte" : " bytes");
        return workspace.dialect().label() + " " + shortened(full.column()) + bytes;
    }

    private static String shortened(String column) {
        return column.length() > 24 ? column.substring(0, 23) + "…" : column;
    }

    private static Label wrapped(String text, String style) {
        Label label = Controls.text(text, style);
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        return label;
    }

    private static Node bar(Fullness full) {
        var room = new Region();
        room.getStyleClass().add("fullness-room");
        room.setMinSize(WIDTH, 18);
        room.setMaxSize(WIDTH, 18);
        var bar = new StackPane(room);
        bar.setAlignment(Pos.CENTER_LEFT);
        full.share().ifPresent(share -> {
            var used = new Region();
            used.getStyleClass().add("fullness-used");
            double width = Math.max(LEAST, Math.min(1, share) * WIDTH);
            used.setMinSize(width, 18);
            used.setMaxSize(width, 18);
            bar.getChildren().add(used);
        });
        Label seen = Controls.text(full.seen().isEmpty() ? "no sample row has a value" : full.seen(), "fullness-seen");
        bar.getChildren().add(seen);
        bar.setAccessibleText("from " + full.low() + " to " + full.high() + "; " + seen.getText());
        return bar;
    }

    private static Node ends(Fullness full) {
        var ends = new HBox(
                Controls.text(full.low(), "type-note"), Controls.space(), Controls.text(full.high(), "type-note"));
        ends.setMaxWidth(WIDTH);
        return ends;
    }

    /** How many rows there will be, corrected in place. */
    private Node expected() {
        Volume now = workspace.design().notes().volume(owner).orElse(Volume.NONE);
        TextField first = field("rows-first", now.first(), typed -> new Volume(typed, later().eachYear()));
        TextField more = field("rows-each-year", now.eachYear(), typed -> new Volume(later().first(), typed));
        var line = new HBox(6, whole("rows expected"), first, whole("and each year"), more);
        line.setAlignment(Pos.BASELINE_LEFT);
        return line;
    }

    private static Label whole(String text) {
        Label label = Controls.text(text, "note");
        label.setMinWidth(USE_PREF_SIZE);
        return label;
    }

    private Volume later() {
        return workspace.design().notes().volume(owner).orElse(Volume.NONE);
    }

    private interface Said {
        Volume of(long number);
    }

    private TextField field(String id, long number, Said said) {
        TextField field = Fields.text(id, number == 0 ? "" : String.format("%,d", number), "0", typed -> {
            String digits = typed.replaceAll("[,. ']", "");
            if (!digits.matches("[0-9]{0,18}")) {
                workspace.notices().complain("'" + typed + "' is no number of rows; type one such as 9,000");
                return;
            }
            Volume volume = said.of(digits.isEmpty() ? 0 : Long.parseLong(digits));
            workspace.apply(new ChangeNotes(
                    workspace.design().notes().withVolume(owner, volume),
                    "say how many of " + workspace.design().nameOf(owner) + " there are"));
        });
        field.setPrefWidth(70);
        field.getStyleClass().add("small-field");
        return field;
    }
}
