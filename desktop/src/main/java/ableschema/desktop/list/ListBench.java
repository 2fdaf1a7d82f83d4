package ableschema.desktop.list;

import static ableschema.desktop.controls.Controls.text;

import ableschema.core.design.ColumnRef;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.Relationship;
import ableschema.core.document.Edit;
import ableschema.core.structure.Field;
import ableschema.core.structure.Structure;
import ableschema.core.structure.Structure.Line;
import ableschema.core.structure.StructureEdits;
import ableschema.core.words.CheckText;
import ableschema.core.words.RuleLine;
import ableschema.core.words.Understanding;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.workspace.Workspace;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.SelectionMode;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TablePosition;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The chosen table read as a list: a line for each column, everything about it corrected in place, its indexes below. */
public final class ListBench extends ScrollPane {

    private static final double ROW = 27;
    private static final double HEADING = 27;
    private static final double NARROWEST_COMMENT = 100;
    /** A bar to scroll sideways may stand below the last line. */
    private static final double BAR = 20;
    /** How far the rows that are expected are looked ahead. */
    private static final int YEARS = 10;

    private final Workspace workspace;
    private final Label title = text("", "bench-title");
    private final Label note = text("", "note");
    private final TableView<Line> table = new TableView<>();
    private final TextField another = new TextField();
    private final IndexList indexes =
            new IndexList(id -> apply(() -> edits().removeIndex(id)), field -> take(field, RuleLine::readIndex));
    private final RuleList rules =
            new RuleList(id -> apply(() -> edits().removeCheck(id)), field -> take(field, RuleLine::readCheck));
    private final VBox content = new VBox(10);
    private final Label nothing = text("There is no table yet. Draw an entity first, such as Apiary.", "hint");
    private String firstLetter = "";
    private Optional<Id> shown = Optional.empty();

    public ListBench(Workspace workspace) {
        this.workspace = workspace;
        setId("list-bench");
        getStyleClass().add("bench-scroll");
        setFitToWidth(true);
        content.getStyleClass().add("bench");
        setContent(content);
        buildTable();
        another.setId("another-column");
        another.setPromptText("another: name: type (required; default …; check …), or paste a list");
        another.setOnAction(event -> {
            add(another.getText());
            another.requestFocus();
        });
        workspace.onMeaning(this::show);
        workspace.selection().chosenProperty().addListener((o, before, now) -> show());
        workspace.listedProperty().addListener((o, before, now) -> show());
        show();
    }

    private void buildTable() {
        table.setId("column-table");
        table.getStyleClass().add("column-table");
        table.setEditable(true);
        table.setFixedCellSize(ROW);
        table.getSelectionModel().setSelectionMode(SelectionMode.MULTIPLE);
        table.getSelectionModel().setCellSelectionEnabled(true);
        table.setPlaceholder(text("No columns yet: type one below.", "hint"));
        double[] widths = {130, 100, 62, 74, 118, 128, NARROWEST_COMMENT};
        for (Field field : Field.values()) {
            var column = new TableColumn<Line, Line>(field.label());
            column.setSortable(false);
            column.setReorderable(false);
            column.setPrefWidth(widths[field.ordinal()]);
            column.setCellValueFactory(line -> new ReadOnlyObjectWrapper<>(line.getValue()));
            column.setCellFactory(c -> new FieldCell(field, new Cells()));
            table.getColumns().add(column);
        }
        var comment = table.getColumns().get(Field.COMMENT.ordinal());
        double others = Arrays.stream(widths).sum() - NARROWEST_COMMENT;
        table.widthProperty()
                .addListener((o, before, now) ->
                        comment.setPrefWidth(Math.max(NARROWEST_COMMENT, now.doubleValue() - others - BAR)));
        table.addEventFilter(KeyEvent.KEY_PRESSED, this::keyPressed);
        table.addEventHandler(KeyEvent.KEY_TYPED, this::keyTyped);
        table.getFocusModel().focusedItemProperty().addListener((o, before, now) -> {
            if (now != null && now.column() instanceof ColumnRef.Own own && table.isFocused()) {
                workspace.selection().choose(own.id());
            }
        });
    }

    private Optional<Id> owner() {
        return workspace
                .selection()
                .chosenOwner()
                .filter(id -> workspace.trace().tableOf(id).isPresent())
                .or(() -> shown.filter(id -> workspace.trace().tableOf(id).isPresent()))
                .or(() -> owners().stream().findFirst());
    }

    private List<Id> owners() {
        var owners = new ArrayList<Id>();
        workspace.design().entities().stream().map(Entity::id).forEach(owners::add);
        workspace.design().relationships().stream()
                .filter(Relationship::isManyToMany)
                .map(Relationship::id)
                .forEach(owners::add);
        owners.removeIf(id -> workspace.trace().tableOf(id).isEmpty());
        return owners;
    }

    private void show() {
        if (!workspace.listedProperty().get()) {
            return;
        }
        Optional<Structure> structure =
                owner().flatMap(id -> Structure.of(workspace.document(), workspace.mapping(), id));
        if (structure.isEmpty()) {
            content.getChildren().setAll(nothing);
            return;
        }
        show(structure.get());
    }

    private void show(Structure structure) {
        shown = Optional.of(structure.owner());
        title.setText(workspace.design().nameOf(structure.owner()));
        int rows = workspace
                .design()
                .body(structure.owner())
                .map(b -> b.rows().size())
                .orElse(0);
        note.setText("table " + structure.table() + " · " + structure.columns().size() + " columns · " + rows
                + " sample rows" + expected(structure.owner()));
        if (!table.getItems().equals(structure.columns())) {
            showColumns(structure.columns());
        }
        chosenAttribute().filter(id -> !table.isFocused()).ifPresent(id -> select(structure.columns(), id));
        table.setPrefHeight(HEADING + ROW * Math.max(1, structure.columns().size()) + BAR);
        table.setMinHeight(Region.USE_PREF_SIZE);
        indexes.show(structure.indexes());
        rules.show(structure.checks(), new CheckText(workspace.design(), structure.owner()).columns());
        if (!content.getChildren().contains(table)) {
            content.getChildren().setAll(header(), table, another, indexes, rules);
        }
    }

    private Optional<Id> chosenAttribute() {
        return workspace.selection().chosenProperty().get().filter(id -> workspace
                .design()
                .attribute(id)
                .isPresent());
    }

    /** What is chosen elsewhere is seen here; where the list has the focus it is the list that chooses. */
    private void select(List<Line> columns, Id attribute) {
        for (int i = 0; i < columns.size(); i++) {
            if (columns.get(i).column() instanceof ColumnRef.Own own && own.id().equals(attribute)) {
                table.getSelectionModel().clearAndSelect(i, columnAt(0));
            }
        }
    }

    private String expected(Id owner) {
        return workspace
                .design()
                .notes()
                .volume(owner)
                .map(volume -> volume.eachYear() == 0
                        ? String.format(" · %,d rows expected", volume.first())
                        : String.format(
                                " · %,d rows a year expected, %,d in %d years",
                                volume.eachYear(), volume.after(YEARS), YEARS))
                .orElse("");
    }

    /** What was chosen stays so, by its place. */
    private void showColumns(List<Line> columns) {
        int row = table.getFocusModel().getFocusedCell().getRow();
        int column = table.getFocusModel().getFocusedCell().getColumn();
        List<int[]> chosen = table.getSelectionModel().getSelectedCells().stream()
                .map(cell -> new int[] {cell.getRow(), cell.getColumn()})
                .toList();
        table.getItems().setAll(columns);
        table.getSelectionModel().clearSelection();
        for (int[] cell : chosen) {
            if (cell[0] < columns.size() && cell[1] >= 0) {
                table.getSelectionModel().select(cell[0], columnAt(cell[1]));
            }
        }
        if (row >= 0 && row < columns.size() && column >= 0) {
            table.getFocusModel().focus(row, columnAt(column));
        }
    }

    private Node header() {
        title.setMinWidth(Region.USE_PREF_SIZE);
        note.setWrapText(true);
        note.setMinHeight(Region.USE_PREF_SIZE);
        HBox.setHgrow(note, Priority.ALWAYS);
        note.setMaxWidth(Double.MAX_VALUE);
        var header = new HBox(10, title, note, step("‹", -1), step("›", 1));
        header.setAlignment(Pos.CENTER_LEFT);
        return header;
    }

    private Button step(String sign, int by) {
        Button button = Controls.button(by < 0 ? "list-before" : "list-next", sign, () -> {
            List<Id> all = owners();
            shown.ifPresent(
                    id -> workspace.selection().choose(all.get(Math.floorMod(all.indexOf(id) + by, all.size()))));
        });
        button.getStyleClass().setAll("step-through");
        button.setAccessibleText(by < 0 ? "table before" : "next table");
        return button;
    }

    private StructureEdits edits() {
        return new StructureEdits(
                workspace.document(), shown.orElseThrow(), workspace.ids()); // called of what is shown
    }

    private void apply(Supplier<Edit> making) {
        try {
            workspace.apply(making.get());
        } catch (IllegalArgumentException e) {
            workspace.notices().complain(String.valueOf(e.getMessage()));
        }
    }

    /** Adds columns from a list: in words, or line by line with a tab between name and type. */
    private void add(String list) {
        String words = list.strip()
                .lines()
                .map(line -> line.strip().replaceFirst("\t+", ": ").replaceAll("\t+", " "))
                .filter(line -> !line.isEmpty())
                .collect(Collectors.joining(", "));
        shown.filter(id -> !words.isEmpty()).ifPresent(id -> {
            Understanding read =
                    new RuleLine(workspace.design(), Optional.of(id), workspace.ids()).readAttributes(id, words);
            if (read instanceof Understanding.Understood understood) {
                another.clear();
                workspace.apply(understood.edit());
            } else if (read instanceof Understanding.NotUnderstood not) {
                workspace.notices().complain(not.problem());
            }
        });
    }

    /** How what is typed in a field is read. */
    private interface Reading {
        Understanding of(RuleLine line, Id owner, String typed);
    }

    /** Adds what was typed in a field; what is not understood is chosen there, and stays to be mended. */
    private void take(TextField field, Reading reading) {
        shown.ifPresent(id -> {
            var line = new RuleLine(workspace.design(), Optional.of(id), workspace.ids());
            Understanding read = reading.of(line, id, field.getText());
            if (read instanceof Understanding.Understood understood) {
                field.clear();
                workspace.apply(understood.edit());
            } else if (read instanceof Understanding.NotUnderstood not) {
                workspace.notices().complain(not.problem());
                field.selectRange(not.start(), not.end());
            }
        });
    }

    /** What the cells do to this list. */
    private final class Cells implements FieldCell.Grid {
        @Override
        public void set(Line line, Field field, String typed) {
            List<ColumnRef> chosen = chosenIn(field);
            boolean many = chosen.size() > 1 && chosen.contains(line.column());
            apply(() -> edits().set(many ? chosen : List.of(line.column()), field, typed));
        }

        @Override
        public void goOn(Line line, Field field, FieldCell.Way way) {
            int row = place(line.column());
            int column = field.ordinal();
            int last = Field.values().length - 1;
            switch (way) {
                case STAY -> table.requestFocus();
                case RIGHT -> edit(column < last ? row : row + 1, column < last ? column + 1 : 0);
                case LEFT -> edit(column > 0 ? row : row - 1, column > 0 ? column - 1 : last);
                case DOWN -> {
                    choose(Math.min(row + 1, table.getItems().size() - 1), column);
                    table.requestFocus();
                }
            }
        }

        @Override
        public String takeFirstLetter() {
            String taken = firstLetter;
            firstLetter = "";
            return taken;
        }
    }

    private int place(ColumnRef column) {
        return table.getItems().stream().map(Line::column).toList().indexOf(column);
    }

    /** The columns whose cell of this field is chosen. */
    private List<ColumnRef> chosenIn(Field field) {
        return table.getSelectionModel().getSelectedCells().stream()
                .filter(cell -> cell.getColumn() == field.ordinal())
                .map(TablePosition::getRow)
                .filter(row -> row >= 0 && row < table.getItems().size())
                .map(row -> table.getItems().get(row).column())
                .toList();
    }

    private void choose(int row, int column) {
        table.getSelectionModel().clearAndSelect(row, columnAt(column));
        table.getFocusModel().focus(row, columnAt(column));
    }

    private void edit(int row, int column) {
        if (row < 0 || row >= table.getItems().size()) {
            (row < 0 ? table : another).requestFocus();
            return;
        }
        choose(row, column);
        if (Field.values()[column] == Field.REQUIRED) {
            table.requestFocus(); // it is turned with the space bar, not by passing by
            return;
        }
        table.scrollToColumnIndex(column);
        table.layout();
        table.applyCss(); // a cell that came into view just now takes letters only with its skin
        table.layout();
        table.edit(row, columnAt(column));
    }

    @SuppressWarnings("unchecked") // all columns of this table are made in buildTable
    private TableColumn<Line, Line> columnAt(int index) {
        return (TableColumn<Line, Line>) table.getColumns().get(index);
    }

    private void keyPressed(KeyEvent event) {
        if (table.getEditingCell() != null) {
            return;
        }
        var at = table.getFocusModel().getFocusedCell();
        boolean focused = at.getRow() >= 0 && at.getRow() < table.getItems().size() && at.getColumn() >= 0;
        if (event.getCode() == KeyCode.V && event.isShortcutDown()) {
            add(String.valueOf(Clipboard.getSystemClipboard().getString()));
        } else if (!focused) {
            return;
        } else if (event.isAltDown() && (event.getCode() == KeyCode.UP || event.getCode() == KeyCode.DOWN)) {
            move(at.getRow(), at.getColumn(), event.getCode() == KeyCode.UP ? -1 : 1);
        } else if (event.getCode() == KeyCode.DELETE) {
            delete(Field.values()[at.getColumn()]);
        } else if (event.getCode() == KeyCode.TAB) {
            new Cells()
                    .goOn(
                            table.getItems().get(at.getRow()),
                            Field.values()[at.getColumn()],
                            event.isShiftDown() ? FieldCell.Way.LEFT : FieldCell.Way.RIGHT);
        } else if (event.getCode() == KeyCode.SPACE || event.getCode() == KeyCode.ENTER) {
            table.edit(at.getRow(), columnAt(at.getColumn()));
        } else {
            return;
        }
        event.consume();
    }

    private void move(int row, int column, int by) {
        ColumnRef moved = table.getItems().get(row).column();
        edits().move(moved, by).ifPresent(edit -> {
            workspace.apply(edit);
            choose(place(moved), column);
        });
    }

    /** In the field of the names the columns go; in another what is said there. */
    private void delete(Field field) {
        List<ColumnRef> chosen = chosenIn(field);
        if (!chosen.isEmpty()) {
            apply(() -> field == Field.NAME ? edits().remove(chosen) : edits().set(chosen, field, ""));
        }
    }

    /** A letter typed on a cell begins to edit it. */
    private void keyTyped(KeyEvent event) {
        String typed = event.getCharacter();
        var at = table.getFocusModel().getFocusedCell();
        boolean letter = !typed.isBlank()
                && !Character.isISOControl(typed.charAt(0))
                && !event.isShortcutDown()
                && !event.isAltDown();
        boolean there = at.getRow() >= 0 && at.getColumn() >= 0 && at.getColumn() != Field.REQUIRED.ordinal();
        if (table.getEditingCell() == null && letter && there) {
            firstLetter = typed;
            table.edit(at.getRow(), columnAt(at.getColumn()));
            event.consume();
        }
    }
}
