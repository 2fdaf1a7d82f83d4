package ableschema.desktop.sheet;

import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.design.Judgement;
import ableschema.core.words.DesignText;
import ableschema.core.words.Sentence;
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

    void show(Design design) {
        getChildren().clear();
        design.notes().judgements().stream()
                .filter(WrongSigns::isWrong)
                .filter(judgement -> isStillSaid(judgement, design))
                .flatMap(judgement -> place(design, judgement.about()).stream())
                .forEach(place -> getChildren().add(sign(place)));
    }

    /** A sentence that has been reworded since is another. */
    private static boolean isStillSaid(Judgement judgement, Design design) {
        return DesignText.about(design, judgement.about()).stream()
                .map(Sentence::text)
                .anyMatch(judgement.sentence()::equals);
    }

    private static boolean isWrong(Judgement judgement) {
        return judgement.verdict() == Judgement.Verdict.WRONG;
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
