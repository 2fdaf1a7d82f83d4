package ableschema.diagram.route;

import ableschema.diagram.geometry.Area;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.LongConsumer;

/** Things by where they lie, in square cells, so that those near a place are found without looking at all. */
final class Cells<T> {

    private static final double SIZE = 240;

    private final Map<Long, List<T>> cells = new HashMap<>();

    void add(Area area, T thing) {
        each(area, key -> cells.computeIfAbsent(key, k -> new ArrayList<>()).add(thing));
    }

    void remove(Area area, T thing) {
        each(area, key -> cells.getOrDefault(key, new ArrayList<>()).removeIf(each -> each == thing));
    }

    /** All things whose cells an area touches, each once. */
    Collection<T> near(Area area) {
        Set<T> found = Collections.newSetFromMap(new IdentityHashMap<>());
        each(area, key -> found.addAll(cells.getOrDefault(key, List.of())));
        return found;
    }

    private static void each(Area area, LongConsumer action) {
        long right = cell(area.right());
        long bottom = cell(area.bottom());
        for (long x = cell(area.x()); x <= right; x++) {
            for (long y = cell(area.y()); y <= bottom; y++) {
                action.accept((x << 32) ^ (y & 0xffffffffL));
            }
        }
    }

    private static long cell(double value) {
        return (long) Math.floor(value / SIZE);
    }
}
