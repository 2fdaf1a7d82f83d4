package ableschema.desktop.rows;

import ableschema.core.design.EndRef;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Row;
import ableschema.core.finding.Finding;
import ableschema.core.rows.RowEntry;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.css.PseudoClass;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TableCell;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/** One cell: a text that is typed, or a parent that is picked by what its row is called. */
final class RowCell extends TableCell<Row, Row> {

    private static final PseudoClass BROKEN = PseudoClass.getPseudoClass("broken");

    private final KeyPart part;
    private final Supplier<RowEntry> entry;
    private final Function<Row, List<Finding>> findings;
    private final BiConsumer<Row, String> changed;
    private final FirstLetter firstLetter;

    RowCell(
            KeyPart part,
            Supplier<RowEntry> entry,
            Function<Row, List<Finding>> findings,
            BiConsumer<Row, String> changed,
            FirstLetter firstLetter) {
        this.part = part;
        this.entry = entry;
        this.findings = findings;
        this.changed = changed;
        this.firstLetter = firstLetter;
    }

    /** The letter whose typing began an edit; it stands in place of what the cell holds. */
    static final class FirstLetter {
        private String letter = "";

        void set(String typed) {
            letter = typed;
        }

        String taken() {
            String taken = letter;
            letter = "";
            return taken;
        }
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
        setText(entry.get().shown(row, part));
        List<Finding> broken = findings.apply(row);
        pseudoClassStateChanged(BROKEN, !broken.isEmpty());
        setTooltip(broken.isEmpty() ? null : new Tooltip(broken.get(0).text()));
    }

    @Override
    public void startEdit() {
        super.startEdit();
        if (!isEditing() || getItem() == null) {
            return;
        }
        String typed = firstLetter.taken();
        boolean typing = !typed.isEmpty();
        String start = typing ? typed : getText();
        Optional<EndRef> end = part.through();
        Node editor = end.isPresent() ? picker(end.get(), start, typing) : field(start, typing);
        setText(null);
        setGraphic(editor);
        editor.requestFocus();
    }

    private TextField field(String start, boolean typing) {
        var field = new TextField(start);
        field.setOnAction(event -> commit(field.getText()));
        leaveOnEscape(field);
        field.focusedProperty().addListener((o, before, focused) -> {
            if (!focused && isEditing()) {
                commit(field.getText());
            }
        });
        showStart(field, typing);
        return field;
    }

    /** What was typed goes on at its end; what stood there is replaced by the first letter. */
    private static void showStart(TextField field, boolean typing) {
        Platform.runLater(typing ? field::end : field::selectAll);
    }

    private ComboBox<String> picker(EndRef end, String start, boolean typing) {
        RowEntry rows = entry.get();
        var box = new ComboBox<String>();
        box.setEditable(true);
        rows.parents(end).forEach(parent -> box.getItems().add(rows.nameOfParent(end, parent)));
        box.getEditor().setText(start);
        showStart(box.getEditor(), typing);
        box.setVisibleRowCount(8);
        box.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.ENTER) {
                commit(box.isShowing() && box.getValue() != null ? box.getValue() : best(box));
                event.consume();
            }
        });
        box.setOnHidden(event -> {
            if (isEditing() && box.getSelectionModel().getSelectedIndex() >= 0) {
                commit(box.getValue());
            }
        });
        leaveOnEscape(box);
        return box;
    }

    /** What was typed, or the only parent whose name begins with it. */
    private static String best(ComboBox<String> box) {
        String typed = box.getEditor().getText();
        List<String> matching = box.getItems().stream()
                .filter(name -> name.regionMatches(true, 0, typed, 0, typed.length()))
                .toList();
        return !typed.isBlank() && matching.size() == 1 ? matching.get(0) : typed;
    }

    private void leaveOnEscape(Node editor) {
        editor.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.ESCAPE) {
                cancelEdit();
                event.consume();
            }
        });
    }

    private void commit(String typed) {
        Row row = getItem();
        cancelEdit();
        if (row != null && !entry.get().shown(row, part).equals(typed)) {
            changed.accept(row, typed);
        }
        getTableView().requestFocus();
    }

    @Override
    public void cancelEdit() {
        super.cancelEdit();
        updateItem(getItem(), isEmpty());
    }
}
