package ableschema.diagram.picture;

import ableschema.core.design.EntityKind;
import java.util.List;
import java.util.Map;

/** The colours by what they mean, on light and on dark paper. */
public enum Ink {
    PAPER("#FBFAF7", "#1F2328"),
    LINEN("#F1EEE7", "#181B1F"),
    HAIRLINE("#D9D4C8", "#3A4047"),
    EDGE("#C9C4B8", "#4A5159"),
    INK("#22262B", "#ECE9E1"),
    MUTED("#5E646B", "#A9ADB2"),
    PINE("#1E6B5A", "#5FBFA6"),
    RUST("#B5472F", "#E58A70"),
    OCHRE("#8A5A0F", "#D9A54A"),
    MOSS("#4F7133", "#9CC47A"),
    PERSON("#7B4B84", "#C99AD1"),
    EVENT("#9A581F", "#E0A56C"),
    PLACE("#226B7C", "#74BACB"),
    THING("#55637A", "#A3B1C6"),
    UNSAID("#6F6F69", "#B0AFA6"),
    FIRST_OWN("#5B6B1F", "#B3C46A"),
    SECOND_OWN("#8C3F57", "#E293AC"),
    THIRD_OWN("#3F5AA0", "#93A9EA");

    private static final Map<EntityKind, Ink> USUAL = Map.of(
            EntityKind.PERSON, PERSON,
            EntityKind.EVENT, EVENT,
            EntityKind.PLACE, PLACE,
            EntityKind.THING, THING,
            EntityKind.UNSAID, UNSAID);
    private static final List<Ink> OWN = List.of(FIRST_OWN, SECOND_OWN, THIRD_OWN);

    private final String hex;
    private final String darkHex;

    Ink(String hex, String darkHex) {
        this.hex = hex;
        this.darkHex = darkHex;
    }

    public String hex() {
        return hex;
    }

    /** The colour on dark paper. */
    public String darkHex() {
        return darkHex;
    }

    /** The colour of a kind of entity; a kind that the designer named takes one of a further set. */
    public static Ink of(EntityKind kind) {
        Ink usual = USUAL.get(kind);
        return usual != null ? usual : OWN.get(Math.floorMod(kind.name().hashCode(), OWN.size()));
    }
}
