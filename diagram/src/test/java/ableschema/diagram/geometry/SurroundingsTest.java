package ableschema.diagram.geometry;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class SurroundingsTest {

    private static Area any(Random random, int most) {
        return new Area(random.nextInt(most), random.nextInt(most), random.nextInt(40), random.nextInt(40));
    }

    @Test
    void what_touches_is_within_the_distance_of_some_area_and_nothing_else_is() {
        var random = new Random(5);
        List<Area> around =
                IntStream.range(0, 12).mapToObj(i -> any(random, 1000)).toList();
        var surroundings = new Surroundings(around, 30);
        int touching = 0;
        for (int i = 0; i < 2000; i++) {
            Area area = any(random, 1200);
            boolean expected = around.stream().anyMatch(each -> gap(each, area) <= 30);
            touching += expected ? 1 : 0;

            assertThat(surroundings.touch(area)).as("%s", area).isEqualTo(expected);
        }
        assertThat(touching).isBetween(100, 1900);
    }

    /** How far apart two areas are along the axis on which they are farther apart. */
    private static double gap(Area a, Area b) {
        double across = Math.max(a.x() - b.right(), b.x() - a.right());
        double down = Math.max(a.y() - b.bottom(), b.y() - a.bottom());
        return Math.max(across, down);
    }

    @Test
    void a_line_without_width_touches_what_it_runs_along() {
        Area line = new Point(10, 0).to(new Point(10, 100));

        assertThat(line.touches(new Area(10, 20, 30, 30))).isTrue();
        assertThat(line.meets(new Area(10, 20, 30, 30))).isFalse();
        assertThat(line.meets(new Area(5, 20, 30, 30))).isTrue();
    }

    @Test
    void around_nothing_there_is_nothing_and_around_very_many_everything() {
        List<Area> many =
                IntStream.range(0, 2000).mapToObj(i -> new Area(i, i, 1, 1)).toList();

        assertThat(new Surroundings(List.of(), 50).touch(new Area(0, 0, 9, 9))).isFalse();
        assertThat(new Surroundings(many, 0).touch(new Area(9e6, 9e6, 1, 1))).isTrue();
    }
}
