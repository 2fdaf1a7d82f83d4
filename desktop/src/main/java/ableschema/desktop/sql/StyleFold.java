package ableschema.desktop.sql;

import ableschema.core.document.HouseRules;
import ableschema.core.edit.ChangeRules;
import ableschema.core.sql.dialect.Dialect;
import ableschema.desktop.controls.Choice;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.controls.Fields;
import ableschema.desktop.workspace.Workspace;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Hyperlink;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** How the house wants its scripts: what the dialect leaves open, where a script acts and who gets rights there. */
final class StyleFold extends VBox {

    private static final int COLUMNS = 2;

    private final Workspace workspace;
    private final Hyperlink handle = new Hyperlink("Script by house rules");
    private boolean open;

    StyleFold(Workspace workspace) {
        super(4);
        this.workspace = workspace;
        setId("style-fold");
        handle.setId("style-show");
        handle.setOnAction(event -> {
            open = !open;
            refresh();
        });
        refresh();
    }

    /** Shows what is chosen now. */
    void refresh() {
        getChildren().setAll(handle);
        if (!open) {
            return;
        }
        var grid = new GridPane();
        grid.getStyleClass().add("attribute-editor");
        grid.setHgap(12);
        Dialect dialect = workspace.dialect();
        int place = 0;
        for (var each : dialect.choices().entrySet()) {
            Node choice = each.getValue().isEmpty() ? name(each.getKey()) : choice(each.getKey(), each.getValue());
            int column = 2 * (place % COLUMNS);
            grid.add(Controls.text(label(each.getKey()), "note"), column, place / COLUMNS);
            grid.add(choice, column + 1, place / COLUMNS);
            place++;
        }
        getChildren().add(grid);
    }

    private static String plain(String choice) {
        return choice.substring(choice.indexOf('.') + 1);
    }

    private String now(String choice, String usual) {
        return workspace.document().rules().choices().getOrDefault(choice, usual);
    }

    private Node choice(String choice, List<String> values) {
        String name = plain(choice);
        Choice made = Choice.of(
                now(choice, values.get(0)), values, value -> said(name, value), value -> choose(choice, value));
        made.setId("choice-" + name);
        return made;
    }

    private Node name(String choice) {
        var field = Fields.text(
                "choice-" + plain(choice),
                now(choice, ""),
                plain(choice).equals("schema") ? "where it is run" : "nobody",
                typed -> choose(choice, typed));
        field.setPrefColumnCount(14);
        return field;
    }

    private static String label(String choice) {
        return switch (plain(choice)) {
            case "keys" -> "keys";
            case "references" -> "foreign keys";
            case "names" -> "names";
            case "letters" -> "capitals for";
            case "existing" -> "what exists";
            case "schema" -> "schema or database";
            case "user" -> "rights for";
            default -> plain(choice);
        };
    }

    /** A choice in words; one of a dialect alone by its name. */
    private static String said(String name, String value) {
        return switch (name + " " + value) {
            case "keys after" -> "behind the columns";
            case "keys beside" -> "beside their column";
            case "references inside" -> "inside the tables";
            case "references after" -> "added afterwards";
            case "names plain" -> "in quotes where needed";
            case "names quoted" -> "all in quotes";
            case "letters keywords" -> "words of SQL";
            case "letters capital" -> "words and types";
            case "letters small" -> "nothing";
            case "existing stop" -> "stops the script";
            case "existing skip" -> "is left as it is";
            case "existing replace" -> "is replaced, rows and all";
            default -> value;
        };
    }

    private void choose(String choice, String value) {
        HouseRules rules = workspace.document().rules();
        String said = value.isEmpty() ? "choose none for " : "choose " + value + " for ";
        workspace.apply(new ChangeRules(rules.withChoice(choice, value), said + plain(choice)));
    }
}
