package ableschema.desktop.brief;

import ableschema.core.brief.Headings;
import ableschema.core.edit.AddEntity;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.workspace.Workspace;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** The headings and a few rows of a spreadsheet, and the entity that they would become. */
final class TablePaste extends VBox {

    private final Workspace workspace;
    private final TextArea cells = new TextArea();
    private final TextField name = new TextField();
    private final GridPane columns = new GridPane();
    private final HBox making;

    TablePaste(Workspace workspace) {
        super(8);
        this.workspace = workspace;
        cells.setId("pasted-table");
        cells.setPrefRowCount(3);
        cells.setPromptText(
                "Hive code,  Visited on,  Strength: as copied from a spreadsheet or a CSV file, with a few rows below");
        cells.textProperty().addListener((o, before, now) -> suggest());
        name.setId("pasted-name");
        name.setPromptText("what is one row? such as Visit");
        Button make = Controls.button("make-entity", "Make the entity", this::make);
        make.getStyleClass().add("main-action");
        name.setOnAction(event -> make());
        making = new HBox(8, name, make);
        columns.setHgap(18);
        columns.setVgap(4);
        getChildren().addAll(title(), cells, columns, making);
        suggest();
    }

    private static Label title() {
        var title = Controls.text("Is there a sheet already? Paste its headings and a few rows", "bench-title");
        title.setWrapText(true);
        return title;
    }

    private void suggest() {
        columns.getChildren().clear();
        boolean some = !cells.getText().isBlank();
        making.setVisible(some);
        making.setManaged(some);
        if (some) {
            try {
                int row = 0;
                for (Headings.Column column : Headings.of(cells.getText()).columns()) {
                    columns.addRow(
                            row++,
                            Controls.text(column.optional() ? "[" + column.name() + "]" : column.name(), "answer"),
                            Controls.text(column.type().toString(), "type-note"),
                            Controls.text(column.reason(), "note"));
                }
            } catch (IllegalArgumentException e) {
                columns.addRow(0, Controls.text(String.valueOf(e.getMessage()), "fails"));
            }
        }
    }

    private void make() {
        String called = name.getText().strip();
        if (called.isEmpty()) {
            workspace.notices().complain("say what one row of the sheet is, such as Visit; the entity takes that name");
            name.requestFocus();
        } else if (workspace.design().entity(called).isPresent()) {
            workspace
                    .notices()
                    .complain("there is an entity called " + called + " already; give this one another name");
        } else {
            try {
                var entity = Headings.of(cells.getText()).entity(called, workspace.ids());
                workspace.apply(new AddEntity(entity, Optional.empty()));
                workspace.selection().choose(entity.id());
                cells.clear();
                name.clear();
            } catch (IllegalArgumentException e) {
                workspace.notices().complain(String.valueOf(e.getMessage()));
            }
        }
    }
}
