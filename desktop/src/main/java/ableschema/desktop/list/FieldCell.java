package ableschema.desktop.list;

import ableschema.core.structure.Field;
import ableschema.core.structure.Structure.Line;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.scene.control.TableCell;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/** One field of one column: a text that becomes a field to type into; whether it is required is turned by one key. */
final class FieldCell extends TableCell<Line, Line> {

    /** A longer text may not fit, and is shown on pointing at it. */
    private static final int LONG = 14;

    private static final PseudoClass IN_KEY = PseudoClass.getPseudoClass("in-key");
    private static final PseudoClass FOREIGN = PseudoClass.getPseudoClass("foreign");

    /** Where the work goes on behind a field that was left. */
    enum Way {
        STAY,
        RIGHT,
        LEFT,
        DOWN
    }

    /** What cells do to the list that they stand in. */
    interface Grid {
        /** Says the same of all columns that are chosen in this field, or else of this one. */
        void set(Line line, Field field, String typed);

        void goOn(Line line, Field field, Way way);

        /** The letter with which the edit was begun; empty for none. */
        String takeFirstLetter();
    }

    private final Field field;
    private final Grid grid;
    private Optional<TextField> typed = Optional.empty();

    FieldCell(Field field, Grid grid) {
        this.field = field;
        this.grid = grid;
        getStyleClass().add("field-cell");
    }

    @Override
    protected void updateItem(Line line, boolean empty) {
        super.updateItem(line, empty);
        boolean there = !empty && line != null;
        setGraphic(null);
        setText(there ? shown(line) : null);
        setTooltip(there && line.field(field).length() > LONG ? new Tooltip(line.field(field)) : null);
        boolean inKey =
                there && field == Field.NAME && line.field(Field.IDENTIFIES).startsWith("key");
        pseudoClassStateChanged(IN_KEY, inKey);
        pseudoClassStateChanged(FOREIGN, there && line.foreign() && (field == Field.TYPE || field == Field.CHECK));
    }

    private String shown(Line line) {
        String text = line.field(field);
        return switch (field) {
            case NAME -> line.isRequired() ? text : "[" + text + "]";
            case TYPE -> line.foreign() ? "↗ " + text : text.isEmpty() ? "undecided" : text;
            case REQUIRED -> line.isRequired() ? "●" : "○";
            default -> text;
        };
    }

    @Override
    public void startEdit() {
        super.startEdit();
        Line line = getItem();
        if (!isEditing() || line == null) {
            return;
        }
        String letter = grid.takeFirstLetter();
        if (field == Field.REQUIRED) {
            cancelEdit();
            grid.set(line, field, line.isRequired() ? "no" : "yes");
            grid.goOn(line, field, Way.STAY);
            return;
        }
        var editor = new TextField(letter.isEmpty() ? line.field(field) : letter);
        typed = Optional.of(editor);
        setText(null);
        setGraphic(editor);
        editor.applyCss(); // only with its skin does it take the letters that may follow at once
        editor.addEventFilter(KeyEvent.KEY_PRESSED, this::keyPressed);
        editor.focusedProperty().addListener((o, before, focused) -> {
            if (!focused && isEditing()) {
                commit(Way.STAY);
            }
        });
        editor.requestFocus();
        if (letter.isEmpty()) {
            editor.selectAll();
        } else {
            editor.end();
        }
    }

    private void keyPressed(KeyEvent event) {
        if (event.getCode() == KeyCode.ESCAPE) {
            typed = Optional.empty();
            Line line = getItem();
            cancelEdit();
            if (line != null) {
                grid.goOn(line, field, Way.STAY);
            }
        } else if (event.getCode() == KeyCode.ENTER) {
            commit(Way.DOWN);
        } else if (event.getCode() == KeyCode.TAB) {
            commit(event.isShiftDown() ? Way.LEFT : Way.RIGHT);
        } else {
            return;
        }
        event.consume();
    }

    private void commit(Way way) {
        Line line = getItem();
        Optional<String> text = typed.map(TextField::getText);
        typed = Optional.empty();
        cancelEdit();
        if (line == null || text.isEmpty()) {
            return;
        }
        if (!text.get().strip().equals(line.field(field))) {
            grid.set(line, field, text.get());
        }
        if (way != Way.STAY) {
            grid.goOn(line, field, way);
        }
    }

    @Override
    public void cancelEdit() {
        typed = Optional.empty();
        super.cancelEdit();
        updateItem(getItem(), isEmpty());
    }
}
