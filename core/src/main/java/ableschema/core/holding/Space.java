package ableschema.core.holding;

import java.util.List;
import java.util.Locale;

/** How much room something takes, in the units that people read: {@code 4.2 MB}. */
public final class Space {

    private static final List<String> UNITS = List.of("bytes", "kB", "MB", "GB", "TB");
    private static final int STEP = 1000;

    private Space() {}

    /** Two digits for small amounts; a unit is a thousand of the one before. */
    public static String said(double bytes) {
        double at = bytes;
        int unit = 0;
        while (at >= STEP && unit < UNITS.size() - 1) {
            at /= STEP;
            unit++;
        }
        return String.format(Locale.ROOT, at < 10 && unit > 0 ? "%.1f %s" : "%.0f %s", at, UNITS.get(unit));
    }
}
