package ableschema.diagram.picture;

import ableschema.core.design.EntityKind;
import java.util.List;
import java.util.Map;

/** The colours by what they mean, light set. */
public enum Ink {
    PAPER("#FBFAF7"),
    LINEN("#F1EEE7"),
    HAIRLINE("#D9D4C8"),
    EDGE("#C9C4B8"),
    INK("#22262B"),
    MUTED("#5E646B"),
    PINE("#1E6B5A"),
    RUST("#B5472F"),
    OCHRE("#8A5A0F"),
    MOSS("#4F7133"),
    PERSON("#7B4B84"),
    EVENT("#9A581F"),
    PLACE("#226B7C"),
    THING("#55637A"),
    UNSAID("#6F6F69"),
    FIRST_OWN("#5B6B1F"),
    SECOND_OWN("#8C3F57"),
    THIRD_OWN("#3F5AA0");

    private static final Map<EntityKind, Ink> USUAL = Map.of(
            EntityKind.PERSON, PERSON,
            EntityKind.EVENT, EVENT,
            EntityKind.PLACE, PLACE,
            EntityKind.THING, THING,
            EntityKind.UNSAID, UNSAID);
    private static final List<Ink> OWN = List.of(FIRST_OWN, SECOND_OWN, THIRD_OWN);

    private final String hex;

    Ink(String hex) {
        this.hex = hex;
    }

    public String hex() {
        return hex;
    }

    /** The colour of a kind of entity; a kind that the designer named takes one of a further set. */
    public static Ink of(EntityKind kind) {
        Ink usual = USUAL.get(kind);
        return usual != null ? usual : OWN.get(Math.floorMod(kind.name().hashCode(), OWN.size()));
    }
}
