package ableschema.desktop.gloss;

import ableschema.core.design.Attribute;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.Relationship;
import ableschema.core.holding.CodeParts;
import ableschema.core.holding.Declared;
import ableschema.core.holding.ListedValues;
import ableschema.core.holding.LookedUp;
import ableschema.core.words.Nouns;
import ableschema.desktop.controls.Choice;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.workspace.Workspace;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What an attribute, or the reference in its place, could be otherwise; pressing a line makes it so, rows included. */
final class OtherwiseLines extends VBox {

    private OtherwiseLines(List<Node> lines) {
        super(4);
        setId("otherwise");
        getChildren().setAll(lines);
    }

    /** Empty where there is nothing else that it could be. */
    static Optional<OtherwiseLines> of(Workspace workspace, Attribute attribute) {
        var lines = new ArrayList<Node>();
        ListedValues.of(workspace.design(), attribute).ifPresent(listed -> {
            for (ListedValues.Form form : listed.others()) {
                lines.add(new OtherwiseLine(
                        workspace, label(form, listed), result(form, listed), () -> listed(workspace, attribute.id())
                                .map(now -> now.as(form, workspace.ids()))));
            }
        });
        CodeParts.of(workspace.design(), attribute)
                .ifPresent(parts -> lines.add(new OtherwiseLine(
                        workspace, "its parts too", computed(parts.names().size()), () -> workspace
                                .design()
                                .attribute(attribute.id())
                                .flatMap(now -> CodeParts.of(workspace.design(), now))
                                .map(now -> now.edit(workspace.ids())))));
        List<Entity> targets = targets(workspace, attribute);
        if (!targets.isEmpty()) {
            lines.add(reference(workspace, attribute.id(), targets));
        }
        return lines.isEmpty() ? Optional.empty() : Optional.of(new OtherwiseLines(lines));
    }

    /** For a reference to a table that only names values. */
    static Optional<Node> of(Workspace workspace, Relationship relationship) {
        return LookedUp.of(workspace.design(), relationship)
                .map(looked -> new OtherwiseLines(List.of(new OtherwiseLine(
                        workspace,
                        "only these values, and no others",
                        "a list in place of the table",
                        () -> LookedUp.of(workspace.design(), relationship).map(now -> now.asList(workspace.ids()))))));
    }

    private static String label(ListedValues.Form form, ListedValues listed) {
        int count = listed.values().size();
        return switch (form) {
            case ANYTHING -> "any value";
            case CHECK, LIST -> count == 1 ? "only this value" : "only these " + count + " values";
            case NAMED_LIST -> "the same values elsewhere too";
            case TABLE -> "values come and go";
        };
    }

    private static String result(ListedValues.Form form, ListedValues listed) {
        if (form == ListedValues.Form.TABLE && listed.values().isEmpty()) {
            return "an empty lookup table";
        }
        return form == ListedValues.Form.TABLE
                ? form.label() + " of " + listed.values().size()
                        + (listed.values().size() == 1 ? " row" : " rows")
                : form.label();
    }

    private static String computed(int columns) {
        return columns == 1 ? "a computed column" : columns + " computed columns";
    }

    private static Optional<ListedValues> listed(Workspace workspace, Id id) {
        return workspace.design().attribute(id).flatMap(now -> ListedValues.of(workspace.design(), now));
    }

    private static List<Entity> targets(Workspace workspace, Attribute attribute) {
        return workspace.design().entities().stream()
                .filter(each -> Declared.of(workspace.design(), attribute, each).isPresent())
                .toList();
    }

    private static Node reference(Workspace workspace, Id id, List<Entity> targets) {
        var choice = Choice.offering("a reference to …", targets, Entity::name, each -> workspace
                .design()
                .attribute(id)
                .flatMap(now ->
                        workspace.design().entity(each.id()).flatMap(to -> Declared.of(workspace.design(), now, to)))
                .ifPresent(declared -> {
                    workspace.apply(declared.edit(workspace.ids()));
                    workspace.notices().say(declared.reason(Nouns.of(workspace.design())));
                }));
        choice.setId("otherwise-reference");
        return row(Controls.text("the key of another", "answer"), choice);
    }

    static HBox row(Node left, Node right) {
        var line = new HBox(8, left, Controls.space(), right);
        line.setAlignment(Pos.BASELINE_LEFT);
        return line;
    }
}
