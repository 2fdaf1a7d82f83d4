package ableschema.diagram.paint;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.document.Detail;
import ableschema.core.document.Document;
import ableschema.core.document.Notation;
import ableschema.core.store.DocumentFile;
import ableschema.diagram.paint.Raster.Patch;
import ableschema.diagram.paint.Raster.Stand;
import ableschema.diagram.picture.Ink;
import ableschema.diagram.picture.Picture;
import ableschema.diagram.picture.PictureMaker;
import ableschema.diagram.picture.View;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

class RasterTest {

    private static Painting demo = Painting.NOTHING;

    @BeforeAll
    static void paintDemo() throws Exception {
        Document document = DocumentFile.read(Path.of("../demo/alder-valley.able.json"));
        Picture picture = PictureMaker.of(document, View.TABLES, Notation.CROWSFOOT);
        demo = new Painting(
                List.of(new Painting.Part(
                        picture.bounds().grown(20),
                        picture.marks(Detail.EVERYTHING).toList(),
                        1)),
                Palette.LIGHT);
    }

    private static int[] fresh(Painting painting, Stand stand) {
        var raster = new Raster(320, 240);
        raster.paint(painting, stand);
        return window(raster);
    }

    /** The pixels of the window, wherever the roll has them. */
    private static int[] window(Raster raster) {
        int[] seen = new int[raster.width() * raster.height()];
        for (int i = 0; i < seen.length; i++) {
            int column = (raster.column() + i % raster.width()) % raster.columns();
            int row = (raster.row() + i / raster.width()) % raster.rows();
            seen[i] = raster.pixels()[row * raster.columns() + column];
        }
        return seen;
    }

    @Test
    void shifted_in_any_direction_and_by_any_way_it_is_as_painted_afresh() {
        var random = new Random(5);
        for (double zoom : new double[] {0.25, 1, 1.75}) {
            var raster = new Raster(320, 240);
            int x = 300;
            int y = 200;
            raster.paint(demo, new Stand(x / zoom, y / zoom, zoom));
            for (int i = 0; i < 40; i++) {
                int dx = random.nextInt(61) - 30;
                int dy = random.nextInt(61) - 30;
                x -= dx;
                y -= dy;
                raster.move(demo, new Stand(x / zoom, y / zoom, zoom), dx, dy);
            }
            Stand stand = new Stand(x / zoom, y / zoom, zoom);
            assertThat(different(window(raster), fresh(demo, stand)))
                    .as("at " + zoom)
                    .isZero();
        }
    }

    private static long different(int[] one, int[] other) {
        long different = 0;
        for (int i = 0; i < one.length; i++) {
            different += one[i] == other[i] ? 0 : 1;
        }
        return different;
    }

    @Test
    void painted_in_narrow_strips_nothing_is_left_out() {
        for (double zoom : new double[] {0.3, 1, 1.6}) {
            var stand = new Stand(140 / zoom, 90 / zoom, zoom);
            var raster = new Raster(320, 240);
            for (int x = 0; x < 320; x += 5) {
                raster.paint(demo, stand, new Patch(x, 0, x + 5, 240));
            }
            for (int y = 0; y < 120; y += 3) {
                raster.paint(demo, stand, new Patch(0, y, 320, y + 3));
            }
            assertThat(different(window(raster), fresh(demo, stand)))
                    .as("at " + zoom)
                    .isZero();
        }
    }

    @Test
    void a_shift_farther_than_the_window_paints_everything() {
        var raster = new Raster(320, 240);
        raster.paint(demo, new Stand(0, 0, 1));
        raster.move(demo, new Stand(400, 300, 1), -400, -300);

        assertThat(window(raster)).isEqualTo(fresh(demo, new Stand(400, 300, 1)));
    }

    @Test
    void moved_on_in_one_direction_the_window_goes_round_its_roll() {
        for (int[] step : new int[][] {{-16, -9}, {16, 9}, {-7, 0}, {0, 40}, {-120, 3}}) {
            var raster = new Raster(320, 240);
            int x = 700;
            int y = 500;
            raster.paint(demo, new Stand(x, y, 1));
            for (int i = 0; i < 60; i++) {
                x -= step[0];
                y -= step[1];
                Stand stand = new Stand(x, y, 1);
                raster.move(demo, stand, step[0], step[1]);
                if (i % 7 == 0) {
                    assertThat(different(window(raster), fresh(demo, stand)))
                            .as(Arrays.toString(step) + " " + i)
                            .isZero();
                }
            }
            raster.unroll();
            assertThat(List.of(raster.column(), raster.row())).containsOnly(0);
            assertThat(different(window(raster), fresh(demo, new Stand(x, y, 1))))
                    .isZero();
        }
    }

    @Test
    void what_is_painted_ahead_is_painted_anew_with_the_window() {
        var raster = new Raster(320, 240);
        raster.paint(demo, new Stand(100, 100, 1));
        raster.move(demo, new Stand(116, 109, 1), -16, -9);
        raster.paint(Painting.NOTHING, new Stand(116, 109, 1), new Patch(-500, -500, 900, 900));
        raster.move(Painting.NOTHING, new Stand(132, 118, 1), -16, -9);

        assertThat(window(raster)).isEqualTo(fresh(Painting.NOTHING, new Stand(132, 118, 1)));
    }

    @Test
    void a_part_painted_anew_leaves_the_rest() {
        var raster = new Raster(320, 240);
        raster.paint(demo, new Stand(100, 100, 1));
        raster.paint(Painting.NOTHING, new Stand(100, 100, 1), new Patch(0, 0, 320, 120));
        int[] kept = Arrays.copyOfRange(window(raster), 320 * 120, 320 * 240);

        assertThat(Arrays.stream(window(raster), 0, 320 * 120).distinct().count())
                .isEqualTo(1);
        assertThat(kept).isEqualTo(Arrays.copyOfRange(fresh(demo, new Stand(100, 100, 1)), 320 * 120, 320 * 240));
    }

    @Test
    void every_ink_has_contrast_on_paper_of_both_sets() {
        for (Palette palette : Palette.values()) {
            for (Ink ink : Ink.values()) {
                if (List.of(Ink.PAPER, Ink.LINEN, Ink.HAIRLINE, Ink.EDGE).contains(ink)) {
                    continue;
                }
                double contrast = contrast(palette.hex(ink), palette.hex(Ink.PAPER));
                assertThat(contrast).as(palette + " " + ink).isGreaterThanOrEqualTo(4.5);
            }
        }
    }

    /** The contrast of two colours (WCAG 2.1). */
    private static double contrast(String one, String other) {
        double light = Math.max(luminance(one), luminance(other));
        double dark = Math.min(luminance(one), luminance(other));
        return (light + 0.05) / (dark + 0.05);
    }

    private static double luminance(String hex) {
        double[] weights = {0.2126, 0.7152, 0.0722};
        double sum = 0;
        for (int i = 0; i < 3; i++) {
            double part = Integer.parseInt(hex.substring(1 + 2 * i, 3 + 2 * i), 16) / 255.0;
            sum += weights[i] * (part <= 0.03928 ? part / 12.92 : Math.pow((part + 0.055) / 1.055, 2.4));
        }
        return sum;
    }
}
