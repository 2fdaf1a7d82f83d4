package ableschema.desktop.gloss;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Condition;
import ableschema.core.design.Index;
import ableschema.core.design.Mark;
import ableschema.core.sql.dialect.Ability;
import ableschema.core.structure.Field;
import ableschema.core.structure.StructureEdits;
import ableschema.core.types.DataType;
import ableschema.core.words.CheckText;
import ableschema.core.words.ConditionText;
import ableschema.core.words.DomainWords;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.controls.Fields;
import ableschema.desktop.workspace.Workspace;
import java.util.EnumSet;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;

/** All that can be said of one attribute, corrected in place. */
final class AttributeEditor extends GridPane {

    private final Workspace workspace;
    private final Attribute attribute;

    AttributeEditor(Workspace workspace, Attribute attribute) {
        this.workspace = workspace;
        this.attribute = attribute;
        getStyleClass().add("attribute-editor");
        line("name", Fields.text("attribute-name", attribute.name(), "name", typed -> set(Field.NAME, typed)));
        line(
                "type",
                Fields.text(
                        "attribute-type", typeText(), "text 40, date, decimal 6,2 …", typed -> set(Field.TYPE, typed)));
        line(
                "check",
                Fields.text(
                        "attribute-rule",
                        ruleText(),
                        "between 1 and 10, one of a, b …",
                        typed -> set(Field.CHECK, typed)));
        line(
                "default",
                Fields.text(
                        "attribute-default",
                        defaultText(),
                        "a value, or = price * copies",
                        typed -> set(Field.DEFAULT, typed)));
        line(
                "column",
                Fields.text(
                        "pinned-column",
                        attribute.pins().name(),
                        "a name of its own in the database",
                        typed -> change(attribute.withPins(attribute.pins().withName(typed)))));
        line(
                "comment",
                Fields.text(
                        "attribute-note",
                        attribute.comment(),
                        "what people should know",
                        typed -> set(Field.COMMENT, typed)));
        add(
                new FlowPane(
                        10,
                        4,
                        required(),
                        unique(),
                        often(Index.Purpose.SEARCHED),
                        often(Index.Purpose.SORTED),
                        marked(Mark.PERSONAL),
                        marked(Mark.SECRET)),
                0,
                getRowCount(),
                2,
                1);
        if (attribute.optional() && body().isUnique(attribute)) {
            boolean many = workspace.dialect().can(Ability.MANY_EMPTIES_IN_UNIQUE);
            add(
                    Controls.text(
                            workspace.dialect().label() + ": " + (many ? "any number of rows" : "one row alone")
                                    + " may be empty there",
                            "note"),
                    0,
                    getRowCount(),
                    2,
                    1);
        }
    }

    /** What the fields of an attribute show. */
    static Object shownOf(Workspace workspace, Attribute attribute) {
        Body body = body(workspace, attribute);
        return List.of(
                attribute,
                workspace.dialect().name(),
                workspace.design().domains(),
                body.key(),
                body.checks(),
                body.uniques(),
                body.indexes());
    }

    private void line(String label, Node field) {
        var name = new Label(label);
        name.getStyleClass().add("note");
        name.setMinWidth(60);
        addRow(getRowCount(), name, field);
        if (field instanceof TextField text) {
            text.setPrefColumnCount(22);
        }
    }

    private String typeText() {
        return attribute.type() instanceof DataType.Undecided ? "" : words().type(attribute.type());
    }

    private DomainWords words() {
        return new DomainWords(workspace.design());
    }

    private Body body() {
        return body(workspace, attribute);
    }

    private static Body body(Workspace workspace, Attribute attribute) {
        return workspace
                .design()
                .ownerOf(attribute.id())
                .flatMap(workspace.design()::body)
                .orElse(Body.EMPTY);
    }

    private String ruleText() {
        return body().checks().stream()
                .flatMap(check -> Condition.read(check.expression()).stream())
                .filter(rule -> rule.column().equals(attribute.ref()))
                .map(Condition::inWords)
                .findFirst()
                .orElse("");
    }

    private String defaultText() {
        return workspace
                .design()
                .ownerOf(attribute.id())
                .filter(owner -> attribute.filling().isComputed())
                .map(owner -> "= "
                        + new CheckText(workspace.design(), owner)
                                .saidComputed(attribute)
                                .orElse("…"))
                .orElseGet(() -> ConditionText.defaultInWords(attribute.defaultValue()));
    }

    private void change(Attribute changed) {
        workspace.apply(workspace.edits().changeAttribute(changed));
    }

    private void set(Field field, String typed) {
        try {
            workspace
                    .design()
                    .ownerOf(attribute.id())
                    .map(owner -> new StructureEdits(workspace.document(), owner, workspace.ids()))
                    .ifPresent(edits -> workspace.apply(edits.set(List.of(attribute.ref()), field, typed)));
        } catch (IllegalArgumentException e) {
            workspace.notices().complain(String.valueOf(e.getMessage()));
        }
    }

    private CheckBox required() {
        var box = new CheckBox("required");
        box.setId("attribute-required");
        box.setTooltip(new Tooltip("each row must have a value there: NOT NULL"));
        box.setSelected(!attribute.optional());
        box.setDisable(body().key().contains(attribute.ref()));
        box.setOnAction(event -> set(Field.REQUIRED, box.isSelected() ? "yes" : "no"));
        return box;
    }

    private CheckBox marked(Mark mark) {
        var box = new CheckBox(mark.toString());
        box.setId("attribute-" + mark);
        box.setTooltip(new Tooltip(
                mark == Mark.SECRET
                        ? "nobody may read it, so that a hash is kept in its place"
                        : "it says something of a person that not everybody may see, and makes no good key"));
        box.setSelected(attribute.is(mark));
        box.setOnAction(event -> {
            var marks = EnumSet.noneOf(Mark.class);
            marks.addAll(attribute.marks());
            if (box.isSelected()) {
                marks.add(mark);
            } else {
                marks.remove(mark);
            }
            change(attribute.withMarks(marks));
        });
        return box;
    }

    private CheckBox often(Index.Purpose purpose) {
        var box = new CheckBox("often " + purpose);
        box.setId("attribute-" + purpose);
        box.setTooltip(new Tooltip("rows are often " + purpose + " by it: it gets an index"));
        box.setSelected(body().indexes().stream()
                .anyMatch(index -> index.isOnlyOn(attribute) && index.purpose().includes(purpose)));
        box.setOnAction(event -> workspace.apply(workspace.edits().setOften(attribute, purpose, box.isSelected())));
        return box;
    }

    private CheckBox unique() {
        var box = new CheckBox("unique");
        box.setId("attribute-unique");
        box.setTooltip(new Tooltip("no two rows have the same value there"));
        box.setSelected(body().isUnique(attribute));
        box.setOnAction(event -> workspace.apply(workspace.edits().setUnique(attribute, box.isSelected())));
        return box;
    }
}
