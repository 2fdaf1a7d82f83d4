package ableschema.diagram.layout;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.diagram.geometry.Area;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

class PushingTest {

    private final IdSource ids = IdSource.seeded(3);

    private Map<Id, Area> grid(int columns, int rows) {
        Map<Id, Area> cards = new LinkedHashMap<>();
        for (int i = 0; i < columns * rows; i++) {
            cards.put(ids.next(IdKind.ENTITY), new Area(i % columns * 160, i / columns * 120, 140, 100));
        }
        return cards;
    }

    private static Map<Id, Area> after(Map<Id, Area> cards, Map<Id, Area> moved) {
        Map<Id, Area> after = new LinkedHashMap<>(cards);
        after.putAll(moved);
        return after;
    }

    private static long covered(Map<Id, Area> cards) {
        List<Area> all = new ArrayList<>(cards.values());
        long covered = 0;
        for (int i = 0; i < all.size(); i++) {
            for (int j = 0; j < i; j++) {
                covered += all.get(i).meets(all.get(j)) ? 1 : 0;
            }
        }
        return covered;
    }

    @Test
    void a_card_that_grows_moves_its_neighbours_and_nothing_else() {
        Map<Id, Area> cards = grid(3, 3);
        List<Id> all = List.copyOf(cards.keySet());
        cards.put(all.get(3), new Area(0, 120, 190, 100));

        Map<Id, Area> moved = Pushing.moved(cards, Set.of(all.get(3)), Set.of());

        assertThat(covered(after(cards, moved))).isZero();
        assertThat(moved.keySet()).containsExactlyInAnyOrder(all.get(4), all.get(5));
        assertThat(moved.get(all.get(4))).isEqualTo(new Area(256, 120, 140, 100));
        assertThat(moved.get(all.get(5)).x()).isLessThan(256 + 140 + 68);
    }

    @Test
    void what_is_fixed_stays_even_if_it_is_covered() {
        Map<Id, Area> cards = grid(2, 1);
        List<Id> all = List.copyOf(cards.keySet());
        cards.put(all.get(0), new Area(0, 0, 200, 100));

        assertThat(Pushing.moved(cards, Set.of(all.get(0)), Set.of(all.get(1)))).isEmpty();
        assertThat(Pushing.moved(grid(4, 4), Set.of(), Set.of())).isEmpty();
    }

    @Test
    void however_cards_grow_none_is_covered_by_those_that_did_not_grow() {
        var random = new Random(7);
        for (int i = 0; i < 200; i++) {
            Map<Id, Area> cards = grid(5, 5);
            Id grown = List.copyOf(cards.keySet()).get(random.nextInt(25));
            Area area = cards.get(grown);
            cards.put(grown, new Area(area.x(), area.y(), 140 + random.nextInt(200), 100 + random.nextInt(200)));

            Map<Id, Area> moved = Pushing.moved(cards, Set.of(grown), Set.of());
            Map<Id, Area> after = after(cards, moved);

            assertThat(after.values().stream().filter(after.get(grown)::meets)).hasSize(1);
            assertThat(moved).doesNotContainKey(grown).hasSizeLessThan(25);
        }
    }
}
