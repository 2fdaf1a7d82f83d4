package ableschema.desktop.sheet;

import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Rule;
import ableschema.core.review.Refused;
import ableschema.core.review.Rules;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Point2D;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.control.Label;

/** A sign at each thing of which a sentence, as it reads now, was said to be wrong, or that a database refused. */
final class WrongSigns extends Group {

    /** What stands in the signs of a rule's findings. */
    static final Map<Rule, String> SIGNED =
            Map.of(Rules.SENTENCE_WRONG, "said to be wrong", Refused.RULE, "refused by the database");

    private final SheetView sheet;

    WrongSigns(SheetView sheet) {
        this.sheet = sheet;
    }

    /** @param findings those that have a sign */
    void show(Design design, List<Finding> findings) {
        getChildren().clear();
        for (Finding each : findings) {
            place(design, each.place().owner())
                    .ifPresent(place -> getChildren().add(sign(place, SIGNED.getOrDefault(each.rule(), ""))));
        }
    }

    private Optional<Point2D> place(Design design, Id about) {
        return sheet.card(about)
                .map(node -> new Point2D(node.getLayoutX() + 6, node.getLayoutY() - 20))
                .or(() -> design.relationship(about).flatMap(sheet::middleOf));
    }

    private static Node sign(Point2D place, String text) {
        var sign = new Label(text);
        sign.getStyleClass().add("wrong-sign");
        sign.setMouseTransparent(true);
        sign.relocate(place.getX(), place.getY());
        return sign;
    }
}
