package ableschema.desktop.list;

import static ableschema.desktop.controls.Controls.text;

import ableschema.core.design.Id;
import ableschema.core.structure.Structure.IndexLine;
import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The indexes of a table, each with what it comes from; those that were asked for can be taken away. */
final class IndexList extends VBox {

    private static final double COLUMNS_WIDTH = 180;

    private final Label note = text("", "note");
    private final VBox lines = new VBox(2);
    private final Consumer<Id> remove;

    IndexList(Consumer<Id> remove, Consumer<TextField> added) {
        super(6);
        this.remove = remove;
        var heading = new HBox(10, text("Indexes", "candidate-name"), note);
        heading.setAlignment(Pos.BASELINE_LEFT);
        var another = new TextField();
        another.setId("another-index");
        another.setPromptText("another index: done at falling, lower(name) where done = true (unique)");
        another.setOnAction(event -> added.accept(another));
        getChildren().addAll(heading, lines, another);
    }

    void show(List<IndexLine> indexes) {
        long there = indexes.stream().filter(IndexLine::exists).count();
        long own = indexes.stream().filter(each -> each.own().isPresent()).count();
        String asked = own == 0 ? "none asked for, they come by themselves" : own + " asked for";
        note.setText(there
                + (there == 1 ? " index, " : " indexes, ")
                + asked
                + (there > 1 ? "; each new row is written into all of them" : ""));
        lines.getChildren().setAll(indexes.stream().map(this::line).toList());
    }

    private HBox line(IndexLine index) {
        var columns = text(index.columns(), index.exists() ? "answer" : "hint");
        columns.setMinWidth(COLUMNS_WIDTH);
        boolean fixed = index.exists() && index.own().isEmpty();
        var from = text(index.from() + (fixed ? " · cannot be taken away here" : ""), "note");
        from.setWrapText(true);
        from.setMinHeight(Region.USE_PREF_SIZE);
        from.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(from, Priority.ALWAYS);
        var line = new HBox(10, columns, from);
        line.setAlignment(Pos.CENTER_LEFT);
        if (!index.space().isEmpty()) {
            var space = text(index.space(), "note");
            space.setMinWidth(Region.USE_PREF_SIZE);
            space.setTooltip(new Tooltip("for the rows expected in ten years; texts are counted as half full"));
            line.getChildren().add(space);
        }
        index.own().ifPresent(id -> {
            var away = new Hyperlink("✕");
            away.setAccessibleText("take the index on " + index.columns() + " away");
            away.setOnAction(event -> remove.accept(id));
            line.getChildren().add(away);
        });
        return line;
    }
}
