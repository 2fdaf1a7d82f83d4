package ableschema.desktop.gloss;

import ableschema.core.design.End;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.Pins;
import ableschema.core.design.Pins.Role;
import ableschema.core.design.Reference;
import ableschema.core.design.Relationship;
import ableschema.core.edit.ChangeEntity;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Table;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.controls.Fields;
import ableschema.desktop.workspace.Workspace;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;

/** What a table and its constraints are called in the database: an empty field follows the rules, a filled one holds fast. */
final class PhysicalNames extends GridPane {

    private final Workspace workspace;

    private PhysicalNames(Workspace workspace) {
        this.workspace = workspace;
        setId("physical-names");
        getStyleClass().add("attribute-editor");
    }

    /** What those of an entity's own table show. */
    static Object shownOf(Entity entity, Table table) {
        return List.of(
                entity.id(),
                entity.pins(),
                table.qualified(),
                table.primaryKey().map(key -> key.name()));
    }

    /** Those of an entity's own table. */
    static PhysicalNames of(Workspace workspace, Entity entity, Table table) {
        var names = new PhysicalNames(workspace);
        Consumer<Pins> change = pins -> workspace
                .design()
                .entity(entity.id())
                .ifPresent(now ->
                        workspace.apply(new ChangeEntity(now.withPins(pins), "name the table of " + now.name())));
        names.table(entity.pins(), table, change);
        table.primaryKey()
                .ifPresent(key -> names.line(
                        "primary key",
                        "pinned-key",
                        entity.pins().name(Role.KEY),
                        key.name(),
                        typed -> change.accept(entity.pins().withName(Role.KEY, typed))));
        return names;
    }

    /** Those of a relationship: its foreign keys, and the table of its own where it has one. */
    static PhysicalNames of(Workspace workspace, Relationship relationship) {
        var names = new PhysicalNames(workspace);
        workspace
                .trace()
                .tableOf(relationship.id())
                .ifPresent(table ->
                        names.table(relationship.pins(), table, pins -> names.change(relationship.withPins(pins))));
        for (Table table : workspace.schema().tables()) {
            for (ForeignKey key : table.foreignKeys()) {
                EndRef end = workspace.trace().end(table, key);
                if (end.relationship().equals(relationship.id())) {
                    names.foreignKey(relationship, end, table, key);
                }
            }
        }
        return names;
    }

    private void change(Relationship changed) {
        workspace.apply(workspace.edits().changeRelationship(changed));
    }

    private void table(Pins pins, Table table, Consumer<Pins> change) {
        line("table", "pinned-table", pins.name(), table.name(), typed -> change.accept(pins.withName(typed)));
        line(
                "schema",
                "pinned-namespace",
                pins.namespace(),
                "the usual one",
                typed -> change.accept(pins.withNamespace(typed)));
    }

    private void foreignKey(Relationship relationship, EndRef ref, Table table, ForeignKey key) {
        End end = relationship.end(ref.side());
        Pins pins = end.reference().pins();
        Consumer<UnaryOperator<Reference>> change =
                to -> change(relationship.with(ref.side(), end.with(to.apply(end.reference()))));
        String id = "-" + (ref.side().ordinal() + 1);
        line(
                "foreign key",
                "pinned-foreign-key" + id,
                pins.name(),
                key.name(),
                typed -> change.accept(r -> r.withName(Role.ITSELF, typed)));
        table.indexes().stream()
                .filter(index -> index.isPlain() && index.columnNames().equals(key.columns()))
                .findFirst()
                .ifPresent(index -> line(
                        "its index",
                        "pinned-index" + id,
                        pins.name(Role.INDEX),
                        index.name(),
                        typed -> change.accept(r -> r.withName(Role.INDEX, typed))));
    }

    private void line(String label, String id, String pinned, String byRule, Consumer<String> changed) {
        TextField field = Fields.text(id, pinned, byRule, changed);
        field.setPrefColumnCount(22);
        Label name = Controls.text(label, "note");
        name.setMinWidth(Region.USE_PREF_SIZE);
        addRow(getRowCount(), name, field);
    }

    boolean isEmpty() {
        return getChildren().isEmpty();
    }
}
