package ableschema.desktop.sql;

import ableschema.core.document.HouseRules;
import ableschema.core.edit.ChangeRules;
import ableschema.core.mapping.NamePatterns;
import ableschema.core.mapping.NameStyle;
import ableschema.core.mapping.NamingRules;
import ableschema.desktop.controls.Choice;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.controls.Fields;
import ableschema.desktop.workspace.Workspace;
import java.util.List;
import java.util.Locale;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** The house rules for names: how they are written, and what constraints and indexes are called. */
final class NamesFold extends VBox {

    private final Workspace workspace;
    private final Hyperlink handle = new Hyperlink("Names by house rules");

    NamesFold(Workspace workspace) {
        super(4);
        this.workspace = workspace;
        setId("names-fold");
        handle.setId("names-show");
        handle.setOnAction(event -> {
            if (getChildren().size() > 1) {
                getChildren().setAll(handle);
            } else {
                unfold();
            }
        });
        getChildren().setAll(handle);
    }

    /** Shows what the rules are now, where it is open. */
    void refresh() {
        if (getChildren().size() > 1) {
            unfold();
        }
    }

    private NamingRules naming() {
        return workspace.document().rules().naming();
    }

    private void unfold() {
        NamingRules now = naming();
        Choice style = Choice.of(
                now.style(),
                List.of(NameStyle.values()),
                each -> each.name().toLowerCase(Locale.ROOT).replace('_', ' '),
                each -> change(() -> naming().withStyle(each)));
        style.setId("names-style");
        var first = new FlowPane(
                12,
                4,
                Controls.text("written", "note"),
                style,
                box("names-plural", "tables in the plural", now.plural(), NamingRules::withPlural),
                box(
                        "names-index",
                        "an index for each foreign key",
                        now.indexForeignKeys(),
                        NamingRules::withIndexForeignKeys),
                Controls.text("tables begin with", "note"),
                prefix(now),
                Controls.text("at most", "note"),
                most(now),
                Controls.text("indexes a table", "note"));
        var grid = new GridPane();
        grid.getStyleClass().add("attribute-editor");
        pattern(grid, 0, "key", NamePatterns::key, NamePatterns::withKey);
        pattern(grid, 1, "foreign key", NamePatterns::reference, NamePatterns::withReference);
        pattern(grid, 2, "unique", NamePatterns::unique, NamePatterns::withUnique);
        pattern(grid, 3, "check", NamePatterns::check, NamePatterns::withCheck);
        pattern(grid, 4, "index", NamePatterns::index, NamePatterns::withIndex);
        getChildren().setAll(handle, first, grid);
    }

    private TextField prefix(NamingRules now) {
        var field =
                Fields.text("names-prefix", now.prefix(), "nothing", typed -> change(() -> naming().withPrefix(typed)));
        field.setPrefColumnCount(6);
        return field;
    }

    private TextField most(NamingRules now) {
        var field = Fields.text(
                "names-most",
                String.valueOf(now.mostIndexes()),
                String.valueOf(NamingRules.USUAL_INDEXES),
                typed -> change(() -> naming().withMostIndexes(number(typed))));
        field.setPrefColumnCount(3);
        field.setAccessibleText("the most indexes of a table that are not spoken of; 0 for any number");
        return field;
    }

    private static int number(String typed) {
        if (!typed.matches("[0-9]{0,4}")) {
            throw new IllegalArgumentException(
                    "the most indexes of a table are a number, such as 8, or 0 for any number");
        }
        return typed.isEmpty() ? NamingRules.USUAL_INDEXES : Integer.parseInt(typed);
    }

    private CheckBox box(String id, String label, boolean now, BiFunction<NamingRules, Boolean, NamingRules> with) {
        var box = new CheckBox(label);
        box.setId(id);
        box.setSelected(now);
        box.setOnAction(event -> change(() -> with.apply(naming(), box.isSelected())));
        return box;
    }

    private void pattern(
            GridPane grid,
            int row,
            String of,
            Function<NamePatterns, String> now,
            BiFunction<NamePatterns, String, NamePatterns> with) {
        var field = Fields.text(
                "names-" + of.replace(' ', '-'),
                now.apply(naming().patterns()),
                now.apply(NamePatterns.USUAL),
                typed -> change(() -> naming().with(with.apply(
                        naming().patterns(), typed.isEmpty() ? now.apply(NamePatterns.USUAL) : typed))));
        field.setPrefColumnCount(26);
        grid.addRow(row, Controls.text(of, "note"), field);
    }

    private void change(Supplier<NamingRules> naming) {
        try {
            HouseRules rules = workspace.document().rules();
            workspace.apply(new ChangeRules(rules.withNaming(naming.get()), "change the house rules for names"));
        } catch (IllegalArgumentException e) {
            workspace.notices().complain(String.valueOf(e.getMessage()));
        }
    }
}
