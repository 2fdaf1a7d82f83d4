package ableschema.desktop.rows;

import static ableschema.desktop.controls.Controls.button;

import ableschema.core.design.Id;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Lists;
import ableschema.core.design.Row;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Severity;
import ableschema.core.finding.Step;
import ableschema.core.rows.RowEntry;
import ableschema.core.rows.RowTable;
import ableschema.core.store.FileProblem;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.workspace.Workspace;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.SelectionMode;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;

/**
 * The sample rows of the chosen thing: typed, pasted, read from CSV, deleted. Each cell that breaks a rule is marked, and
 * the rule is said below.
 */
public final class RowsGrid extends VBox {

    private static final double OPEN_HEIGHT = 220;

    private final Workspace workspace;
    private final ToggleButton title = new ToggleButton();
    private final TableView<Row> table = new TableView<>();
    private final Label judgement = new Label();
    private final HBox tools = new HBox(8);
    private final RowCell.FirstLetter firstLetter = new RowCell.FirstLetter();
    private Optional<Id> shownOwner = Optional.empty();
    private List<KeyPart> shownColumns = List.of();
    private List<Finding> findings = List.of();

    public RowsGrid(Workspace workspace) {
        this.workspace = workspace;
        getStyleClass().add("rows");
        setId("rows");
        buildTable();
        judgement.getStyleClass().add("judgement");
        judgement.setId("rows-judgement");
        getChildren().addAll(header(), table, judgement);
        workspace.onMeaning(this::show);
        workspace.selection().chosenProperty().addListener((o, before, now) -> show());
        title.selectedProperty().addListener((o, before, now) -> show());
        show();
    }

    private Node header() {
        title.setId("rows-title");
        title.getStyleClass().setAll("rows-title");
        var space = Controls.space();
        tools.getChildren()
                .addAll(
                        button("add-row", "Add a row", this::addRow),
                        button("paste-rows", "Paste", this::paste),
                        button("read-csv", "Read CSV …", this::chooseCsv),
                        button("delete-rows", "Delete", this::delete));
        var header = new HBox(8, title, space, tools);
        header.setAlignment(Pos.CENTER_LEFT);
        return header;
    }

    private void buildTable() {
        table.setId("rows-table");
        table.setEditable(true);
        table.getSelectionModel().setSelectionMode(SelectionMode.MULTIPLE);
        table.getSelectionModel().setCellSelectionEnabled(true);
        table.setPrefHeight(OPEN_HEIGHT);
        table.setMinHeight(OPEN_HEIGHT);
        table.setFixedCellSize(24);
        table.setPlaceholder(new Label("No rows yet: add one, or paste some from a spreadsheet."));
        table.addEventFilter(KeyEvent.KEY_PRESSED, this::keyPressed);
        table.addEventHandler(KeyEvent.KEY_TYPED, this::keyTyped);
        table.getSelectionModel().selectedItemProperty().addListener((o, before, now) -> sayJudgement());
    }

    private void keyPressed(KeyEvent event) {
        boolean editing = table.getEditingCell() != null;
        if (editing) {
            return;
        }
        if (event.getCode() == KeyCode.DELETE) {
            delete();
            event.consume();
        } else if (event.getCode() == KeyCode.V && event.isShortcutDown()) {
            paste();
            event.consume();
        } else if (event.getCode() == KeyCode.ENTER && event.isShortcutDown()) {
            addRow();
            event.consume();
        }
    }

    /** A letter typed on a cell begins to edit it. */
    private void keyTyped(KeyEvent event) {
        String typed = event.getCharacter();
        var focused = table.getFocusModel().getFocusedCell();
        boolean letter = !typed.isEmpty() && !Character.isISOControl(typed.charAt(0)) && !event.isShortcutDown();
        if (table.getEditingCell() == null && letter && focused.getRow() >= 0 && focused.getTableColumn() != null) {
            firstLetter.set(typed);
            table.edit(focused.getRow(), columnAt(focused.getColumn()));
            event.consume();
        }
    }

    @SuppressWarnings("unchecked") // all columns of this table are made by column()
    private TableColumn<Row, Row> columnAt(int index) {
        return (TableColumn<Row, Row>) table.getColumns().get(index);
    }

    private RowEntry entry(Id owner) {
        return new RowEntry(workspace.design(), owner, workspace.ids());
    }

    private Optional<Id> owner() {
        return workspace.selection().chosenOwner().filter(id -> workspace
                .design()
                .relationship(id)
                .map(r -> r.isManyToMany())
                .orElse(true));
    }

    private List<Row> rows(Id owner) {
        return workspace.design().body(owner).map(body -> body.rows()).orElse(List.of());
    }

    private void show() {
        Optional<Id> owner = owner();
        boolean open = title.isSelected() && owner.isPresent();
        table.setVisible(open);
        table.setManaged(open);
        judgement.setVisible(open);
        judgement.setManaged(open);
        tools.setVisible(open);
        setVisible(owner.isPresent());
        setManaged(owner.isPresent());
        owner.ifPresent(id -> {
            findings = workspace.review().about(id).stream()
                    .filter(each -> each.step() == Step.ROWS && each.severity() == Severity.MUST_MEND)
                    .toList();
            title.setText((open ? "▾  " : "▸  ") + "Rows of " + label(id) + "  " + rows(id).size()
                    + (findings.isEmpty() ? "" : ", " + brokenRows() + " break a rule"));
            if (open) {
                fill(id);
            }
        });
    }

    private long brokenRows() {
        return findings.stream()
                .flatMap(f -> f.place().row().stream())
                .distinct()
                .count();
    }

    private String label(Id owner) {
        return workspace.design().nameOf(owner);
    }

    private void fill(Id owner) {
        RowEntry entry = entry(owner);
        List<KeyPart> columns = entry.columns();
        if (!shownOwner.equals(Optional.of(owner)) || !shownColumns.equals(columns) || !headingsFit(entry)) {
            shownOwner = Optional.of(owner);
            shownColumns = columns;
            table.getColumns().clear();
            columns.forEach(column -> table.getColumns().add(column(owner, column, entry.heading(column))));
        }
        int focused = table.getFocusModel().getFocusedIndex();
        table.getItems().setAll(rows(owner));
        if (focused >= 0
                && focused < table.getItems().size()
                && !table.getColumns().isEmpty()) {
            table.getFocusModel().focus(focused);
        }
        sayJudgement();
    }

    private boolean headingsFit(RowEntry entry) {
        return shownColumns.stream()
                .map(entry::heading)
                .toList()
                .equals(table.getColumns().stream().map(TableColumn::getText).toList());
    }

    private TableColumn<Row, Row> column(Id owner, KeyPart part, String heading) {
        var column = new TableColumn<Row, Row>(heading);
        column.setSortable(false);
        column.setReorderable(false);
        column.setPrefWidth(part.through().isPresent() ? 168 : 112);
        column.setCellValueFactory(row -> new ReadOnlyObjectWrapper<>(row.getValue()));
        column.setCellFactory(c -> new RowCell(
                part,
                () -> entry(owner),
                row -> findings(row, part),
                (row, typed) -> change(owner, row, part, typed),
                firstLetter));
        return column;
    }

    private List<Finding> findings(Row row, KeyPart part) {
        return findings.stream()
                .filter(f -> f.place().row().filter(row.id()::equals).isPresent()
                        && f.place().parts().contains(part))
                .toList();
    }

    private void change(Id owner, Row row, KeyPart part, String typed) {
        RowEntry entry = entry(owner);
        Row changed = entry.with(row, part, typed);
        workspace.apply(workspace
                .edits()
                .setRows(
                        owner,
                        Lists.replace(rows(owner), Row::id, changed),
                        "set " + entry.heading(part) + " in a row of " + label(owner)));
    }

    /** Says what is wrong with the row in focus, or else with the first that breaks a rule. */
    private void sayJudgement() {
        Row focused = table.getSelectionModel().getSelectedItem();
        List<Finding> ofRow = findings.stream()
                .filter(f -> focused != null
                        && f.place().row().filter(focused.id()::equals).isPresent())
                .toList();
        List<Finding> said = ofRow.isEmpty() ? findings : ofRow;
        judgement.setText(said.isEmpty() ? "every row is accepted" : said.get(0).text());
    }

    private void addRow() {
        owner().ifPresent(id -> {
            Row row = entry(id).newRow(rows(id));
            workspace.apply(workspace.edits().setRows(id, Lists.plus(rows(id), row), "add a row to " + label(id)));
            int last = table.getItems().size() - 1;
            table.scrollTo(last);
            table.requestFocus();
            Platform.runLater(() -> {
                if (last >= 0 && !table.getColumns().isEmpty()) {
                    table.getSelectionModel()
                            .clearAndSelect(last, table.getColumns().get(0));
                    table.getFocusModel().focus(last, columnAt(0));
                }
            });
        });
    }

    private void delete() {
        owner().ifPresent(id -> {
            List<Row> gone = List.copyOf(table.getSelectionModel().getSelectedItems());
            var kept = new ArrayList<>(rows(id));
            kept.removeAll(gone);
            String name = gone.size() == 1 ? "delete a row of " : "delete " + gone.size() + " rows of ";
            workspace.apply(workspace.edits().setRows(id, kept, name + label(id)));
        });
    }

    private void paste() {
        String text = Clipboard.getSystemClipboard().getString();
        if (text != null && !text.isBlank()) {
            read(text, text.contains("\t"), "paste rows into ");
        }
    }

    private void chooseCsv() {
        var chooser = new FileChooser();
        chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("CSV", "*.csv", "*.txt"));
        File chosen = chooser.showOpenDialog(getScene().getWindow());
        if (chosen != null) {
            readCsv(chosen.toPath());
        }
    }

    /** Reads rows from a CSV file and puts them behind those of the chosen thing. */
    public void readCsv(Path file) {
        try {
            read(Files.readString(file), false, "read " + file.getFileName() + " into ");
        } catch (IOException e) {
            workspace
                    .notices()
                    .complain(String.valueOf(FileProblem.reading(file, e).getMessage()));
        }
    }

    private void read(String text, boolean tabs, String name) {
        owner().ifPresent(id -> {
            try {
                RowTable.Reading reading = new RowTable(entry(id)).read(text, tabs, rows(id));
                var all = new ArrayList<>(rows(id));
                all.addAll(reading.rows());
                workspace.apply(workspace.edits().setRows(id, all, name + label(id)));
                workspace
                        .notices()
                        .say(
                                reading.unknown().isEmpty()
                                        ? reading.rows().size() + " rows read"
                                        : reading.rows().size() + " rows read; left out, as " + label(id)
                                                + " has no such attribute: " + String.join(", ", reading.unknown()));
            } catch (IllegalArgumentException e) {
                workspace.notices().complain(String.valueOf(e.getMessage()));
            }
        });
    }

    /** Opens the grid, or folds it away. */
    public void toggle() {
        title.setSelected(!title.isSelected());
    }
}
