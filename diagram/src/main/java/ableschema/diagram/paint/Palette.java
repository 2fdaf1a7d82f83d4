package ableschema.diagram.paint;

import ableschema.diagram.picture.Ink;
import java.awt.Color;
import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;

/** Which of its colours each ink has. */
public enum Palette {
    LIGHT,
    DARK;

    private final Map<Ink, Color> colours = new EnumMap<>(Ink.class);

    Palette() {
        for (Ink ink : Ink.values()) {
            colours.put(ink, Color.decode(hex(ink)));
        }
    }

    /** The colour as {@code #RRGGBB}. */
    public String hex(Ink ink) {
        return name().equals("LIGHT") ? ink.hex() : ink.darkHex();
    }

    Color colour(Ink ink) {
        return Objects.requireNonNull(colours.get(ink));
    }
}
