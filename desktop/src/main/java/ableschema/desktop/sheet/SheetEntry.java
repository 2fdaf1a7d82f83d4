package ableschema.desktop.sheet;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.Lists;
import ableschema.core.design.Relationship;
import ableschema.core.document.Diagram;
import ableschema.core.document.District;
import ableschema.core.document.Position;
import ableschema.core.edit.AddEntity;
import ableschema.core.edit.ChangeDiagram;
import ableschema.core.words.RuleLine;
import ableschema.core.words.Understanding;
import ableschema.desktop.gloss.SentenceEditor;
import ableschema.desktop.workspace.Workspace;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.event.EventTarget;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.VBox;

/** The fields that open on the sheet, in the place of what they name: one at a time. */
final class SheetEntry {

    private final SheetView sheet;
    private final Workspace workspace;
    private Optional<Node> open = Optional.empty();

    SheetEntry(SheetView sheet, Workspace workspace) {
        this.sheet = sheet;
        this.workspace = workspace;
    }

    /** Whether a press landed inside the open field. */
    boolean contains(EventTarget target) {
        for (Node node = target instanceof Node start ? start : null; node != null; node = node.getParent()) {
            if (open.filter(node::equals).isPresent()) {
                return true;
            }
        }
        return false;
    }

    void close() {
        open.ifPresent(sheet::removeOver);
        open = Optional.empty();
    }

    private void show(Node node, Point2D at) {
        close();
        node.relocate(at.getX(), at.getY());
        open = Optional.of(node);
        sheet.addOver(node);
        node.applyCss(); // gives a field its skin at once, so that no letter typed within this frame is lost
        Point2D seen = sheet.inView(at, node.prefWidth(-1), node.prefHeight(-1));
        node.relocate(seen.getX(), seen.getY());
    }

    /** Asks for the name of a new entity at a place; its first letter has been typed. */
    void newEntity(Point2D at, String firstLetter) {
        Field field = new Field("entity-entry", "Enter: its attributes   Esc: done");
        show(field, at);
        field.start(firstLetter);
        field.onEnter(name -> {
            if (workspace.design().entity(name).isPresent()) {
                field.complain("there is an entity called " + name + " already; give this one another name");
                return;
            }
            Entity entity = Entity.named(workspace.ids().next(IdKind.ENTITY), name);
            workspace.apply(new AddEntity(entity, Optional.of(new Position(at.getX(), at.getY()))));
            workspace.selection().choose(entity.id());
            addAttributes(entity);
        });
    }

    /** Asks for attributes, one after the other, below the card of an entity. */
    void addAttributes(Entity entity) {
        Field field = new Field("attribute-entry", "name: type   Enter: next   Esc: done");
        show(field, below(entity.id()));
        field.start("");
        field.onEnter(text -> add(entity.id(), text, field));
    }

    private void add(Id id, String text, Field field) {
        Optional<Entity> entity = workspace.design().entity(id);
        if (entity.isEmpty()) {
            close();
            return;
        }
        Understanding understanding =
                new RuleLine(workspace.design(), Optional.of(id), workspace.ids()).readAttributes(id, text);
        if (understanding instanceof Understanding.Understood understood) {
            workspace.apply(understood.edit());
            behindChosen(id);
            field.clear();
            Point2D below = below(id);
            field.relocate(below.getX(), below.getY());
        } else if (understanding instanceof Understanding.NotUnderstood not) {
            field.complain(not.problem());
            field.select(not.start(), not.end());
        }
    }

    /** What was typed while an attribute is chosen belongs behind that one. */
    private void behindChosen(Id owner) {
        Optional<Attribute> anchor =
                workspace.selection().chosenProperty().get().flatMap(workspace.design()::attribute);
        List<Attribute> all = workspace.design().body(owner).orElse(Body.EMPTY).attributes();
        if (anchor.filter(all::contains).isPresent() && !all.isEmpty()) {
            Attribute added = all.get(all.size() - 1);
            int place = all.indexOf(anchor.get()) + 1;
            if (place < all.size() - 1) {
                workspace.amend(workspace.edits().moveAttribute(added, place));
            }
            workspace.selection().choose(added.id());
        }
    }

    private Point2D below(Id entity) {
        return sheet.card(entity)
                .map(node -> new Point2D(node.getLayoutX(), node.getLayoutY() + node.getPrefHeight() + 6))
                .orElseGet(sheet::freePlace);
    }

    /** Lets the name of an entity be typed anew in its place. */
    void rename(Entity entity) {
        Field field = new Field("entity-entry", "Enter: rename   Esc: leave it");
        Point2D at = sheet.card(entity.id())
                .map(node -> new Point2D(node.getLayoutX(), node.getLayoutY()))
                .orElseGet(sheet::freePlace);
        show(field, at);
        field.start(entity.name());
        field.selectAll();
        field.onEnter(name -> {
            workspace.apply(workspace.edits().rename(entity, name));
            finish();
        });
    }

    /** Lets the name of a district be typed anew where it stands. */
    void rename(District district) {
        Field field = new Field("district-entry", "Enter: rename   Esc: leave it");
        show(field, sheet.titleOf(district).orElseGet(sheet::freePlace));
        field.start(district.name());
        field.selectAll();
        field.onEnter(name -> {
            Diagram diagram = workspace.document().diagram();
            workspace.apply(new ChangeDiagram(
                    diagram.withDistricts(Lists.replace(diagram.districts(), District::cards, district.withName(name))),
                    "name a district " + name));
            finish();
        });
    }

    private void finish() {
        close();
        sheet.requestFocus();
    }

    /** Opens the two sentences of a relationship at its line. */
    void openSentences(Relationship relationship) {
        var editor = new SentenceEditor(workspace, relationship.id());
        editor.getStyleClass().add("sheet-sentences");
        Point2D middle = sheet.middleOf(relationship).orElseGet(sheet::freePlace);
        show(editor, middle.add(-150, 14));
        editor.addEventHandler(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.ESCAPE) {
                finish();
                event.consume();
            }
        });
        Platform.runLater(editor::focusFirstVerb);
    }

    /** A field with a hint below it. */
    private final class Field extends VBox {
        private final TextField text = new TextField();
        private final Label hint;
        private final String usualHint;

        Field(String id, String hintText) {
            usualHint = hintText;
            hint = new Label(hintText);
            hint.getStyleClass().add("hint");
            hint.setMaxWidth(320);
            hint.setWrapText(true);
            text.setId(id);
            text.setPrefColumnCount(18);
            getStyleClass().add("sheet-entry");
            getChildren().addAll(text, hint);
            text.addEventHandler(KeyEvent.KEY_PRESSED, event -> {
                if (event.getCode() == KeyCode.ESCAPE) {
                    finish();
                    event.consume();
                }
            });
        }

        void start(String content) {
            text.setText(content);
            text.requestFocus();
            text.positionCaret(content.length());
        }

        /** Enter with nothing typed ends the entry. */
        void onEnter(Consumer<String> typed) {
            text.setOnAction(event -> {
                String content = text.getText().strip();
                if (content.isEmpty()) {
                    finish();
                } else {
                    typed.accept(content);
                }
            });
        }

        void clear() {
            text.clear();
            hint.setText(usualHint);
            hint.getStyleClass().remove("problem");
        }

        void selectAll() {
            text.selectAll();
        }

        void select(int start, int end) {
            text.selectRange(start, end);
        }

        void complain(String problem) {
            hint.setText(problem);
            if (!hint.getStyleClass().contains("problem")) {
                hint.getStyleClass().add("problem");
            }
        }
    }
}
