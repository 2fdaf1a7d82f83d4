package ableschema.diagram.geometry;

import java.util.List;
import java.util.Optional;

/** What lies near one of some areas. Of many areas it is everything, as looking at each would take longer than it saves. */
public final class Surroundings {

    private static final int MANY = 300;

    private final boolean everywhere;
    private final List<Area> areas;
    private final Optional<Area> hull;

    /** @param by how far around each area, in pixels at 100 % */
    public Surroundings(List<Area> around, double by) {
        everywhere = around.size() > MANY;
        areas = around.stream().map(area -> area.grown(by)).toList();
        hull = areas.stream().reduce(Area::union);
    }

    /** Whether some of this area lies in them, or at their edge. */
    public boolean touch(Area area) {
        if (everywhere) {
            return true;
        }
        if (hull.isEmpty() || !hull.get().touches(area)) {
            return false;
        }
        for (Area each : areas) {
            if (each.touches(area)) {
                return true;
            }
        }
        return false;
    }
}
