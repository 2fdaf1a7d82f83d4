package ableschema.desktop.rows;

import static ableschema.desktop.controls.Controls.button;

import ableschema.core.design.Id;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Row;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Severity;
import ableschema.core.finding.Step;
import ableschema.core.rows.RowEntry;
import ableschema.core.rows.RowTable;
import ableschema.core.store.FileProblem;
import ableschema.desktop.workspace.Workspace;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.beans.binding.Bindings;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.SelectionMode;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
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
    private final RowEdits edits;
    private final TableView<Row> table = new TableView<>();
    private final Label judgement = new Label();
    private final HBox tools = new HBox(6);
    private String firstLetter = "";
    private boolean filling;
    private Optional<Id> shownOwner = Optional.empty();
    private List<KeyPart> shownColumns = List.of();
    private List<Finding> findings = List.of();

    public RowsGrid(Workspace workspace) {
        this.workspace = workspace;
        this.edits = new RowEdits(workspace);
        getStyleClass().add("rows");
        setId("rows");
        buildTable();
        judgement.getStyleClass().add("judgement");
        judgement.setId("rows-judgement");
        getChildren().addAll(header(), judgement);
        workspace.onMeaning(this::show);
        workspace.onReviewed(this::judged);
        workspace.selection().chosenProperty().addListener((o, before, now) -> show());
        title.selectedProperty().addListener((o, before, now) -> show());
        show();
    }

    private Node header() {
        title.setId("rows-title");
        title.getStyleClass().setAll("rows-title");
        tools.getChildren()
                .addAll(
                        button("add-row", "Add a row", this::addRow),
                        button("paste-rows", "Paste", this::paste),
                        button("read-csv", "Read CSV …", this::chooseCsv),
                        button("delete-rows", "Delete", this::delete));
        title.setMinWidth(USE_PREF_SIZE);
        tools.managedProperty().bind(tools.visibleProperty());
        tools.getChildren().forEach(each -> ((Region) each).setMinWidth(USE_PREF_SIZE));
        tools.setMinWidth(USE_PREF_SIZE);
        var header = new FlowPane(title, tools); // at both ends of one line, or one below the other
        header.setVgap(4);
        header.setRowValignment(VPos.CENTER);
        header.hgapProperty()
                .bind(Bindings.createDoubleBinding(
                        () -> Math.max(8, header.getWidth() - title.getWidth() - tools.getWidth() - 1),
                        header.widthProperty(),
                        title.widthProperty(),
                        tools.widthProperty()));
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
        var none = new Label("No rows yet: add one, or paste some from a spreadsheet.");
        none.setWrapText(true);
        table.setPlaceholder(none);
        table.addEventFilter(KeyEvent.KEY_PRESSED, this::keyPressed);
        table.addEventHandler(KeyEvent.KEY_TYPED, this::keyTyped);
        table.getSelectionModel().selectedItemProperty().addListener((o, before, now) -> sayJudgement());
    }

    private void keyPressed(KeyEvent event) {
        if (table.getEditingCell() != null) {
            return;
        }
        boolean command = event.isShortcutDown();
        if (event.getCode() == KeyCode.DELETE) {
            delete();
        } else if (event.getCode() == KeyCode.V && command) {
            paste();
        } else if (event.getCode() == KeyCode.ENTER && command) {
            addRow();
        } else if (event.getCode() == KeyCode.D && command) {
            repeatAbove();
        } else {
            return;
        }
        event.consume();
    }

    /** A letter typed on a cell begins to edit it. */
    private void keyTyped(KeyEvent event) {
        String typed = event.getCharacter();
        var focused = table.getFocusModel().getFocusedCell();
        boolean letter = !typed.isEmpty() && !Character.isISOControl(typed.charAt(0)) && !event.isShortcutDown();
        if (table.getEditingCell() == null && letter && focused.getRow() >= 0 && focused.getTableColumn() != null) {
            firstLetter = typed;
            table.edit(focused.getRow(), columnAt(focused.getColumn()));
            event.consume();
        }
    }

    @SuppressWarnings("unchecked") // all columns of this table are made by column()
    private TableColumn<Row, Row> columnAt(int index) {
        return (TableColumn<Row, Row>) table.getColumns().get(index);
    }

    private RowEntry entry(Id owner) {
        return edits.entry(owner);
    }

    private Optional<Id> owner() {
        return workspace.selection().chosenOwner().filter(id -> workspace
                .design()
                .relationship(id)
                .map(r -> r.isManyToMany())
                .orElse(true));
    }

    private List<Row> rows(Id owner) {
        return edits.rows(owner);
    }

    private void show() {
        Optional<Id> owner = owner();
        boolean open = (filling || title.isSelected()) && owner.isPresent();
        if (open && !getChildren().contains(table)) {
            getChildren().add(1, table); // which is a good part of the window's making, and seldom wanted at once
        }
        table.setVisible(open);
        table.setManaged(open);
        judgement.setVisible(open);
        judgement.setManaged(open);
        tools.setVisible(open);
        setVisible(owner.isPresent());
        setManaged(owner.isPresent());
        owner.ifPresent(id -> {
            judge(id, open);
            if (open) {
                fill(id);
            }
        });
    }

    private void judge(Id owner, boolean open) {
        findings = workspace.review().about(owner).stream()
                .filter(each -> each.step() == Step.ROWS && each.severity() == Severity.MUST_MEND)
                .toList();
        title.setText((filling ? "" : open ? "▾  " : "▸  ") + "Rows of " + label(owner) + "  "
                + rows(owner).size() + (findings.isEmpty() ? "" : ", " + brokenRows() + " break a rule"));
    }

    /** The findings have come; what is being typed stays. */
    private void judged() {
        owner().ifPresent(id -> {
            judge(id, table.isVisible());
            sayJudgement();
            if (table.isVisible() && table.getEditingCell() == null) {
                table.refresh();
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
        int row = table.getFocusModel().getFocusedCell().getRow();
        int column = table.getFocusModel().getFocusedCell().getColumn();
        table.getItems().setAll(rows(owner));
        if (row >= 0 && row < table.getItems().size() && column >= 0 && column < columns.size()) {
            choose(row, column);
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
        column.setCellFactory(c -> new RowCell(part, new Cells(owner)));
        return column;
    }

    /** What the cells of one owner's rows do. */
    private final class Cells implements RowCell.Grid {
        private final Id owner;

        Cells(Id owner) {
            this.owner = owner;
        }

        @Override
        public RowEntry entry() {
            return RowsGrid.this.entry(owner);
        }

        @Override
        public List<Finding> findings(Row row, KeyPart part) {
            return RowsGrid.this.findings(row, part);
        }

        @Override
        public void change(Row row, KeyPart part, String typed) {
            edits.change(owner, row, part, typed);
        }

        @Override
        public void goOn(Row row, KeyPart part, RowCell.Way way) {
            int at = place(row);
            int column = shownColumns.indexOf(part);
            int last = shownColumns.size() - 1;
            switch (way) {
                case RIGHT -> edit(column < last ? at : at + 1, column < last ? column + 1 : 0);
                case LEFT -> edit(column > 0 ? at : at - 1, column > 0 ? column - 1 : last);
                case DOWN -> edit(at + 1, at + 1 < table.getItems().size() ? column : 0);
                case UP -> edit(at - 1, column);
            }
        }

        @Override
        public void leave(Row row) {
            edits.takeBackIfNew(owner, row);
            table.requestFocus();
        }

        @Override
        public Optional<String> above(Row row, KeyPart part) {
            int at = place(row);
            return at < 1
                    ? Optional.empty()
                    : Optional.of(entry().shown(rows(owner).get(at - 1), part));
        }

        @Override
        public void pasteFrom(Row row, KeyPart part) {
            choose(place(row), shownColumns.indexOf(part));
            paste();
        }

        @Override
        public String takeFirstLetter() {
            String taken = firstLetter;
            firstLetter = "";
            return taken;
        }
    }

    /** Where a row stands now, which may have changed since it was shown. */
    private int place(Row row) {
        List<Id> ids = table.getItems().stream().map(Row::id).toList();
        return ids.indexOf(row.id());
    }

    private void choose(int row, int column) {
        table.getSelectionModel().clearAndSelect(row, columnAt(column));
        table.getFocusModel().focus(row, columnAt(column));
    }

    /** Begins to edit a cell at once, so that the next letter is typed into it; behind the last row a new one is added. */
    private void edit(int row, int column) {
        if (row < 0) {
            table.requestFocus();
            return;
        }
        if (row == table.getItems().size()) {
            owner().ifPresent(edits::append);
        }
        table.scrollTo(row);
        table.scrollToColumnIndex(column);
        choose(row, column);
        table.layout();
        table.applyCss(); // a cell that came into view just now takes letters only with its skin
        table.layout();
        table.edit(row, columnAt(column));
    }

    private void repeatAbove() {
        var at = table.getFocusModel().getFocusedCell();
        owner().filter(id -> at.getRow() > 0 && at.getColumn() >= 0).ifPresent(id -> {
            KeyPart part = shownColumns.get(at.getColumn());
            String above = entry(id).shown(table.getItems().get(at.getRow() - 1), part);
            edits.change(id, table.getItems().get(at.getRow()), part, above);
        });
    }

    private List<Finding> findings(Row row, KeyPart part) {
        return findings.stream()
                .filter(f -> f.place().row().filter(row.id()::equals).isPresent()
                        && f.place().parts().contains(part))
                .toList();
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
        if (shownColumns.isEmpty()) {
            judgement.setText("there is no column to be filled yet");
            return;
        }
        owner().ifPresent(id -> edit(table.getItems().size(), 0));
    }

    private void delete() {
        owner().ifPresent(id ->
                edits.delete(id, List.copyOf(table.getSelectionModel().getSelectedItems())));
    }

    /** Fills from the cell in focus on; what has a heading, or comes where no cell is in focus, is put behind the rows. */
    private void paste() {
        String text = Clipboard.getSystemClipboard().getString();
        if (text == null || text.isBlank()) {
            return;
        }
        boolean tabs = text.contains("\t");
        var at = table.getFocusModel().getFocusedCell();
        boolean focused = at.getRow() >= 0
                && at.getColumn() >= 0
                && at.getRow() < table.getItems().size();
        owner().ifPresent(id -> {
            if (focused && !new RowTable(entry(id)).hasHeading(text, tabs)) {
                edits.fill(id, text, at.getRow(), at.getColumn());
            } else {
                edits.read(id, text, tabs, "paste rows into ");
            }
        });
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
            String text = Files.readString(file);
            owner().ifPresent(id -> edits.read(id, text, false, "read " + file.getFileName() + " into "));
        } catch (IOException e) {
            workspace
                    .notices()
                    .complain(String.valueOf(FileProblem.reading(file, e).getMessage()));
        }
    }

    /** Whether it takes all the room there is, open, as the work of its own step; else it folds, below the sheet. */
    public void setFilling(boolean filling) {
        this.filling = filling;
        VBox.setVgrow(table, filling ? Priority.ALWAYS : Priority.NEVER);
        title.setDisable(filling);
        show();
    }

    /** Opens the grid, or folds it away. */
    public void toggle() {
        title.setSelected(!title.isSelected());
    }
}
