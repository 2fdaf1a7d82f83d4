package ableschema.desktop.sheet;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.shape.Line;
import org.jspecify.annotations.Nullable;

/** The lines of other cards that a carried card keeps to, shown while it does. */
final class Guides {

    private final SheetView sheet;
    private final List<Line> lines = new ArrayList<>();

    Guides(SheetView sheet) {
        this.sheet = sheet;
    }

    /** Shows a line; nothing for none. */
    void show(@Nullable Line guide) {
        if (guide != null) {
            guide.getStyleClass().add("guide");
            guide.setMouseTransparent(true);
            lines.add(guide);
            sheet.addOver(guide);
        }
    }

    void clear() {
        lines.forEach(sheet::removeOver);
        lines.clear();
    }
}
