package ableschema.desktop.sheet;

import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.finding.Finding;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Point2D;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.control.Label;

/** A sign at each thing of which a sentence, as it reads now, was said to be wrong. */
final class WrongSigns extends Group {

    private final SheetView sheet;

    WrongSigns(SheetView sheet) {
        this.sheet = sheet;
    }

    /** @param findings those of sentences that were said to be wrong, which they are until they are reworded */
    void show(Design design, List<Finding> findings) {
        getChildren().clear();
        findings.stream()
                .flatMap(finding -> place(design, finding.place().owner()).stream())
                .forEach(place -> getChildren().add(sign(place)));
    }

    private Optional<Point2D> place(Design design, Id about) {
        return sheet.card(about)
                .map(node -> new Point2D(node.getLayoutX() + 6, node.getLayoutY() - 20))
                .or(() -> design.relationship(about).flatMap(sheet::middleOf));
    }

    private static Node sign(Point2D place) {
        var sign = new Label("said to be wrong");
        sign.getStyleClass().add("wrong-sign");
        sign.setMouseTransparent(true);
        sign.relocate(place.getX(), place.getY());
        return sign;
    }
}
