package ableschema.desktop.gloss;

import ableschema.core.design.End;
import ableschema.core.design.Id;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import ableschema.core.design.SubtypeLayout;
import ableschema.core.edit.SubtypeEdits;
import ableschema.core.rows.ReachText;
import ableschema.core.types.ReferenceAction;
import ableschema.core.words.Nouns;
import ableschema.core.words.RuleLine;
import ableschema.core.words.Sentences;
import ableschema.core.words.Understanding;
import ableschema.desktop.controls.Choice;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.controls.Fields;
import ableschema.desktop.workspace.Workspace;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** All that can be said of one relationship beyond its sentences. */
final class RelationshipEditor extends VBox {

    private final Workspace workspace;
    private final Relationship relationship;

    RelationshipEditor(Workspace workspace, Relationship relationship) {
        this.workspace = workspace;
        this.relationship = relationship;
        getStyleClass().add("relationship-editor");
        getChildren().add(roles());
        if (relationship.isManyToMany()) {
            getChildren().addAll(noun(), newAttribute());
        } else {
            var said = new ReachText(workspace.design(), workspace.mapping());
            getChildren().addAll(identifying(), onDelete(said), onUpdate(said));
            if (isMandatory()) {
                getChildren().add(whyNotEmptied());
            }
        }
        if (!relationship.isRecursive() && !relationship.isManyToMany()) {
            getChildren().add(kind());
        }
    }

    private void change(Relationship changed) {
        workspace.apply(workspace.edits().changeRelationship(changed));
    }

    private String name(Side side) {
        return Nouns.inSentence(workspace.design().at(relationship.end(side)).name());
    }

    private Node roles() {
        var grid = new GridPane();
        grid.getStyleClass().add("attribute-editor");
        for (Side side : Side.values()) {
            End end = relationship.end(side);
            String label = relationship.isRecursive()
                    ? (side == Side.FIRST ? "the first is the" : "the other is the")
                    : "the " + name(side) + " is the";
            var said = new Label(label);
            said.getStyleClass().add("note");
            grid.addRow(
                    side.ordinal(),
                    said,
                    Fields.text(
                            "role-" + (side.ordinal() + 1),
                            end.role(),
                            "role, such as mentor",
                            typed -> change(relationship.with(side, end.withRole(typed)))));
        }
        return grid;
    }

    private Node noun() {
        var label = new Label("one pairing is called");
        label.getStyleClass().add("note");
        return new FlowPane(
                6,
                4,
                label,
                Fields.text(
                        "pairing-noun",
                        relationship.noun(),
                        "a noun, such as application",
                        typed -> change(relationship.withNoun(typed))));
    }

    /** An attribute of the pairing itself; marked (key), it tells pairings of the same two apart. */
    private Node newAttribute() {
        var label = new Label("each pairing has");
        label.getStyleClass().add("note");
        return new FlowPane(6, 4, label, Fields.text("pairing-attribute", "", "month: whole 12 (key)", typed -> {
            Understanding reading = new RuleLine(workspace.design(), Optional.of(relationship.id()), workspace.ids())
                    .readAttributes(relationship.id(), typed);
            if (reading instanceof Understanding.Understood understood) {
                workspace.apply(understood.edit());
            } else if (reading instanceof Understanding.NotUnderstood not) {
                workspace.notices().complain(not.problem());
            }
        }));
    }

    private Node identifying() {
        Side referred = relationship.referencedSide().orElse(Side.FIRST);
        var box =
                new CheckBox(Sentences.article(name(referred.other())) + " is known only within its " + name(referred));
        box.setId("identifying");
        box.setWrapText(true);
        box.setDisable(relationship.isRecursive());
        box.setSelected(workspace.design().isIdentifying(relationship));
        box.setOnAction(event -> workspace.apply(workspace.edits().setIdentifying(relationship, box.isSelected())));
        return box;
    }

    /** Whether the second entity is a kind of the first, which then shares its key. */
    private Node kind() {
        var kinds = new SubtypeEdits(workspace.design(), workspace.ids());
        boolean otherWay = kinds.isKindOf(
                relationship.first().entity(), relationship.second().entity());
        var box = new CheckBox("each " + name(Side.SECOND) + " is a kind of " + name(Side.FIRST)
                + (otherWay ? ": cannot be, as each " + name(Side.FIRST) + " is a kind of it" : ""));
        box.setId("is-kind");
        box.setWrapText(true);
        box.setSelected(relationship.isSubtype());
        box.setDisable(otherWay && !relationship.isSubtype());
        box.setOnAction(event -> {
            if (box.isSelected()) {
                workspace.apply(kinds.turnIntoKind(relationship, SubtypeLayout.OWN_TABLE));
            } else {
                change(relationship.withSubtype(SubtypeLayout.NONE));
            }
        });
        return box;
    }

    private Node onDelete(ReachText said) {
        Choice choice = Choice.of(
                relationship.reference().onDelete(),
                actions(),
                action -> said(action, "goes too"),
                action -> change(relationship.withActions(
                        action, relationship.reference().onUpdate())));
        choice.setId("on-delete");
        return action(
                "When " + Sentences.article(referred()) + " goes,",
                choice,
                reach("delete-reach", said.deleting(referredId()), said.deletingRows(referredId())),
                others(
                        "delete-otherwise",
                        relationship.reference().onDelete(),
                        action -> said(action, "goes too"),
                        (each, action) ->
                                each.withActions(action, each.reference().onUpdate())));
    }

    private Node onUpdate(ReachText said) {
        Choice choice = Choice.of(
                relationship.reference().onUpdate(),
                actions(),
                action -> said(action, "changes too"),
                action ->
                        change(relationship.withActions(relationship.reference().onDelete(), action)));
        choice.setId("on-update");
        return action(
                "When the key of " + Sentences.article(referred()) + " changes,",
                choice,
                reach("update-reach", said.changing(referredId()), said.changingRows(referredId())),
                others(
                        "update-otherwise",
                        relationship.reference().onUpdate(),
                        action -> said(action, "changes too"),
                        (each, action) -> each.withActions(each.reference().onDelete(), action)));
    }

    private static Node action(String when, Choice choice, Node reach, Node others) {
        return new VBox(2, new FlowPane(4, 2, new Label(when), choice), reach, others);
    }

    private Node others(
            String id,
            ReferenceAction now,
            Function<ReferenceAction, String> words,
            BiFunction<Relationship, ReferenceAction, Relationship> with) {
        var others = new OtherActions(workspace, relationship.id(), actions(), now, words, with);
        others.setId(id);
        return others;
    }

    private Side referredSide() {
        return relationship.referencedSide().orElse(Side.FIRST);
    }

    private String referred() {
        return name(referredSide());
    }

    private Id referredId() {
        return relationship.end(referredSide()).entity();
    }

    private boolean isMandatory() {
        return relationship.end(referredSide()).cardinality().isMandatory();
    }

    /** What is not offered, and why. */
    private Node whyNotEmptied() {
        Label why = Controls.text(
                "That it stays without is not offered: each "
                        + name(referredSide().other()) + " must have " + Sentences.article(referred()) + ".",
                "note");
        why.setId("not-emptied");
        why.setWrapText(true);
        why.setMinHeight(USE_PREF_SIZE);
        return why;
    }

    /** What can be had: a reference that must be there cannot be emptied. */
    private List<ReferenceAction> actions() {
        var actions =
                new ArrayList<>(List.of(ReferenceAction.NO_ACTION, ReferenceAction.RESTRICT, ReferenceAction.CASCADE));
        if (!isMandatory()) {
            actions.add(ReferenceAction.SET_NULL);
        }
        return actions;
    }

    /** What it comes to over all levels, and on the sample rows. */
    private static Node reach(String id, List<String> levels, String rows) {
        var lines = new VBox(1);
        lines.setId(id);
        Stream.concat(levels.stream(), Stream.of(rows))
                .filter(each -> !each.isEmpty())
                .map(each -> Controls.text(each, "note"))
                .forEach(each -> {
                    each.setWrapText(true);
                    each.setMinHeight(USE_PREF_SIZE);
                    lines.getChildren().add(each);
                });
        return lines;
    }

    private String said(ReferenceAction action, String along) {
        Side holder = relationship.referencedSide().orElse(Side.FIRST).other();
        return switch (action) {
            case NO_ACTION -> "it may not while it is referred to";
            case RESTRICT -> "it may not, at once, while it is referred to";
            case CASCADE -> "each " + name(holder) + " of it " + along;
            case SET_NULL -> "each " + name(holder) + " of it stays without";
            case SET_DEFAULT -> "each " + name(holder) + " of it gets the default";
        };
    }
}
