package ableschema.desktop.list;

import ableschema.desktop.controls.Choice;
import java.util.List;
import java.util.function.UnaryOperator;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;

/** Words of a rule to choose from, which go to where the rule is typed, so that it can be put together without knowing them. */
final class RuleWords extends FlowPane {

    private static final List<String> COMPARISONS = List.of(
            "is",
            "is not",
            "at least",
            "at most",
            "more than",
            "less than",
            "after",
            "before",
            "not before",
            "between … and …",
            "one of …",
            "contains '…'",
            "starts with '…'",
            "is empty",
            "is there");
    private static final List<String> JOINED = List.of("and", "or", "only where", "not");

    private final TextField field;
    private List<String> columns = List.of();

    RuleWords(TextField field) {
        super(12, 4);
        this.field = field;
    }

    /** @param columns as they are named in a rule */
    void show(List<String> columns) {
        if (columns.equals(this.columns) && !getChildren().isEmpty()) {
            return; // an open menu stays
        }
        this.columns = List.copyOf(columns);
        getChildren()
                .setAll(
                        choice("rule-column", "a column", this.columns),
                        choice("rule-comparison", "a comparison", COMPARISONS),
                        choice("rule-other", "another column", this.columns),
                        choice("rule-joined", "and, or …", JOINED));
    }

    private Choice choice(String id, String label, List<String> words) {
        Choice choice = Choice.offering(label, words, UnaryOperator.identity(), this::add);
        choice.setId(id);
        return choice;
    }

    /** Puts words behind those that are there; what is to be filled in stands selected. */
    private void add(String words) {
        String before = field.getText().stripTrailing();
        String start = before.isEmpty() ? "" : before + " ";
        field.setText(start + words);
        field.requestFocus();
        int open = words.indexOf('…');
        if (open >= 0) {
            field.selectRange(start.length() + open, start.length() + open + 1);
        } else {
            field.appendText(" ");
            field.end();
        }
    }
}
