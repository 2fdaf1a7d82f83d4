package ableschema.diagram.route;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Id;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class ZigzagTest {

    private static final Point FROM = new Point(0, 0);
    private static final Point TO = new Point(200, 100);

    private static Optional<List<Point>> path(Map<Id, Area> cards, Segment... laid) {
        var all = new Occupied();
        cards.values().forEach(all::add);
        List.of(laid).forEach(all::add);
        return new Zigzag(all, FROM, TO, true).path();
    }

    @Test
    void the_step_aside_is_in_the_middle_where_all_is_free() {
        assertThat(path(Map.of())).contains(List.of(FROM, new Point(100, 0), new Point(100, 100), TO));
    }

    @Test
    void the_step_moves_away_from_a_line_that_runs_there() {
        var there = new Segment(new Point(100, 20), new Point(100, 80), false);
        double step = path(Map.of(), there).orElseThrow().get(1).x();

        assertThat(Math.abs(step - 100)).isGreaterThanOrEqualTo(Grid.TOO_NEAR).isLessThan(20);
    }

    @Test
    void fewer_crossings_count_more_than_the_middle() {
        var across = new Segment(new Point(60, 50), new Point(140, 50), false);
        double step = path(Map.of(), across).orElseThrow().get(1).x();

        assertThat(step).matches(x -> x < 60 || x > 140);
    }

    @Test
    void the_end_of_another_line_is_never_crossed() {
        var end = new Segment(new Point(20, 50), new Point(180, 50), true);

        assertThat(path(Map.of(), end).orElseThrow().get(1).x()).matches(x -> x < 20 || x > 180);
    }

    @Test
    void no_way_is_offered_where_a_card_bars_all() {
        var wall = new Area(80, -50, 40, 300);

        assertThat(path(Map.of(Id.parse("e:000001"), wall))).isEmpty();
    }

    @Test
    void things_are_found_near_every_place_that_they_touch_and_gone_when_removed() {
        var cells = new Cells<Area>();
        var random = new Random(3);
        var all = new ArrayList<Area>();
        for (int i = 0; i < 200; i++) {
            var area = new Area(
                    random.nextInt(4000) - 2000, random.nextInt(4000) - 2000, random.nextInt(900), random.nextInt(60));
            all.add(area);
            cells.add(area, area);
        }
        for (int i = 0; i < 100; i++) {
            var place = new Area(random.nextInt(4000) - 2000, random.nextInt(4000) - 2000, 100, 100);
            assertThat(cells.near(place))
                    .containsAll(all.stream().filter(place::meets).toList());
        }
        all.forEach(area -> cells.remove(area, area));
        assertThat(cells.near(new Area(-3000, -3000, 7000, 7000))).isEmpty();
    }
}
