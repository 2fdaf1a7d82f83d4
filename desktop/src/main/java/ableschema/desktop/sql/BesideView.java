package ableschema.desktop.sql;

import ableschema.core.sql.Script;
import ableschema.core.sql.Statement;
import ableschema.core.sql.dialect.Dialect;
import ableschema.desktop.controls.Controls;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** A script beside that of another dialect, statement by statement; what is the same in both stands back. */
final class BesideView extends VBox {

    private final ListView<Script.Pair> list = new ListView<>();
    private final Label here = Controls.text("", "subtitle");
    private final Label there = Controls.text("", "subtitle");
    private final Label said = Controls.text("", "note");

    BesideView() {
        super(4);
        list.setId("beside");
        list.getStyleClass().add("beside");
        list.setCellFactory(view -> new ListCell<>() {
            @Override
            protected void updateItem(Script.Pair pair, boolean empty) {
                super.updateItem(pair, empty);
                setText(null);
                setGraphic(empty || pair == null ? null : row(pair));
                prefWidthProperty().bind(view.widthProperty().subtract(24));
                setAccessibleText(empty || pair == null ? "" : text(pair.here()) + " beside " + text(pair.there()));
            }
        });
        VBox.setVgrow(list, Priority.ALWAYS);
        var heads = new HBox(8, column(here), column(there));
        getChildren().addAll(said, heads, list);
    }

    /** Two scripts side by side, worked out outside of the window's thread where they are long. */
    record Sides(Dialect here, Dialect there, List<Script.Pair> pairs, long unlike) {
        static Sides of(Script one, Script other) {
            List<Script.Pair> pairs = one.beside(other);
            long unlike = pairs.stream().filter(pair -> !pair.isSame()).count();
            return new Sides(one.dialect(), other.dialect(), pairs, unlike);
        }
    }

    void show(Sides sides) {
        here.setText(sides.here().label());
        there.setText(sides.there().label());
        said.setText(
                sides.unlike() == 0
                        ? "All statements are the same."
                        : sides.unlike() + " of " + sides.pairs().size()
                                + (sides.pairs().size() == 1 ? " statement differs." : " statements differ."));
        list.getItems().setAll(sides.pairs());
    }

    private static Node row(Script.Pair pair) {
        Node one = column(label(pair.here(), pair.isSame()));
        Node other = column(label(pair.there(), pair.isSame()));
        return new HBox(8, one, other);
    }

    private static Label label(Optional<Statement> statement, boolean same) {
        Label label = Controls.text(text(statement), "code");
        label.setWrapText(true);
        label.getStyleClass().add(same ? "beside-same" : statement.isEmpty() ? "beside-none" : "beside-unlike");
        label.setMaxWidth(Double.MAX_VALUE);
        return label;
    }

    private static String text(Optional<Statement> statement) {
        return statement.map(Statement::text).orElse("nothing of the kind");
    }

    private static Node column(Label label) {
        HBox.setHgrow(label, Priority.ALWAYS);
        label.setPrefWidth(10); // both get half of what there is
        label.setMaxWidth(Double.MAX_VALUE);
        return label;
    }
}
