package ableschema.diagram.route;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Id;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

class SearchTest {

    private static final Id ONE = Id.parse("e:000001");
    private static final Id OTHER = Id.parse("e:000002");
    private static final Id WALL = Id.parse("e:000003");
    private static final Id LINE = Id.parse("r:000001");

    private static List<Point> route(Map<Id, Area> cards) {
        return new Router(cards, List.of(new Route.Wanted(LINE, ONE, OTHER)))
                .routes(laid -> {})
                .get(0)
                .points();
    }

    private static boolean runsThrough(List<Point> points, Area card) {
        for (int i = 1; i < points.size(); i++) {
            if (points.get(i - 1).to(points.get(i)).meets(card.grown(-1))) {
                return true;
            }
        }
        return false;
    }

    @Test
    void cards_on_one_level_are_joined_straight() {
        List<Point> points = route(Map.of(ONE, new Area(0, 0, 160, 100), OTHER, new Area(400, 0, 160, 100)));

        assertThat(points).containsExactly(new Point(160, 50), new Point(400, 50));
    }

    @Test
    void a_wall_between_two_cards_is_gone_around_on_the_shorter_side() {
        var wall = new Area(260, -400, 40, 520);
        List<Point> points =
                route(Map.of(ONE, new Area(0, 0, 160, 100), OTHER, new Area(400, 0, 160, 100), WALL, wall));

        assertThat(runsThrough(points, wall)).isFalse();
        assertThat(points.stream().mapToDouble(Point::y).max().orElse(0)).isGreaterThan(wall.bottom());
    }

    @Test
    void a_card_shut_in_on_all_sides_still_gets_its_line() {
        List<Point> points = route(Map.of(
                ONE,
                new Area(0, 0, 160, 100),
                OTHER,
                new Area(600, 0, 160, 100),
                WALL,
                new Area(170, -900, 100, 1900)));

        assertThat(points.get(0).x()).isEqualTo(160);
        assertThat(points.get(points.size() - 1).x()).isEqualTo(600);
    }

    @Test
    void several_lines_between_the_same_two_cards_share_no_stretch() {
        Map<Id, Area> cards = Map.of(ONE, new Area(0, 0, 160, 120), OTHER, new Area(400, 240, 160, 120));
        List<Route> routes = new Router(
                        cards,
                        List.of(
                                new Route.Wanted(Id.parse("r:000001"), ONE, OTHER),
                                new Route.Wanted(Id.parse("r:000002"), ONE, OTHER),
                                new Route.Wanted(Id.parse("r:000003"), OTHER, ONE)))
                .routes(laid -> {});

        for (int i = 0; i < routes.size(); i++) {
            for (int j = 0; j < i; j++) {
                assertThat(sharesAStretch(routes.get(i).points(), routes.get(j).points()))
                        .isFalse();
            }
        }
    }

    private static boolean sharesAStretch(List<Point> one, List<Point> other) {
        for (int i = 1; i < one.size(); i++) {
            for (int j = 1; j < other.size(); j++) {
                Area a = one.get(i - 1).to(one.get(i));
                Area b = other.get(j - 1).to(other.get(j));
                boolean flat = a.height() == 0
                        && b.height() == 0
                        && a.y() == b.y()
                        && Math.min(a.right(), b.right()) - Math.max(a.x(), b.x()) > 1;
                boolean steep = a.width() == 0
                        && b.width() == 0
                        && a.x() == b.x()
                        && Math.min(a.bottom(), b.bottom()) - Math.max(a.y(), b.y()) > 1;
                if (flat || steep) {
                    return true;
                }
            }
        }
        return false;
    }

    @Test
    void on_many_sheets_every_line_runs_at_right_angles_and_through_no_card() {
        for (long seed = 1; seed <= 30; seed++) {
            var random = new Random(seed);
            var cards = new LinkedHashMap<Id, Area>();
            for (int i = 0; i < 16; i++) {
                cards.put(
                        Id.parse("e:0000" + (10 + i)),
                        new Area(
                                i % 4 * 320 + random.nextInt(20) * 4,
                                i / 4 * 260 + random.nextInt(12) * 4,
                                160 + random.nextInt(10) * 4,
                                80 + random.nextInt(20) * 4));
            }
            List<Id> ids = List.copyOf(cards.keySet());
            var wanted = new ArrayList<Route.Wanted>();
            for (int i = 0; i < 18; i++) {
                wanted.add(new Route.Wanted(
                        Id.parse("r:0000" + (10 + i)), ids.get(random.nextInt(16)), ids.get(random.nextInt(16))));
            }
            for (Route route : new Router(cards, wanted).routes(laid -> {})) {
                List<Point> points = route.points();
                for (int i = 1; i < points.size(); i++) {
                    Area stretch = points.get(i - 1).to(points.get(i));
                    assertThat(stretch.width() == 0 || stretch.height() == 0).isTrue();
                }
                for (Area card : cards.values()) {
                    assertThat(runsThrough(points, card))
                            .as("sheet %d, %s through %s", seed, points, card)
                            .isFalse();
                }
            }
        }
    }
}
