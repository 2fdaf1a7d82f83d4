package ableschema.desktop.rows;

import ableschema.core.design.EndRef;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Row;
import ableschema.core.finding.Finding;
import ableschema.core.rows.RowEntry;
import ableschema.desktop.controls.Controls;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.application.Platform;
import javafx.css.PseudoClass;
import javafx.geometry.Side;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TableCell;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/** One cell: a text that is typed, or a parent that is completed or picked by what its row is called. */
final class RowCell extends TableCell<Row, Row> {

    private static final PseudoClass BROKEN = PseudoClass.getPseudoClass("broken");

    private static final int MOST_LISTED = 16;

    private final KeyPart part;
    private final Grid grid;

    private final ContextMenu parents = new ContextMenu();

    /** What is typed into while the cell is edited. */
    private Optional<TextField> typed = Optional.empty();

    private Runnable completing = () -> {};
    /** What of a reference was typed so far. */
    private String begun = "";

    RowCell(KeyPart part, Grid grid) {
        this.part = part;
        this.grid = grid;
    }

    /** Where to go on when a cell has been filled. */
    enum Way {
        RIGHT,
        LEFT,
        DOWN,
        UP
    }

    /** The grid that the cell is one of. */
    interface Grid {
        RowEntry entry();

        List<Finding> findings(Row row, KeyPart part);

        void change(Row row, KeyPart part, String typed);

        void goOn(Row row, KeyPart part, Way way);

        /** Gives up the edit of a cell. */
        void leave(Row row);

        /** What the cell above shows. */
        Optional<String> above(Row row, KeyPart part);

        /** Fills cells from this one on with those of the clipboard. */
        void pasteFrom(Row row, KeyPart part);

        /** The letter whose typing began the edit, once; it stands in place of what the cell holds. */
        String takeFirstLetter();
    }

    @Override
    protected void updateItem(Row row, boolean empty) {
        super.updateItem(row, empty);
        setGraphic(null);
        if (empty || row == null) {
            setText("");
            setTooltip(null);
            pseudoClassStateChanged(BROKEN, false);
            return;
        }
        setText(grid.entry().shown(row, part));
        List<Finding> broken = grid.findings(row, part);
        pseudoClassStateChanged(BROKEN, !broken.isEmpty());
        setTooltip(broken.isEmpty() ? null : new Tooltip(broken.get(0).text()));
    }

    @Override
    public void startEdit() {
        super.startEdit();
        if (!isEditing() || getItem() == null) {
            return;
        }
        String letter = grid.takeFirstLetter();
        String start = letter.isEmpty() ? getText() : letter;
        Region editor = part.through().<Region>map(end -> picker(end, start)).orElseGet(() -> field(start));
        setText(null);
        setGraphic(editor);
        editor.applyCss(); // only with its skin does it take the letters that may follow at once
        editor.addEventFilter(KeyEvent.KEY_PRESSED, this::keyPressed);
        typed.ifPresent(TextField::requestFocus);
        typed.ifPresent(letter.isEmpty() ? TextField::selectAll : TextField::end);
    }

    private TextField field(String start) {
        var field = new TextField(start);
        typed = Optional.of(field);
        field.focusedProperty().addListener((o, before, focused) -> {
            if (!focused && isEditing() && !parents.isShowing()) {
                commit();
            }
        });
        return field;
    }

    /** A field that completes the name of a parent; Down, or a press of the sign behind it, lists those that fit. */
    private HBox picker(EndRef end, String start) {
        RowEntry rows = grid.entry();
        List<String> names = rows.parents(end).stream()
                .map(parent -> rows.nameOfParent(end, parent))
                .toList();
        TextField field = field(start);
        begun = "";
        field.textProperty().addListener((o, before, now) -> {
            boolean goesOn = now.length() > begun.length() && now.startsWith(begun);
            begun = now; // of which what a completion has put behind it is no part
            if (goesOn) {
                completing = () -> complete(field, names);
                Platform.runLater(this::complete);
            }
        });
        field.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.DOWN) {
                list(field, names);
                event.consume();
            }
        });
        Button sign = Controls.button("list-parents", "▾", () -> list(field, names));
        sign.setFocusTraversable(false);
        sign.getStyleClass().setAll("header-button");
        HBox.setHgrow(field, Priority.ALWAYS);
        return new HBox(field, sign);
    }

    /** Completes what was typed last, if that is still to be done: when the field has taken the letter, or the edit ends before. */
    private void complete() {
        Runnable now = completing;
        completing = () -> {};
        now.run();
    }

    /** Writes the rest of the first name that begins with what was typed behind it, chosen, so that typing on replaces it. */
    private void complete(TextField field, List<String> names) {
        String typed = field.getText();
        if (field.getCaretPosition() != typed.length() || typed.isBlank()) {
            return;
        }
        names.stream()
                .filter(name -> name.length() > typed.length() && begins(name, typed))
                .findFirst()
                .ifPresent(name -> {
                    field.setText(typed + name.substring(typed.length()));
                    field.selectRange(name.length(), typed.length());
                    begun = typed;
                });
    }

    private static boolean begins(String name, String begun) {
        return name.toLowerCase(Locale.ROOT).startsWith(begun.toLowerCase(Locale.ROOT));
    }

    /** Lists the names that begin with what was typed; all, where it was not typed but stood there. */
    private void list(TextField field, List<String> names) {
        int end = Math.min(field.getSelection().getStart(), field.getText().length());
        String begun = field.getText().substring(0, end);
        List<String> fitting =
                names.stream().filter(name -> begins(name, begun)).toList();
        parents.getItems()
                .setAll(fitting.stream().limit(MOST_LISTED).map(this::choice).toList());
        if (fitting.size() > MOST_LISTED) {
            var more = new MenuItem("and " + (fitting.size() - MOST_LISTED) + " more: type on");
            more.setDisable(true);
            parents.getItems().add(more);
        }
        parents.show(field, Side.BOTTOM, 0, 0);
    }

    private MenuItem choice(String name) {
        var item = new MenuItem(name);
        item.setMnemonicParsing(false);
        item.setOnAction(event -> {
            typed.ifPresent(field -> field.setText(name));
            commit();
            getTableView().requestFocus();
        });
        return item;
    }

    private void keyPressed(KeyEvent event) {
        Row row = getItem();
        if (row == null || event.isAltDown()) {
            return;
        }
        boolean pastes =
                event.getCode() == KeyCode.V && event.isShortcutDown() && isBlock(Clipboard.getSystemClipboard());
        if (event.getCode() == KeyCode.ESCAPE) {
            typed = Optional.empty();
            cancelEdit();
            grid.leave(row);
        } else if (event.getCode() == KeyCode.TAB || event.getCode() == KeyCode.ENTER) {
            complete();
            commit();
            grid.goOn(row, part, way(event));
        } else if (event.getCode() == KeyCode.D && event.isShortcutDown()) {
            grid.above(row, part).ifPresent(text -> typed.ifPresent(field -> field.setText(text)));
        } else if (pastes) {
            typed = Optional.empty();
            cancelEdit();
            grid.pasteFrom(row, part);
        } else {
            return;
        }
        event.consume();
    }

    private static boolean isBlock(Clipboard clipboard) {
        String text = clipboard.getString();
        return text != null && (text.contains("\t") || text.strip().contains("\n"));
    }

    private static Way way(KeyEvent event) {
        if (event.getCode() == KeyCode.TAB) {
            return event.isShiftDown() ? Way.LEFT : Way.RIGHT;
        }
        return event.isShiftDown() ? Way.UP : Way.DOWN;
    }

    private void commit() {
        Row row = getItem();
        Optional<String> text = typed.map(TextField::getText);
        typed = Optional.empty();
        cancelEdit();
        if (row != null && text.isPresent()) {
            keep(row, text.get());
        }
    }

    private void keep(Row row, String text) {
        if (!grid.entry().shown(row, part).equals(text)) {
            grid.change(row, part, text);
        }
    }

    /** What ends an edit without the designer's having given it up, such as another change of the rows, loses nothing typed. */
    @Override
    public void cancelEdit() {
        Row row = getItem();
        Optional<String> left = typed.map(TextField::getText);
        typed = Optional.empty();
        super.cancelEdit();
        updateItem(getItem(), isEmpty());
        if (row != null && left.isPresent()) {
            Platform.runLater(() -> keep(row, left.get()));
        }
    }
}
