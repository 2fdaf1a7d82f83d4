package ableschema.desktop.gloss;

import ableschema.core.design.ColumnRef;
import ableschema.core.design.Condition;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.schema.Column;
import ableschema.core.schema.Table;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.controls.Parts;
import ableschema.desktop.workspace.Workspace;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The columns of a table, one line each: name, type, and what there is to say of it. */
final class ColumnList extends VBox {

    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");

    private final Workspace workspace;
    private final Parts rows = new Parts(this);

    /** What one line shows. */
    private record Row(
            String column, String name, boolean inKey, String type, String note, Id origin, boolean chosen) {}

    ColumnList(Workspace workspace) {
        this.workspace = workspace;
        getStyleClass().add("column-list");
    }

    void show(Table table) {
        for (Column column : table.columns()) {
            Row row = row(table, column);
            rows.add(column.name(), row, () -> node(row));
        }
        rows.show();
    }

    private Row row(Table table, Column column) {
        Id origin = workspace.trace().origin(table, column);
        return new Row(
                column.name(),
                column.nullable() ? "[" + column.name() + "]" : column.name(),
                table.isInKey(column),
                workspace.dialect().shownType(column),
                String.join(" · ", notes(table, column)),
                origin,
                workspace
                        .selection()
                        .chosenProperty()
                        .get()
                        .filter(origin::equals)
                        .isPresent());
    }

    private Node node(Row row) {
        var name = new Label(row.name());
        name.getStyleClass().add(row.inKey() ? "key-name" : "column-name");
        var type = new Label(row.type());
        type.getStyleClass().add("type");
        wrap(name);
        wrap(type);
        var note = new Label(row.note());
        note.getStyleClass().add("note");
        wrap(note);
        var grid = new GridPane();
        grid.getColumnConstraints().addAll(share(36), share(33), share(31));
        grid.addRow(0, new HBox(name), type, note);
        GridPane.setHgrow(note, Priority.ALWAYS);
        GridPane.setValignment(type, VPos.TOP);
        GridPane.setValignment(note, VPos.TOP);
        grid.getStyleClass().add("column-row");
        grid.setId("column-" + row.column());
        grid.pseudoClassStateChanged(CHOSEN, row.chosen());
        Controls.pressable(grid, () -> workspace.selection().choose(row.origin()));
        return grid;
    }

    /** Nothing of a name or a type is cut off. */
    private static void wrap(Label label) {
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
    }

    private static ColumnConstraints share(double percent) {
        var constraints = new ColumnConstraints();
        constraints.setPercentWidth(percent);
        return constraints;
    }

    private List<String> notes(Table table, Column column) {
        var notes = new ArrayList<String>();
        table.foreignKeyOf(column)
                .ifPresent(key -> notes.add("from " + source(workspace.trace().end(table, key))));
        if (notes.isEmpty() && table.isInKey(column)) {
            notes.add("key");
        }
        boolean unique = table.uniques().stream().anyMatch(u -> u.columns().equals(List.of(column.name())));
        if (unique) {
            notes.add("unique");
        }
        column.identity().ifPresent(counted -> notes.add("counted"));
        condition(table, column).ifPresent(rule -> notes.add(rule.inShort()));
        return notes;
    }

    private String source(EndRef end) {
        return workspace.design().target(end).map(Entity::name).orElse("");
    }

    private Optional<Condition> condition(Table table, Column column) {
        ColumnRef ref = workspace.trace().ref(table, column);
        return workspace.mapping().physical().body(workspace.trace().owner(table)).stream()
                .flatMap(body -> body.checks().stream())
                .flatMap(check -> Condition.read(check.expression()).stream())
                .filter(rule -> rule.column().equals(ref))
                .findFirst();
    }
}
