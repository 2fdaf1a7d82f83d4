package ableschema.diagram.route;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.document.Notation;
import ableschema.core.store.DocumentFile;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;
import ableschema.diagram.picture.Picture;
import ableschema.diagram.picture.Picture.DrawnLink;
import ableschema.diagram.picture.PictureMaker;
import ableschema.diagram.picture.View;
import java.nio.file.Path;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class RouterTest {

    private static Picture demo(View view) throws Exception {
        return PictureMaker.of(DocumentFile.read(Path.of("../demo/alder-valley.able.json")), view, Notation.CROWSFOOT);
    }

    @ParameterizedTest
    @EnumSource
    void lines_run_at_right_angles_from_card_to_card_and_through_none(View view) throws Exception {
        Picture picture = demo(view);

        for (DrawnLink line : picture.lines()) {
            for (int i = 1; i < line.points().size(); i++) {
                Point a = line.points().get(i - 1);
                Point b = line.points().get(i);
                assertThat(a.x() == b.x() || a.y() == b.y())
                        .as("%s to %s", a, b)
                        .isTrue();
                Area segment = new Area(Math.min(a.x(), b.x()), Math.min(a.y(), b.y()), 0, 0)
                        .union(new Area(Math.max(a.x(), b.x()), Math.max(a.y(), b.y()), 0, 0));
                picture.cards().values().forEach(card -> assertThat(
                                segment.meets(card.area().grown(-1)))
                        .as("%s through %s", line.link().verb(), card.card().title())
                        .isFalse());
            }
            Point start = line.points().get(0);
            assertThat(picture.cards().get(line.link().first().card()).area().contains(start))
                    .isTrue();
        }
    }

    @ParameterizedTest
    @EnumSource
    void no_two_cards_of_the_demo_overlap(View view) throws Exception {
        var cards = demo(view).cards().values().stream().toList();
        for (int i = 0; i < cards.size(); i++) {
            for (int j = 0; j < i; j++) {
                assertThat(cards.get(i).area().meets(cards.get(j).area()))
                        .as(cards.get(i).card().title() + " on "
                                + cards.get(j).card().title())
                        .isFalse();
            }
        }
    }
}
