package ableschema.desktop.gloss;

import ableschema.core.design.Cardinality;
import ableschema.core.design.End;
import ableschema.core.design.Id;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import ableschema.core.document.Document;
import ableschema.core.words.Nouns;
import ableschema.core.words.Sentences;
import ableschema.desktop.controls.Choice;
import ableschema.desktop.controls.Fields;
import ableschema.desktop.workspace.Workspace;
import java.util.List;
import java.util.Optional;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** The two sentences of a relationship, in which the verbs are typed and the quantities chosen. */
public final class SentenceEditor extends VBox {

    private static final List<Cardinality> USUAL =
            List.of(Cardinality.EXACTLY_ONE, Cardinality.AT_MOST_ONE, Cardinality.AT_LEAST_ONE, Cardinality.ANY_NUMBER);

    private final Workspace workspace;
    private final Id id;
    /** Held here alone, so that an editor that is shown no more is forgotten. */
    private final ChangeListener<Document> rebuilding = (o, before, now) -> {
        if (getScene() != null) {
            build();
        }
    };

    public SentenceEditor(Workspace workspace, Id relationship) {
        this.workspace = workspace;
        this.id = relationship;
        getStyleClass().add("sentence-editor");
        build();
        workspace.documentProperty().addListener(new WeakChangeListener<>(rebuilding));
    }

    private Optional<Relationship> relationship() {
        return workspace.design().relationship(id);
    }

    private void build() {
        getChildren().clear();
        relationship().ifPresent(r -> {
            if (r.isSubtype()) {
                getChildren().add(new Label(new Sentences(workspace.design()).of(r)));
            } else {
                getChildren().addAll(sentence(r, Side.FIRST), sentence(r, Side.SECOND));
            }
        });
    }

    private Node sentence(Relationship relationship, Side from) {
        var sentences = new Sentences(workspace.design());
        End subject = relationship.end(from);
        End object = relationship.end(from.other());
        TextField verb = Fields.text(
                "verb-" + (from.ordinal() + 1), subject.verb(), "verb", typed -> change(from, subject.withVerb(typed)));
        verb.setPrefColumnCount(Math.max(6, Math.min(18, subject.verb().length())));
        verb.getStyleClass().add("verb");
        Choice quantity = Choice.of(
                object.cardinality(),
                USUAL,
                each -> sentences.quantity(object.withCardinality(each)),
                chosen -> change(from.other(), object.withCardinality(chosen)));
        quantity.setId("quantity-" + (from.ordinal() + 1));
        quantity.setOnKeyPressed(event -> byKey(event.getText(), object)
                .ifPresent(chosen -> change(from.other(), object.withCardinality(chosen))));
        var line = new FlowPane(
                4,
                2,
                new Label("Each "
                        + Nouns.inSentence(workspace.design().at(subject).name())),
                verb,
                quantity,
                new Label(sentences.noun(object) + "."));
        line.getStyleClass().add("sentence");
        return line;
    }

    /** 0 and 1 set the lowest number; o sets the highest to one, n or m to many. */
    private static Optional<Cardinality> byKey(String key, End end) {
        Cardinality now = end.cardinality();
        return switch (key) {
            case "0" -> Optional.of(new Cardinality(0, now.max()));
            case "1" -> Optional.of(new Cardinality(1, now.max()));
            case "o" -> Optional.of(new Cardinality(Math.min(1, now.min()), 1));
            case "n", "m" -> Optional.of(new Cardinality(now.min(), Cardinality.MANY));
            default -> Optional.empty();
        };
    }

    private void change(Side side, End end) {
        relationship().ifPresent(r -> workspace.apply(workspace.edits().changeRelationship(r.with(side, end))));
    }

    /** Puts the caret into the first verb. */
    public void focusFirstVerb() {
        if (lookup("#verb-1") instanceof TextField verb) {
            verb.requestFocus();
            verb.selectAll();
        }
    }
}
