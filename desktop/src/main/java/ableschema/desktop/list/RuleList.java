package ableschema.desktop.list;

import static ableschema.desktop.controls.Controls.text;

import ableschema.core.design.Id;
import ableschema.core.structure.Structure.CheckLine;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The rules of a table that stand at no single column, each with how many sample rows break it; another is typed below. */
final class RuleList extends VBox {

    private final VBox lines = new VBox(2);
    private final Consumer<Id> remove;
    private final RuleWords words;

    RuleList(Consumer<Id> remove, Consumer<TextField> added) {
        super(6);
        this.remove = remove;
        var another = new TextField();
        another.setId("another-rule");
        another.setPromptText("a rule, such as: departed is empty or departed after arrived");
        another.setOnAction(event -> added.accept(another));
        this.words = new RuleWords(another);
        getChildren().addAll(text("Rules over several columns", "candidate-name"), lines, another, words);
    }

    /** @param columns as they are named in rules */
    void show(List<CheckLine> rules, List<String> columns) {
        words.show(columns);
        lines.getChildren().setAll(rules.stream().map(this::line).toList());
    }

    private HBox line(CheckLine rule) {
        var said = text(rule.text(), "answer");
        said.setWrapText(true);
        said.setMinHeight(Region.USE_PREF_SIZE);
        said.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(said, Priority.ALWAYS);
        var rows = rule.broken()
                .map(broken -> broken == 0
                        ? text("held by all rows", "note")
                        : text(broken == 1 ? "1 row breaks it" : broken + " rows break it", "fails"))
                .orElseGet(() -> text("", "note"));
        rows.setMinWidth(Region.USE_PREF_SIZE);
        var away = new Hyperlink("✕");
        away.setAccessibleText("take the rule " + rule.text() + " away");
        away.setOnAction(event -> remove.accept(rule.check()));
        return new HBox(10, said, rows, away);
    }
}
